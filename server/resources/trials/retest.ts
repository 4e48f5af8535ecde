import type { RetestInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type * as v from 'valibot';
import { type Db, transaction } from '../../db/pool.ts';
import { Refusal } from '../../http/problems.ts';
import { readTrial } from './read.ts';

/** Puts a trial that is over among those to be run again from a day on; null takes it out. */
export async function askForRetest(
  db: Db,
  trialId: string,
  asked: v.InferOutput<typeof RetestInput> | null,
): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const { endedAt } = await readTrial(client, trialId);
    if (asked !== null && endedAt === null)
      throw new Refusal(409, 'This trial is not over. It can be run again once it is.');
    await client.query('delete from retest where trial_id = $1', [trialId]);
    await client.query("delete from put_aside where kind = 'retest' and ref = $1", [trialId]);
    if (asked !== null)
      await client.query('insert into retest (trial_id, from_date, why) values ($1, $2, $3)', [
        trialId,
        asked.from,
        asked.why,
      ]);
    return readTrial(client, trialId);
  });
}
