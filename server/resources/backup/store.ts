import { BACKUP_FORMAT, type Backup } from '@sabor/contract/backup';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { Refusal } from '../../http/problems.ts';

/** Every table, each after those it refers to. */
export const TABLES = [
  'setting',
  'line',
  'product',
  'bottle',
  'wearer',
  'zone',
  'curl',
  'routine',
  'step',
  'trial',
  'trial_zone',
  'arm',
  'arm_step',
  'allocation',
  'wash_day',
  'wash_step',
  'check_in',
  'reading',
  'event',
  'event_zone',
  'blind_guess',
  'wash_tap',
  'step_pause',
  'step_mark',
  'in_hand_reading',
  'idea',
  'weighing',
  'calibration',
  'photograph',
  'amendment',
  'overrule',
  'hair_test',
  'hair_event',
  'hair_event_zone',
  'hair_measure',
  'care_cadence',
  'locality',
  'month_normal',
  'weather_batch',
  'weather_reading',
  'stay',
  'day_outdoors',
  'wearer_wish',
  'wearer_weight',
  'wearer_avoided',
  'own_ingredient',
  'rule_weight',
] as const;

async function schemaNumber(db: Client): Promise<number> {
  const { rows } = await db.query<{ version: number }>('select max(version) as version from schemaversion');
  return Number(rows[0]?.version ?? 0);
}

/** The whole database as it stands at one moment. */
export async function saveBackup(db: Db): Promise<Backup> {
  return transaction(db, async (client) => {
    await client.query('set transaction isolation level repeatable read read only');
    const tables: Backup['tables'] = {};
    for (const table of TABLES) {
      const { rows } = await client.query(`select coalesce(json_agg(t), '[]') as rows from ${table} t`);
      tables[table] = rows[0].rows;
    }
    return {
      format: BACKUP_FORMAT,
      schema: await schemaNumber(client),
      savedAt: new Date().toISOString(),
      tables,
    };
  });
}

export async function isEmpty(db: Client): Promise<boolean> {
  const { rows } = await db.query<{ empty: boolean }>(
    `select not exists (select 1 from line) and not exists (select 1 from product) and not exists (select 1 from wearer)
       and not exists (select 1 from routine) and not exists (select 1 from trial) as empty`,
  );
  return rows[0]!.empty;
}

/** Empties every table, settings included. */
export async function clear(client: Client): Promise<void> {
  await client.query(`truncate ${TABLES.join(', ')}`);
}

/** Inserts a table's rows; columns that an older backup does not have keep their defaults. */
async function insertRows(
  client: Client,
  table: (typeof TABLES)[number],
  rows: readonly Record<string, unknown>[],
): Promise<void> {
  if (rows.length === 0) return;
  const given = new Set(rows.flatMap((row) => Object.keys(row)));
  const { rows: known } = await client.query<{ name: string }>(
    `select column_name as name from information_schema.columns where table_schema = 'public' and table_name = $1`,
    [table],
  );
  const columns = known
    .filter(({ name }) => given.has(name))
    .map(({ name }) => `"${name}"`)
    .join(', ');
  await client.query(
    `insert into public.${table} (${columns})
     select ${columns} from json_populate_recordset(null::public.${table}, $1::json)`,
    [JSON.stringify(rows)],
  );
}

/** What a table's rows were called in backups of an older schema, as they are called now. */
function brought(table: string, rows: readonly Record<string, unknown>[]): Record<string, unknown>[] {
  return rows.map((row) =>
    table === 'trial' && row.design === 'balanced complete' ? { ...row, design: 'complete' } : row,
  );
}

/** Writes a backup's rows into an empty database: all of them, or none and a sentence that says why. */
export async function loadBackup(db: Db, backup: Backup): Promise<void> {
  await transaction(db, async (client) => {
    const schema = await schemaNumber(client);
    if (backup.schema > schema)
      throw new Refusal(
        409,
        'This backup was written by a newer Sabor. Update this one first, then import again.',
      );
    if (!(await isEmpty(client)))
      throw new Refusal(
        409,
        'A backup can only be read into an empty Sabor. Start one with another data folder: SABOR_DATA=… npm start -- --empty',
      );
    const strange = Object.keys(backup.tables).filter(
      (name) => !(TABLES as readonly string[]).includes(name),
    );
    if (strange.length)
      throw new Refusal(422, `This backup holds a part Sabor does not know: ${strange[0]}.`);
    await client.query('truncate setting');
    for (const table of TABLES) {
      const rows = backup.tables[table] ?? [];
      try {
        await insertRows(client, table, brought(table, rows));
      } catch (error) {
        const { message } = error as Error;
        throw new Refusal(
          422,
          `This backup is broken in its part “${table}”; nothing was imported. (${message})`,
        );
      }
    }
    await client.query('select fill_planned()');
  });
}
