import { describe, expect, it } from 'vitest';
import { seededRandom, standardNormal } from '../random.ts';
import { schemeOf } from '../trial/designs.ts';
import { type DayNumbers, daysOf, deciderOf, dueBy } from './decide.ts';
import { layOut, reckoningOf } from './effects.ts';
import { jointIntervals } from './joint-intervals.ts';
import { referenceOf, shareOf } from './reference-set.ts';

const gaps = (values: readonly (number | null)[]) => Float64Array.from(values, (x) => x ?? Number.NaN);
const CODES = [0, 1, 1, 0, 1, 0, 0, 1];

/** A half-head look of eight days; left is arm 0 where the code is 0. */
function half(
  sides: readonly ([number | null, number | null] | null)[],
  better: 'higher' | 'lower' = 'higher',
) {
  const numbers: DayNumbers = {
    left: gaps(sides.map((one) => one?.[0] ?? null)),
    right: gaps(sides.map((one) => one?.[1] ?? null)),
  };
  const decide = deciderOf('half', 2, referenceOf('half', 2, 8), better);
  return decide(layOut('half', [CODES]), numbers, 8, 0.05);
}
/** Arm 1 stands `by` over arm 0 at a level of its own each day. */
const days = (levels: readonly (number | null)[], by: number) =>
  levels.map((level, day): [number, number] | null =>
    level === null ? null : CODES[day] === 0 ? [level, level + by] : [level + by, level],
  );

describe('a missing day, filled with the worst seen for the named arm and the best for the other', () => {
  // Arm 1 leads by 1 on seven days of numbers from 5 to 6: at worst the eighth takes 1 off, and (7 − 1)/8 stays over nought.
  it('leaves the result where the others outweigh it, wanted more or less', () => {
    const seven = days([5, 5, 5, 5, 5, 5, 5, null], 1);
    expect(half(seven)).toMatchObject({ standing: 'decided', tested: { named: [1], over: [0] } });
    expect(half(seven, 'lower')).toMatchObject({ standing: 'decided', tested: { named: [0], over: [1] } });
  });

  // One day at nought and one at ten: at worst the eighth takes 10 off seven leads of 1.
  it('makes it a description where it could turn the sign, wanted more or less', () => {
    const far = days([0, 9, 5, 5, 5, 5, 5, null], 1);
    for (const better of ['higher', 'lower'] as const)
      expect(half(far, better)).toMatchObject({ standing: 'missing days could turn it', p: null });
  });

  it('fills the side that is missing alone', () => {
    const one = (value: number): ([number | null, number | null] | null)[] => {
      const sides: ([number | null, number | null] | null)[] = days([5, 5, 5, 5, 5, 5, 5, 5], 1);
      // Day 8 has arm 1 on the left: its number is missing, arm 0's is there.
      sides[7] = [null, value];
      return sides;
    };
    // Worst seen for arm 1 is then 5 at the least: with arm 0 at 5 nothing turns, with arm 0 at 15 it does.
    expect(half(one(5)).standing).toBe('decided');
    expect(half(one(15)).standing).toBe('missing days could turn it');
  });

  it('takes a day after this look for no missing one', () => {
    const codes = schemeOf('complete', 2, 20).draw(4);
    const numbers = gaps(codes.map((arm, day) => (day < 12 ? 3 + 4 * arm + 0.01 * day : null)));
    const decide = deciderOf('complete', 2, referenceOf('complete', 2, 20), 'higher');
    const look = decide(layOut('complete', [codes]), { left: numbers, right: null }, 12, 0.05);
    expect(look.looks).toEqual(look.due);
    expect(look.standing).toBe('decided');
  });
});

