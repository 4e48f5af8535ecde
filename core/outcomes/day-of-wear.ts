import { daysBetween } from '../time/dates.ts';

/**
 * Day of wear on a local date: the reveal's own date is day 1. Dates are yyyy-mm-dd in the wearer's zone.
 * Null before the reveal.
 */
export function dayOfWear(revealDate: string, date: string): number | null {
  const days = daysBetween(revealDate, date);
  return days < 0 ? null : days + 1;
}
