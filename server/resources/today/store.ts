import { localToday } from '@sabor/contract/fields';
import type { AirForWashDay, Due, Today } from '@sabor/contract/today';
import type { Trial } from '@sabor/contract/trial';
import { CARE, careStatus } from '@sabor/core/hair/care';
import { HAIR_EVENTS } from '@sabor/core/hair/history';
import { dayOfWear } from '@sabor/core/outcomes/day-of-wear';
import { EVENTS } from '@sabor/core/outcomes/events';
import { type Stage, stageLabel } from '@sabor/core/outcomes/stages';
import { goodUntil } from '@sabor/core/shelf/period-after-opening';
import { daysBetween } from '@sabor/core/time/dates';
import { DAY_MS } from '@sabor/core/time/day';
import { localDate, zoneOffset } from '@sabor/core/time/zones';
import type { Client } from '../../db/pool.ts';
import { type CareOf, readCareOfAll } from '../hair-files/care.ts';
import { readDemoState, readSettings } from '../settings/store.ts';
import { readOpenBottles } from '../shelf/store.ts';
import { readTrials } from '../trials/read.ts';
import { type OpenDay, readMet, readOpenDays } from '../wash-days/read.ts';
import { readStations, readWeather } from '../weather/store.ts';
import { airForWashDay } from './air.ts';

/** Whether nothing of the trade is stored yet: the page then says how to begin. */
async function nothingYet(db: Client): Promise<boolean> {
  const { rows } = await db.query<{ empty: boolean }>(
    `select not exists (select from line) and not exists (select from product) and not exists (select from wearer)
       and not exists (select from routine) and not exists (select from trial) as empty`,
  );
  return rows[0]!.empty;
}

/** Days before a bottle's last good day on which it is first mentioned. */
const BOTTLE_WARNING_DAYS = 30;
/** Days for which a finished trial waits on Today to be read. */
const READ_DAYS = 21;

/** The check-in a wash day in wear waits for, or "end" when its planned days of wear are over. */
function nextLook(
  day: OpenDay,
  wearDays: number,
  today: string,
  timeZone: string,
): { stage: Stage; day: number | null } | 'end' | null {
  const seen = (stage: Stage, n: number | null) =>
    day.checkIns.some((checkIn) => checkIn.stage === stage && checkIn.day === n);
  if (day.revealAt === null) {
    if (day.dryAt === null) return seen('wet', null) ? null : { stage: 'wet', day: null };
    return seen('cast', null) ? null : { stage: 'cast', day: null };
  }
  const n = dayOfWear(localDate(day.revealAt, timeZone), today) ?? 1;
  if (n > wearDays) return 'end';
  return seen('wear', n) ? null : { stage: 'wear', day: n };
}

function dueOfTrial(trial: Trial, open: OpenDay | undefined, now: Date, timeZone: string): Due | null {
  const trialId = trial.id;
  const title = trial.question;
  if (trial.endedAt) {
    const age = (now.getTime() - Date.parse(trial.endedAt)) / DAY_MS;
    return age > READ_DAYS
      ? null
      : { kind: 'read', trialId, title, says: 'Finished and waiting to be read.' };
  }
  if (!open) {
    const n = trial.washDaysDone + 1;
    const says =
      trial.status === 'planned'
        ? `Planned, not begun: wash day 1 of ${trial.washDays} for ${trial.wearerName}.`
        : `Wash day ${n} of ${trial.washDays} for ${trial.wearerName}. Its arm is sealed until you start.`;
    return { kind: 'start wash day', trialId, title, says };
  }
  const at = `Wash day ${open.position + 1} of ${trial.washDays}, ${trial.wearerName}`;
  const washDayId = open.id;
  if (open.status === 'under way')
    return { kind: 'continue wash day', trialId, washDayId, title, says: `${at}: under way.` };
  const look = nextLook(open, trial.wearDays, localDate(now.toISOString(), timeZone), timeZone);
  if (look === 'end')
    return {
      kind: 'end wear',
      trialId,
      washDayId,
      title,
      says: `${at}: the planned days of wear are over. Say how it ended.`,
    };
  if (look === null) return null;
  return {
    kind: 'check-in',
    trialId,
    washDayId,
    ...look,
    title,
    says: `${at}: ${stageLabel(look.stage, look.day).toLowerCase()} is due.`,
  };
}

