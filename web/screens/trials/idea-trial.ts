import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { IDEAS, type IdeaOfPlan, ideaOfPlan } from '@sabor/core/basin/ideas';
import { SLOTS } from '@sabor/core/step/slots';
import { EMPTY_SETTINGS, settingsOf } from '@sabor/core/step/step';
import { usualDays } from '@sabor/core/trial/designs';
import { capital } from '@sabor/words/numbers';
import { v7 } from 'uuid';

type Prefilled = Pick<
  TrialInput,
  'wearerId' | 'question' | 'design' | 'routineName' | 'plan' | 'arms' | 'washDays'
>;
type Step = TrialDetail['washDayRecords'][number]['steps'][number];
type Idea = Step['ideas'][number];
type ArmStep = TrialInput['arms'][number]['steps'][number];

/** What an idea of a wash day would change in the plan; null where it makes no option by itself. */
export function ideaInPlan(trial: TrialDetail, step: Step, idea: Idea): IdeaOfPlan | null {
  const at = trial.plan.findIndex(({ id }) => id === step.planStepId);
  return at < 0 ? null : ideaOfPlan(idea, step, at, trial.plan.length);
}

/** "Gel first", "add a leave-in": an idea in the words of a trial's second option. */
export const ideaName = (
  { idea, slot, productId }: Pick<Idea, 'idea' | 'slot' | 'productId'>,
  products: readonly Pick<Product, 'id' | 'name'>[],
): string => {
  if (slot !== null) return `with ${SLOTS[slot].label.toLowerCase()} added`;
  return products.find(({ id }) => id === productId)?.name ?? IDEAS[idea].label;
};

/**
 * A trial of an idea that came during the wash: that step as it was done against the same with the idea in it, everything
 * else held as it was. A step that moves stands in the plan twice, each option leaving one of them out; one that is added
 * is left out of the first. Null where the idea is not of this trial or its step is not in the plan.
 */
export function ideaTrial(
  trial: TrialDetail,
  ideaId: string,
  products: readonly Pick<Product, 'id' | 'name'>[] = [],
): Prefilled | null {
  const found = trial.washDayRecords
    .flatMap(({ steps }) => steps)
    .find(({ ideas }) => ideas.some(({ id }) => id === ideaId));
  const idea = found?.ideas.find(({ id }) => id === ideaId);
  const at = trial.plan.findIndex(({ id }) => id === found?.planStepId);
  if (!found || !idea || at < 0) return null;
  const tested = { ...settingsOf(found), part: 'tested' as const };
  const plan: TrialInput['plan'] = trial.plan.map((step, i) => ({
    ...step,
    ...(i === at ? tested : { part: 'held' as const }),
    id: v7(),
  }));
  const here = plan[at]!;
  const change = ideaInPlan(trial, found, idea) ?? { to: 'set', own: {} };
  const own = (step: { id: string }, to: Partial<ArmStep> = {}): ArmStep => ({
    stepId: step.id,
    productId: null,
    dose: null,
    ...to,
  });
  let before: ArmStep[] = [own(here)];
  let after: ArmStep[];
  if (change.to === 'set') {
    const { dose, skipped, productId, ...settings } = change.own;
    if (productId) before = [own(here, { productId: found.productId })];
    after = [
      own(here, {
        ...(dose ? { dose } : {}),
        ...(productId ? { productId } : {}),
        ...(skipped ? { skipped } : {}),
        ...(Object.keys(settings).length ? { settings } : {}),
      }),
    ];
  } else if (change.to === 'move') {
    const there = { ...here, id: v7() };
    plan.splice(change.before, 0, there);
    before = [own(here, { productId: found.productId }), own(there, { skipped: true })];
    after = [own(here, { skipped: true }), own(there, { productId: found.productId })];
  } else {
    const added = { ...here, ...EMPTY_SETTINGS, id: v7(), slot: idea.slot!, note: '' };
    plan[at] = { ...here, part: 'held' };
    plan.splice(at + 1, 0, added);
    before = [own(added, { skipped: true })];
    after = [own(added)];
  }
  const where = SLOTS[found.slot].label.toLowerCase();
  const arm = (name: string, steps: ArmStep[]) => ({ id: v7(), name, steps });
  return {
    wearerId: trial.wearerId,
    question:
      change.to === 'add'
        ? `Is it better ${ideaName(idea, products)}?`
        : `Is ${ideaName(idea, products)} better at the ${where}?`,
    design: 'complete',
    routineName: trial.routineName,
    plan,
    arms: [arm('As it was', before), arm(capital(ideaName(idea, products)), after)],
    washDays: usualDays('complete', 2),
  };
}
