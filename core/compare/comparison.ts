import { armMeans, widestGap } from '../inference/arm-means.ts';
import { type Interval, pairInterval } from '../inference/inversion-interval.ts';
import { type RandomisationTest, randomisationTest } from '../inference/randomisation-test.ts';
import { type DayValue, daysAboveLine, type Longevity, longevity } from '../outcomes/days-above-line.ts';
import { WEAR_ENDS } from '../outcomes/events.ts';
import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import { balancedComplete, canDecide, smallestP } from '../trial/allocation.ts';
import { washDaysNeeded } from '../trial/days-needed.ts';
import { outcomeByDay, shrinkageByDay, unratedZones, type WashDayRecord } from './wash-day-record.ts';

/** What was promised before the data, and what the trial's plan was. */
export interface TrialPromise {
  arms: readonly string[];
  plannedWashDays: number;
  primary: Outcome;
  line: number;
  /** Smallest difference in the primary outcome that matters to the wearer, in points. */
  matters: number;
  alpha: number;
  /** Promised zone weights, by zone id. */
  weights: ReadonlyMap<string, number>;
  seed: number;
}

export interface TrialRecord {
  promise: TrialPromise;
  /** Arm index by position; known as far as it has been opened, whole once the trial has ended. */
  allocation: readonly number[];
  ended: 'no' | 'as planned' | 'early';
  washDays: readonly WashDayRecord[];
}

/** One measure set side by side by arm: a number per wash day on day 1, means, and differences from arm 0. */
export interface Contrast {
  byWashDay: { position: number; arm: number; value: number | null }[];
  means: (number | null)[];
  /** Arm j less arm 0, for j = 1…; null where an arm has no value yet. */
  differences: { arm: number; difference: number | null; interval: Interval | null }[];
}

export interface Curve {
  arm: number;
  /** Mean over the wash days that were looked at on that day, and how many those were. */
  mean: (DayValue & { count: number })[];
  washDays: { position: number; days: DayValue[] }[];
}

export interface Wear {
  position: number;
  arm: number;
  seen: Longevity | null;
}

export interface ArmMoney {
  costPerWash: number | null;
  testedCostPerWash: number | null;
  costPerGoodDay: number | null;
  currency: string | null;
  gaps: string[];
}

export type PrimaryState = 'waiting' | 'describes' | 'decided' | 'cannot tell';

export interface Primary {
  state: PrimaryState;
  finished: number;
  smallestP: number;
  /** Null until every planned wash day is in, and for a plan that can only describe. */
  test: RandomisationTest | null;
  /** Pooled standard deviation between wash days within an arm; null with fewer than two in every arm. */
  noise: number | null;
  /** From the noise and what matters; only where the data could not tell. */
  washDaysNeeded: number | null;
}

export interface Comparison {
  primary: Primary;
  outcomes: Record<Outcome, Contrast>;
  shrinkage: Contrast;
  curves: Record<Outcome, Curve[]>;
  wear: Wear[];
  /** The common day to which days above the line are counted, and the mean per arm. */
  restrictedTo: number | null;
  meanDaysAbove: (number | null)[];
  /** Wash days whose number on day 1 rests on fewer zones than promised, with how many were left unrated. */
  partial: { position: number; unrated: number }[];
  money: ArmMoney[];
}

const mean = (values: readonly number[]) =>
  values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length;

function contrast(record: TrialRecord, value: (washDay: WashDayRecord) => number | null): Contrast {
  const { promise } = record;
  const byWashDay = record.washDays.map((day) => ({
    position: day.position,
    arm: day.arm,
    value: value(day),
  }));
  const byPosition = new Map(byWashDay.map((day) => [day.position, day.value]));
  const values = record.allocation.map((_, position) => byPosition.get(position) ?? null);
  const means = armMeans(values, record.allocation, promise.arms.length).map((m) =>
    Number.isNaN(m) ? null : m,
  );
  const whole = record.ended !== 'no' && record.allocation.length === promise.plannedWashDays;
  const differences = promise.arms.slice(1).map((_, i) => {
    const arm = i + 1;
    const [a, b] = [means[0] ?? null, means[arm] ?? null];
    return {
      arm,
      difference: a === null || b === null ? null : b - a,
      interval: whole ? pairInterval(values, record.allocation, [0, arm], promise.alpha, promise.seed) : null,
    };
  });
  return { byWashDay, means, differences };
}

const firstDay = (days: readonly DayValue[]) => days.find(({ day }) => day === 1)?.value ?? null;

