import type { TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { SLOTS } from '@sabor/core/step/slots';
import { usualDays } from '@sabor/core/trial/designs';
import { v7 } from 'uuid';

/** Arms a swap-one follow-up may hold. */
const MOST_ARMS = 6;

/**
 * The follow-up of a bundle: its second arm as it was, and the same with one item of the first arm at a time, so that
 * what carried the bundle can be told. As many items as arms allow, in the routine's order.
 */
export function swapOne(
  trial: TrialDetail,
): Pick<TrialInput, 'wearerId' | 'question' | 'design' | 'routineName' | 'plan' | 'arms' | 'washDays'> {
  const ids = new Map(trial.plan.map(({ id }) => [id, v7()]));
  const plan = trial.plan.map((step) => ({ ...step, id: ids.get(step.id)! }));
  const tested = trial.plan.filter(({ part }) => part === 'tested');
  const [first, base] = trial.arms as [TrialDetail['arms'][number], TrialDetail['arms'][number]];
  const stepsOf = (arm: TrialDetail['arms'][number], swapped: string | null) =>
    tested.flatMap((step) => {
      const from = step.id === swapped ? first : arm;
      const own = from.steps.find(({ stepId }) => stepId === step.id);
      return own ? { ...own, stepId: ids.get(step.id)! } : [];
    });
  const arms = [
    { id: v7(), name: base.name, steps: stepsOf(base, null) },
    ...tested.slice(0, MOST_ARMS - 1).map((step) => ({
      id: v7(),
      name: `${base.name}, ${SLOTS[step.slot].label.toLowerCase()} of ${first.name}`,
      steps: stepsOf(base, step.id),
    })),
  ];
  const design = arms.length > 2 ? 'walk' : 'complete';
  return {
    wearerId: trial.wearerId,
    question: `Which item carried ${first.name} against ${base.name}?`,
    design,
    routineName: trial.routineName,
    plan,
    arms,
    washDays: usualDays(design, arms.length),
  };
}

/** The same trial once more: question, plan and options as they were, with an order of its own to be drawn. */
export function again(
  trial: TrialDetail,
): Pick<
  TrialInput,
  | 'wearerId'
  | 'question'
  | 'design'
  | 'routineName'
  | 'plan'
  | 'arms'
  | 'washDays'
  | 'blind'
  | 'asked'
  | 'judgedFrom'
  | 'judgedTo'
  | 'cadenceDays'
  | 'bySide'
> {
  const ids = new Map(trial.plan.map(({ id }) => [id, v7()]));
  const { wearerId, question, design, routineName, washDays, blind, asked, judgedFrom, judgedTo } = trial;
  return {
    ...{ wearerId, question, design, routineName, washDays, blind, asked, judgedFrom, judgedTo },
    cadenceDays: trial.cadenceDays,
    bySide: trial.bySide,
    plan: trial.plan.map((step) => ({ ...step, id: ids.get(step.id)! })),
    arms: trial.arms.map(({ name, steps }) => ({
      id: v7(),
      name,
      steps: steps.map((step) => ({ ...step, stepId: ids.get(step.stepId)! })),
    })),
  };
}
