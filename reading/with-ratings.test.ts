import type { WashDay } from '@sabor/contract/wash-day';
import { describe, expect, it } from 'vitest';
import { withRatings } from './with-ratings.ts';

const day = (to: object = {}) => ({ id: 'd', checkIns: [], ...to }) as unknown as WashDay;

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
    const first = withRatings(day(), input(4));
    expect(first.checkIns[0]!.ratings).toEqual([{ outcome: 'frizz', zoneId: 'z', value: 4 }]);
    const second = withRatings(first, input(6));
    expect(second.checkIns).toHaveLength(1);
    expect(second.checkIns[0]!.ratings).toEqual([{ outcome: 'frizz', zoneId: 'z', value: 6 }]);
    const third = withRatings(second, input(7, 'shine'));
    expect(third.checkIns[0]!.ratings).toHaveLength(2);
    expect(withRatings(third, input(null)).checkIns[0]!.ratings.map(({ outcome }) => outcome)).toEqual([
      'shine',
    ]);
    expect(first.checkIns[0]!.ratings[0]!.value).toBe(4);
  });
});
