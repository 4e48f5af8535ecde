import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  guessProductColumns,
  PRODUCT_COLUMNS,
  type ProductColumns,
  type ProductRow,
  productCells,
  readProductRows,
} from './product-table.ts';
import { LABEL_HOLDS, ROLES, STAKES } from './products.ts';

const HEADER = Object.keys(PRODUCT_COLUMNS);
const columns = guessProductColumns(HEADER);

describe('a product file', () => {
  it('is named by its headings, Sabor’s own and others’', () => {
    expect(columns).toEqual(HEADER);
    expect(guessProductColumns(['Brand', 'Product name', 'Category', 'INCI', 'PAO', 'Shade'])).toEqual([
      'line',
      'name',
      'roles',
      'ingredients',
      'months_after_opening',
      null,
    ]);
  });

  it('takes what it can and tells the rest row by row', () => {
    const some: ProductColumns = ['name', 'roles', 'price', 'opened_on'];
    const { taken, refused } = readProductRows(
      [
        ['Reed Gel', 'Gel', '12,50', ''],
        ['', 'gel', '', ''],
        ['Reed Gel', 'gel', '', ''],
        ['Sand Cream', 'paint', '', ''],
        ['Salt Spray', 'mist', 'cheap', ''],
        ['Leave-in Dew', '', '€ 9', '2026-01-05'],
        ['Fen Foam', 'mousse; leave in', '', '5 January'],
        ['', '', '', ''],
      ],
      some,
      2,
    );
    expect(taken.map(({ name, roles, price }) => [name, roles, price])).toEqual([
      ['Reed Gel', ['gel'], 12.5],
      ['Leave-in Dew', ['leave-in'], 9],
    ]);
    expect(refused).toEqual([
      { line: 3, reason: 'The name is missing.' },
      { line: 4, reason: 'The same product as line 2; the first was taken.' },
      { line: 5, reason: '“paint” is no role Sabor knows.' },
      { line: 6, reason: 'Price: “cheap” is no number.' },
      { line: 8, reason: 'Give the opened date as 2026-11-25.' },
    ]);
  });

  it('reads back the same as it was written', () => {
    const key = <K extends string>(vocabulary: Record<K, unknown>) =>
      fc.constantFrom(...(Object.keys(vocabulary) as K[]));
    const words = fc.stringMatching(/^[A-Za-z][A-Za-z ,;"'-]{0,20}[a-z]$/);
    const product: fc.Arbitrary<ProductRow> = fc.record({
      line: fc.option(words),
      name: words,
      roles: fc.uniqueArray(key(ROLES), { minLength: 1, maxLength: 3 }),
      sizeMl: fc.option(fc.integer({ min: 1, max: 999 })),
      price: fc.option(fc.integer({ min: 0, max: 9999 }).map((x) => x / 100)),
      currency: fc.option(fc.constant('EUR')),
      labelHold: key(LABEL_HOLDS),
      ingredients: fc.constantFrom('', 'Aqua, 1,2-Hexanediol', 'Aqua\nGlycerin, "Parfum"'),
      labelDirections: fc.option(words),
      stake: key(STAKES),
      openedOn: fc.option(fc.constant('2026-02-03')),
      monthsAfterOpening: fc.option(fc.integer({ min: 1, max: 36 })),
      note: fc.option(words, { nil: '' }),
    });
    fc.assert(
      fc.property(product, (one) => {
        const { taken } = readProductRows([Object.values(productCells(one))], columns, 2);
        expect(taken).toEqual([one]);
      }),
    );
  });
});
