import fc from 'fast-check';
import { permutationTest } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { seededRandom, standardNormal } from '../random.ts';
import { armsOfCode, type Design, schemeOf } from '../trial/designs.ts';
import { deciderOf } from './decide.ts';
import {
  armEffects,
  contrastOf,
  contrastsOf,
  factorEffects,
  layOut,
  reckoningOf,
  withGaps,
} from './effects.ts';
import { inversionInterval, pairInterval } from './inversion-interval.ts';
import { jointIntervals } from './joint-intervals.ts';
import { extremes, mostAt, referenceOf, shareOf } from './reference-set.ts';

/** The p of a design's own test, as every verdict takes it. */
function pOf(
  design: Design,
  arms: number,
  values: readonly (number | null)[],
  codes: readonly number[],
  reference = referenceOf(design, arms, codes.length),
) {
  const reckoning = reckoningOf(design, arms);
  const units = withGaps(values);
  const observed = reckoning.statistic(units, layOut(design, [codes]), 0);
  return shareOf(reference, extremes(reckoning, units, reference, observed));
}

describe('the test on a trial’s own set, against published counts', () => {
  /* R. A. Fisher, The Design of Experiments (1935), ch. II: eight cups, four of each, 70 ways to choose. */
  const milkFirst = [1, 0, 1, 1, 0, 0, 1, 0];

  it('Fisher’s tea, all four cups right: 1 in 70 on one side, 2 on two', () => {
    expect(pOf('complete', 2, milkFirst, milkFirst)).toBe(2 / 70);
  });

  it('Fisher’s tea, three right: 17 in 70 on one side, 34 on two', () => {
    expect(pOf('complete', 2, [1, 0, 1, 1, 0, 0, 0, 1], milkFirst)).toBe(34 / 70);
  });

  it('half-heads of eight days are the same set: left or right, four of each', () => {
    expect(
      pOf(
        'half',
        2,
        milkFirst.map((code) => (code ? 1 : -1)),
        milkFirst,
      ),
    ).toBe(2 / 70);
  });

  it('agrees with simple-statistics’ permutation test within its sampling error', () => {
    const a = [6.2, 7.1, 6.8, 7.4];
    const b = [7.9, 8.3, 7.2, 8.8];
    const ours = pOf('complete', 2, [...a, ...b], [0, 0, 0, 0, 1, 1, 1, 1]);
    const random = seededRandom(11);
    const theirs = permutationTest(a, b, 'two_side', 20_000, () => random.unit());
    expect(Math.abs(ours - theirs)).toBeLessThan(4 * Math.sqrt((ours * (1 - ours)) / 20_000) + 1e-4);
  });
});

