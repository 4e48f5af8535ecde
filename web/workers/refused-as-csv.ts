import { BOM, guarded } from '@sabor/core/table/formula-guard';
import Papa from 'papaparse';

/** Rows that were not taken, as CSV: a line and its reason each. */
export const refusedAsCsv = (refused: readonly { line: number; reason: string }[]): string =>
  BOM + Papa.unparse(refused.map(({ line, reason }) => ({ line, reason: guarded(reason) })));
