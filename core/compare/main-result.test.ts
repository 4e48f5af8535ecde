import { describe, expect, it } from 'vitest';
import { FELT } from '../felt/felt.ts';
import { OUTCOMES } from '../outcomes/outcomes.ts';
import { MAIN_RESULTS, mainResult, nearness, ratedBy } from './main-result.ts';
import { measuredFacts, measuredIn } from './measured-result.ts';

describe('a main result', () => {
  it('is every outcome, every reading in words with each of its words, and what is measured each way, once', () => {
    expect(new Set(MAIN_RESULTS).size).toBe(MAIN_RESULTS.length);
    for (const key of Object.keys(OUTCOMES)) expect(MAIN_RESULTS).toContain(key);
    for (const key of MAIN_RESULTS) {
      const { label, better, like, felt, measured, lasting } = mainResult(key);
      expect(OUTCOMES).toHaveProperty(like);
      if (lasting) expect([key, better, like]).toEqual([`lasting:${lasting}`, 'higher', lasting]);
      else if (measured) expect(key).toBe(`${measured.what}:${better === 'higher' ? 'more' : 'less'}`);
      else if (felt === null) expect([label, better]).toEqual([OUTCOMES[like].label, OUTCOMES[like].better]);
      else expect(FELT[felt.quality].words[felt.wanted]).toBe(felt.word);
    }
  });

  it('in words knows its word, and whether a step or a day tells it', () => {
    expect(mainResult('clumps:2')).toEqual({
      label: 'Clump size: medium',
      better: 'higher',
      like: 'definition',
      felt: { quality: 'clumps', wanted: 2, word: 'medium', atSteps: false },
      measured: null,
      lasting: null,
    });
    expect(mainResult('slip:4').felt).toMatchObject({ quality: 'slip', atSteps: true });
    expect(mainResult('white-film:0').felt).toMatchObject({ quality: 'white-film', atSteps: true });
    // What is only told before the wash is no result of it.
    expect(MAIN_RESULTS).not.toContain('feel:4');
  });

  it('that is measured has its unit, and begins with the difference that pictures are held to', () => {
    expect(mainResult('halo:less')).toEqual({
      label: 'Frizz halo',
      better: 'lower',
      like: 'frizz',
      felt: null,
      measured: { what: 'halo', unit: 'mm', places: 2, from: 'photographs' },
      lasting: null,
    });
    expect(mainResult('shrinkage:more').better).toBe('higher');
    // 4 % of 600 cm²; methods.md 4.
    expect([measuredFacts('silhouette').matters, measuredFacts('halo').matters]).toEqual([24, 0.4]);
    expect([
      measuredIn('halo:up'),
      measuredIn('halo'),
      measuredIn('frizz:less'),
      measuredIn('halo:less:2'),
    ]).toEqual([null, null, null, null]);
  });

  it('that is how long it lasts is counted by ratings, in days, and more of them are wanted also of less frizz', () => {
    const { better, measured, like, lasting } = mainResult('lasting:frizz');
    expect([better, measured!.unit, like, lasting]).toEqual(['higher', 'days', 'frizz', 'frizz']);
    expect(['lasting:frizz', 'frizz', 'halo:less'].map((key) => ratedBy(key as 'frizz'))).toEqual([
      'frizz',
      'frizz',
      'halo:less',
    ]);
  });

  it('is nearest at the word itself, and as far to either side of it', () => {
    expect([0, 1, 2, 3, 4].map((value) => nearness(value, 2))).toEqual([5, 7.5, 10, 7.5, 5]);
    expect([0, 4].map((value) => nearness(value, 0))).toEqual([10, 0]);
  });
});
