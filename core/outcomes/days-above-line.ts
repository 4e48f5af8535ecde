export interface DayValue {
  /** Day of wear, 1 is the reveal. */
  day: number;
  value: number;
}

export interface Longevity {
  /** Last check-in day at or above the line before the first below; 0 when already below on the first check-in. */
  lastAbove: number;
  /** First check-in day below the line, or the day after an ending that counts as one; null when never seen. */
  firstBelow: number | null;
  /** True when the wear was cut short, or followed no further, while still at or above the line. */
  censored: boolean;
}

/**
 * How long an outcome stayed on the wearer's side of the line. The event lies in (lastAbove, firstBelow].
 * `better` says which side counts as "above". `endedByLooks`: the wear ended in a wash or full restyle for looks or
 * itch, which is an event on the day after the last check-in above. Throws a RangeError without a single value.
 * Source: methods.md 3 (longevity).
 */
export function longevity(
  values: readonly DayValue[],
  line: number,
  better: 'higher' | 'lower',
  endedByLooks: boolean,
): Longevity {
  if (values.length === 0) throw new RangeError('Longevity needs at least one check-in.');
  const days = [...values].sort((a, b) => a.day - b.day);
  let lastAbove = 0;
  for (const { day, value } of days) {
    const above = better === 'higher' ? value >= line : value <= line;
    if (!above) return { lastAbove, firstBelow: day, censored: false };
    lastAbove = day;
  }
  if (endedByLooks) return { lastAbove, firstBelow: lastAbove + 1, censored: false };
  return { lastAbove, firstBelow: null, censored: true };
}

/**
 * Days above the line counted up to a common day `upTo` (restricted wear). Between two check-ins the midpoint of
 * (lastAbove, firstBelow − 1] is taken. Null when the wear was cut short before `upTo` and so cannot be known.
 */
export function daysAboveLine(seen: Longevity, upTo: number): number | null {
  if (seen.censored) return seen.lastAbove >= upTo ? upTo : null;
  const days = (seen.lastAbove + (seen.firstBelow! - 1)) / 2;
  return Math.min(upTo, days);
}
