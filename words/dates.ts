/** One way to write dates and times: "Fri 27 Nov", with the year when it is not this one, and "10:12" in 24 hours. */
import { hourOf, localDate } from '@sabor/core/time/zones';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;

const partsOf = (date: string) => {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  return { year, month, day };
};

/** A date (yyyy-mm-dd) in words, beside today's: "Fri 27 Nov"; "Fri 27 Nov 2025" in another year. */
export function dateInWords(date: string, today: string): string {
  const { year, month, day } = partsOf(date);
  const weekday = WEEKDAYS[new Date(Date.UTC(year, month - 1, day)).getUTCDay()];
  return `${weekday} ${day} ${MONTHS[month - 1]}${date.slice(0, 4) === today.slice(0, 4) ? '' : ` ${year}`}`;
}

/** A date without its weekday and always with its year, as a field shows it: "27 Nov 2026". */
export function dateInField(date: string): string {
  const { year, month, day } = partsOf(date);
  return `${day} ${MONTHS[month - 1]} ${year}`;
}

const ORDER = /^(\d{1,4})[-./ ](\d{1,2})[-./ ](\d{1,4})$/;
const NAMED = /^(?:[a-z]{2,9},? )?(\d{1,2})\.? ([a-z]{3,9})\.?(?:,? (\d{4}|\d{2}))?$/i;
const DAY_AND_MONTH = /^(\d{1,2})[./](\d{1,2})\.?$/;

/** The year nearest to `today` in which a day and month lie. */
function nearestYear(month: number, day: number, today: string): number {
  const { year } = partsOf(today);
  const apart = (y: number) => Math.abs(Date.UTC(y, month - 1, day) - Date.parse(`${today}T00:00:00Z`));
  return [year - 1, year, year + 1].reduce((best, y) => (apart(y) < apart(best) ? y : best));
}

function dated(year: number, month: number, day: number): string | null {
  const full = year < 100 ? 2000 + year : year;
  const at = new Date(Date.UTC(full, month - 1, day));
  return at.getUTCFullYear() === full && at.getUTCMonth() === month - 1 && at.getUTCDate() === day
    ? at.toISOString().slice(0, 10)
    : null;
}

/**
 * The date (yyyy-mm-dd) that was typed: "27 Nov", "27.11.2026", "27/11", "2026-11-27", "today", "yesterday". The day comes
 * before the month, unless the year comes first. Null where it is no date.
 */
export function readDate(typed: string, today: string): string | null {
  const text = typed.trim().toLowerCase().replaceAll(/\s+/g, ' ');
  const shifted = { today: 0, yesterday: -1, tomorrow: 1 }[text];
  if (shifted !== undefined) {
    const { year, month, day } = partsOf(today);
    return new Date(Date.UTC(year, month - 1, day + shifted)).toISOString().slice(0, 10);
  }
  const ordered = ORDER.exec(text);
  if (ordered) {
    const [a, b, c] = ordered.slice(1).map(Number) as [number, number, number];
    return ordered[1]!.length === 4 ? dated(a, b, c) : dated(c, b, a);
  }
  const named = NAMED.exec(text);
  if (named) {
    const month = MONTHS.findIndex((name) => named[2]!.startsWith(name.toLowerCase())) + 1;
    const day = Number(named[1]);
    return month === 0
      ? null
      : dated(named[3] ? Number(named[3]) : nearestYear(month, day, today), month, day);
  }
  const short = DAY_AND_MONTH.exec(text);
  if (!short) return null;
  const [day, month] = [Number(short[1]), Number(short[2])];
  return dated(nearestYear(month, day, today), month, day);
}

/** The time of day (hh:mm) that was typed: "9", "9:05", "9.05", "0905", "9:05 pm"; null where it is none. */
export function readTime(typed: string): string | null {
  const found = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(am|pm)?$/i.exec(typed.trim());
  if (!found) return null;
  const [, hours, minutes = '0', half] = found;
  let hour = Number(hours);
  if (half && (hour < 1 || hour > 12)) return null;
  if (half) hour = (hour % 12) + (half.toLowerCase() === 'pm' ? 12 : 0);
  return hour < 24 && Number(minutes) < 60
    ? `${String(hour).padStart(2, '0')}:${String(Number(minutes)).padStart(2, '0')}`
    : null;
}

/** A moment on the wall clock (yyyy-mm-ddThh:mm) as a field shows it: "27 Nov 2026, 10:12". */
export const momentInField = (moment: string): string =>
  `${dateInField(moment.slice(0, 10))}, ${moment.slice(11, 16)}`;

/**
 * The moment on the wall clock (yyyy-mm-ddThh:mm) that was typed: a date and a time as `readDate` and `readTime` take them,
 * or a time alone, which is of `today`. Null where it is none.
 */
export function readMoment(typed: string, today: string): string | null {
  const text = typed.trim();
  const iso = /^(\d{4}-\d{2}-\d{2})T(\d{2}:\d{2})$/.exec(text);
  const parted = iso ?? /^(.*?)(?:,\s*|\s+)(\d{1,2}(?:[:.h]\d{2})(?:\s*[ap]m)?)$/i.exec(text);
  const [date, time] = parted ? [readDate(parted[1]!, today), readTime(parted[2]!)] : [today, readTime(text)];
  return date !== null && time !== null ? `${date}T${time}` : null;
}

/** A moment (ISO 8601) on the clocks of an IANA time zone: "Fri 27 Nov, 10:12". Throws a RangeError for an unknown zone. */
export function momentInWords(moment: string, timeZone: string, today: string): string {
  const minute = new Date(Math.floor(Date.parse(moment) / 60_000) * 60_000).toISOString();
  return `${dateInWords(localDate(minute, timeZone), today)}, ${hourInWords(hourOf(minute, timeZone))}`;
}

/** An hour of the day with its fraction, as a clock shows it: 7.5 is "07:30". */
export const hourInWords = (hour: number): string =>
  `${String(Math.floor(hour)).padStart(2, '0')}:${String(Math.round((hour % 1) * 60)).padStart(2, '0')}`;