describe('out of reach', () => {
  /** The least p of half-heads with these days missing, counted out: one side apart from the other, nothing else. */
  function least(missing: ReadonlySet<number>): number {
    const mean = (codes: readonly number[]) => {
      const sums = [0, 0];
      const counts = [0, 0];
      codes.forEach((code, day) => {
        if (missing.has(day)) return;
        sums[code]! += CODES[day] === 0 ? 1 : -1;
        counts[code]!++;
      });
      return Math.abs(sums[0]! / counts[0]! - sums[1]! / counts[1]!);
    };
    const all = [...schemeOf('half', 2, 8).enumerate()];
    const own = mean(CODES);
    return all.filter((codes) => !(mean(codes) < own - 1e-9)).length / all.length;
  }

  it('is a look whose missing days leave no difference that could be found', () => {
    const noise = [0.3, -0.4, 0.2, 0.1, -0.3, -0.2, 0.4, -0.1];
    for (const missing of [[7], [0, 7], [6, 7], [1, 2]]) {
      const gone = new Set(missing);
      const sides = noise.map((x, day): [number, number] | null => (gone.has(day) ? null : [5 + x, 5]));
      const { standing } = half(sides);
      expect(standing, String(missing)).toBe(least(gone) > 0.05 ? 'out of reach' : 'open');
    }
    expect(least(new Set([7]))).toBeLessThan(0.05);
    expect(least(new Set([0, 7]))).toBeGreaterThan(0.05);
  });

  it('is never said where nothing is missing', () => {
    expect(half(days([5, 6, 4, 5, 6, 4, 5, 6], 0)).standing).toBe('open');
  });
});

describe('days of each arm', () => {
  // Day 1 has arm 0 against 1, day 2 arm 1 on both halves, day 3 arm 2 against 0, day 4 is a whole head of arm 1.
  const own = { count: 1, days: 4, plus: Int8Array.of(0, 1, 2, 1), minus: Int8Array.of(1, 1, 0, -1) };

  it('count a day for both its arms, once where both halves had the same', () => {
    expect(daysOf(own, 3, 4, () => true)).toEqual([2, 3, 1]);
    expect(daysOf(own, 3, 4, (day) => day !== 1)).toEqual([2, 2, 1]);
    expect(dueBy(own, 3, 2)).toEqual([1, 2, 0]);
  });
});

describe('too few looks', () => {
  const whole = (codes: readonly number[], arms: number, values: readonly (number | null)[]) => {
    const reference = referenceOf('complete', arms, codes.length);
    return deciderOf('complete', arms, reference, 'higher')(
      layOut('complete', [codes]),
      { left: gaps(values), right: null },
      codes.length,
      0.4,
    );
  };

  it('are two an arm, though none is missing', () => {
    expect(whole([0, 1, 0, 1], 2, [1, 9, 2, 8])).toEqual({
      standing: 'too few looks',
      p: null,
      tested: { contrast: 0, value: 7, named: [1], over: [0] },
      looks: [2, 2],
      due: [2, 2],
    });
    expect(whole([0, 1, 0, 1, 0, 1], 2, [1, 9, 2, 8, 1, 9]).standing).toBe('decided');
  });

  it('are none of one arm of three: nothing is tested', () => {
    const codes = [0, 1, 2, 0, 1, 2, 0, 1, 2];
    expect(
      whole(
        codes,
        3,
        codes.map((code, day) => (code === 2 ? null : day)),
      ),
    ).toEqual({ standing: 'too few looks', p: null, tested: null, looks: [3, 3, 0], due: [3, 3, 3] });
  });
});

describe('a look with days still to come', () => {
  it('fills the missing ones among those due alone', () => {
    const codes = schemeOf('complete', 2, 20).draw(4);
    const gone = codes.findIndex((code, day) => code === 1 && day > 2);
    const numbers = gaps(
      codes.map((arm, day) => (day < 12 && day !== gone ? 3 + 4 * arm + 0.01 * day : null)),
    );
    const decide = deciderOf('complete', 2, referenceOf('complete', 2, 20), 'higher');
    const own = layOut('complete', [codes]);
    const look = (upTo: number) => decide(own, { left: numbers, right: null }, upTo, 0.05).standing;
    expect(look(12)).toBe('decided');
    // Were the other eight due as well, too many would be missing.
    expect(look(20)).toBe('too few looks');
  });
});

