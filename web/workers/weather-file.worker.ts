import type { ReadingRow } from '@sabor/contract/weather';
import { type Columns, guessColumns, isHeader } from '@sabor/core/climate/weather-table/columns';
import { orderInFile, type ReadTable, readTable } from '@sabor/core/climate/weather-table/read-table';
import { BOM, guarded } from '@sabor/core/table/formula-guard';
import type { DateOrder } from '@sabor/core/time/read-moment';
import { expose } from 'comlink';
import Papa from 'papaparse';

let rows: string[][] = [];
let headed = false;
let read: ReadTable = { taken: [], refused: [], gaps: [] };

/** Most lines of a report that go to the page; the rest are in its file. */
const SHOWN = 200;

const body = () => (headed ? rows.slice(1) : rows);

const weatherFile = {
  /** Reads the file's cells; gives its width, its first rows and a first guess of its columns. */
  async open(file: File) {
    const text = await file.text();
    rows = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data;
    headed = rows.length > 0 && isHeader(rows[0]!);
    const width = Math.max(0, ...rows.slice(0, 50).map((row) => row.length));
    const header = headed ? rows[0]! : null;
    return {
      rows: rows.length - Number(headed),
      headed,
      header: Array.from({ length: width }, (_, i) => header?.[i]?.trim() || `Column ${i + 1}`),
      sample: body().slice(0, 4),
      columns: header
        ? guessColumns(header.concat(Array(Math.max(0, width - header.length)).fill('')))
        : Array(width).fill(null),
    };
  },
  order: (columns: Columns) => orderInFile(body(), columns),
  /** Reads every row with these columns; the readings stay here, to be fetched in parts. */
  read(columns: Columns, order: DateOrder | null, timeZone: string) {
    read = readTable(body(), { columns, order, timeZone, firstLine: 1 + Number(headed) });
    return {
      taken: read.taken.length,
      first: read.taken[0]?.at ?? null,
      last: read.taken.at(-1)?.at ?? null,
      sample: read.taken.slice(0, 3),
      refused: read.refused.slice(0, SHOWN),
      refusedCount: read.refused.length,
      gaps: read.gaps.slice(0, SHOWN),
      gapCount: read.gaps.length,
      missing: read.gaps.reduce((sum, gap) => sum + gap.missing, 0),
    };
  },
  part: (from: number, count: number): ReadingRow[] =>
    read.taken
      .slice(from, from + count)
      .map(({ at, temperatureC, humidity, windMs, gustMs }) => [at, temperatureC, humidity, windMs, gustMs]),
  /** The whole report as CSV: every refused row and every gap. */
  report: () =>
    BOM +
    Papa.unparse([
      ...read.refused.map(({ line, reason }) => ({ line, what: 'not taken', reason: guarded(reason) })),
      ...read.gaps.map(({ from, to, missing }) => ({
        line: '',
        what: 'gap',
        reason: `${missing} readings missing between ${from} and ${to}`,
      })),
    ]),
};
export type WeatherFile = typeof weatherFile;

expose(weatherFile);
