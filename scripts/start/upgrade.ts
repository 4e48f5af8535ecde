import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { migrate, SchemaError } from '../../server/db/migrate.ts';
import { type Db, openPool } from '../../server/db/pool.ts';
import { readBackup, writeBackup } from '../../server/resources/backup/file.ts';
import { postgresVersions } from '../install.mjs';
import { clusterPaths, olderPostgres, startCluster } from '../postgres/cluster.ts';
import { Stop } from '../stages.mjs';
import { stamp } from './demo.ts';

/** Writes what is there before it is changed; gives the file. */
async function keep(db: Db, folder: string, why: string): Promise<string> {
  const kept = path.join(folder, `before-${why}`);
  mkdirSync(kept, { recursive: true, mode: 0o700 });
  const file = path.join(kept, `sabor backup ${stamp(new Date())}.zip`);
  await writeBackup(db, file);
  return file;
}

/** Brings the schema up to date, a backup written first; says what it did. Throws a Stop where it cannot. */
export async function upgradeSchema(db: Db, folder: string): Promise<string> {
  try {
    const { from, to, kept } = await migrate(db, () => keep(db, folder, 'upgrade'));
    if (kept) return `from version ${from} to ${to}; what was there is kept in ${kept}`;
    return `at version ${to}`;
  } catch (error) {
    if (error instanceof SchemaError) throw new Stop(error.message, 'Nothing was changed.');
    const { code, message } = error as NodeJS.ErrnoException;
    if (code === 'ENOSPC')
      throw new Stop(
        'There is no room for the backup that is written before an upgrade.',
        'Make room on the disk, then start again. Nothing was changed.',
      );
    if (code && !/^\d/.test(code))
      throw new Stop(
        `The database does not answer: ${message || code}`,
        'Check DATABASE_URL, or leave it out to use Sabor’s own.',
      );
    throw error;
  }
}

/**
 * Moves the data to the newest PostgreSQL that is installed, by way of a backup; the old cluster stays beside. Says
 * what it did; null where there is nothing to move. Throws a Stop where the old version's programs are gone.
 * `move` names the versions, for tests on a machine that has one alone.
 */
export async function upgradePostgres(folder: string, move = olderPostgres(folder)): Promise<string | null> {
  const { data } = clusterPaths(folder);
  const moving = clusterPaths(folder, 'moving').data;
  // A kill between the two renames below: the new data are whole, and only not in place yet.
  if (!existsSync(data) && existsSync(moving)) {
    renameSync(moving, data);
    return 'the move to another PostgreSQL was finished';
  }
  if (!move) return null;
  const { from, to } = move;
  if (!postgresVersions().includes(from))
    throw new Stop(
      `The data in ${folder} were written by PostgreSQL ${from}; this machine has ${postgresVersions().join(', ')}.`,
      `Install the old one beside it, and Sabor moves the data by itself:  sudo apt-get install -y postgresql-${from}`,
    );
  const old = await startCluster(folder, false, { version: from });
  const oldDb = openPool(old.url);
  let file: string;
  try {
    file = await keep(oldDb, folder, 'postgresql');
  } finally {
    await oldDb.end();
    await old.stop();
  }
  rmSync(moving, { recursive: true, force: true });
  const fresh = await startCluster(folder, false, { name: 'moving', version: to });
  const db = openPool(fresh.url);
  try {
    await migrate(db);
    await readBackup(db, file);
  } finally {
    await db.end();
    await fresh.stop();
  }
  renameSync(data, `${data}-of-${from}`);
  renameSync(moving, data);
  return `moved from PostgreSQL ${from} to ${to}; the old data stay in ${data}-of-${from}, and in ${file}`;
}
