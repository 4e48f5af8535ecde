/** A wash day's number beside its dew point, of a trial. */
export interface InAir {
  trial: string;
  dewPointC: number;
  value: number;
}

/** How a product's number goes with the dew point: a change per °C. Not drawn by lot, and without a p. */
export interface Slope {
  perDegree: number;
  days: number;
}

/** What a slope takes at the least. Source: methods.md 7. */
const DAYS = 8;
const SPREAD_C = 3;

/**
 * Change of a number per °C of dew point, within trials: each about its own trial's mean, so that what differs between
 * trials does not count. Null under eight days, or where dew points within trials differ by less than 3 °C (SD).
 * Source: methods.md 7.
 */
export function airSlope(days: readonly InAir[]): Slope | null {
  const trials = [...new Set(days.map(({ trial }) => trial))];
  const rows = trials.flatMap((trial) => {
    const own = days.filter((day) => day.trial === trial);
    const [x, y] = [own.reduce((a, d) => a + d.dewPointC, 0), own.reduce((a, d) => a + d.value, 0)];
    return own.map((day) => ({ x: day.dewPointC - x / own.length, y: day.value - y / own.length }));
  });
  const freedom = rows.length - trials.length;
  const xx = rows.reduce((sum, { x }) => sum + x * x, 0);
  if (rows.length < DAYS || freedom <= 0 || Math.sqrt(xx / freedom) < SPREAD_C) return null;
  return { perDegree: rows.reduce((sum, { x, y }) => sum + x * y, 0) / xx, days: rows.length };
}