describe('what two factors and three arms could still reach', () => {
  /** The least p with these days missing, over what may stand apart alone. */
  function least(
    design: 'factorial' | 'complete',
    arms: number,
    codes: readonly number[],
    missing: number,
    kinds: readonly ((code: number) => number)[],
  ) {
    const { statistic } = reckoningOf(design, arms);
    const reference = referenceOf(design, arms, codes.length);
    return Math.min(
      ...kinds.map((acts) => {
        const apart = gaps(codes.map((code, day) => (day === missing ? null : acts(code))));
        const own = statistic(apart, layOut(design, [codes]), 0);
        let extreme = 0;
        for (let s = 0; s < reference.count; s++)
          if (!(statistic(apart, reference, s) < own - 1e-9)) extreme++;
        return shareOf(reference, extreme);
      }),
    );
  }

  const isOfOneAlone = (
    design: 'factorial' | 'complete',
    arms: number,
    days: number,
    kinds: readonly ((code: number) => number)[],
  ) => {
    const codes = schemeOf(design, arms, days).draw(2);
    const reference = referenceOf(design, arms, days);
    const reachable = codes.map((_, missing) => least(design, arms, codes, missing, kinds));
    // A level that some of them reach and others do not, where they differ.
    const level = Math.min(...reachable) + 1e-9;
    const random = seededRandom(3);
    const noise = codes.map(() => standardNormal(random));
    reachable.forEach((p, missing) => {
      const left = gaps(noise.map((x, day) => (day === missing ? null : x)));
      const decide = deciderOf(design, arms, reference, 'higher');
      const look = (alpha: number) =>
        decide(layOut(design, [codes]), { left, right: null }, days, alpha).standing;
      expect(look(level)).toBe(p <= level ? 'open' : 'out of reach');
      expect(look(p * 0.99)).toBe('out of reach');
    });
  };
  it('is what one arm alone would give', () =>
    isOfOneAlone(
      'complete',
      3,
      12,
      [0, 1, 2].map((arm) => (code) => Number(code === arm)),
    ));
  it('is what one factor alone would give', { tags: 'soak' }, () =>
    isOfOneAlone('factorial', 4, 16, [(code) => Number(code >= 2), (code) => code % 2]),
  );
});

describe('joint intervals of two factors', () => {
  const codes = [0, 1, 2, 3, 3, 2, 1, 0, 0, 1, 2, 3, 2, 0, 3, 1];
  const random = seededRandom(3);
  const values = codes.map(
    (code) => (code >= 2 ? 3 : 0) + (code % 2 ? -1 : 0) + 0.3 * standardNormal(random),
  );

  it('hold each factor’s own effect, the first’s and the second’s', () => {
    const [first, second] = jointIntervals('factorial', values, codes, 4, 0.05);
    expect(first!.low).toBeGreaterThan(1);
    expect(first!.low).toBeLessThan(3);
    expect(first!.high).toBeGreaterThan(3);
    expect(second!.low).toBeLessThan(-1);
    expect(second!.high).toBeGreaterThan(-1);
    expect(first!.level).toBeGreaterThanOrEqual(0.95);
  });

  it('turn with the sign of the factor', () => {
    const [first] = jointIntervals('factorial', values, codes, 4, 0.05);
    const turned = jointIntervals(
      'factorial',
      values,
      codes.map((code) => (code + 2) % 4),
      4,
      0.05,
    )[0];
    expect(Math.abs(turned!.low + first!.high)).toBeLessThan((first!.high - first!.low) / 10);
  });

  it('are none over twelve days: shifts of both factors at once are never rejected, 4 · 20 in 924 look as they do', () => {
    expect(jointIntervals('factorial', values.slice(0, 12), codes.slice(0, 12), 4, 0.05)).toEqual([
      null,
      null,
    ]);
  });

  it('are none where a cell has no number', () => {
    const without = values.map((value, day) => (codes[day] === 3 ? null : value));
    expect(jointIntervals('factorial', without, codes, 4, 0.05)).toEqual([null, null]);
  });
});
