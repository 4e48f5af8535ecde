import type {
  BatchInput,
  MetarInput,
  MetarReport,
  Place,
  PlaceInput,
  PlaceWeather,
  ReadingRow,
  StayInput,
  Weather,
} from '@sabor/contract/weather';
import type { Observation } from '@sabor/core/climate/observation';
import type { Scenario } from '@sabor/core/climate/places';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { mustBeNewest } from '../../db/versions.ts';
import { simulatedStation } from '../../devices/weather-station.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { readReports } from './metar.ts';

const PLACES = `
  select p.id, p.name, p.time_zone as "timeZone", p.station, p.note, p.archived_at as "archivedAt", p.version,
    (select coalesce(json_agg(json_build_object('month', n.month, 'highC', n.high_c, 'lowC', n.low_c,
        'humidity', n.humidity, 'windMs', n.wind_ms) order by n.month), '[]')
      from month_normal n where n.locality_id = p.id) as normals,
    r.readings, r.first as "firstAt", r.last as "lastAt"
  from locality p,
    lateral (select min(at) as first, max(at) as last,
        (select coalesce(sum(b.readings), 0) from weather_batch b where b.locality_id = p.id)
          + (select count(*) from weather_reading s where s.locality_id = p.id and s.batch_id is null) as readings
      from weather_reading where locality_id = p.id) r`;

export async function readPlaces(db: Client): Promise<Place[]> {
  return (await db.query<Place>(`${PLACES} order by p.created_at, p.name`)).rows;
}

async function readPlace(db: Client, id: string): Promise<Place> {
  const { rows } = await db.query<Place>(`${PLACES} where p.id = $1`, [id]);
  if (!rows[0]) throw notFound('place');
  return rows[0];
}

export async function readWeather(db: Client): Promise<Weather> {
  const stays = await db.query<Weather['stays'][number]>(
    `select id, wearer_id as "wearerId", locality_id as "placeId", from_on as "from" from stay
     order by wearer_id, from_on`,
  );
  return { places: await readPlaces(db), stays: stays.rows };
}

export async function savePlace(
  db: Db,
  place: v.InferOutput<typeof PlaceInput>,
  now: Date,
  from: number | null = null,
): Promise<Place> {
  return transaction(db, async (client) => {
    await mustBeNewest(client, 'locality', place.id, from, () => readPlace(client, place.id));
    await client.query(
      `insert into locality (id, name, time_zone, station, note) values ($1, $2, $3, $4, $5)
       on conflict (id) do update set name = excluded.name, time_zone = excluded.time_zone,
         station = excluded.station, note = excluded.note`,
      [place.id, place.name, place.timeZone, place.station, place.note],
    );
    await client.query('delete from month_normal where locality_id = $1', [place.id]);
    await client.query(
      `insert into month_normal (locality_id, month, high_c, low_c, humidity, wind_ms)
       select $1, n.month, n."highC", n."lowC", n.humidity, n."windMs"
       from jsonb_to_recordset($2::jsonb) as n(month int, "highC" numeric, "lowC" numeric, humidity numeric,
         "windMs" numeric)`,
      [place.id, JSON.stringify(place.normals)],
    );
    await readStations(client, now, place.id);
    return readPlace(client, place.id);
  });
}

/** Rows as columns, as PostgreSQL's unnest wants them; a moment the place already has is left as it is. */
async function storeReadings(
  client: Client,
  placeId: string,
  batchId: string | null,
  rows: readonly ReadingRow[],
): Promise<number> {
  const column = (i: number) => rows.map((row) => row[i]);
  const { rowCount } = await client.query(
    `insert into weather_reading (locality_id, at, temperature_c, humidity, wind_ms, gust_ms, batch_id)
     select $1, r.*, $2 from unnest($3::timestamptz[], $4::numeric[], $5::numeric[], $6::numeric[], $7::numeric[]) r
     on conflict do nothing`,
    [placeId, batchId, column(0), column(1), column(2), column(3), column(4)],
  );
  return rowCount ?? 0;
}

const row = (one: Observation): ReadingRow => [
  one.at,
  one.temperatureC,
  one.humidity,
  one.windMs,
  one.gustMs,
];

/** Asks every simulated station, or one place's, for the hours not stored yet. */
export async function readStations(db: Client, now: Date, placeId: string | null = null): Promise<void> {
  const { rows } = await db.query<Place & { station: Scenario; since: string | null }>(
    `select p.*, (select max(at) from weather_reading w where w.locality_id = p.id and w.batch_id is null) as since
     from (${PLACES}) p where p.station is not null and p."archivedAt" is null and ($1::uuid is null or p.id = $1)`,
    [placeId],
  );
  for (const place of rows) {
    const readings = simulatedStation(place).readings(
      place.since === null ? null : Date.parse(place.since),
      now.getTime(),
    );
    if (readings.length) await storeReadings(db, place.id, null, readings.map(row));
  }
}

