import { vapourPressure } from './saturation.ts';

/** Absolute humidity in g/m³ from air temperature (°C) and relative humidity (%). Source: 216.7·e/T, T in kelvin. */
export function absoluteHumidity(celsius: number, humidity: number): number {
  return (216.7 * vapourPressure(celsius, humidity)) / (celsius + 273.15);
}
