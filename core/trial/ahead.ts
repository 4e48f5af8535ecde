import { plusDays } from '../time/dates.ts';
/** Something on a wearer's calendar: care that is due, or an appointment. Dates are local, yyyy-mm-dd. */
export interface Dated {
  on: string;
  what: string;
}

/** A planned wash day with what falls on it or into the wear after it. */
export interface AheadDay {
  n: number;
  on: string;
  /** First date of the next wash day. */
  until: string;
  meets: Dated[];
}

/**
 * The calendar of a trial: so many wash days from `start`, one every `every` days, each with what else falls into it.
 * At most 60 wash days. Throws a RangeError for a gap under a day.
 */
export function trialAhead(
  start: string,
  washDays: number,
  every: number,
  others: readonly Dated[],
): AheadDay[] {
  if (!(every >= 1)) throw new RangeError('Wash days are a day apart or more.');
  return Array.from({ length: Math.min(60, washDays) }, (_, i) => {
    const on = plusDays(start, Math.round(i * every));
    const until = plusDays(start, Math.round((i + 1) * every));
    return { n: i + 1, on, until, meets: others.filter((one) => one.on >= on && one.on < until) };
  });
}

/** Days after straightening in which hair still reverts. Common practice, no source. */
export const REVERT_DAYS = 14;

/** Date from which hair that was straightened on `on` may be trusted to show its own curl again. */
export const revertedOn = (on: string): string => plusDays(on, REVERT_DAYS);

/**
 * How a bottle stands to what a trial takes of it: grams needed, left, and the wash day on which it runs out (from 1),
 * or null where it lasts. Density is taken as 1 g/ml, as doses are.
 */
export function bottleLasts(
  sizeMl: number,
  used: number,
  perWashDay: number,
  washDays: number,
): { needed: number; left: number; runsOutOn: number | null } {
  const left = Math.max(0, sizeMl - used);
  const needed = perWashDay * washDays;
  const full = Math.floor(left / perWashDay + 1e-9);
  return { needed, left, runsOutOn: needed === 0 || full >= washDays ? null : full + 1 };
}
