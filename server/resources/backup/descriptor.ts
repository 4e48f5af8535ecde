import * as v from 'valibot';
import type { Table } from '../../db/tables.ts';
import type { Column, Kind, Shape } from './shapes.ts';

export const DESCRIPTOR = 'datapackage.json';
/** Tells a Sabor backup from other data packages. */
export const PROFILE = 'sabor backup';

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

function fieldOf({ name, kind, required, words }: Column) {
  // An empty text and none look alike to other programs: only what tells rows apart is said to be required of texts.
  const constraints = {
    ...(required && kind !== 'string' ? { required: true } : {}),
    ...(words ? { enum: words } : {}),
  };
  return {
    name,
    ...TYPES[kind as Exclude<Kind, 'file'>],
    ...(Object.keys(constraints).length ? { constraints } : {}),
  };
}

/**
 * The package's description. Source: Frictionless Data Package 1 (Data Package, Tabular Data Resource, Table Schema);
 * `sabor` and `rows` are ours, as the standard allows.
 */
export function descriptorOf(schema: number, resources: readonly Resource[]) {
  return {
    name: 'sabor-backup',
    title: 'Everything that is in this Sabor',
    profile: 'data-package',
    sabor: { format: PROFILE, schema },
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
        profile: 'tabular-data-resource',
        format: 'csv',
        mediatype: 'text/csv',
        encoding: 'utf-8',
        ...common,
        rows: resource.rows,
        schema: {
          fields: columns.map(fieldOf),
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
