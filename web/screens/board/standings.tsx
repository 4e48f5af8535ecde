import type { Product } from '@sabor/contract/shelf';
import type { Board, BoardColumn, BoardNode } from '@sabor/core/board/board';
import { COLUMNS, type WishKey } from '@sabor/core/board/columns';
import type { BoardView } from '@sabor/core/board/read';
import { suitsSlot } from '@sabor/core/shelf/products';
import type { Slot } from '@sabor/core/step/slots';
import { judgedBy } from '@sabor/core/verdict/ways';
import { lineOfItems } from '@sabor/core/verdict/whole-lines';
import {
  agreementInWords,
  betterInWords,
  columnInWords,
  standingInWords,
  unreadWishInWords,
  weakenedInWords,
} from '@sabor/words/board';
import { doseInWords } from '@sabor/words/dose';
import { counted } from '@sabor/words/numbers';
import { Link } from 'react-router';
import { ButtonLink } from '../../ui/button.tsx';
import { showDate, showMoney } from '../../ui/show.ts';

/** The board in a line a product: where it stands, how sure that is, and what it rests on. */
export function Standings({
  board,
  column,
  nameOf,
  products,
  role,
  unreadWishes,
  onDay,
  view,
  tried,
  wearerId,
  open,
}: {
  board: Board;
  column: BoardColumn;
  nameOf: (node: string) => string;
  products: readonly Product[];
  role: Slot | 'line';
  /** What is weighed and was read in none of the trials on that day. */
  unreadWishes: readonly Exclude<WishKey, 'lasting'>[];
  onDay: number;
  view: BoardView;
  /** Products that any trial of this head held, those that are left out too. */
  tried: ReadonlySet<string>;
  wearerId: string;
  open: (a: string, b: string) => void;
}) {
  // By what this column has numbers of: another column may join others.
  const islandOf = (node: string) => column.cells.find((cell) => cell.node === node)?.island ?? null;
  const shown = board.nodes.filter(({ node }) => board.shown.includes(node));
  const islands = [...new Set(shown.flatMap(({ node }) => islandOf(node) ?? []))].sort((a, b) => a - b);
  const unread = shown.filter(({ node }) => islandOf(node) === null);
  const better = betterInWords(column, nameOf);
  const untried = products.filter(
    ({ id, roles, archivedAt }) =>
      role !== 'line' &&
      archivedAt === null &&
      suitsSlot(roles, role) &&
      (view.productIds === null || view.productIds.includes(id)) &&
      !tried.has(id),
  );
  /** Where its verdict is written: of a product in its step, or of a whole line. */
  const verdictOn = ({ kind, productId, items, ways }: BoardNode): string | null => {
    const line = lineOfItems(items, (id) => products.find((one) => one.id === id)?.lineId ?? null);
    if (role === 'line') return line && `/verdicts/new?head=${wearerId}&line=${line}`;
    const way = kind === 'way' ? judgedBy(ways) : null;
    if (way) return `/verdicts/new?head=${wearerId}&step=${role}&way=${encodeURIComponent(way)}`;
    return kind === 'product' && productId
      ? `/verdicts/new?head=${wearerId}&step=${role}&product=${productId}`
      : null;
  };
  const first = (node: BoardNode) => column.first[node.node] ?? -1;
  return (
    <section aria-labelledby="standings">
      <h2 id="standings" className="text-xl">
        Who is first
      </h2>
      <p className="mb-3 text-soft">
        {columnInWords(column.key)}
        {', '}
        {COLUMNS[column.key].wanted === 'higher' ? 'more is wanted' : 'less is wanted'}. “First in 82 of 100”:
        if these trials were all there is to know, it would truly be first that often.
      </p>
      {islands.map((island) => (
        <div key={island}>
          {islands.length > 1 && (
            <h3 className="mt-4 text-base">
              {island === islands[0]
                ? 'These met in trials, directly or through each other'
                : 'These met none of the above: compared only with each other'}
            </h3>
          )}
          <ol className="border-t border-rule">
            {shown
              .filter(({ node }) => islandOf(node) === island)
              .toSorted((a, b) => first(b) - first(a) || (nameOf(a.node) < nameOf(b.node) ? -1 : 1))
              .map((node) => {
                const leader = column.leaders.find((one) => one.island === island);
                const other = leader && (leader.node === node.node ? leader.next : leader.node);
                return (
                  <li key={node.node} className="border-b border-rule py-3">
                    <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                      <span className="figure text-lg">
                        {node.kind === 'product' && node.productId ? (
                          <Link
                            className="underline-offset-4 hover:underline"
                            to={`/shelf/${node.productId}`}
                          >
                            {nameOf(node.node)}
                          </Link>
                        ) : (
                          nameOf(node.node)
                        )}
                      </span>
                      {verdictOn(node) && (
                        <Link className="min-h-8 text-sm underline underline-offset-4" to={verdictOn(node)!}>
                          write a verdict
                        </Link>
                      )}
                      {other && (
                        <button
                          type="button"
                          className="min-h-8 text-sm underline underline-offset-4"
                          onClick={() => open(node.node, other)}
                        >
                          against {nameOf(other)}
                        </button>
                      )}
                    </p>
                    <p className={leader?.node === node.node ? 'font-semibold' : ''}>
                      {standingInWords(column, node.node, island, nameOf)}
                    </p>
                    <p className="text-sm text-soft">
                      {[
                        `${counted(node.trials.length, 'trial')}, ${counted(node.washDays, 'wash day')}`,
                        node.dose && !node.byAmount ? `at ${doseInWords(node.dose)}` : null,
                        node.costPerGoodDay !== null && node.currency
                          ? `${showMoney(node.costPerGoodDay, node.currency)} a good day, counted to day ${board.countedTo}`
                          : null,
                        node.lastOn ? `last worn in a trial ${showDate(node.lastOn)}` : null,
                        weakenedInWords(
                          node.trials.length,
                          node.trials.filter((id) => board.weakened.includes(id)).length,
                        ),
                      ]
                        .filter(Boolean)
                        .join(' · ')}
                    </p>
                  </li>
                );
              })}
          </ol>
          {column.agreement[island] && column.leaders.some((one) => one.island === island) && (
            <p className="mt-1 text-sm text-soft">{agreementInWords(column.agreement[island])}</p>
          )}
        </div>
      ))}
      {unread.length > 0 && (
        <p className="mt-3 text-soft">
          Without a number here: {unread.map(({ node }) => nameOf(node)).join(', ')}.
          {column.key === 'wish' && unreadWishInWords(unreadWishes, onDay)}
        </p>
      )}
      {better.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-10 cursor-pointer py-2 font-semibold">
            What is clear over all of them together ({better.length})
          </summary>
          <ul>
            {better.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </details>
      )}
      {untried.length > 0 && (
        <>
          <h3 className="mt-5 text-base">Not tried on this head</h3>
          <ul>
            {untried.map(({ id, name }) => (
              <li
                key={id}
                className="flex flex-wrap items-center justify-between gap-3 border-b border-rule py-1"
              >
                {name}
                <ButtonLink look="quiet" to={planPath(wearerId, id, board, column)}>
                  Plan a trial
                </ButtonLink>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** A plan that sets a product against the one that leads. */
function planPath(wearerId: string, productId: string, board: Board, column: BoardColumn): string {
  const best = board.nodes.find(({ node }) => node === column.leaders[0]?.node)?.productId;
  return `/trials/new/plan?wearer=${wearerId}&products=${best ? `${productId},${best}` : productId}`;
}
