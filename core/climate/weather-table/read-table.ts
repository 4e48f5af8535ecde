import { readNumber } from '../../table/read-number.ts';
import { type DateOrder, dateOrderOf, readMoment } from '../../time/read-moment.ts';
import { momentsOf } from '../../time/zones.ts';
import { WIND_LIMIT } from '../beaufort.ts';
import { humidityFromDewPoint, type Observation } from '../observation.ts';
import { AIR_RANGE_C } from '../saturation.ts';
import { COLUMNS, type Columns } from './columns.ts';

export interface RefusedRow {
  /** Line in the file, counted from 1. */
  line: number;
  reason: string;
}

/** Hours without a reading, longer than one and a half times the file's usual step. */
export interface Gap {
  from: string;
  to: string;
  missing: number;
}

export interface ReadTable {
  taken: Observation[];
  refused: RefusedRow[];
  gaps: Gap[];
}

export interface TableShape {
  columns: Columns;
  /** Null leaves dates that could be either way round out, each with its reason. */
  order: DateOrder | null;
  /** Zone of times that carry no offset of their own. */
  timeZone: string;
  /** Line in the file of the first row given. */
  firstLine: number;
}

/** The date order a file's own dates tell, with these columns. */
export function orderInFile(rows: readonly (readonly string[])[], columns: Columns) {
  const at = columns.findIndex((kind) => kind === 'moment' || kind === 'date');
  return dateOrderOf(rows.map((row) => row[at] ?? ''));
}

const round = (x: number) => Math.round(x * 10) / 10;

/**
 * Reads the rows of a weather file (cells as text, no header): what can be used is taken, in order of time; every other
 * row is told with its line and the reason. The hour that comes twice when clocks go back is told apart by its order.
 */
export function readTable(rows: readonly (readonly string[])[], shape: TableShape): ReadTable {
  const column = (of: string) => shape.columns.findIndex((kind) => kind !== null && COLUMNS[kind].of === of);
  const at = { moment: column('moment'), date: column('date'), time: column('time') };
  const value = (row: readonly string[], of: string): number | null => {
    const index = column(of);
    if (index < 0) return null;
    const read = readNumber(row[index] ?? '');
    if (read === undefined) throw new RangeError(`“${row[index]}” is no number.`);
    return read === null ? null : COLUMNS[shape.columns[index]!].toSi(read);
  };
  const seen = new Map<number, number>();
  const taken: { ms: number; reading: Observation }[] = [];
  const refused: RefusedRow[] = [];
  rows.forEach((row, i) => {
    const line = shape.firstLine + i;
    if (row.every((cell) => cell.trim() === '')) return;
    try {
      const read =
        at.moment >= 0
          ? readMoment(row[at.moment] ?? '', null, shape.order)
          : readMoment(row[at.date] ?? '', row[at.time] ?? '', shape.order);
      if ('problem' in read) throw new RangeError(read.problem);
      const moments = 'moment' in read ? [read.moment] : momentsOf(read.wall, shape.timeZone);
      if (moments.length === 0)
        throw new RangeError(
          'Clocks went forward over this hour: there was no such time in the place’s time zone.',
        );
      const ms = moments.find((moment) => !seen.has(moment));
      if (ms === undefined)
        throw new RangeError(`The same hour as line ${seen.get(moments[0]!)}; the first was taken.`);
      const reading = observe(ms, (of) => value(row, of));
      seen.set(ms, line);
      taken.push({ ms, reading });
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      refused.push({ line, reason: error.message });
    }
  });
  taken.sort((a, b) => a.ms - b.ms);
  return { taken: taken.map(({ reading }) => reading), refused, gaps: gapsIn(taken.map(({ ms }) => ms)) };
}

function observe(ms: number, value: (of: string) => number | null): Observation {
  const temperatureC = value('temperature');
  if (temperatureC === null) throw new RangeError('The temperature is missing.');
  if (temperatureC < AIR_RANGE_C.lowest || temperatureC > AIR_RANGE_C.highest)
    throw new RangeError(
      `${round(temperatureC)} °C is no air temperature. Is the column in the other unit, °F or °C?`,
    );
  let humidity = value('humidity');
  if (humidity === null) {
    const dew = value('dewPoint');
    if (dew === null) throw new RangeError('Humidity and dew point are both missing.');
    if (dew < AIR_RANGE_C.lowest) throw new RangeError('A dew point under −45 °C cannot be read.');
    humidity = humidityFromDewPoint(temperatureC, dew);
  }
  if (humidity < 0 || humidity > 100) throw new RangeError(`${round(humidity)} % is no relative humidity.`);
  const wind = value('wind');
  const gust = value('gust');
  for (const speed of [wind, gust])
    if (speed !== null && (speed < 0 || speed > WIND_LIMIT))
      throw new RangeError(`${round(speed)} m/s is no wind. Check the unit of the column.`);
  return {
    at: new Date(ms).toISOString(),
    temperatureC: round(temperatureC),
    humidity: round(humidity),
    windMs: wind === null ? null : round(wind),
    gustMs: gust === null ? null : round(gust),
  };
}

function gapsIn(moments: readonly number[]): Gap[] {
  const steps = moments.slice(1).map((ms, i) => ms - moments[i]!);
  if (steps.length < 2) return [];
  const usual = steps.toSorted((a, b) => a - b)[Math.floor(steps.length / 2)]!;
  return steps.flatMap((step, i) =>
    step > 1.5 * usual
      ? [
          {
            from: new Date(moments[i]!).toISOString(),
            to: new Date(moments[i + 1]!).toISOString(),
            missing: Math.round(step / usual) - 1,
          },
        ]
      : [],
  );
}
