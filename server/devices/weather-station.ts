import type { Observation } from '@sabor/core/climate/observation';
import type { MonthNormal, Scenario } from '@sabor/core/climate/places';
import { stationReading, stationSeed } from '@sabor/core/climate/simulated-station';
import { zoneOffset } from '@sabor/core/time/zones';

/** Hours a station remembers when it is first asked. */
export const MEMORY_HOURS = 240;
const FORECAST_HOURS = 168;
const HOUR = 3_600_000;

/** A weather station as the server talks to it. The one that ships is simulated, and says so wherever it is shown. */
export interface WeatherStation {
  /** Whole hours after `since` up to `now`, at most {@link MEMORY_HOURS} back. */
  readings(since: number | null, now: number): Observation[];
  /** The week from the next whole hour on. */
  forecast(now: number): Observation[];
}

export function simulatedStation(place: {
  id: string;
  timeZone: string;
  normals: readonly MonthNormal[];
  station: Scenario;
}): WeatherStation {
  const read = (ms: number) =>
    stationReading(
      {
        seed: stationSeed(place.id),
        normals: place.normals.length === 12 ? place.normals : null,
        scenario: place.station,
        offset: zoneOffset(ms, place.timeZone),
      },
      ms,
    );
  const hours = (first: number, count: number) =>
    Array.from({ length: Math.max(0, count) }, (_, i) => read(first + i * HOUR));
  return {
    readings: (since, now) => {
      const last = Math.floor(now / HOUR) * HOUR;
      const oldest = last - (MEMORY_HOURS - 1) * HOUR;
      const first = since === null ? oldest : Math.max(oldest, Math.floor(since / HOUR) * HOUR + HOUR);
      return hours(first, (last - first) / HOUR + 1);
    },
    forecast: (now) => hours(Math.floor(now / HOUR) * HOUR + HOUR, FORECAST_HOURS),
  };
}
