/** Answers that were asked for before the application was there to read them, each taken once. */
const asked = new Map<string, { heard: Promise<{ answer: Response; text: string }>; at: number }>();

/** After so long an answer is not what a page should open with, ms. */
const FRESH = 10_000;

export function askEarly(path: string): void {
  // Read to its end at once: an answer that nobody takes must not hold its connection.
  const heard = fetch(`/api${path}`).then(async (response) => {
    const text = await response.text();
    const { status, statusText, headers } = response;
    // An answer that says there is nothing has no body, not even an empty one.
    return { answer: new Response(text === '' ? null : text, { status, statusText, headers }), text };
  });
  // Whoever takes it hears of a failure; nobody may.
  heard.catch(() => {});
  asked.set(path, { heard, at: performance.now() });
}

/** What an answer says that was just asked for, left there to be taken; null where it says nothing to go on from. */
export function heardEarly(path: string): Promise<Record<string, unknown> | null> {
  return (
    asked.get(path)?.heard.then(
      // From the text, not from a copy of the answer: reading that would wait for the scripts that are run meanwhile.
      ({ answer, text }) => (answer.ok ? JSON.parse(text) : null),
      () => null,
    ) ?? Promise.resolve(null)
  );
}

/** The answer to a question that was asked early; undefined where it was not, was taken or is too old. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const early = asked.get(path);
  asked.delete(path);
  return early && performance.now() - early.at < FRESH ? early.heard.then(({ answer }) => answer) : undefined;
}
