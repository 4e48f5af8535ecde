import type { Wearer } from '@sabor/contract/wearer';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../testing/bench.ts';
import { sampleBench, sampleProduct, sampleRoutine, sampleWearer } from '../testing/samples.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

interface Record {
  version: number;
  [key: string]: unknown;
}

describe('an edit that began from an older state', () => {
  it.each<[string, () => Promise<{ path: string; input: object; read: () => Promise<Record> }>]>([
    [
      'a product',
      async () => {
        const input = sampleProduct();
        const path = `/api/products/${input.id}`;
        return { path, input, read: async () => (await bench.ask<Record>('GET', path)).body };
      },
    ],
    [
      'a line',
      async () => {
        const id = v7();
        const read = async () =>
          (await bench.ask<{ lines: Record[] }>('GET', '/api/shelf')).body.lines.find(
            (one) => one.id === id,
          )!;
        return { path: `/api/lines/${id}`, input: { name: 'Tidewrack', note: '' }, read };
      },
    ],
    [
      'a head',
      async () => {
        const input = sampleWearer();
        const path = `/api/wearers/${input.id}`;
        return { path, input, read: async () => (await bench.ask<Record>('GET', path)).body };
      },
    ],
    [
      'a routine',
      async () => {
        const input = sampleRoutine(null);
        const path = `/api/routines/${input.id}`;
        return { path, input, read: async () => (await bench.ask<Record>('GET', path)).body };
      },
    ],
    [
      'a plan',
      async () => {
        const { trial } = await sampleBench(bench);
        const path = `/api/trials/${trial.id}`;
        return { path, input: trial, read: async () => (await bench.ask<Record>('GET', path)).body };
      },
    ],
    [
      'a place',
      async () => {
        const id = v7();
        const read = async () =>
          (await bench.ask<{ places: Record[] }>('GET', '/api/weather')).body.places.find(
            (one) => one.id === id,
          )!;
        const input = { name: 'Shore', timeZone: 'UTC', station: null, normals: [], note: '' };
        return { path: `/api/places/${id}`, input, read };
      },
    ],
  ])('of %s is refused with the record as it is now, and overwrites nothing', async (_, make) => {
    const { path, input, read } = await make();
    const put = (to: object, version?: number) =>
      bench.ask(
        'PUT',
        path,
        { ...input, ...to },
        version === undefined ? {} : { 'If-Match': `"${version}"` },
      );
    expect((await put({})).status).toBeLessThan(300);
    const { version } = await read();
    const changed = 'question' in input ? { question: 'Which holds?' } : { name: 'Changed in one tab' };
    expect((await put(changed, version)).status).toBeLessThan(300);
    const second = await put({ note: 'typed in the other' }, version);
    expect(second.status).toBe(412);
    expect(second.body.current).toEqual(await read());
    expect(second.body.current).toMatchObject(changed);
    expect((second.body.current as Record).version).toBeGreaterThan(version);
    // From the newest state it is taken.
    expect((await put(changed, (await read()).version)).status).toBeLessThan(300);
  });

  it('of wishes never takes an allergy away that another tab recorded', async () => {
    const wearer = sampleWearer();
    await bench.ask<Wearer>('PUT', `/api/wearers/${wearer.id}`, wearer);
    const path = `/api/wearers/${wearer.id}/wishes`;
    const none = {
      weights: [],
      line: null,
      styleDays: 3,
      budget: null,
      currency: null,
      school: null,
      dislikes: [],
      avoided: [],
    };
    const allergy = { ...none, avoided: [{ ingredient: 'Limonene', why: 'allergy' }] };
    const put = (to: object, version: number) =>
      bench.ask<{ wishes: Record }>('PUT', path, to, { 'If-Match': `"${version}"` });
    const first = await put(allergy, 0);
    expect(first.body.wishes).toMatchObject({ version: 1, avoided: allergy.avoided });
    const second = await put({ ...none, styleDays: 5 }, 0);
    expect(second.status).toBe(412);
    expect((second.body as unknown as { current: Record }).current).toMatchObject({
      avoided: allergy.avoided,
      version: 1,
    });
  });

  it('that says nonsense of where it began is not understood', async () => {
    const product = sampleProduct();
    expect(
      (await bench.ask('PUT', `/api/products/${product.id}`, product, { 'If-Match': 'yes' })).status,
    ).toBe(400);
  });
});
