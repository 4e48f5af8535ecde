import { describe, expect, it } from 'vitest';
import { seededRandom, standardNormal } from '../random.ts';
import type { Design } from '../trial/designs.ts';
import { reckoningOf } from './effects.ts';
import { extremes, referenceOf, TIES } from './reference-set.ts';

describe('sequences of two arms, counted by eight days at a time', () => {
  it.each<[Design, number]>([
    ['complete', 8],
    ['complete', 18],
    ['blocks', 12],
    ['half', 10],
    ['refresh', 8],
  ])(
    '%s in %i days: as many as the plain reckoning finds, with days missing and tied values',
    (design, days) => {
      const reference = referenceOf(design, 2, days, 5000, 1999);
      const reckoning = reckoningOf(design, 2);
      const random = seededRandom(days);
      for (let round = 0; round < 30; round++) {
        const whole = round % 2 === 0;
        const values = Float64Array.from({ length: days }, () =>
          random.unit() < 0.03 * (round % 8)
            ? Number.NaN
            : whole
              ? Math.round(4 * random.unit())
              : standardNormal(random),
        );
        const all = Array.from({ length: reference.count }, (_, s) =>
          reckoning.statistic(values, reference, s),
        );
        const observed = all[round]!;
        const plain = all.filter((one) => !(one < observed - TIES)).length;
        expect(extremes(reckoning, values, reference, observed)).toBe(
          Number.isNaN(observed) ? reference.count : plain,
        );
        if (!Number.isNaN(observed))
          expect(extremes(reckoning, values, reference, observed, 3)).toBe(Math.min(4, plain));
      }
    },
  );
});
