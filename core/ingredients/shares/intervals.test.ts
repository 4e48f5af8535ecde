import fc from 'fast-check';
import loadHighs, { type Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { seededRandom } from '../../random.ts';
import { type Bounds, shareIntervals } from './intervals.ts';

const free: Bounds = { low: 0, high: 100 };
const feasible = (chain: readonly Bounds[], off: readonly Bounds[] = []) => {
  const found = shareIntervals(chain, off);
  if (!found.feasible) throw new Error('infeasible');
  return found;
};

describe('shares of a list without caps', () => {
  it('put the first in [100/n, 100] and the j-th in [0, 100/j] (methods.md 2)', () => {
    for (const n of [2, 3, 7, 30, 99]) {
      const { chain } = feasible(Array(n).fill(free));
      expect(chain[0]!.low).toBeCloseTo(100 / n, 9);
      expect(chain[0]!.high).toBeCloseTo(100, 9);
      for (let j = 2; j <= n; j++) {
        expect(chain[j - 1]!.low).toBeCloseTo(0, 9);
        expect(chain[j - 1]!.high).toBeCloseTo(100 / j, 9);
      }
    }
  });

  it('leave everything to one ingredient alone', () => {
    expect(feasible([free]).chain[0]).toEqual({ low: 100, high: 100 });
  });
});

describe('a cap', () => {
  it('of 1 % or less bounds what follows by 1, not by itself', () => {
    const { chain } = feasible([free, free, { low: 0, high: 0.5 }, free, free]);
    expect(chain[2]!.high).toBeCloseTo(0.5, 9);
    expect(chain[3]!.high).toBeCloseTo(1, 9);
    expect(chain[1]!.high).toBeCloseTo(50, 9);
  });

  it('over 1 % bounds what follows by itself', () => {
    const { chain } = feasible([free, { low: 0, high: 5 }, free]);
    expect(chain[2]!.high).toBeCloseTo(5, 9);
    expect(chain[0]!.low).toBeCloseTo(90, 9);
  });

  it('stated as a percentage raises what stands before', () => {
    const { chain } = feasible([free, free, { low: 19.5, high: 20.5 }, free]);
    expect(chain[1]!.low).toBeCloseTo(19.5, 9);
    expect(chain[0]!.low).toBeGreaterThanOrEqual(19.5);
  });
});

describe('a list that contradicts itself', () => {
  it('names the items in conflict', () => {
    expect(shareIntervals([free, { low: 0, high: 0.6 }, { low: 4.5, high: 5.5 }])).toEqual({
      feasible: false,
      why: 'order',
      items: [1, 2],
    });
    expect(
      shareIntervals([
        { low: 60, high: 100 },
        { low: 55, high: 100 },
      ]),
    ).toMatchObject({ why: 'too much', items: [0, 1] });
    expect(shareIntervals([{ low: 0, high: 20 }, free, free])).toMatchObject({
      feasible: false,
      why: 'too little',
    });
  });
});

/* The general solver: HiGHS, one linear programme per place of the 1 % line, at tolerance 1e-9. */
describe('against a linear-programming solver', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  const solve = (
    chain: readonly Bounds[],
    off: readonly Bounds[],
    j: number,
    sense: 'Maximize' | 'Minimize',
  ) => {
    const all = [...chain, ...off];
    const values: number[] = [];
    for (let k = 0; k <= chain.length; k++) {
      const order = chain
        .slice(1, k)
        .map((_, i) => ` o${i}: x${i} - x${i + 1} >= 0`)
        .join('\n');
      const bound = ({ low, high }: Bounds, i: number) => {
        const [from, to] =
          i < k ? [Math.max(1, low), high] : i < chain.length ? [low, Math.min(1, high)] : [low, high];
        return from > to + 1e-12 ? null : ` ${from} <= x${i} <= ${Math.max(from, to)}`;
      };
      const bounds = all.map(bound);
      if (bounds.includes(null)) continue;
      const sum = all.map((_, i) => `x${i}`).join(' + ');
      const problem = `${sense}\n obj: x${j}\nSubject To\n s: ${sum} = 100\n${order}\nBounds\n${bounds.join('\n')}\nEnd`;
      const answer = highs.solve(problem, {
        primal_feasibility_tolerance: 1e-9,
        dual_feasibility_tolerance: 1e-9,
        output_flag: false,
      });
      if (answer.Status === 'Optimal') values.push(answer.ObjectiveValue);
    }
    if (values.length === 0) return null;
    return sense === 'Maximize' ? Math.max(...values) : Math.min(...values);
  };

  const agreesOn = (lists: number) => {
    const random = seededRandom(42);
    let widest = 0;
    let empty = 0;
    for (let round = 0; round < lists; round++) {
      const n = 1 + random.below(6);
      const bounds = (): Bounds => {
        const kind = random.below(6);
        if (kind === 0) return { low: 0, high: [0.3, 0.6, 1, 1.2, 2.5][random.below(5)]! };
        if (kind === 1) {
          const at = Math.round(1 + 30 * random.unit());
          return { low: at - 0.5, high: at + 0.5 };
        }
        if (kind === 2) return { low: Math.round(500 * random.unit()) / 100, high: 100 };
        return { low: 0, high: 100 };
      };
      const chain = Array.from({ length: n }, bounds);
      const off = Array.from({ length: random.below(3) }, () => ({
        low: 0,
        high: [0.5, 2, 5][random.below(3)]!,
      }));
      const j = random.below(n + off.length);
      const sense = random.below(2) ? 'Maximize' : 'Minimize';
      const theirs = solve(chain, off, j, sense);
      const found = shareIntervals(chain, off);
      if (theirs === null) {
        empty++;
        expect(found.feasible, JSON.stringify({ chain, off })).toBe(false);
        continue;
      }
      if (!found.feasible) throw new Error(JSON.stringify({ chain, off, theirs }));
      const mine = j < n ? found.chain[j]! : found.off[j - n]!;
      widest = Math.max(widest, Math.abs((sense === 'Maximize' ? mine.high : mine.low) - theirs));
    }
    expect(widest).toBeLessThan(1e-6);
    expect(empty).toBeGreaterThan(lists / 20);
    expect(empty).toBeLessThan(0.75 * lists);
  };
  it('agrees to 1e-6 on 400 random lists with caps, floors and off-chain items', () => agreesOn(400));
  it('agrees on 2,000 of them', { tags: 'soak' }, () => agreesOn(2000));
});

describe('intervals', () => {
  it('hold whatever formula made the list', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 100, noNaN: true }), { minLength: 1, maxLength: 20 }),
        (raw) => {
          const total = raw.reduce((a, b) => a + b, 0);
          const shares = raw.map((x) => (100 * x) / total).sort((a, b) => b - a);
          const over = shares.filter((x) => x >= 1);
          const under = shares.filter((x) => x < 1).reverse();
          const formula = [...over, ...under];
          const { chain } = feasible(formula.map(() => free));
          formula.forEach((x, i) => {
            expect(x).toBeGreaterThanOrEqual(chain[i]!.low - 1e-9);
            expect(x).toBeLessThanOrEqual(chain[i]!.high + 1e-9);
          });
        },
      ),
    );
  });
});
