import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { STATES } from '../db/migrate.ts';
import type { Db } from '../db/pool.ts';
import { freshDatabase, leave } from './open-bench.ts';

const files = Object.keys(STATES);
export const md5 = (text: string) => createHash('md5').update(text, 'utf8').digest('hex');
/** The migration files as they are, in order. */
export const MIGRATIONS = files.map((name) =>
  readFileSync(new URL(`../db/migrations/${name}`, import.meta.url), 'utf8'),
);

async function beginRecord(db: Db): Promise<void> {
  await db.query(
    'create table schemaversion (version bigint primary key, name text, md5 text, run_at timestamptz)',
  );
  await db.query("insert into schemaversion values (0, '', '', now())");
}

/** Runs one migration, and records it unless a kill came between the two. */
export async function takeOn(db: Db, version: number, sql: string, recorded = true): Promise<void> {
  await db.query(sql);
  if (recorded)
    await db.query('insert into schemaversion values ($1, $2, $3, now())', [
      version,
      files[version - 1],
      md5(sql),
    ]);
}

/** Makes an empty database what a Sabor of schema `version` left. */
export async function makeOlder(db: Db, version: number): Promise<void> {
  await beginRecord(db);
  for (let i = 1; i <= version; i++) await takeOn(db, i, MIGRATIONS[i - 1]!);
}

/** Databases of every schema so far in a cluster, each made from the one before: copied from, never opened again. */
const chains = new Map<string, string[]>();
async function templateOf(databaseUrl: string, version: number): Promise<string> {
  const chain = chains.get(databaseUrl) ?? [];
  chains.set(databaseUrl, chain);
  while (chain.length <= version) {
    const next = chain.length;
    const db = await freshDatabase(databaseUrl, chain[next - 1]);
    if (next === 0) await beginRecord(db);
    else await takeOn(db, next, MIGRATIONS[next - 1]!);
    chain.push(await leave(db));
  }
  return chain[version]!;
}

/**
 * A new database of the cluster at `databaseUrl` as an older Sabor left it: migrations up to `version`, the last one from
 * `sql`, recorded or, as by a kill between the two, not.
 */
export async function olderDatabase(
  databaseUrl: string,
  version: number,
  sql = MIGRATIONS[version - 1]!,
  recorded = true,
): Promise<Db> {
  const asGiven = recorded && sql === MIGRATIONS[version - 1];
  const db = await freshDatabase(databaseUrl, await templateOf(databaseUrl, asGiven ? version : version - 1));
  if (!asGiven) await takeOn(db, version, sql, recorded);
  return db;
}
