import type { AllocationScheme } from '../trial/allocation.ts';
import { seededRandom } from '../trial/random.ts';

/** Sets up to this size are enumerated; beyond it they are sampled. */
export const EXACT_UP_TO = 100_000;
export const SAMPLES = 20_000;
/** Ties count as at least as extreme, to this tolerance. */
const EPSILON = 1e-9;

export interface RandomisationTest {
  p: number;
  /** The statistic as observed. */
  observed: number;
  /** How many sequences of the set were looked at. */
  looked: number;
  exact: boolean;
}

/** The sequences a test looks at: the whole set up to {@link EXACT_UP_TO}, else a seeded sample of it. */
export function* referenceSet(
  scheme: AllocationScheme,
  seed: number,
  samples = SAMPLES,
): Generator<number[]> {
  if (scheme.size <= EXACT_UP_TO) {
    yield* scheme.enumerate();
    return;
  }
  const random = seededRandom(seed);
  for (let b = 0; b < samples; b++) yield scheme.sample(random);
}

/**
 * Randomisation test on the scheme's own set. `statistic` gives the test's statistic for a sequence (larger is more
 * extreme; take the absolute value for two sides). Exact: the share of the set with a statistic at least as extreme
 * as observed. Sampled: (b + 1)/(B + 1). A sequence whose statistic is not a number counts as extreme.
 * Source: methods.md 3; Edgington & Onghena, Randomization Tests; Phipson & Smyth (2010) for (b + 1)/(B + 1).
 */
export function randomisationTest(
  scheme: AllocationScheme,
  allocation: readonly number[],
  statistic: (allocation: readonly number[]) => number,
  seed: number,
  samples = SAMPLES,
): RandomisationTest {
  const observed = statistic(allocation);
  let extreme = 0;
  let looked = 0;
  for (const sequence of referenceSet(scheme, seed, samples)) {
    if (!(statistic(sequence) < observed - EPSILON)) extreme++;
    looked++;
  }
  const exact = scheme.size <= EXACT_UP_TO;
  return { p: exact ? extreme / looked : (extreme + 1) / (looked + 1), observed, looked, exact };
}
