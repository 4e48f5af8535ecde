import type { CalendarEntry } from '@sabor/contract/calendar';
import {
  type DayFacts,
  entriesAhead,
  entriesOfCare,
  entriesOfDay,
  type TrialFacts,
} from '@sabor/core/calendar/calendar';
import { careStatus } from '@sabor/core/hair/care';
import { wearDate } from '@sabor/core/outcomes/day-of-wear';
import { goodUntil } from '@sabor/core/shelf/period-after-opening';
import { localToday } from '@sabor/core/time/today';
import { localDate } from '@sabor/core/time/zones';
import type { Client } from '../../db/pool.ts';
import { readCareOfAll } from '../hair-files/care.ts';
import { readOpenPatches } from '../patch-tests/store.ts';
import { readOpenBottles } from '../shelf/store.ts';

async function readDays(db: Client, from: string, to: string): Promise<(DayFacts & { timeZone: string })[]> {
  const { rows } = await db.query<
    Omit<DayFacts, 'on' | 'revealOn' | 'endedOn'> & {
      timeZone: string;
      startedAt: string;
      revealAt: string | null;
      endedAt: string | null;
    }
  >(
    `select d.id, w.name as "wearerName", t.question as name, w.time_zone as "timeZone", d.started_at as "startedAt",
       d.reveal_at as "revealAt", d.wear_ended_at as "endedAt", t.wear_days as "wearDays",
       case when d.abandoned_at is not null then 'abandoned' when d.wear_ended_at is not null then 'finished'
         when d.routine_done_at is not null then 'worn' else 'under way' end as status,
       (select coalesce(json_agg(distinct c.day), '[]') from check_in c
          where c.wash_day_id = d.id and c.stage = 'wear' and c.day is not null) as seen
     from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
     where t.archived_at is null and d.started_at between $1::date - interval '60 days' and $2::date + interval '2 days'`,
    [from, to],
  );
  return rows.map(({ startedAt, revealAt, endedAt, ...day }) => {
    const on = (at: string | null) => (at === null ? null : localDate(at, day.timeZone));
    const revealOn = revealAt === null ? null : wearDate(revealAt, day.timeZone);
    return { ...day, on: on(startedAt)!, revealOn, endedOn: on(endedAt) };
  });
}

/** Everything of these days (yyyy-mm-dd, both included), in their order: wash days, check-ins, care, appointments, bottles. */
export async function readCalendar(
  db: Client,
  { from, to }: { from: string; to: string },
  now: Date,
): Promise<CalendarEntry[]> {
  const zones = new Map(
    (await db.query<{ id: string; zone: string }>('select id, time_zone as zone from wearer')).rows.map(
      ({ id, zone }) => [id, zone],
    ),
  );
  const todayOf = (wearerId: string) => localDate(now.toISOString(), zones.get(wearerId) ?? 'UTC');
  const found: CalendarEntry[] = [];
  for (const day of await readDays(db, from, to))
    found.push(...entriesOfDay(day, wearDate(now.toISOString(), day.timeZone)));
  const trials = await db.query<TrialFacts & { wearerId: string; last: string | null }>(
    `select t.id, t.wearer_id as "wearerId", w.name as "wearerName", t.question, t.wash_days as "washDays",
       coalesce(t.cadence_days, t.wear_days) as every, n.on_date as "nextOn",
       (select count(*)::int from wash_day d where d.trial_id = t.id and d.abandoned_at is null) as "washDaysDone",
       (select max(d.started_at) from wash_day d where d.trial_id = t.id and d.abandoned_at is null) as last
     from trial t join wearer w on w.id = t.wearer_id left join next_wash n on n.trial_id = t.id
     where t.ended_at is null and t.archived_at is null and not t.logged`,
  );
  for (const { last, wearerId, ...trial } of trials.rows) {
    const lastOn = last === null ? null : localDate(last, zones.get(wearerId) ?? 'UTC');
    found.push(...entriesAhead({ ...trial, lastOn }, todayOf(wearerId)));
  }
  for (const { wearerId, name, events, cadence, alternate } of await readCareOfAll(db)) {
    const today = todayOf(wearerId);
    found.push(
      ...entriesOfCare({ id: wearerId, name }, careStatus(events, [], cadence, today, alternate), today),
    );
  }
  const dated = await db.query<Omit<CalendarEntry, 'state' | 'n' | 'moves'> & { wearerId: string }>(
    `select 'appointment-' || e.id as id, e.happened_on as "on", 'appointment' as kind, w.name as of, e.kind as what,
       '/heads/' || w.id || '?part=history' as path, w.id as "wearerId"
     from hair_event e join wearer w on w.id = e.wearer_id where e.happened_on between $1 and $2
     union all select 'announced-' || e.id, e.happened_on, 'announced', w.name, e.kind,
       '/wash-days/' || d.id || '?on=' || e.happened_on || '#events', w.id
     from event e join wash_day d on d.id = e.wash_day_id join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
     where e.announced and e.came is null and e.happened_on between $1 and $2
     union all select 'retest-' || t.id, r.from_date, 'retest', w.name, t.question, '/trials/' || t.id, w.id
     from retest r join trial t on t.id = r.trial_id join wearer w on w.id = t.wearer_id where r.from_date between $1 and $2
       and not exists (select from put_aside a where a.kind = 'retest' and a.ref = t.id)`,
    [from, to],
  );
  for (const { wearerId, ...entry } of dated.rows) {
    const today = todayOf(wearerId);
    // An appointment was kept; what an announced test came to, or a retest, still waits.
    const past = entry.kind === 'appointment' ? 'done' : 'missed';
    const state = entry.on > today ? 'ahead' : entry.on === today ? 'due' : past;
    found.push({ ...entry, n: null, state, moves: entry.kind === 'appointment' && entry.on >= today });
  }
  for (const { id, wearerId, wearerName, productName, until, over } of await readOpenPatches(db, now)) {
    const on = localDate(until, zones.get(wearerId) ?? 'UTC');
    found.push({
      id: `patch-test-${id}`,
      on,
      kind: 'patch-test',
      state: !over ? (on > todayOf(wearerId) ? 'ahead' : 'due') : on < todayOf(wearerId) ? 'missed' : 'due',
      of: wearerName,
      what: productName,
      n: null,
      path: `/heads/${wearerId}?part=care#patch-tests`,
      moves: false,
    });
  }
  const here = localToday(now);
  for (const { id, name, openedOn, monthsAfterOpening } of await readOpenBottles(db)) {
    const last = goodUntil(openedOn, monthsAfterOpening);
    if (last !== null)
      found.push({
        id: `bottle-${id}`,
        on: last,
        kind: 'bottle',
        state: last < here ? 'done' : last === here ? 'due' : 'ahead',
        of: 'Shelf',
        what: name,
        n: null,
        path: `/shelf/${id}`,
        moves: false,
      });
  }
  return found
    .filter(({ on }) => on >= from && on <= to)
    .sort((a, b) => a.on.localeCompare(b.on) || a.id.localeCompare(b.id));
}
