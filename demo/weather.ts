import { MILD_COAST } from '@sabor/core/climate/places';
import { stationReading, stationSeed } from '@sabor/core/climate/simulated-station';
import { DAY_MS } from '@sabor/core/time/day';
import { zoneOffset } from '@sabor/core/time/zones';
import { demoId } from './ids.ts';
import { WEARERS, wearerId } from './wearers.ts';

type Row = Record<string, unknown>;

/** Days of weather that the demo's station has behind it: all of its wash days, and some. */
const DAYS = 95;
const HOUR = 3_600_000;

export const PLACES = [
  {
    key: 'harbour',
    name: 'Ostrel Harbour',
    timeZone: 'Europe/Dublin',
    station: 'seasons',
    note: 'The stage door faces the quay.',
  },
  {
    key: 'inland',
    name: 'Brackwell Downs',
    timeZone: 'Europe/Dublin',
    station: null,
    note: 'Rehearsals, inland and drier. Read by hand when the company is there.',
  },
] as const;

/** The made-up places, the station's readings up to `now`, a few read by hand, and who was where. */
export function weatherRows(now: Date, date: (daysAgo: number) => string): Record<string, Row[]> {
  const localityId = (key: string) => demoId(`place ${key}`);
  const harbour = localityId('harbour');
  const last = Math.floor(now.getTime() / HOUR) * HOUR;
  const reading = (ms: number) => {
    const offset = zoneOffset(ms, 'Europe/Dublin');
    return stationReading(
      { seed: stationSeed(harbour), normals: MILD_COAST, scenario: 'seasons', offset },
      ms,
    );
  };
  const row = (id: string, ms: number, batch: string | null, change = { warmer: 0, drier: 0 }): Row => {
    const { at, temperatureC, humidity, windMs, gustMs } = reading(ms);
    return {
      locality_id: id,
      at,
      temperature_c: Math.round((temperatureC + change.warmer) * 10) / 10,
      humidity: Math.round((humidity - change.drier) * 10) / 10,
      wind_ms: windMs,
      gust_ms: batch === null ? gustMs : null,
      batch_id: batch,
    };
  };
  const hours = Array.from({ length: DAYS * 24 }, (_, i) => last - (DAYS * 24 - 1 - i) * HOUR);
  const byHand = demoId('weather batch rehearsals');
  const rehearsals = hours.filter((ms) => {
    const daysAgo = Math.floor((last - ms) / DAY_MS);
    return daysAgo >= 78 && daysAgo <= 84 && [9, 15, 21].includes(new Date(ms).getUTCHours());
  });
  return {
    locality: PLACES.map(({ key, name, timeZone, station, note }) => ({
      id: localityId(key),
      name,
      time_zone: timeZone,
      station,
      note,
      archived_at: null,
      created_at: new Date(now.getTime() - DAYS * DAY_MS).toISOString(),
    })),
    month_normal: MILD_COAST.map(({ month, highC, lowC, humidity, windMs }) => ({
      locality_id: harbour,
      month,
      high_c: highC,
      low_c: lowC,
      humidity,
      wind_ms: windMs,
    })),
    weather_batch: [
      {
        id: byHand,
        locality_id: localityId('inland'),
        source: 'hand',
        name: 'Rehearsal week, wall thermometer',
        taken_at: new Date(last - 77 * DAY_MS).toISOString(),
      },
    ],
    weather_reading: [
      ...hours.map((ms) => row(harbour, ms, null)),
      ...rehearsals.map((ms) => row(localityId('inland'), ms, byHand, { warmer: 1.5, drier: 14 })),
    ],
    stay: WEARERS.flatMap(({ key }) => [
      {
        id: demoId(`stay ${key} inland`),
        wearer_id: wearerId(key),
        locality_id: localityId('inland'),
        from_on: date(86),
      },
      {
        id: demoId(`stay ${key} harbour`),
        wearer_id: wearerId(key),
        locality_id: harbour,
        from_on: date(76),
      },
    ]),
  };
}
