import { readFile, stat } from 'node:fs/promises';
import { Backup } from '@sabor/contract/backup';
import { parse, Refusal } from '../../http/problems.ts';
import type { BackupSource } from './source.ts';

/** The most one text of this engine holds; no Sabor ever wrote a larger JSON backup. */
const TEXT_LIMIT = 500_000_000;

/** A backup as Sabor wrote it before it wrote zips: every table's rows in one JSON value. */
export const jsonSource = ({ schema, tables }: Backup): BackupSource => ({
  schema,
  tables: new Set(Object.keys(tables)),
  columns: async () => null,
  async *rows(table) {
    let line = 0;
    for (const row of tables[table] ?? []) yield { row, line: ++line };
  },
  // Their bytes stand in the rows.
  async *pictures() {},
  close: () => {},
});

/** Opens an older JSON backup from a file. Throws a Refusal when it is none. */
export async function openJson(file: string): Promise<BackupSource> {
  if ((await stat(file)).size > TEXT_LIMIT)
    throw new Refusal(413, 'This JSON file is too large to be a Sabor backup.');
  let json: unknown;
  try {
    json = JSON.parse(await readFile(file, 'utf8'));
  } catch {
    throw new Refusal(
      422,
      'This file is neither a backup as Sabor writes it (zip), nor an older one (JSON). Nothing was imported.',
    );
  }
  return jsonSource(parse(Backup, json));
}
