import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { INGREDIENTS } from '../dictionary.ts';
import { normalName } from '../normal-name.ts';
import { LABELS } from './labels.fixture.ts';
import { parseLabel } from './parse-label.ts';
import { editDistance, suggest } from './suggest.ts';

const names = (text: string) =>
  parseLabel(text).items.map(({ name, ingredient }) => ingredient?.name ?? `?${name}`);

describe('labels as they are printed and pasted', () => {
  it.each(LABELS)('$what', ({ text, reads, unknown = 0 }) => {
    const { items } = parseLabel(text);
    expect(items.map(({ name, ingredient }) => ingredient?.name ?? name)).toEqual(reads);
    expect(items.filter(({ ingredient }) => !ingredient)).toHaveLength(unknown);
  });

  it('are sixty and more', () => {
    expect(LABELS.length).toBeGreaterThanOrEqual(60);
  });
});

describe('a paste', () => {
  it('keeps percentages, footnotes and what is inside what', () => {
    const { items } = parseLabel('Aqua, Glycerin* (5%), Parfum (Linalool, Limonene), Panthenol 0.5 %');
    expect(items[1]).toMatchObject({ percent: { value: 5, within: 0.5 }, marks: '*' });
    expect(items.slice(2, 5).map(({ inside }) => inside)).toEqual([null, 2, 2]);
    expect(items[5]!.percent!.value).toBe(0.5);
    expect(items[5]!.percent!.within).toBeCloseTo(0.05, 12);
  });

  it('tells active, other and possible ingredients apart', () => {
    const { items, lists } = parseLabel(
      'Active ingredients: Pyrithione Zinc 1%\nInactive ingredients: Water, Sodium Laureth Sulfate. May contain (+/-): CI 19140',
    );
    expect(items.map(({ section }) => section)).toEqual(['active', 'main', 'main', 'may contain']);
    expect(lists).toHaveLength(1);
  });

  it('with two lists says so, and reads the one that is chosen', () => {
    const text =
      'Shampoo ingredients: Aqua, Decyl Glucoside, Glycerin\n\nConditioner ingredients: Aqua, Cetyl Alcohol';
    expect(parseLabel(text).says).toEqual([expect.stringContaining('2 lists')]);
    expect(parseLabel(text, 1).items.map(({ name }) => name)).toEqual(['Aqua', 'Cetyl Alcohol']);
    expect(parseLabel(text).lists).toEqual(['Shampoo ingredients', 'Conditioner ingredients']);
  });

  it.each([
    ['', 'Paste the ingredient list'],
    ['   \n ', 'Paste the ingredient list'],
    [
      'Our rich cream melts into thirsty coils and leaves them dancing in the wind all day, every day, with a scent of far islands that you will never want to forget again',
      'reads like a description',
    ],
    [
      'Energy 210 kJ, Fat 3 g, of which saturates 1 g, Carbohydrates 8 g, Protein 2 g per 100 g',
      'nutrition label',
    ],
    ['Aqua', 'Only one ingredient'],
    ['Foo, Bar', 'No name here'],
    ['Aqua 60%, Glycerin 50%', 'over 100'],
    ['Aqua, Glycerin, Panthenol, Glycerol', 'Named twice: Glycerin'],
    ['a'.repeat(2_000_000), 'longer than any label'],
  ])('%# gets a sentence', (text, says) => {
    expect(parseLabel(text).says.join(' ')).toContain(says);
  });

  it('keeps what stands before the list', () => {
    const { before, items } = parseLabel('Shake well. Made with love.\nIngredients: Aqua, Glycerin');
    expect(before).toContain('Made with love');
    expect(items).toHaveLength(2);
  });

  it('takes names the user has classified', () => {
    const own = new Map([['driftwood essence', INGREDIENTS[3]!]]);
    expect(parseLabel('Aqua, Driftwood Essence', 0, own).items[1]!.ingredient).toBe(INGREDIENTS[3]);
  });
});

describe('every paste', () => {
  const noise = fc.string({ unit: 'binary', maxLength: 300 });
  const name = fc.constantFrom(...INGREDIENTS.map((one) => one.name));

  it('is read without a crash, whatever it is', () => {
    fc.assert(fc.property(noise, (text) => void parseLabel(text)));
    const wild = fc
      .array(
        fc.oneof(
          name,
          noise,
          fc.constantFrom(', ', '(', ')', '[', '+/-', '%', 'Ingredients:', '\n', '<b>', '•'),
        ),
      )
      .map((parts) => parts.join(''));
    fc.assert(fc.property(wild, (text) => void parseLabel(text)));
  });

  it('loses no ingredient, and keeps their order', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(name, { minLength: 1, maxLength: 40 }),
        fc.constantFrom(', ', ',', '; ', ' • ', '\n', ',\n'),
        fc.constantFrom('', 'Ingredients: ', 'INCI: ', 'Ingrédients : '),
        (list, between, heading) => {
          expect(names(heading + list.join(between))).toEqual(list);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('read again from what was read is the same', () => {
    fc.assert(
      fc.property(fc.uniqueArray(name, { minLength: 1, maxLength: 20 }), (list) => {
        const once = names(list.join(', '));
        expect(names(once.join(', '))).toEqual(once);
      }),
    );
    for (const { text } of LABELS) {
      const once = names(text).filter((one) => !one.startsWith('?'));
      expect(names(once.join(', '))).toEqual(once);
    }
  });
});

describe('a misspelt or cut name', () => {
  it.each([
    ['Behentrimonium Clhoride', 'Behentrimonium Chloride'],
    ['Cetaryl Alcohol', 'Cetearyl Alcohol'],
    ['Glyecrin', 'Glycerin'],
    ['Polyquaterium-11', 'Polyquaternium-11'],
    ['Hydrolized Weat Protein', 'Hydrolyzed Wheat Protein'],
    ['Cocamidopropyl Beta', 'Cocamidopropyl Betaine'],
  ])('%s suggests %s', (written, meant) => {
    expect(suggest(written)[0]?.name).toBe(meant);
  });

  it('suggests nothing where nothing is near', () => {
    expect(suggest('Driftwood Essence')).toEqual([]);
    expect(suggest('abc')).toEqual([]);
  });

  it('counts edits as textbooks do (Damerau, restricted)', () => {
    expect(editDistance('kitten', 'sitting', 5)).toBe(3);
    expect(editDistance('saturday', 'sunday', 5)).toBe(3);
    expect(editDistance('ca', 'ac', 5)).toBe(1);
    expect(editDistance('abcdef', 'uvwxyz', 2)).toBe(3);
    fc.assert(
      fc.property(fc.string({ maxLength: 8 }), fc.string({ maxLength: 8 }), (a, b) => {
        expect(editDistance(a, b, 20)).toBe(editDistance(b, a, 20));
        expect(editDistance(a, b, 20) === 0).toBe(a === b);
      }),
    );
    expect(normalName('Sulphate')).toBe('sulfate');
  });
});
