import type { Client } from '../../db/pool.ts';

/** Closes a trial whose every planned wash day has been run and finished. */
export async function finishIfComplete(client: Client, trialId: string): Promise<void> {
  await client.query(
    `update trial t set status = 'finished', ended_at = now()
     where t.id = $1 and t.ended_at is null and t.wash_days =
       (select count(*) from wash_day d where d.trial_id = t.id and d.abandoned_at is null and d.wear_ended_at is not null)`,
    [trialId],
  );
}
