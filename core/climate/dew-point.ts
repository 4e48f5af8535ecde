import { vapourPressure } from './saturation.ts';

/**
 * Dew point over liquid water in °C from air temperature (−45…60 °C) and relative humidity (above 0, to 100 %).
 * Null for perfectly dry air, which has none. Throws a RangeError outside the ranges.
 * Source: WMO-No. 8, the saturation formula inverted.
 */
export function dewPoint(celsius: number, humidity: number): number | null {
  const e = vapourPressure(celsius, humidity);
  if (e === 0) return null;
  const x = Math.log(e / 6.112);
  return (243.12 * x) / (17.62 - x);
}
