import fc from 'fast-check';
import { permutationTest } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { balancedComplete, coinFlips } from '../trial/allocation.ts';
import { seededRandom } from '../trial/random.ts';
import { armMeans, signedMean, widestGap } from './arm-means.ts';
import { inversionInterval, pairInterval } from './inversion-interval.ts';
import { randomisationTest } from './randomisation-test.ts';

const gap =
  (values: readonly (number | null)[], arms = 2) =>
  (sequence: readonly number[]) =>
    widestGap(values, sequence, arms);

describe('randomisation test, published examples', () => {
  /* R. A. Fisher, The Design of Experiments (1935), ch. II: eight cups, four of each, 70 ways to choose. */
  const milkFirst = [1, 0, 1, 1, 0, 0, 1, 0];
  const eight = balancedComplete(2, 8);
  const called = (said: readonly number[]) => (sequence: readonly number[]) =>
    sequence.filter((arm, cup) => arm === 1 && said[cup] === 1).length;

  it('Fisher’s tea, all four cups right: 1 in 70', () => {
    const test = randomisationTest(eight, milkFirst, called(milkFirst), 1);
    expect(test).toEqual({ p: 1 / 70, observed: 4, looked: 70, exact: true });
  });

  it('Fisher’s tea, three or more right: 17 in 70', () => {
    const said = [1, 0, 1, 1, 0, 0, 0, 1];
    expect(randomisationTest(eight, milkFirst, called(said), 1).p).toBe(17 / 70);
  });

  it('Fisher’s tea on two sides: 2 in 70', () => {
    expect(randomisationTest(eight, milkFirst, gap(milkFirst), 1).p).toBe(2 / 70);
  });

  /*
   * Darwin’s fifteen pairs of maize, differences in eighths of an inch, as Fisher gives them in ch. III, with his count:
   * 863 of the 32,768 sums reach 314, so on two sides 1,726 (5.267 %).
   */
  it('Darwin’s maize by sign flips: 1,726 of 32,768', () => {
    const differences = [49, -67, 8, 16, 6, 23, 28, 41, 14, 29, 56, 24, 75, 60, -48];
    const asRun = new Array<number>(15).fill(0);
    const oneSided = randomisationTest(coinFlips(15), asRun, (s) => signedMean(differences, s), 1);
    expect(oneSided.p).toBe(863 / 32768);
    const twoSided = randomisationTest(coinFlips(15), asRun, (s) => Math.abs(signedMean(differences, s)), 1);
    expect(twoSided.p).toBe(1726 / 32768);
    expect((100 * twoSided.p).toFixed(3)).toBe('5.267');
  });

  it('agrees with simple-statistics’ permutation test within its sampling error', () => {
    const a = [6.2, 7.1, 6.8, 7.4];
    const b = [7.9, 8.3, 7.2, 8.8];
    const allocation = [0, 0, 0, 0, 1, 1, 1, 1];
    const ours = randomisationTest(eight, allocation, gap([...a, ...b]), 1).p;
    const random = seededRandom(11);
    const theirs = permutationTest(a, b, 'two_side', 20_000, () => random.unit());
    expect(Math.abs(ours - theirs)).toBeLessThan(4 * Math.sqrt((ours * (1 - ours)) / 20_000) + 1e-4);
  });
});

describe('randomisation test', () => {
  it('counts ties as extreme: constant ratings give p = 1', () => {
    const test = randomisationTest(
      balancedComplete(2, 8),
      [0, 1, 0, 1, 0, 1, 0, 1],
      gap(new Array(8).fill(7)),
      1,
    );
    expect(test.p).toBe(1);
  });

  it('leaves days without a reading out, and counts sequences without a mean as extreme', () => {
    const values = [5, null, 5, 7, 7, null];
    const test = randomisationTest(balancedComplete(2, 6), [0, 0, 0, 1, 1, 1], gap(values), 1);
    expect(test.observed).toBe(2);
    // Of 20 sequences, the four values split 2:2 as observed (or mirrored) in 2 · 2 ways, and never 4:0.
    expect(test.p).toBe(4 / 20);
  });

  it('samples a set that is too large, with (b + 1)/(B + 1), the same for the same seed', () => {
    const scheme = balancedComplete(2, 24);
    const allocation = scheme.draw(3);
    const values = allocation.map((arm, day) => arm * 3 + Math.sin(day));
    const first = randomisationTest(scheme, allocation, gap(values), 9, 999);
    expect(first.exact).toBe(false);
    expect(first.looked).toBe(999);
    expect(first.p).toBe(1 / 1000);
    const mild = allocation.map((arm, day) => arm * 0.2 + Math.sin(day * 5));
    expect(randomisationTest(scheme, allocation, gap(mild), 9, 999)).toEqual(
      randomisationTest(scheme, allocation, gap(mild), 9, 999),
    );
  });

  it('the sampled p is close to the exact one', () => {
    const scheme = balancedComplete(2, 12);
    const allocation = scheme.draw(8);
    const values = allocation.map((arm, day) => arm + Math.cos(day * 3));
    const exact = randomisationTest(scheme, allocation, gap(values), 1).p;
    const random = seededRandom(4);
    let extreme = 0;
    for (let b = 0; b < 4000; b++)
      if (gap(values)(scheme.sample(random)) >= gap(values)(allocation) - 1e-9) extreme++;
    expect(Math.abs((extreme + 1) / 4001 - exact)).toBeLessThan(4 * Math.sqrt((exact * (1 - exact)) / 4000));
  });

  it('finds a difference that is not there in no more than 2/70 of trials, drift or not', () => {
    const scheme = balancedComplete(2, 8);
    const random = seededRandom(2026);
    const trials = 1500;
    let found = 0;
    for (let trial = 0; trial < trials; trial++) {
      const allocation = scheme.sample(random);
      const values = allocation.map((_, day) => 0.3 * day + random.unit() + random.unit() + random.unit());
      if (randomisationTest(scheme, allocation, gap(values), 1).p <= 0.05) found++;
    }
    const nominal = 2 / 70;
    expect(found / trials).toBeLessThan(nominal + 4 * Math.sqrt((nominal * (1 - nominal)) / trials));
  });
});

