import type { WashDay } from '@sabor/contract/wash-day';
import type {
  MetarReport,
  Place,
  PlaceInput,
  PlaceWeather,
  ReadingRow,
  Weather,
} from '@sabor/contract/weather';
import { MILD_COAST } from '@sabor/core/climate/places';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench } from '../../testing/samples.ts';
import { readStations } from './store.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await openBench();
});
afterEach(() => bench.close());

const HOUR = 3_600_000;
const place = (to: Partial<PlaceInput> = {}): PlaceInput => ({
  id: v7(),
  name: 'Haverlock',
  timeZone: 'UTC',
  station: null,
  normals: [],
  note: '',
  ...to,
});
const savePlace = async (to: Partial<PlaceInput> = {}) => {
  const input = place(to);
  const { status, body } = await bench.ask<Place>('PUT', `/api/places/${input.id}`, input);
  expect(status).toBe(200);
  return body;
};
const hourly = (from: string, hours: number, temperature = 10): ReadingRow[] =>
  Array.from({ length: hours }, (_, i) => [
    new Date(Date.parse(from) + i * HOUR).toISOString(),
    temperature + i * 0.1,
    80,
    3,
    null,
  ]);
const store = (placeId: string, rows: ReadingRow[], batchId = v7()) =>
  bench.ask<{ stored: number }>('PUT', `/api/places/${placeId}/readings/${batchId}`, {
    source: 'csv',
    name: 'shed.csv',
    rows,
  });
const weatherOf = async (placeId: string, from: string, to: string) =>
  (await bench.ask<PlaceWeather>('GET', `/api/places/${placeId}/weather?from=${from}&to=${to}`)).body;

describe('places', () => {
  it('are kept with their twelve normals, and put away rather than deleted', async () => {
    const { id } = await savePlace({ normals: [...MILD_COAST] });
    const [kept] = (await bench.ask<Weather>('GET', '/api/weather')).body.places;
    expect(kept).toMatchObject({ name: 'Haverlock', readings: 0, firstAt: null, normals: MILD_COAST });
    await bench.ask('POST', `/api/places/${id}/archive`);
    expect((await bench.ask<Weather>('GET', '/api/weather')).body.places[0]!.archivedAt).not.toBeNull();
  });

  it('refuse half a year of normals, a high under its low, and a time zone that is none', async () => {
    for (const [to, path] of [
      [{ normals: MILD_COAST.slice(0, 6) }, 'normals'],
      [{ normals: MILD_COAST.map((month) => ({ ...month, highC: month.lowC - 1 })) }, 'normals.0.highC'],
      [{ timeZone: 'Nowhere/Else' }, 'timeZone'],
      [{ name: ' ' }, 'name'],
    ] as const) {
      const input = place(to as Partial<PlaceInput>);
      const { status, body } = await bench.ask('PUT', `/api/places/${input.id}`, input);
      expect(status).toBe(422);
      expect(body.fields![0]!.path).toBe(path);
    }
  });
});

