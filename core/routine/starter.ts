import { EMPTY_SETTINGS, type RoutineStep } from '../step/step.ts';

type StarterStep = Omit<RoutineStep, 'id'>;

/** A wash-and-go to begin from, without products: the tester fills in their own. Common practice, no source. */
export const STARTER_ROUTINE: { name: string; note: string; steps: readonly StarterStep[] } = {
  name: 'Wash-and-go, template',
  note: 'A plain wash-and-go. Put your own products in, then hold it fixed.',
  steps: [
    {
      ...EMPTY_SETTINGS,
      slot: 'detangle',
      tool: 'wide-comb',
      minutes: 5,
      wetness: 'dry',
      note: 'Ends first.',
    },
    {
      ...EMPTY_SETTINGS,
      slot: 'cleanse',
      dose: { kind: 'exact', amount: 2, measure: 'pump', per: 'head' },
      wetness: 'soaking',
      minutes: 3,
      technique: 'massage',
      note: '',
    },
    {
      ...EMPTY_SETTINGS,
      slot: 'condition',
      dose: { kind: 'exact', amount: 1, measure: 'palmful', per: 'head' },
      wetness: 'wet',
      minutes: 5,
      tool: 'brush',
      note: 'Brush through before rinsing.',
    },
    { ...EMPTY_SETTINGS, slot: 'rinse', minutes: 2, note: 'Cool, thorough at the scalp.' },
    {
      ...EMPTY_SETTINGS,
      slot: 'leave-in',
      dose: { kind: 'exact', amount: 1, measure: 'coin', per: 'section' },
      sections: 4,
      wetness: 'wet',
      technique: 'praying',
      note: '',
    },
    {
      ...EMPTY_SETTINGS,
      slot: 'hold',
      dose: { kind: 'exact', amount: 1, measure: 'coin', per: 'section' },
      sections: 4,
      wetness: 'wet',
      technique: 'rake',
      note: '',
    },
    { ...EMPTY_SETTINGS, slot: 'blot', tool: 'shirt', minutes: 1, note: '' },
    {
      ...EMPTY_SETTINGS,
      slot: 'dry',
      tool: 'diffuser',
      heat: 'low',
      minutes: 30,
      note: 'Stop when fully dry.',
    },
    {
      ...EMPTY_SETTINGS,
      slot: 'break-cast',
      technique: 'scrunch',
      tool: 'fingers',
      wetness: 'dry',
      note: 'Dry hands, only when fully dry.',
    },
    { ...EMPTY_SETTINGS, slot: 'protect', tool: 'bonnet', note: 'Every night of the trial.' },
  ],
};
