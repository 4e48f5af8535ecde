import { type ArmStep, type PlannedStep, stepOnArm } from './in-arm.ts';
import { productsUsed } from './mix.ts';

/** The products that come on the head in any option of a plan, each once; one that every option replaces does not. */
export const productsOnHead = (
  plan: readonly PlannedStep[],
  arms: readonly { steps: readonly ArmStep[] }[],
): string[] => {
  const used = plan
    .flatMap((step) => arms.map((arm) => stepOnArm(step, arm)))
    .flatMap((settings) => (settings === 'left out' ? [] : productsUsed(settings)));
  return [...new Set(used.map(({ productId }) => productId))];
};
