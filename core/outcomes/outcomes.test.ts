import { describe, expect, it } from 'vitest';
import { localDate } from '../time/zones.ts';
import { dayNumber, missingZones } from './day-number.ts';
import { dayOfWear, wearDate } from './day-of-wear.ts';
import { goodDays } from './good-days.ts';
import { OUTCOMES } from './outcomes.ts';
import { stageLabel } from './stages.ts';

const days = (...values: number[]) => values.map((value, i) => ({ day: i + 1, value }));

describe('good days', () => {
  it('end between the last good look and the first that was not', () => {
    expect(goodDays(days(8, 7, 6, 5.9), 6, 'higher', null)).toEqual({
      from: 3,
      to: 4,
      toldBy: 'look',
      recovered: false,
    });
  });

  it('end at the first fall; a later recovery is told', () => {
    expect(goodDays(days(8, 5, 8), 6, 'higher', null)).toEqual({
      from: 1,
      to: 2,
      toldBy: 'look',
      recovered: true,
    });
  });

  it('are none when it was not good on the first look', () => {
    expect(goodDays(days(5, 5), 6, 'higher', null)).toMatchObject({ from: 0, to: 0 });
    expect(goodDays([{ day: 3, value: 5 }], 6, 'higher', null)).toMatchObject({ from: 0, to: 0 });
  });

  it('turn round for frizz, where less is wanted', () => {
    expect(goodDays(days(2, 3, 5), 4, 'lower', null)).toMatchObject({ from: 2, to: 3, toldBy: 'look' });
  });

  it('end by the day of a wash for looks, and are left open by any other ending', () => {
    expect(goodDays(days(8, 7), 6, 'higher', 5)).toMatchObject({ from: 2, to: 5, toldBy: 'wash' });
    expect(goodDays(days(8, 7), 6, 'higher', 2)).toMatchObject({ from: 2, to: 2 });
    expect(goodDays(days(8, 7), 6, 'higher', null)).toEqual({
      from: 2,
      to: null,
      toldBy: null,
      recovered: false,
    });
  });

  it('need a check-in', () => {
    expect(() => goodDays([], 6, 'higher', null)).toThrow(RangeError);
  });
});

describe('one number a day', () => {
  const weights = new Map([
    ['crown', 1],
    ['nape', 3],
  ]);

  it('weighs the zones as promised and leaves the others out', () => {
    const ratings = [
      { zoneId: 'crown', value: 4 },
      { zoneId: 'nape', value: 8 },
      { zoneId: 'fringe', value: 0 },
      { zoneId: null, value: 1 },
    ];
    expect(dayNumber(ratings, weights)).toBe(7);
  });

  it('rests on what was rated, and says what was not', () => {
    expect(dayNumber([{ zoneId: 'crown', value: 4 }], weights)).toBe(4);
    expect(missingZones([{ zoneId: 'crown' }], weights)).toEqual(['nape']);
  });

  it('falls back to the whole head, then to nothing', () => {
    expect(dayNumber([{ zoneId: null, value: 6 }], weights)).toBe(6);
    expect(dayNumber([{ zoneId: 'fringe', value: 6 }], weights)).toBeNull();
  });
});

describe('the day of wear', () => {
  it('is 1 on the date of the reveal', () => {
    expect(dayOfWear('2026-11-20', '2026-11-20')).toBe(1);
    expect(dayOfWear('2026-11-20', '2026-11-26')).toBe(7);
    expect(dayOfWear('2026-11-20', '2026-11-19')).toBeNull();
  });

  it('turns at four in the morning, so that hair finished late is still looked at on day 1', () => {
    const zone = 'Europe/Dublin';
    expect(wearDate('2026-11-21T00:10:00Z', zone)).toBe('2026-11-20');
    expect(wearDate('2026-11-21T03:59:59Z', zone)).toBe('2026-11-20');
    expect(wearDate('2026-11-21T04:00:00Z', zone)).toBe('2026-11-21');
    expect(wearDate('2026-11-20T23:50:00Z', zone)).toBe('2026-11-20');
    // An hour ahead of UTC: three there is four here.
    expect(wearDate('2026-07-01T03:00:00Z', zone)).toBe('2026-07-01');
    expect(wearDate('2026-07-01T02:59:00Z', zone)).toBe('2026-06-30');
    // New Year's Eve.
    expect(wearDate('2027-01-01T01:00:00Z', zone)).toBe('2026-12-31');
    expect(() => wearDate('2026-11-21T00:10:00Z', 'Nowhere/At all')).toThrow(RangeError);
  });

  it('counts across the days on which clocks change', () => {
    expect(dayOfWear('2026-03-28', '2026-03-30')).toBe(3);
    expect(dayOfWear('2026-10-24', '2026-10-26')).toBe(3);
  });

  it('follows the wearer’s own calendar', () => {
    expect(localDate('2026-11-20T23:30:00Z', 'Europe/Dublin')).toBe('2026-11-20');
    expect(localDate('2026-11-20T23:30:00Z', 'Asia/Tokyo')).toBe('2026-11-21');
    expect(localDate('2026-11-20T03:30:00Z', 'America/Lima')).toBe('2026-11-19');
    expect(() => localDate('2026-11-20T23:30:00Z', 'Nowhere/Atall')).toThrow(RangeError);
  });

  it('has a name', () => {
    expect(stageLabel('wear', 1)).toBe('Finished hair, day 1');
    expect(stageLabel('wear', 4)).toBe('Day 4');
    expect(stageLabel('cast', null)).toBe('Dry in the cast');
  });
});

describe('every outcome', () => {
  it.each(Object.entries(OUTCOMES))('%s says what 0, 5 and 10 look like', (_, { anchors, says }) => {
    expect(says.length).toBeGreaterThan(5);
    expect(new Set(Object.values(anchors)).size).toBe(3);
    for (const sentence of Object.values(anchors)) expect(sentence).toMatch(/^[A-Z].*\.$/);
  });
});