describe('readings', () => {
  it('are stored once and not again', async () => {
    const { id } = await savePlace();
    const rows = hourly('2026-11-01T00:00:00Z', 48);
    expect((await store(id, rows)).body).toEqual({ stored: 48 });
    expect((await store(id, rows)).body).toEqual({ stored: 0 });
    expect((await store(id, hourly('2026-11-02T12:00:00Z', 24, 30))).body).toEqual({ stored: 12 });
    const weather = await weatherOf(id, '2026-11-02T10:00:00Z', '2026-11-02T14:00:00Z');
    expect(weather.readings.map(({ temperatureC }) => temperatureC)).toEqual([13.4, 13.5, 13.6, 13.7]);
    expect(weather.batches).toHaveLength(2);
    expect(weather.forecast).toEqual([]);
  });

  it('may come in parts of one set, and are taken out together', async () => {
    const { id } = await savePlace();
    const set = v7();
    await store(id, hourly('2026-11-01T00:00:00Z', 10), set);
    await store(id, hourly('2026-11-01T10:00:00Z', 10), set);
    const { batches } = await weatherOf(id, '2026-11-01T00:00:00Z', '2026-11-02T00:00:00Z');
    expect(batches).toMatchObject([{ id: set, name: 'shed.csv', source: 'csv', readings: 20 }]);
    expect((await bench.ask('DELETE', `/api/weather-batches/${set}`)).status).toBe(204);
    expect((await weatherOf(id, '2026-11-01T00:00:00Z', '2026-11-02T00:00:00Z')).readings).toEqual([]);
    expect((await bench.ask('DELETE', `/api/weather-batches/${set}`)).status).toBe(404);
  });

  it('refuse the future, the impossible and another place’s set', async () => {
    const { id } = await savePlace();
    const other = await savePlace({ name: 'Ostrel' });
    const future = await store(id, hourly(new Date(Date.now() + 5 * HOUR).toISOString(), 1));
    expect(future.status).toBe(422);
    expect((await store(id, [['2026-11-01T00:00:00Z', 99, 80, null, null]])).status).toBe(422);
    expect((await store(v7(), hourly('2026-11-01T00:00:00Z', 1))).status).toBe(404);
    const set = v7();
    await store(id, hourly('2026-11-01T00:00:00Z', 1), set);
    expect((await store(other.id, hourly('2026-11-01T00:00:00Z', 1), set)).status).toBe(409);
  });

  it('come from pasted METAR reports, each answered for', async () => {
    const { id } = await savePlace();
    const text = 'METAR YUDO 221630Z 24004MPS 0600 17/16 Q1018=\nMETAR YUDO 221700Z 24004MPS 06';
    const { body } = await bench.ask<MetarReport>('PUT', `/api/places/${id}/metar/${v7()}`, {
      text,
      month: '2026-10',
    });
    expect(body.stored).toBe(1);
    expect(body.reports.map(({ says }) => says)).toEqual([
      'Read.',
      'Temperature or dew point is missing. Is the report cut off?',
    ]);
    const { readings, batches } = await weatherOf(id, '2026-10-22T16:00:00Z', '2026-10-22T18:00:00Z');
    expect(readings).toMatchObject([{ temperatureC: 17, source: 'metar' }]);
    expect(batches[0]!.name).toBe('1 pasted report');
    const empty = await bench.ask('PUT', `/api/places/${id}/metar/${v7()}`, { text: '  ', month: null });
    expect(empty.body.detail).toBe('Paste at least one METAR report.');
  });
});

describe('the simulated station', () => {
  it('is read for the ten days it remembers, then hour by hour, once', async () => {
    const { id, readings } = await savePlace({ station: 'seasons' });
    expect(readings).toBe(240);
    await readStations(bench.db, new Date());
    await readStations(bench.db, new Date(Date.now() + 3 * HOUR));
    const { rows } = await bench.db.query(
      'select count(*) as n from weather_reading where locality_id = $1',
      [id],
    );
    expect(rows[0].n).toBe(243);
  });

  it('foresees a week, and plays another scenario from the hour it is switched', async () => {
    const kept = await savePlace({ station: 'seasons', timeZone: 'Europe/Paris' });
    const from = new Date(Date.now() - 6 * HOUR).toISOString();
    const before = await weatherOf(kept.id, from, new Date().toISOString());
    expect(before.forecast).toHaveLength(168);
    expect(Date.parse(before.forecast[0]!.at)).toBeGreaterThan(Date.now());
    await bench.ask('PUT', `/api/places/${kept.id}`, place({ id: kept.id, station: 'sticky-heat' }));
    const after = await weatherOf(kept.id, from, new Date().toISOString());
    expect(after.readings).toEqual(before.readings);
    expect(after.forecast.every(({ temperatureC }) => temperatureC > 24)).toBe(true);
  });
});

