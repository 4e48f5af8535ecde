const formats = new Map<string, Intl.DateTimeFormat>();

/** A zone's format: made once, since making one takes longer than a hundred uses. */
function format(timeZone: string): Intl.DateTimeFormat {
  let made = formats.get(timeZone);
  if (!made) {
    made = new Intl.DateTimeFormat('en', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });
    formats.set(timeZone, made);
  }
  return made;
}

/** The local date (yyyy-mm-dd) of a moment (ISO 8601) in an IANA time zone. Throws a RangeError for an unknown zone. */
export function localDate(moment: string, timeZone: string): string {
  const parts = format(timeZone)
    .formatToParts(new Date(moment))
    .reduce<Record<string, string>>((all, part) => Object.assign(all, { [part.type]: part.value }), {});
  return `${parts.year}-${parts.month}-${parts.day}`;
}
