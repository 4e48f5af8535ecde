import type { HairFile } from '@sabor/contract/hair-file';
import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import { counted } from '@sabor/words/numbers';
import { showMoney } from '../../ui/show.ts';

/** What is under test in a plan, by its options. */
const testedProducts = ({ plan, arms }: TrialInput): Set<string> => {
  const tested = new Set(plan.filter(({ part }) => part === 'tested').map(({ id }) => id));
  return new Set(
    arms.flatMap(({ steps }) =>
      steps.flatMap(({ stepId, productId }) => (productId && tested.has(stepId) ? [productId] : [])),
    ),
  );
};

/** Where a plan cannot answer what the wearer wants, or tests what would not be bought, a sentence each. */
export function againstWishes(
  value: TrialInput,
  { styleDays, budget, currency }: HairFile['wishes'],
  products: readonly Product[],
): string[] {
  const says: string[] = [];
  if (styleDays !== null && value.wearDays >= 1 && value.wearDays < styleDays)
    says.push(
      `A style must last ${counted(styleDays, 'day')} on this head. Worn ${counted(value.wearDays, 'day')}, nobody sees whether it does.`,
    );
  if (budget !== null && currency !== null)
    for (const id of testedProducts(value)) {
      const product = products.find((known) => known.id === id);
      if (product?.currency === currency && product.price !== null && product.price > budget)
        says.push(
          `${product.name} costs ${showMoney(product.price, currency)}, over this head’s ${showMoney(budget, currency)} for one product.`,
        );
    }
  return says;
}