/** From this hour on, and until this hour after midnight, the night is asked about. */
const EVENING = 19;
const SMALL_HOURS = 4;

/** The night a style is about to sleep through, where nothing is said yet of what protects it. */
function nightDue(trial: Trial, open: OpenDay | undefined, now: Date, timeZone: string): Due | null {
  if (!open || (open.status !== 'worn' && open.status !== 'under way')) return null;
  const ms = now.getTime();
  const hour = new Date(ms + zoneOffset(ms, timeZone) * 60_000).getUTCHours();
  if (hour >= SMALL_HOURS && hour < EVENING) return null;
  // The small hours belong to the night of the day before.
  const night = localDate(new Date(hour < SMALL_HOURS ? ms - 12 * 3_600_000 : ms).toISOString(), timeZone);
  if (night < open.localDate) return null;
  // Past its planned wear it is asked how it ended, not how it slept.
  const worn = open.revealAt === null ? 1 : dayOfWear(localDate(open.revealAt, timeZone), night);
  if (worn !== null && worn > trial.wearDays) return null;
  const said = open.events.some(
    ({ kind, on }) => on === night && (EVENTS[kind].good || kind === 'bonnet-missed'),
  );
  if (said) return null;
  return {
    kind: 'night',
    trialId: trial.id,
    washDayId: open.id,
    title: trial.question,
    says: `Wash day ${open.position + 1}, ${trial.wearerName}: say what protects the hair tonight${open.setWaits ? '; the set goes on drying, and is taken down tomorrow' : ''}.`,
  };
}

const ORDER: Due['kind'][] = [
  'continue wash day',
  'check-in',
  'night',
  'end wear',
  'start wash day',
  'read',
  'care',
  'bottle',
];

/** What is overdue on a head, most overdue first, in a sentence; the wash itself is left to the trials. */
function careDue({ events, cadence }: CareOf, today: string): string | null {
  const overdue = careStatus(events, [], cadence, today).filter(
    ({ kind, over }) => kind !== 'wash' && over !== null && over >= 0,
  );
  if (overdue.length === 0) return null;
  const told = overdue.map(({ kind, over, calledBy }) => {
    const why = calledBy
      ? `after ${HAIR_EVENTS[calledBy].label.toLowerCase()}`
      : over === 0
        ? 'today'
        : `${over} days over`;
    return `${CARE[kind].label.toLowerCase()} (${why})`;
  });
  return `Due: ${told.join(', ')}.`;
}

export async function readToday(db: Client, now: Date): Promise<Today> {
  const date = localToday(now);
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
  const trials = await readTrials(db, { endedAfter: new Date(now.getTime() - READ_DAYS * DAY_MS) });
  const days = await readOpenDays(db);
  for (const trial of trials.sort(
    (a, b) => Number(a.status === 'planned') - Number(b.status === 'planned'),
  )) {
    if (trial.archivedAt) continue;
    const open = days.find((day) => day.trialId === trial.id && !trial.endedAt);
    const timeZone = zones.get(trial.wearerId) ?? 'UTC';
    const found = dueOfTrial(trial, open, now, timeZone);
    if (found) due.push(found);
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
  for (const care of await readCareOfAll(db)) {
    const found = careDue(care, date);
    if (found)
      due.push({ kind: 'care', wearerId: care.wearerId, title: `Care for ${care.name}`, says: found });
  }
  for (const product of await readOpenBottles(db)) {
    const last = goodUntil(product.openedOn, product.monthsAfterOpening);
    if (last === null) continue;
    const left = daysBetween(date, last);
    if (left > BOTTLE_WARNING_DAYS) continue;
    const says =
      left < 0
        ? `Past its period after opening since ${last}: do not use it, do not test it.`
        : `Its period after opening ends on ${last}.`;
    due.push({ kind: 'bottle', productId: product.id, title: product.name, says });
  }
  due.sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind));
  return { date, due, air, empty: await nothingYet(db), demo: (await readDemoState(db)) === 'loaded' };
}
