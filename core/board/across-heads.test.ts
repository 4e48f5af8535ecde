import { describe, expect, it } from 'vitest';
import { acrossHeads } from './across-heads.ts';
import { asked, madeUp, type Truth } from './made-up-trials.ts';
import { overHeads } from './over-heads.ts';

/** One head's trial of two holds, the first truly so many points over the second. */
const head = (wearerId: string, seed: number, ahead: number, pair: [string, string] = ['kelp', 'anvil']) => {
  const truth: Record<string, Truth> = {
    [pair[0]]: { definition: 5 + ahead, frizz: 4 },
    [pair[1]]: { definition: 5, frizz: 4 },
  };
  return { wearerId, ask: asked([madeUp(`${wearerId} one`, pair, truth, seed, { noise: 0.2 })]) };
};
const five = [2, 1.5, 1, 0.8, -0.4].map((ahead, i) => head(`w${i}`, 20 + i, ahead));

describe('several heads', () => {
  it('are listed by how far the one is ahead on each, with the mean and the next head’s place', () => {
    const [pair, ...more] = acrossHeads(five, 'definition', true);
    expect(more).toEqual([]);
    expect([pair!.a, pair!.b]).toEqual(['kelp', 'anvil']);
    const values = pair!.heads.map(({ effect }) => effect.value);
    expect(values).toEqual(values.toSorted((x, y) => y - x));
    expect(pair!.heads.map(({ wearerId }) => wearerId)).toEqual(['w0', 'w1', 'w2', 'w3', 'w4']);
    expect(pair!.heads.every(({ trials }) => trials === 1)).toBe(true);
    expect(pair!.over).toEqual(overHeads(pair!.heads.map(({ effect }) => effect)));
    // A head on which the other is ahead keeps the next head open.
    expect(pair!.over!.next!.low).toBeLessThan(0);
    expect(pair!.over!.mean!.value).toBeCloseTo(1, 0);
  });

  it('say the same with the sides of every trial swapped, and the names with them', () => {
    const turned = [2, 1.5, 1, 0.8, -0.4].map((ahead, i) => {
      const one = head(`w${i}`, 20 + i, -ahead, ['anvil', 'kelp']);
      return one;
    });
    const [pair] = acrossHeads(turned, 'definition', true);
    expect([pair!.a, pair!.b]).toEqual(['kelp', 'anvil']);
    expect(pair!.heads[0]!.effect.value).toBeGreaterThan(1);
    // Where less is wanted, the one with less goes first.
    const frizzy = [
      { kelp: { definition: 5, frizz: 3 }, anvil: { definition: 5, frizz: 5 } },
      { kelp: { definition: 5, frizz: 2 }, anvil: { definition: 5, frizz: 5 } },
    ].map((truth, i) => ({
      wearerId: `w${i}`,
      ask: asked([madeUp('t', ['anvil', 'kelp'], truth, 3 + i, { noise: 0.1 })]),
    }));
    const [less] = acrossHeads(frizzy, 'frizz', true);
    expect([less!.a, less!.b]).toEqual(['kelp', 'anvil']);
    expect(less!.heads.map(({ wearerId }) => wearerId)).toEqual(['w1', 'w0']);
    expect(less!.heads.every(({ effect }) => effect.value < 0 && effect.interval!.high < 0)).toBe(true);
  });

  it('need two that answer, list two without a mean, and are not averaged over unlike days', () => {
    expect(acrossHeads(five.slice(0, 1), 'definition', true)).toEqual([]);
    expect(acrossHeads([], 'definition', true)).toEqual([]);
    const [two] = acrossHeads(five.slice(0, 2), 'definition', true);
    expect(two!.over).toMatchObject({ mean: null, next: null, heads: 2 });
    const [three] = acrossHeads(five.slice(0, 3), 'definition', true);
    expect(three!.over!.mean).not.toBeNull();
    expect(three!.over!.next).toBeNull();
    expect(acrossHeads(five, 'frizz', false)[0]!.over).toBeNull();
    // Other products on the second head: nothing is asked of both.
    expect(acrossHeads([five[0]!, head('w9', 9, 1, ['foam', 'jelly'])], 'definition', true)).toEqual([]);
  });

  it('know a pair through a third on a head that never set the two side by side, and leave amounts out', () => {
    const through = {
      wearerId: 'w7',
      ask: asked([
        madeUp(
          'one',
          ['kelp', 'foam'],
          { kelp: { definition: 7, frizz: 4 }, foam: { definition: 6, frizz: 4 } },
          5,
        ),
        madeUp(
          'two',
          ['foam', 'anvil'],
          { foam: { definition: 6, frizz: 4 }, anvil: { definition: 5, frizz: 4 } },
          6,
        ),
      ]),
    };
    const [pair] = acrossHeads([five[0]!, through], 'definition', true);
    expect(pair!.heads.find(({ wearerId }) => wearerId === 'w7')!.trials).toBe(0);
    const [trial] = five[1]!.ask.trials;
    const more = {
      ...trial!,
      id: 'more',
      arms: trial!.arms.map((arm) => ({
        ...arm,
        dose: { kind: 'exact', amount: 30, measure: 'g', per: 'head' } as const,
      })),
    };
    const atTwo = { wearerId: 'w1', ask: asked([trial!, more]) };
    expect(acrossHeads([five[0]!, atTwo], 'definition', true)).toEqual([]);
  });
});
