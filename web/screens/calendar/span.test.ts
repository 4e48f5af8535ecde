import { describe, expect, it } from 'vitest';
import { daysOf, monthName, spanFrom, turned, weekdays } from './span.ts';

describe('the days a calendar shows', () => {
  it('are whole weeks from Monday to Sunday, however a month lies in them', () => {
    // June 2026 begins on a Monday, March 2026 on a Sunday, February 2027 is four weeks to the day.
    expect([daysOf('month', '2026-06-15')[0], daysOf('month', '2026-06-15').at(-1)]).toEqual([
      '2026-06-01',
      '2026-07-05',
    ]);
    expect([daysOf('month', '2026-03-31')[0], daysOf('month', '2026-03-31').at(-1)]).toEqual([
      '2026-02-23',
      '2026-04-05',
    ]);
    expect(daysOf('month', '2027-02-10')).toHaveLength(28);
    expect(daysOf('week', '2026-03-29')).toEqual([
      '2026-03-23',
      '2026-03-24',
      '2026-03-25',
      '2026-03-26',
      '2026-03-27',
      '2026-03-28',
      '2026-03-29',
    ]);
    expect(weekdays()).toEqual(['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']);
  });

  it('turn by a month or a week, over the year, from a 31st too', () => {
    expect(turned('month', '2026-12-31', 1)).toBe('2027-01-01');
    expect(turned('month', '2026-01-31', 1)).toBe('2026-02-01');
    expect(turned('month', '2026-01-15', -1)).toBe('2025-12-01');
    expect(turned('week', '2026-12-30', 1)).toBe('2027-01-06');
    expect(monthName('2026-12-31')).toBe('December 2026');
  });

  it('come from the address; what it does not say, or says oddly, is today', () => {
    const from = (text: string) => spanFrom(new URLSearchParams(text), '2026-03-10');
    expect(from('span=week&at=2026-05-01')).toEqual({ span: 'week', at: '2026-05-01' });
    expect(from('span=decade&at=2026-99-99')).toEqual({ span: 'month', at: '2026-03-10' });
    expect(from('')).toEqual({ span: 'month', at: '2026-03-10' });
  });
});
