import type { WallTime } from './zones.ts';

/** Which of two numbers in a date such as 03/04/2026 is the day. */
export const DATE_ORDERS = {
  dmy: { label: 'day first: 3 April' },
  mdy: { label: 'month first: 4 March' },
} as const;
export type DateOrder = keyof typeof DATE_ORDERS;

/**
 * A date-and-time cell read: a moment in itself (ms), a wall clock's time, or the reason it is neither. `lacksTime`: it is a
 * date, and nothing else is wrong with it.
 */
export type ReadMoment = { moment: number } | { wall: WallTime } | { problem: string; lacksTime?: true };

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const BETWEEN = String.raw`(?:[T,]?\s*)`;
const YEAR_FIRST = new RegExp(`^(\\d{4})[-/.](\\d{1,2})[-/.](\\d{1,2})${BETWEEN}(.*)$`);
const YEAR_LAST = new RegExp(`^(\\d{1,2})([-/.])(\\d{1,2})[-/.](\\d{4}|\\d{2})(?!\\d)${BETWEEN}(.*)$`);
const DAY_NAME = new RegExp(`^(\\d{1,2})\\.?[ -]([a-z]{3})[a-z]*[ ,-]+(\\d{4})${BETWEEN}(.*)$`, 'i');
const NAME_DAY = new RegExp(`^([a-z]{3})[a-z]*\\.? (\\d{1,2}),? (\\d{4})${BETWEEN}(.*)$`, 'i');
const TIME = /^(\d{1,2})(?::?(\d{2}))?(?::(\d{2})(?:\.\d+)?)?\s*(h|am|pm)?\s*(z|utc|gmt|[+-]\d{2}:?\d{2})?$/i;

interface DateCell {
  year: number;
  month: number;
  day: number;
  rest: string;
  /** True when day and month could be either way round. */
  either: boolean;
}

function readDate(text: string, order: DateOrder | null): DateCell | { problem: string } {
  let m = YEAR_FIRST.exec(text);
  if (m) return { year: +m[1]!, month: +m[2]!, day: +m[3]!, rest: m[4]!, either: false };
  m = DAY_NAME.exec(text);
  if (m)
    return {
      year: +m[3]!,
      month: MONTHS.indexOf(m[2]!.toLowerCase()) + 1,
      day: +m[1]!,
      rest: m[4]!,
      either: false,
    };
  m = NAME_DAY.exec(text);
  if (m)
    return {
      year: +m[3]!,
      month: MONTHS.indexOf(m[1]!.toLowerCase()) + 1,
      day: +m[2]!,
      rest: m[4]!,
      either: false,
    };
  m = YEAR_LAST.exec(text);
  if (!m) return { problem: 'This is no date Sabor can read.' };
  const [first, second] = [+m[1]!, +m[3]!];
  const year = m[4]!.length === 2 ? 2000 + +m[4]! : +m[4]!;
  const either = first <= 12 && second <= 12 && first !== second && m[2] !== '.';
  if (either && order === null)
    return { problem: 'Day and month could be either way round. Say which comes first.' };
  const dayFirst = m[2] === '.' || first > 12 || (second <= 12 && order !== 'mdy');
  return { year, month: dayFirst ? second : first, day: dayFirst ? first : second, rest: m[5]!, either };
}

/**
 * Reads a date and a time of day, in one cell or two. Year first, day or month first, English month names; 24 or 12
 * hours; an offset or Z makes it a moment, seconds since 1970 are one too. `order` decides dates that could be either.
 */
export function readMoment(dateCell: string, timeCell: string | null, order: DateOrder | null): ReadMoment {
  const text = dateCell.trim();
  if (timeCell === null && /^\d{10}(\d{3})?$/.test(text))
    return { moment: text.length === 10 ? +text * 1000 : +text };
  const date = readDate(text, order);
  if ('problem' in date) return date;
  const { year, month, day } = date;
  const real = new Date(Date.UTC(year, month - 1, day));
  if (real.getUTCMonth() !== month - 1 || real.getUTCDate() !== day)
    return { problem: 'There is no such day.' };
  const time = TIME.exec((timeCell ?? date.rest).trim());
  if (!time)
    return timeCell === null && date.rest.trim() === ''
      ? { problem: 'The time of day is missing.', lacksTime: true }
      : { problem: 'This is no time of day Sabor can read.' };
  let hour = +time[1]!;
  const minute = +(time[2] ?? 0);
  const half = time[4]?.toLowerCase();
  if (half === 'am' || half === 'pm') {
    if (hour < 1 || hour > 12) return { problem: 'There is no such time of day.' };
    hour = (hour % 12) + (half === 'pm' ? 12 : 0);
  }
  if (hour > 24 || minute > 59 || (hour === 24 && minute > 0))
    return { problem: 'There is no such time of day.' };
  const zone = time[5];
  if (!zone) {
    // 24:00 is the next day's midnight.
    const wall = new Date(Date.UTC(year, month - 1, day, hour, minute));
    return {
      wall: {
        year: wall.getUTCFullYear(),
        month: wall.getUTCMonth() + 1,
        day: wall.getUTCDate(),
        hour: wall.getUTCHours(),
        minute,
      },
    };
  }
  const offset = /^[+-]/.test(zone)
    ? (zone[0] === '-' ? -1 : 1) * (+zone.slice(1, 3) * 60 + +zone.slice(-2))
    : 0;
  return { moment: Date.UTC(year, month - 1, day, hour, minute) - offset * 60_000 };
}

/**
 * What the dates of a whole file say about their order: the one they allow, null when nothing tells, `mixed` when some
 * must be day first and others month first.
 */
export function dateOrderOf(cells: Iterable<string>): DateOrder | 'mixed' | 'either' | null {
  let [days, months, open] = [false, false, false];
  for (const cell of cells) {
    const m = YEAR_LAST.exec(cell.trim());
    if (!m || m[2] === '.') continue;
    if (+m[1]! > 12) days = true;
    else if (+m[3]! > 12) months = true;
    else if (m[1] !== m[3]) open = true;
  }
  if (days && months) return 'mixed';
  if (days) return 'dmy';
  if (months) return 'mdy';
  return open ? 'either' : null;
}
