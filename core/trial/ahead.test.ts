import { describe, expect, it } from 'vitest';
import { bottleLasts, revertedOn, trialAhead } from './ahead.ts';

describe('a trial on the calendar', () => {
  it('has a wash day every so many days, over month ends, with what falls into each', () => {
    const days = trialAhead('2026-02-26', 3, 4, [
      { on: '2026-02-28', what: 'trim' },
      { on: '2026-03-02', what: 'colour' },
      { on: '2026-03-20', what: 'later' },
    ]);
    expect(days.map(({ on }) => on)).toEqual(['2026-02-26', '2026-03-02', '2026-03-06']);
    expect(days.map(({ meets }) => meets.map(({ what }) => what))).toEqual([['trim'], ['colour'], []]);
  });

  it('numbers its days, each up to the next, and holds no more than sixty', () => {
    expect(trialAhead('2026-03-01', 2, 3, [{ on: '2026-03-04', what: 'trim' }])).toEqual([
      { n: 1, on: '2026-03-01', until: '2026-03-04', meets: [] },
      { n: 2, on: '2026-03-04', until: '2026-03-07', meets: [{ on: '2026-03-04', what: 'trim' }] },
    ]);
    expect(trialAhead('2026-03-01', 99, 1, [])).toHaveLength(60);
    expect(trialAhead('2026-03-01', 3, 1, []).map(({ on }) => on)).toEqual([
      '2026-03-01',
      '2026-03-02',
      '2026-03-03',
    ]);
    expect(trialAhead('2026-03-01', 3, 3.5, []).map(({ on }) => on)).toEqual([
      '2026-03-01',
      '2026-03-05',
      '2026-03-08',
    ]);
  });

  it('is not for wash days less than a day apart', () => {
    expect(() => trialAhead('2026-01-01', 3, 0, [])).toThrow(RangeError);
  });

  it('gives straightened hair a fortnight to revert', () => {
    expect(revertedOn('2026-12-25')).toBe('2027-01-08');
  });
});

describe('a bottle over a trial', () => {
  it('lasts, or runs out on a wash day', () => {
    expect(bottleLasts(250, 50, 12, 8)).toEqual({ needed: 96, left: 200, runsOutOn: null });
    expect(bottleLasts(100, 50, 12, 8)).toEqual({ needed: 96, left: 50, runsOutOn: 5 });
    expect(bottleLasts(100, 200, 12, 8)).toEqual({ needed: 96, left: 0, runsOutOn: 1 });
    expect(bottleLasts(96, 0, 12, 8).runsOutOn).toBeNull();
    expect(bottleLasts(95.9, 0, 12, 8).runsOutOn).toBe(8);
    expect(bottleLasts(96, 0, 0, 8)).toEqual({ needed: 0, left: 96, runsOutOn: null });
    expect(bottleLasts(0.3, 0, 0.1, 3).runsOutOn).toBeNull();
  });
});
