import { readBoard } from '../server/resources/board/store.ts';
import { readTrial } from '../server/resources/trials/read.ts';
import { liveTenYears } from './ten-years.ts';
import { onThrowaway } from './throwaway.ts';

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};

/** The server's answer for a head of forty finished trials of sixteen wash days. */
export const benchServedBoard = (): Promise<void> =>
  onThrowaway(async (db) => {
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
  });

if (process.argv[1]?.endsWith('served-board.ts')) await benchServedBoard();
