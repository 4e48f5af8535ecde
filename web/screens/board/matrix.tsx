import type { Board, BoardCell, BoardColumn, BoardNode } from '@sabor/core/board/board';
import { COLUMNS, type ColumnKey, FEWEST_POOLED } from '@sabor/core/board/columns';
import type { BoardAsk } from '@sabor/core/board/read';
import { effectInWords, signedInWords, sizeInWords, usualInWords } from '@sabor/words/board';
import { Fragment, useMemo, useState } from 'react';
import { useWorked } from '../../api/worked.ts';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { showMoney } from '../../ui/show.ts';
import { Failed, Loading } from '../../ui/states.tsx';
import { boardInWorker } from '../../workers/board.ts';

/** How a row's cells are put: the effects as they are, or drawn towards the middle. */
const PUT = [
  ['plain', 'as measured'],
  ['pooled', 'drawn towards the middle'],
] as const;

/** All numbers: a row a thing, a column an outcome; worked out when they are first opened. */
export function Matrix({
  ask,
  subject,
  nodes,
  nameOf,
  against,
  setAgainst,
  pooled,
  setPooled,
  open,
}: {
  ask: BoardAsk;
  /** Whose board, of which step: numbers of another never stay on show. */
  subject: string;
  /** All things of the board, in view or not. */
  nodes: readonly BoardNode[];
  nameOf: (node: string) => string;
  against: string | null;
  setAgainst: (node: string | null) => void;
  /** Effects are shown drawn towards the middle. */
  pooled: boolean;
  setPooled: (to: boolean) => void;
  open: (a: string, b: string) => void;
}) {
  const put = pooled ? 'pooled' : 'plain';
  const [opened, setOpened] = useState(false);
  const whole = useMemo(() => ({ ...ask, pooled, whole: true }), [ask, pooled]);
  const board = useWorked('all numbers', opened ? [whole] : null, () => boardInWorker(whole), subject);
  return (
    <details onToggle={(event) => setOpened(event.currentTarget.open)}>
      <summary className="min-h-10 cursor-pointer py-2 text-xl font-semibold">All numbers</summary>
      <div className="no-print mb-3 flex flex-wrap gap-x-5 gap-y-2">
        {!pooled && (
          <InlineChoice
            label="Set against"
            value={against ?? ''}
            onChange={(node) => setAgainst(node === '' ? null : node)}
            options={[
              ['', 'the mean of those that met'],
              ...nodes.map(({ node }) => [node, nameOf(node)] as const),
            ]}
          />
        )}
        {nodes.length >= FEWEST_POOLED && (
          <InlineChoice label="Put" value={put} onChange={(to) => setPooled(to === 'pooled')} options={PUT} />
        )}
      </div>
      <p className="mb-2 max-w-3xl text-sm text-soft">
        {put === 'plain'
          ? 'Each cell alone: the difference, and its 95 % interval drawn about nothing. Read one cell, not the best of many: what holds over all of them stands under “Who is first”.'
          : 'Products of one step taken as alike beforehand: a difference that few wash days carry is drawn towards none. Told from the middle of those that met, ± two standard deviations.'}
      </p>
      {board.isError ? (
        <Failed error={new Error('The numbers could not be computed.')} retry={board.refetch} />
      ) : board.data ? (
        <Cells board={board.data} nameOf={nameOf} against={against} put={put} open={open} />
      ) : (
        opened && <Loading what="all numbers" />
      )}
    </details>
  );
}

