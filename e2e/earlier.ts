import { wearDate } from '@sabor/core/outcomes/day-of-wear';
import { plusDays } from '@sabor/core/time/dates';
import { startOfDay } from '@sabor/core/time/zones';

/** A moment (ISO 8601) up to two hours ago of today’s day of wear: nearer where that has only just begun. */
export function earlierToday(minutes: number, timeZone = 'UTC'): string {
  const now = Date.now();
  const began = startOfDay(wearDate(new Date(now).toISOString(), timeZone), timeZone) + 4 * 3_600_000;
  return new Date(now - Math.min(60_000, Math.max(0, now - began) / 121) * minutes).toISOString();
}

/** A moment (ISO 8601) of yesterday’s day of wear, so many hours before its noon. */
export function beforeNoonYesterday(hours: number, timeZone = 'UTC'): string {
  const yesterday = plusDays(wearDate(new Date().toISOString(), timeZone), -1);
  return new Date(startOfDay(yesterday, timeZone) + (12 - hours) * 3_600_000).toISOString();
}
