import { plusDays } from '@sabor/core/time/dates';

export type Span = 'month' | 'week';

const DATE = /^\d{4}-\d{2}-\d{2}$/;
const utc = (date: string) => new Date(`${date}T00:00:00Z`);

/** What an address asks for; anything it does not say is the month of today. */
export function spanFrom(search: URLSearchParams, today: string): { span: Span; at: string } {
  const at = search.get('at') ?? '';
  return {
    span: search.get('span') === 'week' ? 'week' : 'month',
    at: DATE.test(at) && !Number.isNaN(utc(at).getTime()) ? at : today,
  };
}

/** The Monday of a date's week. */
const monday = (date: string) => plusDays(date, -((utc(date).getUTCDay() + 6) % 7));

/** The days that are shown: a week, or the whole weeks of a month, from Monday to Sunday. */
export function daysOf(span: Span, at: string): string[] {
  const first = monday(span === 'week' ? at : `${at.slice(0, 7)}-01`);
  const last =
    span === 'week' ? plusDays(first, 6) : plusDays(monday(plusDays(turned('month', at, 1), -1)), 6);
  const days: string[] = [];
  for (let day = first; day <= last; day = plusDays(day, 1)) days.push(day);
  return days;
}

/** The first of the month, or the same weekday of the week, so many further. */
export function turned(span: Span, at: string, by: number): string {
  if (span === 'week') return plusDays(at, 7 * by);
  const date = utc(`${at.slice(0, 7)}-01`);
  date.setUTCMonth(date.getUTCMonth() + by);
  return date.toISOString().slice(0, 10);
}

const MONTH = new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric', timeZone: 'UTC' });
export const monthName = (at: string): string => MONTH.format(utc(at));

const WEEKDAY = new Intl.DateTimeFormat('en', { weekday: 'short', timeZone: 'UTC' });
/** Monday to Sunday, in short. */
export const weekdays = (): string[] => daysOf('week', '2026-03-10').map((day) => WEEKDAY.format(utc(day)));
