/** Lowest and highest air temperature, in °C, for which the water formula below is published. */
export const AIR_RANGE_C = { lowest: -45, highest: 60 } as const;

/**
 * Saturation vapour pressure over liquid water, in hPa, for air at `celsius` (−45…60 °C).
 * Throws a RangeError outside that range.
 * Source: WMO-No. 8, annex on psychrometric formulae (Magnus form, 6.112 / 17.62 / 243.12).
 */
export function saturationPressure(celsius: number): number {
  if (!(celsius >= AIR_RANGE_C.lowest && celsius <= AIR_RANGE_C.highest))
    throw new RangeError('Air temperature must lie between −45 and 60 °C.');
  return magnus(celsius);
}

/** The Magnus form itself, wherever it is asked. */
const magnus = (celsius: number): number => 6.112 * Math.exp((17.62 * celsius) / (243.12 + celsius));

/** Lowest dew point that is read, °C. Real air of −40 °C at 37 % has one of −48: the formula is carried on below −45. */
export const LOWEST_DEW_POINT_C = -80;

/** Vapour pressure in hPa at a dew point (−80…60 °C), over liquid water. Throws a RangeError outside that range. */
export function pressureAtDewPoint(dewPointC: number): number {
  if (!(dewPointC >= LOWEST_DEW_POINT_C && dewPointC <= AIR_RANGE_C.highest))
    throw new RangeError('A dew point lies between −80 and 60 °C.');
  return magnus(dewPointC);
}

/** Vapour pressure in hPa from air temperature (°C) and relative humidity (0…100 %, over liquid water). */
export function vapourPressure(celsius: number, humidity: number): number {
  if (!(humidity >= 0 && humidity <= 100))
    throw new RangeError('Relative humidity must lie between 0 and 100 %.');
  return (saturationPressure(celsius) * humidity) / 100;
}
