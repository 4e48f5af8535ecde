import type { HairFile } from '@sabor/contract/hair-file';
import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { dewPoint } from '@sabor/core/climate/dew-point';
import { dewPointBand } from '@sabor/core/climate/dew-point-bands';
import { careStatus } from '@sabor/core/hair/care';
import { CARE } from '@sabor/core/hair/care-kinds';
import { HAIR_EVENTS } from '@sabor/core/hair/history';
import { stepOnArm } from '@sabor/core/step/in-arm';
import { productsUsed } from '@sabor/core/step/mix';
import { productsOnHead } from '@sabor/core/step/on-head';
import { SLOTS } from '@sabor/core/step/slots';
import { doseGrams, type Weighed, weighedBy } from '@sabor/core/step/weighed';
import { DAY_MS } from '@sabor/core/time/day';
import { localToday } from '@sabor/core/time/today';
import { bottleLasts, type Dated, revertedOn, trialAhead } from '@sabor/core/trial/ahead';
import { DESIGNS } from '@sabor/core/trial/designs';
import { useMemo } from 'react';
import { useNotAtDose } from '../../api/doses.ts';
import {
  useHairFile,
  useLedger,
  useOwnIngredients,
  usePlaceWeather,
  useSettings,
  useShelf,
  useWeather,
} from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { showDate, showTemperature } from '../../ui/show.ts';
import { screeningWorker } from '../../workers/screening.ts';
import { PatchFirst } from '../patches/patch-tests.tsx';
import { placeNow } from '../screen/start-asked.ts';
import { againstWishes } from './against-wishes.ts';

/** Grams between the arms' starting ground from which it is called unequal. Model assumption. */
const UNEQUAL = 0.5;

interface Finding {
  tone: 'due' | 'fine';
  says: string;
}

/** What a step of the plan puts on the head in one arm, in grams; null where a dose cannot be told in them. */
const gramsInArm = (
  step: TrialInput['plan'][number],
  arm: TrialInput['arms'][number],
  weighed: Weighed,
): { productId: string; grams: number | null }[] => {
  const settings = stepOnArm(step, arm);
  if (settings === 'left out') return [];
  return productsUsed(settings).map(({ productId, dose }) => ({
    productId,
    grams: doseGrams(weighed, productId, dose, settings.sections),
  }));
};

/** Grams each product takes on a wash day, on average over the arms; halves take half of each arm. */
function gramsPerDay(value: TrialInput, weighed: Weighed): Map<string, number> {
  const grams = new Map<string, number>();
  for (const step of value.plan)
    for (const arm of value.arms)
      for (const { productId, grams: amount } of gramsInArm(step, arm, weighed))
        if (amount !== null) grams.set(productId, (grams.get(productId) ?? 0) + amount / value.arms.length);
  return grams;
}

/** Where the arms would start from, by the ledger: the plan run with its arms in turn. */
function useGroundAhead(value: TrialInput, products: readonly Product[]) {
  const own = useOwnIngredients();
  const { market } = useSettings();
  const weighed = useMemo(() => weighedBy(products), [products]);
  const every = value.cadenceDays ?? value.wearDays;
  const days = value.arms.length < 2 ? 0 : Math.min(12, value.washDays);
  return useWorked(
    'ground ahead',
    days > 0 && own.data && value.plan.length > 0 && every >= 1
      ? [value.plan, value.arms, days, every, market, own.data, products]
      : null,
    async () => {
      const ahead = trialAhead('2026-01-01', days, every, []).map(({ on }, i) => {
        const arm = value.arms[i % value.arms.length]!;
        return {
          on,
          armId: arm.id,
          trialId: '',
          planned: false,
          steps: value.plan.flatMap((step) => gramsInArm(step, arm, weighed)),
        };
      });
      const byArm = value.arms.map((_, a) =>
        ahead.filter((__, i) => i % value.arms.length === a && i > 0).map(({ on }) => on),
      );
      return screeningWorker().ledger(ahead, products, market, own.data!, [], byArm, '');
    },
  );
}

