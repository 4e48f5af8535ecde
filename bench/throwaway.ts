import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensurePostgres } from '../scripts/postgres/binaries.ts';
import { startCluster } from '../scripts/postgres/cluster.ts';
import { migrate } from '../server/db/migrate.ts';
import { type Db, openPool } from '../server/db/pool.ts';

/** Works on a database of its own, empty and up to date, which is gone afterwards. */
export async function onThrowaway(work: (db: Db) => Promise<void>): Promise<void> {
  ensurePostgres();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-bench-'));
  const cluster = await startCluster(folder, true);
  const db = openPool(cluster.url);
  try {
    await migrate(db);
    await work(db);
  } finally {
    await db.end();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
