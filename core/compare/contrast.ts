import { daysOf, dueBy, FEWEST_LOOKS, LEAST_SHARE, unitsOf } from '../inference/decide.ts';
import { armEffects, layOut } from '../inference/effects.ts';
import { type Interval, pairInterval } from '../inference/inversion-interval.ts';
import { jointIntervals } from '../inference/joint-intervals.ts';
import { lastAlpha } from '../inference/reach.ts';
import type { Reference } from '../inference/reference-set.ts';
import { mean } from '../middle.ts';
import { DESIGNS } from '../trial/designs.ts';
import { PROMISES, type TrialRecord } from './trial-record.ts';
import type { WashDayRecord } from './wash-day-record.ts';

/** One arm against another in one measure. */
export interface PairDifference {
  /** The arm, and the arm that is taken from it. */
  arm: number;
  from: number;
  /** Null where an arm has no value yet. */
  difference: number | null;
  /** Null where none can be given: the trial is not over, is a description, or has four arms and more. */
  interval: Interval | null;
}

/** One measure set side by side by arm: a number per wash day (or half), means, and differences. */
export interface Contrast {
  byWashDay: { position: number; arm: number; half: WashDayRecord['half']; value: number | null }[];
  /** One number a wash day as the design tests it: the value itself, or left less right. */
  units: (number | null)[];
  /**
   * What each arm stands at, as the design reckons it, so that their differences are the ones below: arm means on whole
   * heads; on half-heads the mean of the days with both sides, and each arm's effect on it.
   */
  means: (number | null)[];
  differences: PairDifference[];
  /** Wash days with a number that each arm rests on, and how many were planned. */
  looks: number[];
  due: number[];
}

/** Whether every arm has looks enough to be more than described. Source: methods.md 3, missing days. */
const enough = ({ looks, due }: Pick<Contrast, 'looks' | 'due'>): boolean =>
  looks.every((n, arm) => n >= FEWEST_LOOKS && n >= LEAST_SHARE * due[arm]!);

/** Whether a record's result is more than a description, as far as its promise and its end say. */
export const stands = ({ ended, changed, leftOut, abandoned }: TrialRecord): boolean =>
  (ended === 'as planned' || ended === 'look') &&
  leftOut.length === 0 &&
  !abandoned.some(({ revealed }) => revealed) &&
  !changed.some((what) => PROMISES[what].decides);

/** A number a position for each half, NaN without one; `right` is null on whole heads. */
export function dayNumbers(
  record: TrialRecord,
  byWashDay: Contrast['byWashDay'],
): { left: Float64Array; right: Float64Array | null } {
  const days = record.promise.plannedWashDays;
  const left = new Float64Array(days).fill(Number.NaN);
  const right = DESIGNS[record.promise.design].halves ? new Float64Array(days).fill(Number.NaN) : null;
  for (const { position, half, value } of byWashDay)
    if (value !== null && position < days) (half === 'right' && right ? right : left)[position] = value;
  return { left, right };
}

/** Codes of every planned day; a place still sealed has no number yet and may be any. */
export const codesOf = ({ allocation, promise }: TrialRecord): number[] =>
  Array.from({ length: promise.plannedWashDays }, (_, position) => allocation[position] ?? 0);

function pairsOf(arms: number): [number, number][] {
  const pairs: [number, number][] = [];
  for (let i = 0; i < arms; i++) for (let j = i + 1; j < arms; j++) pairs.push([i, j]);
  // More than three arms have too many pairs to read; each is set against the first.
  return arms <= 3 ? pairs : pairs.filter(([i]) => i === 0);
}

/**
 * One measure by arm. Intervals: with two arms by inverting the trial's own test, with three jointly over the pairs
 * (methods.md 3); with four and more, and with two factors, none for pairs. `reference` is the set of a two-arm design.
 */
export function contrastOfRecord(
  record: TrialRecord,
  reference: Reference | null,
  value: (washDay: WashDayRecord) => number | null,
): Contrast {
  const { promise } = record;
  const { design } = promise;
  const arms = promise.arms.length;
  const byWashDay = record.washDays.map((day) => ({
    position: day.position,
    arm: day.arm,
    half: day.half,
    value: value(day),
  }));
  const numbers = dayNumbers(record, byWashDay);
  const codes = codesOf(record);
  const known = record.allocation.length;
  const units = [...unitsOf(numbers)].slice(0, known).map((unit) => (Number.isNaN(unit) ? null : unit));
  const own = layOut(design, [codes]);
  // At a first look only the days before it are due.
  const due = dueBy(own, arms, record.ended === 'no' || record.ended === 'look' ? known : codes.length);
  const looks = daysOf(own, arms, known, (day) => units[day] != null);
  const effects = armEffects(design, units, codes.slice(0, known), arms);
  const halves = DESIGNS[design].halves;
  const paired = mean(
    byWashDay.flatMap((day) => (day.value !== null && units[day.position] != null ? [day.value] : [])),
  );
  const means = effects.map((effect) => {
    if (Number.isNaN(effect)) return null;
    if (!halves) return effect;
    // Of one arm on both sides there is nothing but their mean.
    return paired === null ? null : arms === 1 ? paired : paired + effect;
  });
  const interval = intervalsOf(record, reference, units, codes, { looks, due });
  const differences = pairsOf(arms).map(([from, arm], pair): PairDifference => {
    const difference = effects[arm]! - effects[from]!;
    return {
      arm,
      from,
      difference: Number.isNaN(difference) ? null : difference,
      interval: Number.isNaN(difference) ? null : (interval[pair] ?? null),
    };
  });
  return { byWashDay, units, means, differences, looks, due };
}

function intervalsOf(
  record: TrialRecord,
  reference: Reference | null,
  units: readonly (number | null)[],
  codes: readonly number[],
  counts: Pick<Contrast, 'looks' | 'due'>,
): (Interval | null)[] {
  const { design, arms, looks, alpha } = record.promise;
  if (record.ended !== 'as planned' || !stands(record) || !enough(counts)) return [];
  if (arms.length === 2 && reference)
    return [pairInterval(design, units, codes, lastAlpha(looks, alpha), reference)];
  if (arms.length === 3) return jointIntervals(design, units, codes, 3, lastAlpha(looks, alpha));
  return [];
}
