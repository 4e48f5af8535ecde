import type { Product, Shelf } from '@sabor/contract/shelf';
import type { Verdict } from '@sabor/contract/verdict';
import { pricePer100Ml } from '@sabor/core/shelf/price';
import { LABEL_HOLDS, PACKAGINGS, PRICE_KINDS, ROLES, STAKES } from '@sabor/core/shelf/products';
import { placeAmong } from '@sabor/core/verdict/place';
import { VERDICT_STEPS, type VerdictStep } from '@sabor/core/verdict/words-of-verdict';
import { doseInWords } from '@sabor/words/dose';
import { counted, temperature } from '@sabor/words/numbers';
import { placeInWords, versusInWords } from '@sabor/words/verdict-card';
import { Link, useParams } from 'react-router';
import { useSettings, useShelf } from '../../api/queries.ts';
import { useEvidence, useUsed, useVerdicts } from '../../api/verdicts.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { showDate, showMoney, showVolume } from '../../ui/show.ts';
import { Failed, Heading, Loading } from '../../ui/states.tsx';
import { Memos } from '../memos/list.tsx';
import { VerdictCard } from '../verdict/card.tsx';
import { Bottles } from './bottles.tsx';
import { Calibrate } from './calibrate.tsx';
import { HearsayPart } from './hearsay.tsx';
import { Pictures } from './pictures.tsx';

/** A product: what is known of it. Editing is a second step. */
export function KnownScreen() {
  const { id = '' } = useParams();
  const shelf = useShelf();
  const verdicts = useVerdicts();
  const used = useUsed(id);
  if (shelf.isPending || verdicts.isPending || used.isPending) return <Loading what="the product" />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  const product = shelf.data.products.find((known) => known.id === id);
  if (!product)
    return (
      <Failed error={new Error('Sabor has no such product. It may have been opened from an old link.')} />
    );
  if (verdicts.isLoadingError) return <Failed error={verdicts.error} retry={verdicts.refetch} />;
  const own = verdicts.data.filter(
    ({ subject, archivedAt }) =>
      archivedAt === null && subject.kind === 'product' && subject.productId === product.id,
  );
  const onHeads = [
    ...new Map(
      (used.data?.trials ?? []).map(({ wearerId, wearerName, slot }) => [
        `${wearerId} ${slot}`,
        { wearerId, wearerName, slot },
      ]),
    ).values(),
  ];
  return (
    <>
      <Heading
        kicker={lineOf(shelf.data, product)}
        title={product.name}
        actions={
          <>
            <ButtonLink look="main" to={`/verdicts/new?product=${product.id}`}>
              Write a verdict
            </ButtonLink>
            <ButtonLink to={`/shelf/${product.id}/edit`}>Edit</ButtonLink>
          </>
        }
      >
        {product.roles.map((role) => ROLES[role].label).join(', ')}
        {product.archivedAt && ' · archived'}
      </Heading>
      <div className="grid *:min-w-0 gap-x-12 gap-y-10 lg:grid-cols-[1.4fr_1fr]">
        <div className="space-y-10">
          <Verdicts own={own} all={verdicts.data} product={product} shelf={shelf.data} />
          {onHeads.length > 0 && (
            <section aria-labelledby="trials-say">
              <h2 id="trials-say" className="text-xl">
                What the trials say
              </h2>
              <div className="mt-2 space-y-5">
                {onHeads.map((one) => (
                  <OnHead key={`${one.wearerId} ${one.slot}`} product={product} shelf={shelf.data} {...one} />
                ))}
              </div>
            </section>
          )}
          {used.isLoadingError && <Failed error={used.error} retry={used.refetch} />}
          {used.data && (
            <section aria-labelledby="used">
              <h2 id="used" className="text-xl">
                Where it was used
              </h2>
              {used.data.trials.length > 0 && (
                <ul className="my-2">
                  {used.data.trials.map(({ trialId, question, wearerName, status }) => (
                    <li key={trialId} className="border-b border-rule py-1">
                      <Link className="underline-offset-4 hover:underline" to={`/trials/${trialId}`}>
                        {question}
                      </Link>
                      <span className="block text-sm text-soft">
                        {wearerName} · {status}
                      </span>
                    </li>
                  ))}
                </ul>
              )}
              {used.data.count === 0 ? (
                <p className="text-soft">On no wash day yet.</p>
              ) : (
                <details>
                  <summary className="min-h-10 cursor-pointer py-2 font-semibold">
                    {counted(used.data.count, 'wash day')} with it
                  </summary>
                  <ul>
                    {used.data.washDays.map(({ washDayId, on, wearerName, slot, tested, dose }) => (
                      <li key={`${washDayId} ${slot}`} className="border-b border-rule py-1">
                        <Link className="underline underline-offset-4" to={`/wash-days/${washDayId}`}>
                          {showDate(on)}
                        </Link>{' '}
                        {wearerName}, {VERDICT_STEPS[slot].label.toLowerCase()},{' '}
                        {tested ? 'tested' : 'kept the same'}
                        {dose && `, ${doseInWords(dose)}`}
                      </li>
                    ))}
                  </ul>
                  {used.data.count > used.data.washDays.length && (
                    <p className="text-sm text-soft">The latest {used.data.washDays.length} are listed.</p>
                  )}
                </details>
              )}
            </section>
          )}
          <HearsayPart product={product} />
        </div>
        <div>
          <Facts product={product} shelf={shelf.data} />
          <Pictures product={product} />
          <Bottles product={product} />
          <Calibrate product={product} />
          <Memos of={{ kind: 'product', id: product.id }} />
        </div>
      </div>
    </>
  );
}

