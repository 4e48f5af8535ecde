import { FELT, type Felt, feltAtStep } from '@sabor/core/felt/felt';
import { type Random, seededRandom, standardNormal } from '@sabor/core/random';
import type { Slot } from '@sabor/core/step/slots';
import { demoId } from './ids.ts';

import { push, type Row, type Rows } from './rows.ts';
import { productId } from './shelf.ts';

/** What the demo's hands and eyes usually find: the wanted word, but for these. Invented. */
const USUAL: Partial<Record<Felt, number>> = {
  tack: 1,
  drip: 1,
  liking: 3,
  dispenser: 3,
  crunch: 1,
  flakes: 0,
};

const near = (usual: number, random: Random) =>
  Math.min(4, Math.max(0, Math.round(usual + 0.6 * standardNormal(random))));

/** Strain, patience and shed hairs of a wash day: columns of its row. */
export function toldOfDay(seed: number): Pick<Row, 'strain' | 'patience' | 'shed_hairs' | 'shed_counted'> {
  const random = seededRandom(seed);
  return {
    strain: near(1, random),
    patience: near(2, random),
    shed_hairs: 5 * Math.round(70 + 12 * standardNormal(random)),
    shed_counted: false,
  };
}

/** Readings in the hand of a wash day's steps, and now and then something that went otherwise or an idea. */
export function toldOfSteps(rows: Rows, steps: readonly Row[], seed: number): void {
  const random = seededRandom(seed);
  for (const step of steps) {
    if (step.status !== 'done') continue;
    for (const quality of feltAtStep(step.slot as Slot))
      if (random.below(3) > 0)
        push(rows, 'in_hand_reading', {
          wash_step_id: step.id,
          quality,
          value: near(USUAL[quality] ?? FELT[quality].wanted, random),
        });
    if (random.below(14) === 0)
      push(rows, 'step_mark', {
        id: demoId(`mark ${step.id}`),
        wash_step_id: step.id,
        mark: 'interrupted',
        reason: random.below(2) ? 'called' : 'untold',
        note: '',
        at: step.done_at,
      });
    if (step.slot === 'hold' && random.below(3) === 0)
      push(rows, 'idea', {
        id: demoId(`idea ${step.id}`),
        wash_step_id: step.id,
        idea: random.below(2) ? 'less' : 'wetter',
        at: step.done_at,
      });
  }
}

/** Pumps of the demo's shampoo, ten of them weighed, grams. */
const PUMPS = [1.52, 1.47, 1.55, 1.61, 1.44, 1.5, 1.49, 1.58, 1.53, 1.46];

export const calibrationRows = (at: string): Row[] => [
  { product_id: productId('low-tide'), measure: 'pump', grams: PUMPS, at },
];
