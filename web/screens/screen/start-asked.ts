import type { Weather } from '@sabor/contract/weather';
import { dewPoint } from '@sabor/core/climate/dew-point';
import type { Observation } from '@sabor/core/climate/observation';

/** The mean dew point a station foresees for the week, or that of the last readings; null when neither is known. */
export function dewPointAhead(
  forecast: readonly Observation[],
  readings: readonly Observation[],
): number | null {
  const air = forecast.length ? forecast : readings.slice(-24);
  const dews = air.flatMap(({ temperatureC, humidity }) => dewPoint(temperatureC, humidity) ?? []);
  return dews.length ? Math.round((dews.reduce((a, b) => a + b, 0) / dews.length) * 2) / 2 : null;
}

/** Where a wearer is now, by their newest stay that has begun; null when that is not known. */
export function placeNow(weather: Weather | undefined, wearerId: string, today: string): string | null {
  return (
    weather?.stays.filter((stay) => stay.wearerId === wearerId && stay.from <= today).at(-1)?.placeId ?? null
  );
}
