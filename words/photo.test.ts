import { pictureError, tellApart } from '@sabor/core/photo/repeat';
import { describe, expect, it } from 'vitest';
import { alsoMoved } from './also-moved.ts';
import { apartInWords, NOTES, REFUSALS, readingInWords, toldInWords, unlikeInWords } from './photo.ts';

const error = pictureError('halo', [[1, 1.1, 1.05, 0.95, 1]])!;
const said = (a: number, b: number, of = error as typeof error | null) =>
  toldInWords('halo', tellApart('halo', a, b, of), of);

describe('what two pictures say', () => {
  it('is “the same” under the picture’s own error, and names the side over it', () => {
    expect(said(1, 1 + 0.9 * error.most)).toMatch(/^The same: .* up to 0\.\d\d mm\.$/);
    expect(said(1, 1 + 1.1 * error.most)).toMatch(/^More frizz halo, by 0\.\d\d mm/);
    expect(said(1 + 1.1 * error.most, 1)).toMatch(/^Less frizz halo/);
  });

  it('says so where it is more, and still not worth switching for', () => {
    const sharp = pictureError('halo', [[1, 1.001, 1, 0.999]])!;
    expect(said(1, 1.2, sharp)).toMatch(/^More frizz halo, by 0\.20 mm: .* begin at 0\.40 mm\.$/);
    expect(said(1, 1.5, sharp)).not.toContain('worth switching');
    expect(said(1.5, 1, sharp)).not.toContain('worth switching');
  });

  it('is no more than a number until the hair was photographed twice', () => {
    expect(said(1, 9, null)).toContain('8.00 mm apart');
    expect(said(1, 9, null)).toContain('not known yet');
    expect(said(1, 9, null)).not.toMatch(/More|Less|same:/);
  });

  it('is a share for sizes', () => {
    const sizes = pictureError('silhouette', [[600, 606, 612]])!;
    expect(toldInWords('silhouette', tellApart('silhouette', 600, 700, sizes), sizes)).toMatch(
      /^Larger silhouette, by 100 cm²: .* up to 6\.\d %\.$/,
    );
  });
});

