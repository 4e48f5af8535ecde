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

/** The answer to a question that was asked early; undefined where it was not, was taken or is too old. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const early = asked.get(path);
  asked.delete(path);
  return early && performance.now() - early.at < FRESH ? early.answer : undefined;
}
