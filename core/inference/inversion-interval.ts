import { type AllocationScheme, balancedComplete } from '../trial/allocation.ts';
import { type Design, schemeOf } from '../trial/designs.ts';
import { armMeans } from './arm-means.ts';
import { effectBetween, shiftPattern } from './effects.ts';
import { EXACT_UP_TO, referenceSet, SAMPLES } from './randomisation-test.ts';

export interface Interval {
  low: number;
  high: number;
  /** The level attained, which a small set keeps from being exactly the one asked for. */
  level: number;
}

/** What a test of a shift rests on: the difference a sequence shows, linear in the values. */
export type Difference = (values: readonly (number | null)[], sequence: readonly number[]) => number;

const betweenTwo: Difference = (values, sequence) => {
  const [first, second] = armMeans(values, sequence, 2) as [number, number];
  return second - first;
};

/**
 * Interval for a constant shift between two arms (arm 1 less arm 0), by inverting the two-sided randomisation test of
 * the difference in means: all shifts the test would not reject at `alpha`. Where the set is too small for `alpha`,
 * the narrowest interval it can give, with the level that has; null when there is none or an arm has no value.
 * `difference` and `pattern` (what a shift of one adds to each value, as allocated) put another linear test in its place.
 *
 * For a sequence with difference D* and share c* (how much of a shift it would show, −1…1) the test of a shift δ ≥ D
 * keeps the sequence as extreme while δ ≤ max((D + D*)/(1 + c*), (D − D*)/(1 − c*)), and mirrored below D, so that
 * the interval's ends are order statistics of those turning points: no search, no grid.
 * Source: methods.md 3 (interval: invert the test over a shift); derivation ours, checked against a brute-force grid.
 */
export function inversionInterval(
  scheme: AllocationScheme,
  values: readonly (number | null)[],
  allocation: readonly number[],
  alpha: number,
  seed: number,
  difference: Difference = betweenTwo,
  pattern: readonly number[] = allocation,
): Interval | null {
  const treated = values.map((value, unit) => (value === null ? null : pattern[unit]!));
  const D = difference(values, allocation);
  if (Number.isNaN(D)) return null;
  const exact = scheme.size <= EXACT_UP_TO;
  const upper: number[] = exact ? [] : [Number.POSITIVE_INFINITY];
  const lower: number[] = exact ? [] : [Number.NEGATIVE_INFINITY];
  for (const sequence of referenceSet(scheme, seed, SAMPLES)) {
    const d = difference(values, sequence);
    const c = difference(treated, sequence);
    if (Number.isNaN(d) || Math.abs(c) > 1 - 1e-12) {
      upper.push(Number.POSITIVE_INFINITY);
      lower.push(Number.NEGATIVE_INFINITY);
      continue;
    }
    const turns = [(D + d) / (1 + c), (D - d) / (1 - c)] as const;
    upper.push(Math.max(...turns));
    lower.push(Math.min(...turns));
  }
  upper.sort((a, b) => b - a);
  lower.sort((a, b) => a - b);
  const always = upper.filter((turn) => turn === Number.POSITIVE_INFINITY).length;
  if (always === upper.length) return null;
  const rejected = Math.max(Math.floor(alpha * upper.length + 1e-9), always);
  const low = lower[rejected]!;
  const high = upper[rejected]!;
  const outside = Math.max(
    upper.filter((turn) => turn > high + 1e-9).length,
    lower.filter((turn) => turn < low - 1e-9).length,
  );
  return { low, high, level: 1 - outside / upper.length };
}

/**
 * The interval between two arms of a design. Two arms: the design's own set. Of several arms on whole heads the others'
 * wash days keep their places and the two arms' are re-drawn among themselves. Null where keeping the others in place
 * leaves too few orders (walks over all pairs, three-arm half-heads) and for designs without a lot.
 */
export function pairInterval(
  design: Design,
  values: readonly (number | null)[],
  allocation: readonly number[],
  arms: number,
  pair: readonly [number, number],
  alpha: number,
  seed: number,
): Interval | null {
  if (design === 'walk' || design === 'half-three' || design === 'before-after') return null;
  if (arms === 2)
    return inversionInterval(
      schemeOf(design, 2, allocation.length),
      values,
      allocation,
      alpha,
      seed,
      (own, sequence) => effectBetween(design, own, sequence, 2, pair),
      shiftPattern(design, allocation, pair),
    );
  const units = allocation.flatMap((arm, unit) => (pair.includes(arm) ? [unit] : []));
  return inversionInterval(
    balancedComplete(2, units.length),
    units.map((unit) => values[unit] ?? null),
    units.map((unit) => (allocation[unit] === pair[0] ? 0 : 1)),
    alpha,
    seed,
  );
}
