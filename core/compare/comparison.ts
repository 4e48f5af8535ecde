import { armEffects, designStatistic, factorEffects } from '../inference/effects.ts';
import { type Interval, inversionInterval, pairInterval } from '../inference/inversion-interval.ts';
import { type RandomisationTest, randomisationTest } from '../inference/randomisation-test.ts';
import { type DayValue, daysAboveLine, type Longevity, longevity } from '../outcomes/days-above-line.ts';
import { WEAR_ENDS } from '../outcomes/events.ts';
import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import { canDecide, smallestP } from '../trial/allocation.ts';
import { washDaysNeeded } from '../trial/days-needed.ts';
import { DESIGNS, type Design, isComparison, schemeOf } from '../trial/designs.ts';
import { outcomeByDay, shrinkageByDay, unratedZones, type WashDayRecord } from './wash-day-record.ts';

/** What was promised before the data, and what the trial's plan was. */
export interface TrialPromise {
  design: Design;
  arms: readonly string[];
  plannedWashDays: number;
  primary: Outcome;
  /** Day of wear on which the outcomes are compared; 1 is the reveal. */
  onDay: number;
  line: number;
  /** Smallest difference in the primary outcome that matters to the wearer, in points. */
  matters: number;
  alpha: number;
  /** Promised zone weights, by zone id. */
  weights: ReadonlyMap<string, number>;
  /** The side each of those zones lies on; 'both' counts for neither half. */
  sides: ReadonlyMap<string, 'left' | 'right' | 'both'>;
  /** One look, when all is in, or two: the first half-way at α .01, the last at .04 (methods.md 3). */
  looks: 1 | 2;
  seed: number;
}

export interface TrialRecord {
  promise: TrialPromise;
  /** The design's code by position; known as far as it has been opened, whole once the trial has ended. */
  allocation: readonly number[];
  /** How it ended; 'look' for the promised first look, taken half-way. */
  ended: 'no' | 'look' | 'as planned' | 'early';
  washDays: readonly WashDayRecord[];
}

