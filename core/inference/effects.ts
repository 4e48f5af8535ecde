import { armsOfCode, type Design, designOf } from '../trial/designs.ts';

/**
 * Sequences of a design's lot, laid out for speed: per day the arm its number adds to (`plus`) and, in half-heads, the
 * arm it takes from (`minus`; −1 on whole heads). Row s of `count` begins at s · days.
 */
export interface Sides {
  count: number;
  days: number;
  plus: Int8Array;
  minus: Int8Array;
}

/** Sequences of codes, laid out. All have the same number of days. */
export function layOut(design: Design, sequences: readonly (readonly number[])[]): Sides {
  const days = sequences[0]?.length ?? 0;
  const plus = new Int8Array(sequences.length * days);
  const minus = new Int8Array(sequences.length * days).fill(-1);
  const { halves, sides } = designOf(design);
  sequences.forEach((codes, s) => {
    codes.forEach((code, day) => {
      const { left, right } = sides(code);
      plus[s * days + day] = left;
      if (halves) minus[s * days + day] = right;
    });
  });
  return { count: sequences.length, days, plus, minus };
}

/**
 * What a design tests, as weights over its arms: with two or more arms every pair (the later less the earlier), with two
 * factors their two main effects (arms in the order (0,0) (0,1) (1,0) (1,1)).
 */
export function contrastsOf(design: Design, arms: number): readonly (readonly number[])[] {
  const { factors } = designOf(design);
  if (factors) return factors.map((levels) => levels.map((level) => level - 0.5));
  const pairs: number[][] = [];
  for (let i = 0; i < arms; i++)
    for (let j = i + 1; j < arms; j++)
      pairs.push(Array.from({ length: arms }, (_, arm) => (arm === j ? 1 : arm === i ? -1 : 0)));
  return pairs;
}

/** A contrast's value from the arms' effects. */
export const contrastOf = (weights: readonly number[], effects: ArrayLike<number>): number =>
  weights.reduce((sum, weight, arm) => (weight === 0 ? sum : sum + weight * effects[arm]!), 0);

/** A design's reckoning over laid-out sequences; it keeps its scratch space, so that a million of them allocate nothing. */
export interface Reckoning {
  /**
   * Each arm's effect from one number a day (half-heads: left less right; NaN is a day without one), for sequence `s`:
   * whole heads give arm means; half-heads least squares with the sides' own bias taken out, effects adding up to
   * nought. NaN where the days with a number cannot tell an arm. The array is overwritten by the next call.
   */
  effects(values: ArrayLike<number>, sides: Sides, s: number): Float64Array;
  /** The test statistic: the largest |contrast|; NaN where an arm cannot be told. */
  statistic(values: ArrayLike<number>, sides: Sides, s: number): number;
  /** With two arms: what the distance of their means is multiplied with to give the statistic. */
  ofMeans: number | null;
}

/**
 * The reckoning of a design: one statistic for verdict, interval, power and plan alike. Source: methods.md 3. Half-heads of
 * two arms: half the difference between the days with one arm on the left and those with the other, which is the mean
 * of s·D where sides are balanced, and stays free of side bias where days are missing.
 */
