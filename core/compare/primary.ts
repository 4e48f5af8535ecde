import { deciderOf, type Standing } from '../inference/decide.ts';
import { armEffects, factorEffects, layOut } from '../inference/effects.ts';
import { type Interval, inversionInterval } from '../inference/inversion-interval.ts';
import { jointIntervals } from '../inference/joint-intervals.ts';
import { firstLookAfter, LOOKS, lastAlpha, type Reach, reach } from '../inference/reach.ts';
import { type Reference, referenceOf } from '../inference/reference-set.ts';
import { designOf, isCompared, isTested } from '../trial/designs.ts';
import { type Contrast, codesOf, dayNumbers, stands } from './contrast.ts';
import { type LastingMain, lastingReference } from './lasting-main.ts';
import { mainResult } from './main-result.ts';
import { type Noise, noiseOf } from './noise.ts';
import { PROMISES, type TrialRecord } from './trial-record.ts';

export type PrimaryState = 'waiting' | 'describes' | 'decided' | 'cannot tell' | 'noise';

/** Why a trial only describes. */
export type Why =
  | 'no lot'
  | 'ended early'
  | 'left out'
  | 'changed'
  | 'run again'
  | 'cut short'
  | 'plan'
  | 'first look'
  | Exclude<Standing, 'decided' | 'open'>;

export interface Factor {
  which: 'first' | 'second' | 'interaction';
  effect: number;
  interval: Interval | null;
}

export interface Primary {
  state: PrimaryState;
  /** Null but where it only describes. */
  why: Why | null;
  /** Wash days with a number. */
  finished: number;
  reach: Reach;
  /** The level this look is taken at. */
  alpha: number;
  /** Null until every planned wash day is in, and for a description. */
  test: { p: number; looked: number; exact: boolean } | null;
  /** The tested effect: the arms it favours, those it stands over, and how far apart they are (never negative). */
  tested: { named: number[]; over: number[]; apart: number } | null;
  noise: Noise | null;
  /** Main effects and interaction with their intervals, where two factors were crossed. */
  factors: Factor[];
}

const INTERACTION = [0.5, -0.5, -0.5, 0.5];

function factorsOf(record: TrialRecord, first: Contrast, reference: Reference | null): Factor[] {
  const { design, alpha, looks } = record.promise;
  if (!designOf(design).factors || first.means.some((m) => m === null)) return [];
  const codes = codesOf(record);
  const effects = factorEffects(armEffects(design, first.units, codes.slice(0, first.units.length), 4));
  const whole = record.ended === 'as planned' && stands(record) && reference !== null;
  const level = lastAlpha(looks, alpha);
  const [one, two] = whole ? jointIntervals(design, first.units, codes, 4, level) : [null, null];
  const both = whole
    ? inversionInterval(
        design,
        reference,
        layOut(design, [codes]),
        first.units,
        INTERACTION,
        codes.map((code) => INTERACTION[code]!),
        level,
      )
    : null;
  return [
    { which: 'first', effect: effects.first, interval: one ?? null },
    { which: 'second', effect: effects.second, interval: two ?? null },
    { which: 'interaction', effect: effects.interaction, interval: both },
  ];
}

/** The reference set that a record's test rests on; null where there is nothing to test. */
export function referenceOfRecord({ promise }: TrialRecord): Reference | null {
  const { design, arms, plannedWashDays } = promise;
  if (!isTested(design)) return null;
  return referenceOf(design, arms.length, plannedWashDays);
}

/**
 * What the main result says of the arms, by the trial's own lot; `lasting` where it is how long the hair stayed good.
 * Source: methods.md 3 and 6.
 */
export function primaryOf(
  record: TrialRecord,
  first: Contrast,
  reference: Reference | null,
  lasting: LastingMain | null = null,
): Primary {
  const { promise } = record;
  const { design, looks } = promise;
  const arms = promise.arms.length;
  const able = reach(design, arms, promise.plannedWashDays, looks, promise.alpha);
  const look = record.ended === 'look';
  const alpha = look ? LOOKS.first : lastAlpha(looks, promise.alpha);
  const base: Omit<Primary, 'state'> = {
    why: null,
    finished: first.units.filter((value) => value !== null).length,
    reach: able,
    alpha,
    test: null,
    tested: null,
    noise: noiseOf(record, first),
    factors: factorsOf(record, first, reference),
  };
  if (!isCompared(design)) return { ...base, state: 'noise' };
  if (record.ended === 'no') return { ...base, state: 'waiting' };
  const describes = (why: Why, more: Partial<Primary> = {}): Primary => ({
    ...base,
    ...more,
    state: 'describes',
    why,
  });
  if (reference === null) return describes('no lot');
  if (record.leftOut.length > 0) return describes('left out');
  if (record.ended === 'early') return describes('ended early');
  if (record.changed.some((what) => PROMISES[what].decides)) return describes('changed');
  if (record.abandoned.some(({ revealed }) => revealed)) return describes('run again');
  if (!able.decides) return describes('plan');
  if (lasting && lasting.cutShort.length > 0) return describes('cut short');
  const upTo = look ? firstLookAfter(promise.plannedWashDays) : promise.plannedWashDays;
  const { better } = mainResult(promise.primary);
  const used = lasting ? lastingReference(record) : reference;
  const decision = deciderOf(
    design,
    arms,
    used,
    better,
    lasting?.reckoning,
  )(layOut(design, [codesOf(record)]), dayNumbers(record, first.byWashDay), upTo, alpha);
  const { tested, standing, p } = decision;
  const more = {
    tested: tested && { named: tested.named, over: tested.over, apart: Math.abs(tested.value) },
    test: p === null ? null : { p, looked: used.count, exact: used.exact },
  };
  if (standing === 'decided') return { ...base, ...more, state: 'decided' };
  if (standing !== 'open') return describes(standing, more);
  if (look && !able.first?.decides) return describes('first look', { tested: more.tested });
  return { ...base, ...more, state: 'cannot tell' };
}
