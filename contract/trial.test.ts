import { EMPTY_SETTINGS } from '@sabor/core/step/step';
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

  it('keeps ratings to their scale, and lets what is measured have its own', () => {
    expect(faults({ line: 11 })).toEqual([
      { path: 'line', message: 'The good-enough value cannot be over 10.' },
    ]);
    expect(faults({ primary: 'clumps:2', matters: 12 })).toEqual([
      { path: 'matters', message: 'The difference worth switching for cannot be over 10.' },
    ]);
    expect(faults({ primary: 'silhouette:more', line: 640, matters: 25 })).toEqual([]);
    expect(faults({ primary: 'volume:more', line: 5000, matters: 300, design: 'half' })[0]).toEqual({
      path: 'primary',
      message: 'Volume index is of a whole head. Choose another main result for half-heads.',
    });
    expect(faults({ primary: 'silhouette:up' as 'silhouette:more' })[0]!.path).toBe('primary');
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
        message: 'Same uses the same as Usual. Give it another product, amount or setting.',
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
      'Six options are the most one head can carry.',
    );
    expect(faults({ arms: many(3), washDays: 8 })).toEqual([
      { path: 'washDays', message: '8 wash days do not split evenly over 3 options. Plan 6 or 9.' },
    ]);
  });

  it.each([
    [{ line: 11 }, 'line', 'The good-enough value cannot be over 10.'],
    [{ line: Number.NaN }, 'line', 'The good-enough value must be a number.'],
    [{ matters: 0 }, 'matters', 'The difference worth switching for must be more than 0.'],
    [{ washDays: 3.5 }, 'washDays', 'The number of wash days must be a whole number.'],
    [{ washDays: 42 }, 'washDays', 'The number of wash days cannot be over 40.'],
    [{ wearDays: 0 }, 'wearDays', 'The days worn cannot be under 1.'],
    [{ wearerId: '' }, 'wearerId', 'Choose whose hair is tested.'],
    [{ plan: [] }, 'plan', 'Choose a routine with at least one step.'],
    [{ question: 'x'.repeat(301) }, 'question', 'Keep the question under 300 characters.'],
  ])('with %j is refused at its field', (to, path, message) => {
    expect(faults(to)).toContainEqual({ path, message });
  });
});

describe('a plan and its design', () => {
  const paths = (to: Partial<TrialInput>) => faults(to).map(({ path }) => path);
  const dose = (amount: number) => ({ kind: 'exact', amount, measure: 'ml', per: 'head' }) as const;

  it('go together in arms and wash days', () => {
    expect(faults({ design: 'half' })).toEqual([]);
    expect(paths({ design: 'half-three' })).toEqual(['arms']);
    expect(paths({ design: 'blocks', washDays: 10 })).toEqual(['washDays']);
    expect(faults({ design: 'factorial', washDays: 8 })[0]!.message).toContain('four options');
  });

  it('are judged on a day that is worn, a refresh from day 2', () => {
    expect(paths({ onDay: 6 })).toEqual(['onDay']);
    expect(paths({ design: 'refresh', onDay: 1 })).toEqual(['onDay']);
    expect(faults({ design: 'refresh', onDay: 2 })).toEqual([]);
  });

  it('with one arm are neither blind nor looked at twice, and need nothing under test', () => {
    const one = { arms: [arm('Same')], washDays: 4, plan: [held] };
    expect(faults({ ...one, design: 'repeat-same' })).toEqual([]);
    expect(paths({ ...one, design: 'halves-same', blind: true, looks: 2 })).toEqual(['blind', 'looks']);
  });

  it('seek one dose in a run-in, from an amount', () => {
    const one = { design: 'dose-run-in' as const, washDays: 4, arms: [arm('Gel', gel)] };
    expect(paths({ ...one, plan: [held] })).toEqual(['plan']);
    expect(paths({ ...one, plan: [held, tested] })).toEqual(['arms.0.steps']);
    expect(faults({ ...one, plan: [held, { ...tested, dose: dose(8) }] })).toEqual([]);
  });

  it('are blind only where the arms differ in the bottle alone', () => {
    expect(faults({ blind: true })).toEqual([]);
    const foamArm = arm('Foam', foam);
    const [step] = foamArm.steps;
    const differs = (to: object) =>
      paths({ blind: true, arms: [arm('Gel', gel), { ...foamArm, steps: [{ ...step!, ...to }] }] });
    expect(differs({ dose: dose(20) })).toEqual(['blind']);
    expect(differs({ skipped: true })).toEqual(['blind']);
    expect(differs({ settings: { wetness: 'damp' } })).toEqual(['blind']);
  });

  it('may set arms apart by technique alone, or by leaving a step out', () => {
    const [first] = arm('Rake', null).steps;
    const plan = [held, { ...tested, productId: gel }];
    const by = (name: string, to: object) => ({ id: v7(), name, steps: [{ ...first!, ...to }] });
    expect(
      faults({
        plan,
        arms: [
          by('Rake', { settings: { technique: 'rake' } }),
          by('Scrunch', { settings: { technique: 'scrunch' } }),
        ],
      }),
    ).toEqual([]);
    expect(
      faults({ plan, arms: [by('With', { productId: gel }), by('Without', { skipped: true })] }),
    ).toEqual([]);
    expect(
      paths({
        plan,
        arms: [
          by('One', { settings: { technique: 'rake' } }),
          by('Two', { settings: { technique: 'rake' } }),
        ],
      }),
    ).toEqual(['arms.1.steps']);
  });

  it('take only settings a slot can have', () => {
    expect(paths({ plan: [{ ...held, extra: { rounds: 9 } }, tested] })).toEqual(['plan.0.extra.rounds']);
    expect(paths({ plan: [{ ...held, extra: { nonsense: 1 } as never }, tested] })).toEqual([
      'plan.0.extra.nonsense',
    ]);
    expect(paths({ plan: [{ ...held, tolerance: 2 }, tested] })).toEqual(['plan.0.tolerance']);
  });
});
