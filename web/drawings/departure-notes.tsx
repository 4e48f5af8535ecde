import { SLOTS } from '@sabor/core/step/slots';
import type { ListedDeparture } from './departure-list.ts';
import type { RibbonColumn, RibbonRow } from './ribbon-rows.ts';

/** The numbered departures under a stack of ribbons, a sentence each. */
export function DepartureNotes({
  listed,
  columns,
  rows,
}: {
  listed: readonly ListedDeparture[];
  columns: readonly RibbonColumn[];
  rows: readonly RibbonRow[];
}) {
  if (listed.length === 0) return <p className="mt-2 text-sm text-leaf">No change from the plan.</p>;
  return (
    <ol className="mt-2 grid gap-x-8 text-sm sm:grid-cols-2" aria-label="Changes from plan">
      {listed.map(({ n, row, column, says }) => (
        <li key={n} className="flex gap-2 border-b border-rule py-1">
          <span className="figure text-mango-deep">{n}</span>
          <span>
            Wash day {rows[row]!.label.split(' · ')[0]}, {SLOTS[columns[column]!.slot].label.toLowerCase()}:{' '}
            {says}
          </span>
        </li>
      ))}
    </ol>
  );
}
