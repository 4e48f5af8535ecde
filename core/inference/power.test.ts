import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import type { Design } from '../trial/designs.ts';
import { daysNeeded } from './days-needed.ts';
import { detectable, differenceFound, NOISE_ALONE, type PowerPlan, simulatePower, wilson } from './power.ts';

const { jStat } = jstat;

const plan = (to: Partial<PowerPlan> = {}): PowerPlan => ({
  ...NOISE_ALONE,
  design: 'complete',
  arms: 2,
  days: 12,
  looks: 1,
  alpha: 0.05,
  better: 'higher',
  noise: { sd: 1, freedom: null },
  ...to,
});
const powerAt = (of: PowerPlan, difference: number, trials = 3000, seed = 11) =>
  simulatePower(of, [difference], trials, seed)[0]!;
/** Simulation error, four standard errors. */
const error = (share: number, trials = 3000) => 4 * Math.sqrt((share * (1 - share)) / trials);

/** Power of the two-sided t test from the noncentral t distribution. Source: jStat 1.9. */
function tPower(df: number, shift: number, alpha = 0.05): number {
  const limit = jStat.studentt.inv(1 - alpha / 2, df);
  return 1 - jStat.noncentralt.cdf(limit, df, shift) + jStat.noncentralt.cdf(-limit, df, shift);
}

describe('power of the plain case', () => {
  // Source: Cohen, Statistical Power Analysis (1988), table 2.4.1, from memory: d = .5, power .80, 34 pairs.
  it('34 pairs see d = 0.5 with 80 %', () => {
    const { power } = powerAt(plan({ design: 'half', days: 34 }), 0.5);
    expect(Math.abs(power - 0.8)).toBeLessThan(error(0.8) + 0.01);
  });

  const HALVES: [days: number, d: number][] = [
    [16, 0.75],
    [12, 0.88],
    [20, 0.5],
    [34, 0.5],
  ];
  for (const [n, [days, d]] of HALVES.entries())
    it(`${days} half-heads at a difference of ${d} agree with the noncentral t`, {
      tags: n ? ['soak'] : [],
    }, () => {
      const expected = tPower(days - 1, d * Math.sqrt(days));
      const { power } = powerAt(plan({ design: 'half', days }), d);
      // Balanced sides cost a little against free ones: the set is smaller than the t test's.
      expect(power - expected).toBeLessThan(error(expected));
      expect(expected - power).toBeLessThan(error(expected) + 0.07);
    });

  it.each([
    [20, 1.2],
    [34, 1],
  ])('%i whole heads at a difference of %f agree with the noncentral t', (days, d) => {
    const expected = tPower(days - 2, (d * Math.sqrt(days)) / 2);
    const { power } = powerAt(plan({ days }), d);
    expect(Math.abs(power - expected)).toBeLessThan(error(expected) + 0.03);
  });

  it('falls when the noise is itself uncertain, and with missed days', () => {
    const at = (to: Partial<PowerPlan>, difference: number) => powerAt(plan(to), difference, 1500).power;
    const sure = at({}, 1.6);
    expect(at({ missing: 0.25 }, 1.6)).toBeLessThan(sure);
    // An uncertain SD is now smaller, now larger: power gains where it is low and loses where it is high.
    expect(at({ noise: { sd: 1, freedom: 3 } }, 3)).toBeLessThan(at({}, 3));
    expect(at({ noise: { sd: 1, freedom: 3 } }, 0.5)).toBeGreaterThan(at({}, 0.5) - 0.03);
  });

  it('is the same for the same seed, and tells its progress', () => {
    const told: number[] = [];
    const run = () => simulatePower(plan(), [0, 1], 200, 5, (share) => told.push(share));
    expect(run()).toEqual(run());
    expect(told.slice(0, 2)).toEqual([0.5, 1]);
  });
});

describe('error rates under no effect', () => {
  const deciding: [Design, number, number][] = [
    ['complete', 2, 8],
    ['complete', 3, 9],
    ['blocks', 2, 12],
    ['walk', 3, 13],
    ['half', 2, 8],
    ['half-three', 3, 12],
    ['factorial', 4, 12],
    ['refresh', 2, 8],
  ];
  const troubles: [string, Partial<PowerPlan>][] = [
    ['nothing else', {}],
    ['drift and side bias', { drift: 3, bias: 2 }],
    ['arm-independent carry-over', { lag: 0.6 }],
  ];
  for (const [n, [design, arms, days]] of deciding.entries())
    for (const [i, [name, trouble]] of troubles.entries())
      it(`${design}, ${arms} arms, ${days} days, with ${name}: at or under .05`, {
        // One trouble a design in a run, by turns.
        tags: (n + i) % troubles.length ? ['soak'] : [],
      }, () => {
        const { power } = powerAt(plan({ design, arms, days, ...trouble }), 0, 1500);
        expect(power).toBeLessThan(0.05 + error(0.05, 1500));
      });

  it('stay under .05 with two looks', () => {
    const looked = plan({ days: 20, looks: 2 });
    expect(powerAt(looked, 0, 2000).power).toBeLessThan(0.05 + error(0.05, 2000));
  });

  // what an option itself leaves behind is part of what a lot compares; how much that does to the error rate is reported.
  it('bear what one arm leaves behind worst in blocks of four, best where each arm follows each equally often', {
    tags: 'soak',
  }, () => {
    const rate = (design: Design, arms: number, days: number) =>
      powerAt(plan({ design, arms, days, carryOver: 3 }), 0, 4000).power;
    const blocks = rate('blocks', 2, 12);
    expect(blocks).toBeGreaterThan(0.06);
    expect(blocks).toBeLessThan(0.11);
    expect(rate('complete', 2, 12)).toBeLessThan(0.05 + error(0.05, 4000) + 0.01);
    expect(rate('walk', 3, 13)).toBeLessThan(0.03);
  });
});

