import { describe, expect, it } from 'vitest';
import { OUTCOMES, type Outcome } from '../outcomes/outcomes.ts';
import { compareTrial, pooledSd, type TrialRecord } from './comparison.ts';
import { pLabel, readPrimary } from './sentences.ts';
import { shrinkageByDay, type WashDayRecord } from './wash-day-record.ts';

const price = (usual: number) => ({ cost: { low: usual, usual, high: usual }, currency: 'EUR', gaps: [] });
const zones = ['crown', 'nape'];

/** A wash day whose zones rate `first` on day 1 and lose `loss` a day. */
function washDay(position: number, arm: number, first: number, loss: number, followed = 4): WashDayRecord {
  return {
    position,
    arm,
    half: null,
    checkIns: Array.from({ length: followed }, (_, i) => ({
      stage: 'wear' as const,
      day: i + 1,
      ratings: zones.map((zoneId, z) => ({
        outcome: 'definition' as const,
        zoneId,
        value: Math.max(0, first - loss * i + (z === 0 ? 0.5 : -0.5)),
      })),
      curls: [{ curlId: 'c', restingMm: 180, stretchedMm: 300 }],
    })),
    wearEnd: 'washed-schedule',
    cost: price(arm === 0 ? 2 : 3),
    testedCost: price(arm === 0 ? 0.5 : 1.5),
  };
}

const allocation = [0, 1, 1, 0, 1, 0, 0, 1];
function record(firsts: readonly number[], changes: Partial<TrialRecord> = {}): TrialRecord {
  return {
    promise: {
      design: 'complete',
      arms: ['Anvil', 'Kelp'],
      plannedWashDays: firsts.length,
      primary: 'definition',
      onDay: 1,
      line: 6,
      matters: 1,
      alpha: 0.05,
      weights: new Map(zones.map((zone) => [zone, 1])),
      sides: new Map(),
      looks: 1,
      seed: 5,
    },
    allocation: allocation.slice(0, firsts.length),
    ended: 'as planned',
    washDays: firsts.map((first, i) => washDay(i, allocation[i]!, first, 1)),
    ...changes,
  };
}

const apart = [5.0, 8.0, 8.4, 5.6, 8.2, 5.2, 5.4, 8.8];
const mixed = [5.0, 8.0, 5.4, 7.6, 6.2, 5.2, 7.4, 6.8];