const lineOf = ({ lines }: Shelf, { lineId }: Product) =>
  lines.find(({ id }) => id === lineId)?.name ?? 'Shelf';

/** Verdicts head by head, the newest saying of each, and the tester's own place among its kind. */
function Verdicts({
  own,
  all,
  product,
  shelf,
}: {
  own: readonly Verdict[];
  all: readonly Verdict[];
  product: Product;
  shelf: Shelf;
}) {
  const scores = all.flatMap(({ subject, said, archivedAt }) => {
    const score = said[0]?.content.score ?? null;
    if (subject.kind !== 'product' || score === null || archivedAt !== null) return [];
    const roles = shelf.products.find(({ id }) => id === subject.productId)?.roles ?? [];
    return [{ productId: subject.productId, roles, score }];
  });
  const place = placeAmong(scores, product.id);
  return (
    <section aria-labelledby="verdicts">
      <h2 id="verdicts" className="text-xl">
        Verdicts
      </h2>
      {own.length === 0 ? (
        <p className="text-soft">
          None yet. It may be written at any time; without a trial it is an impression.
        </p>
      ) : (
        <ul className="mt-2 space-y-8">
          {own.map(({ id, wearerName, slot, said }) => (
            <li key={id} className="border-l-4 border-hibiscus pl-5">
              <h3 className="text-base">
                <Link className="underline-offset-4 hover:underline" to={`/verdicts/${id}`}>
                  {VERDICT_STEPS[slot].label} on {wearerName}
                </Link>
              </h3>
              {said[0] && <VerdictCard isWay={false} said={said[0]} />}
              {said.length > 1 && (
                <p className="text-sm">
                  <Link className="underline underline-offset-4" to={`/verdicts/${id}`}>
                    {counted(said.length - 1, 'earlier saying')}
                  </Link>
                </p>
              )}
            </li>
          ))}
        </ul>
      )}
      {place && (
        <p className="mt-3 text-soft">
          {placeInWords(place)} By your scores alone: the{' '}
          <Link className="underline underline-offset-4" to="/board">
            board
          </Link>{' '}
          knows of trials alone.
        </p>
      )}
    </section>
  );
}

