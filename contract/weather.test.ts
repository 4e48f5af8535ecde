import { MILD_COAST } from '@sabor/core/climate/places';
import { airOf } from '@sabor/reading/air-of';
import { DEFAULT_SETTINGS } from '@sabor/reading/default-settings';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { fieldsOf } from './problem.ts';
import { DewPointBands, Settings } from './settings.ts';
import { BatchInput, MetarInput, OutdoorsInput, PlaceInput, ROWS_AT_ONCE, StayInput } from './weather.ts';

const ID = '01890a5d-ac96-774b-bcce-b302099a8057';
const refused = (schema: v.GenericSchema, input: unknown) => {
  const result = v.safeParse(schema, input);
  return result.success ? [] : fieldsOf(result.issues).map(({ path, message }) => `${path}: ${message}`);
};

describe('a place on the wire', () => {
  const place = { id: ID, name: 'Ostrel', timeZone: 'Europe/Dublin', station: null, normals: [], note: '' };

  it('is taken with no months or all twelve', () => {
    expect(refused(PlaceInput, place)).toEqual([]);
    expect(refused(PlaceInput, { ...place, normals: MILD_COAST, station: 'gale' })).toEqual([]);
  });

  it.each([
    [{ name: '' }, 'name: A place needs a name.'],
    [{ timeZone: 'Ostrel/Harbour' }, 'timeZone: Sabor does not know this time zone.'],
    [{ station: 'tornado' }, 'station: Choose what the station plays from the list.'],
    [{ normals: [...MILD_COAST.slice(1), MILD_COAST[1]] }, 'normals: Give all twelve months, or none.'],
    [
      { normals: MILD_COAST.map((month) => ({ ...month, humidity: 120 })) },
      'normals.0.humidity: The usual humidity in % cannot be over 100.',
    ],
  ])('%j is refused with a sentence', (to, says) => {
    expect(refused(PlaceInput, { ...place, ...to })).toContain(says);
  });
});

describe('readings on the wire', () => {
  const row = ['2026-01-01T00:00:00Z', 5, 80, null, null];
  const batch = { id: ID, placeId: ID, source: 'csv', name: 'shed.csv', rows: [row] };

  it('are taken as rows, at most so many at once', () => {
    expect(refused(BatchInput, batch)).toEqual([]);
    expect(refused(BatchInput, { ...batch, rows: Array(ROWS_AT_ONCE + 1).fill(row) })[0]).toContain(
      'at most',
    );
  });

  it.each([
    [['2026-01-01T00:00:00', 5, 80, null, null], 'Give a date and time.'],
    [['2026-01-01T00:00:00Z', 70, 80, null, null], 'The air temperature cannot be over 60.'],
    [['2026-01-01T00:00:00Z', 5, 101, null, null], 'The humidity in % cannot be over 100.'],
    [['2026-01-01T00:00:00Z', 5, 80, -1, null], 'The wind in m/s cannot be under 0.'],
    [
      ['2199-01-01T00:00:00Z', 5, 80, null, null],
      'A reading lies in the future. Sabor stores what was, not what is forecast.',
    ],
  ])('%j is refused with a sentence', (bad, says) => {
    expect(refused(BatchInput, { ...batch, rows: [bad] }).join()).toContain(says);
  });

  it('come from the station or METAR by other doors', () => {
    expect(refused(BatchInput, { ...batch, source: 'station' })).toHaveLength(1);
    expect(refused(MetarInput, { id: ID, placeId: ID, text: ' ', month: null })[0]).toContain(
      'Paste at least one',
    );
    expect(refused(MetarInput, { id: ID, placeId: ID, text: 'x', month: '2026-13' })[0]).toContain('2026-11');
  });
});

describe('hours and stays', () => {
  it('fit into a day, and begin on one', () => {
    expect(refused(OutdoorsInput, { outdoorHours: 4, indoorHours: 20 })).toEqual([]);
    expect(refused(OutdoorsInput, { outdoorHours: 5, indoorHours: 20 })[0]).toContain('A day has 24 hours');
    expect(refused(OutdoorsInput, { outdoorHours: -1, indoorHours: null })).toHaveLength(1);
    expect(refused(StayInput, { id: ID, wearerId: ID, placeId: ID, from: '2026-02-30' })[0]).toContain(
      'no such day',
    );
  });
});

describe('the air that counts', () => {
  const attached = {
    at: '2026-01-01T00:00:00Z',
    temperatureC: 5,
    humidity: 80,
    windMs: 3,
    gustMs: null,
    place: 'x',
    source: 'csv' as const,
  };
  const none = { temperatureC: null, humidity: null, windMs: null };

  it('is what was read by hand, else what its place had', () => {
    expect(airOf({ ...none, air: attached })).toEqual({ temperatureC: 5, humidity: 80, windMs: 3 });
    expect(airOf({ temperatureC: 9, humidity: null, windMs: null, air: attached })).toMatchObject({
      temperatureC: 9,
      humidity: null,
    });
    expect(airOf({ ...none, windMs: 8, air: attached })).toEqual({
      temperatureC: 5,
      humidity: 80,
      windMs: 8,
    });
    expect(airOf({ ...none, air: null })).toMatchObject(none);
  });
});

describe('dew-point bands', () => {
  const bands = (...limits: (number | null)[]) =>
    limits.map((below, i) => ({ below, label: `b${i}`, says: '' }));

  it('rise, and the last alone is open', () => {
    expect(refused(DewPointBands, bands(2, 9, null))).toEqual([]);
    expect(refused(DewPointBands, bands(9, 2, null))[0]).toContain('over the one before it');
    expect(refused(DewPointBands, bands(2, 9))[0]).toContain('Every band but the last');
    expect(refused(DewPointBands, bands(2, null, null))[0]).toContain('Every band but the last');
    expect(refused(DewPointBands, bands(null))[0]).toContain('at least two');
    expect(refused(DewPointBands, bands(1, 2, 3, 4, 5, 6, 7, 8, null))[0]).toContain('plenty');
  });

  it('are part of settings that are sound as they ship', () => {
    expect(refused(Settings, DEFAULT_SETTINGS)).toEqual([]);
  });
});
