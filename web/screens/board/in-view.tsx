import type { Product, Shelf } from '@sabor/contract/shelf';
import type { Wearer } from '@sabor/contract/wearer';
import { type BoardTrial, type BoardView, meanDewPoint } from '@sabor/core/board/read';
import { VERDICTS, type Verdict } from '@sabor/core/ingredients/judge/screen';
import { ROLES, type Role } from '@sabor/core/shelf/products';
import { plusMonths } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { useMemo, useState } from 'react';
import { useHairFile, useOwnIngredients, useSettings, useShelf } from '../../api/queries.ts';
import { useWhom } from '../../api/whom.ts';
import { useWorked } from '../../api/worked.ts';
import { Button } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { showMoney, showTemperature } from '../../ui/show.ts';
import { screeningWorker } from '../../workers/screening.ts';
import type { ShelfScreening } from '../../workers/screening.worker.ts';

/** What the address says of the view, each part on its own. */
export const VIEW_KEYS = ['line', 'kind', 'price', 'screened', 'since', 'air'] as const;
type ViewKey = (typeof VIEW_KEYS)[number];

const SINCE = [
  ['', 'ever'],
  ['3', 'in the last 3 months'],
  ['6', 'in the last 6 months'],
  ['12', 'in the last year'],
] as const;

/** What the screening says of each product for a head in an air; nothing is screened until it is asked for. */
function useScreened(wearer: Wearer, shelf: Shelf | undefined, wanted: boolean, dewPointC: number | null) {
  const own = useOwnIngredients();
  const asked = useMemo(() => ({ dewPointC, porosity: null, school: undefined }), [dewPointC]);
  const { whom } = useWhom(wearer, asked);
  const products = shelf?.products;
  return useWorked<ShelfScreening[]>(
    'shelf',
    wanted && whom && own.data && products ? [products, whom, own.data] : null,
    () => screeningWorker().shelf(products as Product[], whom!, own.data!),
  );
}

/** A board's view as the address asks for it; null while the screening it goes by is on its way, which may fail. */
export function useView(
  wearer: Wearer,
  search: URLSearchParams,
  trials: readonly BoardTrial[],
): { view: BoardView | null; screenedAt: number | null; error: Error | null } {
  const shelf = useShelf().data;
  const { dewPointBands } = useSettings();
  const wishes = useHairFile(wearer.id).data?.wishes;
  const [budget, currency] = [wishes?.budget ?? null, wishes?.currency ?? null];
  const asked = (key: ViewKey) => search.get(key) ?? '';
  const [line, kind, price, screened, since, air] = VIEW_KEYS.map(asked) as [
    string,
    string,
    string,
    string,
    string,
    string,
  ];
  const inAir = useMemo((): BoardView['air'] => {
    const at = dewPointBands.findIndex(({ label }) => label === air);
    if (at < 0) return null;
    return {
      from: dewPointBands[at - 1]?.below ?? Number.NEGATIVE_INFINITY,
      to: dewPointBands[at]!.below ?? Number.POSITIVE_INFINITY,
    };
  }, [dewPointBands, air]);
  // Screened for the air that the wash days in view met.
  const screenedAt = useMemo(() => meanDewPoint(trials, inAir), [trials, inAir]);
  const { data: verdicts, error } = useScreened(wearer, shelf, screened !== '', screenedAt);
  const view = useMemo((): BoardView | null => {
    if (!shelf || (screened !== '' && !verdicts)) return null;
    const given = new Map((verdicts ?? []).map(({ productId, verdict }) => [productId, verdict]));
    const passes = (product: Product) =>
      (line === '' || product.lineId === line) &&
      (kind === '' || product.roles.includes(kind as Role)) &&
      (price === '' ||
        budget === null ||
        (product.price !== null && product.currency === currency && product.price <= budget)) &&
      (screened === '' || given.get(product.id) === screened);
    return {
      productIds:
        line || kind || screened || (price && budget !== null)
          ? shelf.products.filter(passes).map(({ id }) => id)
          : null,
      since: since === '' ? null : plusMonths(localToday(), -(Number(since) || 0)),
      air: inAir,
    };
  }, [shelf, verdicts, line, kind, price, screened, since, inAir, budget, currency]);
  return { view, screenedAt, error };
}

/** What of the board is looked at: by line, kind, price, screening, when it was last worn, and the air. */
export function InView({
  wearer,
  search,
  set,
  products,
  screenedAt,
  shown,
  of,
}: {
  wearer: Wearer;
  search: URLSearchParams;
  set: (to: Record<string, string | null>) => void;
  /** The products that stand on the board. */
  products: readonly Product[];
  /** The dew point they are screened for, °C; null for no particular air. */
  screenedAt: number | null;
  shown: number;
  of: number;
}) {
  const lines = useShelf().data?.lines ?? [];
  const settings = useSettings();
  const { dewPointBands } = settings;
  const wishes = useHairFile(wearer.id).data?.wishes;
  const own = lines.filter(({ id }) => products.some(({ lineId }) => lineId === id));
  const kinds = [...new Set(products.flatMap(({ roles }) => roles))];
  const change = (key: ViewKey) => (to: string) => set({ [key]: to || null, pair: null, against: null });
  const some = VIEW_KEYS.some((key) => search.get(key));
  const [open, setOpen] = useState(some);
  const chosen = (key: ViewKey) => search.get(key) ?? '';
  return (
    <details className="no-print mb-5" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">
        {some ? `In view: ${shown} of ${of}` : `In view: all ${of}`}
      </summary>
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        <InlineChoice
          label="Line"
          value={chosen('line')}
          onChange={change('line')}
          options={[['', 'any'], ...own.map(({ id, name }) => [id, name] as const)]}
        />
        <InlineChoice
          label="Kind"
          value={chosen('kind')}
          onChange={change('kind')}
          options={[['', 'any'], ...kinds.map((role) => [role, ROLES[role].label] as const)]}
        />
        {wishes?.budget != null && wishes.currency && (
          <InlineChoice
            label="Price"
            value={chosen('price')}
            onChange={change('price')}
            options={[
              ['', 'any'],
              ['budget', `within ${showMoney(wishes.budget, wishes.currency)} a product`],
            ]}
          />
        )}
        <InlineChoice
          label="Screened as"
          value={chosen('screened')}
          onChange={change('screened')}
          options={[
            ['', 'anything'],
            ...(Object.keys(VERDICTS) as Verdict[]).map((key) => [key, VERDICTS[key].label] as const),
          ]}
        />
        <InlineChoice
          label="Worn in a trial"
          value={chosen('since')}
          onChange={change('since')}
          options={SINCE}
        />
        <InlineChoice
          label="Air"
          value={chosen('air')}
          onChange={change('air')}
          options={[
            ['', 'any'],
            ...dewPointBands.map(({ label }) => [label, `${label} wash days alone`] as const),
          ]}
        />
        {some && (
          <Button
            look="quiet"
            onClick={() =>
              set(Object.fromEntries([...VIEW_KEYS, 'pair', 'against'].map((key) => [key, null])))
            }
          >
            All of it
          </Button>
        )}
      </div>
      {some && (
        <p className="mt-1 text-sm text-soft">
          Who is first is told among these alone. The others still count as what joins them.
          {chosen('screened') &&
            (screenedAt === null
              ? ' Screened for no particular air: none of the wash days has its weather.'
              : ` Screened for a dew point of ${showTemperature(screenedAt, settings)}, what these wash days met on average.`)}
        </p>
      )}
    </details>
  );
}
