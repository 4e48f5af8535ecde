/** A zone's format and the dates it has told: both take longer to make than a hundred look-ups. */
interface Clock {
  format: Intl.DateTimeFormat;
  dates: Map<number, string>;
}

const clocks = new Map<string, Clock>();
/** Dates kept of one zone; then it begins anew. */
const MOST_KEPT = 50_000;
/** Clocks are set by whole quarters of an hour, so that a date holds for one. Source: tz database, offsets since 1972. */
const QUARTER = 900_000;

function clockOf(timeZone: string): Clock {
  let made = clocks.get(timeZone);
  if (!made) {
    const format = new Intl.DateTimeFormat('en', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
    });
    made = { format, dates: new Map() };
    clocks.set(timeZone, made);
  }
  return made;
}

/** The local date (yyyy-mm-dd) of a moment (ISO 8601) in an IANA time zone. Throws a RangeError for an unknown zone. */
export function localDate(moment: string, timeZone: string): string {
  const { format, dates } = clockOf(timeZone);
  const ms = Date.parse(moment);
  const quarter = Math.floor(ms / QUARTER);
  const known = dates.get(quarter);
  if (known !== undefined) return known;
  const parts: Record<string, string> = {};
  for (const { type, value } of format.formatToParts(ms)) parts[type] = value;
  const date = `${parts.year}-${parts.month}-${parts.day}`;
  if (dates.size >= MOST_KEPT) dates.clear();
  // Before quarters were the rule a date may change within one: those are not kept.
  if (ms >= Date.UTC(1972, 0, 8)) dates.set(quarter, date);
  return date;
}
