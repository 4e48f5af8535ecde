import type { HairFile } from '@sabor/contract/hair-file';
import type { LedgerWashDay, OwnIngredient } from '@sabor/contract/ingredients';
import type { Shelf } from '@sabor/contract/shelf';
import type { WashDay } from '@sabor/contract/wash-day';
import { guessProductColumns, readProductRows } from '@sabor/core/shelf/product-table';
import Papa from 'papaparse';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleProduct, sampleWearer } from '../../testing/samples.ts';
import { tapStep } from '../../testing/tapping.ts';

let bench: TestBench;
beforeEach(async () => {
  bench = await openBench();
});
afterEach(() => bench.close());

describe('names the tester classified', () => {
  it('are kept once for all products, and can be taken back', async () => {
    const put = (body: object) => bench.ask('PUT', '/api/own-ingredients', body);
    expect((await put({ name: ' Driftwood Essence ', likeName: null, group: 'extract' })).status).toBe(204);
    await put({ name: 'driftwood essence', likeName: 'Panthenol', group: null });
    expect((await bench.ask<OwnIngredient[]>('GET', '/api/own-ingredients')).body).toEqual([
      { name: 'driftwood essence', likeName: 'Panthenol', group: null },
    ]);
    expect((await put({ name: 'x', likeName: 'Panthenol', group: 'extract' })).body.detail).toContain(
      'either',
    );
    expect((await put({ name: '', likeName: null, group: 'extract' })).status).toBe(422);
    expect((await bench.ask('DELETE', '/api/own-ingredients/driftwood%20essence')).status).toBe(204);
    expect((await bench.ask('DELETE', '/api/own-ingredients/driftwood%20essence')).status).toBe(404);
  });
});

describe('rules weighed for a wearer', () => {
  it('are recorded, and forgotten at the rule’s own weight', async () => {
    const wearer = sampleWearer();
    await bench.ask('PUT', `/api/wearers/${wearer.id}`, wearer);
    const weigh = (rule: string, weight: number) =>
      bench.ask('PUT', `/api/wearers/${wearer.id}/rules/${rule}`, { weight });
    const weights = async () =>
      (await bench.ask<HairFile>('GET', `/api/wearers/${wearer.id}/file`)).body.ruleWeights;
    await weigh('heavy-fine', 0);
    await weigh('film-humid', 2);
    expect(await weights()).toEqual({ 'heavy-fine': 0, 'film-humid': 2 });
    await weigh('heavy-fine', 1);
    expect(await weights()).toEqual({ 'film-humid': 2 });
    expect((await weigh('heavy-fine', 9)).status).toBe(422);
    expect((await weigh('No Rule', 1)).status).toBe(404);
    expect((await bench.ask('PUT', `/api/wearers/${v7()}/rules/heavy-fine`, { weight: 0 })).status).toBe(404);
  });
});

describe('the ledger’s wash days', () => {
  it('hold what was really put on, with its grams', async () => {
    const { trial, wearer } = await sampleBench(bench);
    const id = v7();
    await bench.ask('PUT', `/api/wash-days/${id}`, { trialId: trial.id, startedAt: '2026-11-10T09:00:00Z' });
    const { body: day } = await bench.ask<WashDay>('GET', `/api/wash-days/${id}`);
    for (const step of day.steps.filter(({ productId }) => productId))
      await tapStep(bench, id, step.id, { status: 'done', doneAt: '2026-11-10T09:30:00Z' });
    const { body } = await bench.ask<LedgerWashDay[]>('GET', `/api/wearers/${wearer.id}/ledger`);
    expect(body).toHaveLength(1);
    expect(body[0]).toMatchObject({ on: '2026-11-10', trialId: trial.id });
    // Two pumps of 1.5 ml, then 10 ml.
    expect(body[0]!.steps.map(({ grams }) => grams)).toEqual([3, 10]);
  });
});

describe('the shelf as a file', () => {
  it('goes out and comes back in the same', async () => {
    const lineId = v7();
    await bench.ask('PUT', `/api/lines/${lineId}`, { name: 'Tidewrack', note: '' });
    const gel = sampleProduct({
      name: '=Gel, "strong"',
      lineId,
      ingredients: 'Aqua, 1,2-Hexanediol\nPVP',
      roles: ['gel', 'foam'],
    });
    const mask = sampleProduct({
      name: 'Mask',
      price: null,
      currency: null,
      openedOn: null,
      labelDirections: 'Ten minutes.',
    });
    for (const product of [gel, mask]) await bench.ask('PUT', `/api/products/${product.id}`, product);
    const { body: csv } = await bench.ask<string>('GET', '/api/shelf.csv');
    const [header, ...rows] = Papa.parse<string[]>(csv).data;
    const { taken, refused } = readProductRows(rows, guessProductColumns(header!), 2);
    expect(refused).toEqual([]);
    const other = await openBench();
    const products = taken.map((row) => ({ ...row, id: v7(), lineId: null }));
    const answer = await other.ask<{ stored: number; known: number }>('POST', '/api/shelf/import', {
      products,
    });
    expect(answer.body).toEqual({ stored: 2, known: 0 });
    expect((await other.ask<string>('GET', '/api/shelf.csv')).body).toBe(csv);
    const again = await other.ask<{ stored: number }>('POST', '/api/shelf/import', {
      products: products.map((one) => ({ ...one, id: v7() })),
    });
    expect(again.body).toEqual({ stored: 0, known: 2 });
    const { body } = await other.ask<Shelf>('GET', '/api/shelf');
    expect(body.lines.map(({ name }) => name)).toEqual(['Tidewrack']);
    await other.close();
  });

  it('refuses a row that cannot be, and stores none of its part', async () => {
    const good = { ...sampleProduct(), line: null };
    const bad = { ...sampleProduct({ name: 'Bad' }), line: null, sizeMl: -3 };
    expect((await bench.ask('POST', '/api/shelf/import', { products: [good, bad] })).status).toBe(422);
    expect((await bench.ask<Shelf>('GET', '/api/shelf')).body.products).toEqual([]);
  });
});
