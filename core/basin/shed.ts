/** Hairs a day that are ordinary. Source: trade.md; the usual range in dermatology, from memory. */
export const SHED_PER_DAY = { low: 50, high: 100 } as const;
/** Beyond this many days of hair held back, days are not added up further. Model assumption. */
const MOST_DAYS = 14;

export interface ShedFound {
  /** Ordinary range for the days since the hair was last detangled. */
  low: number;
  high: number;
  says: 'few' | 'ordinary' | 'many' | 'far over';
}

/**
 * Shed hairs of one wash day against what is ordinary since the last detangle: hair held back by a style is given up at
 * once. `days` since then, counted as one at least. "Far over": over twice the most.
 */
export function shedAgainst(hairs: number, days: number): ShedFound {
  const counted = Math.min(MOST_DAYS, Math.max(1, days));
  const [low, high] = [SHED_PER_DAY.low * counted, SHED_PER_DAY.high * counted];
  const says = hairs > 2 * high ? 'far over' : hairs > high ? 'many' : hairs < low ? 'few' : 'ordinary';
  return { low, high, says };
}
