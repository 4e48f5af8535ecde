import type { Trial, TrialDetail } from '@sabor/contract/trial-record';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleWearer } from '../../testing/samples.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

async function head(name: string, to: Parameters<typeof sampleWearer>[0] = {}): Promise<string> {
  const wearer = sampleWearer({ name, ...to });
  await bench.ask('PUT', `/api/wearers/${wearer.id}`, wearer);
  return wearer.id;
}

describe('a panel over several heads', () => {
  it('copies the plan to each head and allocates by the rows of one Williams square', async () => {
    const { trial } = await sampleBench(bench, { washDays: 2 });
    const ask = (wearerIds: string[], id = v7()) =>
      bench.ask<TrialDetail>('PUT', `/api/trials/${trial.id}/panel`, { id, wearerIds });
    expect((await ask([])).body).toMatchObject({ fields: [{ path: 'wearerIds' }] });
    expect((await ask([v7()])).body).toMatchObject({ fields: [{ path: 'wearerIds' }] });
    const two = [await head('Wanda'), await head('Xeno')];
    expect((await ask(two)).body).toMatchObject({
      fields: [{ path: 'wearerIds', message: expect.stringContaining('2 options take 2 heads') }],
    });
    const panel = v7();
    const first = await ask([two[0]!], panel);
    expect(first.body).toMatchObject({ panelId: panel, panelRow: 0, seed: null, allocation: [null, null] });
    const all = (await bench.ask<Trial[]>('GET', '/api/trials')).body.filter(
      ({ panelId }) => panelId === panel,
    );
    expect(all.map(({ wearerName, panelRow }) => `${wearerName} ${panelRow}`).sort()).toEqual([
      'Una 0',
      'Wanda 1',
    ]);
    const { rows } = await bench.db.query<{ row: number; name: string }>(
      `select t.panel_row as row, a.name from allocation l join trial t on t.id = l.trial_id join arm a on a.id = l.arm_id
       where t.panel_id = $1 order by t.panel_row, l.position`,
      [panel],
    );
    // Two arms on two heads: each arm first once.
    expect(
      rows
        .slice(0, 2)
        .map(({ name }) => name)
        .sort(),
    ).toEqual(['Gel 1', 'Gel 2']);
    expect(rows[0]!.name).toBe(rows[3]!.name);
    expect(rows[1]!.name).toBe(rows[2]!.name);
    const changed = await bench.ask('PUT', `/api/trials/${trial.id}`, { ...trial, line: 5 });
    expect(changed).toMatchObject({ status: 409, body: { detail: expect.stringContaining('panel') } });
    expect((await ask([two[1]!])).body.panelId).toBe(panel);
  });

  it('keeps its seed until every head is through, and wants as many wash days as options', async () => {
    const { trial } = await sampleBench(bench, { washDays: 4 });
    const refused = await bench.ask('PUT', `/api/trials/${trial.id}/panel`, { id: v7(), wearerIds: [v7()] });
    expect(refused.body.detail).toContain('as many wash days as options');
    const { trial: short } = await sampleBench(bench, { washDays: 2 });
    await bench.ask('PUT', `/api/trials/${short.id}/panel`, { id: v7(), wearerIds: [await head('Yara')] });
    await bench.ask('PUT', `/api/wash-days/${v7()}`, {
      trialId: short.id,
      startedAt: new Date().toISOString(),
    });
    await bench.ask('POST', `/api/trials/${short.id}/end`, { reason: 'Left.' });
    expect((await bench.ask<TrialDetail>('GET', `/api/trials/${short.id}`)).body.seed).toBeNull();
  });
});