describe('the test', () => {
  it('counts ties as extreme: constant ratings give p = 1', () => {
    expect(pOf('complete', 2, new Array(8).fill(7), [0, 1, 0, 1, 0, 1, 0, 1])).toBe(1);
  });

  it('leaves days without a number out, and counts a sequence that empties an arm as extreme', () => {
    // Of 20 sequences, the four values split 2:2 as observed (or mirrored) in 2 · 2 ways, and never 4:0.
    expect(pOf('complete', 2, [5, null, 5, 7, 7, null], [0, 0, 0, 1, 1, 1])).toBe(4 / 20);
    // Split as observed or mirrored in 2 · 3 ways; all three on one arm in 2, which count.
    expect(pOf('complete', 2, [1, 2, 9, null, null, null], [0, 0, 1, 1, 1, 0])).toBe((6 + 2) / 20);
  });

  it('samples a set that is too large, with (b + 1)/(B + 1), the same each time', () => {
    const codes = schemeOf('complete', 2, 24).draw(3);
    const values = codes.map((arm, day) => arm * 3 + Math.sin(day));
    expect(pOf('complete', 2, values, codes)).toBe(1 / 20_001);
    const mild = codes.map((arm, day) => arm * 0.2 + Math.sin(day * 5));
    expect(pOf('complete', 2, mild, codes)).toBe(pOf('complete', 2, mild, codes));
  });

  it('lets through just the extremes that make p at most α', () => {
    for (const exact of [true, false])
      for (const alpha of [0.01, 0.04, 0.05]) {
        const set = { exact, count: exact ? 924 : 999 };
        const most = mostAt(set, alpha);
        expect(shareOf(set, most)).toBeLessThanOrEqual(alpha + 1e-12);
        expect(shareOf(set, most + 1)).toBeGreaterThan(alpha);
      }
  });

  const values = fc.array(
    fc.integer({ min: 0, max: 60 }).map((n) => n / 4),
    { minLength: 6, maxLength: 6 },
  );
  const place = fc.integer({ min: 0, max: 19 }).map((n) => [...schemeOf('complete', 2, 6).enumerate()][n]!);

  it('gives a whole share of the set, never under its smallest, blind to shift, scale and the arms’ names', () => {
    fc.assert(
      fc.property(values, place, (numbers, codes) => {
        const p = (own: readonly number[], at: readonly number[]) => pOf('complete', 2, own, at);
        const found = p(numbers, codes);
        expect(found * 20).toBeCloseTo(Math.round(found * 20), 9);
        expect(found).toBeGreaterThanOrEqual(0.1 - 1e-12);
        expect(
          p(
            numbers.map((x) => 3 * x + 7),
            codes,
          ),
        ).toBeCloseTo(found, 12);
        expect(
          p(
            numbers,
            codes.map((arm) => 1 - arm),
          ),
        ).toBeCloseTo(found, 12);
      }),
    );
  });

  it('of halves is blind to a side’s own bias and turns with the sides', () => {
    const codes = [0, 1, 1, 0, 1, 0, 0, 1];
    const D = [1.2, -0.4, -1.1, 0.6, 0.2, 1.4, 0.9, -0.8];
    const biased = D.map((d) => d + 3);
    expect(pOf('half', 2, biased, codes)).toBeCloseTo(pOf('half', 2, D, codes), 12);
    const mirrored = D.map((d) => -d);
    expect(armEffects('half', mirrored, codes, 2)[0]).toBeCloseTo(-armEffects('half', D, codes, 2)[0]!, 12);
  });
});

describe('what each arm does', () => {
  it('on whole heads is its mean', () => {
    expect(armEffects('complete', [4, null, 6, 9], [0, 0, 0, 1], 2)).toEqual([5, 9]);
    expect(armEffects('complete', [4, null], [0, 1], 2)[1]).toBeNaN();
  });

  it('on halves of two arms is half the signed mean of left less right, even with a day missing under side bias', () => {
    const codes = [0, 1, 0, 1, 0, 1, 0, 1];
    // Arm 1 is 1.0 better, the left is rated 2 better whatever stands there.
    const D = codes.map((code) => (code === 1 ? 1 : -1) + 2);
    const [a, b] = armEffects('half', D, codes, 2) as [number, number];
    expect(b - a).toBeCloseTo(1, 12);
    const [c, d] = armEffects('half', [null, ...D.slice(1)], codes, 2) as [number, number];
    expect(d - c).toBeCloseTo(1, 12);
  });

  it('on halves of three arms is least squares with the sides’ bias out, whatever is missing', () => {
    const random = seededRandom(6);
    for (let i = 0; i < 50; i++) {
      const codes = schemeOf('half-three', 3, 12).sample(random);
      const effect = [random.unit() * 4, random.unit() * 4, random.unit() * 4];
      const D = codes.map((code, day) => {
        const { left, right } = armsOfCode('half-three', code);
        return day % 5 === 2 ? null : effect[left]! - effect[right]! + 1.5;
      });
      const found = armEffects('half-three', D, codes, 3);
      expect(found[1]! - found[0]!).toBeCloseTo(effect[1]! - effect[0]!, 9);
      expect(found[2]! - found[0]!).toBeCloseTo(effect[2]! - effect[0]!, 9);
      expect(found[0]! + found[1]! + found[2]!).toBeCloseTo(0, 9);
    }
  });

  it('of two factors are main effects and interaction, by hand', () => {
    // Cells 1 2 4 9: first (4 + 9 − 1 − 2)/2 = 5, second (2 + 9 − 1 − 4)/2 = 3, interaction (9 − 4 − (2 − 1))/2 = 2.
    expect(factorEffects([1, 2, 4, 9])).toEqual({ first: 5, second: 3, interaction: 2 });
    const [first, second] = contrastsOf('factorial', 4);
    expect(contrastOf(first!, [1, 2, 4, 9])).toBe(5);
    expect(contrastOf(second!, [1, 2, 4, 9])).toBe(3);
  });

  it('and its statistic is the largest of the design’s contrasts', () => {
    const random = seededRandom(2);
    for (const [design, arms, days] of [
      ['complete', 2, 8],
      ['complete', 4, 12],
      ['walk', 3, 13],
      ['half', 2, 8],
      ['half-three', 3, 6],
      ['factorial', 4, 8],
    ] as const)
      for (let i = 0; i < 20; i++) {
        const codes = schemeOf(design, arms, days).sample(random);
        const values = withGaps(codes.map(() => standardNormal(random)));
        const { effects, statistic } = reckoningOf(design, arms);
        const sides = layOut(design, [codes]);
        const own = [...effects(values, sides, 0)];
        const largest = Math.max(...contrastsOf(design, arms).map((w) => Math.abs(contrastOf(w, own))));
        expect(statistic(values, sides, 0)).toBeCloseTo(largest, 12);
      }
  });
});

