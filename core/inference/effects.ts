import { DESIGNS, type Design, HALF_PAIRS } from '../trial/designs.ts';
import { armMeans } from './arm-means.ts';

/**
 * What each arm does in a design, from one number a wash day: whole heads give each arm's mean; half-heads the arm's
 * effect from D = left − right, with sides balanced so that a side's own bias cancels (two arms: half the signed mean to
 * either side of nought; three arms: least squares over the six ordered pairs). Days without a number are left out; an
 * arm without any is NaN. Source: methods.md 3.
 */
export function armEffects(
  design: Design,
  values: readonly (number | null)[],
  codes: readonly number[],
  arms: number,
): number[] {
  if (arms === 1 || !DESIGNS[design].halves) return armMeans(values, codes, arms);
  const sums = new Array<number>(arms).fill(0);
  const counts = new Array<number>(arms).fill(0);
  for (let unit = 0; unit < values.length; unit++) {
    const value = values[unit];
    if (value === null || value === undefined) continue;
    const code = codes[unit]!;
    const left = design === 'half-three' ? HALF_PAIRS[code]![0] : code;
    const right = design === 'half-three' ? HALF_PAIRS[code]![1] : 1 - code;
    sums[left]! += value;
    sums[right]! -= value;
    counts[left]!++;
    counts[right]!++;
  }
  const share = arms === 3 ? 1.5 : 2;
  return sums.map((sum, arm) => sum / counts[arm]! / share);
}

/** Arm j less arm i by the design's own reckoning. */
export function effectBetween(
  design: Design,
  values: readonly (number | null)[],
  codes: readonly number[],
  arms: number,
  [i, j]: readonly [number, number],
): number {
  const effects = armEffects(design, values, codes, arms);
  return effects[j]! - effects[i]!;
}

/** The design's test statistic: the widest gap between arms; for two factors the larger of the two main effects. */
export function designStatistic(
  design: Design,
  values: readonly (number | null)[],
  codes: readonly number[],
  arms: number,
): number {
  const effects = armEffects(design, values, codes, arms);
  if (design === 'factorial') {
    const { first, second } = factorEffects(effects);
    return Math.max(Math.abs(first), Math.abs(second));
  }
  return Math.max(...effects) - Math.min(...effects);
}

/**
 * Main effects and interaction of two factors from the means of their four arms, in the order (0,0) (0,1) (1,0) (1,1):
 * second level less first, averaged over the other factor; the interaction is half the difference of differences.
 */
export function factorEffects(means: readonly number[]): {
  first: number;
  second: number;
  interaction: number;
} {
  const [a, b, c, d] = means as [number, number, number, number];
  return { first: (c + d - a - b) / 2, second: (b + d - a - c) / 2, interaction: (d - c - (b - a)) / 2 };
}

/** What a shift of one point between arm i and arm j would add to each wash day's number, as allocated. */
export function shiftPattern(
  design: Design,
  codes: readonly number[],
  [i, j]: readonly [number, number],
): number[] {
  return codes.map((code) => {
    if (!DESIGNS[design].halves) return code === j ? 1 : 0;
    const [left, right] = design === 'half-three' ? HALF_PAIRS[code]! : [code, 1 - code];
    return ((left === j ? 1 : left === i ? -1 : 0) - (right === j ? 1 : right === i ? -1 : 0)) / 2;
  });
}
