/** Hairs shed a day, ordinary range. Common practice, no source. */
export const SHED_A_DAY = { low: 50, high: 100 } as const;

/**
 * How much of what was shed is still in the hair at the next detangle, by the style worn meanwhile. Loose hair drops
 * much of it on the way; tied-up hair keeps it. Model assumption.
 */
export const WORN_MEANWHILE = {
  loose: { label: 'loose', low: 0.3, high: 1 },
  twists: { label: 'twists', low: 0.7, high: 1 },
  braids: { label: 'braids', low: 0.8, high: 1 },
} as const;
export type WornMeanwhile = keyof typeof WORN_MEANWHILE;

/** From so many times the ordinary most, a count is "far above". Model assumption. */
export const FAR_ABOVE = 2;

/** How a count stands to what is ordinary. */
export const SHED_VERDICTS = {
  under: { label: 'few', says: 'Few' },
  ordinary: { label: 'ordinary', says: 'Ordinary' },
  above: { label: 'many', says: 'Many' },
  'far above': { label: 'far over', says: 'Far over' },
} as const;

export interface ShedReading {
  /** Hairs that are ordinary since the last detangle. */
  expected: { low: number; high: number };
  verdict: keyof typeof SHED_VERDICTS;
}

/**
 * A shed count, or an estimate from…to, against what is ordinary after so many days in that style. A range is judged
 * by its low end above, by its high end below, so that a vague estimate alarms nobody. Throws a RangeError for counts
 * or days that cannot be.
 */
export function readShed(from: number, to: number, days: number, worn: WornMeanwhile): ShedReading {
  if (!(from >= 0 && to >= from))
    throw new RangeError('Count from 0 up; an estimate runs from less to more.');
  if (!(days > 0 && days <= 400)) throw new RangeError('Give the days since the last detangle, up to 400.');
  const { low, high } = WORN_MEANWHILE[worn];
  const expected = {
    low: Math.round(SHED_A_DAY.low * days * low),
    high: Math.round(SHED_A_DAY.high * days * high),
  };
  if (from > expected.high * FAR_ABOVE) return { expected, verdict: 'far above' };
  if (from > expected.high) return { expected, verdict: 'above' };
  return { expected, verdict: to < expected.low ? 'under' : 'ordinary' };
}

/** Beyond this many days of hair held back, days are not added up further. Model assumption. */
const MOST_DAYS = 14;

/**
 * Shed hairs of one wash day by what is ordinary since the last detangle, as {@link readShed} has it for hair worn loose:
 * how it was worn meanwhile is not known there. `days` count as one at least.
 */
export const shedSinceDetangle = (hairs: number, days: number): ShedReading =>
  readShed(hairs, hairs, Math.min(MOST_DAYS, Math.max(1, days)), 'loose');
