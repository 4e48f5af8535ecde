import {
  guessProductColumns,
  type ProductColumns,
  type ProductRow,
  readProductRows,
} from '@sabor/core/shelf/product-table';
import { expose } from 'comlink';
import { refusedAsCsv } from './refused-as-csv.ts';
import { type Headed, headed, readTableFile } from './table-file.ts';

let sheet: Headed = headed(undefined);
let taken: ProductRow[] = [];
let refused: { line: number; reason: string }[] = [];

const productFile = {
  /** Reads the file's cells and its headings. */
  async open(file: File) {
    const { sheets } = await readTableFile(file);
    sheet = headed(sheets[0]);
    const { rows, header, sample } = sheet;
    return { rows, header, sample, columns: guessProductColumns(header) };
  },
  read(columns: ProductColumns) {
    ({ taken, refused } = readProductRows(sheet.body, columns, sheet.firstLine));
    return {
      taken: taken.length,
      sample: taken.slice(0, 5),
      refused: refused.slice(0, 200),
      refusedCount: refused.length,
    };
  },
  part: (from: number, count: number): ProductRow[] => taken.slice(from, from + count),
  report: () => refusedAsCsv(refused),
};
export type ProductFile = typeof productFile;

expose(productFile);
