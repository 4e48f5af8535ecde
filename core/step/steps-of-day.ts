import { type ArmStep, settingsInArm } from './in-arm.ts';
import type { StepSettings } from './settings.ts';
import type { Slot } from './slots.ts';
import { settingsOf } from './step.ts';

/** A step of a trial's plan, at its place in the day. */
export interface StepOfPlan extends StepSettings {
  id: string;
  slot: Slot;
  part: 'held' | 'tested' | 'free';
  optional: boolean;
  tolerance: number;
  position: number;
}

/** The steps of a wash day: those under test are done twice on two halves, once for each half with its own arm. */
export function stepsOfDay(
  plan: readonly StepOfPlan[],
  arms: { left: readonly ArmStep[]; right: readonly ArmStep[] | null },
  bySide: boolean,
  newId: () => string,
) {
  const last = Math.max(...plan.filter(({ part }) => part === 'tested').map(({ position }) => position));
  return plan.flatMap((step) => {
    const { id, slot, part, optional, tolerance, position } = step;
    const halves = part === 'tested' && arms.right !== null ? (['left', 'right'] as const) : [null];
    return halves.map((half) => {
      const own = (half === 'right' ? arms.right! : arms.left).find(({ stepId }) => stepId === id);
      const settings = settingsOf(settingsInArm(step, own, half));
      const skipped = own?.skipped ?? false;
      // One side through, then the other: the right one's steps follow the last of the left, in their order.
      const after = bySide ? last + 0.5 + position / 1000 : position + 0.5;
      return {
        id: newId(),
        planStepId: id,
        position: half === 'right' ? after : position,
        half,
        slot,
        status: skipped ? ('skipped' as const) : ('waiting' as const),
        ...settings,
        planned: { ...settings, part, optional, tolerance, skipped },
      };
    });
  });
}
