import { differenceInWords } from '../../words/fairness.ts';
import { plainVoice } from '../../words/voice.ts';
import type { Measured } from '../step/compare.ts';
import { EMPTY_SETTINGS } from '../step/step.ts';
import type { Difference } from './difference.ts';
import type { Half, Run, RunStep, Side } from './run.ts';

/** Made-up sides of a comparison, for tests: products go by their ids in capitals. */
export const name = (id: string) => id.toUpperCase();
export const g = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;

/** A difference as a tester reads it. */
export const inWords = (difference: Difference) => differenceInWords(difference, plainVoice(name));

export const day = (number: number, half: Half | null = null): Side => ({ is: 'wash day', number, half });
export const PLAN: Side = { is: 'plan' };
export const gift = (productId: string) => ({ productId, stake: 'gift' }) as const;

/** A step's place in a run and its settings, in one. */
type Given = Partial<Omit<RunStep, 'settings'> & Measured>;

function changed(base: RunStep, to: Given): RunStep {
  const place: Record<string, unknown> = {};
  const settings: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(to)) (key in base ? place : settings)[key] = value;
  return { ...base, ...place, settings: { ...base.settings, ...settings } };
}

export const step = (slot: RunStep['slot'], to: Given = {}): RunStep =>
  changed(
    {
      key: `plan ${slot}`,
      slot,
      part: 'held',
      optional: false,
      tolerance: 0.2,
      planned: null,
      code: null,
      marks: [],
      settings: EMPTY_SETTINGS,
    },
    to,
  );

const ROUTINE = [
  step('cleanse', { productId: 'soap', dose: g(8), minutes: 3 }),
  step('condition', { productId: 'milk', dose: g(15), minutes: 5 }),
  step('leave-in', { productId: 'mist', wetness: 'wet' }),
  step('hold', { productId: 'gel', dose: g(12), wetness: 'wet', technique: 'rake', part: 'tested' }),
  step('dry', { tool: 'diffuser', minutes: 30, heat: 'low', extra: { stopAt: 100 } }),
];

export function run(to: Partial<Run> = {}, change: Partial<Record<RunStep['slot'], Given | null>> = {}): Run {
  return {
    side: day(1),
    washDayId: 'd1',
    wearerId: 'w',
    half: null,
    arm: 'a',
    before: {},
    cameFrom: null,
    styleMeant: null,
    enteredLater: false,
    steps: ROUTINE.flatMap((one) => {
      const own = change[one.slot];
      return own === null ? [] : changed(one, own ?? {});
    }),
    dewPointC: 10,
    windMs: 3,
    outdoorHours: 2,
    buildUp: 0.4,
    protein: 0,
    since: { clarify: 10 },
    bottleDays: { gel: 20 },
    events: { bonnet: 1 },
    nights: 1,
    judgedOn: 2,
    rater: '',
    blind: true,
    stakes: [],
    ...to,
  };
}
export const second = (to: Partial<Run> = {}, change: Parameters<typeof run>[1] = {}) =>
  run({ side: day(2), washDayId: 'd2', ...to }, change);
