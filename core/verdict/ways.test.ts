import { describe, expect, it } from 'vitest';
import { asked, madeUp } from '../board/made-up-trials.ts';
import type { BoardTrial } from '../board/read.ts';
import { testedBy } from '../board/tested.ts';
import { EMPTY_SETTINGS } from '../step/step.ts';
import { evidenceInAll } from './evidence.ts';
import { judgedBy, keyOfWay, wayOf, waysAsOne } from './ways.ts';

/** A trial of two ways of one hold, praying hands truly two points ahead of a rake. */
const trial = (id: string, gel: string, ways: readonly [string, string], seed: number): BoardTrial => {
  const truth: Record<string, number> = { praying: 7, rake: 5, scrunch: 6 };
  const own = madeUp(
    id,
    ways,
    Object.fromEntries(ways.map((way) => [way, { definition: truth[way]!, frizz: 4 }])),
    seed,
    { noise: 0.2 },
  );
  return {
    ...own,
    arms: own.arms.map((arm) => ({
      ...arm,
      kind: 'way' as const,
      productId: gel,
      key: `${gel} technique "${arm.name}"`,
      ways: [['technique', arm.name] as const],
    })),
  };
};

describe('a way as one thing to be judged', () => {
  it('is kept by its key; what is not in the list is the tester’s own words', () => {
    expect(wayOf(keyOfWay('technique', 'praying'))).toEqual({ kind: 'technique', value: 'praying' });
    expect(wayOf('style set')).toBeNull();
    for (const own of ['Praying hands', 'technique levitation', 'technique', 'constructor x', ''])
      expect(wayOf(own)).toBeNull();
  });

  it('is what an arm sets otherwise by itself: two settings at once, or a number, are none', () => {
    const step = {
      ...EMPTY_SETTINGS,
      id: 's',
      slot: 'hold' as const,
      part: 'tested' as const,
      productId: 'kelp',
      note: '',
    };
    const arms = (settings: Partial<Record<string, unknown>>[]) =>
      testedBy([{ ...step, optional: false, tolerance: 0, technique: 'rake' } as never], [
        { name: 'a', steps: [] },
        ...settings.map((one, i) => ({
          name: `b${i}`,
          steps: [{ stepId: 's', productId: null, dose: null, skipped: false, settings: one }],
        })),
      ] as never)!.map(({ ways }) => judgedBy(ways));
    expect(arms([{ technique: 'praying' }])).toEqual(['technique rake', 'technique praying']);
    expect(arms([{ technique: 'praying', minutes: 5 }])).toEqual([null, null]);
    expect(arms([{ minutes: 5 }])).toEqual([null, null]);
  });

  it('has the evidence of all trials of it, whatever product it was tried with, and turns with its sides', () => {
    const all = waysAsOne(
      [
        trial('1', 'kelp', ['praying', 'rake'], 1),
        trial('2', 'anvil', ['rake', 'praying'], 2),
        trial('3', 'anvil', ['scrunch', 'rake'], 3),
      ],
      'technique',
    );
    const ask = asked(all, { by: 'definition' });
    const praying = evidenceInAll(ask, 'technique praying')!;
    expect(praying.trials.map(({ trialId }) => trialId).sort()).toEqual(['1', '2']);
    const versus = Object.fromEntries(praying.versus.map(({ productId, state }) => [productId, state]));
    expect(versus['technique rake']).toBe('ahead');
    const rake = evidenceInAll(ask, 'technique rake')!;
    expect(rake.trials).toHaveLength(3);
    expect(rake.versus.find(({ productId }) => productId === 'technique praying')!.state).toBe('behind');
    // Amounts are the product's, not the way's.
    expect(praying.dose).toBeNull();
    // As trials of tools they say nothing.
    expect(
      evidenceInAll(
        asked(waysAsOne([trial('1', 'kelp', ['praying', 'rake'], 1)], 'tool'), {}),
        'technique praying',
      ),
    ).toBeNull();
  });
});
