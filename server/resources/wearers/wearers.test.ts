import type { Wearer } from '@sabor/contract/wearer';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleWearer } from '../../testing/samples.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const save = (wearer: { id: string }) => bench.ask<Wearer>('PUT', `/api/wearers/${wearer.id}`, wearer);
const fields = async (wearer: { id: string }) =>
  (await bench.ask('PUT', `/api/wearers/${wearer.id}`, wearer)).body.fields;

describe('a hair file', () => {
  it('comes back as it was given', async () => {
    const wearer = sampleWearer();
    wearer.zones.push({
      id: v7(),
      place: 'own',
      side: 'both',
      ownName: 'Undercut',
      porosity: 'high',
      density: null,
      strand: null,
      pattern: null,
      damage: 'marked',
      note: 'short',
    });
    const { status, body } = await save(wearer);
    expect(status).toBe(200);
    expect(body).toEqual({ ...wearer, archivedAt: null, version: 1 });
    expect((await save(wearer)).body).toEqual({ ...body, version: 2 });
  });

  it('lets zones and curls go that nothing rests on', async () => {
    const wearer = sampleWearer();
    await save(wearer);
    const { body } = await save({ ...wearer, zones: wearer.zones.slice(0, 5), curls: [] } as typeof wearer);
    expect(body.zones).toHaveLength(5);
    expect(body.curls).toEqual([]);
  });

  it('keeps zones that a trial rests on', async () => {
    const { wearer } = await sampleBench(bench);
    const { status, body } = await bench.ask('PUT', `/api/wearers/${wearer.id}`, {
      ...wearer,
      zones: wearer.zones.slice(4),
      curls: [],
    });
    expect(status).toBe(422);
    expect(body.fields?.[0]).toEqual({
      path: 'zones',
      message: 'A zone that readings or trials rest on cannot be removed. Keep it.',
    });
    expect((await bench.ask<Wearer>('GET', `/api/wearers/${wearer.id}`)).body.zones).toHaveLength(16);
  });

  it('refuses a curl that rests longer than it stretches', async () => {
    const wearer = sampleWearer();
    wearer.curls[0]!.restingMm = 400;
    expect(await fields(wearer)).toContainEqual({
      path: 'curls.0.restingMm',
      message: 'A curl cannot rest longer than it stretches. Check both lengths.',
    });
  });

  it('asks for the guardian and the consent of a wearer under age', async () => {
    const found = await fields(sampleWearer({ underAge: true }));
    expect(found).toContainEqual({
      path: 'guardian',
      message: 'A wearer under age needs a guardian who consents.',
    });
    expect(found).toContainEqual({
      path: 'consentOn',
      message: 'Give the date on which the guardian consented.',
    });
    expect(
      (await save(sampleWearer({ underAge: true, guardian: 'Ada', consentOn: '2026-01-01' }))).status,
    ).toBe(200);
  });

  it('refuses time zones it does not know, and curls on other heads', async () => {
    expect((await fields(sampleWearer({ timeZone: 'Mars/Base' })))?.[0]?.message).toBe(
      'Sabor does not know this time zone.',
    );
    const wearer = sampleWearer();
    wearer.curls[0]!.zoneId = v7();
    expect((await bench.ask('PUT', `/api/wearers/${wearer.id}`, wearer)).body.detail).toContain(
      'this head does not have',
    );
  });
});
