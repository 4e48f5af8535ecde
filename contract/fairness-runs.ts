import { dewPoint } from '@sabor/core/climate/dew-point';
import { DOSE_TOLERANCE } from '@sabor/core/doses/dose';
import type { Run, RunPlan, RunStep } from '@sabor/core/fairness/run';
import { HAIR_STATES, type HairState, runStepOf } from '@sabor/core/fairness/run';
import { EVENTS, type EventKind } from '@sabor/core/outcomes/events';
import { localDate } from '@sabor/core/outcomes/local-date';
import { type StepSettings, settingsOf } from '@sabor/core/routine/step';
import { STAKES } from '@sabor/core/shelf/products';
import { calibratedFor, type Weighed, weighedBy } from '@sabor/core/step/weighed';
import { DESIGNS } from '@sabor/core/trial/designs';
import type { HairFile } from './hair-file.ts';
import type { Product } from './shelf.ts';
import { sidesOf } from './side-of.ts';
import type { TrialDetail } from './trial.ts';
import { airOf, type WashDay, type WashStep } from './wash-day.ts';
import type { Wearer } from './wearer.ts';

/** What the fairness of a trial's wash days is read from. */
export interface FairnessSources {
  trial: TrialDetail;
  wearer: Wearer;
  file: Pick<HairFile, 'events' | 'washCare'>;
  shelf: readonly Product[];
  /** What the hair carried when a wash day began, by its local date; empty where the ledger is not known. */
  ground: ReadonlyMap<string, { buildUp: number; protein: number }>;
}

const DAY = 86_400_000;
const daysBetween = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / DAY);
const datePlus = (date: string, days: number) =>
  new Date(Date.parse(date) + days * DAY).toISOString().slice(0, 10);
const mean = (values: readonly number[]) =>
  values.length ? values.reduce((sum, x) => sum + x, 0) / values.length : null;

/** While blind a tested step shows its code; that stands for the product. */
const productOf = (step: WashStep) => (step.code === null ? step.productId : `code ${step.code}`);

function runStep(step: WashStep, as: StepSettings, planned: boolean, weighed: Weighed): RunStep {
  const plan = step.planned;
  return runStepOf(
    { ...as, productId: step.code === null ? as.productId : productOf(step) },
    {
      key: step.planStepId,
      slot: step.slot,
      part: plan?.part ?? 'held',
      optional: plan?.optional ?? false,
      tolerance: plan?.tolerance ?? DOSE_TOLERANCE,
      planned:
        planned || plan === null
          ? null
          : {
              ...settingsOf(plan),
              productId: step.code === null ? plan.productId : productOf(step),
              calibrated: calibratedFor(weighed, plan.productId, plan.dose),
            },
      calibrated: calibratedFor(weighed, as.productId, as.dose),
      marks: planned ? [] : [...new Set(step.marks.map(({ mark }) => mark))],
    },
  );
}

const doneAt = (step: WashStep) =>
  step.doneAt === null ? Number.POSITIVE_INFINITY : Date.parse(step.doneAt);

/** Whole days since each care or change of the hair, before a date. */
function since(file: FairnessSources['file'], date: string): Run['since'] {
  const found: Partial<Record<HairState, number>> = {};
  for (const { kind, on } of [...file.events, ...file.washCare]) {
    if (!Object.hasOwn(HAIR_STATES, kind) || on >= date) continue;
    const state = kind as HairState;
    const days = daysBetween(on, date);
    found[state] = Math.min(found[state] ?? days, days);
  }
  return found;
}

