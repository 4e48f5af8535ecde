import { wearerId } from './wearers.ts';

/** What the made-up wearers want, and what is kept away from them. */
const WISHES = [
  {
    wearer: 'ines',
    weights: { definition: 3, frizz: 2, hold: 2, length: 1 },
    line: 6,
    days: 7,
    budget: 30,
    school: 'wash-off',
    dislikes: ['crunch', 'flakes'],
    avoided: [['Coumarin', 'banned']],
  },
  {
    wearer: 'tomasz',
    weights: { hold: 3, definition: 2, softness: 1 },
    line: 5,
    days: 4,
    budget: 20,
    school: 'lather',
    dislikes: ['tack', 'drip'],
    avoided: [],
  },
  {
    wearer: 'pip',
    weights: { volume: 3, softness: 2, shine: 1 },
    line: 5,
    days: 3,
    budget: 15,
    school: 'label',
    dislikes: ['scent'],
    avoided: [
      ['Methylisothiazolinone', 'allergy'],
      ['Menthol', 'banned'],
    ],
  },
  {
    wearer: 'maren',
    weights: { definition: 2, frizz: 2, volume: 1 },
    line: 6,
    days: 3,
    budget: 25,
    school: 'wash-off',
    dislikes: ['crunch'],
    avoided: [],
  },
] as const;

export function wishRows() {
  return {
    wearer_wish: WISHES.map(({ wearer, line, days, budget, school, dislikes }) => ({
      wearer_id: wearerId(wearer),
      line_value: line,
      style_days: days,
      budget,
      currency: 'EUR',
      school,
      dislikes,
      words: wearer === 'ines' ? { cast: 1, clumps: 2 } : {},
    })),
    wearer_weight: WISHES.flatMap(({ wearer, weights }) =>
      Object.entries(weights).map(([wish, weight]) => ({ wearer_id: wearerId(wearer), wish, weight })),
    ),
    wearer_avoided: WISHES.flatMap(({ wearer, avoided }) =>
      avoided.map(([ingredient, why]) => ({ wearer_id: wearerId(wearer), ingredient, why })),
    ),
  };
}
