import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFormula } from '../formula.ts';
import { parseLabel } from '../label/parse-label.ts';
import { chainMeans, densityOf } from './chain.ts';
import { expectedShares } from './expected.ts';
import { type Bounds, shareIntervals } from './intervals.ts';
import { sampledShares } from './sampled.fixture.ts';
import { feasibleStart, typicalStart } from './start.fixture.ts';
import { TYPICAL, type Typical } from './typical.ts';

const free: Bounds = { low: 0, high: 100 };

/** Expected shares as every formula gets them. */
function expected(chain: readonly Bounds[], off: readonly Bounds[], typical: readonly Typical[]): number[] {
  const shares = shareIntervals(chain, off);
  if (!shares.feasible) throw new Error('infeasible');
  return expectedShares(shares.chain, shares.off, typical);
}

/** The same model by long seeded sampling. */
function sampled(
  chain: readonly Bounds[],
  off: readonly Bounds[],
  typical: readonly Typical[],
  seed = 3,
): number[] {
  const shares = shareIntervals(chain, off);
  if (!shares.feasible) throw new Error('infeasible');
  const start = typicalStart(chain, off, typical) ?? feasibleStart(chain, off, shares);
  return sampledShares(start, chain, off, typical, { rounds: 30_000, seed });
}

const groups = (...names: (keyof typeof TYPICAL)[]) => names.map((name) => TYPICAL[name]);

