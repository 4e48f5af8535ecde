import { createHash } from 'node:crypto';
import { Readable, Transform, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { PackagePart } from '@sabor/contract/backup';
import type { PoolClient } from 'pg';
import { to as copyTo } from 'pg-copy-streams';
import { ZipFile } from 'yazl';
import { schemaOf } from '../../db/migrate.ts';
import type { Db } from '../../db/pool.ts';
import { PICTURES } from '../../db/tables.ts';
import { MAY_PUBLISH } from '../wearers/consents.ts';
import { README, README_OF_PART } from './codebook.ts';
import { codebookOf, DESCRIPTOR, descriptorOf, fileName, type Resource } from './descriptor.ts';
import { rowsOf } from './part.ts';
import { type Column, readShapes, type Shape } from './shapes.ts';

/** The same bytes for the same data: an entry carries no time of its own. */
const ENTRY = { mtime: new Date(1980, 0, 1), mode: 0o100644, forceDosTimestamp: true } as const;

/** A column as text that other programs read: ISO moments in UTC, JSON for what has parts. */
function asText({ name, kind }: Column): string {
  const column = `t."${name}"`;
  switch (kind) {
    case 'datetime':
      return `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as "${name}"`;
    case 'boolean':
      return `${column}::text as "${name}"`;
    case 'array':
      return `to_json(${column})::text as "${name}"`;
    default:
      return `${column}::text as "${name}"`;
  }
}

/** What is on its way when a backup is made comes again from its phone; copies for pages are made again. */
export const LEFT_OUT = new Set<string>(['photograph_piece', 'photograph_copy']);

const written = ({ columns }: Shape) => columns.filter(({ kind }) => kind !== 'file');

/** Counts and hashes what passes. */
class Measure extends Transform {
  readonly hash = createHash('sha256');
  bytes = 0;
  override _transform(chunk: Buffer, _encoding: BufferEncoding, done: () => void): void {
    this.hash.update(chunk);
    this.bytes += chunk.length;
    this.push(chunk);
    done();
  }
}

/** A zip entry filled from a stream that is opened when its turn comes; settles when it is through. */
function entry(zip: ZipFile, path: string, compress: boolean, open: () => Promise<Readable> | Readable) {
  return new Promise<{ bytes: number; hash: string }>((resolve, reject) => {
    zip.addReadStreamLazy(path, { ...ENTRY, compress }, (give) => {
      const measure = new Measure();
      measure.once('end', () => resolve({ bytes: measure.bytes, hash: measure.hash.digest('hex') }));
      Promise.resolve()
        .then(open)
        .then((stream) => {
          stream.once('error', (error) => measure.destroy(error));
          measure.once('error', reject);
          give(null, stream.pipe(measure));
        }, reject);
    });
  });
}

/** A picture or clip leaves in a part unless its wearer said no; of one under age once the guardian has said yes to publishing. */
const mayLeave = (table: string) =>
  table === 'photograph' || table === 'clip'
    ? `and (select ${MAY_PUBLISH}
         from wash_day d join trial x on x.id = d.trial_id join wearer w on w.id = x.wearer_id where d.id = t.wash_day_id)`
    : '';

async function writeTables(client: PoolClient, zip: ZipFile, part: PackagePart | null): Promise<Resource[]> {
  const schema = await schemaOf(client);
  const resources: Resource[] = [];
  const shapes = await readShapes(client);
  const rowsIn = part ? rowsOf(part, shapes) : () => 'true';
  for (const shape of shapes) {
    const which = rowsIn(shape.table);
    if (LEFT_OUT.has(shape.table) || which === null) continue;
    const { rows } = await client.query<{ n: number }>(
      `select count(*) as n from public.${shape.table} t where ${which}`,
    );
    const columns = written(shape);
    const measured = await entry(zip, fileName(shape.table), true, () =>
      client.query(
        copyTo(
          `copy (select ${columns.map(asText).join(', ')} from public.${shape.table} t where ${which}
             order by ${shape.key.map((column) => `t."${column}"`).join(', ')}) to stdout with (format csv, header)`,
        ),
      ),
    );
    resources.push({ shape: { ...shape, columns }, rows: rows[0]!.n, ...measured });
    const folder = PICTURES[shape.table];
    if (folder === undefined || (part && !part.pictures)) continue;
    // Before schema 12 half a photograph stood in the place of the whole.
    const { rows: pictures } = await client.query<{ id: string; type: string }>(
      `select id, type from public.${shape.table} t where length(bytes) > 0 ${schema < 12 ? 'and length(bytes) = size' : ''}
         and ${which} ${part ? mayLeave(shape.table) : ''} order by id`,
    );
    for (const { id, type } of pictures) {
      const path = `${folder}/${id}.${type.split('/')[1]}`;
      const picture = await entry(zip, path, false, async () => {
        const found = await client.query<{ bytes: Buffer }>(
          `select bytes from public.${shape.table} where id = $1`,
          [id],
        );
        return Readable.from([found.rows[0]!.bytes], { objectMode: false });
      });
      resources.push({ picture: { id, of: shape.table, path, type }, ...picture });
    }
  }
  return resources;
}

/**
 * Writes the whole database, as it stands at one moment, to `out` as one zip: a data package (Frictionless Data Package
 * and Table Schema) of one CSV a table and the pictures as files. Rows stand in the order of their keys and no time is
 * written, so that the same data give the same bytes. Works on every schema; a `part` on the newest alone. Streams: holds one picture at most.
 */
export async function writePackage(db: Db, out: Writable, part: PackagePart | null = null): Promise<void> {
  const client = await db.connect();
  let whole = false;
  try {
    await client.query('begin');
    await client.query('set transaction isolation level repeatable read read only');
    await client.query(
      "set local statement_timeout = 0; set local timezone = 'UTC'; set local datestyle = 'ISO'; set local extra_float_digits = 1",
    );
    const zip = new ZipFile();
    const through = pipeline(zip.outputStream as unknown as Readable, out);
    const failed = through.then(() => new Promise<never>(() => {}));
    const writing = (async () => {
      const resources = await writeTables(client, zip, part);
      const text = JSON.stringify(descriptorOf(await schemaOf(client), resources, part), null, 2);
      zip.addBuffer(Buffer.from(`${text}\n`), DESCRIPTOR, { ...ENTRY, compress: true });
      zip.addBuffer(Buffer.from(part ? README_OF_PART : README), 'README.txt', { ...ENTRY, compress: true });
      zip.addBuffer(Buffer.from(codebookOf(resources)), 'codebook.csv', { ...ENTRY, compress: true });
      zip.end();
    })();
    await Promise.race([writing, failed]);
    await through;
    await client.query('commit');
    whole = true;
  } finally {
    // Where the reader has gone away a table is still being copied out: that connection is of no more use.
    client.release(!whole);
  }
}
