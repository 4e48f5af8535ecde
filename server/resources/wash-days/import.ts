import type { DayImport, DaysInput, DaysStored, TakenBack } from '@sabor/contract/day-import';
import { stepsOfDay } from '@sabor/core/step/steps-of-day';
import { v7 } from 'uuid';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { notFound, Refusal } from '../../http/problems.ts';
import { mustKnowMixes } from '../routines/mixes.ts';
import { insertSteps } from '../routines/store.ts';
import { APART_MINUTES } from './apart.ts';
import { LOGGED_TRIAL, zonesOfLogged } from './log.ts';
import { insertWashSteps } from './start.ts';

type Day = v.InferOutput<typeof DaysInput>['days'][number];
type Refused = DaysStored['refused'][number];

const APART_MS = APART_MINUTES * 60_000;

/** What the heads that days name have been washed, by head: when, in order, and the first trial's day that is still open. */
async function washedBefore(client: Client, wearerIds: readonly string[]) {
  const { rows } = await client.query<{ wearerId: string; at: string; open: string | null }>(
    `select t.wearer_id as "wearerId", d.started_at as at,
       case when not t.logged and d.wear_ended_at is null then t.question end as open
     from wash_day d join trial t on t.id = d.trial_id
     where t.wearer_id = any($1::uuid[]) and d.abandoned_at is null order by d.started_at`,
    [wearerIds],
  );
  const found = new Map<string, { times: number[]; open: { at: number; question: string } | null }>();
  for (const { wearerId, at, open } of rows) {
    const own = found.get(wearerId) ?? { times: [], open: null };
    own.times.push(Date.parse(at));
    if (open !== null) own.open ??= { at: Date.parse(at), question: open };
    found.set(wearerId, own);
  }
  return found;
}

/** Whether one of some moments, in order, lies nearer to `at` than two washes can begin. */
function isNear(times: readonly number[], at: number): boolean {
  let [low, high] = [0, times.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (times[middle]! <= at - APART_MS) low = middle + 1;
    else high = middle;
  }
  return low < times.length && times[low]! < at + APART_MS;
}

/** Those days that can be stored, in order of time; the rest with its reason, or counted as known. */
async function sorted(
  client: Client,
  days: readonly Day[],
): Promise<{ taken: Day[]; known: number; refused: Refused[] }> {
  const there = async (table: 'wearer' | 'product', ids: readonly (string | null)[]) =>
    new Set(
      (
        await client.query<{ id: string }>(`select id from ${table} where id = any($1::uuid[])`, [
          [...new Set(ids)],
        ])
      ).rows.map(({ id }) => id),
    );
  const heads = await there(
    'wearer',
    days.map(({ wearerId }) => wearerId),
  );
  const products = await there(
    'product',
    days.flatMap(({ steps }) => steps.map(({ productId }) => productId)),
  );
  const washed = await washedBefore(client, [...heads]);
  const taken: Day[] = [];
  const refused: Refused[] = [];
  const last = new Map<string, Day>();
  let known = 0;
  for (const day of days.toSorted((a, b) => Date.parse(a.startedAt) - Date.parse(b.startedAt))) {
    const at = Date.parse(day.startedAt);
    const own = washed.get(day.wearerId);
    const before = last.get(day.wearerId);
    const refuse = (reason: string) => refused.push({ line: day.line, reason });
    if (!heads.has(day.wearerId)) refuse('Sabor has no such head any more.');
    else if (day.steps.some(({ productId }) => productId !== null && !products.has(productId)))
      refuse('A product of this day is not on the shelf any more.');
    else if (own && isNear(own.times, at)) known++;
    else if (own?.open && own.open.at < at)
      refuse(
        `A wash day of “${own.open.question}” is still open on this head. Say first how it ended: washed or restyled.`,
      );
    else if (before && at - Date.parse(before.startedAt) < APART_MS)
      refuse(`It begins within an hour of line ${before.line}; the earlier was taken.`);
    else {
      taken.push(day);
      last.set(day.wearerId, day);
    }
  }
  return { taken, known, refused };
}

/**
 * Wears that are still open end where their head's next wash begins, and so do those that run beyond it: of this file, and of
 * days that had ended by themselves at a later wash before one came in between; but never before a look that was taken.
 * `from` is the first wash that came in.
 */
