import type { AirForWashDay, Due, Today } from '@sabor/contract/today';
import type { Trial } from '@sabor/contract/trial-record';
import { careStatus } from '@sabor/core/hair/care';
import { dayOfWear, wearDate } from '@sabor/core/outcomes/day-of-wear';
import { eventOf } from '@sabor/core/outcomes/events';
import { goodUntil } from '@sabor/core/shelf/period-after-opening';
import { daysBetween } from '@sabor/core/time/dates';
import { DAY_MS } from '@sabor/core/time/day';
import { localToday } from '@sabor/core/time/today';
import { hourOf, localDate } from '@sabor/core/time/zones';
import type { Client } from '../../db/pool.ts';
import { type CareOf, readCareOfAll } from '../hair-files/care.ts';
import { readOpenPatches } from '../patch-tests/store.ts';
import { readDemoState, readSettings } from '../settings/store.ts';
import { readOpenBottles } from '../shelf/store.ts';
import { readTrials } from '../trials/read.ts';
import { readJudged, readLeftOpen } from '../verdicts/waiting.ts';
import { nextLook } from '../wash-days/next-look.ts';
import { type OpenDay, readMet, readOpenDays } from '../wash-days/read.ts';
import { readStations, readWeather } from '../weather/store.ts';
import { airForWashDay } from './air.ts';
import { readToTry } from './to-try.ts';

/** Whether nothing of the trade is stored yet: the page then says how to begin. */
async function nothingYet(db: Client): Promise<boolean> {
  const { rows } = await db.query<{ empty: boolean }>(
    `select not exists (select from line) and not exists (select from product) and not exists (select from wearer)
       and not exists (select from routine) and not exists (select from trial) as empty`,
  );
  return rows[0]!.empty;
}

/** How far the way to a first comparison of one's own has been gone. */
async function readRoad(db: Client): Promise<Today['road']> {
  const { rows } = await db.query<Today['road']>(
    `select (select count(*) from product where archived_at is null) >= 2 as products,
       exists (select from wearer where archived_at is null) as wearer, exists (select from stay) as place,
       exists (select from routine r join step s on s.routine_id = r.id where not r.is_plan and r.archived_at is null) as routine,
       exists (select from trial where not logged) as trial,
       exists (select from trial where not logged and ended_at is not null) as compared`,
  );
  return rows[0]!;
}

/** Days before a bottle's last good day on which it is first mentioned. */
const BOTTLE_WARNING_DAYS = 30;
/** Days for which a finished trial waits on Today to be read. */
const READ_DAYS = 21;

const ofTrial = ({ id, question, wearerName, washDays }: Trial, number: number) => ({
  trialId: id,
  question,
  wearerName,
  number,
  of: washDays,
});

function dueOfTrial(
  trial: Trial,
  open: OpenDay | undefined,
  nextOn: string | undefined,
  now: Date,
  timeZone: string,
): Due | null {
  // A wash day by itself compares nothing, and is not begun again.
  if (trial.logged && (trial.endedAt !== null || !open)) return null;
  if (trial.endedAt) {
    const age = (now.getTime() - Date.parse(trial.endedAt)) / DAY_MS;
    return age > READ_DAYS
      ? null
      : { kind: 'read', trialId: trial.id, question: trial.question, written: 0, products: 0 };
  }
  if (!open)
    return {
      kind: 'start wash day',
      ...ofTrial(trial, trial.washDaysDone + 1),
      begun: trial.status !== 'planned',
      on: nextOn ?? null,
    };
  const day = { ...ofTrial(trial, open.position + 1), washDayId: open.id };
  if (open.status === 'under way') return { kind: 'continue wash day', ...day };
  const look = nextLook(open, trial.wearDays, now, timeZone);
  if (look === 'end') return { kind: 'end wear', ...day };
  return look && { kind: 'check-in', ...day, ...look };
}

/** What an open wash day's own plan has for a day that has come: announced tests, and steps of a later day worn. */
function laterDue(trial: Trial, open: OpenDay | undefined, now: Date, timeZone: string): Due[] {
  if (!open || open.revealAt === null) return [];
  const today = localDate(now.toISOString(), timeZone);
  const n = dayOfWear(wearDate(open.revealAt, timeZone), wearDate(now.toISOString(), timeZone)) ?? 0;
  const day = { ...ofTrial(trial, open.position + 1), washDayId: open.id };
  return [
    ...open.events
      .filter(({ announced, came, on }) => announced && came === null && on <= today)
      .map(({ kind, on }): Due => ({ kind: 'announced', event: kind, on, ...day })),
    ...open.later
      .filter((step) => step.day <= n)
      .map(({ id, slot, half }): Due => ({ kind: 'later step', stepId: id, slot, half, ...day })),
  ];
}

/** From this hour on, until the day of wear turns, the night is asked about. */
const EVENING = 19;

