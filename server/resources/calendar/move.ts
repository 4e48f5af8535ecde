import type { Moved } from '@sabor/contract/calendar';
import { movingOf } from '@sabor/core/calendar/calendar';
import { daysBetween, plusDays } from '@sabor/core/time/dates';
import { localDate } from '@sabor/core/time/zones';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { readHairFile, saveHairEvent } from '../hair-files/store.ts';

/** How far ahead something may be moved, days. */
const FARTHEST = 366;

function mustBeAhead(on: string, today: string): void {
  if (on < today) throw atField('on', 'That day has passed. Choose today or a later one.');
  if (on > plusDays(today, FARTHEST))
    throw atField('on', 'That is more than a year ahead. Choose an earlier day.');
}

async function moveWash(client: Client, trialId: string, on: string | null, now: Date): Promise<Moved> {
  const { rows } = await client.query<{
    timeZone: string;
    ended: boolean;
    cadence: number | null;
    was: string | null;
    last: string | null;
  }>(
    `select w.time_zone as "timeZone", t.ended_at is not null or t.archived_at is not null as ended,
       t.cadence_days as cadence, (select n.on_date from next_wash n where n.trial_id = t.id) as was,
       (select max(d.started_at) from wash_day d where d.trial_id = t.id and d.abandoned_at is null) as last
     from trial t join wearer w on w.id = t.wearer_id where t.id = $1 and not t.logged for update of t`,
    [trialId],
  );
  const [trial] = rows;
  if (!trial) throw notFound('trial');
  if (trial.ended) throw new Refusal(409, 'This trial is over; it has no wash day to move.');
  const lastOn = trial.last === null ? null : localDate(trial.last, trial.timeZone);
  const today = localDate(now.toISOString(), trial.timeZone);
  if (on === null) await client.query('delete from next_wash where trial_id = $1', [trialId]);
  else {
    mustBeAhead(on, today);
    if (lastOn !== null && on <= lastOn)
      throw atField('on', 'The last wash day was on that day. The next one comes after it.');
    await client.query(
      `insert into next_wash (trial_id, on_date) values ($1, $2)
       on conflict (trial_id) do update set on_date = excluded.on_date`,
      [trialId, on],
    );
  }
  const apart = on === null || lastOn === null ? null : daysBetween(lastOn, on);
  return {
    // A day that went by says nothing any more, and cannot be gone back to.
    was: trial.was !== null && trial.was >= today ? trial.was : null,
    apart:
      apart === null || trial.cadence === null || apart === trial.cadence
        ? null
        : { days: apart, planned: trial.cadence },
  };
}

async function moveAppointment(db: Db, eventId: string, on: string | null, now: Date): Promise<Moved> {
  const { rows } = await db.query<{ wearerId: string; on: string; timeZone: string }>(
    `select e.wearer_id as "wearerId", e.happened_on as on, w.time_zone as "timeZone"
     from hair_event e join wearer w on w.id = e.wearer_id where e.id = $1`,
    [eventId],
  );
  const [known] = rows;
  if (!known) throw notFound('appointment');
  const today = localDate(now.toISOString(), known.timeZone);
  if (known.on < today) throw new Refusal(409, 'That is over. Correct its date in the history.');
  if (on === null) throw atField('on', 'Choose the day.');
  mustBeAhead(on, today);
  const event = (await readHairFile(db, known.wearerId)).events.find(({ id }) => id === eventId)!;
  await saveHairEvent(db, { ...event, on });
  return { was: known.on, apart: null };
}

/**
 * Moves an entry of the calendar to another day: a trial's next wash day (those after it follow; null for no day said),
 * or an appointment that is ahead. Refuses what does not move, and a day that has passed.
 */
export function moveEntry(db: Db, entryId: string, on: string | null, now: Date): Promise<Moved> {
  const moving = movingOf(entryId);
  if (!moving)
    throw new Refusal(409, 'This does not move: it stands where it fell, or follows from something else.');
  return moving.kind === 'wash-day'
    ? transaction(db, (client) => moveWash(client, moving.trialId, on, now))
    : moveAppointment(db, moving.eventId, on, now);
}
