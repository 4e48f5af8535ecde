import { open } from 'node:fs/promises';
import { openJson } from './read-json.ts';
import { openPackage } from './read-package.ts';
import { columnsThen, type Shape } from './shapes.ts';
import type { BackupSource } from './source.ts';

/** Opens a backup of any age from a file, by its first bytes. Throws a Refusal when it is none. */
export async function openBackup(file: string, shapes: readonly Shape[]): Promise<BackupSource> {
  const handle = await open(file);
  const start = Buffer.alloc(2);
  await handle.read(start, 0, 2, 0).finally(() => handle.close());
  if (start.toString('latin1') !== 'PK') return openJson(file);
  return openPackage(file, (table, schema) => {
    const shape = shapes.find((known) => known.table === table);
    return shape ? columnsThen(shape, schema) : [];
  });
}
