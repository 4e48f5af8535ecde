import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { normals, seededRandom } from '../random.ts';
import { armsOfCode, type Design, schemeOf } from '../trial/designs.ts';
import { deciderOf } from './decide.ts';
import { layOut } from './effects.ts';
import { lastingReckoning, meanGoodDays, pseudoDays } from './lasting.ts';
import { nonNegative } from './nnls.ts';
import { referenceOf } from './reference-set.ts';
import type { Between } from './turnbull.ts';

const never = Number.POSITIVE_INFINITY;
const exact = (at: number): Between => ({ low: at, high: at });

describe('least squares without negatives', () => {
  // Against every choice of places held at 0, each solved by Cramer's rule: three unknowns.
  it('is the best of all choices of what is held at 0', () => {
    const random = seededRandom(4);
    const normal = normals(random);
    for (let round = 0; round < 60; round++) {
      const a = Array.from({ length: 5 }, () => [normal(), normal(), normal()] as const);
      const b = a.map(() => normal());
      const gram = new Float64Array(9);
      const c = new Float64Array(3);
      for (const [i, row] of a.entries())
        for (let j = 0; j < 3; j++) {
          c[j]! += row[j]! * b[i]!;
          for (let k = 0; k < 3; k++) gram[3 * j + k]! += row[j]! * row[k]!;
        }
      const worth = (x: ArrayLike<number>) => {
        let sum = 0;
        for (let j = 0; j < 3; j++) {
          sum -= c[j]! * x[j]!;
          for (let k = 0; k < 3; k++) sum += (x[j]! * gram[3 * j + k]! * x[k]!) / 2;
        }
        return sum;
      };
      const x = nonNegative(gram, c, 3);
      // No grid point is better.
      const at = worth(x);
      for (const u of [0, 0.05, 0.2, 0.5, 1, 2])
        for (const v of [0, 0.05, 0.2, 0.5, 1, 2])
          for (const w of [0, 0.05, 0.2, 0.5, 1, 2])
            expect(worth([u, v, w])).toBeGreaterThanOrEqual(at - 1e-9);
      // At the best, what is held at 0 would only get worse, and what is free stands still.
      for (let j = 0; j < 3; j++) {
        const slope = c[j]! - [0, 1, 2].reduce((sum, k) => sum + gram[3 * j + k]! * x[k]!, 0);
        expect(x[j]).toBeGreaterThanOrEqual(0);
        if (x[j] === 0) expect(slope).toBeLessThan(1e-6);
        else expect(Math.abs(slope)).toBeLessThan(1e-6);
      }
    }
  });
});

describe('what each wash day adds to the mean good days', () => {
  it('is its own days where each end is known', () => {
    const ends = [2, 3, 3, 5, 0].map(exact);
    for (const [i, value] of pseudoDays(ends, 7).entries()) expect(value).toBeCloseTo(ends[i]!.low, 6);
    // Longer than is counted is as long as is counted.
    for (const [i, value] of pseudoDays(ends, 4).entries())
      expect(value).toBeCloseTo(Math.min(4, ends[i]!.low), 6);
  });

  // Leaving one out of a cut curve by hand: ends 1, 3 and one cut after 2, counted to 4. All: S = 2/3 from 1, 0 after 3:
  // R = 1 + 2·2/3 = 7/3. Without 1: 3 (Kaplan–Meier of {2+, 3}); without 3: 1, and the cut one somewhere
  // from 2 to 4, its middle: 1/2 + 3/2 = 2; without the cut one: 2.
  it('of a wear cut short is what the others say of the rest', () => {
    const values = pseudoDays([exact(1), { low: 2, high: never }, exact(3)], 4);
    expect(values[0]).toBeCloseTo(7 - 2 * 3, 4);
    expect(values[1]).toBeCloseTo(7 - 2 * 2, 4);
    expect(values[2]).toBeCloseTo(7 - 2 * 2, 4);
  });

  it('goes by what was seen alone, never by the order', () => {
    const wear = fc
      .record({ low: fc.integer({ min: 0, max: 5 }), more: fc.constantFrom(0, 1, 2, never) })
      .map(({ low, more }) => ({ low, high: low + more }));
    fc.assert(
      fc.property(fc.array(wear, { minLength: 2, maxLength: 10 }), (wears) => {
        const [there, back] = [pseudoDays(wears, 5), pseudoDays(wears.toReversed(), 5).toReversed()];
        for (const [i, value] of there.entries()) expect(value).toBeCloseTo(back[i]!, 3);
      }),
      { numRuns: 40 },
    );
  });
});

