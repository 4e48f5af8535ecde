import { type Between, type Mass, restrictedMean, turnbull } from '../inference/turnbull.ts';
import { mean } from '../middle.ts';
import { WEAR_ENDS } from '../outcomes/events.ts';
import { type DayValue, type GoodDays, goodDays } from '../outcomes/good-days.ts';
import { type CostGap, gapsOnce } from '../shelf/wash-cost.ts';
import { type MainResult, mainResult, ratedBy } from './main-result.ts';
import type { TrialPromise, TrialRecord } from './trial-record.ts';
import { outcomeByDay, type WashDayRecord } from './wash-day-record.ts';

/** An outcome over the days of wear. */
export interface Curve {
  arm: number;
  /** Mean over the wash days that were looked at on that day, and how many those were. */
  mean: (DayValue & { count: number })[];
  washDays: { position: number; days: DayValue[] }[];
}

export interface Wear {
  position: number;
  half: 'left' | 'right' | null;
  arm: number;
  /** Null where the outcome was never rated. */
  seen: GoodDays | null;
}

/** Good days of an arm's wears up to the planned wear. */
export interface Lasting {
  /** Mean good days: the middle of what the looks leave open, from `low` to `high`. */
  low: number;
  middle: number;
  high: number;
  /** Wears it rests on, and how many of those were cut short while still good. */
  wears: number;
  cut: number;
  /** The curve it is the mean of: how much of the wears ended in which stretch of days. */
  curve: Mass[];
}

export interface ArmMoney {
  costPerWash: number | null;
  testedCostPerWash: number | null;
  costPerGoodDay: number | null;
  currency: string | null;
  gaps: CostGap[];
}

/** The promised weights that count for a wash day, or for its half. */
export function weightsOf(promise: TrialPromise, { half }: WashDayRecord): ReadonlyMap<string, number> {
  if (half === null) return promise.weights;
  return new Map([...promise.weights].filter(([zoneId]) => promise.sides.get(zoneId) === half));
}

export function curvesOf(record: TrialRecord, outcome: MainResult): Curve[] {
  return record.promise.arms.map((_, arm) => {
    const washDays = record.washDays
      .filter((day) => day.arm === arm)
      .map((day) => ({
        position: day.position,
        days: outcomeByDay(day, outcome, weightsOf(record.promise, day)),
      }));
    const byDay = new Map<number, number[]>();
    for (const { days } of washDays)
      for (const { day, value } of days) byDay.set(day, [...(byDay.get(day) ?? []), value]);
    const means = [...byDay].sort(([a], [b]) => a - b);
    return {
      arm,
      washDays,
      mean: means.map(([day, values]) => ({ day, value: mean(values)!, count: values.length })),
    };
  });
}

/** How each wear went, on the promised outcome and the wearer's limit. */
export function wearsOf({ promise, washDays }: TrialRecord): Wear[] {
  const rated = ratedBy(promise.primary);
  const { better } = mainResult(rated);
  return washDays.map((day) => {
    const days = outcomeByDay({ checkIns: day.worn }, rated, weightsOf(promise, day));
    const forLooks = day.wearEnd !== null && WEAR_ENDS[day.wearEnd].event;
    const washedOn = forLooks ? (day.wearEndDay ?? (days.at(-1)?.day ?? 0) + 1) : null;
    return {
      position: day.position,
      half: day.half,
      arm: day.arm,
      seen: days.length === 0 ? null : goodDays(days, promise.line, better, washedOn),
    };
  });
}

/** When a wear stopped being good; null while it may still go on, or where nothing was rated. `over`: its wear is through, or was spoiled. */
export function endOf(seen: GoodDays | null, over: boolean, upTo: number): Between | null {
  if (!seen || (!over && seen.to === null && seen.from < upTo)) return null;
  return { low: seen.from, high: seen.to ?? Number.POSITIVE_INFINITY };
}

/** Wears that were cut short while still good, before the day that is counted to. */
export const cutIn = (ends: readonly Between[], upTo: number): number =>
  ends.filter(({ low, high }) => high === Number.POSITIVE_INFINITY && low < upTo).length;

/** Whether over half of the wears were cut short: nothing is said of how long they last. Source: methods.md 6. */
export const mostlyCut = (ends: readonly Between[], upTo: number): boolean =>
  cutIn(ends, upTo) * 2 > ends.length;

/**
 * Mean good days of an arm up to `upTo` from the maximum-likelihood curve of its wears; a wear cut short keeps only its
 * own. Null without a wear, or where over half of them were cut. Source: methods.md 6.
 */
export function lastingOf(wears: readonly Wear[], arm: number, upTo: number): Lasting | null {
  const own = wears.flatMap((wear) => (wear.arm === arm ? (endOf(wear.seen, true, upTo) ?? []) : []));
  if (own.length === 0 || mostlyCut(own, upTo)) return null;
  const cut = cutIn(own, upTo);
  const curve = turnbull(own);
  return { ...restrictedMean(curve, upTo), wears: own.length, cut, curve };
}

/** What a wash with an arm costs, and what a good day does. */
export function moneyOf(record: TrialRecord, arm: number, goodDaysEach: number | null): ArmMoney {
  const days = record.washDays.filter((day) => day.arm === arm);
  const currencies = new Set(days.flatMap(({ cost }) => cost.currency ?? []));
  const gaps = gapsOnce(days.flatMap(({ cost }) => cost.gaps));
  const [currency = null] = currencies;
  if (currencies.size !== 1)
    return { costPerWash: null, testedCostPerWash: null, costPerGoodDay: null, currency: null, gaps };
  const costPerWash = mean(days.flatMap(({ cost }) => cost.cost?.usual ?? []));
  const testedCostPerWash = mean(days.flatMap(({ testedCost }) => testedCost.cost?.usual ?? []));
  const costPerGoodDay =
    costPerWash === null || goodDaysEach === null || goodDaysEach === 0 ? null : costPerWash / goodDaysEach;
  return { costPerWash, testedCostPerWash, costPerGoodDay, currency, gaps };
}
