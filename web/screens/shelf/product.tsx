import { INGREDIENTS_LIMIT, type Product, ProductInput, type Shelf } from '@sabor/contract/shelf';
import { piecesOf } from '@sabor/core/ingredients/label/sections';
import { pricePer100Ml } from '@sabor/core/shelf/price';
import { LABEL_HOLDS, ROLES, type Role, STAKES } from '@sabor/core/shelf/products';
import { volumeScale } from '@sabor/core/units/preferences';
import { lazy, Suspense, useMemo } from 'react';
import { useLocation, useParams } from 'react-router';
import { v7 } from 'uuid';
import { useSave, useSettings, useSettingsKnown, useShelf } from '../../api/queries.ts';
import { DateField } from '../../ui/dates.tsx';
import { useDraft } from '../../ui/draft.ts';
import { useGoOn } from '../../ui/go-on.ts';
import { ChoiceField, NumberField, TextField, TicksField } from '../../ui/inputs.tsx';
import { SheetFoot } from '../../ui/sheet-foot.tsx';
import { showMoney } from '../../ui/show.ts';
import { Caution, Failed, Heading, Loading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { LabelFacts } from './label-facts.tsx';

/** Fetched with the dictionary it corrects by, when the page is there. */
const ReadLabel = lazy(() => import('./read-label.tsx'));

export function ProductScreen() {
  const { id = 'new' } = useParams();
  // Another new one is a sheet of its own.
  const { key } = useLocation();
  const shelf = useShelf();
  const settingsKnown = useSettingsKnown();
  if (shelf.isPending || !settingsKnown) return <Loading what="the product" />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  const product = shelf.data.products.find((known) => known.id === id);
  if (id !== 'new' && !product)
    return (
      <Failed error={new Error('Sabor has no such product. It may have been opened from an old link.')} />
    );
  return <ProductSheet key={id === 'new' ? `new ${key}` : id} shelf={shelf.data} product={product} />;
}

function blank(currency: string): ProductInput {
  return {
    id: v7(),
    lineId: null,
    name: '',
    roles: [],
    sizeMl: null,
    price: null,
    currency,
    labelHold: 'silent',
    ingredients: '',
    labelDirections: null,
    stake: 'bought',
    openedOn: null,
    monthsAfterOpening: 12,
    note: '',
    heatLimitC: null,
    applications: null,
    edition: '',
    collection: '',
    packaging: null,
    claims: [],
    prices: [],
  };
}

function ProductSheet({ shelf, product }: { shelf: Shelf; product: Product | undefined }) {
  const settings = useSettings();
  const leave = useGoOn();
  const say = useSay();
  const initial = useMemo<ProductInput>(() => {
    if (!product) return blank(settings.currency);
    const {
      archivedAt: _archived,
      uses: _uses,
      calibrations: _calibrations,
      version: _version,
      editions: _editions,
      bottles: _bottles,
      pictures: _pictures,
      ...input
    } = product;
    return input;
  }, [product, settings.currency]);
  const draft = useDraft(`product ${product?.id ?? 'new'}`, ProductInput, initial, product?.version ?? null);
  const save = useSave<ProductInput>(`/products/${initial.id}`);
  const { value, bind, set, problem } = draft;
  const items = useMemo(
    () => (value.ingredients.length > INGREDIENTS_LIMIT ? [] : piecesOf(value.ingredients)),
    [value.ingredients],
  );
  const per100 =
    value.price !== null && value.sizeMl !== null && value.price >= 0 && value.sizeMl > 0
      ? pricePer100Ml(value.price, value.sizeMl)
      : null;
  return (
    <form
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        const { submitter } = event.nativeEvent as SubmitEvent;
        const another = submitter?.getAttribute('value') === 'another';
        const goOn = leave();
        if (!(await draft.save(save))) return;
        say(`${value.name} is saved.`);
        goOn(another ? '/shelf/new' : product ? `/shelf/${product.id}` : '/shelf');
      }}
    >
      <Heading kicker="Shelf" title={product ? product.name : 'A new product'}>
        {product && product.uses > 0 && <>Named in {product.uses} steps of routines, trials and wash days.</>}
      </Heading>
      <div className="grid gap-x-10 gap-y-5 lg:grid-cols-2">
        <div className="space-y-5">
          <TextField label="Name" {...bind('name')} />
          <ChoiceField
            label="Line"
            none="no line"
            value={value.lineId}
            onChange={set('lineId')}
            options={shelf.lines
              .filter((line) => line.archivedAt === null || line.id === value.lineId)
              .map((line) => ({ key: line.id, label: line.name }))}
            error={problem('lineId')}
          />
          <TicksField<Role>
            legend="Use as"
            options={ROLES}
            value={value.roles as Role[]}
            onChange={set('roles')}
            error={problem('roles')}
          />
          <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
            <NumberField label="Size" scale={volumeScale(settings.volume)} {...bind('sizeMl')} />
            <NumberField label="Price" {...bind('price')} />
            <TextField
              label="Currency"
              value={value.currency ?? ''}
              onChange={(text) => set('currency')(text.toUpperCase() || null)}
              error={problem('currency')}
            />
          </div>
          <p className="text-soft" aria-live="polite">
            {per100 !== null && value.currency ? (
              <>
                <span className="figure text-ink">{showMoney(per100, value.currency)}</span> per 100 ml
              </>
            ) : (
              'Price and size give the price per 100 ml.'
            )}
          </p>
          <div className="grid gap-4 sm:grid-cols-2">
            <ChoiceField
              label="Hold, by the label"
              options={LABEL_HOLDS}
              value={value.labelHold}
              onChange={(key) => key && set('labelHold')(key)}
            />
            <ChoiceField
              label="Bought, gifted or paid for?"
              hint="Shown beside every comparison it is in."
              options={STAKES}
              value={value.stake}
              onChange={(key) => key && set('stake')(key)}
            />
            <DateField
              label="Opened on"
              hint="Empty while unopened."
              value={value.openedOn ?? ''}
              onChange={(text) => set('openedOn')(text || null)}
              error={problem('openedOn')}
            />
            <NumberField label="Period after opening" unit="months" {...bind('monthsAfterOpening')} />
          </div>
          <LabelFacts
            value={value}
            set={set}
            problem={problem}
            line={shelf.lines.find(({ id }) => id === value.lineId)}
          />
        </div>
        <div className="space-y-5">
          <TextField
            label="Ingredients, as on the label"
            hint="Stored whole, as you paste it."
            rows={7}
            {...bind('ingredients')}
          />
          <Suspense fallback={null}>
            <ReadLabel had={value.ingredients} use={set('ingredients')} />
          </Suspense>
          {items.length > 0 && (
            <details>
              <summary className="cursor-pointer text-sm font-semibold">
                Split into {items.length} items
              </summary>
              <ol className="mt-1 columns-2 gap-6 text-sm">
                {items.map((item, i) => (
                  <li key={i} className="break-inside-avoid">
                    <span className="text-soft">{i + 1}</span> {item}
                  </li>
                ))}
              </ol>
            </details>
          )}
          <TextField
            label="Label directions"
            hint="Leave empty where the label is silent."
            rows={2}
            value={value.labelDirections ?? ''}
            onChange={(text) => set('labelDirections')(text || null)}
            error={problem('labelDirections')}
          />
          <TextField
            label="Note"
            rows={2}
            value={value.note ?? ''}
            onChange={set('note')}
            error={problem('note')}
          />
          <Caution>
            New to this wearer? Patch-test on the inner arm and wait 48 hours. Stop at burning, hives or
            swelling and see a doctor. Past its period after opening, or changed in smell, colour or texture:
            do not use it. The label comes first.
          </Caution>
        </div>
      </div>
      <SheetFoot
        draft={draft}
        save="Save the product"
        another={product ? undefined : 'Save and add another'}
        back={
          product
            ? { to: `/shelf/${product.id}`, label: 'Back to the product' }
            : { to: '/shelf', label: 'Back to the shelf' }
        }
      />
    </form>
  );
}
