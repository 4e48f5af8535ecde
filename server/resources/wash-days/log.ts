import type { ListedDay, LogWashDay } from '@sabor/contract/logged-day';
import type { WashDay } from '@sabor/contract/wash-day';
import { localDate } from '@sabor/core/time/zones';
import { v7 } from 'uuid';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, Refusal } from '../../http/problems.ts';
import { replaceSteps } from '../routines/store.ts';
import { mustBeApart } from './apart.ts';
import { ENTERED_LATER, readWashDay } from './read.ts';
import { startInto } from './start.ts';

/** Days a wash day by itself asks how the hair is; how it ended can be said any day. */
const WEAR_DAYS = 7;

/** What a wash day by itself is as a trial, and promises of it: none counts. */
export const LOGGED_TRIAL = {
  columns: 'design, primary_outcome, line_value, matters, wash_days, wear_days, seed, logged',
  values: `'repeat-same', 'definition', 6, 1, 1, ${WEAR_DAYS}, 0, true`,
} as const;

/** Where it is looked at as a rule: the places that show, else the whole head. `days`: rows of trial_id and wearer_id. */
export const zonesOfLogged = (days: string) =>
  `insert into trial_zone (trial_id, zone_id, weight)
   select d.trial_id, z.id, 1 from ${days} d join zone z on z.wearer_id = d.wearer_id
   where z.place in ('hairline', 'crown', 'side', 'back') or not exists (select from zone s where s.wearer_id = d.wearer_id
     and s.place in ('hairline', 'crown', 'side', 'back'))`;

/** A wash of its own washes out what a trial still wears: how that ended is said first. */
async function mustNotWashOut(client: Client, wearerId: string, startedAt: string): Promise<void> {
  const { rows } = await client.query<{ position: number; question: string }>(
    `select d.position, t.question from wash_day d join trial t on t.id = d.trial_id
     where t.wearer_id = $1 and not t.logged and d.abandoned_at is null and d.wear_ended_at is null
       and d.started_at < $2 limit 1`,
    [wearerId, startedAt],
  );
  if (rows[0])
    throw new Refusal(
      409,
      `Wash day ${rows[0].position + 1} of “${rows[0].question}” is still open on this head. Say first how it ended: washed or restyled.`,
    );
}

/** Begins a wash day that belongs to no trial, now or earlier. Sent twice with one id it does nothing more. */
export async function logWashDay(db: Db, log: v.InferOutput<typeof LogWashDay>): Promise<WashDay> {
  return transaction(db, async (client) => {
    const wearer = await client.query('select from wearer where id = $1 for update', [log.wearerId]);
    if (wearer.rowCount === 0) throw atField('wearerId', 'Sabor has no such wearer. Choose another.');
    const twice = await client.query('select from wash_day where id = $1', [log.id]);
    if (twice.rowCount) return readWashDay(client, log.id);
    await mustBeApart(client, log.wearerId, log.startedAt, log.id);
    await mustNotWashOut(client, log.wearerId, log.startedAt);
    const [trialId, planId, armId] = [v7(), v7(), v7()];
    await client.query('insert into routine (id, wearer_id, name, is_plan) values ($1, $2, $3, true)', [
      planId,
      log.wearerId,
      log.name,
    ]);
    // The steps are this day's own: the routine they were taken from keeps its.
    await replaceSteps(
      client,
      planId,
      log.steps.map((step) => ({ ...step, id: v7() })),
    );
    await client.query(
      `insert into trial (id, wearer_id, plan_id, question, ${LOGGED_TRIAL.columns}) values ($1, $2, $3, $4, ${LOGGED_TRIAL.values})`,
      [trialId, log.wearerId, planId, log.name],
    );
    await client.query('insert into arm (id, trial_id, position, name) values ($1, $2, 0, $3)', [
      armId,
      trialId,
      log.name,
    ]);
    await client.query('insert into allocation (trial_id, position, arm_id) values ($1, 0, $2)', [
      trialId,
      armId,
    ]);
    await client.query(zonesOfLogged('(select $1::uuid as trial_id, $2::uuid as wearer_id)'), [
      trialId,
      log.wearerId,
    ]);
    return startInto(client, { id: log.id, trialId, startedAt: log.startedAt });
  });
}

/** Every wash day, of trials and by itself, newest first. */
export async function listWashDays(db: Client): Promise<ListedDay[]> {
  const { rows } = await db.query<Omit<ListedDay, 'localDate'> & { timeZone: string }>(
    `select d.id, d.trial_id as "trialId", t.wearer_id as "wearerId", w.name as "wearerName", t.question as name, t.logged,
       d.position + 1 as number, d.started_at as "startedAt", w.time_zone as "timeZone", ${ENTERED_LATER} as "enteredLater",
       case when d.abandoned_at is not null then 'abandoned' when d.wear_ended_at is not null then 'finished'
         when d.routine_done_at is not null then 'worn' else 'under way' end as status
     from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
     where t.archived_at is null order by d.started_at desc, d.id`,
  );
  return rows.map(({ timeZone, ...day }) => ({ ...day, localDate: localDate(day.startedAt, timeZone) }));
}
