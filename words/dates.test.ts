import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dateInField, dateInWords, momentInField, readDate, readMoment, readTime } from './dates.ts';

const TODAY = '2026-11-27';

describe('dates in words', () => {
  it('name weekday, day and month, and the year where it is another', () => {
    expect(dateInWords('2026-11-27', TODAY)).toBe('Fri 27 Nov');
    expect(dateInWords('2026-09-01', TODAY)).toBe('Tue 1 Sep');
    expect(dateInWords('2025-12-31', TODAY)).toBe('Wed 31 Dec 2025');
    expect(dateInField('2026-03-04')).toBe('4 Mar 2026');
  });

  // The outside check of the weekdays: the platform's own calendar (Intl, of ECMA-402).
  it('have the weekday Intl gives', () => {
    const intl = new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' });
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1900-01-01'), max: new Date('2199-12-31'), noInvalidDate: true }),
        (at) => {
          expect(dateInWords(at.toISOString().slice(0, 10), TODAY).slice(0, 3)).toBe(
            intl.format(at).slice(0, 3),
          );
        },
      ),
    );
  });
});

describe('dates as they are typed', () => {
  it.each([
    ['27 Nov 2026', '2026-11-27'],
    ['27 november', '2026-11-27'],
    ['Fri 27 Nov', '2026-11-27'],
    ['27.11.2026', '2026-11-27'],
    ['27/11/26', '2026-11-27'],
    ['27.11.', '2026-11-27'],
    ['27/11', '2026-11-27'],
    ['2026-11-27', '2026-11-27'],
    ['2026/1/5', '2026-01-05'],
    ['3 Jan', '2027-01-03'],
    ['20 Jun', '2026-06-20'],
    ['today', '2026-11-27'],
    ['Yesterday', '2026-11-26'],
    ['29.2.2024', '2024-02-29'],
  ])('%s is %s', (typed, date) => expect(readDate(typed, TODAY)).toBe(date));

  it.each(['', '30 Feb', '31.11.2026', '29.2.2026', '11/27/2026', '13', 'soon', '27 Foo', '1e5', '0.0.0'])(
    '%j is none',
    (typed) => expect(readDate(typed, TODAY)).toBeNull(),
  );

  it('are read back from how they are shown', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1900-01-01'), max: new Date('2199-12-31'), noInvalidDate: true }),
        (at) => {
          const date = at.toISOString().slice(0, 10);
          expect(readDate(dateInField(date), TODAY)).toBe(date);
        },
      ),
    );
  });
});

describe('times as they are typed', () => {
  it.each([
    ['9', '09:00'],
    ['9:05', '09:05'],
    ['9.05', '09:05'],
    ['0905', '09:05'],
    ['21h30', '21:30'],
    ['9:05 pm', '21:05'],
    ['12 am', '00:00'],
    ['23:59', '23:59'],
  ])('%s is %s', (typed, time) => expect(readTime(typed)).toBe(time));
  it.each(['', '24:00', '9:60', '13 pm', 'noon', '9:5'])('%j is none', (typed) =>
    expect(readTime(typed)).toBeNull(),
  );
});

describe('moments as they are typed', () => {
  it.each([
    ['27 Nov 2026, 10:12', '2026-11-27T10:12'],
    ['27.11.2026 9:05', '2026-11-27T09:05'],
    ['yesterday 9:05 pm', '2026-11-26T21:05'],
    ['10:12', '2026-11-27T10:12'],
    ['2026-11-27T10:12', '2026-11-27T10:12'],
  ])('%s is %s', (typed, moment) => {
    expect(readMoment(typed, TODAY)).toBe(moment);
    expect(readMoment(momentInField(moment), TODAY)).toBe(moment);
  });
  it.each(['', '27 Nov', '30 Feb 10:12', '27 Nov 25:12'])('%j is none', (typed) =>
    expect(readMoment(typed, TODAY)).toBeNull(),
  );
});
