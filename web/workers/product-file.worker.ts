import {
  guessProductColumns,
  type ProductColumns,
  type ProductRow,
  readProductRows,
} from '@sabor/core/shelf/product-table';
import { expose } from 'comlink';
import Papa from 'papaparse';

let rows: string[][] = [];
let taken: ProductRow[] = [];
let refused: { line: number; reason: string }[] = [];

const productFile = {
  /** Reads the file's cells; its first row is taken as headings. */
  async open(file: File) {
    const text = await file.text();
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
  report: () => Papa.unparse(refused),
};
export type ProductFile = typeof productFile;

expose(productFile);
