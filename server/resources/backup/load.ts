import type { PoolClient } from 'pg';
import { SCHEMA } from '../../db/migrate.ts';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { broughtFrom, PICTURES, TABLE_NAMES, TABLES, type Table } from '../../db/tables.ts';
import { Refusal } from '../../http/problems.ts';
import { type Row, rowProblem, rowText } from './cell-checks.ts';
import { type Column, columnsThen, readShapes } from './shapes.ts';
import type { BackupSource, Placed } from './source.ts';
import { LEFT_OUT } from './write-package.ts';

/** Rows that go to the database together, and the most their JSON may weigh. */
const ROWS_AT_ONCE = 1000;

/** Whether nothing but settings is stored. */
export async function isEmpty(db: Client): Promise<boolean> {
  const parts = TABLE_NAMES.filter((table) => table !== 'setting').map(
    (table) => `not exists (select from public.${table})`,
  );
  const { rows } = await db.query<{ empty: boolean }>(`select ${parts.join(' and ')} as empty`);
  return rows[0]!.empty;
}

/** Throws a Refusal unless a backup may be read in. */
export async function mustBeEmpty(db: Client): Promise<void> {
  if (!(await isEmpty(db)))
    throw new Refusal(
      409,
      'A backup can only be read into an empty Sabor. Start one with another data folder: SABOR_DATA=… npm start -- --empty',
    );
}

/** Empties every table, settings included. */
export async function clear(client: Client): Promise<void> {
  await client.query(`truncate ${TABLE_NAMES.join(', ')}`);
}

/** What the database will not have in a row, by the code of its error, in our words. */
const REFUSED: Record<string, string> = {
  '23502': 'something it needs is missing.',
  '23503': 'it names something that is not in this backup.',
  '23505': 'it is there twice.',
  '23514': 'its values contradict each other, or lie outside what they can be.',
  '22P02': 'a value is not of its kind.',
  '22003': 'a number is too large.',
  '22007': 'a date or moment is not one.',
  '22008': 'a date or moment is not one.',
};

const place = (table: string, line: number, columns: unknown) =>
  columns === null ? `Row ${line} of “${table}”` : `Line ${line} of “data/${table}.csv”`;

/** Inserts rows as they are, or names the first that cannot be. Columns that are not given keep their defaults. */
class Inserting {
  private waiting: Placed[] = [];
  constructor(
    private readonly client: PoolClient,
    private readonly table: Table,
    private readonly schema: number,
    private readonly today: readonly Column[],
    /** Its columns at the backup's time. */
    private readonly columns: readonly Column[],
    private readonly given: readonly string[] | null,
  ) {}

  async add(placed: Placed): Promise<void> {
    const problem = this.strange(placed.row) ?? rowProblem(this.table, this.columns, placed.row);
    if (problem) throw this.refusal(placed, problem);
    this.waiting.push(placed);
    if (this.waiting.length >= ROWS_AT_ONCE || PICTURES[this.table] !== undefined) await this.flush();
  }

  /** A column that is not known would be dropped without a word. */
  private strange(row: Row): string | null {
    const name = Object.keys(row).find((key) => !this.columns.some((column) => column.name === key));
    return name === undefined ? null : `Sabor knows no column “${name}”.`;
  }

  private refusal({ line }: Placed, problem: string): Refusal {
    return new Refusal(
      422,
      `${place(this.table, line, this.given)} in this backup cannot be read in: ${problem} Nothing was imported.`,
    );
  }

  private async insert(rows: readonly Placed[]): Promise<void> {
    const brought = broughtFrom(this.table, this.schema);
    const given = new Set([
      ...(this.given ?? rows.flatMap(({ row }) => Object.keys(row))),
      ...(brought?.came ?? []),
    ]);
    const names = this.today.filter(({ name }) => given.has(name)).map(({ name }) => `"${name}"`);
    await this.client.query(
      `insert into public.${this.table} (${names.join(', ')})
       select ${names.map((name) => `r.${name}`).join(', ')} from jsonb_array_elements($1::jsonb) with ordinality e(o, n),
         lateral jsonb_populate_record(null::public.${this.table}, ${brought?.as ?? 'o'}) r order by n`,
      [`[${rows.map(({ row }) => rowText(row)).join(',')}]`],
    );
  }

