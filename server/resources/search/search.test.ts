import type { Found } from '@sabor/contract/search';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench } from '../../testing/bench.ts';
import type { TestBench } from '../../testing/open-bench.ts';
import { sampleBench } from '../../testing/samples.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const find = async (q: string) =>
  (await bench.ask<Found[]>('GET', `/api/search?q=${encodeURIComponent(q)}`)).body.map(
    ({ kind, title, where }) => `${kind}: ${title}${where ? ` (${where})` : ''}`,
  );

describe('a search', () => {
  it('finds names and words in notes and lists, names first, wherever they stand', async () => {
    const { wearer, trial } = await sampleBench(bench);
    const named = await find(wearer.name);
    expect(named).toContain(`wearer: ${wearer.name}`);
    // A trial is found by its wearer, with the place where the name stands.
    expect(named.some((line) => line.startsWith(`trial: ${trial.question} (`))).toBe(true);
    expect((await find(trial.question.slice(0, 8).toUpperCase()))[0]).toBe(`trial: ${trial.question}`);
  });

  it('takes signs as they are, and gives nothing for nothing', async () => {
    await sampleBench(bench);
    expect(await find('')).toEqual([]);
    expect(await find('   ')).toEqual([]);
    expect(await find('%')).toEqual([]);
    expect(await find('_')).toEqual([]);
    expect(await find("' or 1=1 --")).toEqual([]);
    expect((await bench.ask('GET', `/api/search?q=${'x'.repeat(101)}`)).status).toBe(422);
  });
});