/** A wash day, or each of its halves, as the fairness check reads it, beside its plan. */
export function runsOfDay(sources: FairnessSources, day: WashDay): RunPlan[] {
  const { trial, wearer, file, shelf, ground } = sources;
  const products = new Map(shelf.map((product) => [product.id, product]));
  const weighed = weighedBy(shelf);
  const sideOf = sidesOf(wearer);
  const revealed = localDate(day.revealAt ?? day.startedAt, wearer.timeZone);
  const until = datePlus(revealed, trial.onDay - 1);
  const days = day.days.filter(({ on }) => on <= until);
  const own = airOf(day);
  const dews = days.flatMap(({ air }) => air?.dewPointC ?? []);
  const winds = days.flatMap(({ air }) => air?.windMs ?? []);
  const byHand =
    own.temperatureC !== null && own.humidity !== null ? dewPoint(own.temperatureC, own.humidity) : null;
  const look = day.checkIns.find(({ stage, day: n }) => stage === 'wear' && n === trial.onDay);
  const latest = day.checkIns.filter(({ stage }) => stage === 'wear').at(-1);
  const at = ground.get(day.localDate);
  const halves: Run['half'][] = DESIGNS[trial.design].halves ? ['left', 'right'] : [null];
  return halves.map((half) => {
    const steps = day.steps.filter((step) => half === null || step.half === null || step.half === half);
    const done = steps
      .filter(({ status }) => status === 'done')
      .map((step, place) => ({ step, place }))
      .sort((a, b) => doneAt(a.step) - doneAt(b.step) || a.place - b.place)
      .map(({ step }) => step);
    const events: Partial<Record<EventKind, number>> = {};
    for (const { kind, on, zoneIds } of day.events) {
      const here =
        half === null ||
        zoneIds.length === 0 ||
        zoneIds.some((zone) => [half, 'both'].includes(sideOf(zone)));
      // The night after the day that is judged comes too late to tell.
      const night = EVENTS[kind].good || kind === 'bonnet-missed';
      if (here && (night ? on < until : on <= until)) events[kind] = (events[kind] ?? 0) + 1;
    }
    const tested = steps.filter(({ planned }) => planned?.part === 'tested');
    const stakes = tested.flatMap(({ productId }) => {
      const product = productId === null ? undefined : products.get(productId);
      return product && STAKES[product.stake].discloses
        ? `${product.name}, ${STAKES[product.stake].label}`
        : [];
    });
    const name = `wash day ${day.position + 1}`;
    const run: Run = {
      name: half === null ? name : `the ${half} half of ${name}`,
      washDayId: day.id,
      wearerId: day.wearerId,
      half,
      arm: half === 'right' ? (day.rightArmId ?? day.armId) : day.armId,
      steps: done.map((step) => runStep(step, step, false, weighed)),
      dewPointC: mean(dews) ?? byHand,
      windMs: winds.length ? Math.max(...winds) : own.windMs,
      outdoorHours: mean(days.flatMap(({ outdoorHours }) => outdoorHours ?? [])),
      buildUp: at?.buildUp ?? null,
      protein: at?.protein ?? null,
      since: since(file, day.localDate),
      bottleDays: Object.fromEntries(
        done.flatMap(({ productId }) => {
          const opened = productId === null ? null : products.get(productId)?.openedOn;
          return opened && opened <= day.localDate ? [[productId, daysBetween(opened, day.localDate)]] : [];
        }),
      ),
      events,
      nights: Math.max(0, trial.onDay - 1),
      judgedOn: look ? trial.onDay : (latest?.day ?? null),
      rater: look?.rater ?? '',
      blind: trial.blind,
      stake: stakes.length ? [...new Set(stakes)].join('; ') : null,
    };
    const plan: Run = {
      ...run,
      name: 'the plan',
      steps: steps
        .filter(({ planned }) => planned !== null && !planned.skipped)
        .sort((a, b) => a.position - b.position)
        .map((step) => runStep(step, step.planned!, true, weighed)),
    };
    return { run, plan };
  });
}

/** Every wash day of a trial that was worn, in order, as the fairness check reads them. */
export const runsOfTrial = (sources: FairnessSources): RunPlan[] =>
  sources.trial.washDayRecords
    .filter(({ status }) => status === 'worn' || status === 'finished')
    .flatMap((day) => runsOfDay(sources, day));

/** Wash days to leave aside with the ones that are broken: whole blocks of four where the lot was drawn in blocks. */
export function blocksOfDays(trial: TrialDetail, broken: ReadonlySet<string>): Set<string> {
  const days = trial.washDayRecords.filter(({ status }) => status !== 'abandoned');
  if (trial.design !== 'blocks') return new Set(broken);
  const blocks = new Set(
    days.filter(({ id }) => broken.has(id)).map(({ position }) => Math.floor(position / 4)),
  );
  return new Set(days.filter(({ position }) => blocks.has(Math.floor(position / 4))).map(({ id }) => id));
}
