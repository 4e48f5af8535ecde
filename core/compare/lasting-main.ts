import type { Reckoning } from '../inference/effects.ts';
import { lastingReckoning, meanGoodDays, pseudoDays } from '../inference/lasting.ts';
import { type Reference, referenceOf } from '../inference/reference-set.ts';
import { DESIGNS } from '../trial/designs.ts';
import { type Contrast, contrastOfRecord } from './contrast.ts';
import type { TrialRecord } from './trial-record.ts';
import type { WashDayRecord } from './wash-day-record.ts';
import { endOf, mostlyCut, type Wear } from './wear.ts';

/** How long the hair stayed good, as a trial's main result. */
export interface LastingMain {
  /** Wash days by their pseudo-values; arms and differences by their curves. */
  contrast: Contrast;
  reckoning: Reckoning;
  /** Arms of which over half of the wears were cut short: nothing is said of how long they last. */
  cutShort: number[];
}

/** Sequences beyond which the curves are made anew for a sample of them. Source: methods.md 6. */
const EXACT_UP_TO = 1000;
const SAMPLES = 1999;

/** The sequences a trial's longevity is tested on. */
export const lastingReference = ({ promise }: TrialRecord): Reference =>
  referenceOf(promise.design, promise.arms.length, promise.plannedWashDays, EXACT_UP_TO, SAMPLES);

/**
 * How long each arm stayed good as a trial's main result, up to the planned days of wear: arm means from the
 * maximum-likelihood curve of their own wears, a number a wash day (or half) by pseudo-values of the curve of all. In
 * half-heads a day counts with both its sides. Source: methods.md 6.
 */
export function lastingMain(
  record: TrialRecord,
  reference: Reference | null,
  wear: readonly Wear[],
): LastingMain {
  const { design, arms, plannedWashDays, wearDays } = record.promise;
  const { halves } = DESIGNS[design];
  const ends = record.washDays.map((day, i) => ({
    day,
    // One that was spoiled is cut there.
    end: endOf(wear[i]!.seen, day.wearEnd !== null || day.spoiled !== null, wearDays),
  }));
  const whole = (position: number) =>
    !halves || ends.filter(({ day, end }) => day.position === position && end !== null).length === 2;
  const counted = ends.flatMap(({ day, end }) => (end !== null && whole(day.position) ? [{ day, end }] : []));
  const values = pseudoDays(
    counted.map(({ end }) => end),
    wearDays,
  );
  const worthOf = new Map(counted.map(({ day }, i) => [day, values[i]!]));
  const at = (half: WashDayRecord['half']) =>
    Array.from(
      { length: plannedWashDays },
      (_, position) =>
        counted.find(({ day }) => day.position === position && (half === null || day.half === half))?.end ??
        null,
    );
  const own = arms.map((_, arm) => counted.flatMap(({ day, end }) => (day.arm === arm ? [end] : [])));
  const cutShort = own.flatMap((ends, arm) => (mostlyCut(ends, wearDays) ? [arm] : []));
  const means = own.map((ends, arm) =>
    ends.length === 0 || cutShort.includes(arm) ? null : meanGoodDays(ends, wearDays),
  );
  const contrast = contrastOfRecord(record, reference, (day) => worthOf.get(day) ?? null);
  return {
    contrast: {
      ...contrast,
      means,
      differences: contrast.differences.map((one) => {
        const [mean, from] = [means[one.arm], means[one.from]];
        return mean == null || from == null
          ? { ...one, difference: null, interval: null }
          : { ...one, difference: mean - from };
      }),
    },
    reckoning: lastingReckoning(
      design,
      arms.length,
      { left: at(halves ? 'left' : null), right: halves ? at('right') : null },
      wearDays,
    ),
    cutShort,
  };
}