export function reckoningOf(design: Design, arms: number): Reckoning {
  const { halves, factors } = designOf(design);
  const crossed = factors && contrastsOf(design, arms);
  const effects = new Float64Array(arms);
  const counts = new Int32Array(arms);

  function means(values: ArrayLike<number>, { days, plus }: Sides, s: number): void {
    effects.fill(0);
    counts.fill(0);
    const from = s * days;
    for (let day = 0; day < days; day++) {
      const value = values[day]!;
      if (Number.isNaN(value)) continue;
      const arm = plus[from + day]!;
      effects[arm]! += value;
      counts[arm]!++;
    }
    for (let arm = 0; arm < arms; arm++) effects[arm]! /= counts[arm]!;
  }

  /** Least squares of D = e(left) − e(right) + bias over three arms, Σe = 0. */
  function threeSides(values: ArrayLike<number>, { days, plus, minus }: Sides, s: number): void {
    let [n, x, y, xx, xy, yy, d, xd, yd] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
    const from = s * days;
    for (let day = 0; day < days; day++) {
      const value = values[day]!;
      if (Number.isNaN(value)) continue;
      const [left, right] = [plus[from + day]!, minus[from + day]!];
      const third = (left === 2 ? 1 : 0) - (right === 2 ? 1 : 0);
      const a = (left === 0 ? 1 : 0) - (right === 0 ? 1 : 0) - third;
      const b = (left === 1 ? 1 : 0) - (right === 1 ? 1 : 0) - third;
      n++;
      x += a;
      y += b;
      xx += a * a;
      xy += a * b;
      yy += b * b;
      d += value;
      xd += a * value;
      yd += b * value;
    }
    // The mean taken out of all, two unknowns stay.
    const [sxx, sxy, syy] = [xx - (x * x) / n, xy - (x * y) / n, yy - (y * y) / n];
    const [sxd, syd] = [xd - (x * d) / n, yd - (y * d) / n];
    const determinant = sxx * syy - sxy * sxy;
    if (!(determinant > 1e-9)) {
      effects.fill(Number.NaN);
      return;
    }
    effects[0] = (sxd * syy - syd * sxy) / determinant;
    effects[1] = (syd * sxx - sxd * sxy) / determinant;
    effects[2] = -effects[0]! - effects[1]!;
  }

  function of(values: ArrayLike<number>, sides: Sides, s: number): Float64Array {
    if (halves && arms === 3) threeSides(values, sides, s);
    else means(values, sides, s);
    if (halves && arms === 2) {
      effects[0] = (effects[0]! - effects[1]!) / 4;
      effects[1] = -effects[0]!;
    }
    return effects;
  }

  function statistic(values: ArrayLike<number>, sides: Sides, s: number): number {
    of(values, sides, s);
    if (crossed) {
      let largest = 0;
      for (const weights of crossed) largest = Math.max(largest, Math.abs(contrastOf(weights, effects)));
      return largest;
    }
    let least = Number.POSITIVE_INFINITY;
    let most = Number.NEGATIVE_INFINITY;
    for (let arm = 0; arm < arms; arm++) {
      const effect = effects[arm]!;
      if (Number.isNaN(effect)) return Number.NaN;
      if (effect < least) least = effect;
      if (effect > most) most = effect;
    }
    return most - least;
  }
  const ofMeans = arms !== 2 || factors ? null : halves ? 1 / 2 : 1;
  return { effects: of, statistic, ofMeans };
}

/** Numbers with null for a missing one, as the reckoning reads them. */
export const withGaps = (values: readonly (number | null | undefined)[]): Float64Array =>
  Float64Array.from(values, (value) => value ?? Number.NaN);

/** Each arm's effect for one sequence of codes, by {@link reckoningOf}. */
export function armEffects(
  design: Design,
  values: readonly (number | null)[],
  codes: readonly number[],
  arms: number,
): number[] {
  return [...reckoningOf(design, arms).effects(withGaps(values), layOut(design, [codes]), 0)];
}

/**
 * Main effects and interaction of two factors from the means of their four arms, in the order (0,0) (0,1) (1,0) (1,1):
 * second level less first, averaged over the other factor; the interaction is half the difference of differences.
 */
export function factorEffects(means: ArrayLike<number>): {
  first: number;
  second: number;
  interaction: number;
} {
  const [a, b, c, d] = [means[0]!, means[1]!, means[2]!, means[3]!];
  return { first: (c + d - a - b) / 2, second: (b + d - a - c) / 2, interaction: (d - c - (b - a)) / 2 };
}

/** What a shift of one point of arm `arm` alone adds to each day's number, as allocated. */
export const armPattern = (design: Design, codes: readonly number[], arm: number): number[] =>
  codes.map((code) => {
    const { left, right } = armsOfCode(design, code);
    return designOf(design).halves ? (left === arm ? 1 : 0) - (right === arm ? 1 : 0) : left === arm ? 1 : 0;
  });