async function openBatch(
  client: Client,
  batch: { id: string; placeId: string; source: string; name: string },
) {
  const place = await client.query('select 1 from locality where id = $1', [batch.placeId]);
  if (place.rowCount === 0) throw notFound('place');
  await client.query(
    `insert into weather_batch (id, locality_id, source, name) values ($1, $2, $3, $4) on conflict do nothing`,
    [batch.id, batch.placeId, batch.source, batch.name],
  );
  const same = await client.query('select 1 from weather_batch where id = $1 and locality_id = $2', [
    batch.id,
    batch.placeId,
  ]);
  if (same.rowCount === 0) throw new Refusal(409, 'These readings already belong to another place.');
}

/** Stores part of a batch; gives how many readings were new. A batch of which nothing was new leaves no trace. */
export async function storeBatch(
  db: Db,
  batch: v.InferOutput<typeof BatchInput>,
): Promise<{ stored: number }> {
  return transaction(db, async (client) => {
    await openBatch(client, batch);
    const stored = await storeReadings(client, batch.placeId, batch.id, batch.rows);
    await client.query('update weather_batch set readings = readings + $2 where id = $1', [batch.id, stored]);
    await client.query('delete from weather_batch where id = $1 and readings = 0', [batch.id]);
    return { stored };
  });
}

export async function removeBatch(db: Client, id: string): Promise<void> {
  const { rowCount } = await db.query('delete from weather_batch where id = $1', [id]);
  if (rowCount === 0) throw notFound('set of readings');
}

export async function storeMetar(
  db: Db,
  input: v.InferOutput<typeof MetarInput>,
  now: Date,
): Promise<MetarReport> {
  const reports = readReports(input.text, input.month, now.getTime());
  const rows = reports.flatMap(({ reading }) => (reading ? [row(reading)] : []));
  if (rows.length === 0) return { stored: 0, reports };
  const { stored } = await storeBatch(db, {
    id: input.id,
    placeId: input.placeId,
    source: 'metar' as 'hand',
    name: `${rows.length} pasted ${rows.length === 1 ? 'report' : 'reports'}`,
    rows,
  });
  return { stored, reports };
}

/** Readings of a place over a stretch of time, its batches, and what its station foresees. */
export async function readPlaceWeather(
  db: Client,
  placeId: string,
  from: string,
  to: string,
  now: Date,
): Promise<PlaceWeather> {
  const place = await readPlace(db, placeId);
  const readings = await db.query<PlaceWeather['readings'][number]>(
    `select r.at, r.temperature_c as "temperatureC", r.humidity, r.wind_ms as "windMs", r.gust_ms as "gustMs",
       coalesce(b.source, 'station') as source
     from weather_reading r left join weather_batch b on b.id = r.batch_id
     where r.locality_id = $1 and r.at >= $2 and r.at < $3 order by r.at`,
    [placeId, from, to],
  );
  const batches = await db.query<PlaceWeather['batches'][number]>(
    `select b.id, b.source, b.name, b.taken_at as "takenAt", b.readings
     from weather_batch b where b.locality_id = $1 order by b.taken_at desc`,
    [placeId],
  );
  return {
    readings: readings.rows,
    forecast: place.station
      ? simulatedStation({ ...place, station: place.station }).forecast(now.getTime())
      : [],
    batches: batches.rows,
  };
}

export async function saveStay(db: Client, stay: v.InferOutput<typeof StayInput>): Promise<void> {
  let stored: { rowCount: number | null };
  try {
    stored = await db.query(
      `insert into stay (id, wearer_id, locality_id, from_on) values ($1, $2, $3, $4)
       on conflict (id) do update set locality_id = excluded.locality_id, from_on = excluded.from_on
       where stay.wearer_id = excluded.wearer_id`,
      [stay.id, stay.wearerId, stay.placeId, stay.from],
    );
  } catch (error) {
    const { code } = error as { code?: string };
    if (code === '23505')
      throw atField('from', 'This wearer already moves on that day. Choose another date.');
    if (code === '23503') throw notFound('wearer or place');
    throw error;
  }
  mustStore(stored, 'stay');
}

export async function removeStay(db: Client, id: string): Promise<void> {
  const { rowCount } = await db.query('delete from stay where id = $1', [id]);
  if (rowCount === 0) throw notFound('stay');
}
