import { getBasic } from 'temporal-polyfill/fns/Calendar';
import * as PlainDate from 'temporal-polyfill/fns/PlainDate';

const dateOf = (date: string) => PlainDate.fromString(date, getBasic);

/** The date so many days after another (before it, where negative). Dates are yyyy-mm-dd. Throws a RangeError for no date. */
export const plusDays = (date: string, days: number): string =>
  PlainDate.toString(PlainDate.addDays(dateOf(date), days));

/** The date so many months after another: its last day where that month is shorter. */
export const plusMonths = (date: string, months: number): string =>
  PlainDate.toString(PlainDate.addMonths(dateOf(date), months));

/** Days from one date to another; negative where the second is earlier. */
export const daysBetween = (from: string, to: string): number => PlainDate.diffDays(dateOf(from), dateOf(to));

/** The year, month and day of a date, counted from 1. */
export function partsOf(date: string): { year: number; month: number; day: number } {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  return { year, month, day };
}
