import { describe, expect, it } from 'vitest';
import { normals, seededRandom, shuffled, standardNormal } from '../random.ts';
import { balancedComplete } from './allocation.ts';
import { blocksOf } from './blocks.ts';
import { closedWalk } from './closed-walk.ts';

describe('balanced complete randomisation', () => {
  it.each([
    [2, 4, 6],
    [2, 8, 70],
    [2, 12, 924],
    [3, 6, 90],
    [3, 12, 34650],
  ])('of %d arms over %d wash days can draw %d sequences, each balanced, none twice', (arms, days, size) => {
    const scheme = balancedComplete(arms, days);
    expect(scheme.size).toBe(size);
    const seen = new Set<string>();
    let balanced = true;
    for (const sequence of scheme.enumerate()) {
      seen.add(sequence.join(''));
      for (let arm = 0; arm < arms; arm++)
        balanced &&= sequence.filter((a) => a === arm).length === days / arms;
    }
    expect(balanced).toBe(true);
    expect(seen.size).toBe(size);
  });

  it('counts as the binomial coefficient does at forty wash days', () => {
    expect(balancedComplete(2, 40).size).toBe(137846528820);
  });

  it('draws the same sequence from the same seed, and only ones it could enumerate', () => {
    const scheme = balancedComplete(2, 8);
    const all = new Set([...scheme.enumerate()].map(String));
    for (let seed = 0; seed < 200; seed++) {
      expect(scheme.draw(seed)).toEqual(scheme.draw(seed));
      expect(all.has(String(scheme.draw(seed)))).toBe(true);
    }
  });

  it('draws every sequence equally often over 70,000 seeds (chi-square, 69 degrees of freedom, α .001)', () => {
    const scheme = balancedComplete(2, 8);
    const counts = new Map<string, number>();
    for (let seed = 0; seed < 70_000; seed++) {
      const key = scheme.draw(seed * 7919 + 13).join('');
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
    expect(counts.size).toBe(70);
    const chi2 = [...counts.values()].reduce((sum, n) => sum + (n - 1000) ** 2 / 1000, 0);
    // 111.06 is the 0.999 quantile of chi-square with 69 degrees of freedom (Wilson–Hilferty: 110.9).
    expect(chi2).toBeLessThan(111.06);
  });

  it('refuses what cannot be balanced, with a sentence', () => {
    expect(() => balancedComplete(1, 8)).toThrow('A comparison needs at least two options.');
    expect(() => balancedComplete(2, 7)).toThrow(
      '7 wash days do not split evenly over 2 options. Plan 6 or 8.',
    );
    expect(() => balancedComplete(3, 2)).toThrow('at least 3 wash days');
    expect(() => balancedComplete(2, 0)).toThrow('at least 2 wash days');
  });
});

describe('blocks and walks', () => {
  it('refuse no wash days at all, blocks of two, and a walk of one day', () => {
    expect(() => blocksOf(4, 0)).toThrow('Plan 4 or 8.');
    expect(() => blocksOf(4, Number.NaN)).toThrow();
    expect(() => blocksOf(2, 8)).toThrow('A block holds four wash days or more.');
    expect(() => blocksOf(5, 10)).toThrow('A block holds four wash days or more.');
    expect(blocksOf(4, 4).size).toBe(6);
    expect(blocksOf(6, 12).size).toBe(400);
    expect(() => closedWalk(3, 1)).toThrow('take 7 or 13 wash days');
    expect(() => closedWalk(2, 3)).toThrow('three to six options');
    expect(() => closedWalk(7, 43)).toThrow('three to six options');
  });
});

describe('seeded random', () => {
  it('gives normal numbers: mean, variance, skew and kurtosis within four standard errors', () => {
    const n = 40_000;
    const random = seededRandom(8);
    const pairs = normals(random);
    for (const draw of [pairs, () => standardNormal(random)]) {
      const values = Array.from({ length: n }, draw);
      const moment = (k: number) => values.reduce((sum, x) => sum + x ** k, 0) / n;
      // Standard errors of the raw moments of a normal: √(1, 2, 15, 96 / n).
      expect(Math.abs(moment(1))).toBeLessThan(4 * Math.sqrt(1 / n));
      expect(Math.abs(moment(2) - 1)).toBeLessThan(4 * Math.sqrt(2 / n));
      expect(Math.abs(moment(3))).toBeLessThan(4 * Math.sqrt(15 / n));
      expect(Math.abs(moment(4) - 3)).toBeLessThan(4 * Math.sqrt(96 / n));
    }
    // The two of a pair hang on nothing of each other.
    const twos = Array.from({ length: n }, () => pairs() * pairs());
    expect(Math.abs(twos.reduce((sum, x) => sum + x, 0) / n)).toBeLessThan(4 / Math.sqrt(n));
  });

  it('shuffles without losing anything, and leaves its input alone', () => {
    const items = [1, 2, 3, 4, 5, 6];
    const out = shuffled(items, seededRandom(5));
    expect(out.toSorted()).toEqual(items);
    expect(items).toEqual([1, 2, 3, 4, 5, 6]);
  });

  it('stays inside its bounds', () => {
    const random = seededRandom(-3);
    for (let i = 0; i < 1000; i++) {
      expect(random.below(7)).toBeLessThan(7);
      const u = random.unit();
      expect(u >= 0 && u < 1).toBe(true);
    }
  });
});
