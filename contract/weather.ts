import { WIND_LIMIT } from '@sabor/core/climate/beaufort';
import type { AirSummary, Observation } from '@sabor/core/climate/observation';
import { SCENARIOS, type WeatherSource } from '@sabor/core/climate/places';
import { AIR_RANGE_C } from '@sabor/core/climate/saturation';
import * as v from 'valibot';
import { date, eachOnce, id, moment, name, note, number, oneOf, timeZone, whole } from './fields.ts';

const temperature = (what: string) => number(what, AIR_RANGE_C.lowest, AIR_RANGE_C.highest);

export const MonthNormalInput = v.pipe(
  v.object({
    month: whole('The month', 1, 12),
    highC: temperature('The usual daily high'),
    lowC: temperature('The usual daily low'),
    humidity: number('The usual humidity in %', 1, 100),
    windMs: number('The usual wind in m/s', 0, WIND_LIMIT),
  }),
  v.forward(
    v.partialCheck(
      [['highC'], ['lowC']],
      ({ highC, lowC }) => highC >= lowC,
      'The high cannot lie under the low.',
    ),
    ['highC'],
  ),
);

/** Where hair meets weather. */
export const PlaceInput = v.object({
  id,
  name: name('A place'),
  timeZone,
  /** What its simulated station plays; null where there is none. */
  station: v.nullable(oneOf(SCENARIOS, 'what the station plays')),
  /** All twelve months, or none. */
  normals: v.pipe(
    v.array(MonthNormalInput),
    v.check(
      (months) => months.length === 0 || new Set(months.map(({ month }) => month)).size === 12,
      'Give all twelve months, or none.',
    ),
    eachOnce(({ month }) => month, 'Give each month once.'),
  ),
  note: v.optional(note, ''),
});
export type PlaceInput = v.InferInput<typeof PlaceInput>;

export interface Place extends Required<v.InferOutput<typeof PlaceInput>> {
  archivedAt: string | null;
  version: number;
  /** Readings stored, and the moments of the first and last. */
  readings: number;
  firstAt: string | null;
  lastAt: string | null;
}

/** One reading as a row: moment, °C, %, wind and gusts in m/s. */
export const ReadingRow = v.tuple([
  moment,
  temperature('The air temperature'),
  number('The humidity in %', 0, 100),
  v.nullable(number('The wind in m/s', 0, WIND_LIMIT)),
  v.nullable(number('The gusts in m/s', 0, WIND_LIMIT)),
]);
export type ReadingRow = v.InferOutput<typeof ReadingRow>;

/** Most readings that one request may carry; a long file goes up in several. */
export const ROWS_AT_ONCE = 5000;

/** Part of what came in together. May be sent twice: a moment the place already has is left as it is. */
export const BatchInput = v.object({
  id,
  placeId: id,
  source: v.picklist(['hand', 'csv'], 'Say how the readings came in.'),
  name: name('Where the readings came from'),
  rows: v.pipe(
    v.array(ReadingRow),
    v.maxLength(ROWS_AT_ONCE, `Send at most ${ROWS_AT_ONCE} readings at once.`),
    v.check(
      (rows) => rows.every(([at]) => Date.parse(at) <= Date.now() + 3_600_000),
      'A reading lies in the future. Sabor stores what was, not what is forecast.',
    ),
  ),
});
export type BatchInput = v.InferInput<typeof BatchInput>;

export const MetarInput = v.object({
  id,
  placeId: id,
  text: v.pipe(
    v.string(),
    v.trim(),
    v.nonEmpty('Paste at least one METAR report.'),
    v.maxLength(100_000, 'That is too long. Paste fewer reports at once.'),
  ),
  /** The month reports are from, yyyy-mm; they tell the day alone. Null for the newest month they fit. */
  month: v.nullable(v.pipe(v.string(), v.regex(/^\d{4}-(0[1-9]|1[0-2])$/, 'Give the month as 2026-11.'))),
});
export type MetarInput = v.InferInput<typeof MetarInput>;

/** What became of each pasted report. */
export interface MetarReport {
  /** Readings that were new at the place. */
  stored: number;
  reports: { report: string; reading: Observation | null; says: string }[];
}

/** Readings that came in together, newest first; those of the simulated station belong to none. */
export interface Batch {
  id: string;
  source: Exclude<WeatherSource, 'station'>;
  name: string;
  takenAt: string;
  readings: number;
}

export interface PlaceWeather {
  readings: (Observation & { source: WeatherSource })[];
  /** What the station foresees for the week from now; empty without one. Never stored. */
  forecast: Observation[];
  batches: Batch[];
}

/** From this day on (on the place's calendar) a wearer's hair is at this place. */
export const StayInput = v.object({ id, wearerId: id, placeId: id, from: date });
export type StayInput = v.InferInput<typeof StayInput>;
export type Stay = v.InferOutput<typeof StayInput>;

export interface Weather {
  places: Place[];
  stays: Stay[];
}

/** The air at one moment of a wash day, and where it was read. */
export interface AttachedAir extends Observation {
  place: string;
  source: WeatherSource;
}

/** The weather of one day of a wash day's wear, on the wearer's calendar. */
export interface DayAir {
  on: string;
  place: string | null;
  air: AirSummary | null;
  outdoorHours: number | null;
  indoorHours: number | null;
}

export const OutdoorsInput = v.pipe(
  v.object({
    outdoorHours: v.nullable(number('The hours outdoors', 0, 24)),
    indoorHours: v.nullable(number('The hours indoors', 0, 24)),
  }),
  v.forward(
    v.partialCheck(
      [['outdoorHours'], ['indoorHours']],
      ({ outdoorHours, indoorHours }) => (outdoorHours ?? 0) + (indoorHours ?? 0) <= 24,
      'A day has 24 hours. Check both numbers.',
    ),
    ['outdoorHours'],
  ),
);
export type OutdoorsInput = v.InferOutput<typeof OutdoorsInput>;
