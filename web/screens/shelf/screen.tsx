import type { Product, Shelf } from '@sabor/contract/shelf';
import { goodUntil } from '@sabor/core/shelf/period-after-opening';
import { pricePer100Ml } from '@sabor/core/shelf/price';
import { LABEL_HOLDS, ROLES, STAKES } from '@sabor/core/shelf/products';
import { byNumber, byText, type SieveOf } from '@sabor/core/table/sift';
import { localToday } from '@sabor/core/time/today';
import { keysOf } from '@sabor/core/vocabulary';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useSettings, useShelf } from '../../api/queries.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { PutAway } from '../../ui/put-away.tsx';
import { showDate, showMoney, showVolume } from '../../ui/show.ts';
import { SieveFields, useGrowing, useSieve } from '../../ui/sieve.tsx';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';
import { LineEditor } from './line.tsx';

const perMl = ({ price, sizeMl }: Product) => (price === null || sizeMl === null ? null : price / sizeMl);
const goodTo = ({ openedOn, monthsAfterOpening }: Product) => goodUntil(openedOn, monthsAfterOpening);
const SORTS = [
  { key: 'name', label: 'name' },
  { key: 'price', label: 'price per 100 ml' },
  { key: 'good', label: 'good until' },
  { key: 'used', label: 'most used' },
];
const USES = keysOf(ROLES).map((key) => ({ key, label: ROLES[key].label }));
const sieveOf = (lines: Shelf['lines']): SieveOf<Product> => {
  const names = new Map(lines.map(({ id, name }) => [id, name]));
  return {
    text: ({ name, note, lineId, ingredients }) =>
      [name, note, lineId === null ? '' : names.get(lineId), ingredients].join(' '),
    facts: { use: ({ roles }) => roles },
    sorts: {
      name: (a, b) => byText(a.name, b.name),
      price: (a, b) => byNumber(perMl(a), perMl(b)) || byText(a.name, b.name),
      good: (a, b) => (goodTo(a) ?? '9').localeCompare(goodTo(b) ?? '9') || byText(a.name, b.name),
      used: (a, b) => b.uses - a.uses || byText(a.name, b.name),
    },
  };
};
const NONE: Shelf = { lines: [], products: [] };

export function ShelfScreen() {
  const shelf = useShelf();
  const [archived, setArchived] = useState(false);
  const { lines, products } = shelf.data ?? NONE;
  const here = useMemo(
    () => products.filter((product) => (product.archivedAt !== null) === archived),
    [products, archived],
  );
  const { sieve, set, shown } = useSieve(
    here,
    useMemo(() => sieveOf(lines), [lines]),
    'name',
  );
  const { limit, end } = useGrowing(shown.length);
  // Line by line, as much as is nearly in view.
  const places = useMemo(() => {
    const byLine = new Map<string | null, Product[]>();
    for (const product of shown) byLine.set(product.lineId, [...(byLine.get(product.lineId) ?? []), product]);
    let room = limit;
    return [...lines.map(({ id }) => id), null].map((id) => {
      const own = (byLine.get(id) ?? []).slice(0, Math.max(0, room));
      room -= own.length;
      return own;
    });
  }, [shown, lines, limit]);
  if (shelf.isPending) return <Loading what="the shelf" />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  const narrowed = shown.length < here.length;
  const away = [...products, ...lines].filter(({ archivedAt }) => archivedAt !== null).length;
  return (
    <>
      <Heading
        title="Shelf"
        actions={
          <>
            <ButtonLink to="/shelf/buying">Buying</ButtonLink>
            <ButtonLink to="/shelf/mixes">Home mixes</ButtonLink>
            <ButtonLink to="/shelf/import">Import a file</ButtonLink>
            <LineEditor />
            <ButtonLink look="main" to="/shelf/new">
              Add a product
            </ButtonLink>
          </>
        }
      >
        What can be tested and what is kept the same beside it. A product is archived, never deleted, so that
        old trials keep their words.{' '}
        <a className="underline underline-offset-4" href="/api/shelf.csv" download>
          Export the shelf as CSV
        </a>
      </Heading>
      {(away > 0 || archived) && (
        <Button look="quiet" className="mb-4" onClick={() => setArchived(!archived)}>
          {archived ? 'Back to the shelf' : `Archived: ${away}`}
        </Button>
      )}
      {products.length === 0 && (
        <Nothing
          title="Nothing on the shelf yet"
          action={<ButtonLink to="/shelf/new">Add a product</ButtonLink>}
        >
          Two products for the same use are enough for a first comparison.
        </Nothing>
      )}
      <SieveFields
        sieve={sieve}
        set={set}
        sorts={SORTS}
        facts={{ use: { label: 'Use as', options: USES } }}
        shown={shown.length}
        all={here.length}
      />
      {[...lines.map((line) => ({ key: line.id, line })), { key: 'none', line: null }].map(
        ({ key, line }, i) => (
          <LineShelf
            key={key}
            line={line}
            archived={archived}
            bare={products.every((product) => product.lineId !== line?.id || product.archivedAt !== null)}
            products={places[i]!}
            narrowed={narrowed}
          />
        ),
      )}
      {end}
    </>
  );
}

