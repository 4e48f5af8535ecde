import { EMPTY_SETTINGS } from '@sabor/core/routine/step';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { fieldsOf } from './problem.ts';
import { TrialInput } from './trial.ts';

const held = { ...EMPTY_SETTINGS, id: v7(), slot: 'cleanse' as const, note: '', part: 'held' as const };
const tested = { ...EMPTY_SETTINGS, id: v7(), slot: 'hold' as const, note: '', part: 'tested' as const };
const second = { ...EMPTY_SETTINGS, id: v7(), slot: 'leave-in' as const, note: '', part: 'tested' as const };
const [gel, foam, mist] = [v7(), v7(), v7()];
const arm = (name: string, ...products: (string | null)[]) => ({
  id: v7(),
  name,
  steps: products.map((productId, i) => ({ stepId: [tested, second][i]!.id, productId, dose: null })),
});

function input(to: Partial<TrialInput> = {}): TrialInput {
  return {
    id: v7(),
    wearerId: v7(),
    question: 'Which?',
    routineName: 'Routine',
    plan: [held, tested],
    arms: [arm('Gel', gel), arm('Foam', foam)],
    primary: 'definition',
    line: 6,
    matters: 1,
    washDays: 8,
    wearDays: 5,
    weights: [{ zoneId: v7(), weight: 1 }],
    ...to,
  };
}

const faults = (to: Partial<TrialInput>) => {
  const result = v.safeParse(TrialInput, input(to));
  return result.success ? [] : fieldsOf(result.issues);
};

describe('a plan', () => {
  it('with two arms that differ is sound', () => {
    expect(faults({})).toEqual([]);
  });

  it('may compare doses of one product', () => {
    const dose = { kind: 'exact', amount: 5, measure: 'ml', per: 'head' } as const;
    const little = { ...arm('Little', gel), steps: [{ stepId: tested.id, productId: gel, dose }] };
    expect(faults({ arms: [arm('Usual', gel), little] })).toEqual([]);
  });

  it('sees through a dose that only repeats the plan’s', () => {
    const dose = { kind: 'exact', amount: 5, measure: 'ml', per: 'head' } as const;
    const dosed = { ...tested, dose };
    const same = { ...arm('Same', gel), steps: [{ stepId: tested.id, productId: gel, dose }] };
    expect(faults({ plan: [held, dosed], arms: [arm('Usual', gel), same] })).toEqual([
      {
        path: 'arms.1.steps',
        message: 'Same uses the same as Usual. Give it another product, dose or setting.',
      },
    ]);
  });

  it('needs every tested step filled in every arm', () => {
    const two = { plan: [held, tested, second] };
    expect(faults({ ...two, arms: [arm('A', gel, mist), arm('B', foam, mist)] })).toEqual([]);
    expect(faults({ ...two, arms: [arm('A', gel, mist), arm('B', foam)] })).toEqual([
      { path: 'arms.1.steps', message: 'Choose what B uses in every tested step.' },
    ]);
    expect(faults({ ...two, arms: [arm('A', gel, null), arm('B', foam, mist)] })[0]?.path).toBe(
      'arms.0.steps',
    );
  });

  it('differs when one of two tested steps does', () => {
    const two = { plan: [held, tested, second] };
    expect(faults({ ...two, arms: [arm('A', gel, mist), arm('B', gel, foam)] })).toEqual([]);
    expect(faults({ ...two, arms: [arm('A', gel, mist), arm('B', gel, mist)] })[0]?.message).toContain(
      'the same as A',
    );
  });

  it('takes up to six arms, and wash days that split over them', () => {
    const many = (n: number) => Array.from({ length: n }, (_, i) => arm(`Arm ${i}`, v7()));
    expect(faults({ arms: many(6), washDays: 12 })).toEqual([]);
    expect(faults({ arms: many(7), washDays: 14 })[0]?.message).toBe(
      'Six arms are the most one head can carry.',
    );
    expect(faults({ arms: many(3), washDays: 8 })).toEqual([
      { path: 'washDays', message: '8 wash days do not split evenly over 3 arms. Plan 6 or 9.' },
    ]);
  });

  it.each([
    [{ line: 11 }, 'line', 'The wearer’s line cannot be over 10.'],
    [{ line: Number.NaN }, 'line', 'The wearer’s line must be a number.'],
    [{ matters: 0 }, 'matters', 'The smallest difference that matters must be more than 0.'],
    [{ washDays: 3.5 }, 'washDays', 'The number of wash days must be a whole number.'],
    [{ washDays: 42 }, 'washDays', 'The number of wash days cannot be over 40.'],
    [{ wearDays: 0 }, 'wearDays', 'The days of wear cannot be under 1.'],
    [{ wearerId: '' }, 'wearerId', 'Choose whose hair is tested.'],
    [{ plan: [] }, 'plan', 'Choose a routine with at least one step.'],
    [{ question: 'x'.repeat(301) }, 'question', 'Keep the question under 300 characters.'],
  ])('with %j is refused at its field', (to, path, message) => {
    expect(faults(to)).toContainEqual({ path, message });
  });
});