describe('interval by inverting the test', () => {
  /** The test's p for a shift, the plain way: take the shift out and test the contrast on every sequence of the set. */
  function pOfShift(
    design: Design,
    values: readonly (number | null)[],
    codes: readonly number[],
    shift: number,
  ) {
    const moved = values.map((value, day) => {
      if (value === null) return null;
      if (design !== 'half') return value - shift * codes[day]!;
      return value - (codes[day] === 1 ? shift : -shift);
    });
    return pOf(design, 2, moved, codes);
  }
  const day = fc.integer({ min: 0, max: 100 }).map((n) => n / 10);

  it.each(['complete', 'half'] as const)(
    'of %s keeps exactly the shifts the test does not reject',
    (design) => {
      fc.assert(
        fc.property(
          fc.array(day, { minLength: 8, maxLength: 8 }),
          fc.integer({ min: 0, max: 69 }),
          fc.boolean(),
          (numbers, which, gap) => {
            const values = numbers.map((value, i) => (gap && i === 3 ? null : value));
            const codes = [...schemeOf(design, 2, 8).enumerate()][which]!;
            const { low, high, level } = pairInterval(design, values, codes, 0.05)!;
            expect(level).toBeGreaterThan(0.95 - 1e-9);
            for (const inside of [low + 1e-6, (low + high) / 2, high - 1e-6])
              if (high - low > 1e-5 && Number.isFinite(inside))
                expect(pOfShift(design, values, codes, inside)).toBeGreaterThan(0.05);
            for (const outside of [low - 1e-4, high + 1e-4])
              if (Number.isFinite(outside))
                expect(pOfShift(design, values, codes, outside)).toBeLessThanOrEqual(0.05);
          },
        ),
        { numRuns: 60 },
      );
    },
  );

  it('prints the level it attains: 97.1 % from four against four, 90 % from three against three', () => {
    const values = [6.1, 8.2, 6.6, 8.9, 7.1, 9.3, 5.8, 8.0];
    expect(pairInterval('complete', values, [0, 1, 0, 1, 0, 1, 0, 1], 0.05)!.level).toBeCloseTo(
      1 - 2 / 70,
      9,
    );
    const six = pairInterval('complete', values.slice(0, 6), [0, 1, 0, 1, 0, 1], 0.05)!;
    expect(six.level).toBeCloseTo(0.9, 9);
    expect(Number.isFinite(six.low) && Number.isFinite(six.high)).toBe(true);
  });

  it('holds the difference, and moves and stretches with the numbers', () => {
    const six = fc.array(day, { minLength: 6, maxLength: 6 });
    fc.assert(
      fc.property(six, fc.integer({ min: 0, max: 19 }), (numbers, which) => {
        const codes = [...schemeOf('complete', 2, 6).enumerate()][which]!;
        const interval = pairInterval('complete', numbers, codes, 0.05)!;
        const [a, b] = armEffects('complete', numbers, codes, 2) as [number, number];
        expect(interval.low).toBeLessThanOrEqual(b - a + 1e-9);
        expect(interval.high).toBeGreaterThanOrEqual(b - a - 1e-9);
        const moved = numbers.map((x, i) => 2 * x + (codes[i] === 1 ? 5 : 0));
        const other = pairInterval('complete', moved, codes, 0.05)!;
        expect(other.low).toBeCloseTo(2 * interval.low + 5, 6);
        expect(other.high).toBeCloseTo(2 * interval.high + 5, 6);
      }),
    );
  });

  it('gives up without any number, and without a lot', () => {
    expect(pairInterval('complete', new Array(8).fill(null), [0, 1, 0, 1, 0, 1, 0, 1], 0.05)).toBeNull();
    expect(pairInterval('before-after', [1, 2, 3, 4], [0, 0, 1, 1], 0.05)).toBeNull();
  });

  it('of an interaction keeps the shifts its own test does not reject', () => {
    const codes = schemeOf('factorial', 4, 8).draw(3);
    const random = seededRandom(9);
    const values = codes.map(() => standardNormal(random));
    const weights = [0.5, -0.5, -0.5, 0.5];
    const pattern = codes.map((code) => weights[code]!);
    const reference = referenceOf('factorial', 4, 8);
    const { low, high } = inversionInterval(
      'factorial',
      reference,
      layOut('factorial', [codes]),
      values,
      weights,
      pattern,
      0.05,
    )!;
    const { effects } = reckoningOf('factorial', 4);
    const p = (shift: number) => {
      const moved = withGaps(values.map((value, i) => value - shift * pattern[i]!));
      const seen = Math.abs(contrastOf(weights, effects(moved, layOut('factorial', [codes]), 0)));
      let extreme = 0;
      for (let s = 0; s < reference.count; s++)
        if (Math.abs(contrastOf(weights, effects(moved, reference, s))) >= seen - 1e-9) extreme++;
      return extreme / reference.count;
    };
    expect(p(low + 1e-6)).toBeGreaterThan(0.05);
    expect(p(high - 1e-6)).toBeGreaterThan(0.05);
    expect(p(low - 1e-4)).toBeLessThanOrEqual(0.05);
    expect(p(high + 1e-4)).toBeLessThanOrEqual(0.05);
  });
});

