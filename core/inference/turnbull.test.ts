import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { restrictedMean, turnbull } from './turnbull.ts';

const never = Number.POSITIVE_INFINITY;

/*
 * Breast cosmesis after radiotherapy alone, 46 women, months to retraction. Source of the data: Finkelstein & Wolfe
 * (1985), Biometrics 41, 933–945, table 1 (from memory); of the masses: methods.md 6.
 */
const RADIATION: [number, number][] = [
  [45, never],
  [25, 37],
  [37, never],
  [6, 10],
  [46, never],
  [0, 5],
  [0, 7],
  [26, 40],
  [18, never],
  [46, never],
  [46, never],
  [24, never],
  [46, never],
  [27, 34],
  [36, never],
  [7, 16],
  [36, 44],
  [5, 11],
  [17, never],
  [46, never],
  [19, 35],
  [7, 14],
  [36, 48],
  [17, 25],
  [37, 44],
  [37, never],
  [24, never],
  [0, 8],
  [40, never],
  [32, never],
  [4, 11],
  [17, 25],
  [33, never],
  [15, never],
  [46, never],
  [19, 26],
  [11, 15],
  [11, 18],
  [37, never],
  [22, never],
  [38, never],
  [34, never],
  [46, never],
  [5, 12],
  [36, never],
  [46, never],
];

describe('the maximum-likelihood curve', () => {
  it('of breast cosmesis has the published masses', () => {
    const masses = turnbull(RADIATION.map(([low, high]) => ({ low, high }))).filter(
      ({ mass }) => mass > 5e-5,
    );
    expect(masses.map(({ low, high, mass }) => [low, high, Number(mass.toFixed(4))])).toEqual([
      [4, 5, 0.0463],
      [6, 7, 0.0334],
      [7, 8, 0.0887],
      [11, 12, 0.0708],
      [24, 25, 0.0926],
      [33, 34, 0.0818],
      [38, 40, 0.1209],
      [46, 48, 0.4656],
    ]);
  });

  it('of exact moments is their shares, and of censored ones Kaplan and Meier’s', () => {
    const exact = (at: number) => ({ low: at, high: at });
    for (const [i, { mass }] of turnbull([exact(2), exact(2), exact(5), exact(7)]).entries())
      expect(mass).toBeCloseTo([0.5, 0.25, 0.25][i]!, 12);
    // By hand: ends at 1 and 3, cut after 2: S = 2/3 after 1, 0 after 3.
    const curve = turnbull([exact(1), { low: 2, high: never }, exact(3)]);
    expect(curve[0]!.mass).toBeCloseTo(1 / 3, 5);
    expect(curve[1]!.mass).toBeCloseTo(2 / 3, 4);
  });

  it('adds up to one, and its mean lies within what the looks leave open', () => {
    const wear = fc
      .record({ low: fc.integer({ min: 0, max: 6 }), more: fc.constantFrom(0, 1, 2, 3, never) })
      .map(({ low, more }) => ({ low, high: low + more }));
    fc.assert(
      fc.property(fc.array(wear, { minLength: 1, maxLength: 12 }), (wears) => {
        const curve = turnbull(wears);
        expect(curve.reduce((sum, { mass }) => sum + mass, 0)).toBeCloseTo(1, 6);
        const { low, middle, high } = restrictedMean(curve, 7);
        expect(low).toBeLessThanOrEqual(middle);
        expect(middle).toBeLessThanOrEqual(high);
        expect(high).toBeLessThanOrEqual(7 + 1e-9);
        expect(low).toBeGreaterThanOrEqual(Math.min(...wears.map((one) => one.low)) - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('is empty without a wear, and refuses one that ends before it begins', () => {
    expect(turnbull([])).toEqual([]);
    expect(() => turnbull([{ low: 3, high: 2 }])).toThrow(RangeError);
  });
});
