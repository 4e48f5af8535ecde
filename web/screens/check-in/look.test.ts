import type { WashDay } from '@sabor/contract/wash-day';
import { describe, expect, it } from 'vitest';
import { foresee, readStage, usualMoment } from './look.ts';

const day = (to: object = {}) => ({ id: 'd', revealAt: null, checkIns: [], ...to }) as unknown as WashDay;

describe('the look an address names', () => {
  it.each([
    ['wet', { stage: 'wet', day: null }],
    ['cast', { stage: 'cast', day: null }],
    ['day-1', { stage: 'wear', day: 1 }],
    ['day-14', { stage: 'wear', day: 14 }],
    ['day-', null],
    ['day-100', null],
    ['dry', null],
    ['', null],
  ])('%j', (text, look) => {
    expect(readStage(text)).toEqual(look);
  });
});

describe('the usual moment of a look', () => {
  const near = (moment: string, to: number) => Math.abs(Date.parse(moment) - to) < 2000;

  it('is now for today’s, and for wet and cast', () => {
    const revealAt = new Date().toISOString();
    expect(near(usualMoment(day({ revealAt }), 'wear', 1, 'UTC'), Date.now())).toBe(true);
    expect(near(usualMoment(day(), 'wet', null, 'UTC'), Date.now())).toBe(true);
  });

  it('is the reveal’s hour on an earlier day', () => {
    const reveal = Date.now() - 5 * 86_400_000;
    const moment = usualMoment(day({ revealAt: new Date(reveal).toISOString() }), 'wear', 3, 'UTC');
    expect(near(moment, reveal + 2 * 86_400_000)).toBe(true);
  });
});

describe('a rating foreseen', () => {
  const input = (value: number | null, outcome = 'frizz') => ({
    id: 'c',
    washDayId: 'd',
    stage: 'wear' as const,
    day: 1,
    at: '2026-03-10T11:00:00Z',
    ratings: [{ outcome: outcome as 'frizz', zoneId: 'z', value }],
  });

  it('makes the look when there is none, replaces what it names, and takes away', () => {
    const first = foresee(day(), input(4));
    expect(first.checkIns[0]!.ratings).toEqual([{ outcome: 'frizz', zoneId: 'z', value: 4 }]);
    const second = foresee(first, input(6));
    expect(second.checkIns).toHaveLength(1);
    expect(second.checkIns[0]!.ratings).toEqual([{ outcome: 'frizz', zoneId: 'z', value: 6 }]);
    const third = foresee(second, input(7, 'shine'));
    expect(third.checkIns[0]!.ratings).toHaveLength(2);
    expect(foresee(third, input(null)).checkIns[0]!.ratings.map(({ outcome }) => outcome)).toEqual(['shine']);
    expect(first.checkIns[0]!.ratings[0]!.value).toBe(4);
  });
});
