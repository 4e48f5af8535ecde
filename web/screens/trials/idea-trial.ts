import type { TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { IDEAS, ideaAsArm } from '@sabor/core/basin/ideas';
import { SLOTS } from '@sabor/core/step/slots';
import { settingsOf } from '@sabor/core/step/step';
import { usualDays } from '@sabor/core/trial/designs';
import { v7 } from 'uuid';

type Prefilled = Pick<
  TrialInput,
  'wearerId' | 'question' | 'design' | 'routineName' | 'plan' | 'arms' | 'washDays'
>;

/**
 * A trial of an idea that came during the wash: that step as it was done against the same with the idea in it, everything
 * else held as it was. Null where the idea is not of this trial or its step is not in the plan.
 */
export function ideaTrial(trial: TrialDetail, ideaId: string): Prefilled | null {
  const found = trial.washDayRecords
    .flatMap(({ steps }) => steps)
    .find(({ ideas }) => ideas.some(({ id }) => id === ideaId));
  const idea = found?.ideas.find(({ id }) => id === ideaId)?.idea;
  const from = trial.plan.find(({ id }) => id === found?.planStepId);
  if (!found || !idea || !from) return null;
  const ids = new Map(trial.plan.map(({ id }) => [id, v7()]));
  const stepId = ids.get(from.id)!;
  const plan = trial.plan.map((step) => {
    const own =
      step.id === from.id ? { ...settingsOf(found), part: 'tested' as const } : { part: 'held' as const };
    return { ...step, ...own, id: ids.get(step.id)! };
  });
  const { dose, skipped, ...settings } = ideaAsArm(idea, found);
  const where = SLOTS[found.slot].label.toLowerCase();
  const arm = (name: string, to: Partial<TrialInput['arms'][number]['steps'][number]>) => ({
    id: v7(),
    name,
    steps: [{ stepId, productId: null, dose: null, ...to }],
  });
  return {
    wearerId: trial.wearerId,
    question: `Is ${IDEAS[idea].label} better at the ${where}?`,
    design: 'complete',
    routineName: trial.routineName,
    plan,
    arms: [
      arm('As it was', {}),
      arm(`${IDEAS[idea].label[0]!.toUpperCase()}${IDEAS[idea].label.slice(1)}`, {
        ...(dose ? { dose } : {}),
        ...(skipped ? { skipped } : {}),
        ...(Object.keys(settings).length ? { settings } : {}),
      }),
    ],
    washDays: usualDays('complete', 2),
  };
}