async function endWears(
  client: Client,
  importId: string,
  wearerIds: readonly string[],
  from: string,
): Promise<void> {
  await client.query(
    `with every as (
       select d.id, d.wear_ended_at, d.wear_end_kind, t.logged, t.day_import_id,
         lead(d.started_at) over (partition by t.wearer_id order by d.started_at) as next
       from trial t join wash_day d on d.trial_id = t.id where t.wearer_id = any($2::uuid[]) and d.abandoned_at is null
         and (d.wear_ended_at is null or d.wear_ended_at > $3 or d.started_at >= $3)),
     ended as (
       update wash_day d set wear_end_kind = 'washed-schedule', wear_ended_at = greatest(e.next, d.reveal_at),
         routine_done_at = coalesce(d.routine_done_at, e.next),
         reveal_at = coalesce(d.reveal_at, d.dry_at, d.routine_done_at, e.next)
       from every e where e.id = d.id and e.logged and e.next is not null
         and (e.wear_ended_at is null or e.wear_ended_at > e.next
           and (e.day_import_id = $1 or e.wear_end_kind = 'washed-schedule')
           and not exists (select from check_in c where c.wash_day_id = d.id and c.at > greatest(e.next, d.reveal_at)))
       returning d.trial_id, d.wear_ended_at)
     update trial t set status = 'finished', ended_at = e.wear_ended_at from ended e where t.id = e.trial_id`,
    [importId, wearerIds, from],
  );
}

/** Days with an id for each row that they become. */
const withIds = (days: readonly Day[], importId: string) =>
  days.map((day) => ({
    ...day,
    importId,
    planId: v7(),
    trialId: v7(),
    armId: v7(),
    dayId: v7(),
    checkInId: v7(),
    steps: day.steps.map((step, position) => ({ ...step, id: v7(), position })),
  }));

/** When the wear of a given day ended: never before its hair was finished. */
const ENDED = `case when ended->>'at' is not null then greatest((ended->>'at')::timestamptz, "finishedAt") end`;

async function insertDays(client: Client, days: ReturnType<typeof withIds>): Promise<void> {
  const plain = JSON.stringify(days.map(({ steps, ratings, ...day }) => day));
  const given = `jsonb_to_recordset($1::jsonb) as g("importId" uuid, "planId" uuid, "trialId" uuid, "armId" uuid, "dayId" uuid,
    "checkInId" uuid, "wearerId" uuid, name text, "startedAt" timestamptz, "finishedAt" timestamptz, "temperatureC" numeric,
    humidity numeric, "shedHairs" int, note text, ended jsonb)`;
  await client.query(
    `insert into routine (id, wearer_id, name, is_plan) select "planId", "wearerId", name, true from ${given}`,
    [plain],
  );
  await insertSteps(
    client,
    days.flatMap(({ planId, steps }) => steps.map((step) => ({ ...step, routineId: planId }))),
  );
  await client.query(
    `insert into trial (id, wearer_id, plan_id, question, ${LOGGED_TRIAL.columns}, status, started_at, ended_at, day_import_id)
     select "trialId", "wearerId", "planId", name, ${LOGGED_TRIAL.values},
       case when ended->>'at' is null then 'running' else 'finished' end, "startedAt",
       ${ENDED}, "importId" from ${given}`,
    [plain],
  );
  await client.query(
    `insert into arm (id, trial_id, position, name) select "armId", "trialId", 0, name from ${given}`,
    [plain],
  );
  await client.query(
    `insert into allocation (trial_id, position, arm_id) select "trialId", 0, "armId" from ${given}`,
    [plain],
  );
  await client.query(zonesOfLogged(`(select "trialId" as trial_id, "wearerId" as wearer_id from ${given})`), [
    plain,
  ]);
  await client.query(
    `insert into wash_day (id, trial_id, position, arm_id, started_at, washed_at, reveal_at, routine_done_at, temperature_c,
       humidity, shed_hairs, note, wear_end_kind, wear_ended_at)
     select "dayId", "trialId", 0, "armId", "startedAt", "startedAt", "finishedAt", "finishedAt", "temperatureC", humidity,
       "shedHairs", note, (case when (ended->>'looked')::boolean then 'washed-looks' when ended->>'at' is not null then 'washed-other' end)::wear_end_key,
       ${ENDED} from ${given}`,
    [plain],
  );
  const plan = { part: 'held', optional: false, tolerance: 0 } as const;
  await insertWashSteps(
    client,
    days.flatMap(({ dayId, steps }) =>
      stepsOfDay(
        steps.map((step) => ({ ...step, ...plan })),
        { left: [], right: null },
        false,
        v7,
      ).map((step) => ({ ...step, status: 'done' as const, washDayId: dayId })),
    ),
  );
  const rated = days.filter(({ ratings }) => ratings.length > 0);
  await client.query(
    `insert into check_in (id, wash_day_id, stage, day, at, part)
     select "checkInId", "dayId", 'wear', 1, "finishedAt", 'first' from ${given}`,
    [JSON.stringify(rated.map(({ checkInId, dayId, finishedAt }) => ({ checkInId, dayId, finishedAt })))],
  );
  await client.query(
    `insert into reading (check_in_id, outcome, value, unit, obtained)
     select r."checkInId", r.outcome, r.value, 'points', 'rated'
     from jsonb_to_recordset($1::jsonb) as r("checkInId" uuid, outcome text, value numeric)`,
    [
      JSON.stringify(
        rated.flatMap(({ checkInId, ratings }) => ratings.map((one) => ({ checkInId, ...one }))),
      ),
    ],
  );
}