  async flush(): Promise<void> {
    const rows = this.waiting;
    this.waiting = [];
    if (rows.length === 0) return;
    await this.client.query('savepoint rows');
    try {
      await this.insert(rows);
      await this.client.query('release savepoint rows');
    } catch (error) {
      const { code } = error as { code?: string };
      if (!code || !/^2[23]/.test(code)) throw error;
      await this.client.query('rollback to savepoint rows');
      // One of these is wrong: one by one, the first of them is found.
      for (const placed of rows)
        try {
          await this.insert([placed]);
        } catch (one) {
          const told = one as { code?: string };
          throw this.refusal(placed, REFUSED[told.code ?? ''] ?? 'the database does not take it.');
        }
    }
  }
}

/** What must hold before a row is read: known schema, every table of its time, none that is unknown. */
function checkWhole({ schema, tables }: BackupSource): void {
  if (!Number.isInteger(schema) || schema < 1)
    throw new Refusal(422, 'This backup does not say which version wrote it.');
  if (schema > SCHEMA)
    throw new Refusal(
      409,
      'This backup was written by a newer Sabor. Update this one first, then import again.',
    );
  const strange = [...tables].find((name) => !Object.hasOwn(TABLES, name));
  if (strange !== undefined)
    throw new Refusal(422, `This backup holds a part Sabor does not know: ${strange.slice(0, 60)}.`);
  const missing = TABLE_NAMES.find(
    (name) => TABLES[name] <= schema && !LEFT_OUT.has(name) && !tables.has(name),
  );
  if (missing)
    throw new Refusal(
      422,
      `This backup is not whole: its part “${missing}” is missing. Nothing was imported.`,
    );
}

/** Holds the file's columns against the table's: of this schema all must be there. */
function checkColumns(
  table: Table,
  known: readonly Column[],
  given: readonly string[],
  schema: number,
): void {
  const strange = given.find((name) => !known.some((column) => column.name === name));
  if (strange !== undefined)
    throw new Refusal(
      422,
      `“data/${table}.csv” in this backup has a column Sabor does not know: ${strange.slice(0, 60)}. Nothing was imported.`,
    );
  const missing = known.find(({ name, kind }) => kind !== 'file' && !given.includes(name));
  if (schema === SCHEMA && missing)
    throw new Refusal(
      422,
      `“data/${table}.csv” in this backup is not whole: its column “${missing.name}” is missing. Nothing was imported.`,
    );
}

/**
 * Writes a backup into an empty database: all of it, or none and a sentence with the line that is wrong. Every row is
 * held to its columns' kinds and to the wire's schemas. A second import waits for the first, and is refused.
 */
export async function loadBackup(db: Db, source: BackupSource): Promise<void> {
  await transaction(db, async (client) => {
    await client.query(
      `set local statement_timeout = 0; set local lock_timeout = 0; set local sabor.unrecorded = 'on'`,
    );
    await client.query("select pg_advisory_xact_lock(hashtext('sabor import'))");
    await mustBeEmpty(client);
    checkWhole(source);
    await client.query('truncate setting');
    const shapes = new Map((await readShapes(client)).map((shape) => [shape.table, shape]));
    for (const table of TABLE_NAMES) {
      if (!source.tables.has(table)) continue;
      const shape = shapes.get(table)!;
      const columns = columnsThen(shape, source.schema);
      const given = await source.columns(table);
      if (given) checkColumns(table, columns, given, source.schema);
      const inserting = new Inserting(client, table, source.schema, shape.columns, columns, given);
      for await (const placed of source.rows(table)) await inserting.add(placed);
      await inserting.flush();
      if (PICTURES[table] === undefined) continue;
      for await (const { id, bytes } of source.pictures(table)) {
        const { rowCount } = await client.query(`update ${table} set bytes = $2 where id::text = $1`, [
          id,
          bytes,
        ]);
        if (rowCount === 0)
          throw new Refusal(422, `This backup holds a picture without its row: ${id}. Nothing was imported.`);
      }
    }
    if (source.schema < 12) await client.query('select fill_planned()');
    if (source.schema < 15) await client.query('select fill_batches()');
    await client.query(
      "insert into setting (key, value) values ('database', to_jsonb(gen_random_uuid())) on conflict do nothing",
    );
  });
}
