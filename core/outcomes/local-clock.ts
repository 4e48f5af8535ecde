/** A reading of a clock on the wall: no zone, no offset. `month` counts from 1. */
export interface WallTime {
  year: number;
  month: number;
  day: number;
  hour: number;
  minute: number;
}

const formats = new Map<string, Intl.DateTimeFormat>();
const DAY = 86_400_000;

function format(timeZone: string): Intl.DateTimeFormat {
  let made = formats.get(timeZone);
  if (!made) {
    made = new Intl.DateTimeFormat('en', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formats.set(timeZone, made);
  }
  return made;
}

/** Minutes by which the clocks of an IANA time zone are ahead of UTC at a moment (ms). Throws a RangeError for an unknown zone. */
export function zoneOffset(ms: number, timeZone: string): number {
  const part: Record<string, number> = {};
  for (const { type, value } of format(timeZone).formatToParts(ms)) part[type] = Number(value);
  const wall = Date.UTC(part.year!, part.month! - 1, part.day!, part.hour!, part.minute!, part.second!);
  return Math.round((wall - Math.floor(ms / 1000) * 1000) / 60_000);
}

const offsetsOfDay = new Map<string, readonly number[]>();

/** Offsets in force a day before to a day after a wall-clock day: one on ordinary days, two where clocks change. */
function offsetsAround(naive: number, timeZone: string): readonly number[] {
  const key = `${timeZone} ${Math.floor(naive / DAY)}`;
  let found = offsetsOfDay.get(key);
  if (!found) {
    const noon = Math.floor(naive / DAY) * DAY + DAY / 2;
    found = [...new Set([zoneOffset(noon - 1.5 * DAY, timeZone), zoneOffset(noon + 1.5 * DAY, timeZone)])];
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
export function startOfDay(date: string, timeZone: string): number {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  for (let hour = 0; hour < 4; hour++) {
    const [first] = momentsOf({ year, month, day, hour, minute: 0 }, timeZone);
    if (first !== undefined) return first;
  }
  throw new RangeError(`No day begins on ${date}.`);
}
