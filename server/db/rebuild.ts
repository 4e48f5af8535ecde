import type { PoolClient } from 'pg';
import { broughtFrom, KEPT_APART, TABLE_NAMES } from './tables.ts';

/** Where the old tables wait while the new ones are filled; gone when the transaction ends. */
const ASIDE = 'before_rebuild';

/** Functions the migrations made until versions were recorded with them. */
const FUNCTIONS = ['allocation_is_immutable', 'dose_json', 'half_dose', 'planned_settings', 'fill_planned'];

/** Moves our tables, domains and functions out of `public`; whatever else is there stays. */
const MOVE = `
do $$ declare it record; begin
  for it in select oid::regclass::text as name from pg_class
    where relnamespace = 'public'::regnamespace and relkind = 'r' and relname = any(string_to_array('%TABLES%', ',')) loop
    execute 'alter table ' || it.name || ' set schema ${ASIDE}';
  end loop;
  for it in select oid::regtype::text as name from pg_type
    where typnamespace = 'public'::regnamespace and typtype = 'd' and typname like '%\\_key' loop
    execute 'alter domain ' || it.name || ' set schema ${ASIDE}';
  end loop;
  for it in select p.oid::regprocedure::text as name from pg_proc p
    where p.pronamespace = 'public'::regnamespace and p.proname = any(string_to_array('%FUNCTIONS%', ',')) loop
    execute 'alter function ' || it.name || ' set schema ${ASIDE}';
  end loop;
end $$`;

async function columnsOf(client: PoolClient, schema: string, table: string): Promise<string[]> {
  const { rows } = await client.query<{ name: string }>(
    'select column_name as name from information_schema.columns where table_schema = $1 and table_name = $2 order by ordinal_position',
    [schema, table],
  );
  return rows.map(({ name }) => name);
}

/**
 * Builds the schema anew and carries every row over, within the caller's transaction: for a database whose tables are
 * not quite those that the migrations make today. Columns the old tables do not have keep their defaults.
 */
export async function rebuild(
  client: PoolClient,
  from: number,
  migrate: () => Promise<unknown>,
): Promise<void> {
  await client.query(`create schema ${ASIDE}`);
  await client.query(
    MOVE.replace('%TABLES%', [...TABLE_NAMES, ...KEPT_APART, 'schemaversion'].join(',')).replace(
      '%FUNCTIONS%',
      FUNCTIONS.join(','),
    ),
  );
  await migrate();
  for (const table of TABLE_NAMES) {
    const old = new Set(await columnsOf(client, ASIDE, table));
    if (old.size === 0) continue;
    const brought = broughtFrom(table, from);
    const shared = (await columnsOf(client, 'public', table)).filter(
      (column) => old.has(column) || brought?.came?.includes(column),
    );
    const columns = shared.map((column) => `"${column}"`).join(', ');
    await client.query(
      `insert into public.${table} (${columns})
       select ${shared.map((column) => `r."${column}"`).join(', ')} from ${ASIDE}.${table} t,
         lateral (select to_jsonb(t) as o) as was, lateral jsonb_populate_record(null::public.${table}, ${brought?.as ?? 'o'}) r`,
    );
  }
  if (from < 12) await client.query('select public.fill_planned()');
  if (from < 15) await client.query('select public.fill_batches()');
  await client.query(`drop schema ${ASIDE} cascade`);
}
