import { describe, expect, it } from 'vitest';
import { seededRandom, standardNormal } from '../random.ts';
import { DESIGNS, type Design, usualDays } from '../trial/designs.ts';
import { reckoningOf } from './effects.ts';
import { LOOKS, lastAlpha, reach, smallestP } from './reach.ts';
import { extremes, referenceOf } from './reference-set.ts';

describe('the smallest p of each design', () => {
  // Source: methods.md 3, computed there; two factors, four arms in eight and three on halves by the outside review.
  it.each<[Design, number, number, number]>([
    ['complete', 2, 6, 0.1],
    ['complete', 2, 8, 0.0286],
    ['complete', 2, 12, 0.0022],
    ['complete', 4, 8, 0.0286],
    ['complete', 5, 10, 0.0159],
    ['complete', 6, 12, 0.0101],
    ['blocks', 2, 8, 0.0556],
    ['blocks', 2, 12, 0.0093],
    ['half', 2, 8, 0.0286],
    ['half-three', 3, 6, 0.0333],
    ['factorial', 4, 8, 0.0571],
    ['walk', 3, 13, 0.0123],
  ])('%s, %i arms, %i wash days: %f', (design, arms, days, p) => {
    expect(Number(smallestP(design, arms, days).toFixed(4))).toBe(p);
  });

  it.each<[Design, number, number]>([
    ['complete', 2, 8],
    ['complete', 3, 9],
    ['complete', 4, 8],
    ['blocks', 2, 8],
    ['walk', 3, 7],
    ['walk', 3, 13],
    ['walk', 4, 13],
    ['half', 2, 8],
    ['refresh', 2, 6],
    ['half-three', 3, 6],
    ['factorial', 4, 8],
  ])(
    '%s, %i arms, %i wash days, is what the statistic gives at its highest on the enumerated set',
    (design, arms, days) => {
      const reference = referenceOf(design, arms, days);
      const reckoning = reckoningOf(design, arms);
      const random = seededRandom(5);
      let least = 1;
      for (let i = 0; i < 25; i++) {
        const values = Float64Array.from({ length: days }, () => standardNormal(random));
        let most = Number.NEGATIVE_INFINITY;
        for (let s = 0; s < reference.count; s++)
          most = Math.max(most, reckoning.statistic(values, reference, s));
        least = Math.min(least, extremes(reckoning, values, reference, most) / reference.count);
      }
      expect(least).toBeCloseTo(smallestP(design, arms, days), 12);
    },
  );
});

describe('what a plan can reach', () => {
  // One arm apart from equal others, without noise: a · 1/C(n, m) sequences put just its days together.
  it.each([
    [2, 8, 2 / 70],
    [3, 9, 3 / 84],
  ])('complete, %i arms, %i days: %f with one arm apart', (arms, days, p) => {
    expect(reach('complete', arms, days).last.oneApartP).toBeCloseTo(p, 12);
  });

  it('is told before the trial starts', () => {
    expect(reach('complete', 2, 6)).toMatchObject({ sequences: 20, decides: false });
    expect(reach('complete', 2, 8)).toMatchObject({ sequences: 70, decides: true });
    expect(reach('half', 2, 8)).toMatchObject({ sequences: 70, decides: true });
    expect(reach('blocks', 2, 8).decides).toBe(false);
    expect(reach('before-after', 2, 12).decides).toBe(false);
    expect(reach('repeat-same', 1, 4).decides).toBe(false);
  });

  it('is nothing where an arm has two wash days, or only the two extremes could tell', () => {
    expect(reach('complete', 4, 8).decides).toBe(false);
    expect(reach('factorial', 4, 8).decides).toBe(false);
    expect(reach('half-three', 3, 6)).toMatchObject({ decides: false });
    expect(reach('half-three', 3, 6).smallestP).toBeLessThan(0.05);
  });

  // The outside review's list of first looks that cannot decide at .01, and two that can.
  it.each<[Design, number, number, boolean]>([
    ['complete', 2, 8, false],
    ['complete', 2, 12, false],
    ['blocks', 2, 16, false],
    ['half', 2, 12, false],
    ['walk', 3, 13, false],
    ['complete', 3, 15, false],
    ['factorial', 4, 16, false],
    ['complete', 2, 20, true],
    ['half', 2, 20, true],
  ])('at a first look of %s, %i arms, %i days: %s', (design, arms, days, decides) => {
    const { first, last } = reach(design, arms, days, 2);
    expect(first).toMatchObject({ alpha: LOOKS.first, days: Math.ceil(days / 2), decides });
    expect(last.alpha).toBe(LOOKS.last);
  });

  it('lets every usual plan of a comparison decide', () => {
    for (const design of Object.keys(DESIGNS) as Design[])
      for (let arms: number = DESIGNS[design].arms[0]; arms <= DESIGNS[design].arms[1]; arms++)
        if (arms > 1 && design !== 'before-after')
          expect(reach(design, arms, usualDays(design, arms)).decides, `${design} ${arms}`).toBe(true);
  });

  // Source: methods.md 3, defaults.
  it('begins with twelve whole-head days, ten half-head days and blocks from twelve', () => {
    expect(usualDays('complete', 2)).toBe(12);
    expect(usualDays('half', 2)).toBe(10);
    expect(usualDays('blocks', 2)).toBe(12);
    expect(usualDays('walk', 3)).toBe(13);
    expect(usualDays('factorial', 4)).toBe(12);
  });

  it('takes the last of two looks at .04', () => {
    expect(lastAlpha(1)).toBe(0.05);
    expect(lastAlpha(2)).toBe(0.04);
  });
});
