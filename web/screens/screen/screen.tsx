import type { Product, Shelf } from '@sabor/contract/shelf';
import type { Wearer } from '@sabor/contract/wearer';
import { VERDICTS, type Verdict } from '@sabor/core/ingredients/judge/screen';
import { pricePer100Ml } from '@sabor/core/shelf/price';
import { ROLES, type Role } from '@sabor/core/shelf/products';
import { DAY_MS } from '@sabor/core/time/day';
import { localToday } from '@sabor/core/time/today';
import { counted } from '@sabor/words/numbers';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useOwnIngredients, usePlaceWeather, useShelf, useWearers, useWeather } from '../../api/queries.ts';
import { type Asked, useWhom } from '../../api/whom.ts';
import { useWorked } from '../../api/worked.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { showMoney } from '../../ui/show.ts';
import { Failed, Heading, Loading, Nothing, Tag } from '../../ui/states.tsx';
import { screeningWorker } from '../../workers/screening.ts';
import type { ShelfScreening } from '../../workers/screening.worker.ts';
import { AskedFields } from './asked-fields.tsx';
import { LineSummary } from './line-summary.tsx';
import { Reasons } from './reasons.tsx';
import { RulesTable } from './rules-table.tsx';
import { dewPointAhead, placeNow } from './start-asked.ts';
import { useWeigh } from './use-weigh.ts';

export function ScreeningScreen() {
  const shelf = useShelf();
  const wearers = useWearers();
  if (shelf.isPending || wearers.isPending) return <Loading what="the shelf" />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  if (wearers.isLoadingError) return <Failed error={wearers.error} retry={wearers.refetch} />;
  const heads = wearers.data.filter(({ archivedAt }) => archivedAt === null);
  const products = shelf.data.products.filter(({ archivedAt }) => archivedAt === null);
  return (
    <>
      <Heading
        title="Screen"
        actions={
          <ButtonLink look="main" to="/screen/label">
            Read a label
          </ButtonLink>
        }
      >
        What is worth a trial: every product judged by its list for one head, its weather and its approach.
      </Heading>
      {heads.length === 0 || products.length === 0 ? (
        <Nothing
          title={heads.length === 0 ? 'No head to screen for yet' : 'Nothing on the shelf yet'}
          action={
            heads.length === 0 ? (
              <ButtonLink to="/heads/new">Add a wearer</ButtonLink>
            ) : (
              <ButtonLink to="/shelf/new">Add a product</ButtonLink>
            )
          }
        >
          A label can be read without either: paste it under “Read a label”.
        </Nothing>
      ) : (
        <Grid shelf={shelf.data} products={products} heads={heads} />
      )}
    </>
  );
}

const per100 = ({ price, sizeMl }: Product) =>
  price === null || sizeMl === null ? null : pricePer100Ml(price, sizeMl);

/** Products shown before more are asked for. */
const AT_FIRST = 50;

const SORTS = {
  verdict: { label: 'best first' },
  name: { label: 'name' },
  price: { label: 'price per 100 ml' },
} as const;