/**
 * Stores some of a file's wash days as done and worn; minutes are not known and stay so. A day within an hour of one that is
 * there is known already, so that a part sent twice is stored once. Throws a Refusal where the file was taken back.
 */
export async function importDays(db: Db, input: v.InferOutput<typeof DaysInput>): Promise<DaysStored> {
  return transaction(db, async (client) => {
    const heads = [...new Set(input.days.map(({ wearerId }) => wearerId))].sort();
    await client.query('select from wearer where id = any($1::uuid[]) order by id for update', [heads]);
    const { rows } = await client.query<{ takenBack: boolean }>(
      `insert into day_import (id, file_name, headings, reading) values ($1, $2, $3, $4)
       on conflict (id) do update set file_name = day_import.file_name
       returning taken_back_at is not null as "takenBack"`,
      [input.id, input.fileName, input.headings, JSON.stringify(input.reading)],
    );
    if (rows[0]!.takenBack)
      throw new Refusal(409, 'This file was taken back meanwhile. Choose it again to read it anew.');
    await mustKnowMixes(
      client,
      input.days.flatMap(({ steps }) => steps.map(({ extra }) => extra)),
    );
    const { taken, known, refused } = await sorted(client, input.days);
    if (taken.length > 0) {
      await insertDays(client, withIds(taken, input.id));
      await endWears(client, input.id, heads, taken[0]!.startedAt);
    }
    return { stored: taken.length, known, refused };
  });
}

/** Files that wash days came from, newest first, with how many days of each are there. */
export async function listDayImports(db: Client): Promise<DayImport[]> {
  const { rows } = await db.query<DayImport>(
    `select i.id, i.file_name as "fileName", i.headings, i.reading, i.at, i.taken_back_at as "takenBackAt",
       count(t.id)::int as days
     from day_import i left join trial t on t.day_import_id = i.id group by i.id order by i.at desc, i.id`,
  );
  return rows;
}

/** Days of a file of which more was told since: by a tap, a picture, a memo, an event, or a look of their own. */
const TOLD_SINCE = `(exists (select from wash_tap x where x.wash_day_id = d.id)
  or exists (select from photograph x where x.wash_day_id = d.id) or exists (select from memo x where x.wash_day_id = d.id)
  or exists (select from event x where x.wash_day_id = d.id)
  or exists (select from check_in x where x.wash_day_id = d.id and x.at > d.reveal_at))`;

/** Takes a file's wash days out again, but for those that more was told of since. Taken back twice it does nothing more. */
export async function takeBackImport(db: Db, id: string): Promise<TakenBack> {
  return transaction(db, async (client) => {
    const held = await client.query('select from day_import where id = $1 for update', [id]);
    if (held.rowCount === 0) throw notFound('file of wash days');
    const { rows } = await client.query<{ trialId: string; planId: string; kept: boolean }>(
      `select t.id as "trialId", t.plan_id as "planId", bool_or(${TOLD_SINCE}) as kept
       from trial t join wash_day d on d.trial_id = t.id where t.day_import_id = $1 group by t.id, t.plan_id`,
      [id],
    );
    const gone = rows.filter(({ kept }) => !kept);
    const trials = gone.map(({ trialId }) => trialId);
    await client.query('delete from wash_day where trial_id = any($1::uuid[])', [trials]);
    await client.query('delete from trial where id = any($1::uuid[])', [trials]);
    await client.query('delete from routine where id = any($1::uuid[])', [gone.map(({ planId }) => planId)]);
    await client.query('update day_import set taken_back_at = coalesce(taken_back_at, now()) where id = $1', [
      id,
    ]);
    return { removed: gone.length, kept: rows.length - gone.length };
  });
}
