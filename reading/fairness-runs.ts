import type { HairFile } from '@sabor/contract/hair-file';
import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { dewPoint } from '@sabor/core/climate/dew-point';
import { DOSE_TOLERANCE } from '@sabor/core/doses/dose';
import type { Run, RunPlan, RunStep } from '@sabor/core/fairness/run';
import { HAIR_STATES, type HairState } from '@sabor/core/fairness/run';
import type { Felt } from '@sabor/core/felt/felt';
import { wearDate } from '@sabor/core/outcomes/day-of-wear';
import { type EventKind, eventOf } from '@sabor/core/outcomes/events';
import { STAKES } from '@sabor/core/shelf/products';
import { measured } from '@sabor/core/step/departures';
import { isChange } from '@sabor/core/step/marks';
import type { StepSettings } from '@sabor/core/step/settings';
import { settingsOf } from '@sabor/core/step/step';
import { type Weighed, weighedBy } from '@sabor/core/step/weighed';
import { daysBetween, plusDays } from '@sabor/core/time/dates';
import { DESIGNS, designOf } from '@sabor/core/trial/designs';
import { airOf } from './air-of.ts';
import type { Ground } from './ground-of.ts';
import { happened, judgedLooks } from './looks-of.ts';
import { sidesOf } from './side-of.ts';

/** What the fairness of a trial's wash days is read from. */
export interface FairnessSources {
  trial: TrialDetail;
  wearer: Wearer;
  file: Pick<HairFile, 'events' | 'washCare'>;
  shelf: readonly Product[];
  /** What the hair carried when a wash day began, by its local date; empty where the ledger is not known. */
  ground: Ground;
}

const mean = (values: readonly number[]) =>
  values.length ? values.reduce((sum, x) => sum + x, 0) / values.length : null;

function runStep(step: WashStep, as: StepSettings, planned: boolean, weighed: Weighed): RunStep {
  const plan = step.planned;
  return {
    key: step.planStepId,
    slot: step.slot,
    part: plan?.part ?? 'held',
    optional: plan?.optional ?? false,
    tolerance: plan?.tolerance ?? DOSE_TOLERANCE,
    settings: measured(settingsOf(as), weighed),
    code: step.code,
    planned: planned || plan === null ? null : measured(settingsOf(plan), weighed),
    marks: planned ? [] : [...new Set(step.marks.map(({ mark }) => mark))].filter(isChange),
  };
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

/** The state hair came to the wash in: what was read of this half, else of the whole head. */
function beforeOf(day: WashDay, here: ((zoneId: string) => boolean) | null): Run['before'] {
  const found: Partial<Record<Felt, number>> = {};
  for (const { stage, felt } of day.checkIns)
    if (stage === 'before')
      for (const { quality, zoneId, value } of felt)
        if (zoneId === null ? found[quality] === undefined : here?.(zoneId)) found[quality] = value;
  return found;
}

/** A wash day, or each of its halves, as the fairness check reads it, beside its plan. */
export function runsOfDay(sources: FairnessSources, day: WashDay): RunPlan[] {
  const { trial, wearer, file, shelf, ground } = sources;
  const products = new Map(shelf.map((product) => [product.id, product]));
  const weighed = weighedBy(shelf);
  const sideOf = sidesOf(wearer);
  const revealed = wearDate(day.revealAt ?? day.startedAt, wearer.timeZone);
  const until = plusDays(revealed, trial.onDay - 1);
  const days = day.days.filter(({ on }) => on <= until);
  const own = airOf(day);
  const dews = days.flatMap(({ air }) => air?.dewPointC ?? []);
  const winds = days.flatMap(({ air }) => air?.windMs ?? []);
  const byHand =
    own.temperatureC !== null && own.humidity !== null ? dewPoint(own.temperatureC, own.humidity) : null;
  const judged = judgedLooks(day, trial, wearer.timeZone).filter(({ stage }) => stage === 'wear');
  const look = judged.find(({ day: n }) => n === trial.onDay);
  const latest = judged.at(-1);
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
    for (const { kind, on, zoneIds } of happened(day)) {
      const here =
        half === null ||
        zoneIds.length === 0 ||
        zoneIds.some((zone) => [half, 'both'].includes(sideOf(zone)));
      // The night after the day that is judged comes too late to tell.
      const night = eventOf(kind).group === 'night';
      if (here && (night ? on < until : on <= until)) events[kind] = (events[kind] ?? 0) + 1;
    }
    const tested = steps.filter(({ planned }) => planned?.part === 'tested');
    const stakes = new Map(
      tested.flatMap(({ productId }) => {
        const product = productId === null ? undefined : products.get(productId);
        return product && STAKES[product.stake].discloses ? [[product.id, product.stake] as const] : [];
      }),
    );
    const run: Run = {
      side: { is: 'wash day', number: day.position + 1, half },
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
      before: beforeOf(day, half === null ? null : (zoneId) => sideOf(zoneId) === half),
      cameFrom: day.cameFrom ?? null,
      styleMeant: day.styleMeant ?? null,
      enteredLater: day.enteredLater ?? false,
      events,
      nights: Math.max(0, trial.onDay - 1),
      judgedOn: look ? trial.onDay : (latest?.day ?? null),
      rater: look?.rater ?? '',
      blind: trial.blind,
      stakes: [...stakes].map(([productId, stake]) => ({ productId, stake })),
    };
    const plan: Run = {
      ...run,
      side: { is: 'plan' },
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
  const { block } = designOf(trial.design);
  if (block === null) return new Set(broken);
  const blocks = new Set(
    days.filter(({ id }) => broken.has(id)).map(({ position }) => Math.floor(position / block)),
  );
  return new Set(days.filter(({ position }) => blocks.has(Math.floor(position / block))).map(({ id }) => id));
}
