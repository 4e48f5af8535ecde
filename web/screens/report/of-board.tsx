import type { Product } from '@sabor/contract/shelf';
import type { Wearer } from '@sabor/contract/wearer';
import type { Board, BoardColumn } from '@sabor/core/board/board';
import { localToday } from '@sabor/core/time/today';
import { boardReport } from '@sabor/words/report/board-report';
import { disclosureOn } from '@sabor/words/report/trial-report';
import { type ReactNode, useMemo, useState } from 'react';
import { ReportDesk } from './desk.tsx';
import { called, type Names } from './names.ts';

/** What leaves the house of a board, as it stands on the screen. */
export function BoardReport({
  board,
  column,
  step,
  wearer,
  products,
  nameOf,
  inView,
  kicker,
}: {
  board: Board;
  column: BoardColumn;
  step: string;
  wearer: Wearer;
  products: readonly Product[];
  nameOf: (node: string) => string;
  inView: string;
  kicker: ReactNode;
}) {
  const [names, setNames] = useState<Names>('first');
  const report = useMemo(
    () =>
      boardReport({
        ...{ board, column, step, nameOf, inView },
        who: called(wearer.name, names),
        disclosure: disclosureOn(
          board.nodes.flatMap(({ node, productId, items }) =>
            board.shown.includes(node)
              ? [...(productId ? [productId] : []), ...(items ?? []).flatMap(([, item]) => item ?? [])]
              : [],
          ),
          products,
        ),
        today: localToday(),
      }),
    [board, column, step, nameOf, inView, wearer, names, products],
  );
  return (
    <ReportDesk report={report} kicker={kicker} wearerName={wearer.name} names={names} setNames={setNames} />
  );
}
