import { type Mass, restrictedMean, turnbull } from '../inference/turnbull.ts';
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

/**
 * Mean good days of an arm up to `upTo` from the maximum-likelihood curve of its wears; a wear cut short keeps only its
 * own. Null without a wear, or where over half of them were cut. Source: methods.md 6.
 */
export function lastingOf(wears: readonly Wear[], arm: number, upTo: number): Lasting | null {
  const own = wears.flatMap((wear) => (wear.arm === arm && wear.seen ? [wear.seen] : []));
  const cut = own.filter(({ from, to }) => to === null && from < upTo).length;
  if (own.length === 0 || cut * 2 > own.length) return null;
  const curve = turnbull(own.map(({ from, to }) => ({ low: from, high: to ?? Number.POSITIVE_INFINITY })));
  return { ...restrictedMean(curve, upTo), wears: own.length, cut, curve };
}

/** How many of an arm's wears were still good on a day, of those of which that is known. */
export function goodOn(wears: readonly Wear[], arm: number, day: number): { good: number; known: number } {
  const own = wears.flatMap((wear) => (wear.arm === arm && wear.seen ? [wear.seen] : []));
  const good = own.filter(({ from }) => from >= day).length;
  const ended = own.filter(({ from, to }) => from < day && to !== null && to <= day).length;
  return { good, known: good + ended };
}

/** What ended an arm's wears by `upTo`. */
export interface Ended {
  /** A check-in saw that it was no longer good. */
  look: number;
  /** It was washed or restyled for its looks or an itch. */
  wash: number;
  /** It was cut short while still good, for another reason. */
  cut: number;
  /** It was still good on the last day. */
  lasted: number;
}

export function endedBy(wears: readonly Wear[], arm: number, upTo: number): Ended {
  const found: Ended = { look: 0, wash: 0, cut: 0, lasted: 0 };
  for (const { arm: own, seen } of wears) {
    if (own !== arm || !seen) continue;
    if (seen.from >= upTo) found.lasted++;
    else if (seen.to === null) found.cut++;
    else found[seen.toldBy ?? 'look']++;
  }
  return found;
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