describe('the weather of a wash day', () => {
  const begin = async (startedAt: string) => {
    const { trial, wearer } = await sampleBench(bench);
    const id = v7();
    const { status } = await bench.ask('PUT', `/api/wash-days/${id}`, { trialId: trial.id, startedAt });
    expect(status).toBe(200);
    return { id, wearer };
  };
  const day = async (id: string) => (await bench.ask<WashDay>('GET', `/api/wash-days/${id}`)).body;
  const stay = (wearerId: string, placeId: string, from: string) =>
    bench.ask('PUT', `/api/stays/${v7()}`, { wearerId, placeId, from });

  it('attaches itself by place and time, also when it comes in later', async () => {
    const { id, wearer } = await begin('2026-11-10T09:00:00Z');
    expect(await day(id)).toMatchObject({ air: null });
    const { id: placeId } = await savePlace();
    await stay(wearer.id, placeId, '2026-11-01');
    await store(placeId, hourly('2026-11-09T00:00:00Z', 96));
    await bench.ask('PATCH', `/api/wash-days/${id}`, { washedAt: '2026-11-10T09:40:00Z' });
    const stamped = await day(id);
    expect(stamped.air).toMatchObject({ at: '2026-11-10T10:00:00.000Z', place: 'Haverlock', source: 'csv' });
    expect(stamped.days[0]).toMatchObject({
      on: '2026-11-10',
      place: 'Haverlock',
      air: { readings: 24, windMs: 3 },
    });
    expect(stamped.days[2]).toMatchObject({ on: '2026-11-12', air: { readings: 24 } });
    expect(stamped.days[3]).toMatchObject({ on: '2026-11-13', place: null, air: null });
  });

  it('follows a wearer who travels, on the calendar the wear is counted by', async () => {
    const { id, wearer } = await begin('2026-11-10T09:00:00Z');
    const home = await savePlace();
    const away = await savePlace({ name: 'Ostrel', timeZone: 'America/New_York' });
    await stay(wearer.id, home.id, '2026-11-01');
    await stay(wearer.id, away.id, '2026-11-11');
    await store(home.id, hourly('2026-11-09T00:00:00Z', 96, 5));
    await store(away.id, hourly('2026-11-09T00:00:00Z', 96, 25));
    const { days } = await day(id);
    // The 11th begins at 05:00 UTC in New York: five hours of that UTC day were still at home.
    expect(days.map(({ place: at }) => at)).toEqual(
      expect.arrayContaining(['Haverlock', 'Haverlock, then Ostrel', 'Ostrel']),
    );
    expect(days[1]!.air).toMatchObject({ readings: 24, lowC: 9.8, highC: 32.1 });
    expect(days.map(({ on }) => on)).toEqual([...new Set(days.map(({ on }) => on))].sort());
  });

  it('belongs to each look at the hair, and takes the hours out of doors', async () => {
    const { id, wearer } = await begin('2026-11-10T09:00:00Z');
    const { id: placeId } = await savePlace();
    await stay(wearer.id, placeId, '2026-11-01');
    await store(placeId, hourly('2026-11-10T00:00:00Z', 24));
    await bench.ask('PUT', `/api/check-ins/${v7()}`, {
      washDayId: id,
      stage: 'wet',
      day: null,
      at: '2026-11-10T09:55:00Z',
    });
    const hours = { outdoorHours: 3.5, indoorHours: 20.5 };
    const { body } = await bench.ask<WashDay>('PUT', `/api/wash-days/${id}/outdoors/2026-11-10`, hours);
    expect(body.checkIns[0]!.air).toMatchObject({ at: '2026-11-10T10:00:00.000Z', temperatureC: 11 });
    expect(body.days[0]).toMatchObject(hours);
    const long = await bench.ask('PUT', `/api/wash-days/${id}/outdoors/2026-11-10`, {
      outdoorHours: 20,
      indoorHours: 5,
    });
    expect(long.body.detail).toBe('A day has 24 hours. Check both numbers.');
  });

  it('refuses two moves on one day', async () => {
    const { wearer } = await begin('2026-11-10T09:00:00Z');
    const { id } = await savePlace();
    expect((await stay(wearer.id, id, '2026-11-01')).status).toBe(204);
    expect((await stay(wearer.id, id, '2026-11-01')).body.detail).toContain('already moves on that day');
    expect((await stay(wearer.id, v7(), '2026-11-02')).status).toBe(404);
  });
});