describe('what a plan can see', () => {
  it('is where its curve crosses 80 %', () => {
    const at = (difference: number, power: number) => ({ difference, power, low: 0, high: 1 });
    expect(detectable([at(0, 0.05), at(1, 0.6), at(2, 1)])).toBeCloseTo(1.5, 12);
    expect(detectable([at(0, 0.05), at(1, 0.4)])).toBeNull();
  });

  // Source: Newcombe (1998), Statistics in Medicine 17, 857–872, table I: 81/263 gives .2553 to .3662 (from memory).
  it('has Wilson’s interval about its share', () => {
    const { low, high } = wilson(81, 263);
    expect(low).toBeCloseTo(0.2553, 4);
    expect(high).toBeCloseTo(0.3662, 4);
  });

  it('refuses a plan that cannot be drawn', () => {
    expect(() => simulatePower(plan({ arms: 3, days: 8 }), [1], 10, 1)).toThrow('do not split');
  });

  it('is nothing in a plan that cannot decide, however large the difference', () => {
    for (const [design, arms, days] of [
      ['factorial', 4, 8],
      ['blocks', 2, 8],
      ['complete', 2, 6],
    ] as const)
      expect(powerAt(plan({ design, arms, days }), 9, 100).power).toBe(0);
  });

  // Source: methods.md 3, defaults, computed there; half-heads: the same.
  const FOUND: [Design, number, number, number][] = [
    ['complete', 8, 2.9, 0.2],
    ['complete', 10, 2.1, 0.12],
    ['complete', 12, 1.8, 0.12],
    ['half', 8, 1.45, 0.12],
    ['half', 10, 1.04, 0.08],
    ['half', 12, 0.91, 0.08],
  ];
  for (const [design, days, found, within] of FOUND)
    it(`of ${design} in ${days} days is found from ${found} SD on`, {
      tags: days === 8 ? [] : ['soak'],
    }, () => {
      expect(Math.abs(differenceFound(design, 2, days, 1, 0.05)! - found)).toBeLessThan(within);
    });

  it('with eight whole-head days finds 1 SD in about 15 %', () => {
    const { power } = powerAt(plan({ days: 8 }), 1, 3000);
    expect(Math.abs(power - 0.15)).toBeLessThan(error(0.15) + 0.01);
  });
});

describe('what a tester’s scale does to power', () => {
  const rated = (step: number, zones: number, level: number) => ({ step, zones, level });
  const at = (to: Partial<PowerPlan>, difference = 2.5) =>
    powerAt(plan({ days: 8, ...to }), difference, 2000).power;

  it('whole points in few zones cost, half points in many hardly do', () => {
    const free = at({});
    expect(at({ scale: rated(0.5, 6, 5) })).toBeGreaterThan(free - 0.06);
    expect(at({ scale: rated(1, 1, 5) })).toBeLessThan(free - 0.04);
  });

  it('the end of the scale costs, on the side that is wanted', () => {
    const middle = at({ scale: rated(0.5, 4, 5) });
    expect(at({ scale: rated(0.5, 4, 9) })).toBeLessThan(middle - 0.05);
    expect(at({ scale: rated(0.5, 4, 1), better: 'lower' })).toBeLessThan(middle - 0.05);
    expect(at({ scale: rated(0.5, 4, 9), better: 'lower' })).toBeGreaterThan(middle - 0.05);
  });
});

describe('wash days needed', () => {
  const needed = (to: Partial<PowerPlan>, difference: number) => {
    const { days: _, ...rest } = plan(to);
    return daysNeeded(rest, difference);
  };

  // Power of each answer was simulated apart with other seeds: what it says is enough reaches 80 % within its error.
  for (const [design, arms, sd] of [
    ['complete', 2, 0.5],
    ['half', 2, 1],
    ['blocks', 2, 0.5],
    ['walk', 3, 0.4],
  ] as const)
    it(`are enough of ${design}: the plan they name finds the difference`, {
      tags: arms === 2 && design !== 'blocks' ? [] : ['soak'],
    }, () => {
      const { ifRight } = needed({ design, arms, noise: { sd, freedom: null } }, 1);
      const { power } = powerAt(
        plan({ design, arms, days: ifRight!, noise: { sd, freedom: null } }),
        1,
        1500,
        77,
      );
      expect(power, `${design} ${ifRight}`).toBeGreaterThan(0.8 - error(0.8, 500));
    });

  it('never go under what the design can decide with', () => {
    expect(needed({ noise: { sd: 0.01, freedom: null } }, 1).usual).toBe(8);
  });

  it('do so in blocks and of two factors, and say when no plan holds them', { tags: 'soak' }, () => {
    expect(needed({ design: 'blocks', noise: { sd: 0.01, freedom: null } }, 1).usual).toBe(12);
    expect(needed({ design: 'factorial', arms: 4, noise: { sd: 0.01, freedom: null } }, 1).usual).toBe(12);
    expect(needed({ noise: { sd: 3, freedom: null } }, 1).usual).toBeNull();
  });

  it('are more for a noise that is uncertain, and refuse nonsense', () => {
    const sure = needed({ design: 'half', noise: { sd: 1, freedom: null } }, 1).usual!;
    const unsure = needed({ design: 'half', noise: { sd: 1, freedom: 4 } }, 1).usual;
    expect(unsure ?? 99).toBeGreaterThan(sure);
    expect(() => needed({}, 0)).toThrow(RangeError);
    expect(() => needed({ noise: { sd: Number.NaN, freedom: null } }, 1)).toThrow(RangeError);
  });
});
