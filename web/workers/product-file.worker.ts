import {
  guessProductColumns,
  type ProductColumns,
  type ProductRow,
  readProductRows,
} from '@sabor/core/shelf/product-table';
import { BOM, guarded } from '@sabor/core/table/formula-guard';
import { expose } from 'comlink';
import Papa from 'papaparse';

let rows: string[][] = [];
let taken: ProductRow[] = [];
let refused: { line: number; reason: string }[] = [];

const productFile = {
  /** Reads the file's cells; its first row is taken as headings. */
  async open(file: File) {
    // Blob.text() leaves the mark of UTF-8 out of the first heading’s way only where it is removed.
    const text = (await file.text()).replace(/^\uFEFF/, '');
    rows = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data;
    const header = rows[0] ?? [];
    return {
      rows: Math.max(0, rows.length - 1),
      header: header.map((cell, i) => cell.trim() || `Column ${i + 1}`),
      sample: rows.slice(1, 4),
      columns: guessProductColumns(header),
    };
  },
  read(columns: ProductColumns) {
    ({ taken, refused } = readProductRows(rows.slice(1), columns, 2));
    return {
      taken: taken.length,
      sample: taken.slice(0, 5),
      refused: refused.slice(0, 200),
      refusedCount: refused.length,
    };
  },
  part: (from: number, count: number): ProductRow[] => taken.slice(from, from + count),
  report: () => BOM + Papa.unparse(refused.map(({ line, reason }) => ({ line, reason: guarded(reason) }))),
};
export type ProductFile = typeof productFile;

expose(productFile);
