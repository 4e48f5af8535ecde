import { demoId } from './ids.ts';
import type { calendar, Row } from './rows.ts';
import { lineId, productId } from './shelf.ts';
import { wearerId } from './wearers.ts';

interface LabelFacts {
  claims?: string[];
  heatLimitC?: number;
  applications?: number;
  packaging?: string;
  collection?: string;
  edition?: string;
  /** Days ago, how it was come by, and the amount in EUR. */
  prices?: readonly (readonly [number, string, number])[];
}

/** What labels and receipts of some of the demo's products say. Invented. */
const FACTS: Record<string, LabelFacts> = {
  anvil: {
    claims: ['72 h hold', 'No flakes', 'Holds in damp air'],
    packaging: 'tube',
    collection: 'Forge',
    edition: 'spring 2026',
    prices: [
      [120, 'full', 16],
      [40, 'offer', 12.8],
    ],
  },
  'kelp-fold': {
    claims: ['Soft hold', 'Definition for five days'],
    packaging: 'pump',
    collection: 'Fold',
    prices: [[95, 'code', 15.3]],
  },
  'brine-foam': { claims: ['Light hold', 'Volume at the roots'], packaging: 'foamer', applications: 25 },
  spindrift: { claims: ['Detangles', 'Heat protection to 180 °C'], packaging: 'spray', heatLimitC: 180 },
  'bramble-cream': { claims: ['Hydrates for three days'], packaging: 'jar', applications: 20 },
};

const NOTHING = {
  claims: [],
  heat_limit_c: null,
  applications: null,
  packaging: null,
  collection: '',
  edition: '',
};

export function labelColumns(key: string): Row {
  const facts = FACTS[key];
  if (!facts) return NOTHING;
  const { heatLimitC = null, prices: _, ...rest } = facts;
  return { ...NOTHING, ...rest, heat_limit_c: heatLimitC };
}

export const priceRows = (when: ReturnType<typeof calendar>): Row[] =>
  Object.entries(FACTS).flatMap(([key, { prices = [] }]) =>
    prices.map(([daysAgo, kind, amount]) => ({
      product_id: productId(key),
      on_date: when.date(daysAgo),
      kind,
      amount,
      currency: 'EUR',
    })),
  );

/** What bothers the demo's heads. */
export const problemRows = (when: ReturnType<typeof calendar>): Row[] => [
  {
    id: demoId('problem halo'),
    wearer_id: wearerId('ines'),
    what: 'A halo of frizz at the hairline by the second evening',
    places: ['hairline'],
    tried: 'More gel there; a scarf on top.',
    helped: 'The scarf, a little.',
    since_date: when.date(90),
    state: 'better',
    solved_on: null,
  },
  {
    id: demoId('problem itch'),
    wearer_id: wearerId('tomasz'),
    what: 'An itch behind the ears after foam',
    places: ['nape', 'side'],
    tried: 'Rinsing longer.',
    helped: 'Another cleanser.',
    since_date: when.date(70),
    state: 'solved',
    solved_on: when.date(41),
  },
];

/** What was tried on the inner arm before it came on a head. */
export const patchRows = (when: ReturnType<typeof calendar>): Row[] => [
  {
    id: demoId('patch kelp-fold'),
    wearer_id: wearerId('ines'),
    product_id: productId('kelp-fold'),
    started_at: when.at(96, 20),
    outcome: 'clear',
    looked_at: when.at(93, 21),
    note: '',
  },
];

/** What whole lines claim, and one collection of one. */
export const lineClaimRows = (): Row[] => [
  { line_id: lineId('tidewrack'), collection: '', claim: 'Free of sulfates' },
  { line_id: lineId('tidewrack'), collection: 'Fold', claim: 'Holds in damp air' },
  { line_id: lineId('quillet'), collection: '', claim: 'Vegan' },
];

const part = (name: string, amount: number, product: string | null = null, recipe: string | null = null) => ({
  name,
  productId: product === null ? null : productId(product),
  recipeId: recipe === null ? null : demoId(`recipe ${recipe}`),
  amount,
});

/** Two home mixes of the hair room, one with the other in it. */
export const recipeRows = (at: string): Row[] => [
  {
    id: demoId('recipe seed'),
    name: 'Flaxseed gel',
    unit: 'ml',
    parts: [part('flaxseed', 40), part('water', 480)],
    note: 'Simmer ten minutes, strain warm, keep cold, a week at most.',
    created_at: at,
    archived_at: null,
  },
  {
    id: demoId('recipe refresh'),
    name: 'Refresh water',
    unit: 'parts',
    parts: [
      part('Spindrift Leave-in', 1, 'spindrift'),
      part('Flaxseed gel', 1, null, 'seed'),
      part('water', 6),
    ],
    note: 'Shake before use.',
    created_at: at,
    archived_at: null,
  },
];