/** What one head's trials say of it in one step. */
function OnHead({
  product,
  shelf,
  wearerId,
  wearerName,
  slot,
}: {
  product: Product;
  shelf: Shelf;
  wearerId: string;
  wearerName: string;
  slot: VerdictStep;
}) {
  const { data, error } = useEvidence(wearerId, slot, product.id);
  const nameOf = (id: string) => shelf.products.find((one) => one.id === id)?.name ?? 'a removed product';
  return (
    <div>
      <h3 className="text-base">
        <Link className="underline-offset-4 hover:underline" to={`/board?head=${wearerId}&role=${slot}`}>
          {VERDICT_STEPS[slot].label} on {wearerName}
        </Link>
      </h3>
      {error ? (
        <p role="alert">{error.message}</p>
      ) : data === undefined ? (
        <p className="text-soft">Reading …</p>
      ) : data === null ? (
        <p className="text-soft">No finished trial of it counts yet.</p>
      ) : (
        <ul>
          <li className="text-soft">
            {[
              `${counted(data.trials.length, 'trial')}, ${counted(data.washDays, 'wash day')}`,
              data.dose ? `at ${doseInWords(data.dose)}` : null,
              data.goodDays
                ? `${data.goodDays.value.toFixed(1)} good days, counted to day ${data.goodDays.to}`
                : null,
              data.costPerGoodDay !== null && data.currency
                ? `${showMoney(data.costPerGoodDay, data.currency)} a good day`
                : null,
            ]
              .filter(Boolean)
              .join(' · ')}
          </li>
          {versusInWords(data, nameOf).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** What label, receipt and shelf say of it. */
function Facts({ product, shelf }: { product: Product; shelf: Shelf }) {
  const settings = useSettings();
  const { price, currency, sizeMl } = product;
  const line = shelf.lines.find(({ id }) => id === product.lineId);
  const claims = [
    ...product.claims,
    ...(line?.claims ?? [])
      .filter(({ collection }) => collection === '' || collection === product.collection)
      .map(({ claim }) => `${claim} (of the line)`),
  ];
  const rows: [string, string][] = [
    ...(price !== null && currency ? [['Price', showMoney(price, currency)] as [string, string]] : []),
    ...(sizeMl !== null ? [['Size', showVolume(sizeMl, settings)] as [string, string]] : []),
    ...(price !== null && currency && sizeMl
      ? [['Per 100 ml', showMoney(pricePer100Ml(price, sizeMl), currency)] as [string, string]]
      : []),
    ['How it came', STAKES[product.stake].label],
    ['Hold, by the label', LABEL_HOLDS[product.labelHold].label],
    ...(product.packaging ? [['Comes in', PACKAGINGS[product.packaging].label] as [string, string]] : []),
    ...(product.heatLimitC !== null
      ? [
          ['Heat limit, by the label', temperature(product.heatLimitC, settings.temperature)] as [
            string,
            string,
          ],
        ]
      : []),
    ...(product.edition ? [['Edition', product.edition] as [string, string]] : []),
    ['Directions', product.labelDirections ?? 'the label is silent'],
    ...(product.note ? [['Note', product.note] as [string, string]] : []),
  ];
  return (
    <section aria-labelledby="facts">
      <h2 id="facts" className="text-xl">
        From the label
      </h2>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
        {rows.map(([what, value]) => (
          <div key={what} className="contents">
            <dt className="text-soft">{what}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      {claims.length > 0 && (
        <>
          <h3 className="mt-4 text-base">It claims</h3>
          <ul>
            {claims.map((claim) => (
              <li key={claim}>“{claim}”</li>
            ))}
          </ul>
        </>
      )}
      {product.prices.length > 0 && (
        <>
          <h3 className="mt-4 text-base">Prices paid</h3>
          <ul>
            {product.prices.map(({ on, kind, amount, currency: of }) => (
              <li key={`${on} ${kind}`}>
                {showDate(on)}: {showMoney(amount, of)}, {PRICE_KINDS[kind].label}
              </li>
            ))}
          </ul>
        </>
      )}
      <details className="mt-3">
        <summary className="min-h-10 cursor-pointer py-2 font-semibold">Ingredients</summary>
        <p className="text-sm">{product.ingredients || 'Not on record.'}</p>
        <ButtonLink look="quiet" to="/screen">
          Screen it for a head
        </ButtonLink>
      </details>
    </section>
  );
}