/** The night a style is about to sleep through, where nothing is said yet of what protects it. */
function nightDue(trial: Trial, open: OpenDay | undefined, now: Date, timeZone: string): Due | null {
  if (!open || (open.status !== 'worn' && open.status !== 'under way')) return null;
  const moment = now.toISOString();
  const night = wearDate(moment, timeZone);
  if (hourOf(moment, timeZone) < EVENING && night === localDate(moment, timeZone)) return null;
  if (night < open.localDate) return null;
  // Past its planned wear it is asked how it ended, not how it slept.
  const worn = open.revealAt === null ? 1 : dayOfWear(wearDate(open.revealAt, timeZone), night);
  if (worn !== null && worn > trial.wearDays) return null;
  const said = open.events.some(({ kind, on }) => on === night && eventOf(kind).group === 'night');
  if (said) return null;
  return { kind: 'night', ...ofTrial(trial, open.position + 1), washDayId: open.id, setWaits: open.setWaits };
}

const ORDER: Due['kind'][] = [
  'continue wash day',
  'check-in',
  'announced',
  'later step',
  'night',
  'end wear',
  'patch test',
  'start wash day',
  'read',
  'left open',
  'care',
  'problems',
  'bottle',
];

/** What is overdue on a head, most overdue first; the wash itself is left to the trials. */
function careDue({ wearerId, name, events, cadence, alternate }: CareOf, today: string): Due | null {
  const care = careStatus(events, [], cadence, today, alternate).flatMap(({ kind, over, calledBy }) =>
    kind !== 'wash' && over !== null && over >= 0 ? [{ kind, over, calledBy }] : [],
  );
  return care.length === 0 ? null : { kind: 'care', wearerId, wearerName: name, care };
}

export async function readToday(db: Client, now: Date): Promise<Today> {
  const zones = new Map(
    (await db.query<{ id: string; time_zone: string }>('select id, time_zone from wearer')).rows.map(
      (row) => [row.id, row.time_zone],
    ),
  );
  await readStations(db, now);
  const weather = await readWeather(db);
  const settings = await readSettings(db);
  const due: Due[] = [];
  const waiting: Trial[] = [];
  // Trials that ended long ago wait for nothing.
  const trials = await readTrials(db, {
    endedAfter: new Date(now.getTime() - READ_DAYS * DAY_MS),
    logged: true,
  });
  const days = await readOpenDays(db);
  const moved = new Map(
    (
      await db.query<{ id: string; on: string }>('select trial_id as id, on_date as on from next_wash')
    ).rows.map(({ id, on }) => [id, on]),
  );
  const judged = await readJudged(
    db,
    trials.flatMap(({ id, endedAt }) => (endedAt === null ? [] : [id])),
  );
  // What is planned comes last; of what is over, what ended last comes first.
  for (const trial of trials.sort(
    (a, b) =>
      Number(a.status === 'planned') - Number(b.status === 'planned') ||
      (b.endedAt ?? '').localeCompare(a.endedAt ?? ''),
  )) {
    if (trial.archivedAt) continue;
    const open = days.find((day) => day.trialId === trial.id && !trial.endedAt);
    const timeZone = zones.get(trial.wearerId) ?? 'UTC';
    const found = dueOfTrial(trial, open, moved.get(trial.id), now, timeZone);
    if (found && found.kind !== 'read') due.push(found);
    if (found?.kind === 'read') {
      const { written, products } = judged.get(trial.id) ?? { written: 0, products: 0 };
      // What was read and judged waits for nothing.
      if (products === 0 || written < products) due.push({ ...found, written, products });
    }
    due.push(...laterDue(trial, open, now, timeZone));
    const night = nightDue(trial, open, now, timeZone);
    if (night) due.push(night);
    if (found?.kind === 'start wash day' || found?.kind === 'continue wash day') waiting.push(trial);
  }
  const met = await readMet(
    db,
    waiting.map(({ id }) => id),
  );
  const air: AirForWashDay[] = [];
  for (const trial of waiting)
    air.push(await airForWashDay(db, weather, settings, trial, met.get(trial.id) ?? [], now));
  const todayOf = (wearerId: string) => localDate(now.toISOString(), zones.get(wearerId) ?? 'UTC');
  for (const care of await readCareOfAll(db)) {
    const found = careDue(care, todayOf(care.wearerId));
    if (found) due.push(found);
  }
  const problems = await db.query<Extract<Due, { kind: 'problems' }>>(
    `select 'problems' as kind, w.id as "wearerId", w.name as "wearerName",
       json_agg(json_build_object('what', p.what, 'since', p.since_date) order by p.since_date desc, p.id) as problems
     from head_problem p join wearer w on w.id = p.wearer_id
     where p.state <> 'solved' and w.archived_at is null group by w.id, w.name order by w.name`,
  );
  due.push(...problems.rows);
  due.push(...(await readLeftOpen(db, localToday(now))));
  due.push(...(await readOpenPatches(db, now)).map(({ id: _, ...patch }): Due => patch));
  for (const product of await readOpenBottles(db)) {
    const last = goodUntil(product.openedOn, product.monthsAfterOpening);
    if (last === null) continue;
    const left = daysBetween(localToday(now), last);
    if (left <= BOTTLE_WARNING_DAYS)
      due.push({ kind: 'bottle', productId: product.id, productName: product.name, last, past: left < 0 });
  }
  due.sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind));
  return {
    due,
    toTry: await readToTry(db, now),
    road: await readRoad(db),
    air,
    empty: await nothingYet(db),
    demo: (await readDemoState(db)) === 'loaded',
  };
}