function curvesOf(record: TrialRecord, outcome: Outcome): Curve[] {
  return record.promise.arms.map((_, arm) => {
    const washDays = record.washDays
      .filter((day) => day.arm === arm)
      .map((day) => ({ position: day.position, days: outcomeByDay(day, outcome, record.promise.weights) }));
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

/** Pooled standard deviation of the values around their arm's mean, or null without a degree of freedom. */
export function pooledSd(
  days: readonly { arm: number; value: number | null }[],
  arms: number,
): number | null {
  let squares = 0;
  let freedom = 0;
  for (let arm = 0; arm < arms; arm++) {
    const values = days.flatMap((day) => (day.arm === arm && day.value !== null ? [day.value] : []));
    const centre = mean(values);
    if (centre === null) continue;
    squares += values.reduce((sum, value) => sum + (value - centre) ** 2, 0);
    freedom += values.length - 1;
  }
  return freedom > 0 ? Math.sqrt(squares / freedom) : null;
}

function primaryOf(record: TrialRecord, first: Contrast): Primary {
  const { promise } = record;
  const arms = promise.arms.length;
  const scheme = balancedComplete(arms, promise.plannedWashDays);
  const finished = first.byWashDay.filter((day) => day.value !== null).length;
  const base = {
    finished,
    smallestP: smallestP(scheme),
    noise: pooledSd(first.byWashDay, arms),
    washDaysNeeded: null,
  };
  if (record.ended === 'no') return { ...base, state: 'waiting', test: null };
  const comparable = first.means.every((m) => m !== null);
  if (!canDecide(scheme, promise.alpha) || record.ended === 'early' || !comparable)
    return { ...base, state: 'describes', test: null };
  const byPosition = new Map(first.byWashDay.map((day) => [day.position, day.value]));
  const values = record.allocation.map((_, position) => byPosition.get(position) ?? null);
  const test = randomisationTest(
    scheme,
    record.allocation,
    (sequence) => widestGap(values, sequence, arms),
    promise.seed,
  );
  if (test.p <= promise.alpha) return { ...base, state: 'decided', test };
  const needed = base.noise === null ? null : washDaysNeeded(base.noise, promise.matters);
  return { ...base, state: 'cannot tell', test, washDaysNeeded: needed };
}

/**
 * A trial read as it was run: every outcome by arm on day 1 and over the days, the primary outcome's randomisation
 * test on the trial's own allocation set, days above the line, shrinkage and cost. One number per wash day goes into
 * every mean. Only the primary outcome gets a p. Source: methods.md 3.
 */
export function compareTrial(record: TrialRecord): Comparison {
  const { promise } = record;
  const names = Object.keys(OUTCOMES) as Outcome[];
  const outcomes = Object.fromEntries(
    names.map((name) => [
      name,
      contrast(record, (day) => firstDay(outcomeByDay(day, name, promise.weights))),
    ]),
  ) as Record<Outcome, Contrast>;
  const { better } = OUTCOMES[promise.primary];
  const wear: Wear[] = record.washDays.map((day) => {
    const days = outcomeByDay(day, promise.primary, promise.weights);
    const byLooks = day.wearEnd !== null && WEAR_ENDS[day.wearEnd].event;
    return {
      position: day.position,
      arm: day.arm,
      seen: days.length === 0 ? null : longevity(days, promise.line, better, byLooks),
    };
  });
  const followed = wear.flatMap(({ seen }) => (seen === null ? [] : [seen]));
  const cut = followed.filter((seen) => seen.censored).map((seen) => seen.lastAbove);
  const longest = Math.max(0, ...followed.map((seen) => seen.lastAbove));
  const restrictedTo = followed.length === 0 ? null : Math.min(longest, ...cut);
  const aboveOf = (day: Wear) => (day.seen === null ? null : daysAboveLine(day.seen, restrictedTo ?? 0));
  const meanDaysAbove = promise.arms.map((_, arm) =>
    restrictedTo === null || restrictedTo === 0
      ? null
      : mean(wear.filter((day) => day.arm === arm).flatMap((day) => aboveOf(day) ?? [])),
  );
  return {
    primary: primaryOf(record, outcomes[promise.primary]),
    outcomes,
    shrinkage: contrast(record, (day) => firstDay(shrinkageByDay(day))),
    curves: Object.fromEntries(names.map((name) => [name, curvesOf(record, name)])) as Record<
      Outcome,
      Curve[]
    >,
    wear,
    restrictedTo,
    meanDaysAbove,
    partial: record.washDays.flatMap((day) => {
      const unrated = unratedZones(day, promise.primary, promise.weights).length;
      return unrated === 0 || unrated === promise.weights.size ? [] : [{ position: day.position, unrated }];
    }),
    money: promise.arms.map((_, arm) => moneyOf(record, arm, meanDaysAbove[arm] ?? null)),
  };
}

function moneyOf(record: TrialRecord, arm: number, daysAbove: number | null): ArmMoney {
  const days = record.washDays.filter((day) => day.arm === arm);
  const currencies = new Set(days.flatMap(({ cost }) => cost.currency ?? []));
  const gaps = [...new Set(days.flatMap(({ cost }) => cost.gaps))];
  const [currency = null] = currencies;
  if (currencies.size !== 1)
    return { costPerWash: null, testedCostPerWash: null, costPerGoodDay: null, currency: null, gaps };
  const costPerWash = mean(days.flatMap(({ cost }) => cost.cost?.usual ?? []));
  const testedCostPerWash = mean(days.flatMap(({ testedCost }) => testedCost.cost?.usual ?? []));
  const costPerGoodDay =
    costPerWash === null || daysAbove === null || daysAbove === 0 ? null : costPerWash / daysAbove;
  return { costPerWash, testedCostPerWash, costPerGoodDay, currency, gaps };
}