describe('what pictures say of two options', () => {
  const say = (difference: number, most: number | null, within: number | null, worth = 0.4) =>
    apartInWords('halo', { difference, most, within, worth }, ['Anvil', 'Kelp']);

  it('names the option with more, whichever comes first, and never without the picture’s own error', () => {
    expect(say(-0.4, 0.1, 0.2)).toMatch(/^More frizz halo with Anvil, by 0\.40 mm/);
    expect(say(0.4, 0.1, 0.2)).toMatch(/^More frizz halo with Kelp, by 0\.40 mm/);
    expect(say(0.4, null, 0.2)).not.toMatch(/Kelp|Anvil|More/);
    expect(say(0.09, 0.1, 0)).toBe('Not told apart: pictures alone put such means up to 0.10 mm apart.');
  });

  it('calls no limit nothing', () => {
    expect(say(0.19, 0.002, 0.79)).toContain('pictures alone put such means less than 0.01 mm apart.');
    expect(say(0.19, 0.005, 0.001)).toMatch(/up to 0\.01 mm apart\. Wash days .* less than 0\.01 mm apart/);
    expect(said(1.5, 1, pictureError('halo', [[0.5, 0.5002, 0.5004]]))).toContain(
      'shooting twice alone differs by less than 0.01 mm.',
    );
    const sizes = pictureError('silhouette', [[600, 600.01, 600.02]])!;
    expect(toldInWords('silhouette', tellApart('silhouette', 600, 700, sizes), sizes)).toContain(
      'differs by less than 0.1 %.',
    );
  });

  it('says of clump width what else moves it, wherever it is told apart or judged by, and of nothing else', () => {
    const width = { difference: 1.2, most: 0.3, within: 0.5, worth: 0.9 };
    const looser = /Hair that hangs looser or strays more reads otherwise too/;
    expect(apartInWords('clump-width', width, ['Anvil', 'Kelp'])).toMatch(looser);
    expect(apartInWords('clump-width', { ...width, most: 2 }, ['Anvil', 'Kelp'])).not.toMatch(looser);
    expect(apartInWords('coherence', width, ['Anvil', 'Kelp'])).not.toMatch(looser);
    const error = pictureError('clump-width', [[6, 6.1, 6.2]])!;
    expect(toldInWords('clump-width', tellApart('clump-width', 6, 9, error), error)).toMatch(looser);
    expect(alsoMoved('clump-width')).toEqual([expect.stringMatching(looser)]);
    expect([alsoMoved('halo'), alsoMoved('days'), alsoMoved(undefined)]).toEqual([[], [], []]);
  });

  it('says of smoothness of run that coils may differ unseen, above all where it reads the same, and of nothing else', () => {
    const coils = /In coils, .* hardly follows how strands run: other hair may read the same\.$/;
    const run = { difference: 0.12, most: 0.02, within: 0.05, worth: 0.05 };
    expect(apartInWords('coherence', run, ['Anvil', 'Kelp'])).toMatch(coils);
    expect(apartInWords('coherence', { ...run, most: 0.2 }, ['Anvil', 'Kelp'])).toMatch(/^Not told apart/);
    expect(apartInWords('coherence', { ...run, most: 0.2 }, ['Anvil', 'Kelp'])).toMatch(coils);
    const error = pictureError('coherence', [[0.6, 0.61, 0.62]])!;
    const told = (b: number) => toldInWords('coherence', tellApart('coherence', 0.6, b, error), error);
    expect(told(0.6)).toMatch(/^The same/);
    for (const b of [0.6, 0.9]) expect(told(b)).toMatch(coils);
    expect(alsoMoved('coherence')).toEqual([expect.stringMatching(coils)]);
    for (const measure of ['halo', 'clump-contrast'] as const)
      expect(apartInWords(measure, { ...run, most: 0.2 }, ['Anvil', 'Kelp'])).not.toMatch(/coils/);
  });

  it('says from what on a difference is worth switching for where it is told apart and smaller', () => {
    const begins = 'A difference worth switching for is taken to begin at 0.40 mm.';
    expect(say(0.39, 0.1, 0.2)).toContain(begins);
    expect(say(-0.39, 0.1, 0.2)).toContain(begins);
    expect(say(0.4, 0.1, 0.2)).not.toContain('worth switching');
    expect(say(0.39, 0.5, 0.2)).not.toContain('worth switching');
  });

  it('sets it against how much wash days of one option differ', () => {
    expect(say(0.19, 0.01, 0.79)).toContain('But wash days of one option lie up to 0.79 mm apart');
    expect(say(0.9, 0.01, 0.79)).toContain('. Wash days of one option lie up to 0.79 mm apart');
    expect(say(0.9, 0.01, null)).toContain('differ is not known yet');
  });
});

describe('numbers and reasons', () => {
  it('have their units and places', () => {
    expect(readingInWords('halo', 0.4213)).toBe('0.42 mm');
    expect(readingInWords('silhouette', 621.4)).toBe('621 cm²');
    expect(readingInWords('strays', 8.44)).toBe('8.4 per 100 mm');
    expect(readingInWords('volume', 12_345.4)).toBe('12,345 cm³');
    expect(readingInWords('volume', 999.6)).toBe('1,000 cm³');
    expect(readingInWords('volume', 1_234_567)).toBe('1,234,567 cm³');
  });

  it('are sentences', () => {
    for (const text of [...Object.values(REFUSALS), ...Object.values(NOTES)])
      expect(text).toMatch(/^[A-Z].*\.$/);
    expect(unlikeInWords({ kind: 'scale', share: 0.12 })).toBe(
      'One was taken 12 % closer than the other; 5 % is borne.',
    );
    expect(unlikeInWords({ kind: 'exposure', ev: 1.43 })).toContain('1.4 stops');
    expect(unlikeInWords({ kind: 'white balance', kelvin: 1340 })).toContain('1300 K');
  });
});
