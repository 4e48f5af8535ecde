/** Hours a new product stays on the inner arm before the skin is judged. Patch-test practice, no source. */
export const PATCH_HOURS = 48;

/** How the skin looked, in the order they are offered. */
export const PATCH_OUTCOMES = {
  clear: { label: 'No reaction' },
  reacted: { label: 'It reacted' },
} as const;
export type PatchOutcome = keyof typeof PATCH_OUTCOMES;

export interface Patch {
  productId: string;
  /** Moments, ISO 8601. */
  startedAt: string;
  outcome: PatchOutcome | null;
  lookedAt: string | null;
}

/** The moment a patch test begun at `startedAt` may be called clear. */
export const patchOver = (startedAt: string): string =>
  new Date(Date.parse(startedAt) + PATCH_HOURS * 3_600_000).toISOString();

export type PatchState<P extends Patch = Patch> =
  | { is: 'none' }
  /** On the arm; `over` once its hours have passed and the skin waits to be looked at. */
  | { is: 'on the arm'; test: P; until: string; over: boolean }
  | { is: PatchOutcome; test: P };

/**
 * What the patch tests of one wearer say of a product at `now` (ms): the one last looked at decides, except that a test
 * begun since then is on the arm; a reaction stands until a later test stays clear.
 */
export function patchState<P extends Patch>(
  tests: readonly P[],
  productId: string,
  now: number,
): PatchState<P> {
  const own = tests.filter((test) => test.productId === productId);
  const newest = (at: (test: P) => string | null) =>
    own.filter((test) => at(test) !== null).sort((a, b) => Date.parse(at(b)!) - Date.parse(at(a)!))[0];
  const judged = newest(({ lookedAt }) => lookedAt);
  if (judged?.outcome === 'reacted') return { is: 'reacted', test: judged };
  const waiting = newest(({ startedAt, outcome }) => (outcome === null ? startedAt : null));
  if (waiting && (!judged || Date.parse(waiting.startedAt) > Date.parse(judged.lookedAt!))) {
    const until = patchOver(waiting.startedAt);
    return { is: 'on the arm', test: waiting, until, over: Date.parse(until) <= now };
  }
  return judged ? { is: judged.outcome!, test: judged } : { is: 'none' };
}
