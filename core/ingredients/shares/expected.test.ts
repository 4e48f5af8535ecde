import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { expectedShares } from './expected.ts';
import { type Bounds, shareIntervals } from './intervals.ts';
import { feasibleStart } from './start.ts';
import { TYPICAL, type Typical } from './typical.ts';

const free: Bounds = { low: 0, high: 100 };

function expected(
  chain: Bounds[],
  off: Bounds[],
  typical: (Typical | null)[],
  rounds: number,
  line = 1,
  seed = 5,
) {
  const shares = shareIntervals(chain, off);
  if (!shares.feasible) throw new Error('infeasible');
  return expectedShares(feasibleStart(chain, off, shares), chain, off, typical, { rounds, seed, line });
}

describe('expected shares', () => {
  it.each([2, 3, 5, 10])('of %d items without a prior or a line are the broken stick, (100/n)·Σ 1/i', (n) => {
    const stick = Array.from({ length: n }, (_, j) => {
      let sum = 0;
      for (let i = j + 1; i <= n; i++) sum += 1 / i;
      return (100 / n) * sum;
    });
    // The first is the remainder, kept over the second; every other is drawn.
    const mine = expected(Array(n).fill(free), [], Array(n).fill(null), 60_000, 0);
    for (const [j, share] of mine.entries()) expect(Math.abs(share - stick[j]!)).toBeLessThan(0.6);
  });

  it('add up to 100 and keep to their intervals', () => {
    const bound = fc.constantFrom<Bounds>(
      free,
      { low: 0, high: 0.6 },
      { low: 0, high: 1 },
      { low: 1.5, high: 2.5 },
      { low: 0, high: 5 },
    );
    const groups = Object.values(TYPICAL);
    fc.assert(
      fc.property(
        fc.array(bound, { minLength: 1, maxLength: 12 }),
        fc.array(fc.constant<Bounds>({ low: 0, high: 5 }), { maxLength: 2 }),
        fc.integer(),
        (rest, off, seed) => {
          const chain = [free, ...rest];
          const shares = shareIntervals(chain, off);
          if (!shares.feasible) return;
          const typical = [...chain, ...off].map(
            (_, i) => groups[(i * 5 + Math.abs(seed % 7)) % groups.length]!,
          );
          const mine = expectedShares(feasibleStart(chain, off, shares), chain, off, typical, {
            rounds: 40,
            seed,
          });
          expect(mine.reduce((a, b) => a + b, 0)).toBeCloseTo(100, 6);
          mine.forEach((share, i) => {
            const { low, high } = i < chain.length ? shares.chain[i]! : shares.off[i - chain.length]!;
            expect(share).toBeGreaterThanOrEqual(low - 1e-6);
            expect(share).toBeLessThanOrEqual(high + 1e-6);
          });
        },
      ),
    );
  });

  it('follow what is typical where the list leaves room', () => {
    const typical = [
      TYPICAL.water,
      TYPICAL.humectant,
      TYPICAL.conditioner,
      TYPICAL.preservative,
      TYPICAL.fragrance,
    ];
    const [water, glycerin, quat, preservative] = expected(
      [free, free, free, { low: 0, high: 1 }, free],
      [],
      typical,
      400,
    );
    expect(water).toBeGreaterThan(80);
    expect(glycerin).toBeGreaterThan(1.5);
    expect(glycerin).toBeLessThan(9);
    expect(quat).toBeLessThan(glycerin!);
    expect(preservative).toBeLessThan(1);
  });

  it('are the same for the same seed, and nearly the same for another', () => {
    const chain = Array(12).fill(free);
    const typical = chain.map((_, i) => [TYPICAL.water, TYPICAL.humectant, TYPICAL.extract][Math.min(i, 2)]!);
    expect(expected(chain, [], typical, 60)).toEqual(expected(chain, [], typical, 60));
    const [one, two] = [
      expected(chain, [], typical, 12_000, 1, 1),
      expected(chain, [], typical, 12_000, 1, 2),
    ];
    for (const [i, share] of one.entries())
      expect(Math.abs(share - two[i]!)).toBeLessThan(0.15 * share + 0.05);
  });
});
