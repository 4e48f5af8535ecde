import type { PackagePart } from '@sabor/contract/backup';
import Papa from 'papaparse';
import * as v from 'valibot';
import type { Table } from '../../db/tables.ts';
import { columnSays, TABLE_SAYS, unitOf } from './codebook.ts';
import type { Column, Kind, Shape } from './shapes.ts';

export const DESCRIPTOR = 'datapackage.json';
/** Tells a Sabor backup from other data packages. */
export const PROFILE = 'sabor backup';
/** A part of one, for other programs: no Sabor reads it in. */
const PART = 'sabor part';

export const fileName = (table: string) => `data/${table}.csv`;

/** What a package says of one of its files. */
export type Resource = { bytes: number; hash: string } & (
  | { shape: Shape; rows: number }
  | { picture: { id: string; of: Table; path: string; type: string } }
);

const TYPES: Record<Exclude<Kind, 'file'>, { type: string; format?: string }> = {
  string: { type: 'string' },
  uuid: { type: 'string', format: 'uuid' },
  integer: { type: 'integer' },
  number: { type: 'number' },
  boolean: { type: 'boolean' },
  date: { type: 'date' },
  datetime: { type: 'datetime', format: 'any' },
  object: { type: 'object' },
  array: { type: 'array' },
  any: { type: 'any' },
};

function fieldOf(table: Table, { name, kind, required, words }: Column) {
  const [says, unit] = [columnSays(table, name), unitOf(name)];
  // An empty text and none look alike to other programs: only what tells rows apart is said to be required of texts.
  const constraints = {
    ...(required && kind !== 'string' ? { required: true } : {}),
    ...(words ? { enum: words } : {}),
  };
  return {
    name,
    ...TYPES[kind as Exclude<Kind, 'file'>],
    ...(says ? { description: says } : {}),
    ...(unit ? { unit } : {}),
    ...(Object.keys(constraints).length ? { constraints } : {}),
  };
}

/**
 * The package's description. Source: Frictionless Data Package 1 (Data Package, Tabular Data Resource, Table Schema);
 * `sabor`, `rows` and `unit` are ours, as the standard allows.
 */
export function descriptorOf(
  schema: number,
  resources: readonly Resource[],
  part: PackagePart | null = null,
) {
  return {
    name: part ? 'sabor-part' : 'sabor-backup',
    title: part ? 'A part of a Sabor' : 'Everything that is in this Sabor',
    profile: 'data-package',
    // Open Definition’s name for: none is given.
    licenses: [{ name: 'other-closed', title: 'No licence is given' }],
    sabor: part ? { format: PART, schema, part } : { format: PROFILE, schema },
    resources: resources.map((resource) => {
      const common = { bytes: resource.bytes, hash: `sha256:${resource.hash}` };
      if ('picture' in resource) {
        const { id, of, path, type } = resource.picture;
        return {
          name: `${of.replaceAll('_', '-')}-${id}`,
          path,
          profile: 'data-resource',
          mediatype: type,
          ...common,
        };
      }
      const { table, columns, key, primary, refers } = resource.shape;
      return {
        name: table,
        path: fileName(table),
        description: TABLE_SAYS[table],
        profile: 'tabular-data-resource',
        format: 'csv',
        mediatype: 'text/csv',
        encoding: 'utf-8',
        ...common,
        rows: resource.rows,
        schema: {
          fields: columns.map((column) => fieldOf(table, column)),
          missingValues: [''],
          ...(primary ? { primaryKey: key } : {}),
          ...(refers.length
            ? {
                foreignKeys: refers.map(({ columns, to, toColumns }) => ({
                  fields: columns,
                  reference: { resource: to, fields: toColumns },
                })),
              }
            : {}),
        },
      };
    }),
  };
}

/** Every column of a package in words, as CSV. */
export function codebookOf(resources: readonly Resource[]): string {
  const rows = resources.flatMap((resource) => {
    if ('picture' in resource) return [];
    const { table, columns, key, primary, refers } = resource.shape;
    return columns.map((column) => {
      const to = refers.find(({ columns: own }) => own.length === 1 && own[0] === column.name);
      return {
        table,
        'a row is': TABLE_SAYS[table],
        column: column.name,
        holds: columnSays(table, column.name) ?? '',
        type: column.kind,
        unit: unitOf(column.name) ?? '',
        words: column.words?.join(' | ') ?? '',
        'must be told': column.required ? 'yes' : 'no',
        key: primary && key.includes(column.name) ? 'yes' : 'no',
        'refers to': to ? `${to.to}.${to.toColumns[0]}` : '',
      };
    });
  });
  return `${Papa.unparse(rows)}\r\n`;
}

/** What is read of a description; the rest is for other programs. */
export const Descriptor = v.object(
  {
    sabor: v.object(
      {
        format: v.literal(PROFILE, 'This is a data package, but not a Sabor backup.'),
        schema: v.pipe(
          v.number('This backup does not say which version wrote it.'),
          v.integer(),
          v.minValue(1),
        ),
      },
      'This is a data package, but not a Sabor backup.',
    ),
    resources: v.array(
      v.object({
        name: v.string(),
        path: v.string(),
        bytes: v.optional(v.number()),
        hash: v.optional(v.string()),
        rows: v.optional(v.number()),
      }),
      'This backup’s description is not whole.',
    ),
  },
  'This backup’s description is not whole.',
);
export type Descriptor = v.InferOutput<typeof Descriptor>;
