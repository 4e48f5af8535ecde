import { listDepartures } from './departure-list.ts';
import { DepartureNotes } from './departure-notes.tsx';
import type { RibbonColumn, RibbonRow } from './ribbon-rows.ts';
import { RoutineRibbon } from './routine-ribbon.tsx';

/** Stacked ribbons with their departures numbered and listed below. */
export function RibbonStack({
  caption,
  columns,
  rows,
}: {
  caption: string;
  columns: readonly RibbonColumn[];
  rows: readonly RibbonRow[];
}) {
  const listed = listDepartures(columns, rows);
  const noteOf = (row: number, column: number) =>
    listed.find((one) => one.row === row && one.column === column)?.n ?? null;
  return (
    <>
      <RoutineRibbon caption={caption} columns={columns} rows={rows} noteOf={noteOf} />
      <DepartureNotes listed={listed} columns={columns} rows={rows} />
    </>
  );
}
