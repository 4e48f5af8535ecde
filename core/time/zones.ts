import { getBasic } from 'temporal-polyfill/fns/Calendar';
import * as Instant from 'temporal-polyfill/fns/Instant';
import * as PlainDate from 'temporal-polyfill/fns/PlainDate';
import * as ZonedDateTime from 'temporal-polyfill/fns/ZonedDateTime';
import { DAY_MS } from './day.ts';

/** A reading of a clock on the wall: no zone, no offset. `month` counts from 1. */
export interface WallTime {
  year: number;
  month: number;
  day: number;
  hour: number;
  minute: number;
}

/** A moment (ms) on the clocks of an IANA time zone. Throws a RangeError for an unknown zone. */
const zoned = (ms: number, timeZone: string) =>
  Instant.toZonedDateTimeISO(Instant.fromEpochMilliseconds(ms), timeZone);

/** Minutes by which the clocks of an IANA time zone are ahead of UTC at a moment (ms). Throws a RangeError for an unknown zone. */
export const zoneOffset = (ms: number, timeZone: string): number =>
  Math.round(ZonedDateTime.offsetNanoseconds(zoned(ms, timeZone)) / 60e9);

/** Offsets of whole UTC days by zone, in minutes; null where clocks change within the day. */
const offsets = new Map<string, Map<number, number | null>>();
/** Days kept of one zone; then it begins anew. */
const MOST_KEPT = 20_000;
/** From here on offsets are whole minutes. Source: tz database, Liberia 1972. */
const WHOLE_MINUTES = Date.UTC(1972, 0, 8);

/** {@link zoneOffset}, reckoned twice a day at most: asking the library takes longer than a hundred look-ups. */
function offsetAt(ms: number, timeZone: string): number {
  let days = offsets.get(timeZone);
  if (!days) {
    days = new Map();
    offsets.set(timeZone, days);
  }
  const day = Math.floor(ms / DAY_MS);
  let kept = days.get(day);
  if (kept === undefined) {
    const [first, last] = [day, day + 1].map((n) => zoneOffset(n * DAY_MS, timeZone));
    kept = first === last ? first! : null;
    if (days.size >= MOST_KEPT) days.clear();
    days.set(day, kept);
  }
  return kept ?? zoneOffset(ms, timeZone);
}

/** The local date (yyyy-mm-dd) of a moment (ISO 8601) in an IANA time zone. Throws a RangeError for an unknown zone. */
export function localDate(moment: string, timeZone: string): string {
  const ms = Date.parse(moment);
  if (ms < WHOLE_MINUTES) return PlainDate.toString(ZonedDateTime.toPlainDate(zoned(ms, timeZone)));
  return new Date(ms + offsetAt(ms, timeZone) * 60_000).toISOString().slice(0, 10);
}

/** The hour, 0 to 24 with its fraction, that clocks of an IANA time zone show at a moment (ISO 8601). */
export function hourOf(moment: string, timeZone: string): number {
  const ms = Date.parse(moment);
  const local = ms + offsetAt(ms, timeZone) * 60_000;
  return (((local % DAY_MS) + DAY_MS) % DAY_MS) / 3_600_000;
}

const offsetsOfDay = new Map<string, readonly number[]>();

/** Offsets in force a day before to a day after a wall-clock day: one on ordinary days, two where clocks change. */
function offsetsAround(naive: number, timeZone: string): readonly number[] {
  const key = `${timeZone} ${Math.floor(naive / DAY_MS)}`;
  let found = offsetsOfDay.get(key);
  if (!found) {
    const noon = Math.floor(naive / DAY_MS) * DAY_MS + DAY_MS / 2;
    found = [
      ...new Set([zoneOffset(noon - 1.5 * DAY_MS, timeZone), zoneOffset(noon + 1.5 * DAY_MS, timeZone)]),
    ];
    if (offsetsOfDay.size > 20_000) offsetsOfDay.clear();
    offsetsOfDay.set(key, found);
  }
  return found;
}

/**
 * The moments (ms, ascending) at which clocks in a time zone showed this: one as a rule, two in the hour that comes
 * twice when clocks go back, none in the hour left out when they go forward.
 */
export function momentsOf({ year, month, day, hour, minute }: WallTime, timeZone: string): number[] {
  const naive = Date.UTC(year, month - 1, day, hour, minute);
  const offsets = offsetsAround(naive, timeZone);
  if (offsets.length === 1) return [naive - offsets[0]! * 60_000];
  return offsets
    .map((offset) => ({ offset, ms: naive - offset * 60_000 }))
    .filter(({ offset, ms }) => zoneOffset(ms, timeZone) === offset)
    .map(({ ms }) => ms)
    .sort((a, b) => a - b);
}

/** The moment (ms) a local date (yyyy-mm-dd) begins in a time zone; where midnight is left out, the first moment after. */
export const startOfDay = (date: string, timeZone: string): number =>
  PlainDate.toZonedDateTime(PlainDate.fromString(date, getBasic), timeZone).epochMilliseconds;
