import { describe, expect, it } from 'vitest';
import { fTail } from '../inference/f-tail.ts';
import { type NetworkTrial, networkOf } from './network.ts';

const whole = (
  id: string,
  nodes: string,
  values: readonly (number | null)[],
  block: number | null = null,
): NetworkTrial => ({
  id,
  halves: false,
  block,
  days: values.map((value, position) => ({ position, half: null, node: nodes[position]!, value })),
});
const half = (id: string, left: string, right: string, values: readonly number[]): NetworkTrial => ({
  id,
  halves: true,
  block: null,
  days: values.flatMap((value, position) => [
    // Only the difference counts; the day's own level is anything.
    { position, half: 'left' as const, node: left[position]!, value: 5 + (position % 3) + value },
    { position, half: 'right' as const, node: right[position]!, value: 5 + (position % 3) },
  ]),
});
const T1 = whole('T1', 'ABBABAAB', [5.1, 6.4, 7.0, 5.9, 6.1, 4.8, 5.5, 6.6]);
const T2 = whole('T2', 'BCCBCBCB', [6.2, 7.1, 6.5, 5.4, 7.4, 6.0, 6.9, 5.2]);
const T3 = whole('T3', 'ACCACAAC', [4.4, 7.7, 8.1, 5.3, 7.5, 6.0, 5.7, 8.8], 4);
const T4 = whole('T4', 'DEEDED', [3.0, 4.1, 3.3, 2.9, 4.6, 3.7]);
const H1 = half('H1', 'ABABBABA', 'BABAABAB', [-0.4, 1.5, -1.1, 0.9, 1.9, -0.2, 1.2, -0.9]);
const H2 = half(
  'H2',
  'BCCACABCABAC',
  'CBACBBAACCBA',
  [-0.1, 0.8, 2.3, -1.6, 1.2, -0.5, 1.4, 1.9, -2.2, -0.3, -1.3, 2.6],
);

/*
 * Figures computed once with R 4.2.2, lm(y ~ group + node), with anova against lm(y ~ group + trial:node), groups being
 * trials or blocks; the halves as lm(D ~ trial + B + C) on signed columns; both kinds together as weighted least squares.
 */
describe('one head’s trials, put together', () => {
  it('on whole heads have the effects, errors and agreement of R’s linear model', () => {
    const found = networkOf([T1, T2, T3, T4]);
    expect(found.whole!.variance).toBeCloseTo(0.24375, 10);
    expect(found.whole!.freedom).toBe(21);
    for (const [node, from, value] of [
      ['B', 'A', 1.26666666667],
      ['C', 'A', 2.60833333333],
      ['C', 'B', 1.34166666667],
    ] as const) {
      const effect = found.between(node, from)!;
      expect(effect.value).toBeCloseTo(value, 10);
      expect(effect.se).toBeCloseTo(0.285043856275, 10);
      expect(effect.freedom).toBeCloseTo(21, 8);
      expect(found.between(from, node)!.value).toBeCloseTo(-value, 10);
    }
    const [ours, theirs] = found.agreement;
    expect(ours!.ratio).toBeCloseTo(0.109401709402, 9);
    expect(ours!.p).toBeCloseTo(0.744103788475, 9);
    expect(ours!.inflation).toBe(1);
    // D and E met in one trial alone: nothing to check against.
    expect(theirs).toEqual({ ratio: null, df: 0, p: null, inflation: 1 });
  });

  it('on halves, and of both kinds together, too', () => {
    const halves = networkOf([H1, H2]);
    expect(halves.half!.variance).toBeCloseTo(0.143017985612, 10);
    expect(halves.half!.freedom).toBe(15);
    const inflation = halves.agreement[0]!.inflation;
    expect(halves.between('B', 'A')!.value).toBeCloseTo(1.12202549575, 10);
    expect(halves.between('B', 'A')!.se).toBeCloseTo(0.104104587788 * inflation, 10);
    expect(halves.between('C', 'A')!.se).toBeCloseTo(0.13464942263 * inflation, 10);
    const both = networkOf([T1, T2, T3, T4, H1, H2]);
    const more = both.agreement[0]!.inflation;
    expect(both.between('B', 'A')!.value).toBeCloseTo(1.13433021684, 10);
    expect(both.between('C', 'A')!.value).toBeCloseTo(2.0472228664, 10);
    expect(both.between('B', 'A')!.se).toBeCloseTo(0.0977644735335 * more, 10);
    expect(both.between('C', 'A')!.se).toBeCloseTo(0.121034156506 * more, 10);
    // Satterthwaite's freedom lies between the less and the sum of the two.
    expect(both.between('C', 'A')!.freedom).toBeGreaterThan(15);
    expect(both.between('C', 'A')!.freedom).toBeLessThan(36);
  });

  it('stay apart where no trial joins them, and are compared with their own island only', () => {
    const found = networkOf([T1, T2, T4]);
    expect(found.between('D', 'A')).toBeNull();
    expect(new Set(found.island).size).toBe(2);
    // A and C never met: they are known through B.
    expect(found.between('C', 'A')!.value).toBeCloseTo(
      found.between('C', 'B')!.value + found.between('B', 'A')!.value,
      10,
    );
    const over = ['A', 'B', 'C'].map((node) => found.overIsland(node)!.value);
    expect(over.reduce((a, b) => a + b, 0)).toBeCloseTo(0, 10);
  });

  it('leave wash days without a number out, one product alone has nothing to be compared with', () => {
    const gap = networkOf([whole('T', 'ABBA', [5, null, 7, 6]), T2]);
    expect(gap.between('A', 'B')!.value).toBeCloseTo(
      networkOf([whole('T', 'ABA', [5, 7, 6]), T2]).between('A', 'B')!.value,
      12,
    );
    const alone = networkOf([whole('T', 'AAAA', [5, 6, 7, 6])]);
    expect(alone.overIsland('A')).toBeNull();
    expect(alone.between('A', 'B')).toBeNull();
    expect(networkOf([]).nodes).toEqual([]);
  });

  it('that disagree beyond their own spread have wider errors, and no interval where the spread is hardly known', () => {
    const turned = whole('T3', 'ACCACAAC', [8.4, 5.7, 5.1, 9.3, 5.5, 9.0, 8.7, 5.8], 4);
    const found = networkOf([T1, T2, turned]);
    expect(found.agreement[0]!.p).toBeLessThan(0.001);
    expect(found.between('C', 'A')!.se).toBeGreaterThan(4 * networkOf([T1, T2, T3]).between('C', 'A')!.se);
    const few = networkOf([whole('T', 'ABABA', [5, 7, 6, 8, 6])]);
    expect(few.between('B', 'A')!.freedom).toBeCloseTo(3, 9);
    expect(few.between('B', 'A')!.interval).toBeNull();
  });
});

describe('the tail of F', () => {
  // R: pf(c(1, 4.26, 0.5), c(3, 2, 1), c(10, 9, 4), lower.tail = FALSE).
  it('is R’s', () => {
    expect(fTail(1, 3, 10)).toBeCloseTo(0.432337203, 8);
    expect(fTail(4.26, 2, 9)).toBeCloseTo(0.04991003, 7);
    expect(fTail(0.5, 1, 4)).toBeCloseTo(0.5185185185, 9);
  });
});
