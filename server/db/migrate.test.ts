import { readdirSync, readFileSync } from 'node:fs';
import { afterEach, describe, expect, inject, it } from 'vitest';
import { MIGRATIONS, md5, olderDatabase, takeOn } from '../testing/older-schema.ts';
import { freshDatabase } from '../testing/open-bench.ts';
import { migrate, SCHEMA, SchemaError, STATES, schemaOf } from './migrate.ts';
import type { Db } from './pool.ts';

const here = (folder: string) => new URL(`./${folder}/`, import.meta.url);
const files = Object.keys(STATES);
/** States of migration files that were committed once and edited later. */
const FORMER = readdirSync(here('../testing/former')).map((name) => ({
  version: Number(name.split('.')[0]),
  sql: readFileSync(new URL(name, here('../testing/former')), 'utf8'),
}));

const open: Db[] = [];
async function emptyDatabase(): Promise<Db> {
  const db = await freshDatabase(inject('databaseUrl'));
  open.push(db);
  return db;
}
afterEach(async () => {
  for (const db of open.splice(0)) await db.end();
});

async function older(...of: [version: number, sql?: string, recorded?: boolean]): Promise<Db> {
  const db = await olderDatabase(inject('databaseUrl'), ...of);
  open.push(db);
  return db;
}

const LINE = '0192d5a0-0000-7000-8000-000000000001';
const WEARER = '0192d5a0-0000-7000-8000-000000000002';
/** Rows that every schema since the first one can hold. */
async function fill(db: Db): Promise<void> {
  await db.query("insert into line (id, name) values ($1, 'Tidewrack')", [LINE]);
  await db.query(
    "insert into product (id, line_id, name, roles, label_hold, stake) values (gen_random_uuid(), $1, 'Gel', '{gel,spray}', 'light', 'gift')",
    [LINE],
  );
  await db.query("insert into wearer (id, name, time_zone, porosity) values ($1, 'Una', 'UTC', 'low')", [
    WEARER,
  ]);
}
const rows = async (db: Db) => [
  ...(await db.query('select name from line')).rows,
  ...(await db.query('select name, roles::text from product')).rows,
  ...(await db.query('select name, porosity::text from wearer')).rows,
];
const FILLED = [
  { name: 'Tidewrack' },
  { name: 'Gel', roles: '{gel,spray}' },
  { name: 'Una', porosity: 'low' },
];

/** What a database is made of, by its own catalogue. */
async function structure(db: Db): Promise<unknown> {
  const [columns, constraints, functions, indexes, triggers] = await Promise.all([
    db.query(
      "select table_name, column_name, udt_name, domain_name, is_nullable, column_default from information_schema.columns where table_schema = 'public' order by 1, 2",
    ),
    db.query(
      "select coalesce(conrelid::regclass::text, '') as t, conname, pg_get_constraintdef(oid) as def from pg_constraint where connamespace = 'public'::regnamespace order by 1, 2",
    ),
    db.query(
      "select proname, pg_get_functiondef(oid) as def from pg_proc where pronamespace = 'public'::regnamespace order by 1, 2",
    ),
    db.query("select indexdef from pg_indexes where schemaname = 'public' order by 1"),
    db.query('select pg_get_triggerdef(oid) as def from pg_trigger where not tgisinternal order by 1'),
  ]);
  return [columns, constraints, functions, indexes, triggers].map(({ rows }) => rows);
}
let canonical: unknown;
async function asNew(): Promise<unknown> {
  if (canonical) return canonical;
  const db = await emptyDatabase();
  await migrate(db);
  canonical = await structure(db);
  return canonical;
}

describe('migration files', () => {
  it('are never edited: each is still as it was last committed. Add a new one, and its checksum to states.json', () => {
    expect(
      readdirSync(here('migrations'))
        .filter((name) => name.endsWith('.sql'))
        .sort(),
    ).toEqual(files);
    expect(files.map((name) => STATES[name]!.at(-1))).toEqual(MIGRATIONS.map(md5));
    // Since migration 12 none has a second state.
    expect(files.slice(11).every((name) => STATES[name]!.length === 1)).toBe(true);
  });

  it('have every former state kept for these tests', () => {
    expect(FORMER.map(({ sql }) => md5(sql)).sort()).toEqual(
      Object.values(STATES)
        .flatMap((states) => states.slice(0, -1))
        .sort(),
    );
  });
});

