import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { align, outOfOrder } from './align.ts';

const same = (a: string, b: string) => (a === b ? 1 : 0);
const shown = (a: string, b: string) =>
  align([...a], [...b], same).map((pair) => `${a[pair.a ?? -1] ?? '-'}${b[pair.b ?? -1] ?? '-'}`);

describe('alignment of two wash days, cases made by hand', () => {
  it('puts equal steps beside each other, and a gap for one that is missing or added', () => {
    expect(shown('CcRH', 'CcRH')).toEqual(['CC', 'cc', 'RR', 'HH']);
    expect(shown('CcRH', 'CRH')).toEqual(['CC', 'c-', 'RR', 'HH']);
    expect(shown('CRH', 'CcRH')).toEqual(['CC', '-c', 'RR', 'HH']);
    expect(shown('', 'CH')).toEqual(['-C', '-H']);
  });

  it('leaves a step that was moved on its own on both sides', () => {
    expect(shown('CLHD', 'CHLD')).toEqual(['CC', 'L-', 'HH', '-L', 'DD']);
  });

  it('prefers the likelier of two partners', () => {
    const like = (a: string, b: string) => (a === b ? 2 : a[0] === b[0] ? 1 : 0);
    expect(align(['gel x'], ['gel y', 'gel x'], like)).toEqual([
      { a: null, b: 0 },
      { a: 0, b: 1 },
    ]);
  });
});

describe('alignment, whatever the sequences', () => {
  const words = fc.array(fc.constantFrom('C', 'R', 'L', 'H', 'D'), { maxLength: 12 });
  /** Length of the longest common subsequence by its plain recursion, as peer. */
  const common = (a: readonly string[], b: readonly string[]): number => {
    if (a.length === 0 || b.length === 0) return 0;
    if (a[0] === b[0]) return 1 + common(a.slice(1), b.slice(1));
    return Math.max(common(a.slice(1), b), common(a, b.slice(1)));
  };

  it('holds every item once, in order, pairs only what is alike, and as many as can be', () => {
    fc.assert(
      fc.property(words, words, (a, b) => {
        const pairs = align(a, b, same);
        expect(pairs.flatMap((pair) => pair.a ?? [])).toEqual(a.map((_, i) => i));
        expect(pairs.flatMap((pair) => pair.b ?? [])).toEqual(b.map((_, i) => i));
        const together = pairs.filter((pair) => pair.a !== null && pair.b !== null);
        for (const pair of together) expect(a[pair.a!]).toBe(b[pair.b!]);
        expect(together.length).toBe(common(a, b));
      }),
      { numRuns: 60 },
    );
  });

  it('is the same seen from the other side, in how much it pairs', () => {
    fc.assert(
      fc.property(words, words, (a, b) => {
        const count = (pairs: ReturnType<typeof align>) =>
          pairs.filter((pair) => pair.a !== null && pair.b !== null).length;
        expect(count(align(a, b, same))).toBe(count(align(b, a, same)));
      }),
    );
  });
});

describe('steps done out of order', () => {
  it('are the fewest that explain it', () => {
    expect([...outOfOrder([0, 1, 2, 3])]).toEqual([]);
    expect([...outOfOrder([0, 2, 3, 1])]).toEqual([1]);
    expect([...outOfOrder([3, 0, 1, 2])]).toEqual([3]);
    expect([...outOfOrder([])]).toEqual([]);
  });

  it('leave a rising sequence, whatever the order', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...Array(12).keys()]), (order) => {
        const moved = outOfOrder(order);
        const left = order.filter((x) => !moved.has(x));
        expect(left).toEqual(left.toSorted((a, b) => a - b));
      }),
    );
  });
});
