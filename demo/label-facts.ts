import { demoId } from './ids.ts';
import type { calendar, Row } from './rows.ts';
import { productId } from './shelf.ts';
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
