import type { Buying } from '@sabor/contract/buying';
import type { Problem } from '@sabor/contract/problem';
import type { Product, ProductInput, Shelf } from '@sabor/contract/shelf';
import type { WashDay } from '@sabor/contract/wash-day';
import { localToday } from '@sabor/core/time/today';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { JPEG, jpegSegment } from '../../testing/pictures.ts';
import { sampleBench, sampleProduct } from '../../testing/samples.ts';
import { tapStep } from '../../testing/tapping.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const save = async (product: Partial<ProductInput> & { id: string }) =>
  (await bench.ask<Product>('PUT', `/api/products/${product.id}`, product)).body;
const refused = async (to: object) =>
  (await bench.ask('PUT', `/api/products/${v7()}`, { ...sampleProduct(), ...to })).body.fields;

describe('what label and receipt say of a product', () => {
  const facts: Partial<ProductInput> & Required<Pick<ProductInput, 'prices'>> = {
    heatLimitC: 180,
    applications: 30,
    edition: '2025',
    collection: 'Salt',
    packaging: 'tube',
    claims: ['24 h hold', 'No flakes'],
    prices: [
      { on: '2026-03-01', kind: 'offer', amount: 9.5, currency: 'EUR' },
      { on: '2026-01-01', kind: 'full', amount: 18, currency: 'EUR' },
    ],
  };

  it('is kept as it was given, and taken away again', async () => {
    const product = sampleProduct();
    expect(await save({ ...product, ...facts })).toMatchObject(facts);
    expect(await save(product)).toMatchObject({
      heatLimitC: null,
      applications: null,
      edition: '',
      claims: [],
      prices: [],
    });
  });

  it.each([
    [{ heatLimitC: 400 }, 'heatLimitC', 'The heat limit in °C cannot be over 260.'],
    [{ prices: [{ ...facts.prices![0], amount: 0 }] }, 'prices.0.amount', 'A price must be over 0.'],
    [{ prices: [facts.prices![0], facts.prices![0]] }, 'prices', 'Each day has one price of a kind.'],
    [{ claims: ['Detangles', 'detangles'] }, 'claims', 'Each claim stands once.'],
    [{ claims: [' '] }, 'claims.0', 'A claim needs a name.'],
    [{ applications: 0 }, 'applications', 'The applications cannot be under 1.'],
  ])('%j is refused at its field', async (to, path, message) => {
    expect(await refused(to)).toContainEqual({
      path,
      message: expect.stringContaining(message.slice(0, 12)),
    });
  });

  it('keeps the list of an earlier edition beside the new one, and none where the list stayed', async () => {
    const product = { ...sampleProduct({ ingredients: 'Aqua, PVP' }), ...facts };
    await save(product);
    expect((await save({ ...product, edition: '2026' })).editions).toEqual([]);
    expect((await save({ ...product, edition: '2026', ingredients: 'Aqua' })).editions).toEqual([]);
    const last = await save({ ...product, edition: '2027', ingredients: 'Aqua, Xanthan Gum' });
    expect(last.editions).toEqual([{ edition: '2026', ingredients: 'Aqua', until: expect.any(String) }]);
  });
});

describe('bottles', () => {
  it('are finished one after the other, and counted by the wash days each was used on', async () => {
    const { trial, gels } = await sampleBench(bench);
    const day = (
      await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
        trialId: trial.id,
        startedAt: new Date().toISOString(),
      })
    ).body;
    const step = day.steps.find(({ slot }) => slot === 'hold')!;
    await tapStep(bench, day.id, step.id, { status: 'done', doneAt: new Date().toISOString() });
    const used = gels.find(({ id }) => id === step.productId)!;
    const read = async () => (await bench.ask<Product>('GET', `/api/products/${used.id}`)).body;
    expect((await read()).bottles).toMatchObject([{ openedOn: '2026-01-15', finishedOn: null, uses: 1 }]);
    const finish = (on: string) =>
      bench.ask<Product>('POST', `/api/products/${used.id}/finish-bottle`, { on });
    expect((await finish('2026-01-14')).body).toMatchObject({
      fields: [{ path: 'on', message: 'It cannot be finished before it was opened. Check the date.' }],
    });
    const { body } = await finish(localToday());
    expect(body.openedOn).toBeNull();
    expect(body.bottles).toMatchObject([{ finishedOn: localToday(), uses: 1 }]);
    expect((await finish(localToday())).body).toMatchObject({
      fields: [{ message: 'No bottle of this is open. Give the day it was opened first.' }],
    });
    await save({ ...used, openedOn: localToday() });
    expect((await read()).bottles).toHaveLength(2);
  });

  it('tell nothing of what is behind a code: the shelf is the same whichever bottle a blind wash day used', async () => {
    const { trial } = await sampleBench(bench, { blind: true });
    const tested = trial.arms.map(({ steps }) => steps[0]!.productId!);
    const counts = async () => {
      const { products } = (await bench.ask<Shelf>('GET', '/api/shelf')).body;
      return tested.map((id) => {
        const { uses, bottles } = products.find((product) => product.id === id)!;
        return { uses, bottles: bottles.map((bottle) => bottle.uses) };
      });
    };
    const before = await counts();
    const day = (
      await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
        trialId: trial.id,
        startedAt: new Date().toISOString(),
      })
    ).body;
    const step = day.steps.find(({ code }) => code !== null)!;
    await tapStep(bench, day.id, step.id, { status: 'done', doneAt: new Date().toISOString() });
    // What is told openly counts: a gel that a step kept the same uses as well.
    const open = tested.map((id) => day.steps.filter(({ productId }) => productId === id).length);
    expect(await counts()).toEqual(
      before.map(({ uses, bottles }, i) => ({ uses: uses + open[i]!, bottles })),
    );
  });
});

