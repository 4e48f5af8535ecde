import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random.ts';
import { schemeOf } from '../trial/designs.ts';
import { layOut } from './effects.ts';
import { inversionInterval, pairInterval } from './inversion-interval.ts';
import { referenceOf } from './reference-set.ts';

const difference = (values: readonly number[], codes: readonly number[]) => {
  const sums = [0, 0];
  const counts = [0, 0];
  values.forEach((value, day) => {
    sums[codes[day]!]! += value;
    counts[codes[day]!]!++;
  });
  return sums[1]! / counts[1]! - sums[0]! / counts[0]!;
};

/** How many sequences differ at least as much once the shift is taken out: written anew, on whole heads. */
function extremesAt(
  values: readonly number[],
  codes: readonly number[],
  all: readonly (readonly number[])[],
  shift: number,
) {
  const moved = values.map((value, day) => value - shift * codes[day]!);
  const seen = Math.abs(difference(moved, codes));
  return all.filter((one) => Math.abs(difference(moved, one)) >= seen - 1e-9).length;
}

describe('the level of an interval', () => {
  // Whole points tie: the two ends may then leave out unequal shares, and the level is told by the larger.
  it('is one less the larger share its ends leave out, ties and all', () => {
    const random = seededRandom(5);
    const all = [...schemeOf('complete', 2, 10).enumerate()];
    let unequal = 0;
    for (let time = 0; time < 60; time++) {
      const codes = all[random.below(all.length)]!;
      const values = codes.map((code) => 3 + random.below(4) + 2 * code);
      for (const alpha of [0.05, 12 / 252]) {
        const { low, high, level } = pairInterval('complete', values, codes, alpha)!;
        const outside = [high + 1e-5, low - 1e-5].map((shift) => extremesAt(values, codes, all, shift));
        if (outside[0] !== outside[1]) unequal++;
        expect(level).toBeCloseTo(1 - Math.max(...outside) / all.length, 9);
        expect(Math.max(...outside)).toBeLessThanOrEqual(12);
        // At the ends themselves the test does not reject.
        for (const end of [low + 1e-7, high - 1e-7])
          if (high - low > 1e-6) expect(extremesAt(values, codes, all, end)).toBeGreaterThan(12);
      }
    }
    expect(unequal).toBeGreaterThan(5);
  });

  it('from a sample counts the drawn sequence in: (b + 1)/(B + 1)', () => {
    const random = seededRandom(8);
    const codes = schemeOf('complete', 2, 24).draw(5);
    const values = codes.map((code) => 5 + 1.5 * code + random.unit());
    const reference = referenceOf('complete', 2, 24, 1000, 199);
    expect(reference.exact).toBe(false);
    const { low, high, level } = pairInterval('complete', values, codes, 0.05, reference)!;
    const all = Array.from({ length: reference.count }, (_, s) =>
      [...reference.plus.slice(s * 24, (s + 1) * 24)].map(Number),
    );
    const share = (shift: number) => (extremesAt(values, codes, all, shift) + 1) / (all.length + 1);
    for (const [inside, outside] of [
      [low + 1e-6, low - 1e-6],
      [high - 1e-6, high + 1e-6],
    ] as const) {
      expect(share(inside)).toBeGreaterThan(0.05);
      expect(share(outside)).toBeLessThanOrEqual(0.05);
    }
    expect(level).toBeCloseTo(1 - Math.max(share(low - 1e-6), share(high + 1e-6)), 9);
  });
});

describe('an interval', () => {
  it('of one day an arm has no end on either side, and is none', () => {
    expect(pairInterval('complete', [4, 6], [0, 1], 0.05)).toBeNull();
  });

  it('is none where the contrast cannot be told, one number or not', () => {
    const codes = [0, 1, 0, 1, 0, 1];
    const values = [4, null, 5, null, 6, null];
    expect(
      inversionInterval(
        'complete',
        referenceOf('complete', 2, 6),
        layOut('complete', [codes]),
        values,
        [-1, 1],
        codes,
        0.05,
      ),
    ).toBeNull();
  });

  it('does not mind which arm takes the shift', () => {
    const codes = [0, 1, 1, 0, 1, 0, 0, 1];
    const values = [5, 7, 6.5, 4, 8, 5.5, 5, 6];
    const reference = referenceOf('complete', 2, 8);
    const own = layOut('complete', [codes]);
    const of = (pattern: readonly number[]) =>
      inversionInterval('complete', reference, own, values, [-1, 1], pattern, 0.05)!;
    const half = pairInterval('complete', values, codes, 0.05)!;
    for (const other of [of(codes), of(codes.map((code) => code - 1))]) {
      expect(other.low).toBeCloseTo(half.low, 9);
      expect(other.high).toBeCloseTo(half.high, 9);
    }
  });
});
