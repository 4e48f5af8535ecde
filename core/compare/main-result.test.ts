import { describe, expect, it } from 'vitest';
import { FELT } from '../felt/felt.ts';
import { OUTCOMES } from '../outcomes/outcomes.ts';
import { MAIN_RESULTS, mainResult, nearness } from './main-result.ts';

describe('a main result', () => {
  it('is every outcome, and every reading in words with each of its words, once', () => {
    expect(new Set(MAIN_RESULTS).size).toBe(MAIN_RESULTS.length);
    for (const key of Object.keys(OUTCOMES)) expect(MAIN_RESULTS).toContain(key);
    for (const key of MAIN_RESULTS) {
      const { label, better, like, felt } = mainResult(key);
      expect(OUTCOMES).toHaveProperty(like);
      if (felt === null) expect([label, better]).toEqual([OUTCOMES[like].label, OUTCOMES[like].better]);
      else expect(FELT[felt.quality].words[felt.wanted]).toBe(felt.word);
    }
  });

  it('in words knows its word, and whether a step or a day tells it', () => {
    expect(mainResult('clumps:2')).toEqual({
      label: 'Clump size: medium',
      better: 'higher',
      like: 'definition',
      felt: { quality: 'clumps', wanted: 2, word: 'medium', atSteps: false },
    });
    expect(mainResult('slip:4').felt).toMatchObject({ quality: 'slip', atSteps: true });
    expect(mainResult('white-film:0').felt).toMatchObject({ quality: 'white-film', atSteps: true });
    // What is only told before the wash is no result of it.
    expect(MAIN_RESULTS).not.toContain('feel:4');
  });

  it('is nearest at the word itself, and as far to either side of it', () => {
    expect([0, 1, 2, 3, 4].map((value) => nearness(value, 2))).toEqual([5, 7.5, 10, 7.5, 5]);
    expect([0, 4].map((value) => nearness(value, 0))).toEqual([10, 0]);
  });
});
