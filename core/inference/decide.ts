import { type Design, designOf } from '../trial/designs.ts';
import { contrastOf, contrastsOf, type Reckoning, reckoningOf, type Sides } from './effects.ts';
import { extremes, mostAt, type Reference, shareOf } from './reference-set.ts';

/** Fewest looks an arm may rest on, and the least share of its promised ones. Source: methods.md 3, missing days. */
export const FEWEST_LOOKS = 3;
export const LEAST_SHARE = 3 / 4;

/** One number a day for each half (NaN without one); `right` is null on whole heads, where `left` holds the head's. */
export interface DayNumbers {
  left: Float64Array;
  right: Float64Array | null;
}

/** Where a look at the data leaves a plan. */
export type Standing =
  /** The test decided, and the missing days cannot turn it. */
  | 'decided'
  /** The test did not decide. */
  | 'open'
  /** An arm rests on too few looks: description only. */
  | 'too few looks'
  /** With the days that are missing no data could reach the level: description only. */
  | 'out of reach'
  /** The missing days could turn the sign: description only. */
  | 'missing days could turn it';

export interface Decision {
  standing: Standing;
  /** Null where a description has no p. */
  p: number | null;
  /** The tested effect: the contrast furthest from nought, its value, the arms it favours and those it stands over. */
  tested: { contrast: number; value: number; named: number[]; over: number[] } | null;
  /** Days with a number for each arm (in half-heads days with both sides), and how many were due by this look. */
  looks: number[];
  due: number[];
}

/** One number a day as the design tests it: the head's, or left less right. */
export const unitsOf = ({ left, right }: DayNumbers): Float64Array =>
  right === null ? left : left.map((value, day) => value - right[day]!);

/** Days of each arm among the first `upTo` that `counts` lets through; in half-heads a day counts for both its arms. */
export function daysOf(own: Sides, arms: number, upTo: number, counts: (day: number) => boolean): number[] {
  const days = new Array<number>(arms).fill(0);
  for (let day = 0; day < upTo; day++) {
    if (!counts(day)) continue;
    days[own.plus[day]!]!++;
    // Both halves of one arm are one day of it.
    if (own.minus[day]! >= 0 && own.minus[day] !== own.plus[day]) days[own.minus[day]!]!++;
  }
  return days;
}

/** Looks due of each arm when the first `upTo` days are in. */
export const dueBy = (own: Sides, arms: number, upTo: number): number[] =>
  daysOf(own, arms, upTo, () => true);

const tooFew = (looks: readonly number[], due: readonly number[]): boolean =>
  looks.some((n, arm) => n < FEWEST_LOOKS || n < LEAST_SHARE * due[arm]!);

/** Whether the tested effect keeps its sign when the named arms' missing days were the worst seen and the others' the best. */
function holdsAtWorst(
  reckoning: Reckoning,
  weights: readonly number[],
  sign: number,
  named: readonly number[],
  numbers: DayNumbers,
  own: Sides,
  upTo: number,
  better: 'higher' | 'lower',
): boolean {
  const seen = [...numbers.left, ...(numbers.right ?? [])].filter((value) => !Number.isNaN(value));
  const [lowest, highest] = [Math.min(...seen), Math.max(...seen)];
  const [worst, best] = better === 'higher' ? [lowest, highest] : [highest, lowest];
  const filled = (values: Float64Array, arms: Int8Array) =>
    values.map((value, day) =>
      day >= upTo || !Number.isNaN(value) ? value : named.includes(arms[day]!) ? worst : best,
    );
  const units = unitsOf({
    left: filled(numbers.left, own.plus),
    right: numbers.right && filled(numbers.right, own.minus),
  });
  return sign * contrastOf(weights, reckoning.effects(units, own, 0)) > 1e-9;
}

/** The least p a trial could still reach with the days it has: one arm apart from the others (two factors: one of them acts), without noise. */
function leastReachable(
  reckoning: Reckoning,
  units: Float64Array,
  own: Sides,
  reference: Reference,
  arms: number,
  design: Design,
): number {
  let least = 1;
  const { factors } = designOf(design);
  for (let one = 0; one < (factors?.length ?? arms); one++) {
    const levels = factors?.[one];
    const on = (arm: number) => (levels ? levels[arm]! : Number(arm === one));
    const apart = units.map((value, day) => {
      if (Number.isNaN(value)) return Number.NaN;
      return on(own.plus[day]!) - (own.minus[day]! >= 0 ? on(own.minus[day]!) : 0);
    });
    const observed = reckoning.statistic(apart, own, 0);
    if (!Number.isNaN(observed))
      least = Math.min(least, shareOf(reference, extremes(reckoning, apart, reference, observed)));
  }
  return least;
}

/**
 * Gives the look at a trial's numbers: enough looks an arm, the randomisation test on the trial's own set at `alpha`, the arm
 * of the tested effect, and what the missing days could do to it. The verdict and the simulation of power are this
 * same function. `own` is the drawn sequence, `upTo` the days that were due by this look (those after it have no number
 * yet and do not count as missing). `reckoning` is the statistic where it is not the design's usual one. With `simulated`, p is only told from α and not counted out.
 * Source: methods.md 3 (tests; missing days).
 */
export function deciderOf(
  design: Design,
  arms: number,
  reference: Reference,
  better: 'higher' | 'lower',
  reckoning: Reckoning = reckoningOf(design, arms),
) {
  // What missing days could do is reckoned with a number a day, whatever the statistic.
  const plain = reckoningOf(design, arms);
  const contrasts = contrastsOf(design, arms);
  return (own: Sides, numbers: DayNumbers, upTo: number, alpha: number, simulated = false): Decision => {
    const units = unitsOf(numbers);
    const looks = daysOf(own, arms, upTo, (day) => !Number.isNaN(units[day]!));
    const due = dueBy(own, arms, upTo);
    const nothing = { p: null, tested: null, looks, due };
    const effects = reckoning.effects(units, own, 0);
    const values = contrasts.map((weights) => contrastOf(weights, effects));
    if (values.some(Number.isNaN)) return { ...nothing, standing: 'too few looks' };
    const observed = reckoning.statistic(units, own, 0);
    const contrast = values.findIndex((value) => Math.abs(value) > observed - 1e-9);
    const value = values[contrast]!;
    const sign = Math.sign(value);
    const favoured = better === 'higher' ? sign : -sign;
    const side = (which: number) =>
      contrasts[contrast]!.flatMap((weight, arm) =>
        Math.sign(weight) === which && which !== 0 ? [arm] : [],
      );
    const tested = { contrast, value, named: side(favoured), over: side(-favoured) };
    if (tooFew(looks, due)) return { ...nothing, tested, standing: 'too few looks' };
    const most = mostAt(reference, alpha);
    const extreme = extremes(reckoning, units, reference, observed, simulated ? most : undefined);
    const p = shareOf(reference, extreme);
    const at = { p, tested, looks, due };
    const complete = looks.every((n, arm) => n === due[arm]);
    if (extreme > most) {
      if (!simulated && !complete && leastReachable(plain, units, own, reference, arms, design) > alpha)
        return { ...at, p: null, standing: 'out of reach' };
      return { ...at, standing: 'open' };
    }
    if (
      !complete &&
      !holdsAtWorst(plain, contrasts[contrast]!, sign, tested.named, numbers, own, upTo, better)
    )
      return { ...at, p: null, standing: 'missing days could turn it' };
    return { ...at, standing: 'decided' };
  };
}