/** What the wearer's station foresees, a line a day: the mean dew point and its band. */
function useAirAhead(wearerId: string): Dated[] {
  const weather = useWeather();
  const now = useMemo(() => Date.now(), []);
  const settings = useSettings();
  const air = usePlaceWeather(placeNow(weather.data, wearerId, localToday()) ?? '', now - DAY_MS, now);
  return useMemo(() => {
    const byDay = new Map<string, number[]>();
    for (const { at, temperatureC, humidity } of air.data?.forecast ?? []) {
      const on = localToday(new Date(at));
      const dew = dewPoint(temperatureC, humidity);
      if (dew !== null) byDay.set(on, [...(byDay.get(on) ?? []), dew]);
    }
    return [...byDay].map(([on, dews]) => {
      const mean = dews.reduce((sum, x) => sum + x, 0) / dews.length;
      return {
        on,
        what: `dew point about ${showTemperature(mean, settings)}, ${dewPointBand(mean, settings.dewPointBands).label},`,
      };
    });
  }, [air.data, settings]);
}

function calendarOthers(file: HairFile, today: string): Dated[] {
  const care = careStatus(
    [...file.events, ...file.washCare],
    file.washedOn,
    file.cadence,
    today,
    file.alternate,
  )
    .filter(({ kind, dueOn }) => kind !== 'wash' && dueOn !== null)
    .map(({ kind, dueOn }) => ({
      on: dueOn! < today ? today : dueOn!,
      what: `${CARE[kind].label.toLowerCase()} due`,
    }));
  const appointments = file.events
    .filter(({ on }) => on > today)
    .map(({ kind, on }) => ({ on, what: HAIR_EVENTS[kind].label.toLowerCase() }));
  return [...care, ...appointments].sort((a, b) => a.on.localeCompare(b.on));
}

