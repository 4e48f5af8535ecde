import type { Product } from '@sabor/contract/shelf';
import type { WashDay } from '@sabor/contract/wash-day';
import { EFFORT, type Effort } from '@sabor/core/basin/effort';
import { minutesByPhase, minutesOfDay, minutesSpent, PHASES, type Phase } from '@sabor/core/basin/minutes';
import type { Usual } from '@sabor/core/board/usual';
import { dewPoint } from '@sabor/core/climate/dew-point';
import { amountOf } from '@sabor/core/doses/dose';
import { MEASURES } from '@sabor/core/doses/measures';
import { SHED_A_DAY, SHED_VERDICTS, shedSinceDetangle } from '@sabor/core/hair/measured/shed';
import { washCost } from '@sabor/core/shelf/wash-cost';
import { departures } from '@sabor/core/step/departures';
import { productsUsed } from '@sabor/core/step/mix';
import { calibratedFor, doseGrams, weighedBy } from '@sabor/core/step/weighed';
import { airOf } from '@sabor/reading/air-of';
import { amountOffUsual, wholeBesideUsual } from '@sabor/words/usual';
import { useSettings, useUsualDay } from '../../api/queries.ts';
import { showTemperature } from '../../ui/show.ts';

const minutes = (x: number) => `${Math.round(x)} min`;

/** Minutes on each half, where the halves were done apart. */
function halves(day: WashDay): [string, string][] {
  const spent = minutesSpent(day.steps, day.startedAt);
  return (['left', 'right'] as const).flatMap((half): [string, string][] => {
    const own = spent.filter((_, i) => day.steps[i]!.half === half);
    return own.some((x) => x !== null)
      ? [
          [
            `${half[0]!.toUpperCase()}${half.slice(1)} half`,
            minutes(own.reduce((sum: number, x) => sum + (x ?? 0), 0)),
          ],
        ]
      : [];
  });
}

/** A wash day in figures: minutes by phase, grams and cost, departures, shed hairs, air. */
export function DayFigures({
  day,
  daysSince,
  products,
  dark = false,
}: {
  day: WashDay;
  /** Since the hair was last detangled; null where that is not known. */
  daysSince: number | null;
  products: readonly Product[];
  dark?: boolean;
}) {
  const settings = useSettings();
  const usual = useUsualDay(day.wearerId, day.id).data;
  const phases = minutesByPhase(day.steps, day.startedAt);
  const sum = (of: 'handsOn' | 'waiting') => Object.values(phases).reduce((all, phase) => all + phase[of], 0);
  const shelf = new Map(products.map((product) => [product.id, product]));
  const done = day.steps.filter(({ status }) => status === 'done');
  const used = done.flatMap((step) =>
    productsUsed(step).flatMap(({ productId, dose }) => {
      const product = shelf.get(productId);
      return product ? { product, dose, sections: step.sections } : [];
    }),
  );
  const weighed = weighedBy(products);
  const grams = used.reduce(
    (all, { product, dose, sections }) => all + (doseGrams(weighed, product.id, dose, sections) ?? 0),
    0,
  );
  const { cost, currency } = washCost(
    used.map(({ product: { id, name, price, currency: of, sizeMl }, dose, sections }) => ({
      productName: name,
      price,
      currency: of,
      sizeMl,
      dose,
      sections,
      calibrated: calibratedFor(weighed, id, dose),
    })),
  );
  const departed = day.steps.reduce((all, step) => all + departures(step, weighed).length, 0);
  const air = airOf(day);
  const dew =
    air.temperatureC !== null && air.humidity !== null ? dewPoint(air.temperatureC, air.humidity) : null;
  const shed =
    day.shedHairs === null || daysSince === null ? null : shedSinceDetangle(day.shedHairs, daysSince);
  const soft = dark ? 'text-paper/80' : 'text-soft';
  // By the same clocks as the usual ones: whole heads, told as they went.
  const apart = day.enteredLater || day.steps.some(({ half }) => half !== null);
  const clock = apart ? null : minutesOfDay(day.steps, day.startedAt);
  const beside = (value: number | null | undefined, band: Usual | undefined) => {
    const said = value == null || band === undefined ? null : wholeBesideUsual(value, band);
    return said === null ? '' : `, ${said}`;
  };
  const off = done.flatMap(({ slot, productId, dose, half }) => {
    const amount = half === null ? amountOf(dose) : null;
    if (amount === null || dose === null || dose.kind === 'unknown') return [];
    const known = usual?.doses.find(
      (one) =>
        one.productId === productId &&
        one.slot === slot &&
        one.measure === dose.measure &&
        one.per === dose.per,
    );
    const { label, plural } = MEASURES[dose.measure];
    return known
      ? (amountOffUsual(
          shelf.get(productId!)?.name ?? 'A product',
          amount,
          known.usual,
          amount === 1 ? label : plural,
        ) ?? [])
      : [];
  });
  const rows: [string, string][] = [
    ['Hands-on', `${minutes(sum('handsOn'))}${beside(clock?.handsOn, usual?.handsOn)}`],
    ['Waiting', minutes(sum('waiting'))],
    ...(Object.keys(PHASES) as Phase[])
      .filter((phase) => phases[phase].handsOn + phases[phase].waiting >= 0.5)
      .map((phase): [string, string] => [
        PHASES[phase].label,
        `${minutes(phases[phase].handsOn)} at work, ${minutes(phases[phase].waiting)} waiting${phase === 'dry' ? beside(clock?.dry, usual?.dry) : ''}`,
      ]),
    ...halves(day),
    ['Product', grams > 0 ? `about ${grams.toFixed(0)} g` : 'no amounts known'],
    ...off.map((says): [string, string] => ['Other than usual', says]),
    [
      'Cost',
      cost && currency
        ? `${currency} ${cost.usual.toFixed(2)} (${cost.low.toFixed(2)}–${cost.high.toFixed(2)})`
        : 'not known',
    ],
    ['Changes from plan', departed === 0 ? 'nothing' : departed === 1 ? 'one thing' : `${departed} things`],
    ...(day.shedHairs === null
      ? []
      : [
          [
            'Shed hairs',
            `${day.shedCounted ? '' : 'about '}${day.shedHairs}${shed ? `, ${SHED_VERDICTS[shed.verdict].label} (${shed.expected.low}–${shed.expected.high} since the last detangle)` : ` (${SHED_A_DAY.low}–${SHED_A_DAY.high} a day are ordinary)`}${beside(day.shedHairs, usual?.shed)}`,
          ] as [string, string],
        ]),
    ...(Object.keys(EFFORT) as Effort[]).flatMap((field): [string, string][] => {
      const value = day[field];
      return value === null ? [] : [[EFFORT[field].label, EFFORT[field].words[value]!]];
    }),
    ['Photographs', day.photographs.length === 0 ? 'none' : String(day.photographs.length)],
    ['Air', dew === null ? 'not known' : `dew point ${showTemperature(dew, settings)}`],
  ];
  return (
    <section aria-labelledby="figures" className="mt-5">
      <h2 id="figures" className="text-xl">
        The day in figures
      </h2>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
        {rows.map(([what, value]) => (
          <div key={what} className="contents">
            <dt className={soft}>{what}</dt>
            <dd className="figure">{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
