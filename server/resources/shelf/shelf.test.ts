import type { Product, ProductInput, Shelf } from '@sabor/contract/shelf';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleProduct } from '../../testing/samples.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const save = (product: ProductInput) => bench.ask<Product>('PUT', `/api/products/${product.id}`, product);
const refused = async (to: object) =>
  (await bench.ask('PUT', `/api/products/${v7()}`, { ...sampleProduct(), ...to })).body;

describe('the shelf', () => {
  it('keeps a product as it was given, and takes it twice without harm', async () => {
    const product = sampleProduct({ roles: ['gel', 'cream'], labelDirections: 'Rake through.', note: 'n' });
    const first = await save(product);
    expect(first.status).toBe(200);
    expect(first.body).toMatchObject({ ...product, archivedAt: null, version: 1, uses: 0, calibrations: [] });
    expect((await save(product)).body).toEqual({ ...first.body, version: 2 });
    const { body } = await bench.ask<Shelf>('GET', '/api/shelf');
    expect(body.products.filter(({ id }) => id === product.id)).toHaveLength(1);
  });

  it('changes the bottle’s opened date in place', async () => {
    const product = sampleProduct({ openedOn: null });
    expect((await save(product)).body.openedOn).toBeNull();
    expect((await save({ ...product, openedOn: '2026-02-01' })).body.openedOn).toBe('2026-02-01');
    const { rows } = await bench.db.query('select count(*) as n from bottle where product_id = $1', [
      product.id,
    ]);
    expect(rows[0].n).toBe(1);
  });

  it('stores the ingredient text whole', async () => {
    const ingredients = '  Aqua (Water/Eau),\n• 1,2-Hexanediol;  “Parfum”* — <b>x</b> \u200f';
    expect((await save(sampleProduct({ ingredients }))).body.ingredients).toBe(ingredients);
  });

  it('puts away and brings back, and never deletes', async () => {
    const product = sampleProduct();
    await save(product);
    expect((await bench.ask('POST', `/api/products/${product.id}/archive`)).status).toBe(204);
    expect((await bench.ask<Product>('GET', `/api/products/${product.id}`)).body.archivedAt).not.toBeNull();
    await bench.ask('POST', `/api/products/${product.id}/restore`);
    expect((await bench.ask<Product>('GET', `/api/products/${product.id}`)).body.archivedAt).toBeNull();
    expect((await bench.ask('DELETE', `/api/products/${product.id}`)).status).toBe(404);
  });

  it('keeps lines', async () => {
    const id = v7();
    expect((await bench.ask('PUT', `/api/lines/${id}`, { name: ' Tide ', note: '' })).status).toBe(204);
    const { body } = await bench.ask<Shelf>('GET', '/api/shelf');
    expect(body.lines.find((line) => line.id === id)?.name).toBe('Tide');
  });

  it.each([
    [{ name: '   ' }, 'name', 'A product needs a name.'],
    [{ price: -1 }, 'price', 'The price cannot be under 0.'],
    [{ price: 'abc' }, 'price', 'The price must be a number.'],
    [{ sizeMl: 0 }, 'sizeMl', 'The size must be more than 0.'],
    [{ currency: null }, 'currency', 'A price needs its currency.'],
    [{ currency: 'euro' }, 'currency', 'Give the currency as three letters, such as EUR.'],
    [{ roles: [] }, 'roles', 'Choose at least one use of this product.'],
    [{ openedOn: '2999-01-01' }, 'openedOn', 'This date is in the future. Give today or earlier.'],
    [{ openedOn: '2026-02-30' }, 'openedOn', 'There is no such day.'],
    [{ monthsAfterOpening: 1.5 }, 'monthsAfterOpening', 'The period after opening must be a whole number.'],
    [
      { ingredients: 'x'.repeat(20_001) },
      'ingredients',
      'This is longer than any label: over 20,000 characters. Paste the ingredient list alone.',
    ],
  ])('refuses %j at its field', async (to, path, message) => {
    expect((await refused(to)).fields).toContainEqual({ path, message });
  });

  it('refuses five megabytes of ingredients', async () => {
    const { status, body } = await bench.ask(
      'PUT',
      `/api/products/${v7()}`,
      sampleProduct({ ingredients: 'x'.repeat(5_000_000) }),
    );
    expect(status).toBe(413);
    expect(body.detail).toContain('Send less of it');
  });

  it('answers ids it does not know with a sentence', async () => {
    expect(await bench.ask('GET', `/api/products/${v7()}`)).toMatchObject({
      status: 404,
      body: { detail: expect.stringContaining('no such product') },
    });
    expect((await bench.ask('GET', '/api/products/not-an-id')).status).toBe(404);
    expect((await refused({ lineId: v7() })).detail).toBe(
      'This names something Sabor does not have, or that is still in use.',
    );
  });
});

describe('weighed measures', () => {
  it('are kept by product and measure, replaced, and taken away', async () => {
    const { id } = (await save(sampleProduct())).body;
    const put = (measure: string, grams: unknown) =>
      bench.ask<Product>('PUT', `/api/products/${id}/calibrations/${measure}`, { grams });
    const first = await put('pump', [1.5, 1.6, 1.4]);
    expect(first.body.calibrations).toMatchObject([{ measure: 'pump', grams: [1.5, 1.6, 1.4] }]);
    expect((await put('pump', [2, 2.1, 2])).body.calibrations).toMatchObject([{ grams: [2, 2.1, 2] }]);
    expect((await put('pump', [])).body.calibrations).toEqual([]);
    expect((await put('thimble', [1])).status).toBe(422);
    expect((await put('pump', [0])).status).toBe(422);
    expect((await bench.ask('PUT', `/api/products/${v7()}/calibrations/pump`, { grams: [1] })).status).toBe(
      404,
    );
  });
});

describe('a product file sent twice at the same time', () => {
  it('is stored once; the second is told that all of it is there already', async () => {
    const products = (n: number) =>
      Array.from({ length: n }, (_, i) => ({ ...sampleProduct({ name: `Twice ${i}` }), line: 'Twice Line' }));
    const send = () =>
      bench.ask<{ stored: number; known: number }>('POST', '/api/shelf/import', { products: products(50) });
    const answers = (await Promise.all([send(), send(), send()])).map(({ body }) => body);
    expect(answers.map(({ stored }) => stored).sort((a, b) => a - b)).toEqual([0, 0, 50]);
    expect(answers.map(({ known }) => known).sort((a, b) => a - b)).toEqual([0, 50, 50]);
    const { body } = await bench.ask<Shelf>('GET', '/api/shelf');
    expect(body.products.filter(({ name }) => name.startsWith('Twice '))).toHaveLength(50);
    expect(body.lines.filter(({ name }) => name === 'Twice Line')).toHaveLength(1);
  });
});
