import type { Routine } from '@sabor/contract/routine';
import type { Product } from '@sabor/contract/shelf';
import type { Dose } from '@sabor/core/doses/dose';
import type { Slot } from '@sabor/core/step/slots';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { describe, expect, it } from 'vitest';
import { type Asked, fromTemplate, stepsFor } from './question-template.ts';

const gels = [
  { id: 'g1', name: 'Gel One' },
  { id: 'g2', name: 'Gel Two' },
] as unknown as Product[];
const dose: Dose = { kind: 'exact', amount: 3, measure: 'pump', per: 'head' };
const step = (id: string, slot: Slot, to: object = {}) => ({ ...EMPTY_SETTINGS, id, slot, note: '', ...to });
const routine = {
  name: 'Sunday',
  steps: [
    step('c', 'cleanse', { productId: 'g9' }),
    step('r', 'rinse'),
    step('h', 'hold', { productId: 'g1', dose }),
    step('u', 'leave-in', { dose: { kind: 'unknown' } }),
  ],
} as unknown as Routine;
const plan = (to: Partial<Asked>) =>
  fromTemplate({ template: 'which', routine, stepId: 'h', products: [gels[0], gels[1]], ...to }, gels);

describe('a plan from a question', () => {
  it('sets two products against each other at one step, everything else kept the same', () => {
    const two = plan({})!;
    expect(two.question).toBe('Which does better as hold: Gel One or Gel Two?');
    expect(two.plan.map(({ slot, part }) => [slot, part])).toEqual([
      ['cleanse', 'held'],
      ['rinse', 'held'],
      ['hold', 'tested'],
      ['leave-in', 'held'],
    ]);
    const at = two.plan[2]!.id;
    expect(at).not.toBe('h');
    expect(two.arms.map(({ name, steps }) => [name, steps[0]!.stepId === at, steps[0]!.productId])).toEqual([
      ['Gel One', true, 'g1'],
      ['Gel Two', true, 'g2'],
    ]);
    expect(two).toMatchObject({ design: 'complete', washDays: 12, routineName: 'Sunday' });
  });

  it('sets an amount against half of it', () => {
    const two = plan({ template: 'amount' })!;
    expect(two.question).toBe('Is 1.5 pumps of Gel One enough, or does it take 3 pumps?');
    expect(two.arms.map(({ name, steps }) => [name, steps[0]!.dose])).toEqual([
      ['3 pumps', dose],
      ['1.5 pumps', { ...dose, amount: 1.5 }],
    ]);
  });

  it('leaves a step out, and names the step where it has no product', () => {
    expect(plan({ template: 'without' })!.arms.map(({ name, steps }) => [name, steps[0]!.skipped])).toEqual([
      ['With Gel One', false],
      ['Without Gel One', true],
    ]);
    expect(plan({ template: 'without', stepId: 'u' })!.question).toBe(
      'Is it better with or without the leave-in?',
    );
  });

  it('asks only where it can: an amount needs one, a product a step that takes it', () => {
    const at = (template: Asked['template']) => stepsFor(template, routine).map(({ id }) => id);
    expect([at('which'), at('amount'), at('without')]).toEqual([['c', 'h', 'u'], ['h'], ['c', 'h', 'u']]);
    expect(plan({ template: 'amount', stepId: 'u' })).toBeNull();
    expect(plan({ stepId: 'r' })).toBeNull();
    expect(plan({ products: [gels[0], gels[0]] })).toBeNull();
    expect(plan({ products: [gels[0], undefined] })).toBeNull();
  });
});