/** A trial's wears: good days by arm and luck, looked at once a day, some cut short. */
function madeUp(design: Design, days: number, apart: number, cut: number, seed: number) {
  const random = seededRandom(seed);
  const normal = normals(random);
  const codes = schemeOf(design, 2, days).sample(random);
  const wear = (arm: number, luck: number): Between => {
    const end = Math.max(0, 3 + apart * (arm - 0.5) + luck + 0.8 * normal());
    const last = random.unit() < cut ? random.below(4) : 5;
    const from = Math.min(Math.floor(end), last);
    return from < Math.floor(end) || end >= 5
      ? { low: Math.min(from, 5), high: never }
      : { low: from, high: from === 0 ? 0 : from + 1 };
  };
  const halves = design === 'half';
  const sides = codes.map((code) => {
    const { left, right } = armsOfCode(design, code);
    const luck = normal();
    return { left: wear(left, luck), right: halves ? wear(right, luck) : null };
  });
  return {
    codes,
    left: sides.map(({ left }) => left),
    right: halves ? sides.map(({ right }) => right) : null,
  };
}

describe('the test of how long it lasts', () => {
  it.each<Design>(['complete', 'half'])(
    '%s: p is the share of all orders, each with its curves anew',
    (design) => {
      const { codes, ...wears } = madeUp(design, 8, 1.6, 0.15, 12);
      const reference = referenceOf(design, 2, 8);
      const reckoning = lastingReckoning(design, 2, wears, 5);
      const apartOf = (order: readonly number[]) => {
        const own: [Between[], Between[]] = [[], []];
        for (const [day, code] of order.entries()) {
          const { left, right } = armsOfCode(design, code);
          own[left as 0 | 1].push(wears.left[day]!);
          if (wears.right) own[right as 0 | 1].push(wears.right[day]!);
        }
        return meanGoodDays(own[1], 5) - meanGoodDays(own[0], 5);
      };
      const all = [...schemeOf(design, 2, 8).enumerate()].map((order) => Math.abs(apartOf(order)));
      const observed = apartOf(codes);
      const p = all.filter((one) => one >= Math.abs(observed) - 1e-9).length / all.length;
      const numbers = Float64Array.from({ length: 8 }, (_, i) => i);
      const decision = deciderOf(
        design,
        2,
        reference,
        'higher',
        reckoning,
      )(layOut(design, [codes]), { left: numbers, right: wears.right && new Float64Array(8) }, 8, 0.05);
      expect(decision.p).toBeCloseTo(p, 12);
      expect(decision.tested!.value).toBeCloseTo(observed, 6);
      expect(decision.tested!.named).toEqual([observed > 0 ? 1 : 0]);
    },
  );

  // Monte Carlo error: 4 · √(.05 · .95 / 400) = .044.
  it.each([0, 0.15, 0.3])(
    'is wrong in one of twenty at most where nothing differs, %f of the wears cut short',
    (cut) => {
      let wrong = 0;
      for (let seed = 0; seed < 400; seed++) {
        const { codes, ...wears } = madeUp('complete', 8, 0, cut, seed);
        const decision = deciderOf(
          'complete',
          2,
          referenceOf('complete', 2, 8),
          'higher',
          lastingReckoning('complete', 2, wears, 5),
        )(layOut('complete', [codes]), { left: new Float64Array(8), right: null }, 8, 0.05);
        if (decision.p !== null && decision.p <= 0.05) wrong++;
      }
      expect(wrong / 400).toBeLessThan(0.05 + 0.044);
    },
  );

  it('finds options that are truly apart', () => {
    let found = 0;
    for (let seed = 0; seed < 40; seed++) {
      const { codes, ...wears } = madeUp('half', 10, 2, 0.15, seed);
      const decision = deciderOf(
        'half',
        2,
        referenceOf('half', 2, 10),
        'higher',
        lastingReckoning('half', 2, wears, 5),
      )(layOut('half', [codes]), { left: new Float64Array(10), right: new Float64Array(10) }, 10, 0.05);
      if (decision.standing === 'decided' && decision.tested!.named[0] === 1) found++;
    }
    expect(found).toBeGreaterThan(28);
  });
});
