/** The Beaufort scale: highest mean wind in m/s of each number, with its WMO name. Source: WMO-No. 8 / code table 1100. */
export const BEAUFORT = [
  { upTo: 0.2, label: 'calm' },
  { upTo: 1.5, label: 'light air' },
  { upTo: 3.3, label: 'light breeze' },
  { upTo: 5.4, label: 'gentle breeze' },
  { upTo: 7.9, label: 'moderate breeze' },
  { upTo: 10.7, label: 'fresh breeze' },
  { upTo: 13.8, label: 'strong breeze' },
  { upTo: 17.1, label: 'near gale' },
  { upTo: 20.7, label: 'gale' },
  { upTo: 24.4, label: 'strong gale' },
  { upTo: 28.4, label: 'storm' },
  { upTo: 32.6, label: 'violent storm' },
  { upTo: Number.POSITIVE_INFINITY, label: 'hurricane' },
] as const;

/** Strongest mean wind, in m/s, that is taken as a reading and not a slip. */
export const WIND_LIMIT = 90;

/**
 * Beaufort number and name of a mean wind in m/s, read to one decimal as the scale's limits are written. Throws a
 * RangeError for a wind that is negative or over {@link WIND_LIMIT}.
 */
export function beaufort(metresPerSecond: number): { number: number; label: string } {
  if (!(metresPerSecond >= 0 && metresPerSecond <= WIND_LIMIT))
    throw new RangeError('Wind must lie between 0 and 90 m/s.');
  const read = Math.round(metresPerSecond * 10) / 10;
  const number = BEAUFORT.findIndex(({ upTo }) => read <= upTo);
  return { number, label: BEAUFORT[number]!.label };
}
