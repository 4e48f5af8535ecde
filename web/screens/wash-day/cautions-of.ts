import type { Product } from '@sabor/contract/shelf';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { cautionsFor } from '@sabor/core/basin/cautions';
import { goodUntil } from '@sabor/core/shelf/period-after-opening';
import { SLOTS } from '@sabor/core/step/slots';
import { localToday } from '@sabor/core/time/today';

/** Whether an opened product is past its months today. */
export const isPast = ({ openedOn, monthsAfterOpening }: Product): boolean => {
  const until = goodUntil(openedOn, monthsAfterOpening);
  return until !== null && until < localToday();
};

/** The cautions that belong to a step on this head. */
export function cautionsOf(
  step: WashStep,
  day: Pick<WashDay, 'steps'>,
  products: readonly Product[],
  wearer: Pick<Wearer, 'underAge'>,
  /** What is said once a day is said at the first step. */
  first: boolean,
): { id: string; says: string }[] {
  const product = products.find(({ id }) => id === step.productId);
  const { warmth, celsius, pull } = step.extra;
  const limits = day.steps
    .filter(({ status, slot }) => status === 'done' && SLOTS[slot].stays)
    .flatMap(({ productId }) => products.find(({ id }) => id === productId)?.heatLimitC ?? []);
  return cautionsFor({
    slot: step.slot,
    heat: step.heat,
    tool: step.tool,
    warmth: typeof warmth === 'string' ? warmth : null,
    product: product
      ? { name: product.name, roles: product.roles, usedBefore: step.usedBefore, past: isPast(product) }
      : null,
    child: wearer.underAge && first,
    celsius: typeof celsius === 'number' ? celsius : null,
    heatLimitC: limits.length ? Math.min(...limits) : null,
    pull: typeof pull === 'string' ? pull : null,
  });
}
