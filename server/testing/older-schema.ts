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

/** Databases of schemas asked for so far in a cluster, by version: copied from, never opened again. */
const made = new Map<string, Map<number, string>>();
async function templateOf(databaseUrl: string, version: number): Promise<string> {
  const known = made.get(databaseUrl) ?? new Map<number, string>();
  made.set(databaseUrl, known);
  const found = known.get(version);
  if (found) return found;
  // From the newest of those before it.
  const from = Math.max(-1, ...[...known.keys()].filter((one) => one < version));
  const db = await freshDatabase(databaseUrl, known.get(from));
  if (from < 0) await beginRecord(db);
  for (let i = Math.max(0, from) + 1; i <= version; i++) await takeOn(db, i, MIGRATIONS[i - 1]!);
  const name = await leave(db);
  known.set(version, name);
  return name;
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
