import { minutesToWashed, routineMinutes, startBy, thingsNeeded } from '@sabor/core/basin/lay-out';
import { minutesByPhase } from '@sabor/core/basin/minutes';
import { type DryingWay, forecastSlowest, wayOf } from '@sabor/core/hair/drying';
import { stepOnArm } from '@sabor/core/step/in-arm';
import { SLOTS } from '@sabor/core/step/slots';
import { doseGrams, weighedBy } from '@sabor/core/step/weighed';
import { bottleLasts } from '@sabor/core/trial/ahead';
import { doseInWords } from '@sabor/words/dose';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useHairFile, useLedger, useShelf, useTrial, useWearer } from '../../api/queries.ts';
import { TextField } from '../../ui/inputs.tsx';
import { Caution, Failed, Heading, Loading } from '../../ui/states.tsx';
import { isPast } from '../wash-day/cautions-of.ts';
import { DryBy } from './dry-by.tsx';
import { laidOut, minutesUntilWashed } from './laid.ts';
import { SwapEffect } from './swap-effect.tsx';

const PHONE = 'the phone, charged, with Sabor open';

/** How full this device's battery is, in %; null where the browser does not tell. */
function useCharge(): number | null {
  const [charge, setCharge] = useState<number | null>(null);
  useEffect(() => {
    const { getBattery } = navigator as { getBattery?: () => Promise<{ level: number }> };
    getBattery?.call(navigator).then(
      ({ level }) => setCharge(Math.round(level * 100)),
      () => {},
    );
  }, []);
  return charge;
}

/** How many more wash days a bottle holds at this dose. */
const usesLeft = (left: number, perDay: number) => {
  const n = Math.floor(left / perDay + 1e-9);
  return n === 1 ? 'for one wash day' : `for ${n} wash days`;
};

