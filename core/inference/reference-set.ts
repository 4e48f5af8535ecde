import { seededRandom } from '../random.ts';
import { type Design, schemeOf } from '../trial/designs.ts';
import { layOut, type Reckoning, type Sides } from './effects.ts';
import { apartAtLeast, packedArms } from './two-arms.ts';

/** The sequences a design's lot could have drawn, or a sample of them, laid out. */
export interface Reference extends Sides {
  /** Whether it is the whole set. */
  exact: boolean;
  /** How many sequences the whole set has. */
  size: number;
}

/** Sets up to this size are enumerated; beyond it they are sampled. */
export const EXACT_UP_TO = 100_000;
export const SAMPLES = 20_000;
/** Ties count as at least as extreme, to this tolerance. */
export const TIES = 1e-9;
/**
 * Seed of every sampled set. Never the seed of a trial's own lot: that one is sealed, and a p must be the same before
 * and after it is opened.
 */
const SAMPLING_SEED = 20_261;

/** The sets last asked for; a verdict, its intervals and a simulation ask for the same again and again. */
const kept = new Map<string, Reference>();
const MOST_KEPT = 6;

/**
 * The reference set of a design: all of it up to `exactUpTo` sequences, else `samples` drawn anew.
 * Source: methods.md 3. Throws an AllocationError where arms and days do not go together.
 */
export function referenceOf(
  design: Design,
  arms: number,
  days: number,
  exactUpTo = EXACT_UP_TO,
  samples = SAMPLES,
): Reference {
  const key = `${design} ${arms} ${days} ${exactUpTo} ${samples}`;
  const found = kept.get(key);
  if (found) return found;
  const random = seededRandom(SAMPLING_SEED);
  const scheme = schemeOf(design, arms, days);
  const exact = scheme.size <= exactUpTo;
  const sequences = exact
    ? [...scheme.enumerate()]
    : Array.from({ length: samples }, () => scheme.sample(random));
  const reference = { ...layOut(design, sequences), exact, size: scheme.size };
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(key, reference);
  return reference;
}

/**
 * How many sequences of a reference show at least `observed`, ties among them; one that leaves an arm without a number
 * counts as extreme. Stops counting once over `most`.
 */
export function extremes(
  reckoning: Reckoning,
  values: ArrayLike<number>,
  reference: Sides,
  observed: number,
  most = Number.POSITIVE_INFINITY,
): number {
  const bound = observed - TIES;
  if (reckoning.ofMeans !== null)
    return apartAtLeast(values, packedArms(reference), bound / reckoning.ofMeans, most);
  let found = 0;
  for (let s = 0; s < reference.count; s++)
    if (!(reckoning.statistic(values, reference, s) < bound) && ++found > most) break;
  return found;
}

/** The share that so many extreme sequences make: exact, or (b + 1)/(B + 1). Source: Phipson & Smyth (2010). */
export const shareOf = ({ exact, count }: Pick<Reference, 'exact' | 'count'>, extreme: number): number =>
  exact ? extreme / count : (extreme + 1) / (count + 1);

/** The most extreme sequences there may be for a p at or under `alpha`. */
export const mostAt = ({ exact, count }: Pick<Reference, 'exact' | 'count'>, alpha: number): number =>
  exact ? Math.floor(alpha * count + TIES) : Math.floor(alpha * (count + 1) + TIES) - 1;
