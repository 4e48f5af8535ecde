import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import { PHOTOGRAPH_LIMIT } from '@sabor/core/basin/photograph-size';
import { parse as parseCsv } from 'csv-parse';
import { parse as parseAtOnce } from 'csv-parse/sync';
import * as v from 'valibot';
import { type Entry, open, type ZipFile } from 'yauzl';
import { PICTURES } from '../../db/tables.ts';
import { Refusal } from '../../http/problems.ts';
import { RawJson, type Row } from './cell-checks.ts';
import { DESCRIPTOR, Descriptor } from './descriptor.ts';
import type { Column } from './shapes.ts';
import type { BackupSource, Placed } from './source.ts';

/** Longest line of a CSV that is read, bytes: a label's ingredients and directions fit many times. */
const LINE_LIMIT = 4_000_000;
const DESCRIPTOR_LIMIT = 50_000_000;

const broken = (what: string) => new Refusal(422, `This backup is not whole: ${what}. Nothing was imported.`);

const openZip = (file: string): Promise<ZipFile> =>
  new Promise((resolve, reject) => {
    open(file, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, zip) =>
      error ? reject(broken('its end is missing, or it is no zip file')) : resolve(zip),
    );
  });

function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.once('end', () => resolve(entries));
    zip.once('error', () => reject(broken('its list of files cannot be read')));
    zip.readEntry();
  });
}

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) =>
      error ? reject(broken(`“${entry.fileName}” cannot be read`)) : resolve(stream),
    );
  });

async function bytesOf(zip: ZipFile, entry: Entry, limit: number): Promise<Buffer> {
  if (entry.uncompressedSize > limit) throw broken(`“${entry.fileName}” is larger than it can be`);
  const chunks: Buffer[] = [];
  try {
    for await (const chunk of await streamOf(zip, entry)) chunks.push(chunk as Buffer);
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw broken(`“${entry.fileName}” cannot be read`);
  }
  return Buffer.concat(chunks);
}

const changed = (path: string) =>
  new Refusal(
    422,
    `“${path}” in this backup is not as Sabor wrote it: its checksum differs. Nothing was imported.`,
  );

/** A row's cells with whether each stood in quotes: '' in quotes is a text without letters, outside of them nothing. */
const quotedCells = (raw: string): { text: string; quoted: boolean }[] =>
  (
    parseAtOnce(raw, { cast: (text, { quoting }) => ({ text, quoted: quoting }) }) as unknown as {
      text: string;
      quoted: boolean;
    }[][]
  )[0] ?? [];

/** A cell of two quotes and no more; in a quoted cell each quote stands twice. */
const EMPTY_TEXT = /(^|,)""(,|\r?\n|$)/;

/** So many lines a row runs over; what ends it may have come with it, in part or whole. */
const linesOf = (raw: string): number => raw.replace(/[\r\n]+$/, '').split('\n').length;

/** Cells of a row. To ask of each whether it was quoted costs four times the reading: it is asked only where it matters. */
const cellsOf = (texts: readonly string[], raw: string): { text: string; quoted: boolean }[] =>
  EMPTY_TEXT.test(raw) ? quotedCells(raw) : texts.map((text) => ({ text, quoted: false }));

/** A cell as the importer takes it: JSON where the column has parts, null where nothing stands between the commas. */
function cell(text: string, quoted: boolean, { name, kind, required }: Column): unknown {
  if (text === '' && !quoted) return required && kind === 'string' ? '' : null;
  if (kind !== 'object' && kind !== 'array' && kind !== 'any') return text;
  try {
    return new RawJson(text);
  } catch {
    throw new Error(`“${name}” cannot be read.`);
  }
}

/**
 * Opens a backup written by `writePackage`, from a file. `columnsOf` tells how a table's columns are read in a backup of a schema. Files are read
 * as they are asked for; each is held to the size, number of rows and checksum its description gives.
 * Throws a Refusal with the file and line that is wrong.
 */