function Grid({
  shelf,
  products,
  heads,
}: {
  shelf: Shelf;
  products: readonly Product[];
  heads: readonly Wearer[];
}) {
  const navigate = useNavigate();
  const weather = useWeather();
  const own = useOwnIngredients();
  const [wearerId, setWearer] = useState(heads[0]!.id);
  const wearer = heads.find(({ id }) => id === wearerId) ?? heads[0]!;
  const [asked, setAsked] = useState<Asked>({ dewPointC: null, porosity: null, school: undefined });
  const placeId = placeNow(weather.data, wearerId, localToday());
  const now = useMemo(() => Date.now(), []);
  const air = usePlaceWeather(placeId ?? '', now - DAY_MS, now);
  const touched = useRef(false);
  useEffect(() => {
    if (touched.current || !air.data) return;
    setAsked((old) => ({ ...old, dewPointC: dewPointAhead(air.data.forecast, air.data.readings) }));
  }, [air.data]);
  const { whom, error } = useWhom(wearer, asked);
  const weigh = useWeigh(wearer);
  const { data: found = null, error: broken } = useWorked<ShelfScreening[]>(
    'shelf',
    whom && own.data ? [products, whom, own.data] : null,
    () => screeningWorker().shelf(products as Product[], whom!, own.data!),
    wearerId,
  );
  const [role, setRole] = useState<Role | null>(null);
  const [verdict, setVerdict] = useState<Verdict | null>(null);
  const [line, setLine] = useState<string | null>(null);
  const [words, setWords] = useState('');
  const [limit, setLimit] = useState(AT_FIRST);
  const [sort, setSort] = useState<keyof typeof SORTS>('verdict');
  const [listed, setListed] = useState<ReadonlySet<string>>(new Set());
  if (error ?? broken) return <Failed error={(error ?? broken)!} />;
  const byId = new Map(products.map((product) => [product.id, product]));
  const shown = (found ?? [])
    .flatMap((one) => {
      const product = byId.get(one.productId);
      return product ? [{ product, ...one }] : [];
    })
    .filter(
      ({ product, verdict: given }) =>
        (role === null || product.roles.includes(role)) &&
        (verdict === null || given === verdict) &&
        (line === null || product.lineId === line) &&
        (words.trim() === '' ||
          `${product.name} ${product.ingredients}`.toLowerCase().includes(words.trim().toLowerCase())),
    )
    .sort((a, b) => {
      if (sort === 'name') return a.product.name.localeCompare(b.product.name);
      if (sort === 'price') return (per100(a.product) ?? 1e9) - (per100(b.product) ?? 1e9);
      return b.net - a.net;
    });
  const toTrial = () =>
    void navigate(`/trials/new/plan?products=${[...listed].join(',')}&wearer=${wearerId}`);
  return (
    <>
      <AskedFields
        wearers={heads}
        wearerId={wearerId}
        setWearer={(id) => {
          touched.current = false;
          setWearer(id);
        }}
        asked={asked}
        setAsked={(to) => {
          touched.current = true;
          setAsked(to);
        }}
      />
      <div className="mt-4 grid items-end gap-4 sm:grid-cols-2 lg:grid-cols-5">
        <ChoiceField label="Role" none="every role" options={ROLES} value={role} onChange={setRole} />
        <ChoiceField
          label="Verdict"
          none="every verdict"
          options={VERDICTS}
          value={verdict}
          onChange={setVerdict}
        />
        <ChoiceField
          label="Line"
          none="every line"
          options={shelf.lines
            .filter(({ archivedAt }) => archivedAt === null)
            .map(({ id, name }) => ({ key: id, label: name }))}
          value={line}
          onChange={setLine}
        />
        <TextField label="Search" value={words} onChange={setWords} />
        <ChoiceField label="Sorted by" options={SORTS} value={sort} onChange={(key) => key && setSort(key)} />
      </div>
      {line && found && (
        <LineSummary products={products.filter(({ lineId }) => lineId === line)} found={found} />
      )}
      {found === null ? (
        <Loading what="the reading of every label" />
      ) : shown.length === 0 ? (
        <Nothing title="No product fits these filters">One less.</Nothing>
      ) : (
        <ul aria-label="Products screened" className="mt-6 divide-y divide-rule border-y border-rule">
          {shown.slice(0, limit).map(({ product, verdict: given, reasons, unknown, items }) => (
            <li key={product.id} className="grid gap-x-6 gap-y-1 py-3 lg:grid-cols-[16rem_9rem_1fr_auto]">
              <div>
                <Link
                  to={`/screen/label?product=${product.id}&wearer=${wearerId}`}
                  className="font-semibold underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus"
                >
                  {product.name}
                </Link>
                <p className="text-sm text-soft">
                  {product.roles.map((one) => ROLES[one].label).join(', ')}
                  {per100(product) !== null &&
                    ` · ${showMoney(per100(product)!, product.currency!)} per 100 ml`}
                </p>
              </div>
              <div>
                <Tag wraps tone={VERDICTS[given].tone}>
                  {VERDICTS[given].label}
                </Tag>
              </div>
              <div className="min-w-0">
                {items === 0 ? (
                  <p className="text-soft">No ingredient list: nothing to read.</p>
                ) : (
                  <>
                    {reasons
                      .filter(({ effect }) => effect !== 'note')
                      .slice(0, 2)
                      .map(({ ruleId, says, effect }) => (
                        <p key={ruleId} className="text-[0.95rem]">
                          <span aria-hidden="true" className="figure">
                            {effect === 'for' ? '+' : effect === 'forbids' ? '×' : '−'}
                          </span>{' '}
                          {says}
                        </p>
                      ))}
                    <AllReasons
                      name={product.name}
                      reasons={reasons}
                      unknown={unknown.length}
                      weigh={weigh}
                    />
                  </>
                )}
              </div>
              <label className="flex min-h-10 items-center gap-2 self-start text-sm">
                <input
                  type="checkbox"
                  className="size-4 accent-ink"
                  checked={listed.has(product.id)}
                  onChange={(e) => {
                    const next = new Set(listed);
                    if (e.target.checked) next.add(product.id);
                    else next.delete(product.id);
                    setListed(next);
                  }}
                />
                Shortlist<span className="sr-only"> {product.name}</span>
              </label>
            </li>
          ))}
        </ul>
      )}
      {shown.length > limit && (
        <Button className="mt-4" onClick={() => setLimit(limit + AT_FIRST)}>
          Show {Math.min(AT_FIRST, shown.length - limit)} more of {shown.length.toLocaleString('en')}
        </Button>
      )}
      {listed.size > 0 && (
        <div className="sticky bottom-24 mt-4 flex flex-wrap items-center gap-4 rounded-tag bg-ink px-4 py-3 text-paper sm:bottom-4">
          <p>
            {listed.size} on the shortlist{listed.size < 2 ? ': a trial needs two' : ''}
          </p>
          <Button disabled={listed.size < 2} onClick={toTrial}>
            Plan a trial of these
          </Button>
          <Button look="quiet" className="text-paper!" onClick={() => setListed(new Set())}>
            Clear
          </Button>
        </div>
      )}
      <RulesTable wearer={wearer} />
      <p className="mt-6 text-sm text-soft">
        Rules of practice, not medicine. Patch-test anything new and wait 48 hours; the label, the law and
        licensed professionals come first.
      </p>
    </>
  );
}

/** The reasons in full, drawn only once they are asked for. */
function AllReasons({
  name,
  reasons,
  unknown,
  weigh,
}: {
  name: string;
  reasons: ShelfScreening['reasons'];
  unknown: number;
  weigh: (ruleId: string, weight: number) => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-8 cursor-pointer py-1 text-sm font-semibold">
        All {reasons.length} reasons
        <span className="sr-only"> on {name}</span>
        {unknown > 0 && `, ${counted(unknown, 'name')} unknown`}
      </summary>
      {open && (
        <div className="mt-2">
          <Reasons reasons={reasons} weigh={weigh} />
        </div>
      )}
    </details>
  );
}
