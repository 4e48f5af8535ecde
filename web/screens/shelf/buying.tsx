import type { Buying } from '@sabor/contract/buying';
import { REACH_FROM } from '@sabor/core/shelf/buying';
import { goodUntil } from '@sabor/core/shelf/period-after-opening';
import { daysBetween } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { counted, rounded } from '@sabor/words/numbers';
import { useState } from 'react';
import { Link } from 'react-router';
import { brokenOf, useBuying, useShelf, useWearers } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { ChoiceField } from '../../ui/inputs.tsx';
import { showDate, showMoney } from '../../ui/show.ts';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';

/** Days ahead within which something belongs on the list: a parcel takes a while. */
const SOON = 21;

/** What open bottles have left, and what was used up, by month, head or line. */
export function BuyingScreen() {
  const buying = useBuying();
  const shelf = useShelf();
  const wearers = useWearers();
  if (buying.isPending || shelf.isPending || wearers.isPending) return <Loading what="the buying list" />;
  const failed = brokenOf(buying) ?? brokenOf(shelf) ?? brokenOf(wearers);
  if (failed) return <Failed error={failed} retry={() => buying.refetch()} />;
  const { runsOut, spent, untold, since } = buying.data!;
  const product = new Map(shelf.data!.products.map((one) => [one.id, one]));
  const today = localToday();
  const last = (id: string) => {
    const { openedOn = null, monthsAfterOpening = null } = product.get(id) ?? {};
    return goodUntil(openedOn, monthsAfterOpening);
  };
  return (
    <>
      <Heading kicker="Shelf" title="Buying" actions={<ButtonLink to="/shelf">Back to the shelf</ButtonLink>}>
        When open bottles are empty if they are used on as in the last eight weeks, and what was used up.
        Behind the code of a blind trial nothing is counted.
      </Heading>
      <section aria-labelledby="runs-out" className="max-w-4xl">
        <h2 id="runs-out" className="mb-2 text-xl">
          What runs out
        </h2>
        {runsOut.length === 0 ? (
          <Nothing title="Nothing to tell yet">
            It takes an open bottle with its size, and three wash days with a known amount of it.
          </Nothing>
        ) : (
          <div
            className="overflow-x-auto"
            tabIndex={0}
            role="region"
            aria-label="Products and when they run out"
          >
            <table className="w-full min-w-[40rem] text-left">
              <thead className="text-sm text-soft">
                <tr className="border-b border-rule">
                  <th scope="col" className="py-1 pr-4 font-semibold">
                    Product
                  </th>
                  <th scope="col" className="pr-4 font-semibold">
                    Empty about
                  </th>
                  <th scope="col" className="pr-4 text-right font-semibold">
                    Uses left
                  </th>
                  <th scope="col" className="pr-4 text-right font-semibold">
                    A week
                  </th>
                  <th scope="col" className="font-semibold">
                    Reckoned
                  </th>
                </tr>
              </thead>
              <tbody>
                {runsOut.map(({ productId, on, left, perWeek, from }) => (
                  <tr key={productId} className="border-b border-rule">
                    <th scope="row" className="py-2 pr-4 font-semibold">
                      <Link
                        className="underline decoration-rule decoration-2 underline-offset-4"
                        to={`/shelf/${productId}`}
                      >
                        {product.get(productId)?.name}
                      </Link>
                    </th>
                    <td className="py-2 pr-4">
                      {left < 1 ? (
                        <Tag tone="stop">should be empty</Tag>
                      ) : daysBetween(today, on) <= SOON ? (
                        <Tag tone="due">{showDate(on)}</Tag>
                      ) : (
                        roughly(today, on)
                      )}
                      {last(productId) !== null && last(productId)! < on && (
                        <span className="block text-sm text-mango-deep">
                          good only until {showDate(last(productId)!)}
                        </span>
                      )}
                    </td>
                    <td className="figure py-2 pr-4 text-right">{Math.floor(left)}</td>
                    <td className="figure py-2 pr-4 text-right">{rounded(perWeek)}</td>
                    <td className="py-2 text-sm text-soft">{REACH_FROM[from].label}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </section>
      <Spend
        spent={spent}
        untold={untold}
        since={since}
        names={{
          head: new Map(wearers.data!.map(({ id, name }) => [id, name])),
          line: new Map(shelf.data!.lines.map(({ id, name }) => [id, name])),
        }}
      />
    </>
  );
}

/** A day that is reckoned: the further away, the rougher it is told. */
const roughly = (today: string, on: string) => {
  const days = daysBetween(today, on);
  return days > 365 ? 'in over a year' : days > 60 ? MONTH.format(new Date(on)) : showDate(on);
};

const BY = { month: { label: 'month' }, head: { label: 'head' }, line: { label: 'line' } } as const;
const MONTH = new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric', timeZone: 'UTC' });

/** What was used up, added up by month, head or line; currencies stay apart. */
function Spend({
  spent,
  untold,
  since,
  names,
}: Pick<Buying, 'spent' | 'untold' | 'since'> & {
  names: Record<'head' | 'line', ReadonlyMap<string, string>>;
}) {
  const [by, setBy] = useState<keyof typeof BY>('month');
  const sums = new Map<string, { name: string; currency: string; amount: number; uses: number }>();
  for (const { month, wearerId, lineId, currency, amount, uses } of spent) {
    const name =
      by === 'month'
        ? MONTH.format(new Date(`${month}-01`))
        : by === 'head'
          ? (names.head.get(wearerId) ?? 'no longer there')
          : lineId === null
            ? 'Without a line'
            : (names.line.get(lineId) ?? 'no longer there');
    const key = `${name} ${currency}`;
    const sum = sums.get(key) ?? { name, currency, amount: 0, uses: 0 };
    sums.set(key, { ...sum, amount: sum.amount + amount, uses: sum.uses + uses });
  }
  const rows = [...sums.values()];
  if (by !== 'month') rows.sort((a, b) => b.amount - a.amount);
  const most = Math.max(...rows.map(({ amount }) => amount), 0);
  return (
    <section aria-labelledby="spend" className="mt-8 max-w-4xl">
      <div className="mb-2 flex flex-wrap items-end justify-between gap-4">
        <h2 id="spend" className="text-xl">
          What was used up
        </h2>
        <ChoiceField label="Added up by" options={BY} value={by} onChange={(key) => key && setBy(key)} />
      </div>
      {rows.length === 0 ? (
        <p className="text-soft">
          Nothing with a price, a size and an amount was used since {showDate(since)}.
        </p>
      ) : (
        <table className="w-full text-left">
          <tbody>
            {rows.map(({ name, currency, amount, uses }) => (
              <tr key={`${name} ${currency}`} className="border-b border-rule">
                <th scope="row" className="w-[32%] py-1.5 pr-4 font-semibold">
                  {name}
                </th>
                <td className="w-[38%] pr-4" aria-hidden>
                  <span
                    className="block h-3 rounded-tag bg-leaf/60"
                    style={{ width: `${most > 0 ? (amount / most) * 100 : 0}%` }}
                  />
                </td>
                <td className="figure pr-4 text-right">{showMoney(amount, currency)}</td>
                <td className="text-right text-sm text-soft">{counted(uses, 'use')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {untold > 0 && (
        <p className="mt-2 text-sm text-soft">
          {counted(untold, 'use')} without a price, a size or a known amount {untold === 1 ? 'is' : 'are'}{' '}
          left out.
        </p>
      )}
    </section>
  );
}
