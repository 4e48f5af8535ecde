import type { Settings } from '@sabor/contract/settings';
import type { AirForWashDay } from '@sabor/contract/today';
import type { Place, Weather } from '@sabor/contract/weather';
import { airAhead } from '@sabor/core/climate/air-ahead';
import { nearest, type Observation, summarise } from '@sabor/core/climate/observation';
import { localDate } from '@sabor/core/time/zones';
import type { Client } from '../../db/pool.ts';
import { simulatedStation } from '../../devices/weather-station.ts';

/** Where a wearer is at a moment: the newest stay that has begun on its place's calendar. */
function placeOf(weather: Weather, wearerId: string, now: Date): Place | null {
  const places = new Map(weather.places.map((place) => [place.id, place]));
  const begun = weather.stays.filter(
    (stay) =>
      stay.wearerId === wearerId &&
      stay.from <= localDate(now.toISOString(), places.get(stay.placeId)?.timeZone ?? 'UTC'),
  );
  return places.get(begun.at(-1)?.placeId ?? '') ?? null;
}

async function readingOf(db: Client, placeId: string, now: Date): Promise<Observation | null> {
  const { rows } = await db.query<Observation>(
    `select at, temperature_c as "temperatureC", humidity, wind_ms as "windMs", gust_ms as "gustMs"
     from weather_reading where locality_id = $1 and at between $2::timestamptz - interval '2 hours' and $2::timestamptz + interval '2 hours'
     order by at`,
    [placeId, now.toISOString()],
  );
  return nearest(rows, now.toISOString());
}

/** What the air means for a wash day that waits or is under way, held against the dew points (°C) the trial has met. */
export async function airForWashDay(
  db: Client,
  weather: Weather,
  settings: Settings,
  trial: { id: string; wearerId: string; wearerName: string; question: string },
  met: readonly number[],
  now: Date,
): Promise<AirForWashDay> {
  const { id: trialId, wearerName, question } = trial;
  const place = placeOf(weather, trial.wearerId, now);
  if (place === null) return { trialId, question, wearerName, place: null, air: null };
  const month = Number(localDate(now.toISOString(), place.timeZone).slice(5, 7));
  const ahead = place.station
    ? simulatedStation({ ...place, station: place.station })
        .forecast(now.getTime())
        .slice(0, 24)
    : [];
  const air = airAhead({
    now: await readingOf(db, place.id, now),
    next: summarise(ahead),
    usual: place.normals.find((normal) => normal.month === month) ?? null,
    met,
    bands: settings.dewPointBands,
  });
  return { trialId, question, wearerName, place: { id: place.id, name: place.name }, air };
}
