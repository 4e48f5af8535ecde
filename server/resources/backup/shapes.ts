import type { Client } from '../../db/pool.ts';
import { broughtFrom, TABLE_NAMES, type Table } from '../../db/tables.ts';

/** What a column holds, in the words of the Frictionless Table Schema. */
export type Kind =
  | 'string'
  | 'uuid'
  | 'integer'
  | 'number'
  | 'boolean'
  | 'date'
  | 'datetime'
  | 'object'
  | 'array'
  | 'any'
  /** Bytes: kept as a file of its own, not as a column. */
  | 'file';

export interface Column {
  name: string;
  kind: Kind;
  required: boolean;
  /** The words it takes, where it takes no others. */
  words: string[] | null;
}

/** A table as the database has it: the shape of one CSV file. */
export interface Shape {
  table: Table;
  columns: Column[];
  /** Columns that tell rows apart; all of them where the table has no key. */
  key: string[];
  primary: boolean;
  refers: { columns: string[]; to: string; toColumns: string[] }[];
}

const KINDS: Record<string, Kind> = {
  uuid: 'uuid',
  int2: 'integer',
  int4: 'integer',
  int8: 'integer',
  numeric: 'number',
  float8: 'number',
  bool: 'boolean',
  date: 'date',
  timestamptz: 'datetime',
  jsonb: 'object',
  bytea: 'file',
};

/** Columns of JSON that need not be an object. */
const ANY: ReadonlySet<string> = new Set([
  'setting.value',
  'amendment.changes',
  'recipe.parts',
  'verdict_said.beside',
  'photograph_measured.left_out',
  'photograph_measured.card',
  'photograph_measured.curls',
  'photograph_measured.parting',
]);

const wordsIn = (definition: string | null): string[] | null =>
  definition === null ? null : [...definition.matchAll(/'([^']+)'/g)].map(([, word]) => word!);

/** The shapes of all tables a database has, whatever its schema, in the order rows can be written back. */
export async function readShapes(db: Client): Promise<Shape[]> {
  const columns = await db.query<{
    table: Table;
    name: string;
    type: string;
    required: boolean;
    words: string | null;
  }>(
    `select c.relname as "table", a.attname as name, coalesce(b.typname, t.typname) as type, a.attnotnull as required,
       k.words
     from pg_class c join pg_attribute a on a.attrelid = c.oid join pg_type t on t.oid = a.atttypid
       left join pg_type b on b.oid = nullif(t.typbasetype, 0)
       left join (select contypid, min(pg_get_constraintdef(oid)) as words from pg_constraint where contypid <> 0
         group by contypid) k on k.contypid = t.oid
     where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and a.attnum > 0 and not a.attisdropped
     order by c.relname, a.attnum`,
  );
  const constraints = await db.query<{
    table: string;
    type: 'p' | 'f';
    columns: string[];
    to: string | null;
    toColumns: string[] | null;
  }>(
    `select k.conrelid::regclass::text as "table", k.contype as type, f.relname as "to",
       (select array_agg(a.attname::text order by n) from unnest(k.conkey) with ordinality u(at, n)
         join pg_attribute a on a.attrelid = k.conrelid and a.attnum = u.at) as columns,
       (select array_agg(a.attname::text order by n) from unnest(k.confkey) with ordinality u(at, n)
         join pg_attribute a on a.attrelid = k.confrelid and a.attnum = u.at) as "toColumns"
     from pg_constraint k left join pg_class f on f.oid = k.confrelid
     where k.connamespace = 'public'::regnamespace and k.contype in ('p', 'f') order by k.conname`,
  );
  return TABLE_NAMES.flatMap((table) => {
    const own = columns.rows.filter((column) => column.table === table);
    if (own.length === 0) return [];
    const kept = constraints.rows.filter((one) => one.table === table);
    const primary = kept.find(({ type }) => type === 'p');
    return {
      table,
      columns: own.map(({ name, type, required, words }) => ({
        name,
        kind: ANY.has(`${table}.${name}`)
          ? 'any'
          : type.startsWith('_')
            ? 'array'
            : (KINDS[type] ?? 'string'),
        required,
        words: wordsIn(words),
      })),
      key: primary?.columns ?? own.map(({ name }) => name),
      primary: primary !== undefined,
      refers: kept.flatMap(({ type, columns, to, toColumns }) =>
        type === 'f' ? [{ columns, to: to!, toColumns: toColumns! }] : [],
      ),
    };
  });
}

/** A table's columns as a backup of an older schema has them. */
export function columnsThen({ table, columns }: Pick<Shape, 'table' | 'columns'>, schema: number): Column[] {
  const { came = [], gone = {} } = broughtFrom(table, schema) ?? {};
  return [
    ...columns.filter(({ name }) => !came.includes(name)),
    ...Object.entries(gone).map(([name, kind]) => ({ name, kind, required: false, words: null })),
  ];
}
