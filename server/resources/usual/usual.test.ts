import type { Shelf } from '@sabor/contract/shelf';
import type { Trial } from '@sabor/contract/trial-record';
import type { UsualDay, UsualOfZone } from '@sabor/contract/usual';
import type { Wearer } from '@sabor/contract/wearer';
import type { WornDay } from '@sabor/contract/worn';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDemoBench, type TestBench } from '../../testing/bench.ts';

let bench: TestBench;
let ines: Wearer;
beforeAll(async () => {
  bench = await openDemoBench();
  ines = (await bench.ask<Wearer[]>('GET', '/api/wearers')).body.find(({ name }) => name.startsWith('Ines'))!;
});
afterAll(() => bench.close());

const ask = (query: string, head = ines.id) =>
  bench.ask<UsualOfZone[]>('GET', `/api/wearers/${head}/usual?${query}`);

describe('what is usual on a head', () => {
  it('is told outcome by outcome, zone by zone and over the zones, from all its finished trials', async () => {
    const { status, body } = await ask('stage=wear&day=1');
    expect(status).toBe(200);
    const over = body.filter(({ zoneId }) => zoneId === null);
    expect(over.map(({ outcome }) => outcome).sort()).toEqual(
      ['definition', 'frizz', 'hold', 'scalp', 'shine', 'softness', 'volume'].sort(),
    );
    const scalp = over.find(({ outcome }) => outcome === 'scalp')!.usual;
    expect(scalp).toMatchObject({ known: 'band', products: 6 });
    if (scalp.known !== 'band') throw new Error();
    // Eight wash days of each of six whole-head trials, six of two products each in the half-heads.
    expect(scalp.days).toBe(6 * 8 + 6 * 2);
    expect(scalp.low).toBeGreaterThan(5);
    expect(scalp.high).toBeLessThanOrEqual(10);
    const zones = new Set(body.flatMap(({ zoneId }) => zoneId ?? []));
    expect(zones.size).toBe(8);
    // A zone varies more than the mean over the zones.
    const crown = body.find(({ outcome, zoneId }) => outcome === 'scalp' && zoneId !== null)!.usual;
    expect(crown.known).toBe('band');
  });

  it('leaves the trial at hand out, and reads each stage and day for itself', async () => {
    const [gels] = (await bench.ask<Trial[]>('GET', '/api/trials')).body.filter(({ question }) =>
      question.includes('stage doors'),
    );
    const days = (body: UsualOfZone[]) =>
      body.find(({ zoneId, outcome }) => zoneId === null && outcome === 'hold')!.usual.days;
    expect(days((await ask(`stage=wear&day=1&without=${gels!.id}`)).body)).toBe(5 * 8 + 6 * 2);
    // Only the trial left out looked on day 7.
    expect((await ask(`stage=wear&day=7&without=${gels!.id}`)).body).toEqual([]);
    expect((await ask('stage=cast')).body.map(({ outcome }) => outcome)).not.toContain('hold');
  });

  it('leaves blind trials out until their key is open: a band may name its product', async () => {
    const tomasz = (await bench.ask<Wearer[]>('GET', '/api/wearers')).body.find(({ name }) =>
      name.startsWith('Tomasz'),
    )!;
    const count = async () =>
      (await ask('stage=wear&day=1', tomasz.id)).body.find(
        ({ zoneId, outcome }) => zoneId === null && outcome === 'hold',
      )!.usual.days;
    const open = await count();
    const shut = `update trial set key_opened_at = null where blind and wearer_id = $1 returning id`;
    const kept = await bench.db.query('select id, key_opened_at from trial where blind and wearer_id = $1', [
      tomasz.id,
    ]);
    expect((await bench.db.query(shut, [tomasz.id])).rowCount).toBe(1);
    // Eight wash days of two halves each.
    expect(await count()).toBe(open - 16);
    for (const { id, key_opened_at } of kept.rows)
      await bench.db.query('update trial set key_opened_at = $2 where id = $1', [id, key_opened_at]);
  });

  it('is too little to say on a head that was hardly looked at, and refuses nonsense in words', async () => {
    const pip = (await bench.ask<Wearer[]>('GET', '/api/wearers')).body.find(({ name }) =>
      name.startsWith('Pip'),
    )!;
    expect((await ask('stage=wear&day=1', pip.id)).body).toEqual([]);
    for (const query of [
      '',
      'stage=wear',
      'stage=cast&day=2',
      'stage=wear&day=x',
      'stage=nowhere',
      'stage=cast&without=me',
    ])
      expect((await ask(query)).status, query).toBe(422);
    expect((await ask('stage=cast', 'nobody')).status).toBe(404);
  });

  it('is told of a whole head’s minutes, shed hairs and amounts, one wash day left out, halves never', async () => {
    const of = async (query = '', head = ines.id) =>
      bench.ask<UsualDay>('GET', `/api/wearers/${head}/usual-day${query}`);
    const { status, body } = await of();
    expect(status).toBe(200);
    // Six whole-head trials of eight; two halves of six more do not count.
    expect(body.dry).toMatchObject({ known: 'band', days: 48 });
    expect(body.shed).toMatchObject({ known: 'band' });
    if (body.dry.known !== 'band' || body.handsOn.known !== 'band') throw new Error();
    expect(body.dry.low).toBeGreaterThan(0);
    expect(body.dry.low).toBeLessThan(body.dry.middle);
    expect(body.dry.middle).toBeLessThan(body.dry.high);
    const shelf = (await bench.ask<Shelf>('GET', '/api/shelf')).body.products;
    const amount = (name: string) =>
      body.doses.find(
        ({ productId, slot }) => slot === 'hold' && shelf.find(({ id }) => id === productId)!.name === name,
      )!;
    // The demo weighs every hold to 12 g.
    expect(amount('Kelp Fold Gel')).toMatchObject({
      measure: 'g',
      per: 'head',
      usual: { known: 'one product', low: 12, middle: 12, high: 12, days: 8 },
    });
    const [day] = (
      await bench.db.query(
        `select d.id from wash_day d join trial t on t.id = d.trial_id where t.wearer_id = $1 and t.design = 'complete' limit 1`,
        [ines.id],
      )
    ).rows;
    expect((await of(`?without=${day.id}`)).body.dry).toMatchObject({ days: 47 });
    // One of Tomasz’s trials has halves, another is under way: what was finished of whole heads is told.
    const tomasz = (await bench.ask<Wearer[]>('GET', '/api/wearers')).body.find(({ name }) =>
      name.startsWith('Tomasz'),
    )!;
    expect((await of('', tomasz.id)).body.dry).toMatchObject({ days: 11 });
    expect((await of('?without=me')).status).toBe(422);
    expect((await of('', 'nobody')).status).toBe(404);
  });

  it('hands out every worn day whose outcomes may be seen, with how it was done, and none of a blind trial', async () => {
    const of = async (head: string) => (await bench.ask<WornDay[]>('GET', `/api/wearers/${head}/worn`)).body;
    const worn = await of(ines.id);
    // Six whole-head trials of eight wash days, six of two halves.
    expect(worn).toHaveLength(6 * 8 + 6 * 2);
    expect(new Set(worn.map(({ ways }) => ways.technique))).toEqual(new Set(['rake', 'scrunch']));
    expect(new Set(worn.map(({ ways }) => ways.drying))).toEqual(new Set(['diffuser low', 'air none']));
    expect(worn.every(({ rated }) => (rated.definition ?? []).length > 0)).toBe(true);
    expect(worn.some(({ dewPointC }) => dewPointC !== null)).toBe(true);
    const tomasz = (await bench.ask<Wearer[]>('GET', '/api/wearers')).body.find(({ name }) =>
      name.startsWith('Tomasz'),
    )!;
    const open = await of(tomasz.id);
    const { rows } = await bench.db.query(
      'select id, key_opened_at from trial where blind and wearer_id = $1',
      [tomasz.id],
    );
    await bench.db.query('update trial set key_opened_at = null where id = $1', [rows[0].id]);
    expect(await of(tomasz.id)).toHaveLength(open.length - 16);
    await bench.db.query('update trial set key_opened_at = $2 where id = $1', [
      rows[0].id,
      rows[0].key_opened_at,
    ]);
    expect((await bench.ask('GET', '/api/wearers/nobody/worn')).status).toBe(404);
  });
});