describe('interval by inverting the test', () => {
  /** The test's p for a shift, the plain way: take the shift out of arm 1 and test. */
  const pOfShift = (values: readonly (number | null)[], allocation: readonly number[], shift: number) => {
    const moved = values.map((value, unit) => (value === null ? null : value - shift * allocation[unit]!));
    const difference = (sequence: readonly number[]) => {
      const [a, b] = armMeans(moved, sequence, 2) as [number, number];
      return Math.abs(b - a);
    };
    return randomisationTest(balancedComplete(2, values.length), allocation, difference, 1).p;
  };

  it('keeps exactly the shifts that the test does not reject, on random data', () => {
    const days = fc.array(
      fc.integer({ min: 0, max: 100 }).map((n) => n / 10),
      { minLength: 8, maxLength: 8 },
    );
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 69 }), (values, which) => {
        const scheme = balancedComplete(2, 8);
        const allocation = [...scheme.enumerate()][which]!;
        const { low, high, level } = inversionInterval(scheme, values, allocation, 0.05, 1)!;
        expect(level).toBeGreaterThan(0.95 - 1e-9);
        for (const inside of [low + 1e-6, (low + high) / 2, high - 1e-6])
          if (high - low > 1e-5) expect(pOfShift(values, allocation, inside)).toBeGreaterThan(0.05);
        for (const outside of [low - 1e-4, high + 1e-4])
          expect(pOfShift(values, allocation, outside)).toBeLessThanOrEqual(0.05);
      }),
      { numRuns: 60 },
    );
  });

  it('prints the level it attains: 97.1 % from four against four', () => {
    const values = [6.1, 8.2, 6.6, 8.9, 7.1, 9.3, 5.8, 8.0];
    const { level } = inversionInterval(balancedComplete(2, 8), values, [0, 1, 0, 1, 0, 1, 0, 1], 0.05, 1)!;
    expect(level).toBeCloseTo(1 - 2 / 70, 9);
  });

  it('gives the level it can where the set is too small for 95 %: 90 % from three against three', () => {
    const values = [6.1, 8.2, 6.6, 8.9, 7.1, 9.3];
    const interval = inversionInterval(balancedComplete(2, 6), values, [0, 1, 0, 1, 0, 1], 0.05, 1)!;
    expect(interval.level).toBeCloseTo(0.9, 9);
    expect(Number.isFinite(interval.low) && Number.isFinite(interval.high)).toBe(true);
  });

  it('bears missing days, and gives up without any', () => {
    const scheme = balancedComplete(2, 8);
    const allocation = [0, 1, 0, 1, 0, 1, 0, 1];
    const interval = inversionInterval(
      scheme,
      [6.1, 8.2, null, 8.9, 7.1, 9.3, 5.8, 8.0],
      allocation,
      0.05,
      1,
    )!;
    expect(interval.low).toBeLessThan(interval.high);
    expect(inversionInterval(scheme, new Array(8).fill(null), allocation, 0.05, 1)).toBeNull();
  });

  it('sets two of three arms against each other with the third left where it fell', () => {
    const allocation = [0, 1, 2, 0, 1, 2, 0, 1, 2, 0, 1, 2];
    const values = allocation.map((arm, day) => arm * 2 + ((day * 7) % 5) / 10);
    const interval = pairInterval('complete', values, allocation, 3, [0, 2], 0.05, 1)!;
    expect(interval.low).toBeGreaterThan(3);
    expect(interval.high).toBeLessThan(5);
  });
});
