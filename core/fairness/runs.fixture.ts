import { EMPTY_SETTINGS } from '../routine/step.ts';
import type { Run, RunStep } from './run.ts';

/** Made-up sides of a comparison, for tests: products go by their ids in capitals. */
export const name = (id: string) => id.toUpperCase();
export const g = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;

export function step(slot: RunStep['slot'], to: Partial<RunStep> = {}): RunStep {
  const settings = { ...EMPTY_SETTINGS, ...to };
  return {
    key: `plan ${slot}`,
    slot,
    part: 'held',
    optional: false,
    tolerance: 0.2,
    planned: null,
    ...settings,
  };
}

const ROUTINE = [
  step('cleanse', { productId: 'soap', dose: g(8), minutes: 3 }),
  step('condition', { productId: 'milk', dose: g(15), minutes: 5 }),
  step('leave-in', { productId: 'mist', wetness: 'wet' }),
  step('hold', { productId: 'gel', dose: g(12), wetness: 'wet', technique: 'rake', part: 'tested' }),
  step('dry', { tool: 'diffuser', minutes: 30, heat: 'low', extra: { stopAt: 100 } }),
];

export function run(
  to: Partial<Run> = {},
  change: Partial<Record<RunStep['slot'], Partial<RunStep> | null>> = {},
): Run {
  return {
    name: 'wash day 1',
    washDayId: 'd1',
    wearerId: 'w',
    half: null,
    arm: 'a',
    steps: ROUTINE.flatMap((one) => {
      const own = change[one.slot];
      return own === null ? [] : { ...one, ...own };
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
    stake: null,
    ...to,
  };
}
export const second = (to: Partial<Run> = {}, change: Parameters<typeof run>[1] = {}) =>
  run({ name: 'wash day 2', washDayId: 'd2', ...to }, change);