describe('a comparison', () => {
  it('decides on the trial’s own set: fully apart means 2 of 70', () => {
    const { primary, outcomes } = compareTrial(record(apart));
    expect(primary.state).toBe('decided');
    expect(primary.test).toMatchObject({ p: 2 / 70, looked: 70, exact: true });
    expect(outcomes.definition.means[0]).toBeCloseTo(5.3, 9);
    expect(outcomes.definition.means[1]).toBeCloseTo(8.35, 9);
    expect(outcomes.definition.differences[0]!.difference).toBeCloseTo(3.05, 9);
  });

  it('counts a wash day once, however many zones were rated', () => {
    const { byWashDay } = compareTrial(record(apart)).outcomes.definition;
    expect(byWashDay).toHaveLength(8);
    expect(byWashDay.map(({ value }) => value)).toEqual(apart);
  });

  it('gives a p to the primary outcome alone', () => {
    const comparison = compareTrial(record(apart));
    for (const key of Object.keys(OUTCOMES) as Outcome[])
      expect(comparison.outcomes[key]).not.toHaveProperty('test');
  });

  it('cannot tell when the numbers overlap, and asks for wash days by the noise alone', () => {
    const { primary } = compareTrial(record(mixed));
    expect(primary.state).toBe('cannot tell');
    expect(primary.washDaysNeeded).toBeGreaterThan(8);
    const shifted = mixed.map((value, i) => value + (allocation[i] === 1 ? 0.5 : 0));
    expect(compareTrial(record(shifted)).primary.washDaysNeeded).toBe(primary.washDaysNeeded);
  });

  it('keeps the test shut until the trial is over', () => {
    const running = record(apart, {
      ended: 'no',
      allocation: allocation.slice(0, 3),
      washDays: apart.slice(0, 3).map((first, i) => washDay(i, allocation[i]!, first, 1)),
    });
    const { primary, outcomes } = compareTrial(running);
    expect(primary).toMatchObject({ state: 'waiting', test: null, finished: 3 });
    expect(outcomes.definition.differences[0]!.interval).toBeNull();
  });

  it('only describes when it was ended early, or six wash days were all', () => {
    expect(compareTrial(record(apart, { ended: 'early' })).primary).toMatchObject({
      state: 'describes',
      test: null,
    });
    expect(compareTrial(record(apart.slice(0, 6), { allocation: [0, 1, 1, 0, 1, 0] })).primary.state).toBe(
      'describes',
    );
  });

  it('counts days above the line up to the last day all were followed', () => {
    const comparison = compareTrial(record(apart));
    // Kelp starts near 8 and falls under 6 on day 4; Anvil starts under 6.
    expect(comparison.restrictedTo).toBe(3);
    expect(comparison.meanDaysAbove).toEqual([0, 3]);
    expect(comparison.wear.filter(({ arm }) => arm === 0).every(({ seen }) => seen?.lastAbove === 0)).toBe(
      true,
    );
  });

  it('shares the cost of a wash over its good days, and never over none', () => {
    const { money } = compareTrial(record(apart));
    expect(money[1]).toMatchObject({
      costPerWash: 3,
      testedCostPerWash: 1.5,
      costPerGoodDay: 1,
      currency: 'EUR',
    });
    expect(money[0]).toMatchObject({ costPerWash: 2, costPerGoodDay: null });
  });

  it('sets shrinkage side by side', () => {
    const { shrinkage } = compareTrial(record(apart));
    expect(shrinkage.means[0]).toBeCloseTo(0.4, 9);
    expect(shrinkageByDay(washDay(0, 0, 8, 1))).toHaveLength(4);
  });

  it('bears three arms: one p for the widest gap, an interval for each pair', () => {
    const three = [0, 1, 2, 2, 0, 1, 1, 2, 0];
    const firsts = three.map((arm, day) => 4 + 2 * arm + (day % 3) * 0.1);
    const base = record(apart);
    const comparison = compareTrial({
      ...base,
      promise: { ...base.promise, arms: ['A', 'B', 'C'], plannedWashDays: 9 },
      allocation: three,
      washDays: firsts.map((first, i) => washDay(i, three[i]!, first, 0.2)),
    });
    expect(comparison.primary.test!.looked).toBe(1680);
    expect(comparison.primary.test!.p).toBeCloseTo(6 / 1680, 9);
    expect(comparison.outcomes.definition.differences.map(({ arm }) => arm)).toEqual([1, 2]);
  });

  it('tells which wash days rest on fewer zones than promised', () => {
    const washDays = record(apart).washDays.map((day, i) =>
      i === 3
        ? { ...day, checkIns: day.checkIns.map((look) => ({ ...look, ratings: look.ratings.slice(0, 1) })) }
        : day,
    );
    expect(compareTrial(record(apart, { washDays })).partial).toEqual([{ position: 3, unrated: 1 }]);
    expect(compareTrial(record(apart)).partial).toEqual([]);
  });

  it('bears a wash day without a look at day 1', () => {
    const washDays = record(apart).washDays.map((day, i) => (i === 2 ? { ...day, checkIns: [] } : day));
    const { primary } = compareTrial(record(apart, { washDays }));
    expect(primary.finished).toBe(7);
    expect(primary.test!.p).toBeGreaterThan(2 / 70 - 1e-9);
  });
});

describe('noise between wash days', () => {
  it('by hand: deviations of ±1 in two arms of two give √(4/2)', () => {
    const days = [
      { arm: 0, value: 4 },
      { arm: 0, value: 6 },
      { arm: 1, value: 7 },
      { arm: 1, value: 9 },
    ];
    expect(pooledSd(days, 2)!.sd).toBeCloseTo(Math.SQRT2, 12);
    expect(pooledSd(days.slice(0, 1), 2)).toBeNull();
  });
});

describe('the sentences', () => {
  const read = (trial: TrialRecord) => readPrimary(trial, compareTrial(trial));

  it('name the winner, the gap, its interval and the p', () => {
    const { headline, because } = read(record(apart));
    expect(headline).toBe('Kelp gave more definition.');
    expect(because[0]).toMatch(
      /^Kelp less Anvil: \+3\.0 points of definition on day 1 \(97\.1 % interval \+\d/,
    );
    expect(because[1]).toBe(
      'Of the 70 ways the arms could have fallen, 2.9 % show a gap at least this wide: p = .029.',
    );
    expect(because[2]).toContain('at least the 1.0 that matters');
  });

  it('say so when the data cannot tell', () => {
    const { headline, because } = read(record(mixed));
    expect(headline).toBe('Cannot tell yet which gives more definition.');
    expect(because.at(-1)).toMatch(/needs about \d+ wash days/);
  });

  it('say so when the plan could only describe, or it is too early', () => {
    expect(read(record(apart.slice(0, 6), { allocation: [0, 1, 1, 0, 1, 0] })).because.at(-1)).toBe(
      'The smallest p this plan could reach is .10.',
    );
    expect(read(record(apart, { ended: 'no' })).headline).toBe('Too early: 8 of 8 wash days are in.');
    expect(read(record(apart, { ended: 'early' })).headline).toBe('This trial can describe, not decide.');
  });

  it('never print a p of zero', () => {
    expect(pLabel(0.0002)).toBe('< .001');
    expect(pLabel(0.05)).toBe('= .050');
  });
});