export function LayOutScreen() {
  const { id = '' } = useParams();
  const trial = useTrial(id);
  const shelf = useShelf();
  const wearer = useWearer(trial.data?.wearerId ?? 'new');
  const ledger = useLedger(trial.data?.wearerId ?? '');
  const file = useHairFile(trial.data?.wearerId ?? '');
  const [missing, setMissing] = useState<readonly string[]>([]);
  const [ready, setReady] = useState<readonly string[]>([]);
  const [doneBy, setDoneBy] = useState('21:00');
  const charge = useCharge();
  if (trial.isLoadingError) return <Failed error={trial.error} retry={trial.refetch} />;
  if (!trial.data || !shelf.data || !wearer.data) return <Loading what="what to lay out" />;
  const { plan, washDayRecords } = trial.data;
  const laid = trial.data.masked ? [] : laidOut(trial.data, shelf.data.products);
  const tick = (list: readonly string[], key: string) =>
    list.includes(key) ? list.filter((known) => known !== key) : [...list, key];
  const earlier = washDayRecords
    .filter(({ status }) => status === 'finished' || status === 'worn')
    .map((day) =>
      Object.values(minutesByPhase(day.steps, day.startedAt)).reduce(
        (sum, { handsOn, waiting }) => sum + handsOn + waiting,
        0,
      ),
    )
    .filter((minutes) => minutes > 5);
  const minutes = routineMinutes(plan, earlier);
  const start = startBy(doneBy, minutes);
  const toWashed = minutesToWashed(plan, minutesUntilWashed(washDayRecords));
  const ways = trial.data.arms.map((arm) =>
    wayOf(
      plan.flatMap((step) => {
        const settings = stepOnArm(step, arm);
        return settings === 'left out' ? [] : [{ ...settings, slot: step.slot }];
      }),
    ),
  );
  const drying = forecastSlowest(file.data?.drying ?? [], ways as [DryingWay, ...DryingWay[]]);
  const things = [...thingsNeeded(plan), PHONE];
  const weighed = weighedBy(shelf.data.products);
  const used = (productId: string, from: string | null) =>
    (ledger.data ?? [])
      .filter(({ on }) => from === null || on >= from)
      .flatMap(({ steps }) => steps)
      .reduce((sum, step) => sum + (step.productId === productId ? (step.grams ?? 0) : 0), 0);
  return (
    <>
      <Heading
        kicker={
          <Link className="underline underline-offset-4" to={`/trials/${id}`}>
            {trial.data.question}
          </Link>
        }
        title={`Lay out for wash day ${trial.data.washDaysDone + 1}`}
      >
        {wearer.data.name}.{' '}
        {trial.data.masked
          ? 'Bottles go by their codes.'
          : 'Which option it is stays sealed until it begins, so every option’s bottle is laid out.'}
      </Heading>
      {wearer.data.underAge && (
        <div className="mb-4">
          <Caution>
            A child: consent by {wearer.data.guardian}. Short sessions, nothing near the eyes, no tight
            styles, no essential oils or strong cooling agents.
          </Caution>
        </div>
      )}
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1.6fr_1fr]">
        <section aria-labelledby="products">
          <h2 id="products" className="mb-1 text-xl">
            Products
          </h2>
          {trial.data.masked && (
            <p>
              The coded bottles, each with its plain applicator, and the held products of the plan. What is in
              them stays with the helper.
            </p>
          )}
          <ul className="divide-y divide-rule border-y border-rule">
            {laid.map((one) => {
              const grams = doseGrams(weighed, one.product.id, one.dose, one.sections);
              const { product } = one;
              const lasts =
                product.sizeMl === null || grams === null
                  ? null
                  : bottleLasts(product.sizeMl, used(product.id, product.openedOn), grams, 1);
              const gone = missing.includes(one.key);
              return (
                <li key={one.key} className="py-2">
                  <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                    <label className="flex min-h-16 flex-1 items-center gap-3 text-lg">
                      <input
                        type="checkbox"
                        className="size-6 shrink-0 accent-leaf"
                        checked={ready.includes(one.key)}
                        onChange={() => setReady(tick(ready, one.key))}
                      />
                      <span>
                        <span className="font-semibold">{product.name}</span>{' '}
                        <span className="text-soft">
                          {SLOTS[one.slot].label.toLowerCase()}
                          {one.tested ? ', under test' : ''}
                        </span>
                        <span className="figure block text-base">
                          {one.dose ? doseInWords(one.dose) : 'no amount'}
                          {grams !== null &&
                            ` · about ${grams < 10 ? grams.toFixed(1) : Math.round(grams)} g`}
                          {lasts &&
                            (lasts.runsOutOn === null
                              ? ` · enough: ${Math.round(lasts.left)} g left, ${usesLeft(lasts.left, grams!)}`
                              : ` · not enough: ${Math.round(lasts.left)} g left`)}
                        </span>
                      </span>
                    </label>
                    <button
                      type="button"
                      aria-pressed={gone}
                      className="min-h-16 rounded-tag border border-ink/30 px-4 font-semibold aria-pressed:border-brick aria-pressed:text-brick"
                      onClick={() => setMissing(tick(missing, one.key))}
                    >
                      Not here
                    </button>
                  </div>
                  {isPast(product) && (
                    <Caution>
                      {product.name} is past its months after opening. If smell, colour or texture has
                      changed, do not use it and do not test it.
                    </Caution>
                  )}
                  {(gone || lasts?.runsOutOn === 1) && (
                    <div className="border-l-4 border-mango pl-3">
                      <SwapEffect laid={one} trial={trial.data} />
                    </div>
                  )}
                </li>
              );
            })}
          </ul>
        </section>
        <div className="space-y-8">
          <section aria-labelledby="things">
            <h2 id="things" className="mb-1 text-xl">
              Tools and the rest
            </h2>
            <ul>
              {things.map((thing) => (
                <li key={thing}>
                  <label className="flex min-h-12 items-center gap-3 text-lg">
                    <input
                      type="checkbox"
                      className="size-6 shrink-0 accent-leaf"
                      checked={ready.includes(thing)}
                      onChange={() => setReady(tick(ready, thing))}
                    />
                    <span>
                      {thing}
                      {thing === PHONE && charge !== null && (
                        <span className={charge < 50 ? 'block text-mango-deep' : 'block text-soft'}>
                          this device is at {charge} %
                        </span>
                      )}
                    </span>
                  </label>
                </li>
              ))}
            </ul>
          </section>
          <section aria-labelledby="when">
            <h2 id="when" className="mb-1 text-xl">
              Start by
            </h2>
            <p className="figure text-5xl">{start ?? '–'}</p>
            <p className="text-soft">
              The routine takes about {Math.round(minutes)} min
              {earlier.length > 0
                ? `, the middle of ${earlier.length === 1 ? 'one wash day' : `${earlier.length} wash days`} of this trial.`
                : ': its clocks, and four minutes for each step without one.'}
            </p>
            {file.data && (
              <DryBy {...drying} toWashed={toWashed} doneBy={doneBy} free={minutes} start={start} />
            )}
            <TextField
              className="mt-2 max-w-40"
              label="To be through by"
              value={doneBy}
              onChange={setDoneBy}
              error={start === null ? 'Give a time of day, such as 21:00.' : undefined}
            />
          </section>
        </div>
      </div>
    </>
  );
}