/** One measure set side by side by arm: a number per wash day (or half), means, and differences from arm 0. */
export interface Contrast {
  byWashDay: { position: number; arm: number; half: WashDayRecord['half']; value: number | null }[];
  /** One number a wash day as the design tests it: the value itself, or left less right. */
  units: (number | null)[];
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
  half: 'left' | 'right' | null;
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

export type PrimaryState = 'waiting' | 'describes' | 'decided' | 'cannot tell' | 'noise';

export interface Noise {
  sd: number;
  freedom: number;
  bias: number | null;
}

export interface Factor {
  which: 'first' | 'second' | 'interaction';
  effect: number;
  interval: Interval | null;
}

export interface Primary {
  state: PrimaryState;
  finished: number;
  smallestP: number;
  /** The level this look is taken at. */
  alpha: number;
  /** Null until every planned wash day is in, and for a plan that can only describe. */
  test: RandomisationTest | null;
  /**
   * Pooled standard deviation between wash days within an arm (half-heads: of left less right), its degrees of freedom,
   * and in half-heads the mean of left less right, the side's own bias. Null with fewer than two in every arm.
   */
  noise: Noise | null;
  /** Main effects and interaction with their intervals, where two factors were crossed. */
  factors: Factor[];
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

/** The promised weights that count for a wash day, or for its half. */
export function weightsOf(promise: TrialPromise, { half }: WashDayRecord): ReadonlyMap<string, number> {
  if (half === null) return promise.weights;
  return new Map([...promise.weights].filter(([zoneId]) => promise.sides.get(zoneId) === half));
}

function contrast(record: TrialRecord, value: (washDay: WashDayRecord) => number | null): Contrast {
  const { promise } = record;
  const { design, arms } = promise;
  const byWashDay = record.washDays.map((day) => ({
    position: day.position,
    arm: day.arm,
    half: day.half,
    value: value(day),
  }));
  const at = new Map(byWashDay.map((day) => [`${day.position} ${day.half ?? ''}`, day.value]));
  const units = record.allocation.map((_, position) => {
    if (!DESIGNS[design].halves) return at.get(`${position} `) ?? null;
    const [left, right] = [at.get(`${position} left`) ?? null, at.get(`${position} right`) ?? null];
    return left === null || right === null ? null : left - right;
  });
  const means = arms.map((_, arm) =>
    mean(byWashDay.flatMap((day) => (day.arm === arm && day.value !== null ? [day.value] : []))),
  );
  const effects = armEffects(design, units, record.allocation, arms.length);
  const whole = record.ended !== 'no' && record.allocation.length === promise.plannedWashDays;
  const differences = arms.slice(1).map((_, i) => {
    const arm = i + 1;
    const difference = effects[arm]! - effects[0]!;
    return {
      arm,
      difference: Number.isNaN(difference) ? null : difference,
      interval:
        whole && !Number.isNaN(difference)
          ? pairInterval(
              design,
              units,
              record.allocation,
              arms.length,
              [0, arm],
              finalAlpha(promise),
              promise.seed,
            )
          : null,
    };
  });
  return { byWashDay, units, means, differences };
}

/** The level of the last look; the first of two is taken at .01. */
export const finalAlpha = ({ looks, alpha }: Pick<TrialPromise, 'looks' | 'alpha'>): number =>
  looks === 2 ? LOOKS.last : alpha;
/** Levels of two promised looks. Source: methods.md 3. */
export const LOOKS = { first: 0.01, last: 0.04 } as const;

const onDay = (days: readonly DayValue[], wanted: number) =>
  days.find(({ day }) => day === wanted)?.value ?? null;

function curvesOf(record: TrialRecord, outcome: Outcome): Curve[] {
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

/** Pooled standard deviation of the values around their arm's mean, or null without a degree of freedom. */
export function pooledSd(
  days: readonly { arm: number; value: number | null }[],
  arms: number,
): { sd: number; freedom: number } | null {
  let squares = 0;
  let freedom = 0;
  for (let arm = 0; arm < arms; arm++) {
    const values = days.flatMap((day) => (day.arm === arm && day.value !== null ? [day.value] : []));
    const centre = mean(values);
    if (centre === null) continue;
    squares += values.reduce((sum, value) => sum + (value - centre) ** 2, 0);
    freedom += values.length - 1;
  }
  return freedom > 0 ? { sd: Math.sqrt(squares / freedom), freedom } : null;
}

/** How much wash days differ by themselves, as the design's own numbers show it. */
function noiseOf(record: TrialRecord, first: Contrast): Noise | null {
  const { design, arms } = record.promise;
  if (!DESIGNS[design].halves) {
    const pooled = pooledSd(first.byWashDay, arms.length);
    return pooled && { ...pooled, bias: null };
  }
  const days = first.units.map((value, position) => ({ arm: record.allocation[position]!, value }));
  const codes = Math.max(1, ...record.allocation.map((code) => code + 1));
  const pooled = pooledSd(days, codes);
  return pooled && { ...pooled, bias: mean(days.flatMap(({ value }) => value ?? [])) };
}

function factorsOf(record: TrialRecord, first: Contrast): Factor[] {
  const { design, arms, alpha, seed } = record.promise;
  if (design !== 'factorial' || first.means.some((m) => m === null)) return [];
  const effects = factorEffects(first.means as number[]);
  const scheme = schemeOf(design, arms.length, record.allocation.length);
  const levels: Record<Factor['which'], (code: number) => number> = {
    first: (code) => (code >= 2 ? 0.5 : -0.5),
    second: (code) => (code % 2 === 1 ? 0.5 : -0.5),
    interaction: (code) => (code === 0 || code === 3 ? 0.5 : -0.5),
  };
  return (['first', 'second', 'interaction'] as const).map((which) => ({
    which,
    effect: effects[which],
    interval:
      record.ended === 'as planned'
        ? inversionInterval(
            scheme,
            first.units,
            record.allocation,
            alpha,
            seed,
            (values, sequence) => factorEffects(armEffects(design, values, sequence, 4))[which],
            record.allocation.map(levels[which]),
          )
        : null,
  }));
}

function primaryOf(record: TrialRecord, first: Contrast): Primary {
  const { promise } = record;
  const { design } = promise;
  const arms = promise.arms.length;
  const scheme = schemeOf(design, arms, promise.plannedWashDays);
  const alpha = record.ended === 'look' ? LOOKS.first : finalAlpha(promise);
  const base = {
    finished: first.units.filter((value) => value !== null).length,
    smallestP: smallestP(scheme),
    alpha,
    noise: noiseOf(record, first),
    factors: factorsOf(record, first),
    washDaysNeeded: null,
    test: null,
  };
  if (!isComparison(design)) return { ...base, state: 'noise' };
  if (record.ended === 'no') return { ...base, state: 'waiting' };
  const comparable = first.differences.every(({ difference }) => difference !== null);
  if (!canDecide(scheme, alpha) || record.ended === 'early' || !comparable)
    return { ...base, state: 'describes' };
  // At a first look the wash days to come are without a number yet, and their part of the lot stays free.
  const units = Array.from({ length: promise.plannedWashDays }, (_, i) => first.units[i] ?? null);
  const drawn = Array.from({ length: promise.plannedWashDays }, (_, i) => record.allocation[i] ?? 0);
  const test = randomisationTest(
    scheme,
    drawn,
    (sequence) => designStatistic(design, units, sequence, arms),
    promise.seed,
  );
  if (test.p <= alpha) return { ...base, state: 'decided', test };
  const needed = base.noise === null ? null : washDaysNeeded(base.noise.sd, promise.matters, design, arms);
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
      contrast(record, (day) => onDay(outcomeByDay(day, name, weightsOf(promise, day)), promise.onDay)),
    ]),
  ) as Record<Outcome, Contrast>;
  const { better } = OUTCOMES[promise.primary];
  const wear: Wear[] = record.washDays.map((day) => {
    const days = outcomeByDay(day, promise.primary, weightsOf(promise, day));
    const byLooks = day.wearEnd !== null && WEAR_ENDS[day.wearEnd].event;
    return {
      position: day.position,
      half: day.half,
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
    shrinkage: contrast(record, (day) => onDay(shrinkageByDay(day), promise.onDay)),
    curves: Object.fromEntries(names.map((name) => [name, curvesOf(record, name)])) as Record<
      Outcome,
      Curve[]
    >,
    wear,
    restrictedTo,
    meanDaysAbove,
    partial: record.washDays.flatMap((day) => {
      const weights = weightsOf(promise, day);
      const unrated = unratedZones(day, promise.primary, weights, promise.onDay).length;
      return unrated === 0 || unrated === weights.size ? [] : [{ position: day.position, unrated }];
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
