import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensurePostgres } from '../scripts/postgres/binaries.ts';
import { startCluster } from '../scripts/postgres/cluster.ts';
import { migrate } from '../server/db/migrate.ts';
import { openPool } from '../server/db/pool.ts';
import { readBoard } from '../server/resources/board/store.ts';
import { readTrial } from '../server/resources/trials/read.ts';
import { liveTenYears } from './ten-years.ts';

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};

/** The server's answer for a head of forty finished trials of sixteen wash days. */
export async function benchServedBoard(): Promise<void> {
  ensurePostgres();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-bench-'));
  const cluster = await startCluster(folder, true);
  const db = openPool(cluster.url);
  try {
    await migrate(db);
    const { wearerId } = await liveTenYears(db, { wearers: 1, trialsEach: 41, washDaysEach: 16, zones: 8 });
    const { rows } = await db.query<{ id: string }>('select id from trial where ended_at is not null');
    const write = () => db.query(`update trial set question = question || '.' where ended_at is null`);
    await readBoard(db, wearerId);
    const known = await timed(() => readBoard(db, wearerId));
    await write();
    const other = await timed(() => readBoard(db, wearerId));
    await db.query('update product set price = price + 1');
    const anew = await timed(() => readBoard(db, wearerId));
    const whole = await timed(async () => {
      for (const { id } of rows) await readTrial(db, id);
    });
    const told = (what: string, ms: number) =>
      console.log(
        `${what.padEnd(54)} ${`${ms.toFixed(0)} ms`.padStart(10)}   ${(whole / ms).toFixed(2).padStart(7)} × its ${rows.length} trials read whole`,
      );
    told('a board of 40 trials, nothing written since', known);
    told('the same after a write elsewhere', other);
    told('the same after the shelf was changed', anew);
  } finally {
    await db.end();
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

if (process.argv[1]?.endsWith('served-board.ts')) await benchServedBoard();