describe('pictures of a product', () => {
  const send = (id: string, query: string, bytes: Buffer, type = 'image/jpeg') =>
    fetch(`${bench.url}/api/product-pictures/${id}?${query}`, {
      method: 'PUT',
      headers: { 'Content-Type': type },
      body: new Uint8Array(bytes),
    });

  it('are kept without what they say of place and maker, shown, and taken away', async () => {
    const product = await save(sampleProduct());
    const id = v7();
    const withPlace = Buffer.concat([
      JPEG.subarray(0, 2),
      jpegSegment(0xe1, Buffer.from('Exif\0\0somewhere')),
      JPEG.subarray(2),
    ]);
    const answer = await send(id, `productId=${product.id}&shows=label`, withPlace);
    expect(answer.status).toBe(200);
    expect(((await answer.json()) as Product).pictures).toMatchObject([{ id, shows: 'label' }]);
    const image = await fetch(`${bench.url}/api/product-pictures/${id}/image`);
    expect(image.headers.get('content-type')).toBe('image/jpeg');
    expect(Buffer.from(await image.arrayBuffer()).includes('somewhere')).toBe(false);
    expect((await bench.ask('DELETE', `/api/product-pictures/${id}`)).status).toBe(204);
    expect((await bench.ask('GET', `/api/product-pictures/${id}/image`)).status).toBe(404);
  });

  it('are refused where they are none, of nothing, or too many', async () => {
    const product = await save(sampleProduct());
    const of = `productId=${product.id}&shows=bottle`;
    expect((await send(v7(), of, Buffer.from('a cat'))).status).toBe(422);
    expect((await send(v7(), of, Buffer.from('text'), 'text/plain')).status).toBe(422);
    expect((await send(v7(), `productId=${product.id}&shows=moon`, JPEG)).status).toBe(422);
    expect((await send(v7(), `productId=${v7()}&shows=bottle`, JPEG)).status).toBe(404);
    for (let i = 0; i < 8; i++) expect((await send(v7(), of, JPEG)).status).toBe(200);
    const ninth = await send(v7(), of, JPEG);
    expect(((await ninth.json()) as Problem).detail).toBe(
      'A product has 8 pictures at most. Remove one first.',
    );
  });
});

describe('claims of a line', () => {
  it('stand on the whole line or on one collection, each once', async () => {
    const line = { id: v7(), name: `Line ${v7()}`, note: '' };
    const claims = [
      { collection: '', claim: 'free of sulfates' },
      { collection: 'Sea', claim: '48 h hold' },
    ];
    await bench.ask('PUT', `/api/lines/${line.id}`, { ...line, claims });
    const read = async () =>
      (await bench.ask<Shelf>('GET', '/api/shelf')).body.lines.find(({ id }) => id === line.id)!;
    expect((await read()).claims).toEqual(claims);
    const twice = await bench.ask('PUT', `/api/lines/${line.id}`, {
      ...line,
      claims: [claims[0], claims[0]],
    });
    expect(twice.status).toBe(422);
    await bench.ask('PUT', `/api/lines/${line.id}`, { ...line, claims: [] });
    expect((await read()).claims).toEqual([]);
  });
});

describe('what runs out and what was used up', () => {
  it('is reckoned from wash days, with nothing behind the code of a blind trial', async () => {
    const read = async () => (await bench.ask<Buying>('GET', '/api/buying')).body;
    const sample = await sampleBench(bench, { blind: true });
    const before = await read();
    const day = (
      await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
        trialId: sample.trial.id,
        startedAt: new Date().toISOString(),
      })
    ).body;
    const blind = day.steps.find(({ code }) => code !== null)!;
    await tapStep(bench, day.id, blind.id, { status: 'done' });
    expect(await read()).toEqual(before);
    const open = day.steps.find(({ code, productId }) => code === null && productId !== null);
    if (open) {
      await tapStep(bench, day.id, open.id, { status: 'done' });
      const after = await read();
      const uses = (buying: Buying) => buying.untold + buying.spent.reduce((sum, one) => sum + one.uses, 0);
      expect(uses(after)).toBe(uses(before) + 1);
    }
  });
});
