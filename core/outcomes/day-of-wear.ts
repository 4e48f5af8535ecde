import { daysBetween, plusDays } from '../time/dates.ts';
import { hourOf, localDate } from '../time/zones.ts';

/** The hour in which a day of wear turns: whoever finishes or rates hair past midnight has not slept on it. */
const NIGHT_ENDS = 4;

/**
 * The date (yyyy-mm-dd) whose day of wear a moment (ISO 8601) belongs to in an IANA time zone: hours before four in the
 * morning belong to the day before. Source: none; common practice. Throws a RangeError for an unknown zone.
 */
export function wearDate(moment: string, timeZone: string): string {
  const date = localDate(moment, timeZone);
  return hourOf(moment, timeZone) < NIGHT_ENDS ? plusDays(date, -1) : date;
}

/**
 * Day of wear on a date: that of the reveal is day 1. Dates are yyyy-mm-dd, a moment's as {@link wearDate} tells.
 * Null before the reveal.
 */
export function dayOfWear(revealDate: string, date: string): number | null {
  const days = daysBetween(revealDate, date);
  return days < 0 ? null : days + 1;
}
