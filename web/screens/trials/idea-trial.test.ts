import type { TrialDetail } from '@sabor/contract/trial-record';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { NOTHING_TOLD } from '@sabor/reading/nothing-told';
import { describe, expect, it } from 'vitest';
import { ideaInPlan, ideaTrial } from './idea-trial.ts';

const g = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;
const planned = (id: string, part: 'held' | 'tested') => ({
  ...EMPTY_SETTINGS,
  id,
  slot: 'hold',
  part,
  note: '',
  optional: false,
  tolerance: 0.2,
});
const done = (planStepId: string | null, ideas: object[]) => ({
  ...EMPTY_SETTINGS,
  ...NOTHING_TOLD,
  planStepId,
  slot: 'hold',
  productId: 'gel',
  dose: g(12),
  wetness: 'wet',
  ideas: ideas.map((idea) => ({ slot: null, productId: null, ...idea })),
});
const trial = {
  wearerId: 'w',
  routineName: 'R',
  plan: [planned('s1', 'held'), planned('s2', 'tested')],
  washDayRecords: [
    {
      steps: [
        done('s1', [{ id: 'i1', idea: 'less', at: '' }]),
        done('s2', [
          { id: 'i2', idea: 'wetter', at: '' },
          { id: 'i3', idea: 'other-role', at: '' },
          { id: 'i5', idea: 'earlier', at: '' },
          { id: 'i6', idea: 'later', at: '' },
          { id: 'i8', idea: 'other-product', productId: 'g2', at: '' },
          { id: 'i7', idea: 'add-step', slot: 'leave-in', at: '' },
        ]),
        done(null, [{ id: 'i4', idea: 'more', at: '' }]),
      ],
    },
  ],
} as unknown as TrialDetail;

const step2 = (idea: 'later') => ({ id: 'x', idea, slot: null, productId: null, at: '' });

describe('a trial of an idea', () => {
  it('sets another product that was named against the one in use', () => {
    const plan = ideaTrial(trial, 'i8', [{ id: 'g2', name: 'Gel Two' }])!;
    expect(plan.question).toBe('Is Gel Two better at the hold?');
    expect(plan.arms.map(({ name, steps }) => [name, steps[0]!.productId])).toEqual([
      ['As it was', 'gel'],
      ['Gel Two', 'g2'],
    ]);
  });

  it('tests that step alone, as it was done against the same with the idea in it', () => {
    const plan = ideaTrial(trial, 'i1')!;
    expect(plan.question).toBe('Is less better at the hold?');
    expect(plan.plan.map(({ part }) => part)).toEqual(['tested', 'held']);
    expect(plan.plan[0]).toMatchObject({ productId: 'gel', dose: g(12) });
    expect(plan.arms.map(({ name }) => name)).toEqual(['As it was', 'Less']);
    expect(plan.arms[0]!.steps[0]).toMatchObject({ stepId: plan.plan[0]!.id, dose: null });
    expect(plan.arms[1]!.steps[0]!.dose).toEqual(g(8));
  });

  it('sets what is no dose as a setting of its arm, and leaves to the tester what is neither', () => {
    expect(ideaTrial(trial, 'i2')!.arms[1]!.steps[0]).toMatchObject({ settings: { wetness: 'soaking' } });
    expect(ideaTrial(trial, 'i3')!.arms[1]!.steps[0]!.settings).toBeUndefined();
  });

  it('of a step at another place has it there twice, each option leaving one out', () => {
    const plan = ideaTrial(trial, 'i5')!;
    expect(plan.plan.map(({ part }) => part)).toEqual(['tested', 'held', 'tested']);
    const [there, , here] = plan.plan;
    const skips = plan.arms.map(({ steps }) =>
      steps.filter(({ skipped }) => skipped).map(({ stepId }) => stepId),
    );
    expect(skips).toEqual([[there!.id], [here!.id]]);
    // The last step cannot come later.
    expect(ideaInPlan(trial, trial.washDayRecords[0]!.steps[1]!, step2('later'))).toBeNull();
    expect(ideaInPlan(trial, trial.washDayRecords[0]!.steps[0]!, step2('later'))).toEqual({
      to: 'move',
      before: 2,
    });
  });

  it('of a step that is added puts it after this one, left out of the first option', () => {
    const plan = ideaTrial(trial, 'i7')!;
    expect(plan.question).toBe('Is it better with leave-in added?');
    expect(plan.plan.map(({ slot, part }) => `${slot} ${part}`)).toEqual([
      'hold held',
      'hold held',
      'leave-in tested',
    ]);
    expect(plan.arms.map(({ name, steps }) => [name, steps[0]!.skipped ?? false])).toEqual([
      ['As it was', true],
      ['With leave-in added', false],
    ]);
  });

  it('is none for an unknown idea or a step the plan does not have', () => {
    expect(ideaTrial(trial, 'nowhere')).toBeNull();
    expect(ideaTrial(trial, 'i4')).toBeNull();
  });
});
