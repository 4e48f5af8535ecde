import { describe, expect, it } from 'vitest';
import { joinedLines, listInPicture } from './from-picture.ts';

describe('a label read off a picture', () => {
  it('is put together from its lines: broken words, full stops for commas', () => {
    expect(joinedLines('Aqua, Cetearyl Al-\ncohol, Polyquater-\nnium-10')).toBe(
      'Aqua, Cetearyl Alcohol, Polyquaternium-10',
    );
    expect(joinedLines('Aqua. Glycerin, PEG-\n40 Castor Oil')).toBe('Aqua, Glycerin, PEG-40 Castor Oil');
    expect(joinedLines('Leave in. Rinse')).toBe('Leave in. Rinse');
    expect(joinedLines('Pan|thenol')).toBe('Panlthenol');
  });

  it('comes item by item, with what a misread name may have been', () => {
    const read = listInPicture(
      'CURL CREAM 200 ml\nIngredients: Aqua, Cetearyl Alcohol, Glycerln,\nBehentrimonium Chloride. Panthenol, Parfum.',
    )!;
    expect(read.map(({ text }) => text)).toEqual([
      'Aqua',
      'Cetearyl Alcohol',
      'Glycerln',
      'Behentrimonium Chloride',
      'Panthenol',
      'Parfum',
    ]);
    expect(read.filter(({ known }) => !known)).toEqual([
      { text: 'Glycerln', known: false, meant: ['Glycerin'] },
    ]);
  });

  it('is none where the picture shows none: noise, a cat, a shop’s page', () => {
    for (const text of [
      '',
      '~ .. =',
      'Meow',
      'A B\nC ;; D',
      'Best curls of the town. Open Monday to Friday, nine to five, at the old mill.',
    ])
      expect(listInPicture(text), text).toBeNull();
  });
});
