import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { INGREDIENTS } from '../dictionary.ts';
import { LABELS } from './labels.fixture.ts';
import { parseLabel } from './parse-label.ts';
import { writeLabel, writtenItems } from './write-label.ts';

const read = (text: string) =>
  parseLabel(text).items.map(({ name, ingredient, section, inside, percent }) => ({
    name: ingredient?.name ?? name,
    section,
    inside,
    percent,
  }));

describe('a label written from its items', () => {
  it.each(LABELS.filter(({ what }) => !/never closed/.test(what)))(
    'reads back as the same: $what',
    ({ text }) => {
      expect(read(writeLabel(writtenItems(parseLabel(text).items)))).toEqual(read(text));
    },
  );

  it('keeps its order when items move, and its parts apart', () => {
    const label = parseLabel(
      'Active ingredient: Zinc Pyrithione 1%. Inactive ingredients: Water, Glycerin. May contain: CI 19140',
    );
    const items = writtenItems(label.items);
    const moved = [items[0]!, items[2]!, items[1]!, items[3]!];
    expect(read(writeLabel(moved)).map(({ name, section }) => [name, section])).toEqual([
      ['Zinc Pyrithione', 'active'],
      ['Glycerin', 'main'],
      ['Aqua', 'main'],
      ['CI 19140', 'may contain'],
    ]);
  });

  it('drops what was emptied, and nothing else', () => {
    const name = fc.constantFrom(...INGREDIENTS.map((one) => one.name));
    fc.assert(
      fc.property(fc.uniqueArray(name, { minLength: 2, maxLength: 20 }), fc.nat(), (list, at) => {
        const items = list.map((text) => ({ text, section: 'main' as const }));
        const gone = at % list.length;
        items[gone] = { text: '  ', section: 'main' };
        expect(read(writeLabel(items)).map((item) => item.name)).toEqual(list.filter((_, i) => i !== gone));
      }),
    );
  });
});
