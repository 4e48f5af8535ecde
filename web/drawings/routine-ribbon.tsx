import { SLOTS } from '@sabor/core/step/slots';
import type { ReactNode } from 'react';
import { armStyle } from './arm-style.ts';
import { type RibbonCell, type RibbonColumn, type RibbonRow, slotShort } from './ribbon-rows.ts';
import { tint } from './tint.ts';

const plain: Record<RibbonCell['kind'], string> = {
  held: 'as planned',
  tested: 'under test',
  departed: 'changed from the plan',
  unsure: 'cannot be shown to be as planned',
  skipped: 'skipped',
  waiting: 'not reached',
  absent: 'not part of this day',
};

/**
 * Wash days as stacked ribbons, aligned step by step: what was held runs through as one quiet band, what was tested
 * stands up in its arm's colour, what departed is notched. A table, so that it reads as one aloud.
 */
export function RoutineRibbon({
  caption,
  columns,
  rows,
  noteOf,
}: {
  caption: string;
  columns: readonly RibbonColumn[];
  rows: readonly RibbonRow[];
  /** Gives departures their number, where they are listed below. */
  noteOf?: (row: number, column: number) => number | null;
}) {
  return (
    <div className="relative overflow-x-auto pb-2" tabIndex={0} role="region" aria-label={caption}>
      <table className="w-full border-separate border-spacing-x-0 border-spacing-y-1 text-left text-sm print:table-fixed print:text-[0.62rem]">
        <caption className="sr-only">{caption}</caption>
        <thead>
          <tr>
            <th scope="col" className="sticky left-0 z-10 bg-paper">
              <span className="sr-only">Wash day</span>
            </th>
            {columns.map((column) => (
              <th
                key={column.key}
                scope="col"
                className="min-w-16 px-1 pb-1 align-bottom font-semibold leading-tight print:min-w-0 print:px-0.5 print:wrap-break-word"
              >
                <span title={SLOTS[column.slot].label}>{slotShort(column.slot)}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, y) => (
            <tr key={row.key} className={row.faded ? 'opacity-60' : ''}>
              <th
                scope="row"
                className="sticky left-0 z-10 min-w-36 bg-paper pr-3 align-middle font-normal leading-tight"
              >
                <span className="block font-semibold">
                  {row.arms.map((arm, i) => (
                    <span key={i} aria-hidden="true" style={{ color: armStyle(arm).hue }}>
                      {armStyle(arm).marker}{' '}
                    </span>
                  ))}
                  {row.label}
                </span>
                <span className="text-soft">{row.sub}</span>
              </th>
              {row.cells.map((cell, x) => (
                <Cell
                  key={columns[x]!.key}
                  cell={cell}
                  tested={columns[x]!.tested}
                  note={noteOf?.(y, x) ?? null}
                />
              ))}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row" className="sticky left-0 z-10 bg-paper pr-3 align-top font-semibold text-leaf">
              the plan
            </th>
            {columns.map((column) => (
              <td key={column.key} className="max-w-28 px-1 align-top text-[0.8rem] leading-snug text-soft">
                {column.planned}
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

function Cell({ cell, tested, note }: { cell: RibbonCell; tested: boolean; note: number | null }) {
  const { kind, text, notes } = cell;
  const says = `${plain[kind]}${text && kind === 'tested' ? `: ${text}` : ''}${notes.length ? `. ${notes.join(' ')}` : ''}`;
  if (kind === 'absent' || kind === 'waiting')
    return (
      <td className="p-0 align-middle">
        <span className="sr-only">{says}</span>
        <span
          aria-hidden="true"
          className={`block ${kind === 'waiting' ? 'mx-0 h-3 border-y border-dashed border-ink/30' : ''}`}
        />
      </td>
    );
  if (kind === 'skipped')
    return (
      <td className="p-0 align-middle" title={says}>
        <span className="mx-1 flex h-8 items-center justify-center gap-1 rounded border-2 border-dashed border-mango text-[0.78rem] font-semibold text-mango-deep">
          skipped{note && <Note n={note} />}
        </span>
        <span className="sr-only">{notes.join(' ')}</span>
      </td>
    );
  const marked = kind === 'departed' || kind === 'unsure';
  if (tested)
    return (
      <td className="px-0.5 py-0 align-middle" title={says}>
        {cell.halves ? (
          <span className="grid grid-cols-2 gap-px">
            {cell.halves.map((half, i) => (
              <Tested key={i} arm={half.arm} half={i === 0 ? 'left' : 'right'}>
                {half.text}
                {half.notes.length > 0 && note && <Note n={note} />}
              </Tested>
            ))}
          </span>
        ) : (
          <Tested arm={cell.arm}>
            {text}
            {marked && note && <Note n={note} />}
          </Tested>
        )}
        <span className="sr-only">{says}</span>
      </td>
    );
  return (
    <td className="p-0 align-middle" title={says}>
      {marked ? (
        <span
          className={`ribbon-notch flex h-8 items-center justify-center gap-1 px-2 text-[0.78rem] font-semibold ${kind === 'departed' ? 'bg-mango/35' : 'bg-mango-pale'}`}
        >
          {text}
          {note && <Note n={note} />}
        </span>
      ) : (
        <span className="block h-3.5 bg-leaf/25" aria-hidden="true" />
      )}
      <span className="sr-only">{says}</span>
    </td>
  );
}

/** What stands up in its arm's colour; a half keeps the outer curve of its own side. */
function Tested({
  arm,
  half,
  children,
}: {
  arm: number | undefined;
  half?: 'left' | 'right';
  children: ReactNode;
}) {
  const shape =
    half === 'left' ? 'rounded-l-tag' : half === 'right' ? 'rounded-r-tag border-dashed' : 'rounded-tag';
  return (
    <span
      className={`flex min-h-11 items-center gap-1 border-2 px-2 py-1 text-[0.82rem] font-semibold leading-tight ${shape}`}
      style={
        arm === undefined ? {} : { borderColor: armStyle(arm).hue, background: tint(armStyle(arm).hue, 0.16) }
      }
    >
      {half && (
        <span className="font-normal text-soft" aria-hidden="true">
          {half === 'left' ? 'L' : 'R'}
        </span>
      )}
      {children}
    </span>
  );
}

function Note({ n }: { n: number }) {
  return (
    <span
      aria-hidden="true"
      className="inline-flex size-4 shrink-0 items-center justify-center rounded-full bg-mango-deep text-[0.65rem] font-bold text-paper"
    >
      {n}
    </span>
  );
}
