import { dewPoint } from './dew-point.ts';
import { pressureAtDewPoint, saturationPressure } from './saturation.ts';

/** The air at one place and moment. `at` is ISO 8601 in UTC; wind and gusts in m/s where they were read. */
export interface Observation {
  at: string;
  temperatureC: number;
  /** Relative humidity over liquid water, 0–100 %. */
  humidity: number;
  windMs: number | null;
  gustMs: number | null;
}

/**
 * Relative humidity in % from air temperature and dew point in °C (both over water), at most 100: a dew point that a
 * report rounds up to half a degree over the air counts as saturated. Throws a RangeError for one further above.
 * Source: WMO-No. 8, as `saturation`.
 */
export function humidityFromDewPoint(celsius: number, dewPointC: number): number {
  if (dewPointC > celsius + 0.5)
    throw new RangeError('A dew point cannot lie above the air temperature. Check which is which.');
  return Math.min(
    100,
    (100 * pressureAtDewPoint(Math.min(dewPointC, celsius))) / saturationPressure(celsius),
  );
}

/** Longest time, in minutes, over which a reading still tells the air of another moment. */
export const NEAR_MINUTES = 90;

/** The reading nearest to a moment, or null when none lies within {@link NEAR_MINUTES}. */
export function nearest<T extends { at: string }>(readings: readonly T[], moment: string): T | null {
  const to = Date.parse(moment);
  let best: T | null = null;
  let distance = NEAR_MINUTES * 60_000;
  for (const reading of readings) {
    const away = Math.abs(Date.parse(reading.at) - to);
    if (away < distance || (away === distance && best === null)) {
      best = reading;
      distance = away;
    }
  }
  return best;
}

/** What a stretch of readings was like: ranges in °C and %, the mean dew point, strongest wind and gust in m/s. */
export interface AirSummary {
  readings: number;
  lowC: number;
  highC: number;
  /** Null when every reading was perfectly dry, which has no dew point. */
  dewPointC: number | null;
  dewPointLowC: number | null;
  dewPointHighC: number | null;
  humidity: number;
  windMs: number | null;
  gustMs: number | null;
}

/** Sums up readings; null without any. Means weigh every reading alike. */
export function summarise(readings: readonly Observation[]): AirSummary | null {
  if (readings.length === 0) return null;
  const mean = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length;
  const most = (values: readonly (number | null)[]) => {
    const known = values.filter((x) => x !== null);
    return known.length ? Math.max(...known) : null;
  };
  const temperatures = readings.map(({ temperatureC }) => temperatureC);
  const dews = readings
    .map(({ temperatureC, humidity }) => dewPoint(temperatureC, humidity))
    .filter((x) => x !== null);
  return {
    readings: readings.length,
    lowC: Math.min(...temperatures),
    highC: Math.max(...temperatures),
    dewPointC: dews.length ? mean(dews) : null,
    dewPointLowC: dews.length ? Math.min(...dews) : null,
    dewPointHighC: dews.length ? Math.max(...dews) : null,
    humidity: mean(readings.map(({ humidity }) => humidity)),
    windMs: most(readings.map(({ windMs }) => windMs)),
    gustMs: most(readings.map(({ gustMs }) => gustMs)),
  };
}
