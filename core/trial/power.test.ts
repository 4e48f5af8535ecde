import { jStat } from 'jstat';
import { describe, expect, it, vi } from 'vitest';
import { balancedComplete } from './allocation.ts';
import type { Design } from './designs.ts';
import { detectable, type PowerPlan, simulatePower, wilson } from './power.ts';

// Simulations take their time on a busy machine.
vi.setConfig({ testTimeout: 60_000 });

const plan = (to: Partial<PowerPlan> = {}): PowerPlan => ({
  design: 'complete',
  arms: 2,
  days: 12,
  alpha: 0.05,
  firstAlpha: null,
  noise: { sd: 1, freedom: null },
  weatherSd: 0,
  drift: 0,
  bias: 0,
  lag: 0,
  carryOver: 0,
  missing: 0,
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

  it.each([
    [12, 0.88],
    [16, 0.75],
    [20, 0.5],
    [34, 0.5],
  ])('%i half-heads at a difference of %f agree with the noncentral t', (days, d) => {
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
    ['half-three', 3, 6],
    ['factorial', 4, 8],
    ['refresh', 2, 8],
  ];
  const troubles: [string, Partial<PowerPlan>][] = [
    ['nothing else', {}],
    ['drift and side bias', { drift: 3, bias: 2 }],
    ['arm-independent carry-over', { lag: 0.6 }],
  ];
  it.each(deciding.flatMap((design) => troubles.map((trouble) => [...design, ...trouble] as const)))(
    '%s, %i arms, %i days, with %s: at or under .05',
    (design, arms, days, _, trouble) => {
      const { power } = powerAt(plan({ design, arms, days, ...trouble }), 0, 1500);
      expect(power).toBeLessThan(0.05 + error(0.05, 1500));
    },
  );

  it('stay under .05 with two looks', () => {
    const looked = plan({ days: 16, alpha: 0.04, firstAlpha: 0.01 });
    expect(powerAt(looked, 0, 2000).power).toBeLessThan(0.05 + error(0.05, 2000));
  });

  // What an arm itself leaves behind is part of what a lot compares; how much that does to the error rate is reported.
  it('bear what one arm leaves behind worst in blocks of four, best where each arm follows each equally often', () => {
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
    expect(balancedComplete(2, 8).size).toBe(70);
  });
});
