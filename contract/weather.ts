import { WIND_LIMIT } from '@sabor/core/climate/beaufort';
import type { AirSummary, Observation } from '@sabor/core/climate/observation';
import { SCENARIOS, WEATHER_SOURCES } from '@sabor/core/climate/places';
import { AIR_RANGE_C } from '@sabor/core/climate/saturation';
import * as v from 'valibot';
import {
  asStored,
  date,
  eachOnce,
  id,
  kept,
  moment,
  name,
  note,
  number,
  oneOf,
  timeZone,
  whole,
} from './fields.ts';

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

export const Place = v.strictObject({
  ...asStored(PlaceInput.entries),
  ...kept,
  /** Readings stored, and the moments of the first and last. */
  readings: v.number(),
  firstAt: v.nullable(v.string()),
  lastAt: v.nullable(v.string()),
});
export type Place = v.InferOutput<typeof Place>;

const observed = {
  at: v.string(),
  temperatureC: v.number(),
  humidity: v.number(),
  windMs: v.nullable(v.number()),
  gustMs: v.nullable(v.number()),
};
const Observed = v.strictObject(observed) satisfies v.GenericSchema<unknown, Observation>;
const source = oneOf(WEATHER_SOURCES, 'where it was read');

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
export const MetarReport = v.strictObject({
  /** Readings that were new at the place. */
  stored: v.number(),
  reports: v.array(v.strictObject({ report: v.string(), reading: v.nullable(Observed), says: v.string() })),
});
export type MetarReport = v.InferOutput<typeof MetarReport>;

/** Readings that came in together, newest first; those of the simulated station belong to none. */
export const Batch = v.strictObject({
  id,
  source: v.picklist(['hand', 'csv', 'metar']),
  name: v.string(),
  takenAt: v.string(),
  readings: v.number(),
});
export type Batch = v.InferOutput<typeof Batch>;

export const PlaceWeather = v.strictObject({
  readings: v.array(v.strictObject({ ...observed, source })),
  /** What the station foresees for the week from now; empty without one. Never stored. */
  forecast: v.array(Observed),
  batches: v.array(Batch),
});
export type PlaceWeather = v.InferOutput<typeof PlaceWeather>;

/** From this day on (on the place's calendar) a wearer's hair is at this place. */
export const StayInput = v.object({ id, wearerId: id, placeId: id, from: date });
export type StayInput = v.InferInput<typeof StayInput>;
export type Stay = v.InferOutput<typeof StayInput>;

export const Weather = v.strictObject({ places: v.array(Place), stays: v.array(StayInput) });
export type Weather = v.InferOutput<typeof Weather>;

/** The air at one moment of a wash day, and where it was read. */
export const AttachedAir = v.strictObject({ ...observed, place: v.string(), source });
export type AttachedAir = v.InferOutput<typeof AttachedAir>;

/** The weather of one day of a wash day's wear, on the wearer's calendar. */
const SummedUp = v.strictObject({
  readings: v.number(),
  lowC: v.number(),
  highC: v.number(),
  dewPointC: v.nullable(v.number()),
  dewPointLowC: v.nullable(v.number()),
  dewPointHighC: v.nullable(v.number()),
  humidity: v.number(),
  windMs: v.nullable(v.number()),
  gustMs: v.nullable(v.number()),
}) satisfies v.GenericSchema<unknown, AirSummary>;
export const DayAir = v.strictObject({
  on: v.string(),
  place: v.nullable(v.string()),
  air: v.nullable(SummedUp),
  outdoorHours: v.nullable(v.number()),
  indoorHours: v.nullable(v.number()),
});
export type DayAir = v.InferOutput<typeof DayAir>;

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
