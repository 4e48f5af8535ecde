import { type Design, isTested } from '../trial/designs.ts';
import { armPattern, contrastOf, layOut, reckoningOf, type Sides, withGaps } from './effects.ts';
import { type Reference, referenceOf } from './reference-set.ts';

export interface Interval {
  /** −Infinity or Infinity where the side is open: the data set it no bound within the search. */
  low: number;
  high: number;
  /** The level attained, which a small set keeps from being exactly the one asked for. */
  level: number;
}

/**
 * Interval for a constant shift along one contrast, by inverting the two-sided randomisation test of that contrast: all
 * shifts the test would not reject at `alpha`. Where the set is too small for `alpha`, the narrowest interval it can
 * give, with the level that has; null when there is none or the contrast cannot be told.
 * `pattern` is what a shift of one adds to each day's number, as allocated.
 *
 * For a sequence with difference D* and share c* (how much of a shift it would show, −1…1) the test of a shift δ ≥ D
 * keeps the sequence as extreme while δ ≤ max((D + D*)/(1 + c*), (D − D*)/(1 − c*)), and mirrored below D, so that
 * the interval's ends are order statistics of those turning points: no search, no grid.
 * Source: methods.md 3 (interval: invert the test over a shift); derivation ours, checked against a brute-force grid.
 */
export function inversionInterval(
  design: Design,
  reference: Reference,
  own: Sides,
  values: readonly (number | null)[],
  weights: readonly number[],
  pattern: readonly number[],
  alpha: number,
): Interval | null {
  const { effects } = reckoningOf(design, weights.length);
  const numbers = withGaps(values);
  const shift = withGaps(values.map((value, day) => (value === null ? null : pattern[day]!)));
  const D = contrastOf(weights, effects(numbers, own, 0));
  if (Number.isNaN(D)) return null;
  const upper: number[] = reference.exact ? [] : [Number.POSITIVE_INFINITY];
  const lower: number[] = reference.exact ? [] : [Number.NEGATIVE_INFINITY];
  for (let s = 0; s < reference.count; s++) {
    const d = contrastOf(weights, effects(numbers, reference, s));
    const c = contrastOf(weights, effects(shift, reference, s));
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
 * The interval of the second arm less the first in a design of two arms, on the design's own set; null without a lot to
 * test on, or where an arm has no number.
 */
export function pairInterval(
  design: Design,
  values: readonly (number | null)[],
  codes: readonly number[],
  alpha: number,
  reference: Reference = referenceOf(design, 2, codes.length),
): Interval | null {
  if (!isTested(design)) return null;
  // Each arm takes half of the shift, on whole heads as on halves.
  const [first, second] = [armPattern(design, codes, 0), armPattern(design, codes, 1)];
  const pattern = second.map((x, day) => (x - first[day]!) / 2);
  return inversionInterval(design, reference, layOut(design, [codes]), values, [-1, 1], pattern, alpha);
}