describe('expected shares', () => {
  // Source: the broken stick, (S/n)·Σ_{i≥j} 1/i: a flat prior in order, whose spacings are exponential once tilted to their
  // sum. S is 10 here, so that the grid's end at 100 is far.
  it.each([2, 3, 5, 10])('of %i flat items in order, tilted to their sum, are the broken stick', (n) => {
    const flat = Array.from({ length: n }, () => densityOf(free, null));
    const sumAt = (theta: number) => chainMeans(flat, theta, 0).reduce((a, b) => a + b, 0);
    let [low, high] = [-4, 4];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (sumAt(middle) < 10) low = middle;
      else high = middle;
    }
    const means = chainMeans(flat, low, 0);
    for (let j = 0; j < n; j++) {
      let stick = 0;
      for (let i = j + 1; i <= n; i++) stick += 1 / i;
      // Cells are a twenty-fourth of a decade wide.
      expect(Math.abs(means[j]! - (10 / n) * stick)).toBeLessThan(0.04 * (10 / n) * stick + 0.03);
    }
  });

  it.each<[string, Typical[]]>([
    [
      'a gel',
      groups('water', 'film former', 'humectant', 'gum or thickener', 'other', 'preservative', 'fragrance'),
    ],
    [
      'a conditioner',
      groups('water', 'alcohol', 'conditioner', 'humectant', 'oil or butter', 'silicone', 'preservative'),
    ],
    [
      'a shampoo',
      groups('water', 'cleanser', 'cleanser', 'cleanser', 'humectant', 'preservative', 'fragrance'),
    ],
    ['an oil', groups('oil or butter', 'oil or butter', 'oil or butter', 'fragrance')],
    [
      'a long list',
      [
        TYPICAL.water,
        ...Array.from({ length: 6 }, () =>
          groups('humectant', 'extract', 'conditioner', 'preservative'),
        ).flat(),
      ],
    ],
  ])('of %s are those of long sampling of the same model', (_, typical) => {
    const chain = typical.map(() => free);
    const [exact, drawn] = [expected(chain, [], typical), sampled(chain, [], typical)];
    exact.forEach((share, i) => {
      expect(Math.abs(share - drawn[i]!), String(i)).toBeLessThan(0.15 * drawn[i]! + 0.06);
    });
  });

  it('are those of sampling under stated shares, caps and colourants aside as well', () => {
    const chain = [free, { low: 4.5, high: 5.5 }, free, { low: 0, high: 1 }, free];
    const off = [{ low: 0, high: 5 }];
    const typical = groups('water', 'humectant', 'conditioner', 'preservative', 'fragrance', 'other');
    const [exact, drawn] = [expected(chain, off, typical), sampled(chain, off, typical)];
    exact.forEach((share, i) => {
      expect(Math.abs(share - drawn[i]!)).toBeLessThan(0.03 * drawn[i]! + 0.02);
    });
  });

  it('keep the total where the first may not take what is left', () => {
    const chain = [{ low: 9.5, high: 10.5 }, ...Array.from({ length: 12 }, () => free)];
    const mine = expected(chain, [], [TYPICAL.water, ...Array.from({ length: 12 }, () => TYPICAL.humectant)]);
    expect(mine.reduce((a, b) => a + b, 0)).toBeCloseTo(100, 6);
    expect(mine[0]).toBeGreaterThan(9.4);
    expect(mine[0]).toBeLessThan(10.7);
    for (let i = 1; i < mine.length; i++) expect(mine[i]!).toBeLessThanOrEqual(mine[i - 1]! + 0.6);
  });

  it('add up to 100 and keep to their intervals', () => {
    const bound = fc.constantFrom<Bounds>(
      free,
      { low: 0, high: 0.6 },
      { low: 0, high: 1 },
      { low: 1.5, high: 2.5 },
      { low: 0, high: 5 },
    );
    const all = Object.values(TYPICAL);
    fc.assert(
      fc.property(
        fc.array(bound, { minLength: 1, maxLength: 12 }),
        fc.array(fc.constant<Bounds>({ low: 0, high: 5 }), { maxLength: 2 }),
        fc.integer(),
        (rest, off, turn) => {
          const chain = [free, ...rest];
          const shares = shareIntervals(chain, off);
          if (!shares.feasible) return;
          const typical = [...chain, ...off].map((_, i) => all[(i * 5 + Math.abs(turn % 7)) % all.length]!);
          const mine = expectedShares(shares.chain, shares.off, typical);
          expect(mine.reduce((a, b) => a + b, 0)).toBeCloseTo(100, 6);
          mine.forEach((share, i) => {
            const { low, high } = i < chain.length ? shares.chain[i]! : shares.off[i - chain.length]!;
            expect(share).toBeGreaterThanOrEqual(low - 0.05 - 0.01 * low);
            expect(share).toBeLessThanOrEqual(high + 0.05 + 0.01 * high);
          });
        },
      ),
    );
  });

  it('do not jump when a trace ingredient is added at the end', () => {
    const list =
      'Aqua, Glycerin, Cetearyl Alcohol, Behentrimonium Methosulfate, Cocos Nucifera Oil, Phenoxyethanol';
    const of = (text: string) =>
      readFormula(parseLabel(text).items, { leaveOn: false }).items.map(({ expected: share }) => share);
    const [before, after] = [of(list), of(`${list}, Citric Acid`)];
    before.forEach((share, i) => {
      expect(Math.abs(after[i]! - share)).toBeLessThan(0.03 * share + 0.02);
    });
  });

  it('are the same each time', () => {
    const typical = groups('water', 'humectant', 'extract');
    const chain = typical.map(() => free);
    expect(expected(chain, [], typical)).toEqual(expected(chain, [], typical));
  });
});

/*
 * Frame formulas of the kind suppliers print in their guides, in % by weight: from general knowledge, not looked up, so
 * these are order-of-magnitude checks. Items of 1 % and more count.
 */
