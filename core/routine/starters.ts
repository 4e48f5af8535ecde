import { EMPTY_SETTINGS, type RoutineStep } from '../step/step.ts';
import { STARTER_ROUTINE } from './starter.ts';

type StarterStep = Omit<RoutineStep, 'id'>;

/** A routine to begin from, without products: the tester fills in their own. */
export interface Starter {
  name: string;
  /** What it is for, and whose way it follows. */
  note: string;
  steps: readonly StarterStep[];
}

const step = (slot: StarterStep['slot'], to: Partial<StarterStep> = {}): StarterStep => ({
  ...EMPTY_SETTINGS,
  slot,
  note: '',
  ...to,
});
const head = (amount: number, measure: 'pump' | 'palmful' | 'coin' | 'ball') =>
  ({ kind: 'exact', amount, measure, per: 'head' }) as const;
const section = (amount: number, measure: 'coin' | 'pea' | 'hazelnut') =>
  ({ kind: 'exact', amount, measure, per: 'section' }) as const;

const DETANGLE = step('detangle', { tool: 'wide-comb', minutes: 5, wetness: 'dry', note: 'Ends first.' });
const CLEANSE = step('cleanse', {
  dose: head(2, 'pump'),
  wetness: 'soaking',
  minutes: 3,
  technique: 'massage',
  extra: { rounds: 1 },
});
const CONDITION = step('condition', {
  dose: head(1, 'palmful'),
  wetness: 'wet',
  minutes: 5,
  extra: { brushed: true },
});
const RINSE = step('rinse', { minutes: 2, note: 'Cool, thorough at the scalp.' });
const LEAVE_IN = step('leave-in', {
  dose: section(1, 'coin'),
  sections: 4,
  wetness: 'wet',
  technique: 'praying',
});
const PROTECT = step('protect', { tool: 'bonnet', note: 'Every night of the trial.' });
const TO_DRY = { stopAt: 100 } as const;

/** Starters for the main styles and ways of washing, in our own words. Common practice, no source. */
export const STARTERS: readonly Starter[] = [
  STARTER_ROUTINE,
  {
    name: 'Foam only, template',
    note: 'One light layer for hair that is weighed down easily.',
    steps: [
      DETANGLE,
      CLEANSE,
      CONDITION,
      RINSE,
      step('blot', { tool: 'shirt', minutes: 1 }),
      step('hold', { dose: head(3, 'ball'), sections: 4, wetness: 'damp', technique: 'scrunch' }),
      step('dry', {
        tool: 'diffuser',
        heat: 'low',
        minutes: 25,
        extra: { ...TO_DRY, posture: 'forward', power: 'low' },
      }),
      step('separate', { tool: 'fingers', wetness: 'dry', note: 'Roots only, when fully dry.' }),
      PROTECT,
    ],
  },
  {
    name: 'Finger coils, template',
    note: 'Coil by coil on wet hair for the most definition; takes time.',
    steps: [
      DETANGLE,
      CLEANSE,
      step('treat', { minutes: 15, extra: { cap: true } }),
      CONDITION,
      RINSE,
      LEAVE_IN,
      step('hold', {
        dose: section(1, 'hazelnut'),
        sections: 8,
        wetness: 'soaking',
        technique: 'finger-coils',
        minutes: 60,
        extra: { sectioning: 'rows', turning: 'away' },
      }),
      step('set', { minutes: 240, extra: TO_DRY, note: 'Leave alone until fully dry.' }),
      step('separate', { tool: 'fingers', wetness: 'dry' }),
      PROTECT,
    ],
  },
  {
    name: 'Twist set, template',
    note: 'Two-strand twists overnight, taken down dry.',
    steps: [
      DETANGLE,
      CLEANSE,
      CONDITION,
      RINSE,
      LEAVE_IN,
      step('emollient', { dose: section(1, 'pea'), sections: 8, wetness: 'damp', technique: 'smooth' }),
      step('hold', { dose: section(1, 'coin'), sections: 8, wetness: 'damp', technique: 'smooth' }),
      step('technique', { technique: 'two-strand', sections: 16, wetness: 'damp', minutes: 45 }),
      step('set', {
        minutes: 600,
        extra: { ...TO_DRY, tension: true },
        note: 'Overnight; take nothing down that is not dry.',
      }),
      step('separate', { tool: 'fingers', wetness: 'dry', extra: { splits: 2 } }),
      step('protect', { tool: 'scarf', note: 'Every night of the trial.' }),
    ],
  },
  {
    name: 'Rod set, template',
    note: 'On rods under a hood, or overnight; even curl from another pattern.',
    steps: [
      DETANGLE,
      CLEANSE,
      CONDITION,
      RINSE,
      LEAVE_IN,
      step('hold', { dose: head(2, 'ball'), sections: 8, wetness: 'damp', technique: 'smooth' }),
      step('technique', { technique: 'rods', sections: 24, wetness: 'damp', minutes: 50 }),
      step('dry', { tool: 'hood', heat: 'medium', minutes: 60, extra: TO_DRY }),
      step('separate', { tool: 'fingers', wetness: 'dry', extra: { splits: 2 } }),
      step('protect', { tool: 'bonnet', note: 'Every night of the trial.' }),
    ],
  },
  {
    name: 'Low-lather, template',
    note: 'A co-wash instead of a shampoo, nothing in it that only a shampoo lifts; clarify when the ledger says so.',
    steps: [
      DETANGLE,
      step('cleanse', {
        dose: head(2, 'palmful'),
        wetness: 'soaking',
        minutes: 6,
        technique: 'massage',
        note: 'A co-wash; rub the scalp as long as with a shampoo.',
      }),
      RINSE,
      LEAVE_IN,
      step('hold', { dose: section(1, 'coin'), sections: 4, wetness: 'soaking', technique: 'scrunch' }),
      step('blot', { tool: 'shirt', minutes: 1 }),
      step('dry', { tool: 'diffuser', heat: 'low', minutes: 30, extra: TO_DRY }),
      step('break-cast', { technique: 'scrunch', tool: 'fingers', wetness: 'dry', note: 'Dry hands.' }),
      PROTECT,
    ],
  },
  {
    name: 'Oil, clay and long rinse, template',
    note: 'Oil first, cleanse twice, mask under a cap: for thirsty lengths that dry slowly.',
    steps: [
      step('pre-wash', { minutes: 30, extra: { cap: true }, note: 'Lengths only.' }),
      DETANGLE,
      { ...CLEANSE, extra: { rounds: 2 } },
      step('treat', { minutes: 20, extra: { cap: true } }),
      RINSE,
      LEAVE_IN,
      step('emollient', { dose: section(1, 'pea'), sections: 4, wetness: 'wet', technique: 'praying' }),
      step('hold', { dose: section(1, 'coin'), sections: 4, wetness: 'wet', technique: 'rake' }),
      step('dry', { tool: 'diffuser', heat: 'low', minutes: 40, extra: TO_DRY }),
      step('break-cast', { technique: 'scrunch', tool: 'fingers', wetness: 'dry', note: 'Dry hands.' }),
      PROTECT,
    ],
  },
];
