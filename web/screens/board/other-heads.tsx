import type { Wearer } from '@sabor/contract/wearer';
import type { BoardNode } from '@sabor/core/board/board';
import { COLUMNS, type ColumnKey } from '@sabor/core/board/columns';
import { type OnHead, overHeads } from '@sabor/core/board/over-heads';
import type { BoardAsk } from '@sabor/core/board/read';
import { effectInWords, overHeadsInWords } from '@sabor/words/board';
import { counted } from '@sabor/words/numbers';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useBoardTrials } from '../../api/board.ts';
import { useWearers } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { pairInWorker } from '../../workers/board.ts';
import { traitsOf } from './traits-of.ts';

/** One head's own answer to a comparison, as a row; tells its number to whoever adds them up. */
function HeadRow({
  wearer,
  ask,
  column,
  pair,
  found,
}: {
  wearer: Wearer;
  ask: BoardAsk;
  column: ColumnKey;
  pair: readonly [string, string];
  found: (wearerId: string, one: OnHead | null) => void;
}) {
  const own = useBoardTrials(wearer.id);
  const asked = useMemo(() => own.data && { ...ask, trials: own.data.trials }, [own.data, ask]);
  const [a, b] = pair;
  const ways = useWorked('pair', asked ? [asked, column, a, b] : null, () =>
    pairInWorker(asked!, column, a, b),
  );
  const both = ways.data?.both ?? null;
  useEffect(() => {
    if (ways.data) found(wearer.id, both);
  }, [ways.data, both, found, wearer.id]);
  const direct = ways.data?.direct.trials.length ?? 0;
  const held = pair.every((key) => asked?.trials.some(({ arms }) => arms.some((arm) => arm.key === key)));
  return (
    <tr className="border-b border-rule">
      <th scope="row" className="py-1 pr-3 font-semibold">
        <Link className="underline-offset-4 hover:underline" to={`/heads/${wearer.id}`}>
          {wearer.name}
        </Link>
        <span className="block text-sm font-normal text-soft">{traitsOf(wearer)}</span>
      </th>
      <td>
        {own.isLoadingError
          ? own.error.message
          : !ways.data
            ? 'Reading …'
            : both
              ? `${effectInWords(column, both)}, ${direct > 0 ? counted(direct, 'trial') : 'through others'}`
              : held
                ? 'tested there, but not so that the two can be set against each other'
                : 'not known on this head'}
      </td>
    </tr>
  );
}

/** One comparison on every head, each by its own trials, with what holds over them. */
export function OtherHeads({
  ask,
  column,
  pair,
  nodes,
  nameOf,
}: {
  ask: BoardAsk;
  column: ColumnKey;
  pair: readonly [string, string];
  nodes: readonly BoardNode[];
  nameOf: (node: string) => string;
}) {
  const wearers = useWearers();
  const [all, setAll] = useState<Readonly<Record<string, OnHead | null>>>({});
  const found = useMemo(
    () => (wearerId: string, one: OnHead | null) => setAll((old) => ({ ...old, [wearerId]: one })),
    [],
  );
  if (pair.some((node) => nodes.find((one) => one.node === node)?.byAmount))
    return (
      <p className="text-soft">
        One of them was tested at several amounts here: heads are compared by products, not by amounts.
      </p>
    );
  const told = Object.values(all).flatMap((one) => one ?? []);
  // Each head counts to the day its own trials planned.
  const byDays = column === 'good-days' || (column === 'wish' && (ask.weights.lasting ?? 0) > 0);
  const names = [nameOf(pair[0]), nameOf(pair[1])] as const;
  return (
    <>
      <table className="w-full max-w-3xl text-left">
        <caption className="sr-only">
          {nameOf(pair[0])} against {nameOf(pair[1])} in {COLUMNS[column].label.toLowerCase()}, head by head
        </caption>
        <tbody>
          {(wearers.data ?? []).map((wearer) => (
            <HeadRow key={wearer.id} wearer={wearer} ask={ask} column={column} pair={pair} found={found} />
          ))}
        </tbody>
      </table>
      <ul className="mt-2">
        {(byDays
          ? ['Good days are counted to another day on each head: they are listed, not averaged.']
          : overHeadsInWords(column, overHeads(told), names)
        ).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </>
  );
}