/** The table itself: each cell how far it lies over the mean of its row's island, or what is picked. */
function Cells({
  board,
  nameOf,
  against,
  put,
  open,
}: {
  board: Board;
  nameOf: (node: string) => string;
  against: string | null;
  put: 'plain' | 'pooled';
  open: (a: string, b: string) => void;
}) {
  const [sort, setSort] = useState<ColumnKey | 'name' | 'cost'>('name');
  const told = board.columns.filter(({ cells }) => cells.some(({ days }) => days > 0));
  const shown = board.nodes.filter(({ node }) => board.shown.includes(node));
  const sorted = shown.toSorted((a, b) => {
    if (sort === 'name') return nameOf(a.node) < nameOf(b.node) ? -1 : 1;
    if (sort === 'cost') return (a.costPerWash ?? Infinity) - (b.costPerWash ?? Infinity);
    const column = board.columns.find(({ key }) => key === sort)!;
    const sign = COLUMNS[sort].wanted === 'higher' ? -1 : 1;
    const of = (node: string) => {
      const effect = column.cells.find((cell) => cell.node === node)?.effect;
      return effect ? sign * effect.value : Number.POSITIVE_INFINITY;
    };
    return of(a.node) - of(b.node);
  });
  const head = (key: typeof sort, label: string, says: string) => (
    <th
      scope="col"
      className="min-w-36 px-2 py-1 align-bottom"
      aria-sort={sort === key ? 'ascending' : undefined}
    >
      <button
        type="button"
        className={`min-h-8 font-semibold underline-offset-4 hover:underline ${sort === key ? 'text-ink underline' : ''}`}
        onClick={() => setSort(key)}
      >
        {label}
      </button>
      <span className="block text-xs font-normal">{says}</span>
    </th>
  );
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="All numbers, thing by thing">
      <table className="w-full text-left text-[0.95rem]">
        <thead className="text-sm text-soft">
          <tr className="border-b border-rule">
            {head('name', 'Thing', `${shown.length} of them`)}
            {told.map(({ key, usual }) => (
              <Fragment key={key}>{head(key, COLUMNS[key].label, usualInWords(key, usual, nameOf))}</Fragment>
            ))}
            {head('cost', 'A wash', 'all products')}
          </tr>
        </thead>
        <tbody>
          {sorted.map((node) => (
            <tr key={node.node} className="border-b border-rule align-top">
              <th scope="row" className="px-2 py-2 font-semibold">
                {nameOf(node.node)}
              </th>
              {told.map((column) => (
                <td key={column.key} className="px-2 py-2">
                  <Cell
                    column={column}
                    cell={column.cells.find((cell) => cell.node === node.node)!}
                    put={put}
                    onOpen={against && against !== node.node ? () => open(node.node, against) : null}
                  />
                </td>
              ))}
              <td className="figure px-2 py-2">
                {node.costPerWash !== null && node.currency
                  ? showMoney(node.costPerWash, node.currency)
                  : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** How far a column's drawing reaches to either side of nothing: what its widest interval needs. */
const reachOf = (column: BoardColumn) =>
  Math.max(
    0.001,
    ...column.cells.flatMap(({ effect }) =>
      effect
        ? [Math.abs(effect.value), Math.abs(effect.interval?.low ?? 0), Math.abs(effect.interval?.high ?? 0)]
        : [],
    ),
  );

function Cell({
  column,
  cell,
  put,
  onOpen,
}: {
  column: BoardColumn;
  cell: BoardCell;
  put: 'plain' | 'pooled';
  onOpen: (() => void) | null;
}) {
  const { key } = column;
  const { effect, pooled, mean, days } = cell;
  const shown =
    put === 'pooled'
      ? pooled && {
          value: pooled.value,
          low: pooled.value - 2 * pooled.sd,
          high: pooled.value + 2 * pooled.sd,
          says: `${signedInWords(key, pooled.value)} ± ${Math.abs(2 * pooled.sd).toFixed(COLUMNS[key].places)}`,
        }
      : effect && {
          value: effect.value,
          low: effect.interval?.low ?? null,
          high: effect.interval?.high ?? null,
          says: effectInWords(key, effect),
        };
  const at = (x: number) => 50 + (45 * x) / reachOf(column);
  return (
    <>
      {shown ? (
        <>
          <svg viewBox="0 0 100 12" className="h-3 w-28" aria-hidden="true">
            <line x1="50" x2="50" y1="0" y2="12" stroke="var(--color-soft)" strokeWidth="1" />
            {shown.low !== null && shown.high !== null && (
              <line
                x1={Math.max(2, at(shown.low))}
                x2={Math.min(98, at(shown.high))}
                y1="6"
                y2="6"
                stroke="var(--color-ink)"
                strokeWidth="1.5"
              />
            )}
            <path d={`M${at(shown.value)} 2 l4 4 l-4 4 l-4 -4z`} fill="var(--color-ink)" />
          </svg>
          <span className="block text-sm">{shown.says}</span>
        </>
      ) : (
        <span className="text-sm text-soft">{days === 0 ? 'not read' : 'alone'}</span>
      )}
      <span className="block text-xs text-soft">
        {mean === null ? '' : `mean ${sizeInWords(key, mean)}, ${days} ${days === 1 ? 'day' : 'days'}`}
      </span>
      {onOpen && (
        <button type="button" className="min-h-8 text-xs underline underline-offset-4" onClick={onOpen}>
          How it is known
        </button>
      )}
    </>
  );
}
