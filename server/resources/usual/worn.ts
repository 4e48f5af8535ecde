import type { WornDay } from '@sabor/contract/worn';
import { wornDays } from '@sabor/reading/worn-days';
import type { Db } from '../../db/pool.ts';
import { readShelf } from '../shelf/store.ts';
import { readWholeTrials } from '../trials/read.ts';
import { readWearer } from '../wearers/store.ts';

/** Every worn day of a head whose outcomes may be seen, of its trials and by themselves, with how it was done. */
export async function readWorn(db: Db, wearerId: string): Promise<WornDay[]> {
  const wearer = await readWearer(db, wearerId);
  const { products } = await readShelf(db);
  const { rows } = await db.query<{ id: string }>(
    `select id from trial where wearer_id = $1 and (logged or outcomes_shown_at is not null) order by started_at, id`,
    [wearerId],
  );
  const trials = await readWholeTrials(
    db,
    rows.map(({ id }) => id),
  );
  return trials.flatMap((trial) => wornDays(trial, products, wearer));
}
