import type { Client } from '../../db/pool.ts';

/** The wears of this head's wash days by themselves end where the next wash begins. */
export async function endLoggedWears(client: Client, wearerId: string, startedAt: string): Promise<void> {
  await client.query(
    `with ended as (
       update wash_day d set wear_end_kind = 'washed-schedule', wear_ended_at = greatest($2::timestamptz, d.reveal_at),
         routine_done_at = coalesce(d.routine_done_at, $2), reveal_at = coalesce(d.reveal_at, d.dry_at, d.routine_done_at, $2)
       from trial t
       where t.id = d.trial_id and t.logged and t.wearer_id = $1 and d.abandoned_at is null
         and d.wear_ended_at is null and d.started_at < $2
       returning d.trial_id)
     update trial t set status = 'finished', ended_at = $2 from ended e where t.id = e.trial_id`,
    [wearerId, startedAt],
  );
}