export async function openPackage(
  file: string,
  columnsOf: (table: string, schema: number) => readonly Column[],
): Promise<BackupSource> {
  const zip = await openZip(file);
  try {
    const entries = await entriesOf(zip);
    const entry = entries.get(DESCRIPTOR);
    if (!entry) throw new Refusal(422, 'This zip file is not a Sabor backup: it has no datapackage.json.');
    let json: unknown;
    try {
      json = JSON.parse((await bytesOf(zip, entry, DESCRIPTOR_LIMIT)).toString('utf8'));
    } catch (error) {
      if (error instanceof Refusal) throw error;
      throw broken('its description cannot be read');
    }
    const parsed = v.safeParse(Descriptor, json);
    if (!parsed.success) throw new Refusal(422, parsed.issues[0].message);
    const { resources, sabor } = parsed.output;
    const tables = new Map(
      resources.flatMap((one) => (one.path.startsWith('data/') ? [[one.name, one] as const] : [])),
    );
    for (const { path } of resources) if (!entries.has(path)) throw broken(`“${path}” is missing`);

    async function* rows(table: string): AsyncGenerator<Placed & { header?: string[] }> {
      const resource = tables.get(table)!;
      const columns = columnsOf(table, sabor.schema);
      const hash = createHash('sha256');
      let bytes = 0;
      let header: Column[] | null = null;
      // Its own count of lines (`info`) takes as long as all else it does.
      const parser = parseCsv({ bom: true, raw: true, max_record_size: LINE_LIMIT });
      const stream = await streamOf(zip, entries.get(resource.path)!);
      stream.on('data', (chunk: Buffer) => {
        hash.update(chunk);
        bytes += chunk.length;
      });
      stream.once('error', (error) => parser.destroy(error));
      stream.pipe(parser);
      let [line, next, count] = [1, 1, 0];
      try {
        for await (const { record, raw } of parser as AsyncIterable<{ record: string[]; raw: string }>) {
          line = next;
          next += linesOf(raw);
          if (header === null) {
            header = record.map((name) => {
              const known = columns.find((column) => column.name === name);
              if (!known) throw new Error(`Sabor knows no column “${name}”.`);
              return known;
            });
            continue;
          }
          count++;
          const row: Row = {};
          for (const [i, { text, quoted }] of cellsOf(record, raw).entries())
            row[header[i]!.name] = cell(text, quoted, header[i]!);
          yield { row, line };
        }
      } catch (error) {
        stream.destroy();
        if (error instanceof Refusal) throw error;
        const { message, lines } = error as Error & { lines?: number };
        throw new Refusal(
          422,
          `Line ${lines ?? line} of “${resource.path}” in this backup cannot be read: ${plain(message)} Nothing was imported.`,
        );
      }
      if (resource.hash && resource.hash !== `sha256:${hash.digest('hex')}`) throw changed(resource.path);
      if (resource.bytes !== undefined && resource.bytes !== bytes) throw changed(resource.path);
      if (resource.rows !== undefined && resource.rows !== count)
        throw broken(`“${resource.path}” has ${count} rows, and should have ${resource.rows}`);
    }

    return {
      schema: sabor.schema,
      tables: new Set(tables.keys()),
      columns: async (table) => {
        const first = (await headOf(zip, entries.get(tables.get(table)!.path)!)).replace(/^\uFEFF/, '');
        return first === '' ? [] : first.split(',').map((name) => name.replaceAll('"', '').trim());
      },
      rows,
      async *pictures(table) {
        const folder = `${PICTURES[table]}/`;
        for (const { path, hash } of resources) {
          if (!path.startsWith(folder)) continue;
          const bytes = await bytesOf(zip, entries.get(path)!, PHOTOGRAPH_LIMIT);
          if (hash && hash !== `sha256:${createHash('sha256').update(bytes).digest('hex')}`)
            throw changed(path);
          yield { id: path.slice(folder.length).split('.')[0]!, bytes };
        }
      },
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

/** A parser's message without its own numbers: ours name the line. */
const plain = (message: string) =>
  message.startsWith('“') || message.startsWith('Sabor') ? message : 'its columns or quotes do not add up.';

/** The first line of a file, without its end. */
async function headOf(zip: ZipFile, entry: Entry): Promise<string> {
  const stream = await streamOf(zip, entry);
  let text = '';
  for await (const chunk of stream) {
    text += (chunk as Buffer).toString('utf8');
    if (text.includes('\n') || text.length > 10_000) break;
  }
  stream.destroy();
  return text.split(/\r?\n/)[0] ?? '';
}
