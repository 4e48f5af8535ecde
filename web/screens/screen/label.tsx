import { type Product, ProductInput, type Shelf } from '@sabor/contract/shelf';
import type { Wearer } from '@sabor/contract/wearer';
import { MARKETS, type Market } from '@sabor/core/ingredients/formula';
import { ROLES, type Role } from '@sabor/core/shelf/products';
import { DAY_MS } from '@sabor/core/time/day';
import { localToday } from '@sabor/core/time/today';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import * as v from 'valibot';
import {
  useChange,
  useOwnIngredients,
  usePlaceWeather,
  useSettings,
  useShelf,
  useWearers,
  useWeather,
} from '../../api/queries.ts';
import { type Asked, useWhom } from '../../api/whom.ts';
import { useWorked } from '../../api/worked.ts';
import { ShareBars } from '../../drawings/share-bars.tsx';
import { patch, put } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { ChoiceField, TextField, TicksField } from '../../ui/inputs.tsx';
import { showShare } from '../../ui/show.ts';
import { Failed, Heading, Loading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { screeningWorker } from '../../workers/screening.ts';
import type { LabelReading } from '../../workers/screening.worker.ts';
import { AskedFields } from './asked-fields.tsx';
import { Claims } from './claims.tsx';
import { ItemEditor } from './item-editor.tsx';
import { Judged } from './judged.tsx';
import { dewPointAhead, placeNow } from './start-asked.ts';
import { UnknownNames } from './unknown-names.tsx';

export function LabelScreen() {
  const [search] = useSearchParams();
  const shelf = useShelf();
  const wearers = useWearers();
  if (shelf.isPending || wearers.isPending) return <Loading what="the shelf" />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  if (wearers.isLoadingError) return <Failed error={wearers.error} retry={wearers.refetch} />;
  const product = shelf.data.products.find(({ id }) => id === search.get('product'));
  const heads = wearers.data.filter(({ archivedAt }) => archivedAt === null);
  return (
    <Reader
      key={product?.id ?? 'paste'}
      product={product}
      shelf={shelf.data}
      heads={heads}
      asWearer={search.get('wearer')}
    />
  );
}

const KEPT = 'sabor label';

/** A label pasted or from the shelf: what it is, how much of what, for which hair and weather, and who would object. */
function Reader({
  product,
  shelf,
  heads,
  asWearer,
}: {
  product: Product | undefined;
  shelf: Shelf;
  heads: readonly Wearer[];
  asWearer: string | null;
}) {
  const say = useSay();
  const { market } = useSettings();
  const own = useOwnIngredients();
  const [text, setText] = useState(product?.ingredients ?? sessionStorage.getItem(KEPT) ?? '');
  const [roles, setRoles] = useState<Role[]>(product?.roles ?? ['gel']);
  const [which, setWhich] = useState<number | null>(null);
  const [wearerId, setWearer] = useState(asWearer ?? heads[0]?.id ?? '');
  const [asked, setAsked] = useState<Asked>({ dewPointC: null, porosity: null, school: undefined });
  const [reading, setReading] = useState<LabelReading | null>(null);
  const wearer = heads.find(({ id }) => id === wearerId);
  const weather = useWeather();
  const placeId = placeNow(weather.data, wearerId, localToday());
  const now = useMemo(() => Date.now(), []);
  const air = usePlaceWeather(placeId ?? '', now - DAY_MS, now);
  useEffect(() => {
    if (air.data)
      setAsked((old) => ({
        ...old,
        dewPointC: old.dewPointC ?? dewPointAhead(air.data.forecast, air.data.readings),
      }));
  }, [air.data]);
  useEffect(() => {
    if (product) return;
    try {
      sessionStorage.setItem(KEPT, text);
    } catch {
      sessionStorage.removeItem(KEPT);
    }
  }, [text, product]);
  const save = useChange((input: Product) =>
    put(`/products/${input.id}`, v.parse(ProductInput, input), input.version),
  );
  const setMarket = useChange((to: Market) => patch('/settings', { market: to }));
  const keep = () => {
    if (!product) return;
    const before = product;
    save.mutateAsync({ ...product, ingredients: text }).then(
      () => say('The list is saved.', () => save.mutate(before)),
      (error: Error) => say(error.message),
    );
  };
  return (
    <>
      <Heading
        kicker={
          <Link className="underline underline-offset-4" to="/screen">
            Screen
          </Link>
        }
        title={product ? product.name : 'Read a label'}
        actions={
          product && text !== product.ingredients ? (
            <Button look="main" onClick={keep}>
              Save the list
            </Button>
          ) : product ? (
            <ButtonLink to={`/shelf/${product.id}`}>The product</ButtonLink>
          ) : undefined
        }
      >
        {product
          ? roles.map((role) => ROLES[role].label).join(', ')
          : 'Paste the list as it stands on the bottle, or from a shop’s page.'}
      </Heading>
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_1fr]">
        <TextField label="Ingredient list" rows={7} value={text} onChange={setText} />
        <div className="space-y-4">
          <TicksField<Role> legend="It is used as" options={ROLES} value={roles} onChange={setRoles} />
          <ChoiceField
            label="Labelled for"
            options={MARKETS}
            value={market}
            onChange={(key) => key && setMarket.mutate(key)}
            hint={MARKETS[market].says}
          />
        </div>
      </div>
      {reading && reading.parsed.lists.length > 1 && (
        <ChoiceField
          className="mt-3 max-w-80"
          label="Which list"
          options={reading.parsed.lists.map((label, i) => ({ key: String(i), label }))}
          value={String(reading.parsed.which)}
          onChange={(key) => setWhich(key === null ? null : Number(key))}
        />
      )}
      {wearer && (
        <div className="mt-5">
          <AskedFields
            wearers={heads}
            wearerId={wearer.id}
            setWearer={setWearer}
            asked={asked}
            setAsked={setAsked}
          />
        </div>
      )}
      {wearer ? (
        <ReadFor
          {...{ text, which, roles, market, wearer, asked, shelf, setReading }}
          own={own.data ?? null}
          exclude={product?.id ?? null}
        />
      ) : (
        <ReadAlone
          {...{ text, which, roles, market, shelf, setReading }}
          own={own.data ?? null}
          exclude={product?.id ?? null}
        />
      )}
      {reading === null ? (
        <Loading what="the label" />
      ) : (
        <Found reading={reading} wearer={wearer ?? null} shelf={shelf} text={text} setText={setText} />
      )}
    </>
  );
}

