import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysBetween, plusDays, plusMonths } from './dates.ts';
import { localDate } from './zones.ts';

const date = fc
  .date({ min: new Date('1900-01-01'), max: new Date('2199-12-31'), noInvalidDate: true })
  .map((day) => day.toISOString().slice(0, 10));

describe('dates', () => {
  it('are counted there and back', () => {
    fc.assert(
      fc.property(date, fc.integer({ min: -4000, max: 4000 }), (from, days) => {
        expect(daysBetween(from, plusDays(from, days))).toBe(days);
      }),
    );
  });

  it('cross leap days, years and the ends of months', () => {
    expect(plusDays('2024-02-28', 2)).toBe('2024-03-01');
    expect(plusDays('2026-12-31', 1)).toBe('2027-01-01');
    expect(plusMonths('2026-01-31', 1)).toBe('2026-02-28');
    expect(plusMonths('2024-01-31', 1)).toBe('2024-02-29');
    expect(daysBetween('2026-03-01', '2026-02-01')).toBe(-28);
    expect(() => plusDays('2026-02-30', 1)).toThrow(RangeError);
  });

  // The outside check: the platform's own calendar and time zones (Intl, of ECMA-402).
  it.each([
    'Europe/Berlin',
    'America/St_Johns',
    'Pacific/Apia',
    'Pacific/Kiritimati',
    'Australia/Lord_Howe',
    'Africa/Casablanca',
  ])('of moments are those that Intl tells in %s', (timeZone) => {
    const format = new Intl.DateTimeFormat('en-CA', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
    });
    fc.assert(
      fc.property(fc.integer({ min: Date.UTC(1975, 0, 1), max: Date.UTC(2037, 0, 1) }), (ms) => {
        expect(localDate(new Date(ms).toISOString(), timeZone)).toBe(format.format(ms));
      }),
      { numRuns: 300 },
    );
  });
});
