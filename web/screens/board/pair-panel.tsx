import type { Board } from '@sabor/core/board/board';
import type { ColumnKey } from '@sabor/core/board/columns';
import { wayBetween } from '@sabor/core/board/met';
import type { BoardAsk, BoardTrial } from '@sabor/core/board/read';
import { apartInWords, carriedInWords, columnInWords, toTellInWords, waysInWords } from '@sabor/words/board';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useWorked } from '../../api/worked.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { Loading } from '../../ui/states.tsx';
import {
  carriedInWorker,
  disagreementsInWorker,
  pairInWorker,
  trialsToTellInWorker,
} from '../../workers/board.ts';
import { OtherHeads } from './other-heads.tsx';

/** Two things by each way they are known. */
export function PairPanel({
  ask,
  column,
  pair,
  board,
  nameOf,
  trials,
  wearerId,
  close,
}: {
  ask: BoardAsk;
  column: ColumnKey;
  pair: readonly [string, string];
  board: Board;
  nameOf: (node: string) => string;
  trials: readonly BoardTrial[];
  wearerId: string;
  close: () => void;
}) {
  const [a, b] = pair;
  const ways = useWorked('pair', [ask, column, a, b], () => pairInWorker(ask, column, a, b));
  const apart = useWorked('ways apart', [ask, column], () => disagreementsInWorker(ask, column));
  const needed = useWorked('trials to tell', [ask, column], () => trialsToTellInWorker(ask, column));
  const lines = ask.role === 'line';
  const carried = useWorked('carried', lines ? [ask, column, a, b] : null, () =>
    carriedInWorker(ask, column, a, b),
  );
  const [heads, setHeads] = useState(false);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.scrollIntoView({ block: 'nearest' });
    heading.current?.focus({ preventScroll: true });
  }, [a, b]);
  const products = board.nodes.flatMap(({ node, productId }) =>
    pair.includes(node) && productId ? productId : [],
  );
  const through = wayBetween(board.met, a, b).map(nameOf);
  const disagree =
    apart.data?.found.some((one) => [one.a, one.b].every((node) => pair.includes(node))) ?? false;
  return (
    <section aria-labelledby="pair" className="max-w-4xl border-l-4 border-leaf pl-5">
      <h2 id="pair" ref={heading} tabIndex={-1} className="text-xl">
        {nameOf(a)} against {nameOf(b)}
      </h2>
      <p className="text-soft">{columnInWords(column)}, this pair alone.</p>
      {ways.data && apart.data ? (
        <>
          <ul className="my-2 space-y-1">
            {waysInWords(column, ways.data, [nameOf(a), nameOf(b)], through).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
            {ways.data.apart && (
              <li className={disagree ? 'text-brick' : ''}>
                {apartInWords(column, ways.data.apart, disagree)}
              </li>
            )}
          </ul>
          {ways.data.direct.trials.length > 0 && (
            <ul className="text-sm">
              {ways.data.direct.trials.map((id) => (
                <li key={id}>
                  <Link className="underline underline-offset-4" to={`/trials/${id}/compare`}>
                    {trials.find((trial) => trial.id === id)?.question}
                  </Link>
                </li>
              ))}
            </ul>
          )}
        </>
      ) : (
        <Loading what="how they are known" />
      )}
      {carried.data && carried.data.length > 0 && (
        <div className="mt-3">
          <h3 className="text-base">Which item carried it</h3>
          <ul>
            {carriedInWords(column, carried.data, [nameOf(a), nameOf(b)]).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </div>
      )}
      <details className="mt-3" onToggle={(event) => setHeads(event.currentTarget.open)}>
        <summary className="min-h-10 cursor-pointer py-2 font-semibold">On other heads</summary>
        {heads && <OtherHeads ask={ask} column={column} pair={pair} nodes={board.nodes} nameOf={nameOf} />}
      </details>
      {needed.data && needed.data.length > 0 && products.length === 2 && (
        <div className="mt-3">
          <h3 className="text-base">What a trial of the two would take</h3>
          <ul>
            {needed.data.map((one) => (
              <li key={one.design}>{toTellInWords(column, one)}</li>
            ))}
          </ul>
        </div>
      )}
      <p className="no-print mt-3 flex flex-wrap gap-3">
        {products.length === 2 && (
          <ButtonLink to={`/trials/new/plan?wearer=${wearerId}&products=${products.join(',')}`}>
            Plan the trial that sets them side by side
          </ButtonLink>
        )}
        <Button look="quiet" onClick={close}>
          Close
        </Button>
      </p>
    </section>
  );
}
