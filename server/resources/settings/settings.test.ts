import type { Settings } from '@sabor/contract/settings';
import { DEFAULT_SETTINGS } from '@sabor/reading/default-settings';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const read = async () => (await bench.ask<Settings>('GET', '/api/settings')).body;

describe('preferences', () => {
  it('begin with the defaults', async () => {
    expect(await read()).toEqual(DEFAULT_SETTINGS);
  });

  it('changed from two places at once keep both changes', async () => {
    await Promise.all([
      bench.ask('PATCH', '/api/settings', { volume: 'floz' }),
      bench.ask('PATCH', '/api/settings', { temperature: 'f' }),
      bench.ask('PATCH', '/api/settings', { currency: 'SEK' }),
    ]);
    expect(await read()).toEqual({
      ...DEFAULT_SETTINGS,
      volume: 'floz',
      length: 'mm',
      temperature: 'f',
      currency: 'SEK',
    });
  });

  it('refuse what they do not know', async () => {
    const { status, body } = await bench.ask('PATCH', '/api/settings', { volume: 'barrel' });
    expect(status).toBe(422);
    expect(body.fields).toEqual([{ path: 'volume', message: 'Choose a unit for volumes from the list.' }]);
  });
});
