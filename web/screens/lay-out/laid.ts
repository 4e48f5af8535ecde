import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Dose } from '@sabor/core/doses/dose';
import { inArm } from '@sabor/core/step/in-arm';
import { productsUsed } from '@sabor/core/step/mix';
import type { Slot } from '@sabor/core/step/slots';

/** One product that is laid out for a wash day. */
export interface Laid {
  key: string;
  slot: Slot;
  tested: boolean;
  product: Product;
  dose: Dose | null;
  sections: number | null;
}

/** What the next wash day needs of the shelf: held products, and every arm's own while its lot is sealed. */
export function laidOut(trial: TrialDetail, products: readonly Product[]): Laid[] {
  const shelf = new Map(products.map((product) => [product.id, product]));
  return trial.plan.flatMap((step) => {
    const sides =
      step.part === 'tested'
        ? trial.arms.map((arm) => {
            const settings = inArm(
              step,
              arm.steps.find(({ stepId }) => stepId === step.id),
            );
            return settings === 'left out' ? null : settings;
          })
        : [step];
    const seen = new Set<string>();
    return sides.flatMap((side) =>
      (side ? productsUsed(side) : []).flatMap(({ productId, dose }) => {
        const product = shelf.get(productId);
        if (!product || seen.has(productId)) return [];
        seen.add(productId);
        const { slot, sections } = step;
        return {
          key: `${step.id} ${productId}`,
          slot,
          tested: step.part === 'tested',
          product,
          dose,
          sections,
        };
      }),
    );
  });
}

/** Minutes from the first step to the wash, on the days that told both. */
export const minutesUntilWashed = (days: TrialDetail['washDayRecords']): number[] =>
  days.flatMap(({ startedAt, washedAt }) =>
    washedAt === null || washedAt <= startedAt ? [] : (Date.parse(washedAt) - Date.parse(startedAt)) / 60_000,
  );
