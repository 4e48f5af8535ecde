import type { Recipe, RecipeInput } from '@sabor/contract/recipe';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleProduct } from '../../testing/samples.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const thing = (name: string, amount = 1) => ({ name, productId: null, recipeId: null, amount });
const mix = (to: Partial<RecipeInput> = {}): RecipeInput => ({
  id: v7(),
  name: 'Flaxseed gel',
  unit: 'parts',
  parts: [thing('flaxseed'), thing('water', 9)],
  note: 'Boil, strain, cool.',
  ...to,
});
const save = <T = Recipe>(recipe: RecipeInput) => bench.ask<T>('PUT', `/api/recipes/${recipe.id}`, recipe);
const refused = async (recipe: RecipeInput) => {
  const { status, body } = await save<{ fields: { path: string; message: string }[] }>(recipe);
  return [status, ...body.fields.map(({ path, message }) => `${path}: ${message}`)];
};

describe('home mixes', () => {
  it('are kept, changed and put away', async () => {
    const one = mix();
    expect((await save(one)).body).toEqual({ ...one, archivedAt: null, version: 1 });
    expect((await save({ ...one, name: 'Seed gel' })).body).toMatchObject({ name: 'Seed gel', version: 2 });
    expect((await bench.ask('POST', `/api/recipes/${one.id}/archive`)).status).toBe(204);
    const all = (await bench.ask<Recipe[]>('GET', '/api/recipes')).body;
    expect(all.find(({ id }) => id === one.id)!.archivedAt).not.toBeNull();
  });

  it('cannot hold themselves, however far round, nor what is not there', async () => {
    const [a, b] = [mix({ name: 'A' }), mix({ name: 'B' })];
    await save(a);
    await save({ ...b, parts: [{ ...thing('A'), recipeId: a.id }, thing('water')] });
    expect(await refused({ ...a, parts: [thing('water'), { ...thing('B'), recipeId: b.id }] })).toEqual([
      422,
      'parts.1.name: A home mix cannot hold itself: A, which holds B, which holds A. Take this part out.',
    ]);
    expect(await refused({ ...a, parts: [{ ...thing('A'), recipeId: a.id }, thing('water')] })).toEqual([
      422,
      'parts.0.name: A home mix cannot hold itself: A, which holds A. Take this part out.',
    ]);
    expect(await refused(mix({ parts: [thing('water'), { ...thing('Gone'), recipeId: v7() }] }))).toEqual([
      422,
      'parts.1.name: Sabor has no such home mix. Choose the part again.',
    ]);
    expect(await refused(mix({ parts: [thing('water'), { ...thing('Gone'), productId: v7() }] }))).toEqual([
      422,
      'parts.1.name: This product is not on the shelf. Choose the part again.',
    ]);
  });

  it('need two parts, names and amounts', async () => {
    expect(await refused(mix({ parts: [thing('water')] }))).toEqual([
      422,
      'parts: A home mix has two parts at least. One alone is a product, not a mix.',
    ]);
    expect(await refused(mix({ name: ' ', parts: [thing(''), thing('water', 0)] }))).toEqual([
      422,
      'name: A home mix needs a name.',
      'parts.0.name: Name this part, or choose a product.',
      'parts.1.amount: The amount must be more than 0.',
    ]);
  });

  it('may hold products of the shelf', async () => {
    const product = sampleProduct();
    await bench.ask('PUT', `/api/products/${product.id}`, product);
    const made = mix({ parts: [{ ...thing('Plain Gel'), productId: product.id }, thing('water')] });
    expect((await save(made)).status).toBe(200);
  });
});
