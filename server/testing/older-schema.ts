import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { STATES } from '../db/migrate.ts';
import type { Db } from '../db/pool.ts';

const files = Object.keys(STATES);
export const md5 = (text: string) => createHash('md5').update(text, 'utf8').digest('hex');
/** The migration files as they are, in order. */
export const MIGRATIONS = files.map((name) =>
  readFileSync(new URL(`../db/migrations/${name}`, import.meta.url), 'utf8'),
);

/**
 * Makes an empty database what an older Sabor left: migrations up to `version`, the last one from `sql`, recorded or,
 * as by a kill between the two, not.
 */
export async function makeOlder(
  db: Db,
  version: number,
  sql = MIGRATIONS[version - 1]!,
  recorded = true,
): Promise<void> {
  await db.query(
    'create table schemaversion (version bigint primary key, name text, md5 text, run_at timestamptz)',
  );
  await db.query("insert into schemaversion values (0, '', '', now())");
  for (let i = 1; i <= version; i++) {
    const script = i === version ? sql : MIGRATIONS[i - 1]!;
    await db.query(script);
    if (i < version || recorded)
      await db.query('insert into schemaversion values ($1, $2, $3, now())', [i, files[i - 1], md5(script)]);
  }
}
