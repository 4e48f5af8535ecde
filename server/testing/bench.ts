import type { RequestListener } from 'node:http';
import { inject } from 'vitest';
import { demoSource } from '../../scripts/start/demo.ts';
import { type Db, openPool } from '../db/pool.ts';
import type { Door } from '../network/door.ts';
import { loadBackup } from '../resources/backup/load.ts';
import { freshDatabase, leave, openBenchOn, type TestBench } from './open-bench.ts';

export type { Answer, TestBench } from './open-bench.ts';

/** A Sabor of its own: a fresh database behind the real application on a free port, and a door where one is made for it. */
export const openBench = (
  webRoot: string | null = null,
  doorFor?: (answer: RequestListener) => Door,
): Promise<TestBench> => openBenchOn(inject('databaseUrl'), webRoot, inject('template'), doorFor);

/** The demo's database in a cluster, to be copied from. */
const DEMO = 'demo_template';

async function makeDemo(admin: Db): Promise<void> {
  const db = await freshDatabase(inject('databaseUrl'), inject('template'));
  await loadBackup(db, demoSource(new Date()));
  // Under this name it is whole: whoever is stopped half-way leaves none.
  await admin.query(`alter database ${await leave(db)} rename to ${DEMO}`);
}

/** A Sabor of its own with the demo in it: loaded once in a run, by whoever comes first, and copied by one after the other. */
export async function openDemoBench(): Promise<TestBench> {
  const admin = openPool(inject('databaseUrl'));
  const client = await admin.connect();
  try {
    await client.query("select pg_advisory_lock(hashtext('demo template'))");
    const { rowCount } = await client.query('select from pg_database where datname = $1', [DEMO]);
    if (rowCount === 0) await makeDemo(admin);
    return await openBenchOn(inject('databaseUrl'), null, DEMO);
  } finally {
    // The lock goes with its connection.
    client.release(true);
    await admin.end();
  }
}
