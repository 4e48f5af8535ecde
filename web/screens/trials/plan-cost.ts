import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { washCost } from '@sabor/core/shelf/wash-cost';
import { stepOnArm } from '@sabor/core/step/in-arm';
import { productsUsed } from '@sabor/core/step/mix';
import { calibratedFor, weighedBy } from '@sabor/core/step/weighed';

/** What the plan's wash days cost in product, in words; null where prices are missing or mixed. */
export function costOfPlan(value: TrialInput, products: readonly Product[]): string | null {
  const shelf = new Map(products.map((product) => [product.id, product]));
  const weighed = weighedBy(products);
  const perArm = value.arms.map((arm) =>
    washCost(
      value.plan.flatMap((step) => {
        const settings = stepOnArm(step, arm);
        if (settings === 'left out') return [];
        const { sections } = settings;
        return productsUsed(settings).flatMap(({ productId, dose }) => {
          const product = shelf.get(productId);
          if (!product) return [];
          const { name, price, currency, sizeMl } = product;
          const calibrated = calibratedFor(weighed, productId, dose);
          return { productName: name, price, currency, sizeMl, dose, sections, calibrated };
        });
      }),
    ),
  );
  const [first] = perArm;
  if (!first || perArm.some(({ cost, currency }) => cost === null || currency !== first.currency))
    return null;
  const mean = perArm.reduce((sum, { cost }) => sum + cost!.usual, 0) / perArm.length;
  const total = mean * value.washDays;
  return `${first.currency} ${total.toFixed(2)} of product`;
}
