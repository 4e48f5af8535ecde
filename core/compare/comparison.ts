import { type DaysNeeded, daysNeeded } from '../inference/days-needed.ts';
import { NOISE_ALONE } from '../inference/power.ts';
import type { Reference } from '../inference/reference-set.ts';
import { mean } from '../middle.ts';
import type { EventKind } from '../outcomes/events.ts';
import type { DayValue } from '../outcomes/good-days.ts';
import type { HoldTooLow } from '../outcomes/hold-test.ts';
import { OUTCOMES, type Outcome, RATING_RANGE } from '../outcomes/outcomes.ts';
import { DESIGNS } from '../trial/designs.ts';
import { type Contrast, contrastOfRecord } from './contrast.ts';
import { type FeltRow, feltByArm } from './felt-by-arm.ts';
import { type LastingMain, lastingMain } from './lasting-main.ts';
import { isOutcome, type MainResult, mainResult, POINTS_A_WORD, ratedBy } from './main-result.ts';
import { type Primary, primaryOf, referenceOfRecord } from './primary.ts';
import type { TrialRecord } from './trial-record.ts';
import { type UpkeepRow, upkeepByArm } from './upkeep.ts';
import { outcomeByDay, ratingsOn, shrinkageByDay, unratedZones } from './wash-day-record.ts';
import {
  type ArmMoney,
  type Curve,
  curvesOf,
  type Lasting,
  lastingOf,
  moneyOf,
  type Wear,
  wearsOf,
  weightsOf,
} from './wear.ts';

export interface Comparison {
  primary: Primary;
  /** The main result, and every rated outcome; where the main result is one of these it is the same. */
  main: Contrast;
  outcomes: Record<Outcome, Contrast>;
  shrinkage: Contrast;
  /** Minutes by the steps' clocks, of whole heads. */
  minutes: { dry: Contrast; handsOn: Contrast };
  /** Hairs shed, of whole heads. */
  shed: Contrast;
  mainCurves: Curve[];
  curves: Record<Outcome, Curve[]>;
  wear: Wear[];
  /** Mean good days of each arm up to the planned days of wear. */
  lasting: (Lasting | null)[];
  /** The same set side by side, with the interval of its difference. */
  goodDays: Contrast;
  /** Wash days whose number on the judged day rests on fewer zones than promised, with how many were left unrated. */
  partial: { position: number; unrated: number }[];
  /** Share of each arm's ratings of the main result, on the judged day, that sit at an end of the scale. */
  atEnds: { low: number; high: number }[];
  money: ArmMoney[];
  /** Readings in five words, effort and patience, arm by arm. */
  felt: FeltRow[];
  /** What the hair of each arm needed while worn. */
  upkeep: UpkeepRow[];
  /** Where the hold was too low, by wash day or half. */
  holdTooLow: (HoldTooLow & { position: number; arm: number })[];
  /** Wash days or halves that were spoiled and are not judged from a day on. */
  spoiled: {
    position: number;
    half: 'left' | 'right' | null;
    arm: number;
    fromDay: number;
    kind: EventKind;
  }[];
}

const onDay = (days: readonly DayValue[], wanted: number) =>
  days.find(({ day }) => day === wanted)?.value ?? null;

/** The share of an arm's ratings that could go no further; the wanted word itself is no end of a scale. */
function atEndsOf({ promise, washDays }: TrialRecord, arm: number): { low: number; high: number } {
  const { felt, measured } = mainResult(promise.primary);
  if (felt || measured) return { low: 0, high: 0 };
  const values = washDays
    .filter((day) => day.arm === arm)
    .flatMap((day) => ratingsOn(day, promise.primary, promise.onDay))
    .filter(({ zoneId }) => zoneId === null || promise.weights.has(zoneId))
    .map(({ value }) => value);
  const share = (end: number) => mean(values.map((value) => (value === end ? 1 : 0))) ?? 0;
  return { low: share(RATING_RANGE.lowest), high: share(RATING_RANGE.highest) };
}

/** The contrast of an outcome, a reading or what is measured, on the judged day. */
const onJudgedDay = (record: TrialRecord, reference: Reference | null, name: MainResult): Contrast =>
  contrastOfRecord(record, reference, (day) =>
    onDay(outcomeByDay(day, name, weightsOf(record.promise, day)), record.promise.onDay),
  );

/** A trial's main result alone, as {@link compareTrial} reads it. */
export function mainOf(record: TrialRecord): { main: Contrast; primary: Primary } {
  const reference = referenceOfRecord(record);
  const good = mainResult(record.promise.primary).lasting
    ? lastingMain(record, reference, wearsOf(record))
    : null;
  const main = good?.contrast ?? onJudgedDay(record, reference, record.promise.primary);
  return { main, primary: primaryOf(record, main, reference, good) };
}

