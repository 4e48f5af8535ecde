import { describe, expect, it } from 'vitest';
import { chiSquareQuantile } from '../inference/chi-square.ts';
import { seededRandom } from '../random.ts';
import { AllocationError } from './allocation.ts';
import {
  armsOfCode,
  codeOfArms,
  DESIGNS,
  type Design,
  daysOffered,
  designProblem,
  isCompared,
  schemeOf,
  usualDays,
} from './designs.ts';
import { williamsRows, williamsSquare } from './williams.ts';

/** How often each ordered pair of neighbours occurs. */
function neighbours(sequence: readonly number[], arms: number): number[] {
  const counts = new Array<number>(arms * arms).fill(0);
  for (let i = 1; i < sequence.length; i++) counts[sequence[i - 1]! * arms + sequence[i]!]!++;
  return counts;
}
const offDiagonal = (counts: readonly number[], arms: number) =>
  counts.filter((_, i) => Math.floor(i / arms) !== i % arms);

describe('Williams squares', () => {
  it.each([2, 3, 4, 5, 6, 7, 8, 9, 10])(
    'of %i arms: everywhere equally often, after each other equally often',
    (arms) => {
      const square = williamsSquare(arms);
      expect(square).toHaveLength(arms % 2 === 0 ? arms : 2 * arms);
      for (let column = 0; column < arms; column++)
        for (let arm = 0; arm < arms; arm++)
          expect(square.filter((row) => row[column] === arm)).toHaveLength(square.length / arms);
      const pairs = square.map((row) => neighbours(row, arms)).reduce((a, b) => a.map((x, i) => x + b[i]!));
      expect(new Set(offDiagonal(pairs, arms))).toEqual(new Set([square.length / arms]));
    },
  );

  // Source: the 4 × 4 square printed in textbooks of crossover trials (Jones & Kenward), from memory: ADBC BACD CBDA DCAB.
  it('gives the printed square of four', () => {
    const letters = williamsSquare(4).map((row) => row.map((arm) => 'ABCD'[arm]).join(''));
    expect(letters.sort()).toEqual(['ADBC', 'BACD', 'CBDA', 'DCAB']);
  });

  it('gives wearers a row each, in whole squares', () => {
    expect(williamsRows(4, 8, seededRandom(1))).toHaveLength(8);
    expect(() => williamsRows(3, 4, seededRandom(1))).toThrow(AllocationError);
    expect(() => williamsSquare(1)).toThrow(AllocationError);
    for (const wearers of [0, -4, 4.5, Number.NaN])
      expect(() => williamsRows(4, wearers, seededRandom(1))).toThrow(AllocationError);
    expect(williamsRows(2, 2, seededRandom(1))).toHaveLength(2);
  });
});

describe('closed walks', () => {
  it.each([
    [3, 7, 18],
    [3, 13, 486],
    [4, 13, 3072],
  ])(
    'of %i arms over %i days: %i sequences, every ordered pair equally often in each',
    (arms, days, size) => {
      const scheme = schemeOf('walk', arms, days);
      const all = [...scheme.enumerate()];
      expect(scheme.size).toBe(size);
      expect(all).toHaveLength(size);
      expect(new Set(all.map(String)).size).toBe(size);
      const often = all.flatMap((sequence) => offDiagonal(neighbours(sequence, arms), arms));
      expect(new Set(often)).toEqual(new Set([(days - 1) / (arms * (arms - 1))]));
    },
  );

  it.each([
    [5, 21],
    [6, 31],
  ])('of %i arms over %i days are drawn right though too many to list', (arms, days) => {
    const scheme = schemeOf('walk', arms, days);
    for (let seed = 1; seed <= 50; seed++)
      expect(new Set(offDiagonal(neighbours(scheme.draw(seed), arms), arms))).toEqual(new Set([1]));
  });
});

