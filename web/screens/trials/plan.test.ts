import type { HairFile } from '@sabor/contract/hair-file';
import type { Product } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { describe, expect, it } from 'vitest';
import { againstWishes } from './against-wishes.ts';
import { fitDays, turnedTo } from './design-part.tsx';
import { again, swapOne } from './follow-up.ts';
import { costOfPlan } from './plan-cost.ts';

const g = (amount: number) => ({ kind: 'exact', amount, measure: 'g', per: 'head' }) as const;
const use = (stepId: string, productId: string) => ({
  stepId,
  productId,
  dose: null,
  skipped: false,
  settings: {},
});
const step = (id: string, slot: 'leave-in' | 'hold', part: 'held' | 'tested') => ({
  ...EMPTY_SETTINGS,
  id,
  slot,
  part,
  dose: g(10),
  note: '',
  optional: false,
  tolerance: 0.2,
});
const input = {
  design: 'complete',
  plan: [step('s1', 'leave-in', 'tested'), step('s2', 'hold', 'tested')],
  arms: [
    { id: 'a', name: 'Line A', steps: [use('s1', 'a1'), use('s2', 'a2')] },
    { id: 'b', name: 'Line B', steps: [use('s1', 'b1'), use('s2', 'b2')] },
  ],
  washDays: 8,
} as unknown as TrialInput;
const blank = (n: number) => ({ id: `new ${n}`, name: `Arm ${n}`, steps: [] });

describe('a plan turned to another design', () => {
  it('fills or cuts its arms and takes wash days that go with it', () => {
    const three = turnedTo(input, 'half-three', blank);
    expect(three.arms.map(({ name }) => name)).toEqual(['Line A', 'Line B', 'Arm 2']);
    expect(three.washDays).toBe(12);
    const one = turnedTo({ ...input, blind: true, looks: 2 }, 'repeat-same', blank);
    expect(one).toMatchObject({ blind: false, looks: 1, washDays: 4 });
    expect(one.arms).toHaveLength(1);
    expect(turnedTo(input, 'refresh', blank).onDay).toBe(2);
  });

  it('keeps its wash days where they fit, and goes up where not', () => {
    expect(fitDays(input).washDays).toBe(8);
    expect(fitDays({ ...input, arms: [...input.arms, blank(2)] }).washDays).toBe(9);
  });
});

describe('a swap-one follow-up', () => {
  it('sets the second arm beside itself with one item of the first at a time', () => {
    const plan = swapOne({ ...input, routineName: 'R', wearerId: 'w' } as unknown as TrialDetail);
    expect(plan.arms.map(({ name }) => name)).toEqual([
      'Line B',
      'Line B, leave-in of Line A',
      'Line B, hold of Line A',
    ]);
    expect(plan.arms.map(({ steps }) => steps.map(({ productId }) => productId))).toEqual([
      ['b1', 'b2'],
      ['a1', 'b2'],
      ['b1', 'a2'],
    ]);
    expect(plan.design).toBe('walk');
    expect(new Set(plan.plan.map(({ id }) => id)).has('s1')).toBe(false);
    const ids = plan.plan.map(({ id }) => id);
    for (const arm of plan.arms) expect(arm.steps.map(({ stepId }) => stepId)).toEqual(ids);
  });
});

describe('the same trial once more', () => {
  it('keeps question, plan and options, with ids of its own', () => {
    const once = {
      ...input,
      wearerId: 'w',
      question: 'Which?',
      routineName: 'R',
      blind: false,
    } as unknown as TrialDetail;
    const plan = again(once);
    expect(plan).toMatchObject({ question: 'Which?', wearerId: 'w', washDays: 8 });
    expect(plan.plan.map(({ slot, part }) => [slot, part])).toEqual([
      ['leave-in', 'tested'],
      ['hold', 'tested'],
    ]);
    const ids = plan.plan.map(({ id }) => id);
    expect(ids).not.toContain('s1');
    for (const arm of plan.arms) expect(arm.steps.map(({ stepId }) => stepId)).toEqual(ids);
    expect(plan.arms.map(({ steps }) => steps[0]!.productId)).toEqual(['a1', 'b1']);
  });
});

describe('a plan against what the wearer wants', () => {
  const shelf = [
    { id: 'a1', name: 'Dear', price: 30, currency: 'EUR' },
    { id: 'b1', name: 'Fair', price: 20, currency: 'EUR' },
    { id: 'a2', name: 'Foreign', price: 90, currency: 'USD' },
  ] as Product[];
  const wishes = { styleDays: 5, budget: 20, currency: 'EUR' } as HairFile['wishes'];

  it('says where it cannot see how long a style lasts, and what would not be bought', () => {
    expect(
      againstWishes({ ...input, wearDays: 3 }, wishes, shelf).map((says) => says.replaceAll('\u00a0', ' ')),
    ).toEqual([
      'A style must last 5 days on this head. Worn 3 days, nobody sees whether it does.',
      'Dear costs EUR 30.00, over this head’s EUR 20.00 for one product.',
    ]);
  });

  it('is silent where nothing is wished, met, or not under test', () => {
    expect(againstWishes({ ...input, wearDays: 5 }, { ...wishes, budget: 30 }, shelf)).toEqual([]);
    expect(
      againstWishes({ ...input, wearDays: 1 }, { ...wishes, styleDays: null, budget: null }, shelf),
    ).toEqual([]);
    const held = { ...input, plan: input.plan.map((one) => ({ ...one, part: 'held' as const })) };
    expect(againstWishes({ ...held, wearDays: 5 }, wishes, shelf)).toEqual([]);
  });
});

describe('what a plan costs', () => {
  const shelf = ['a1', 'a2', 'b1', 'b2'].map((id) => ({
    id,
    name: id,
    price: 10,
    currency: 'EUR',
    sizeMl: 100,
  })) as Product[];

  it('adds up the arms over the wash days', () => {
    expect(costOfPlan(input, shelf)).toBe('EUR 16.00 of product');
  });

  it('is not told where prices are missing in an arm or mixed', () => {
    expect(costOfPlan(input, [])).toBeNull();
    const mixed = shelf.map((product) => (product.id === 'b2' ? { ...product, currency: 'USD' } : product));
    expect(costOfPlan(input, mixed)).toBeNull();
  });
});
