import type { Product } from '@sabor/contract/shelf';
import type { WashStep } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { cautionsFor } from '@sabor/core/basin/cautions';
import { goodUntil } from '@sabor/core/shelf/period-after-opening';
import { localToday } from '@sabor/core/time/today';

/** Whether an opened product is past its months today. */
export const isPast = ({ openedOn, monthsAfterOpening }: Product): boolean => {
  const until = goodUntil(openedOn, monthsAfterOpening);
  return until !== null && until < localToday();
};

/** The cautions that belong to a step on this head. */
export function cautionsOf(
  step: WashStep,
  products: readonly Product[],
  wearer: Pick<Wearer, 'underAge'>,
  /** What is said once a day is said at the first step. */
  first: boolean,
): { id: string; says: string }[] {
  const product = products.find(({ id }) => id === step.productId);
  const { warmth } = step.extra;
  return cautionsFor({
    slot: step.slot,
    heat: step.heat,
    tool: step.tool,
    warmth: typeof warmth === 'string' ? warmth : null,
    product: product
      ? { name: product.name, roles: product.roles, usedBefore: step.usedBefore, past: isPast(product) }
      : null,
    child: wearer.underAge && first,
  });
}
