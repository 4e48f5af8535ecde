import type { TrialRecord } from '@sabor/core/compare/comparison';
import type { WashDayRecord } from '@sabor/core/compare/wash-day-record';
import { type PricedUse, washCost } from '@sabor/core/shelf/wash-cost';
import type { Product } from './shelf.ts';
import type { TrialDetail } from './trial.ts';
import type { WashDay } from './wash-day.ts';

/** Seed for sampling a set too large to enumerate, where the trial's own is still sealed. */
const ANY_SEED = 1;

function uses(
  washDay: WashDay,
  products: ReadonlyMap<string, Product>,
  only?: ReadonlySet<string>,
): PricedUse[] {
  return washDay.steps.flatMap((step) => {
    if (step.status !== 'done' || step.productId === null) return [];
    if (only && !(step.planStepId && only.has(step.planStepId))) return [];
    const product = products.get(step.productId);
    return {
      productName: product?.name ?? 'A product',
      price: product?.price ?? null,
      currency: product?.currency ?? null,
      sizeMl: product?.sizeMl ?? null,
      dose: step.dose,
      sections: step.sections,
    };
  });
}

/** A trial as the comparison reads it: wash days that were not abandoned, arms as numbers, costs added up. */
export function toTrialRecord(trial: TrialDetail, shelf: readonly Product[]): TrialRecord {
  const products = new Map(shelf.map((product) => [product.id, product]));
  const arm = (id: string | null) => trial.arms.findIndex((known) => known.id === id);
  const tested = new Set(trial.plan.filter((step) => step.part === 'tested').map((step) => step.id));
  const washDays: WashDayRecord[] = trial.washDayRecords
    .filter((day) => day.status === 'worn' || day.status === 'finished')
    .map((day) => ({
      position: day.position,
      arm: arm(day.armId),
      checkIns: day.checkIns,
      wearEnd: day.wearEnd?.kind ?? null,
      cost: washCost(uses(day, products)),
      testedCost: washCost(uses(day, products, tested)),
    }));
  const opened = trial.allocation.filter((id) => id !== null).map(arm);
  return {
    promise: {
      arms: trial.arms.map(({ name }) => name),
      plannedWashDays: trial.washDays,
      primary: trial.primary,
      line: trial.line,
      matters: trial.matters,
      alpha: trial.alpha,
      weights: new Map(trial.weights.map(({ zoneId, weight }) => [zoneId, weight])),
      seed: trial.seed ?? ANY_SEED,
    },
    allocation: opened,
    ended: trial.status === 'finished' ? 'as planned' : trial.status === 'ended' ? 'early' : 'no',
    washDays,
  };
}
