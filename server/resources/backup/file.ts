import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { migrate } from '../../db/migrate.ts';
import { type Db, openPool } from '../../db/pool.ts';
import { loadBackup } from './load.ts';
import { openBackup } from './open-backup.ts';
import { readShapes } from './shapes.ts';
import { writePackage } from './write-package.ts';

/** Writes a backup to `file`, which appears when it is whole and on the disk. */
export async function writeBackup(db: Db, file: string): Promise<void> {
  const part = path.join(path.dirname(file), `.${path.basename(file)}.${randomUUID()}.part`);
  try {
    await writePackage(db, createWriteStream(part, { mode: 0o600 }));
    const handle = await open(part);
    await handle.sync().finally(() => handle.close());
    await rename(part, file);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

export async function sha256(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Reads a backup's file into an empty database. Throws a Refusal with what is wrong. */
export async function readBackup(db: Db, file: string): Promise<void> {
  const source = await openBackup(file, await readShapes(db));
  try {
    await loadBackup(db, source);
  } finally {
    source.close();
  }
}

/**
 * Reads a backup into a database of its own beside this one, writes it out again and holds the two files against each
 * other. True when they are the same to the byte. The database is dropped afterwards, whatever comes of it.
 */
export async function restores(db: Db, file: string): Promise<boolean> {
  const name = `restore_test_${randomUUID().replaceAll('-', '')}`;
  const again = `${file}.again`;
  await db.query(`create database ${name}`);
  const url = new URL(db.options.connectionString!);
  url.pathname = `/${name}`;
  const beside = openPool(url.href);
  try {
    await migrate(beside);
    await readBackup(beside, file);
    await writeBackup(beside, again);
    return (await sha256(again)) === (await sha256(file));
  } finally {
    await rm(again, { force: true });
    await beside.end();
    await db.query(`drop database ${name} with (force)`);
  }
}