interface ToRead {
  text: string;
  which: number | null;
  roles: Role[];
  market: Market;
  shelf: Shelf;
  own: Parameters<ReturnType<typeof screeningWorker>['label']>[5] | null;
  exclude: string | null;
  setReading: (reading: LabelReading) => void;
}

/** Reads the label off the page's thread whenever something it rests on changes. */
function useReading(
  { text, which, roles, market, shelf, own, exclude, setReading }: ToRead,
  whom: Parameters<ReturnType<typeof screeningWorker>['label']>[4],
  ready: boolean,
) {
  const late = useDeferredValue(text);
  const { data, error } = useWorked<LabelReading>(
    'label',
    ready && own !== null ? [late, which, roles, market, shelf, own, exclude, whom] : null,
    () =>
      screeningWorker().label(
        late,
        which,
        roles,
        market,
        whom,
        own!,
        shelf.products.filter(({ id, archivedAt }) => id !== exclude && archivedAt === null),
      ),
  );
  useEffect(() => {
    if (data) setReading(data);
  }, [data, setReading]);
  return error;
}

function ReadFor({ wearer, asked, ...rest }: ToRead & { wearer: Wearer; asked: Asked }) {
  const { whom, error } = useWhom(wearer, asked);
  const broken = useReading(rest, whom, whom !== null);
  const problem = error ?? broken;
  return problem ? <Failed part error={problem} /> : null;
}

function ReadAlone(rest: ToRead) {
  const broken = useReading(rest, null, true);
  return broken ? <Failed part error={broken} /> : null;
}

function Found({
  reading,
  wearer,
  shelf,
  text,
  setText,
}: {
  reading: LabelReading;
  wearer: Wearer | null;
  shelf: Shelf;
  text: string;
  setText: (text: string) => void;
}) {
  const { parsed, formula, screening, claims, alike } = reading;
  return (
    <div className="mt-6 space-y-8">
      {(parsed.says.length > 0 || formula.conflict) && (
        <ul className="border-l-4 border-mango pl-4" aria-label="About this paste">
          {parsed.says.map((says) => (
            <li key={says}>{says}</li>
          ))}
          {formula.conflict && <li className="font-semibold text-brick">{formula.conflict}</li>}
        </ul>
      )}
      {parsed.notes.length > 0 && (
        <p className="max-w-4xl text-sm text-soft">
          Not read as ingredients: {parsed.notes.map((note) => `“${note}”`).join(' ')}
        </p>
      )}
      {formula.items.length > 0 && (
        <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[1.15fr_1fr]">
          <div className="min-w-0 space-y-8">
            <section aria-labelledby="shares">
              <h2 id="shares" className="mb-2 text-xl">
                How much of what
              </h2>
              <ShareBars items={formula.items} line={formula.line} />
              {parsed.lists.length <= 1 && (
                <ItemEditor items={parsed.items} read={reading.text} setText={setText} text={text} />
              )}
            </section>
            <UnknownNames suggestions={reading.suggestions} text={text} setText={setText} />
          </div>
          <div className="min-w-0 space-y-8">
            {screening && wearer && <Judged screening={screening} wearer={wearer} />}
            <Claims claims={claims} />
            {alike.length > 0 && (
              <section aria-labelledby="alike">
                <h2 id="alike" className="mb-2 text-xl">
                  Nearest on the shelf
                </h2>
                <ul className="space-y-2">
                  {alike.map((one) => (
                    <li key={one.productId} className="text-[0.95rem]">
                      <Link
                        className="font-semibold underline underline-offset-4"
                        to={`/screen/label?product=${one.productId}`}
                      >
                        {shelf.products.find(({ id }) => id === one.productId)?.name}
                      </Link>{' '}
                      {showShare(one.alike)} alike{one.sameBase && ': the same base, another scent or colour'}
                      <span className="block text-sm text-soft">
                        only there: {one.onlyThere.slice(0, 4).join(', ') || 'nothing'} · only here:{' '}
                        {one.onlyHere.slice(0, 4).join(', ') || 'nothing'}
                      </span>
                    </li>
                  ))}
                </ul>
              </section>
            )}
          </div>
        </div>
      )}
    </div>
  );
}