describe('joint intervals of three arms', () => {
  /** p of a vector of shifts, the plain way: take them out and test on the design's own set. */
  const pOfShifts = (
    design: Design,
    values: readonly number[],
    codes: readonly number[],
    shifts: number[],
  ) => {
    const moved = values.map((value, day) => {
      const { left, right } = armsOfCode(design, codes[day]!);
      return design === 'half-three' ? value - shifts[left]! + shifts[right]! : value - shifts[left]!;
    });
    return pOf(design, 3, moved, codes, referenceOf(design, 3, codes.length, 1000, 999));
  };

  const areTheRange = (design: 'walk' | 'half-three', days: number) => {
    const random = seededRandom(5);
    const codes = schemeOf(design, 3, days).sample(random);
    const values = codes.map((code) => {
      const { left, right } = armsOfCode(design, code);
      return (design === 'walk' ? left : left - right) + 0.5 * standardNormal(random);
    });
    const pairs = contrastsOf(design, 3);
    const intervals = jointIntervals(design, values, codes, 3, 0.05);
    // Random vectors that are kept lie inside all three; the ends are nearly reached by some.
    const reached = pairs.map(() => [0, 0]);
    let kept = 0;
    for (let i = 0; i < 3000; i++) {
      const shifts = [0, 1 + 2.6 * (random.unit() - 0.5) * 2, 2 + 2.6 * (random.unit() - 0.5) * 2];
      if (pOfShifts(design, values, codes, shifts) <= 0.05) continue;
      kept++;
      pairs.forEach((weights, k) => {
        const at = contrastOf(weights, shifts);
        const { low, high } = intervals[k]!;
        const slack = (high - low) / 25;
        expect(at).toBeGreaterThan(low - slack);
        expect(at).toBeLessThan(high + slack);
        const span = reached[k]!;
        span[0] = kept === 1 ? at : Math.min(span[0]!, at);
        span[1] = kept === 1 ? at : Math.max(span[1]!, at);
      });
    }
    expect(kept).toBeGreaterThan(100);
    pairs.forEach((_, k) => {
      const { low, high } = intervals[k]!;
      const [from, to] = reached[k]!;
      if (Number.isFinite(low)) expect(from! - low).toBeLessThan((to! - from!) / 3);
      if (Number.isFinite(high)) expect(high - to!).toBeLessThan((to! - from!) / 3);
    });
  };
  it('of walk, 13 days, are the range of the shifts that are not rejected', () => areTheRange('walk', 13));
  it('of half-three, 12 days, are that range as well', { tags: 'soak' }, () => areTheRange('half-three', 12));

  it('hold what was seen, and are none where the data set no bound', () => {
    const codes = [0, 1, 2, 0, 1, 2, 0, 1, 2];
    const values = [4, 5, 6, 4.2, 5.1, 6.3, 3.9, 5.3, 6.1];
    const [first] = jointIntervals('complete', values, codes, 3, 0.05);
    expect(first!.level).toBeGreaterThanOrEqual(0.95);
    expect(first!.low).toBeLessThan(1);
    expect(first!.high).toBeGreaterThan(1);
    // Six days of three arms: 90 sequences, of which any statistic sees six as the same; no shift is ever rejected.
    for (const few of [
      [4, 5, 6, 4.2, 5.1, 6.3],
      [4, 5, null, 4.2, 5.1, null],
    ])
      expect(jointIntervals('complete', few, codes.slice(0, 6), 3, 0.05)).toEqual([null, null, null]);
  });

  it('are not for four arms', () => {
    expect(() => jointIntervals('complete', [1, 2, 3, 4], [0, 1, 2, 3], 4, 0.05)).toThrow(RangeError);
  });
});

