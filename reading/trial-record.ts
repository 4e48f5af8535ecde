import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { minutesOfDay } from '@sabor/core/basin/minutes';
import { PROMISES, type Promised, type TrialRecord } from '@sabor/core/compare/trial-record';
import type { WashDayRecord } from '@sabor/core/compare/wash-day-record';
import type { Dose } from '@sabor/core/doses/dose';
import { type PricedUse, washCost } from '@sabor/core/shelf/wash-cost';
import { productsUsed } from '@sabor/core/step/mix';
import { calibratedFor, type Weighed, weighedBy } from '@sabor/core/step/weighed';
import { codeOfArms, DESIGNS } from '@sabor/core/trial/designs';
import { type Half, looksOf, toldOf } from './looks-of.ts';
import { withMain, withMeasured, withNearness } from './main-of.ts';
import { sidesOf } from './side-of.ts';

const ENDED: Record<TrialDetail['status'], TrialRecord['ended']> = {
  planned: 'no',
  running: 'no',
  finished: 'as planned',
  ended: 'early',
};

function uses(
  washDay: WashDay,
  products: ReadonlyMap<string, Product>,
  weighed: Weighed,
  half: 'left' | 'right' | null,
  only?: ReadonlySet<string>,
): PricedUse[] {
  return washDay.steps.flatMap((step) => {
    if (step.status !== 'done') return [];
    if (half !== null && step.half !== null && step.half !== half) return [];
    if (only && !(step.planStepId && only.has(step.planStepId))) return [];
    const used: { productId: string | null; dose: Dose | null }[] =
      step.code === null ? productsUsed(step) : [{ productId: null, dose: step.dose }];
    const priced = used.map(({ productId, dose }) => {
      const product = productId === null ? undefined : products.get(productId);
      return {
        productName: product?.name ?? (step.code === null ? 'A product' : `Code ${step.code}`),
        price: product?.price ?? null,
        currency: product?.currency ?? null,
        sizeMl: product?.sizeMl ?? null,
        dose,
        sections: step.sections,
        calibrated: calibratedFor(weighed, productId, dose),
      };
    });
    // A half takes half a dose; what an arm costs is told for a whole head of it.
    return half !== null && step.half !== null ? [...priced, ...priced] : priced;
  });
}

/** Promises that were changed once anything had been read of the hair. */
function changedLate({ amendments, washDayRecords }: TrialDetail): Promised[] {
  const looks = washDayRecords.flatMap(({ checkIns }) => checkIns.map(({ at }) => Date.parse(at)));
  const first = Math.min(...looks);
  const late = amendments.filter(({ slot, at }) => slot === null && Date.parse(at) > first);
  const changed = late.flatMap(({ changes }) => changes.map(({ setting }) => setting as string));
  return [...new Set(changed.filter((setting): setting is Promised => setting in PROMISES))];
}

/** Whether the arms' results could be seen before the trial was over; a promised look does not count. */
function openedEarly({ outcomesShownAt, lookedAt, endedAt }: TrialDetail): boolean {
  if (outcomesShownAt === null) return false;
  const shown = Date.parse(outcomesShownAt);
  if (lookedAt !== null && shown >= Date.parse(lookedAt)) return false;
  return endedAt === null || shown < Date.parse(endedAt);
}

/**
 * A trial as the comparison reads it: wash days that were not abandoned, arms as numbers, costs added up. In half-head
 * designs each half is a record of its own, with the ratings and curls of its side. Ratings of a zone after a spot refresh
 * there no longer test the wash-day product and are left out. `leaveOut` are wash days left aside, which makes it a second analysis.
 */
export function toTrialRecord(
  asKept: TrialDetail,
  shelf: readonly Product[],
  wearer: Pick<Wearer, 'zones' | 'curls' | 'timeZone'>,
  leaveOut: ReadonlySet<string> = new Set(),
): TrialRecord {
  const trial = withMeasured(asKept, wearer);
  const products = new Map(shelf.map((product) => [product.id, product]));
  const weighed = weighedBy(shelf);
  const sideOf = sidesOf(wearer);
  const arm = (id: string | null) => trial.arms.findIndex((known) => known.id === id);
  const tested = new Set(trial.plan.filter((step) => step.part === 'tested').map((step) => step.id));
  const halves = DESIGNS[trial.design].halves;
  const atLook = trial.looks === 2 && trial.lookedAt !== null && trial.status !== 'finished';
  // A promised look reads what stood there when it was taken, and nothing after it.
  const looked = (day: WashDay) =>
    !atLook || (day.wearEnd !== null && Date.parse(day.wearEnd.at) <= Date.parse(trial.lookedAt!));
  const washDays = trial.washDayRecords
    .filter(
      (day) => (day.status === 'worn' || day.status === 'finished') && looked(day) && !leaveOut.has(day.id),
    )
    .flatMap((day): WashDayRecord[] => {
      const record = (half: Half | null): WashDayRecord => {
        const told = toldOf(day, wearer, half);
        return {
          position: day.position,
          arm: arm(half === 'right' ? (day.rightArmId ?? day.armId) : day.armId),
          half,
          ...withMain(looksOf(withNearness(day, trial.primary), trial, wearer, half), told, trial),
          ...told,
          // A wash day told afterwards has nobody's clock.
          minutes:
            half === null && !day.enteredLater
              ? minutesOfDay(day.steps, day.startedAt)
              : { dry: null, handsOn: null },
          shed: half === null ? day.shedHairs : null,
          cost: washCost(uses(day, products, weighed, half)),
          testedCost: washCost(uses(day, products, weighed, half, tested)),
        };
      };
      return halves ? [record('left'), record('right')] : [record(null)];
    });
  const opened = trial.allocation
    .filter((lot) => lot !== null)
    .map(({ left, right }) => codeOfArms(trial.design, arm(left), arm(right)));
  return {
    promise: {
      design: trial.design,
      arms: trial.arms.map(({ name }) => name),
      plannedWashDays: trial.washDays,
      primary: trial.primary,
      onDay: trial.onDay,
      wearDays: trial.wearDays,
      line: trial.line,
      matters: trial.matters,
      alpha: trial.alpha,
      weights: new Map(trial.weights.map(({ zoneId, weight }) => [zoneId, weight])),
      sides: new Map(trial.weights.map(({ zoneId }) => [zoneId, sideOf(zoneId)])),
      looks: trial.looks,
    },
    allocation: opened,
    ended: atLook ? 'look' : ENDED[trial.status],
    washDays,
    changed: changedLate(trial),
    abandoned: trial.washDayRecords
      .filter(({ status }) => status === 'abandoned')
      .map(({ position, abandonReason, revealAt, checkIns }) => ({
        position,
        reason: abandonReason ?? '',
        revealed: revealAt !== null || checkIns.some(({ stage }) => stage === 'wear'),
      })),
    leftOut: trial.washDayRecords.filter(({ id }) => leaveOut.has(id)).map(({ position }) => position),
    openedEarly: openedEarly(trial),
  };
}