/** What stands in the way of this plan, on this head, from today: reset, revert time, other trials, bottles, dates. */
export function BeforeItStarts({ value, products }: { value: TrialInput; products: readonly Product[] }) {
  const file = useHairFile(value.wearerId);
  const shelf = useShelf();
  const ledger = useLedger(value.wearerId);
  const notAtDose = useNotAtDose(
    value.wearerId,
    value.arms.flatMap(({ steps }) => steps.flatMap(({ productId }) => productId ?? [])),
  );
  const ground = useGroundAhead(value, products);
  const airAhead = useAirAhead(value.wearerId);
  if (!file.data || value.plan.length === 0) return null;
  const today = localToday();
  const every = value.cadenceDays ?? value.wearDays;
  const names = new Map(products.map(({ id, name }) => [id, name]));
  const findings: Finding[] = [];
  const due = (says: string) => findings.push({ tone: 'due', says });
  const fine = (says: string) => findings.push({ tone: 'fine', says });

  const cleanse = value.plan.find(({ slot }) => slot === 'cleanse');
  if (!cleanse) due('No cleanse in this routine: what a wash day leaves is still there on the next.');
  else if (cleanse.part !== 'held' || cleanse.optional)
    due('The cleanse is not held: the reset before every wash day must be the same for all arms.');
  else if (cleanse.productId === null)
    due('The cleanse names no product: give the one that resets every wash day.');
  else if (ground.data && ground.data.unequal !== null) {
    const apart = `${ground.data.unequal.toFixed(2)} g of residue`;
    if (ground.data.unequal > UNEQUAL)
      due(
        `By the build-up ledger the options would start ${apart} apart: a stronger cleanser as reset evens that out.`,
      );
    else
      fine(`Reset: the same cleanse every time; by the build-up ledger the options start within ${apart}.`);
  }
  if (value.cadenceDays === null || value.cadenceDays === undefined)
    due('No days from wash to wash are set: the same gap for every option is part of the reset.');

  for (const says of againstWishes(value, file.data.wishes, products)) due(says);

  const straightened = file.data.events
    .filter(
      ({ kind, on }) => (kind === 'heat' || kind === 'blow-out') && on <= today && revertedOn(on) > today,
    )
    .map(({ on }) => on)
    .sort()
    .at(-1);
  if (straightened)
    due(
      `Straightened on ${showDate(straightened)}: the curl may be its own again from ${showDate(revertedOn(straightened))}.`,
    );

  const tested = new Set(
    value.plan.filter(({ part }) => part === 'tested').map(({ slot }) => SLOTS[slot].label.toLowerCase()),
  );
  for (const other of file.data.ahead.filter(({ id }) => id !== value.id))
    due(
      `“${other.question}” is ${other.status === 'running' ? 'under way' : 'planned'} on this head with ${other.washDaysLeft} wash days left. Run both at once and each one’s products (${[...tested].join(', ') || 'steps kept the same'}) become the other’s ground.`,
    );

  const grams = gramsPerDay(value, weighedBy(products));
  for (const [id, perDay] of grams) {
    const product = shelf.data?.products.find((known) => known.id === id);
    if (!product?.sizeMl) continue;
    const used = (ledger.data ?? [])
      .filter(({ on }) => product.openedOn === null || on >= product.openedOn)
      .flatMap(({ steps }) => steps)
      .reduce((sum, step) => sum + (step.productId === id ? (step.grams ?? 0) : 0), 0);
    const { runsOutOn, needed, left } = bottleLasts(product.sizeMl, used, perDay, value.washDays);
    if (runsOutOn !== null)
      due(
        `${product.name} runs out on wash day ${runsOutOn}: about ${Math.round(needed)} g are needed, ${Math.round(left)} g are left of what was recorded. Have a second bottle of the same batch.`,
      );
  }

  if (DESIGNS[value.design ?? 'complete'].seeks !== 'dose' && notAtDose.length > 0)
    due(
      `Amount not yet found on this head: ${notAtDose.map((id) => names.get(id) ?? 'a product').join(', ')}. Find your amount finds it before it is judged.`,
    );

  const worn = new Set((ledger.data ?? []).flatMap(({ steps }) => steps.map(({ productId }) => productId)));
  const inPlan = new Set(productsOnHead(value.plan, value.arms));
  // Nothing is called new before it is known what was worn.
  const unworn = ledger.data ? products.filter(({ id }) => inPlan.has(id) && !worn.has(id)) : [];

  const others = [...calendarOthers(file.data, today), ...airAhead].sort((a, b) => a.on.localeCompare(b.on));
  const days = every >= 1 ? trialAhead(today, value.washDays, every, others) : [];
  const foreseen = new Set(airAhead);
  const met = days.filter(({ meets }) => meets.some((one) => !foreseen.has(one)));
  return (
    <section aria-labelledby="before" className="rounded-tag border border-rule bg-sheet p-5">
      <h2 id="before" className="text-xl">
        Before it starts
      </h2>
      <ul className="mt-2 space-y-1.5">
        {findings.map(({ tone, says }) => (
          <li
            key={says}
            className={`border-l-4 pl-3 text-[0.95rem] ${tone === 'due' ? 'border-mango' : 'border-leaf text-leaf'}`}
          >
            {says}
          </li>
        ))}
      </ul>
      <PatchFirst wearerId={value.wearerId} tests={file.data.patchTests} products={unworn} />
      {days.length > 0 && (
        <details className="mt-3">
          <summary className="cursor-pointer font-semibold">
            From today to {showDate(days.at(-1)!.until)}
            {met.length > 0 &&
              `: ${met.length} ${met.length === 1 ? 'wash day meets' : 'wash days meet'} something`}
          </summary>
          <ol className="mt-1 text-[0.95rem]">
            {days.map(({ n, on, meets }) => (
              <li key={n} className="flex gap-3 border-t border-rule py-0.5">
                <span className="w-28 shrink-0">
                  {n} · {showDate(on)}
                </span>
                <span className={meets.length ? 'text-mango-deep' : 'text-soft'}>
                  {meets.map((one) => `${one.what} ${showDate(one.on)}`).join(', ') || 'free'}
                </span>
              </li>
            ))}
          </ol>
        </details>
      )}
      {DESIGNS[value.design ?? 'complete'].halves && (
        <p className="mt-2 text-sm text-soft">
          Halves share air, sleep and ground; most of this weighs less for them.
        </p>
      )}
    </section>
  );
}