describe('the lot of each design', () => {
  const SMALL: [Design, number, number][] = [
    ['blocks', 2, 8],
    ['walk', 3, 7],
    ['half', 2, 6],
    ['half-three', 3, 6],
    ['factorial', 4, 4],
  ];
  for (const [design, arms, days] of SMALL)
    it(`${design}, ${arms} arms, ${days} days: every sequence equally often over many seeds (chi-square, α .001)`, {
      tags: design === 'walk' ? [] : ['soak'],
    }, () => {
      const scheme = schemeOf(design, arms, days);
      const seen = new Map([...scheme.enumerate()].map((sequence) => [String(sequence), 0]));
      expect(seen.size).toBe(scheme.size);
      // Many draws of the small lots: a walk's tree drawn a little wrongly shows late.
      const each = Math.max(60, Math.round(40_000 / scheme.size));
      const draws = scheme.size * each;
      // Seeds as the server draws them, uniform over 31 bits; one after the other they would not be independent.
      const seeds = seededRandom(19);
      for (let i = 0; i < draws; i++) {
        const key = String(scheme.draw(seeds.below(2 ** 31 - 1)));
        seen.set(key, (seen.get(key) ?? 0) + 1);
      }
      // None that is not in the list.
      expect(seen.size).toBe(scheme.size);
      const statistic = [...seen.values()].reduce((sum, n) => sum + (n - each) ** 2 / each, 0);
      expect(statistic).toBeLessThan(chiSquareQuantile(0.999, scheme.size - 1));
    });

  it('is the same for the same seed', () => {
    for (const design of Object.keys(DESIGNS) as Design[]) {
      const arms = DESIGNS[design].arms[0];
      const scheme = schemeOf(design, arms, usualDays(design, arms));
      expect(scheme.draw(77)).toEqual(scheme.draw(77));
    }
  });

  it('puts three arms on two halves, each pair both ways round equally often', () => {
    const drawn = schemeOf('half-three', 3, 12).draw(4);
    const pairs = drawn.map((code) => {
      const { left, right } = armsOfCode('half-three', code);
      expect(codeOfArms('half-three', left, right)).toBe(code);
      return `${left}${right}`;
    });
    for (const pair of ['01', '10', '02', '20', '12', '21'])
      expect(pairs.filter((one) => one === pair)).toHaveLength(2);
  });

  it('says in a sentence what does not go together', () => {
    expect(designProblem('complete', 3, 8)).toBe(
      '8 wash days do not split evenly over 3 options. Plan 6 or 9.',
    );
    expect(designProblem('half', 3, 8)).toBe('The design “half-head, sides balanced” has two options.');
    expect(designProblem('walk', 3, 8)).toContain('take 7 or 13 wash days');
    expect(designProblem('complete', 2, 60)).toBe('Plan from 2 to 40 wash days.');
    expect(designProblem('blocks', 2, 8)).toBeNull();
  });

  it('offers only what can be drawn, the usual among it', () => {
    for (const design of Object.keys(DESIGNS) as Design[])
      for (let arms: number = DESIGNS[design].arms[0]; arms <= DESIGNS[design].arms[1]; arms++) {
        const offered = daysOffered(design, arms);
        expect(offered, `${design} ${arms}`).toContain(usualDays(design, arms));
        for (const days of offered) expect(designProblem(design, arms, days)).toBeNull();
      }
    expect(isCompared('dose-run-in')).toBe(false);
  });
});

describe('what a design refuses', () => {
  it.each([
    ['blocks', 2, 10, '10 wash days do not fill blocks of 4. Plan 8 or 12.'],
    ['half-three', 3, 13, 'A half-head of three options goes in rounds of six wash days. Plan 12 or 18.'],
    ['blocks', 2, 3, '3 wash days do not fill blocks of 4. Plan 4 or 8.'],
    ['walk', 3, 12, '3 options, each after each other equally often, take 7 or 13 wash days.'],
    ['walk', 3, 5, '3 options, each after each other equally often, take 7 or 13 wash days.'],
    ['half-three', 3, 8, 'A half-head of three options goes in rounds of six wash days. Plan 6 or 12.'],
    ['half-three', 3, 4, 'A half-head of three options goes in rounds of six wash days. Plan 6 or 12.'],
    ['half', 3, 8, 'The design “half-head, sides balanced” has two options.'],
    ['complete', 7, 14, 'The design “whole heads, complete” has 2 to 6 options.'],
    ['complete', 1, 8, 'The design “whole heads, complete” has 2 to 6 options.'],
    ['complete', 2, 42, 'Plan from 2 to 40 wash days.'],
    ['complete', 2, 1, 'Plan from 2 to 40 wash days.'],
    ['complete', 2, 8.5, 'Plan from 2 to 40 wash days.'],
  ] as const)('%s of %d arms over %d wash days: %s', (design, arms, days, sentence) => {
    expect(designProblem(design, arms, days)).toBe(sentence);
  });

  it('is nothing it can draw, and it offers just those', () => {
    expect(designProblem('complete', 2, 40)).toBeNull();
    expect(daysOffered('walk', 3)).toEqual([7, 13, 19, 25, 31, 37]);
    expect(daysOffered('half-three', 3)).toEqual([6, 12, 18, 24, 30, 36]);
    expect(daysOffered('complete', 2).slice(0, 3)).toEqual([2, 4, 6]);
    expect(daysOffered('complete', 2).at(-1)).toBe(40);
    expect(daysOffered('half', 3)).toEqual([]);
  });

  it('its usual days are those it decides with', () => {
    const usual = (design: Design, arms: number) => usualDays(design, arms);
    expect(usual('repeat-same', 1)).toBe(4);
    expect([usual('walk', 3), usual('walk', 4)]).toEqual([13, 13]);
    expect([usual('half', 2), usual('refresh', 2)]).toEqual([10, 10]);
    expect([usual('complete', 2), usual('complete', 3), usual('complete', 5)]).toEqual([12, 12, 15]);
    expect([usual('blocks', 2), usual('factorial', 4), usual('half-three', 3)]).toEqual([12, 12, 12]);
  });

  it('before and after draws nothing: the first half is before', () => {
    expect(schemeOf('before-after', 2, 5).draw(9)).toEqual([0, 0, 1, 1, 1]);
    expect(schemeOf('repeat-same', 1, 3).draw(9)).toEqual([0, 0, 0]);
  });

  it('codes and arms on halves go both ways', () => {
    for (const [design, codes] of [
      ['half', 2],
      ['refresh', 2],
      ['half-three', 6],
      ['complete', 4],
    ] as const)
      for (let code = 0; code < codes; code++) {
        const { left, right } = armsOfCode(design, code);
        expect(codeOfArms(design, left, right), design).toBe(code);
        expect(left === right).toBe(design === 'complete');
      }
  });
});