/**
 * A trial read as it was run: every outcome by arm on the judged day and over the days, the main result's
 * randomisation test on the trial's own allocation set, good days, shrinkage and cost. One number per wash day goes into
 * every mean. Only the main result gets a p. Source: methods.md 3 and 6.
 */
export function compareTrial(record: TrialRecord): Comparison {
  const { promise } = record;
  const names = Object.keys(OUTCOMES) as Outcome[];
  const reference = referenceOfRecord(record);
  const contrastOf = (name: MainResult) => onJudgedDay(record, reference, name);
  const outcomes = Object.fromEntries(names.map((name) => [name, contrastOf(name)])) as Record<
    Outcome,
    Contrast
  >;
  const curves = Object.fromEntries(names.map((name) => [name, curvesOf(record, name)])) as Record<
    Outcome,
    Curve[]
  >;
  const { primary } = promise;
  const rated = ratedBy(primary);
  const wear = wearsOf(record);
  const goodDays = lastingMain(record, reference, wear);
  const good: LastingMain | null = mainResult(primary).lasting ? goodDays : null;
  const main = good?.contrast ?? (isOutcome(primary) ? outcomes[primary] : contrastOf(primary));
  const lasting = promise.arms.map((_, arm) => lastingOf(wear, arm, promise.wearDays));
  return {
    primary: primaryOf(record, main, reference, good),
    main,
    outcomes,
    shrinkage: contrastOfRecord(record, reference, (day) => onDay(shrinkageByDay(day), promise.onDay)),
    minutes: {
      dry: contrastOfRecord(record, reference, ({ minutes }) => minutes.dry),
      handsOn: contrastOfRecord(record, reference, ({ minutes }) => minutes.handsOn),
    },
    shed: contrastOfRecord(record, reference, ({ shed }) => shed),
    mainCurves: isOutcome(rated) ? curves[rated] : curvesOf(record, rated),
    curves,
    wear,
    lasting,
    goodDays: goodDays.contrast,
    partial: record.washDays.flatMap((day) => {
      // How long it stayed good is read from all days, not from one.
      if (good) return [];
      const weights = weightsOf(promise, day);
      const unrated = unratedZones(day, promise.primary, weights, promise.onDay).length;
      return unrated === 0 || unrated === weights.size ? [] : [{ position: day.position, unrated }];
    }),
    atEnds: promise.arms.map((_, arm) => atEndsOf(record, arm)),
    money: promise.arms.map((_, arm) => moneyOf(record, arm, lasting[arm]?.middle ?? null)),
    felt: feltByArm(record),
    upkeep: upkeepByArm(record),
    holdTooLow: record.washDays.flatMap(({ position, arm, holdTooLow }) =>
      holdTooLow.map((one) => ({ ...one, position, arm })),
    ),
    spoiled: record.washDays.flatMap(({ position, half, arm, spoiled }) =>
      spoiled === null ? [] : [{ position, half, arm, ...spoiled }],
    ),
  };
}

/** The coarsest step that all ratings of the main result keep to: whole points, half ones, or a word of five. */
function stepOf({ promise, washDays }: TrialRecord): number {
  if (mainResult(promise.primary).felt) return POINTS_A_WORD;
  const values = washDays.flatMap((day) => ratingsOn(day, promise.primary, promise.onDay));
  return values.every(({ value }) => Number.isInteger(value)) ? 1 : 0.5;
}

/**
 * How many wash days this trial's plan would take to see the difference that matters, from the noise its wash days
 * showed; null where they showed none or there is nothing to test. Takes seconds: it simulates the plan.
 */
export function daysNeededAfter(record: TrialRecord, { primary, main }: Comparison): DaysNeeded | null {
  const { promise } = record;
  const { noise } = primary;
  if (noise === null || noise.sd === 0 || !referenceOfRecord(record)) return null;
  const { halves } = DESIGNS[promise.design];
  const { looks, due } = main;
  const seen =
    looks.reduce((sum, n) => sum + n, 0) /
    Math.max(
      1,
      due.reduce((sum, n) => sum + n, 0),
    );
  const zones = promise.weights.size / (halves ? 2 : 1);
  return daysNeeded(
    {
      ...NOISE_ALONE,
      design: promise.design,
      arms: promise.arms.length,
      looks: promise.looks,
      alpha: promise.alpha,
      better: mainResult(promise.primary).better,
      noise: { sd: noise.sd, freedom: noise.freedom },
      // What is measured has no steps and no ends.
      scale: mainResult(promise.primary).measured
        ? null
        : { step: stepOf(record), zones: Math.max(1, Math.round(zones)), level: noise.level },
      bias: noise.bias ?? 0,
      missing: 1 - seen,
    },
    promise.matters,
  );
}
