import type { Product } from '@sabor/contract/shelf';
import type { BoardAsk } from '@sabor/core/board/read';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { ROLES } from '@sabor/core/shelf/products';
import { capital, counted } from '@sabor/words/numbers';
import { useMemo } from 'react';
import { useWorked } from '../../api/worked.ts';
import { lastingByClassInWorker } from '../../workers/board.ts';

/** How long each kind of product stays good, from all wash days of this step's trials: a question, and no answer. */
export function ByKind({ ask, products }: { ask: BoardAsk; products: readonly Product[] }) {
  const kindOf = useMemo(
    () => Object.fromEntries(products.flatMap(({ id, roles }) => (roles[0] ? [[id, roles[0]]] : []))),
    [products],
  );
  const found = useWorked('by kind', [ask, kindOf], () => lastingByClassInWorker(ask, kindOf));
  if (!found.data || found.data.kinds.length < 2) return null;
  const { upTo, kinds } = found.data;
  return (
    <section aria-labelledby="kinds">
      <h2 id="kinds" className="text-xl">
        By kind of product
      </h2>
      <p className="mb-2 max-w-3xl text-soft">
        How many days {OUTCOMES[ask.lasting].label.toLowerCase()} stays good, to day {upTo}, from all wash
        days of these trials, the broken ones too. <strong>Not a trial:</strong> which kind was worn when was
        not drawn at random. Take it as a question.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Good days by kind of product">
        <table className="w-full max-w-3xl text-left">
          <thead className="text-sm text-soft">
            <tr className="border-b border-rule">
              <th scope="col">Kind</th>
              <th scope="col" className="text-right">
                Good days
              </th>
              <th scope="col" className="pl-6">
                From
              </th>
            </tr>
          </thead>
          <tbody>
            {kinds.map(({ kind, products: own, wears, cut, lasting }) => (
              <tr key={kind} className="border-b border-rule">
                <th scope="row" className="py-1 font-semibold">
                  {capital(ROLES[kind as keyof typeof ROLES]?.label ?? kind)}
                </th>
                <td className="figure text-right">
                  {lasting
                    ? `${lasting.middle.toFixed(1)} (${lasting.low.toFixed(1)} to ${lasting.high.toFixed(1)})`
                    : '–'}
                </td>
                <td className="pl-6 text-soft">
                  {counted(wears, 'wash day')} of {counted(own.length, 'product')}
                  {cut > 0 ? `, ${cut} cut short` : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
