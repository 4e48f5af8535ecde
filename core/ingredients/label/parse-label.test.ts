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
    expect(items[1]).toMatchObject({ percent: { low: 4.5, high: 5.5 }, marks: '*' });
    expect(items.slice(2, 5).map(({ inside }) => inside)).toEqual([null, 2, 2]);
    expect(items[5]!.percent!.low).toBeCloseTo(0.45, 12);
    expect(items[5]!.percent!.high).toBeCloseTo(0.55, 12);
  });

  it.each([
    ['5 %', 4.5, 5.5],
    ['0,5 %', 0.45, 0.55],
    ['<1 %', 0, 1],
    ['(< 0.1%)', 0, 0.1],
    ['≤ 2 %', 0, 2],
    ['max. 3 %', 0, 3],
    ['up to 3%', 0, 3],
    ['3 % max', 0, 3],
    ['>30%', 30, 100],
    ['≥5 %', 5, 100],
    ['min. 5 %', 5, 100],
    ['min 5%', 5, 100],
    ['at least 10 %', 10, 100],
    ['5-15%', 5, 15],
    ['5 – 15 %', 5, 15],
    ['5% to 15%', 5, 15],
    ['ca. 6 %', 4, 9],
    ['100 %', 99.5, 100],
  ])('reads a stated share as bounds: %s', (stated, low, high) => {
    for (const text of [`Aqua, Glycerin ${stated}, Panthenol`, `Aqua, ${stated} Glycerin, Panthenol`]) {
      const { items } = parseLabel(text);
      expect(
        items.map(({ name }) => name),
        text,
      ).toEqual(['Aqua', 'Glycerin', 'Panthenol']);
      expect(items[1]!.percent!.low).toBeCloseTo(low, 9);
      expect(items[1]!.percent!.high).toBeCloseTo(high, 9);
    }
  });

  it('takes no percentage from a name that ends in a number', () => {
    const { items } = parseLabel('Aqua, Ceteareth-20 5%, Polyquaternium-7, PEG-40 Hydrogenated Castor Oil');
    expect(items.map(({ percent }) => percent?.low ?? null)).toEqual([null, 4.5, null, null]);
  });

  it('shows what it does not take for ingredients', () => {
    const { notes } = parseLabel(
      'Aqua, Glycerin*, Panthenol. *Certified organic. Keep away from eyes, rinse at once.\nFree from sulfates, parabens.',
    );
    expect(notes.join(' | ')).toBe(
      '*Certified organic. Keep away from eyes, rinse at once. Free from sulfates, parabens.',
    );
  });

  it('never takes a known name for a note, whatever stands before it', () => {
    const { items } = parseLabel('Aqua, Glycerin.\nVegan formula\nLinalool, Panthenol');
    expect(items.map(({ name }) => name)).toEqual(['Aqua', 'Glycerin', 'Linalool', 'Panthenol']);
  });

  it('says which list is read where it is not the first', () => {
    const { says, which } = parseLabel('Key ingredients: Panthenol\nIngredients: Aqua, PVP, Panthenol');
    expect(which).toBe(1);
    expect(says.join(' ')).toContain('“Ingredients” is read');
    expect(parseLabel('Key ingredients: Panthenol\nIngredients: Aqua, PVP', 0).items).toHaveLength(1);
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
          fc.constantFrom(
            ', ',
            '(',
            ')',
            '[',
            '+/-',
            '%',
            'Ingredients:',
            '\n',
            '<b>',
            '•',
            '. ',
            '/',
            ' & ',
            '* ',
            '5-15%',
          ),
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

  it('loses no ingredient to a bracket, a slash, a joint, a line or a note behind', () => {
    const group = (a: string, b: string) =>
      fc.constantFrom(
        `[${a}, ${b}]`,
        `(${a}, ${b})`,
        `Parfum (${a}, ${b})`,
        `${a} (and) ${b}`,
        `${a} & ${b}`,
        `${a}, ${b}. Vegan.`,
        `${a},\n${b}\n\nMade in a small town`,
      );
    fc.assert(
      fc.property(
        fc
          .uniqueArray(name, { minLength: 2, maxLength: 2 })
          .chain(([a, b]) => group(a!, b!).map((text) => ({ a, b, text }))),
        ({ a, b, text }) => {
          const read = names(`Aqua, ${text}`);
          for (const wanted of [a, b]) expect(read, text).toContain(wanted);
        },
      ),
      { numRuns: 400 },
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