const FRAMES: [string, boolean, [string, number][]][] = [
  [
    'a conditioner',
    false,
    [
      ['Aqua', 88],
      ['Cetearyl Alcohol', 5],
      ['Behentrimonium Methosulfate', 2],
      ['Glycerin', 2],
      ['Dimethicone', 1],
    ],
  ],
  [
    'a mask',
    false,
    [
      ['Aqua', 80],
      ['Cetearyl Alcohol', 7],
      ['Butyrospermum Parkii Butter', 4],
      ['Behentrimonium Chloride', 3],
      ['Glycerin', 3],
      ['Hydrolyzed Wheat Protein', 1],
    ],
  ],
  [
    'a shampoo',
    false,
    [
      ['Aqua', 75],
      ['Sodium Laureth Sulfate', 12],
      ['Cocamidopropyl Betaine', 5],
      ['Glycerin', 2],
      ['Sodium Chloride', 1.7],
    ],
  ],
  [
    'a mild shampoo',
    false,
    [
      ['Aqua', 78],
      ['Decyl Glucoside', 8],
      ['Cocamidopropyl Betaine', 6],
      ['Sodium Cocoyl Glutamate', 3],
      ['Glycerin', 2],
    ],
  ],
  [
    'a gel',
    true,
    [
      ['Aqua', 91],
      ['PVP', 3.5],
      ['Glycerin', 2],
      ['Panthenol', 1],
    ],
  ],
  [
    'a mousse',
    true,
    [
      ['Aqua', 74],
      ['Butane', 8],
      ['Alcohol Denat.', 5],
      ['Polyquaternium-11', 3],
      ['VP/VA Copolymer', 2],
      ['Panthenol', 1],
    ],
  ],
  [
    'a hairspray',
    true,
    [
      ['Alcohol Denat.', 55],
      ['Dimethyl Ether', 30],
      ['Acrylates Copolymer', 5.5],
    ],
  ],
  [
    'a salt spray',
    true,
    [
      ['Aqua', 88],
      ['Sodium Chloride', 4],
      ['Magnesium Sulfate', 3],
      ['Glycerin', 2],
    ],
  ],
  [
    'a silicone serum',
    true,
    [
      ['Cyclopentasiloxane', 82],
      ['Dimethicone', 12],
      ['Argania Spinosa Kernel Oil', 2],
    ],
  ],
  [
    'a curl cream',
    true,
    [
      ['Aqua', 78],
      ['Cetearyl Alcohol', 4],
      ['Cocos Nucifera Oil', 4],
      ['Glycerin', 4],
      ['Behentrimonium Methosulfate', 2],
      ['Polyquaternium-11', 1.5],
    ],
  ],
];

describe('expected shares against frame formulas', () => {
  const ratios = FRAMES.flatMap(([name, leaveOn, frame]) => {
    const text = [...frame.map(([item]) => item), 'Phenoxyethanol', 'Parfum'].join(', ');
    const { items } = readFormula(parseLabel(text).items, { leaveOn });
    return frame.map(([item, share], i) => ({
      name: `${name}: ${item}`,
      ratio: items[i]!.expected / share,
      first: i === 0,
    }));
  });

  it('are right in the middle, and within three times for nine in ten', () => {
    const rest = ratios
      .filter(({ first }) => !first)
      .map(({ ratio }) => ratio)
      .sort((a, b) => a - b);
    const median = rest[Math.floor(rest.length / 2)]!;
    expect(median).toBeGreaterThan(0.7);
    expect(median).toBeLessThan(1.4);
    const within = rest.filter((ratio) => ratio > 1 / 3 && ratio < 3).length;
    expect(within / rest.length).toBeGreaterThan(0.9);
  });

  it('give propellants, salts, silicone bases and fixatives what they usually have', () => {
    for (const wanted of [
      'a mousse: Butane',
      'a hairspray: Dimethyl Ether',
      'a salt spray: Sodium Chloride',
      'a silicone serum: Dimethicone',
      'a mousse: Polyquaternium-11',
      'a hairspray: Acrylates Copolymer',
      'a shampoo: Sodium Chloride',
    ]) {
      const { ratio } = ratios.find(({ name }) => name === wanted)!;
      expect(ratio, wanted).toBeGreaterThan(0.4);
      expect(ratio, wanted).toBeLessThan(2.5);
    }
  });
});
