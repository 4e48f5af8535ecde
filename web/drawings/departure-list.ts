import type { RibbonColumn, RibbonRow } from './ribbon-rows.ts';

export interface ListedDeparture {
  n: number;
  row: number;
  column: number;
  says: string;
}

/** Numbers every departure of the stacked ribbons, row by row. */
export function listDepartures(
  columns: readonly RibbonColumn[],
  rows: readonly RibbonRow[],
): ListedDeparture[] {
  const found: ListedDeparture[] = [];
  for (const [row, { cells }] of rows.entries())
    for (const [column, { kind, notes }] of cells.entries())
      if (columns[column] && ['departed', 'unsure', 'skipped'].includes(kind))
        found.push({ n: found.length + 1, row, column, says: notes.join(' ') });
  return found;
}