describe('a look', () => {
  const codes = [0, 1, 1, 0, 1, 0, 0, 1];
  const decide = (values: readonly (number | null)[], better: 'higher' | 'lower' = 'higher') =>
    deciderOf('complete', 2, referenceOf('complete', 2, 8), better)(
      layOut('complete', [codes]),
      { left: withGaps(values), right: null },
      8,
      0.05,
    );
  const apart = codes.map((arm, day) => 4 + 3 * arm + 0.1 * day);

  it('names the arms of the tested effect, by the way the scale is wanted', () => {
    expect(decide(apart)).toMatchObject({
      standing: 'decided',
      p: 2 / 70,
      tested: { contrast: 0, named: [1], over: [0] },
      looks: [4, 4],
      due: [4, 4],
    });
    expect(decide(apart, 'lower').tested).toMatchObject({ named: [0], over: [1] });
  });

  it('asks for three looks an arm, and three quarters of those planned', () => {
    const without = (...days: number[]) => apart.map((value, day) => (days.includes(day) ? null : value));
    expect(decide(without(0)).standing).toBe('decided');
    expect(decide(without(0, 3)).standing).toBe('too few looks');
    expect(decide(without(0, 3, 5, 6)).standing).toBe('too few looks');
    const twelve = [0, 1, 0, 1, 0, 1, 0, 1, 0, 1, 0, 1];
    const look = (lost: number) =>
      deciderOf('complete', 2, referenceOf('complete', 2, 12), 'higher')(
        layOut('complete', [twelve]),
        {
          left: withGaps(twelve.map((arm, day) => (arm === 0 && day < 2 * lost ? null : arm + day / 100))),
          right: null,
        },
        12,
        0.05,
      ).standing;
    expect(look(1)).toBe('decided');
    // Four of six is under three quarters.
    expect(look(2)).toBe('too few looks');
  });

  it('simulated or not stands the same', () => {
    const random = seededRandom(12);
    const decider = deciderOf('complete', 2, referenceOf('complete', 2, 8), 'higher');
    const standings = new Set<string>();
    for (let i = 0; i < 400; i++) {
      const values = codes.map((arm) => 1.5 * arm + standardNormal(random));
      if (i % 4 === 0) values[i % 8] = Number.NaN;
      const numbers = { left: Float64Array.from(values), right: null };
      const own = layOut('complete', [codes]);
      const [real, quick] = [decider(own, numbers, 8, 0.05), decider(own, numbers, 8, 0.05, true)];
      if (real.standing !== 'out of reach') expect(quick.standing).toBe(real.standing);
      standings.add(real.standing);
    }
    expect(standings.size).toBeGreaterThan(1);
  });
});
