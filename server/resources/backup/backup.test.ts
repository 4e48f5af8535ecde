import type { Backup } from '@sabor/contract/backup';
import type { Today } from '@sabor/contract/today';
import type { Trial } from '@sabor/contract/trial';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoBackup } from '../../../demo/scenario.ts';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { TABLES } from './store.ts';

let full: TestBench;
let empty: TestBench;
beforeAll(async () => {
  full = await openBench();
  empty = await openBench();
});
afterAll(async () => {
  await full.close();
  await empty.close();
});

const tables = async (bench: TestBench) => (await bench.ask<Backup>('GET', '/api/export.json')).body.tables;

/** Rows in an order of their own: a database gives them in any. */
const sorted = (tables: Backup['tables']) =>
  Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => [name, rows.map((row) => JSON.stringify(row)).sort()]),
  );

describe('a backup', () => {
  it('of the demo goes into an empty Sabor and comes out the same', async () => {
    const now = new Date();
    expect((await full.ask('POST', '/api/import', demoBackup(now))).status).toBe(204);
    const first = (await full.ask<Backup>('GET', '/api/export.json')).body;
    expect((await empty.ask('POST', '/api/import', first)).status).toBe(204);
    expect(sorted(await tables(empty))).toEqual(sorted(first.tables));
    expect(first.tables.reading!.length).toBeGreaterThan(2500);
  });

  it('holds every table there is', async () => {
    const { rows } = await full.db.query(
      "select tablename from pg_tables where schemaname = 'public' and tablename <> 'schemaversion'",
    );
    expect(rows.map((row) => row.tablename).sort()).toEqual([...TABLES].sort());
  });

  it('does not go into a Sabor that holds something', async () => {
    const { status, body } = await full.ask('POST', '/api/import', demoBackup(new Date()));
    expect(status).toBe(409);
    expect(body.detail).toContain('empty Sabor');
  });

  it('that is broken changes nothing and says what is wrong', async () => {
    const bench = await openBench();
    const good = demoBackup(new Date());
    const refused = async (to: object) =>
      (await bench.ask('POST', '/api/import', { ...good, ...to })).body.detail;
    expect(await refused({ format: 'something else' })).toBe('This file is not a Sabor backup.');
    expect(await refused({ schema: 999 })).toContain('newer Sabor');
    expect(await refused({ tables: undefined })).toBe('This backup is not whole: a part of it is missing.');
    expect(await refused({ tables: { ...good.tables, planet: [] } })).toContain('does not know: planet');
    expect(await refused({ tables: { ...good.tables, reading: [{ id: 'x' }] } })).toContain(
      'broken in its part “reading”',
    );
    expect(await refused({ tables: { ...good.tables, wearer: [] } })).toContain('broken in its part');
    expect((await bench.ask<Today>('GET', '/api/today')).body.empty).toBe(true);
    await bench.close();
  });
});

describe('the demo scenario', () => {
  it('is the same for the same moment', () => {
    const now = new Date();
    expect(demoBackup(now)).toEqual(demoBackup(now));
  });

  it('fits at any hour and any date, the future never touched', async () => {
    for (const moment of ['2026-03-01T00:01:00Z', '2028-02-29T23:59:00Z', '2026-12-31T12:00:00Z']) {
      const latest = JSON.stringify(demoBackup(new Date(moment)).tables)
        .match(/\d{4}-\d\d-\d\dT[\d:.]+Z/g)!
        .sort()
        .at(-1)!;
      expect(latest < moment).toBe(true);
    }
  });

  it('has a finished, a running and a planned trial, and one abandoned wash day', async () => {
    const trials = (await full.ask<Trial[]>('GET', '/api/trials')).body;
    expect(trials.map(({ status }) => status).sort()).toEqual([
      'finished',
      'finished',
      'finished',
      'planned',
      'running',
    ]);
    const { due } = (await full.ask<Today>('GET', '/api/today')).body;
    expect(due.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['start wash day', 'read']));
    const { rows } = await full.db.query(
      'select abandon_reason from wash_day where abandoned_at is not null',
    );
    expect(rows).toHaveLength(1);
  });
});