describe('an older folder', () => {
  // The walk below stops at each; in the soak all that have former states begin here too, and every tenth.
  const begunFrom = files
    .map((_, i) => i + 1)
    .filter((version) => version <= 12 || version % 10 === 0 || version >= SCHEMA - 1);
  for (const version of begunFrom)
    it(`of schema ${version} comes up to date, nothing lost`, {
      tags: version === 1 || version >= SCHEMA - 1 ? [] : ['soak'],
    }, async () => {
      const db = await older(version);
      await fill(db);
      const kept: number[] = [];
      const done = await migrate(db, async (from) => {
        kept.push(from);
        return 'a file';
      });
      expect(done).toEqual({ from: version, to: SCHEMA, kept: version === SCHEMA ? null : 'a file' });
      expect(kept).toEqual(version === SCHEMA ? [] : [version]);
      expect(await structure(db)).toEqual(await asNew());
      expect(await rows(db)).toEqual(FILLED);
    });

  it('keeps what was told under each schema on the way, and is the same as a new one at the end', async () => {
    const db = await older(1);
    await fill(db);
    const told: string[] = [];
    for (let version = 2; version <= SCHEMA; version++) {
      await takeOn(db, version, MIGRATIONS[version - 1]!);
      expect(await schemaOf(db)).toBe(version);
      told.push(`Told under ${version}`);
      await db.query('insert into line (id, name) values (gen_random_uuid(), $1)', [told.at(-1)]);
    }
    expect((await migrate(db)).from).toBe(SCHEMA);
    expect(await structure(db)).toEqual(await asNew());
    const { rows: lines } = await db.query<{ name: string }>('select name from line');
    expect(lines.map(({ name }) => name).sort()).toEqual([...told, 'Tidewrack'].sort());
  });

  for (const [i, { version, sql }] of FORMER.entries())
    it(`made by a former state of migration ${version} comes up to date, ${i + 1} of ${FORMER.length}`, {
      tags: i === FORMER.length - 2 ? [] : ['soak'],
    }, async () => {
      const db = await older(version, sql);
      await fill(db);
      const kept: number[] = [];
      await migrate(db, async (from) => {
        kept.push(from);
        return null;
      });
      expect(kept).toEqual([version]);
      expect(await structure(db)).toEqual(await asNew());
      expect(await rows(db)).toEqual(FILLED);
      expect((await migrate(db)).from).toBe(SCHEMA);
    });

  for (let version = 1; version <= 11; version++)
    it(`that a kill left between migration ${version} and its record is finished`, {
      tags: version === 11 ? [] : ['soak'],
    }, async () => {
      const db = await older(version, MIGRATIONS[version - 1], false);
      await fill(db);
      let kept = 0;
      await migrate(db, async () => {
        kept++;
        return null;
      });
      expect(kept).toBe(1);
      expect(await structure(db)).toEqual(await asNew());
      expect(await rows(db)).toEqual(FILLED);
    });

  it('stays as it is when a migration fails, and is not touched when the backup before it fails', async () => {
    const db = await older(8);
    await fill(db);
    const before = await structure(db);
    await expect(
      migrate(db, async () => {
        throw new Error('no space left');
      }),
    ).rejects.toThrow('no space left');
    expect(await structure(db)).toEqual(before);
    // Something in the way of the last migrations: those before it must go back too.
    await db.query('create domain angle_key as text');
    await expect(migrate(db)).rejects.toThrow('already exists');
    expect(await schemaOf(db)).toBe(8);
    await db.query('drop domain angle_key');
    expect(await structure(db)).toEqual(before);
    expect(await rows(db)).toEqual(FILLED);
  });

  it('of a newer schema, or of unknown make, is refused in words and left alone', async () => {
    const newer = await older(SCHEMA);
    await newer.query('insert into schemaversion values ($1, $2, $3, now())', [SCHEMA + 1, 'x', 'y']);
    await expect(migrate(newer)).rejects.toThrow(SchemaError);
    await expect(migrate(newer)).rejects.toThrow(`newer Sabor (schema ${SCHEMA + 1}`);
    const strange = await older(4);
    await strange.query("update schemaversion set md5 = 'other' where version = 3");
    await expect(migrate(strange)).rejects.toThrow('never given out (003.do.wind.sql');
    expect(await schemaOf(strange)).toBe(4);
  });

  it('of somebody else, with tables called as ours are, is not touched', async () => {
    const db = await emptyDatabase();
    await db.query('create table line (n int); insert into line values (7); create table wash_day (n int)');
    await db.query('create function theirs() returns int language sql as $$ select 1 $$');
    await expect(migrate(db)).rejects.toThrow('already exists');
    expect((await db.query('select n, theirs() as f from line')).rows).toEqual([{ n: 7, f: 1 }]);
  });

  it('is brought up once when two start at the same time', async () => {
    const db = await older(3);
    await fill(db);
    const done = await Promise.all([migrate(db), migrate(db)]);
    expect(done.map(({ from }) => from).sort((a, b) => a - b)).toEqual([3, SCHEMA]);
    expect(await rows(db)).toEqual(FILLED);
  });
});
