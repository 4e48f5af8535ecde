import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { PoolClient } from 'pg';
import Postgrator from 'postgrator';
import type { Client, Db } from './pool.ts';
import { rebuild } from './rebuild.ts';

const pattern = fileURLToPath(new URL('./migrations/*', import.meta.url));
/** Of each migration file the checksum of every state that was ever committed, the present one last. */
export const STATES: Record<string, string[]> = JSON.parse(
  readFileSync(new URL('./migrations/states.json', import.meta.url), 'utf8'),
);
/** The schema this program works with. */
export const SCHEMA = Object.keys(STATES).length;

/** The folder's database cannot be used by this program; the message says what to do. */
export class SchemaError extends Error {}

/** Something that the named migration makes: a database may hold it without its row, when the start was killed half-way. */
const MADE_BY: Record<number, string> = {
  1: 'public.wash_day',
  2: 'public.hair_test',
  4: 'public.locality',
  5: 'public.wearer_wish',
  6: 'public.rule_weight',
  8: 'public.overrule',
  11: 'public.wash_tap',
};
/** The same for migrations that make no table: a column, or a word a column takes. */
const ADDED_BY: Record<number, string> = {
  3: "select from information_schema.columns where table_schema = 'public' and table_name = 'wash_day' and column_name = 'wind_ms'",
  7: "select from pg_constraint where conname = 'measure_kind_key_check' and pg_get_constraintdef(oid) like '%build-up%'",
  9: "select from information_schema.columns where table_schema = 'public' and table_name = 'trial' and column_name = 'panel_id'",
  10: "select from pg_constraint where conname = 'outcome_key_check' and pg_get_constraintdef(oid) like '%scalp%'",
};

interface Standing {
  /** The number of the last migration that is recorded; 0 for a new database. */
  version: number;
  /** Migrations that were run from an earlier state of their file, or run but never recorded. */
  drifted: boolean;
}

/** The schema a database has; 0 without one. */
export async function schemaOf(db: Client): Promise<number> {
  const { rows } = await db.query<{ there: boolean }>(
    "select to_regclass('public.schemaversion') is not null as there",
  );
  if (!rows[0]!.there) return 0;
  const found = await db.query<{ version: number }>(
    'select coalesce(max(version), 0) as version from public.schemaversion',
  );
  return Number(found.rows[0]!.version);
}

async function standingOf(client: PoolClient): Promise<Standing> {
  const version = await schemaOf(client);
  // A database that never recorded a migration of ours is somebody else's, whatever its tables are called.
  const { rows: ours } = await client.query<{ there: boolean }>(
    "select to_regclass('public.schemaversion') is not null as there",
  );
  if (!ours[0]!.there) return { version: 0, drifted: false };
  if (version > SCHEMA)
    throw new SchemaError(
      `This data was last used by a newer Sabor (schema ${version}; this one knows ${SCHEMA}). Update Sabor, then start again: an older one would not understand what is stored.`,
    );
  const files = Object.entries(STATES);
  let drifted = false;
  if (version > 0) {
    const { rows } = await client.query<{ version: number; md5: string }>(
      'select version, md5 from public.schemaversion where version > 0',
    );
    for (const row of rows) {
      const [name, states] = files[Number(row.version) - 1]!;
      if (!states.includes(row.md5))
        throw new SchemaError(
          `This data was made by a Sabor that was never given out (${name} has another content). Read a backup of it into an empty folder: SABOR_DATA=… npm start -- --empty`,
        );
      drifted ||= row.md5 !== states.at(-1);
    }
  }
  const next = version + 1;
  const made = MADE_BY[next];
  const added = ADDED_BY[next];
  if (made) {
    const { rows } = await client.query<{ there: boolean }>('select to_regclass($1) is not null as there', [
      made,
    ]);
    drifted ||= rows[0]!.there;
  } else if (added) drifted ||= (await client.query(added)).rowCount! > 0;
  return { version, drifted };
}

export interface Migration {
  from: number;
  to: number;
  /** What was done before, in words; null where nothing had to be kept. */
  kept: string | null;
}

/**
 * Brings the database to this program's schema, in one transaction: a kill leaves it as it was. A database whose
 * schema was made from an earlier state of a migration file, or left half-way by a kill, is built anew with its rows
 * carried over. `keep` is called before data are touched and writes them away. One process at a time.
 * Throws a SchemaError for a newer schema or one of unknown make.
 */
export async function migrate(
  db: Db,
  keep: (from: number) => Promise<string | null> = async () => null,
): Promise<Migration> {
  const client = await db.connect();
  try {
    await client.query('set statement_timeout = 0; set lock_timeout = 0');
    await client.query("select pg_advisory_lock(hashtext('sabor migrations'))");
    const { version, drifted } = await standingOf(client);
    if (version === SCHEMA && !drifted) return { from: version, to: version, kept: null };
    const kept = version > 0 || drifted ? await keep(version) : null;
    const run = () =>
      new Postgrator({
        migrationPattern: pattern,
        driver: 'pg',
        currentSchema: 'public',
        validateChecksums: false,
        execQuery: (sql) => client.query(sql),
      }).migrate();
    await client.query('begin');
    try {
      if (drifted) await rebuild(client, version, run);
      else await run();
      await client.query('commit');
    } catch (error) {
      await client.query('rollback').catch(() => {});
      throw error;
    }
    return { from: version, to: SCHEMA, kept };
  } finally {
    // The connection goes, and its lock and settings with it.
    client.release(true);
  }
}
