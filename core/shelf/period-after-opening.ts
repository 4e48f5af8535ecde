/**
 * The last local date (yyyy-mm-dd) on which an opened product is within its period after opening, or null where
 * either is unknown. The day is clamped to the month's end: 31 January + 1 month is the last of February.
 * Source: Regulation (EC) No 1223/2009 Art. 19(1)(c) states the period in months after opening.
 */
export function goodUntil(openedOn: string | null, months: number | null): string | null {
  if (openedOn === null || months === null) return null;
  const [year, month, day] = openedOn.split('-').map(Number) as [number, number, number];
  const total = year * 12 + (month - 1) + months;
  const y = Math.floor(total / 12);
  const m = (total % 12) + 1;
  const last = new Date(Date.UTC(y, m, 0)).getUTCDate();
  return `${y}-${String(m).padStart(2, '0')}-${String(Math.min(day, last)).padStart(2, '0')}`;
}
