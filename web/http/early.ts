/** Answers that were asked for before the application was there to read them, each taken once. */
const asked = new Map<string, { answer: Promise<Response>; at: number }>();

/** After so long an answer is not what a page should open with, ms. */
const FRESH = 10_000;

export function askEarly(path: string): void {
  // Read to its end at once: an answer that nobody takes must not hold its connection.
  const answer = fetch(`/api${path}`).then(
    async (response) => new Response(await response.arrayBuffer(), response),
  );
  // Whoever takes it hears of a failure; nobody may.
  answer.catch(() => {});
  asked.set(path, { answer, at: performance.now() });
}

/** What an answer says that was just asked for, left there to be taken; null where it says nothing to go on from. */
export function heardEarly(path: string): Promise<Record<string, unknown> | null> {
  // The copy is made in the answer's own turn: whoever takes it reads it in the next.
  return (
    asked.get(path)?.answer.then(
      (response) => (response.ok ? response.clone().json() : null),
      () => null,
    ) ?? Promise.resolve(null)
  );
}

/** The answer to a question that was asked early; undefined where it was not, was taken or is too old. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const early = asked.get(path);
  asked.delete(path);
  return early && performance.now() - early.at < FRESH ? early.answer : undefined;
}
