import { type DayColumns, guessDayColumns, guessScale, isRated } from '@sabor/core/spreadsheet/columns';
import {
  type DayOfRow,
  type DayReading,
  type KnownToRows,
  type ReadDays,
  readDays,
} from '@sabor/core/spreadsheet/read-days';
import { readNumber } from '@sabor/core/table/read-number';
import { dateOrderOf } from '@sabor/core/time/read-moment';
import { expose } from 'comlink';
import { refusedAsCsv } from './refused-as-csv.ts';
import { type Headed, headed, readTableFile, type Sheet } from './table-file.ts';

let sheets: Sheet[] = [];
let sheet: Headed = headed(undefined);
let read: ReadDays = { taken: [], refused: [], leftOut: 0, unknown: [] };

/** Most lines of a report that go to the page; the rest are in its file. */
const SHOWN = 200;
/** Most names that nothing on the shelf goes by, that are asked about. */
const ASKED = 40;

/** The numbers that stand in columns of ratings. */
const ratingsIn = (columns: DayColumns): number[] =>
  sheet.body.flatMap((row) =>
    columns.flatMap((kind, i) => (isRated(kind) ? (readNumber(row[i] ?? '') ?? []) : [])),
  );

const washDayFile = {
  /** Reads the file's cells. */
  async open(file: File) {
    const found = await readTableFile(file);
    sheets = found.sheets;
    return {
      macros: found.macros,
      sheets: sheets.map((one) => ({ name: one.name, rows: headed(one).rows })),
    };
  },
  /** One of its sheets; what its columns hold is guessed by their headings. */
  sheet(n: number) {
    sheet = headed(sheets[n]);
    const { rows, header, sample } = sheet;
    const columns = guessDayColumns(header);
    return { rows, header, sample, columns, scale: guessScale(ratingsIn(columns)) };
  },
  /** What the dates of a column say of their order; see {@link dateOrderOf}. */
  order(columns: DayColumns) {
    const at = columns.findIndex((kind) => kind === 'moment' || kind === 'date');
    return at < 0 ? null : dateOrderOf(sheet.body.map((row) => row[at] ?? ''));
  },
  /** Reads every row; the days stay here, in order of time, to be fetched in parts. Throws a sentence. */
  read(reading: Omit<DayReading, 'now' | 'firstLine'>, known: KnownToRows) {
    read = readDays(sheet.body, { ...reading, firstLine: sheet.firstLine, now: Date.now() }, known);
    read.taken.sort((a, b) => Date.parse(a.startedAt) - Date.parse(b.startedAt));
    return {
      taken: read.taken.length,
      rated: read.taken.filter(({ ratings }) => ratings.length > 0).length,
      first: read.taken[0] ?? null,
      last: read.taken.at(-1) ?? null,
      sample: read.taken.slice(0, 4),
      leftOut: read.leftOut,
      unknown: read.unknown.slice(0, ASKED),
      unknownCount: read.unknown.length,
      refused: read.refused.slice(0, SHOWN),
      refusedCount: read.refused.length,
    };
  },
  part: (from: number, count: number): DayOfRow[] => read.taken.slice(from, from + count),
  /** Rows that were not taken here, and those that the server refused, as CSV. */
  report: (also: readonly { line: number; reason: string }[]) =>
    refusedAsCsv([...read.refused, ...also].toSorted((a, b) => a.line - b.line)),
};
export type WashDayFile = typeof washDayFile;

expose(washDayFile);
