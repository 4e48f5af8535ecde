import type { WashDay, WearEndInput } from '@sabor/contract/wash-day';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, Refusal } from '../../http/problems.ts';
import { finishIfComplete } from './finish-trial.ts';
import { readWashDay } from './read.ts';
import { holdWashDay, openWashDay } from './standing.ts';

/** A waiting step that nobody reached, among `wash_step`: `isForLater` as the database asks it. */
export const NOT_FOR_LATER = `status = 'waiting' and slot <> 'refresh' and coalesce((extra->>'wearDay')::numeric, 1) <= 1`;

/**
 * Ends the routine at the moment it was said; what was never reached counts as skipped, but for what waits for a
 * later day. The wash time falls back to the first cleanse or rinse.
 */
export async function finishInto(client: Client, id: string, at: string): Promise<void> {
  await client.query(`update wash_step set status = 'skipped' where wash_day_id = $1 and ${NOT_FOR_LATER}`, [
    id,
  ]);
  await client.query(
    `update wash_day set routine_done_at = coalesce(routine_done_at, $2),
         washed_at = coalesce(washed_at, (select min(done_at) from wash_step
           where wash_day_id = $1 and slot in ('cleanse', 'rinse') and status = 'done'
             and done_at >= wash_day.started_at), started_at)
       where id = $1`,
    [id, at],
  );
}

/** Gives up a wash day, whose place then comes up again; never once its hair was finished, when its readings count. */
export async function abandonWashDay(db: Db, id: string, reason: string): Promise<WashDay> {
  return transaction(db, async (client) => {
    const day = await openWashDay(client, id);
    if (day.status === 'finished')
      throw new Refusal(409, 'This wash day was finished and cannot be abandoned.');
    const worn = await client.query(`select 1 from check_in where wash_day_id = $1 and stage = 'wear'`, [id]);
    if (day.revealAt !== null || worn.rowCount)
      throw new Refusal(
        409,
        'The hair is finished, so this wash day counts. Say how it ended: washed or restyled. A day is not run again once its result was seen.',
      );
    await client.query('update wash_day set abandoned_at = now(), abandon_reason = $2 where id = $1', [
      id,
      reason,
    ]);
    return readWashDay(client, id);
  });
}

export const endWear = (db: Db, id: string, end: v.InferOutput<typeof WearEndInput>): Promise<WashDay> =>
  transaction(db, async (client) => {
    await endWearInto(client, id, end);
    return readWashDay(client, id);
  });

/** {@link endWear} within a transaction under way. */
export async function endWearInto(
  client: Client,
  id: string,
  end: v.InferOutput<typeof WearEndInput>,
): Promise<void> {
  const day = await openWashDay(client, id);
  if (day.revealAt === null)
    throw new Refusal(
      409,
      'This hair was never finished. Record when it was, or abandon the wash day with its reason.',
    );
  if (Date.parse(end.at) < Date.parse(day.revealAt))
    throw atField('at', 'It cannot have ended before the hair was finished. Check the time.');
  await client.query(
    `update wash_step set status = 'skipped' where wash_day_id = $1 and status = 'waiting'`,
    [id],
  );
  await client.query('update wash_day set wear_end_kind = $2, wear_ended_at = $3 where id = $1', [
    id,
    end.kind,
    end.at,
  ]);
  await finishIfComplete(client, day.trialId);
}

/** Takes back an ending entered by mistake: before the next wash day, and soon where it closed the trial. */
export async function reopenWear(db: Db, id: string): Promise<WashDay> {
  return transaction(db, async (client) => {
    const day = await holdWashDay(client, id);
    const later = await client.query('select 1 from wash_day where trial_id = $1 and started_at > $2', [
      day.trialId,
      day.startedAt,
    ]);
    if (later.rowCount) throw new Refusal(409, 'The next wash day has begun; this wear stays ended.');
    await client.query('update wash_day set wear_end_kind = null, wear_ended_at = null where id = $1', [id]);
    const closed = await client.query<{ late: boolean; logged: boolean }>(
      `select ended_at < now() - interval '10 minutes' as late, logged from trial where id = $1 and ended_at is not null`,
      [day.trialId],
    );
    if (closed.rows[0]?.late && !closed.rows[0].logged)
      throw new Refusal(409, 'This trial is over; its wash days are closed.');
    await client.query(
      `update trial set status = 'running', ended_at = null where id = $1 and status = 'finished'`,
      [day.trialId],
    );
    return readWashDay(client, id);
  });
}