function LineShelf({
  line,
  archived,
  bare,
  products,
  narrowed,
}: {
  line: Shelf['lines'][number] | null;
  /** Whether what was put away is shown. */
  archived: boolean;
  /** Whether no product of the line stands on the shelf, so that the line itself can be put away. */
  bare: boolean;
  products: readonly Product[];
  /** Whether a search leaves some out: lines without any then say nothing. */
  narrowed: boolean;
}) {
  const lineAway = line !== null && line.archivedAt !== null;
  if (products.length === 0 && (line === null || narrowed || lineAway !== archived)) return null;
  return (
    <section className="mb-8" aria-label={line?.name ?? 'Without a line'}>
      <div className="mb-1 flex flex-wrap items-baseline gap-3">
        <h2 className="text-xl">{line?.name ?? 'Without a line'}</h2>
        {line?.note && <p className="text-sm text-soft">{line.note}</p>}
        {line && line.claims.length > 0 && (
          <p className="text-sm text-soft">
            claims{' '}
            {line.claims
              .map(({ claim, collection }) => (collection ? `${claim} (${collection})` : claim))
              .join(', ')}
          </p>
        )}
        {line && <LineEditor line={line} />}
        {line && (bare || lineAway) && <PutAway what="lines" id={line.id} name={line.name} away={lineAway} />}
      </div>
      {products.length === 0 ? (
        <p className="text-soft">No product of this line here.</p>
      ) : (
        <div
          className="overflow-x-auto"
          tabIndex={0}
          role="region"
          aria-label={`Products: ${line?.name ?? 'without a line'}`}
        >
          <table className="w-full min-w-[46rem] text-left text-[0.95rem]">
            <thead className="text-sm text-soft">
              <tr className="border-b border-rule">
                <th scope="col" className="w-[24%] py-1 pr-4 font-semibold">
                  Product
                </th>
                <th scope="col" className="w-[24%] pr-4 font-semibold">
                  Use as
                </th>
                <th scope="col" className="w-[10%] pr-4 font-semibold">
                  Hold, by label
                </th>
                <th scope="col" className="w-[12%] pr-4 text-right font-semibold">
                  Per 100 ml
                </th>
                <th scope="col" className="w-[18%] pr-4 font-semibold">
                  Bottle
                </th>
                <th scope="col" className="font-semibold">
                  <span className="sr-only">Actions</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {products.map((product) => (
                <ProductRow key={product.id} product={product} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

function ProductRow({ product }: { product: Product }) {
  const settings = useSettings();
  const last = goodUntil(product.openedOn, product.monthsAfterOpening);
  return (
    <tr className="border-b border-rule align-top">
      <th scope="row" className="py-2 pr-4 font-semibold">
        <Link
          to={`/shelf/${product.id}`}
          className="underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
        >
          {product.name}
        </Link>
        {STAKES[product.stake].discloses && (
          <span className="block text-sm font-normal text-mango-deep">{STAKES[product.stake].label}</span>
        )}
      </th>
      <td className="py-2 pr-4">{product.roles.map((role) => ROLES[role].label).join(', ')}</td>
      <td className="py-2 pr-4">{LABEL_HOLDS[product.labelHold].label}</td>
      <td className="py-2 pr-4 text-right">
        {product.price !== null && product.currency !== null && product.sizeMl !== null
          ? showMoney(pricePer100Ml(product.price, product.sizeMl), product.currency)
          : '–'}
        {product.sizeMl !== null && (
          <span className="block text-sm text-soft">{showVolume(product.sizeMl, settings)}</span>
        )}
      </td>
      <td className="py-2 pr-4">
        {product.openedOn === null ? (
          <span className="text-soft">unopened</span>
        ) : last !== null && last < localToday() ? (
          <Tag tone="stop">past {showDate(last)}</Tag>
        ) : (
          <>good until {last === null ? 'unknown' : showDate(last)}</>
        )}
      </td>
      <td className="py-1 text-right">
        <PutAway what="products" id={product.id} name={product.name} away={product.archivedAt !== null} />
      </td>
    </tr>
  );
}
