import { describe, expect, it } from 'vitest';
import { carriedBy } from './carried.ts';
import { asked, madeUp } from './made-up-trials.ts';
import type { BoardTrial } from './read.ts';
import { type LineItem, testedBy } from './tested.ts';

const ITEMS: Readonly<Record<string, readonly LineItem[]>> = {
  tidewrack: [
    ['condition', 'slack'],
    ['hold', 'kelp'],
  ],
  marrowby: [
    ['condition', 'fallow'],
    ['hold', 'anvil'],
  ],
  // Marrowby with the gel of Tidewrack, and with its conditioner.
  gel: [
    ['condition', 'fallow'],
    ['hold', 'kelp'],
  ],
  conditioner: [
    ['condition', 'slack'],
    ['hold', 'anvil'],
  ],
};
const asLines = (trial: BoardTrial): BoardTrial => ({
  ...trial,
  arms: trial.arms.map((arm) => ({
    ...arm,
    kind: 'line',
    role: 'line',
    productId: null,
    dose: null,
    items: ITEMS[arm.key]!,
  })),
});
const lines = (id: string, a: string, b: string, truth: Record<string, number>, seed: number) =>
  asLines(
    madeUp(
      id,
      [a, b],
      { [a]: { definition: truth[a]!, frizz: 4 }, [b]: { definition: truth[b]!, frizz: 4 } },
      seed,
      { noise: 0.2 },
    ),
  );
const TRUTH = { tidewrack: 7, marrowby: 5, gel: 6.8, conditioner: 5 };
const whole = lines('whole', 'tidewrack', 'marrowby', TRUTH, 1);
const ask = (...trials: BoardTrial[]) => asked(trials, { role: 'line' });

describe('which item carried a line', () => {
  it('is told item by item, where a follow-up swapped one at a time', () => {
    const found = carriedBy(
      ask(
        whole,
        lines('gel', 'gel', 'marrowby', TRUTH, 2),
        lines('care', 'conditioner', 'marrowby', TRUTH, 3),
      ),
      'definition',
      'tidewrack',
      'marrowby',
    );
    expect(found.map(({ slot }) => slot)).toEqual(['condition', 'hold']);
    const [care, hold] = found as [(typeof found)[0], (typeof found)[0]];
    expect(hold.effect!.value).toBeCloseTo(1.8, 0);
    expect(hold.effect!.interval!.low).toBeGreaterThan(0);
    expect(Math.abs(care.effect!.value)).toBeLessThan(0.7);
    // With the sides swapped the same item carries it the other way.
    const [, turned] = carriedBy(
      ask(whole, lines('gel', 'gel', 'marrowby', TRUTH, 2)),
      'definition',
      'marrowby',
      'tidewrack',
    );
    expect(turned!.effect!.value).toBeLessThan(0);
  });

  it('is not known without a follow-up, and nothing is asked of what are no two lines', () => {
    expect(carriedBy(ask(whole), 'definition', 'tidewrack', 'marrowby')).toEqual([
      { slot: 'condition', effect: null },
      { slot: 'hold', effect: null },
    ]);
    expect(carriedBy(ask(whole), 'definition', 'tidewrack', 'nothing')).toEqual([]);
    const plain = asked([
      madeUp(
        'p',
        ['kelp', 'anvil'],
        { kelp: { definition: 7, frizz: 4 }, anvil: { definition: 5, frizz: 4 } },
        4,
      ),
    ]);
    expect(carriedBy(plain, 'definition', 'kelp', 'anvil')).toEqual([]);
  });

  it('knows a line again in a follow-up that swaps fewer of its items', () => {
    const plan = (['condition', 'hold'] as const).map((slot) => ({
      id: slot,
      slot,
      part: 'tested' as const,
    }));
    const arm = (name: string, condition: string, hold: string) => ({
      name,
      steps: [
        { stepId: 'condition', productId: condition, dose: null, skipped: false, settings: {} },
        { stepId: 'hold', productId: hold, dose: null, skipped: false, settings: {} },
      ],
    });
    type Plan = Parameters<typeof testedBy>[0];
    type Arms = Parameters<typeof testedBy>[1];
    const of = (...arms: object[]) => testedBy(plan as unknown as Plan, arms as unknown as Arms)!;
    const three = of(arm('T', 'slack', 'kelp'), arm('M', 'fallow', 'anvil'));
    const follow = of(
      arm('M', 'fallow', 'anvil'),
      arm('M, gel of T', 'fallow', 'kelp'),
      arm('M, conditioner of T', 'slack', 'anvil'),
    );
    expect(follow[0]!.key).toBe(three[1]!.key);
  });
});
