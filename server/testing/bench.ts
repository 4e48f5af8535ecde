import type { RequestListener } from 'node:http';
import { inject } from 'vitest';
import { TRIALS } from '../../demo/trials.ts';
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

/** So many of the demo's trials, its photographs among them, are enough where what counts is a table and a line of it. */
export const LIGHT = 3;
/** The demo's databases in a cluster, to be copied from, and what is in them. */
const TEMPLATES = {
  demo_template: TRIALS,
  light_template: TRIALS.slice(0, LIGHT),
};
type Template = keyof typeof TEMPLATES;

async function fillTemplate(admin: Db, name: Template): Promise<void> {
  const db = await freshDatabase(inject('databaseUrl'), inject('template'));
  await loadBackup(db, demoSource(new Date(), TEMPLATES[name]));
  // Under this name it is whole: whoever is stopped half-way leaves none.
  await admin.query(`alter database ${await leave(db)} rename to ${name}`);
}

/** Loaded once in a run, by whoever comes first, and copied by one after the other. */
async function openCopyOf(name: Template): Promise<TestBench> {
  const admin = openPool(inject('databaseUrl'));
  const client = await admin.connect();
  try {
    await client.query("select pg_advisory_lock(hashtext('demo template'))");
    const { rowCount } = await client.query('select from pg_database where datname = $1', [name]);
    if (rowCount === 0) await fillTemplate(admin, name);
    return await openBenchOn(inject('databaseUrl'), null, name);
  } finally {
    // The lock goes with its connection.
    client.release(true);
    await admin.end();
  }
}

/** A Sabor of its own with the demo in it. */
export const openDemoBench = (): Promise<TestBench> => openCopyOf('demo_template');

/** A Sabor of its own with {@link LIGHT} trials of the demo in it. */
export const openLightBench = (): Promise<TestBench> => openCopyOf('light_template');
