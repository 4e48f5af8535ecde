import type { TrialInput } from '@sabor/contract/trial';
import { productsUsed } from '@sabor/core/routine/mix';

/** What a step of the plan puts on the head in one arm: products and home mixes, a dose each; nothing where it is left out. */
export function usedInArm(
  step: TrialInput['plan'][number],
  arm: TrialInput['arms'][number],
): ReturnType<typeof productsUsed> {
  const own = step.part === 'tested' ? arm.steps.find(({ stepId }) => stepId === step.id) : undefined;
  if (own?.skipped) return [];
  return productsUsed({
    productId: own?.productId ?? step.productId,
    dose: own?.dose ?? step.dose,
    extra: { ...step.extra, ...own?.settings?.extra },
  });
}
