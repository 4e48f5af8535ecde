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
  });
});
