/**
 * Water that hair holds, in % of its dry mass, by relative humidity at room temperature. Source: C. R. Robbins,
 * Chemical and Physical Behavior of Human Hair, table of water content against humidity (from memory).
 */
export const REGAIN_POINTS = [
  { humidity: 0, regain: 0 },
  { humidity: 29.2, regain: 6.0 },
  { humidity: 40.3, regain: 7.6 },
  { humidity: 50, regain: 9.8 },
  { humidity: 65, regain: 12.8 },
  { humidity: 70.3, regain: 13.6 },
] as const;

/** Highest humidity the points above speak for; beyond it hair takes up water steeply and the points are silent. */
export const REGAIN_UP_TO = 70.3;

/**
 * Moisture regain of hair in % of its dry mass at a relative humidity, straight between the printed points; null over
 * {@link REGAIN_UP_TO}. Hysteresis moves it by one or two points. Throws a RangeError outside 0…100 %.
 */
export function moistureRegain(humidity: number): number | null {
  if (!(humidity >= 0 && humidity <= 100))
    throw new RangeError('Relative humidity must lie between 0 and 100 %.');
  if (humidity > REGAIN_UP_TO) return null;
  const above = REGAIN_POINTS.findIndex((point) => point.humidity >= humidity);
  const [to, from] = [REGAIN_POINTS[above]!, REGAIN_POINTS[Math.max(0, above - 1)]!];
  if (to.humidity === from.humidity) return to.regain;
  return (
    from.regain + ((to.regain - from.regain) * (humidity - from.humidity)) / (to.humidity - from.humidity)
  );
}
