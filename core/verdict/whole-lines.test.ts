import { describe, expect, it } from 'vitest';
import { asked, madeUp } from '../board/made-up-trials.ts';
import type { BoardTrial } from '../board/read.ts';
import type { LineItem } from '../board/tested.ts';
import { evidenceInAll } from './evidence.ts';
import { lineOfItems, linesAsOne } from './whole-lines.ts';

const LINES: Readonly<Record<string, string>> = { slack: 'T', kelp: 'T', fallow: 'M', anvil: 'M' };
const lineOf = (productId: string) => LINES[productId] ?? null;
const ITEMS: Readonly<Record<string, readonly LineItem[]>> = {
  tide: [
    ['condition', 'slack'],
    ['hold', 'kelp'],
  ],
  marrow: [
    ['condition', 'fallow'],
    ['hold', 'anvil'],
  ],
  mixed: [
    ['condition', 'fallow'],
    ['hold', 'kelp'],
  ],
};
const trial = (id: string, a: string, b: string, seed: number): BoardTrial => {
  const truth = { tide: 7, marrow: 5, mixed: 7 } as Record<string, number>;
  const own = madeUp(
    id,
    [a, b],
    { [a]: { definition: truth[a]!, frizz: 4 }, [b]: { definition: truth[b]!, frizz: 4 } },
    seed,
    { noise: 0.2 },
  );
  return {
    ...own,
    arms: own.arms.map((arm) => ({
      ...arm,
      ...{ kind: 'line' as const, role: 'line' as const, productId: null, dose: null },
      items: ITEMS[arm.key]!,
    })),
  };
};
const all = linesAsOne([trial('1', 'tide', 'marrow', 1), trial('2', 'mixed', 'marrow', 2)], lineOf);
const ask = asked(all, { role: 'line', by: 'definition' });

describe('a whole line as one thing to be judged', () => {
  it('is what all of its items are of: what mixes lines, leaves a step out or is not on the shelf is none', () => {
    expect(lineOfItems(ITEMS.tide!, lineOf)).toBe('T');
    expect(lineOfItems(ITEMS.mixed!, lineOf)).toBeNull();
    expect(lineOfItems([['hold', null]], lineOf)).toBeNull();
    expect(lineOfItems([['hold', 'gone']], lineOf)).toBeNull();
    expect(lineOfItems(null, lineOf)).toBeNull();
  });

  it('has its own trials’ evidence, stands against other whole lines alone, and turns with its sides', () => {
    const tide = evidenceInAll(ask, 'T')!;
    expect(tide.trials.map(({ trialId }) => trialId)).toEqual(['1']);
    expect(tide.versus.map(({ productId, state }) => [productId, state])).toEqual([['M', 'ahead']]);
    const marrow = evidenceInAll(ask, 'M')!;
    expect(marrow.trials).toHaveLength(2);
    expect(marrow.versus.map(({ productId, state }) => [productId, state])).toEqual([['T', 'behind']]);
    expect(evidenceInAll(ask, 'kelp')).toBeNull();
  });
});
