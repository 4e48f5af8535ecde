import { plusMonths } from '../time/dates.ts';

/**
 * The last local date (yyyy-mm-dd) on which an opened product is within its period after opening, or null where
 * either is unknown. The day is clamped to the month's end: 31 January + 1 month is the last of February.
 * Source: Regulation (EC) No 1223/2009 Art. 19(1)(c) states the period in months after opening.
 */
export const goodUntil = (openedOn: string | null, months: number | null): string | null =>
  openedOn === null || months === null ? null : plusMonths(openedOn, months);
