import { storable } from '@sabor/contract/storable';
import { type HeardTap, type RefusedTap, Tap, type TapsHeard, type TapsInput } from '@sabor/contract/taps';
import type * as v from 'valibot';
import { safeParse } from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustStore } from '../../db/stored.ts';
import { Refusal } from '../../http/problems.ts';
import { checkInInto, eventGone, eventInto } from '../check-ins/store.ts';
import { mustKnowMixes } from '../routines/mixes.ts';
import { doseColumns } from '../routines/step-sql.ts';
import { CLOCKS, changeInto } from './change.ts';
import { finishInto } from './end.ts';
import { readWashDay } from './read.ts';
import { holdWashDay, mustBeOpen, type Standing } from './standing.ts';

type Of<K extends HeardTap['kind']> = Extract<HeardTap, { kind: K }>;

/** Columns of a step that a tap may set, each from its field of the tap. */
const STEP_COLUMNS = [
  ['status', 'status', "b->>'status'"],
  ['started_at', 'startedAt', "(b->>'startedAt')::timestamptz"],
  ['done_at', 'doneAt', "(b->>'doneAt')::timestamptz"],
  ['product_id', 'productId', "(b->>'productId')::uuid"],
  ['sections', 'sections', "(b->>'sections')::int"],
  ['wetness', 'wetness', "b->>'wetness'"],
  ['minutes', 'minutes', "(b->>'minutes')::numeric"],
  ['technique', 'technique', "b->>'technique'"],
  ['tool', 'tool', "b->>'tool'"],
  ['heat', 'heat', "b->>'heat'"],
  ['extra', 'extra', "b->'extra'"],
  ['note', 'note', "b->>'note'"],
] as const;

const SET_STEP = `
  with given as (select $2::jsonb as b), dose as (select d.* from given, lateral (select ${doseColumns(
    "(given.b->'dose')",
  )}) as d(kind, low, high, measure, per))
  update wash_step s set ${STEP_COLUMNS.map(
    ([column, field, value]) => `${column} = case when b ? '${field}' then ${value} else s.${column} end`,
  ).join(', ')},
    ${['kind', 'low', 'high', 'measure', 'per']
      .map((part) => `dose_${part} = case when b ? 'dose' then d.${part} else s.dose_${part} end`)
      .join(', ')}
  from given, dose d where s.id = $1`;

/** Fields of what a tap sets that a later tap on the same thing has already said. */
async function saidLater(
  client: Client,
  washDayId: string,
  tap: Of<'step'> | Of<'day'>,
): Promise<Set<string>> {
  const { rows } = await client.query<{ field: string }>(
    `select distinct jsonb_object_keys(t.body->'set') as field from wash_tap t
     where t.wash_day_id = $1 and t.kind = $2 and t.refused is null and (t.at, t.id) > ($3, $4)
       and t.body->>'stepId' is not distinct from $5`,
    [washDayId, tap.kind, tap.at, tap.id, tap.kind === 'step' ? tap.stepId : null],
  );
  return new Set(rows.map(({ field }) => field));
}

const without = <T extends object>(set: T, fields: ReadonlySet<string>): Partial<T> =>
  Object.fromEntries(
    Object.entries(set).filter(([field, value]) => value !== undefined && !fields.has(field)),
  ) as Partial<T>;

/** What a tap is about, by which a later one about the same replaces it; null where each stands for itself. */
function subject(tap: HeardTap): Record<string, unknown> | null {
  switch (tap.kind) {
    case 'pause':
      return { pauseId: tap.pauseId };
    case 'mark':
      return { markId: tap.markId };
    case 'idea':
      return { ideaId: tap.ideaId };
    case 'event':
      return { eventId: tap.eventId };
    case 'in-hand':
      return { stepId: tap.stepId, quality: tap.quality };
    case 'weighing':
      return { stepId: tap.stepId, phase: tap.phase };
    default:
      return null;
  }
}

/** Whether a later tap about the same has already been heard. */
async function overtaken(client: Client, washDayId: string, tap: HeardTap): Promise<boolean> {
  const about = subject(tap);
  if (about === null) return false;
  const { rowCount } = await client.query(
    `select 1 from wash_tap where wash_day_id = $1 and kind = $2 and refused is null and (at, id) > ($3, $4)
       and body @> $5::jsonb limit 1`,
    [washDayId, tap.kind, tap.at, tap.id, JSON.stringify(about)],
  );
  return rowCount !== 0;
}

/** What no later tap of the same look has said again: its ratings, and whether its moment, note and rater still count. */
async function stillOwn(client: Client, washDayId: string, tap: Of<'rate'>) {
  const { rows } = await client.query<{
    ratings: { outcome: string; zoneId: string | null }[];
    note: boolean;
    rater: boolean;
  }>(
    `select t.body->'ratings' as ratings, t.body ? 'note' as note, t.body ? 'rater' as rater from wash_tap t
     where t.wash_day_id = $1 and t.kind = 'rate' and t.refused is null and (t.at, t.id) > ($2, $3)
       and t.body->>'stage' = $4 and (t.body->>'day')::int is not distinct from $5`,
    [washDayId, tap.at, tap.id, tap.stage, tap.day],
  );
  const later = new Set(
    rows.flatMap(({ ratings }) => ratings.map(({ outcome, zoneId }) => `${outcome} ${zoneId}`)),
  );
  return {
    ratings: tap.ratings.filter(({ outcome, zoneId }) => !later.has(`${outcome} ${zoneId}`)),
    overtaken: {
      look: rows.length > 0,
      note: rows.some(({ note }) => note),
      rater: rows.some(({ rater }) => rater),
    },
  };
}

/** Whether a step was taken out by a tap, so that others about it have nothing to hold on to. */
async function takenOut(client: Client, washDayId: string, stepId: string): Promise<boolean> {
  const { rowCount } = await client.query(
    `select 1 from wash_tap where wash_day_id = $1 and kind = 'take-out' and body->>'stepId' = $2`,
    [washDayId, stepId],
  );
  return rowCount !== 0;
}

/** A step heard of late that still waits, although the routine was ended after the moment of its tap, was passed over. */
const passOver = (client: Client, washDayId: string, tap: Of<'step'> | Of<'add-step'>) =>
  client.query(
    `update wash_step set status = 'skipped' where id = $2 and status = 'waiting' and slot <> 'refresh' and exists (
       select 1 from wash_tap where wash_day_id = $1 and kind = 'finish' and refused is null and (at, id) > ($3, $4))`,
    [washDayId, tap.stepId, tap.at, tap.id],
  );

async function apply(client: Client, day: Standing, tap: HeardTap): Promise<void> {
  const washDayId = day.id;
  mustBeOpen(day);
  const row = (sql: string, values: unknown[]) => client.query(sql, values);
  if ('stepId' in tap && tap.kind !== 'add-step' && tap.kind !== 'take-out') {
    const { rowCount } = await row('select 1 from wash_step where id = $1 and wash_day_id = $2', [
      tap.stepId,
      washDayId,
    ]);
    if (rowCount === 0) {
      if (await takenOut(client, washDayId, tap.stepId)) return;
      throw new Refusal(404, 'There is no such step on this wash day.');
    }
  }
  if (await overtaken(client, washDayId, tap)) return;
  switch (tap.kind) {
    case 'step': {
      const set = without(tap.set, await saidLater(client, washDayId, tap));
      await mustKnowMixes(client, [set.extra]);
      await row(SET_STEP, [tap.stepId, JSON.stringify(set)]);
      await passOver(client, washDayId, tap);
      await row(CLOCKS, [washDayId]);
      return;
    }
    case 'add-step':
      if (!(await takenOut(client, washDayId, tap.stepId)))
        await row(
          `insert into wash_step (id, wash_day_id, position, slot, status, extra) values ($1, $2, $3, $4, 'waiting', '{}')
           on conflict (id) do nothing`,
          [tap.stepId, washDayId, tap.position, tap.slot],
        );
      await passOver(client, washDayId, tap);
      return;
    case 'take-out':
      await row('delete from wash_step where id = $1 and wash_day_id = $2 and plan_step_id is null', [
        tap.stepId,
        washDayId,
      ]);
      return;
    case 'day': {
      const set = without(tap.set, await saidLater(client, washDayId, tap));
      await changeInto(client, washDayId, set);
      return;
    }
    case 'pause':
      mustStore(
        await row(
          `insert into step_pause (id, wash_step_id, paused_at, resumed_at, reason) values ($1, $2, $3, $4, $5)
           on conflict (id) do update set paused_at = excluded.paused_at, resumed_at = excluded.resumed_at,
             reason = excluded.reason where step_pause.wash_step_id = excluded.wash_step_id`,
          [tap.pauseId, tap.stepId, tap.from, tap.to, tap.reason],
        ),
        'pause',
      );
      return;
    case 'mark':
      await row('delete from step_mark where id = $1 and wash_step_id = $2', [tap.markId, tap.stepId]);
      if (!tap.gone)
        await row(
          'insert into step_mark (id, wash_step_id, mark, reason, note, at) values ($1, $2, $3, $4, $5, $6)',
          [tap.markId, tap.stepId, tap.mark, tap.reason, tap.note, tap.at],
        );
      return;
    case 'in-hand':
      await row('delete from in_hand_reading where wash_step_id = $1 and quality = $2', [
        tap.stepId,
        tap.quality,
      ]);
      if (tap.value !== null)
        await row('insert into in_hand_reading (wash_step_id, quality, value) values ($1, $2, $3)', [
          tap.stepId,
          tap.quality,
          tap.value,
        ]);
      return;
    case 'idea':
      await row('delete from idea where id = $1 and wash_step_id = $2', [tap.ideaId, tap.stepId]);
      if (!tap.gone)
        await row('insert into idea (id, wash_step_id, idea, at) values ($1, $2, $3, $4)', [
          tap.ideaId,
          tap.stepId,
          tap.idea,
          tap.at,
        ]);
      return;
    case 'weighing':
      await row('delete from weighing where wash_step_id = $1 and phase = $2', [tap.stepId, tap.phase]);
      if (tap.grams !== null)
        await row('insert into weighing (wash_step_id, phase, grams) values ($1, $2, $3)', [
          tap.stepId,
          tap.phase,
          tap.grams,
        ]);
      return;
    case 'rate': {
      const { ratings, overtaken } = await stillOwn(client, washDayId, tap);
      const { checkInId: id, stage, lookedAt: at, note, rater } = tap;
      await checkInInto(
        client,
        day,
        { id, washDayId, stage, day: tap.day, at, ratings, curls: [], note, rater },
        overtaken,
      );
      return;
    }
    case 'event':
      if (tap.gone) await eventGone(client, day, tap.eventId);
      else await eventInto(client, day, { id: tap.eventId, washDayId, kind: tap.event, on: tap.on });
      return;
    case 'finish':
      await finishInto(client, washDayId, tap.at);
      // A step that was taken up again after this moment, but heard of before it, still waits.
      await row(
        `update wash_step set status = 'waiting' where wash_day_id = $1 and id in (
           select step_id from (
             select distinct on (step_id) step_id, body->'set'->>'status' as status, at, id
             from (select *, (body->>'stepId')::uuid as step_id from wash_tap) t
             where wash_day_id = $1 and kind = 'step' and refused is null and body->'set' ? 'status'
             order by step_id, at desc, id desc) last
           where status = 'waiting' and (at, id) > ($2, $3) and not exists (
             select 1 from wash_tap f where f.wash_day_id = $1 and f.kind = 'finish' and f.refused is null
               and (f.at, f.id) > (last.at, last.id)))`,
        [washDayId, tap.at, tap.id],
      );
  }
}

/** A sentence for what the tables themselves refuse (SQLSTATE classes 21 to 23); null for any other failure. */
function impossible(error: unknown): string | null {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === 'string' && /^2[123]/.test(code)
    ? 'This does not fit what is stored: a product, a step or an amount in it is not known.'
    : null;
}

/** Clocks differ by less than this without being wrong, ms. */
const CLOCK_SLACK = 120_000;

/** Fields of taps that hold moments of the device's clock. */
const MOMENTS = new Set([
  'at',
  'startedAt',
  'doneAt',
  'washedAt',
  'dry80At',
  'dry90At',
  'dryAt',
  'revealAt',
  'from',
  'to',
  'lookedAt',
]);

/** The tap as a right clock would have made it. */
const setRight = (value: unknown, aheadMs: number): unknown => {
  if (Array.isArray(value) || typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, item]) => {
      if (!MOMENTS.has(key) || typeof item !== 'string') return [key, setRight(item, aheadMs)];
      const ms = Date.parse(item);
      return [key, Number.isNaN(ms) ? item : new Date(ms - aheadMs).toISOString()];
    }),
  );
};

/** A tap read from what a device sent, or what is wrong with it; its id where it has one. */
function readTap(raw: unknown, aheadMs: number): { tap: HeardTap } | { id: string; detail: string } {
  const given = typeof raw === 'object' && raw !== null && 'id' in raw ? raw.id : null;
  const id = typeof given === 'string' ? given.slice(0, 100) : '';
  const clean = storable(raw);
  if (clean.problem !== null) return { id, detail: clean.problem };
  const read = safeParse(Tap, aheadMs === 0 ? clean.value : setRight(clean.value, aheadMs));
  return read.success ? { tap: read.output } : { id, detail: read.issues[0].message };
}

/** By how much a device's clock is ahead of this one, ms; 0 where that is no more than clocks differ. */
function aheadOf(now: string | undefined): number {
  const ahead = now === undefined ? 0 : Date.parse(now) - Date.now();
  return Math.abs(ahead) < CLOCK_SLACK ? 0 : Math.round(ahead);
}

/** Refuses taps that a device kept for another database. */
async function mustBeHere(client: Client, database: string | undefined): Promise<void> {
  if (database === undefined) return;
  const { rows } = await client.query(
    `select from setting where key = 'database' and value = to_jsonb($1::text)`,
    [database],
  );
  if (rows.length === 0)
    throw new Refusal(
      421,
      'These taps belong to another Sabor’s data. They stay on this device until that one answers.',
    );
}

/**
 * Takes a device's taps, in their order, each once. One that cannot stand, or cannot be stored, is refused with its
 * sentence and holds up no other; sending it again changes nothing. Moments of a clock that is minutes wrong are set
 * right by the device's own time of sending, and it is said so.
 */
export async function hearTaps(
  db: Db,
  washDayId: string,
  { device, taps, now, database }: v.InferOutput<typeof TapsInput>,
): Promise<TapsHeard> {
  return transaction(db, async (client) => {
    await mustBeHere(client, database);
    const aheadMs = aheadOf(now);
    let day = await holdWashDay(client, washDayId);
    const heard: string[] = [];
    const refused: RefusedTap[] = [];
    for (const raw of taps) {
      const read = readTap(raw, aheadMs);
      if (!('tap' in read)) {
        refused.push(read);
        heard.push(read.id);
        continue;
      }
      const { id, at, kind, ...body } = read.tap;
      heard.push(id);
      await client.query('savepoint tap');
      try {
        const known = await client.query<{ refused: string | null; elsewhere: boolean }>(
          'select refused, wash_day_id <> $2 as elsewhere from wash_tap where id = $1',
          [id, washDayId],
        );
        if (known.rows[0]) {
          const { refused: detail, elsewhere } = known.rows[0];
          if (elsewhere) refused.push({ id, detail: 'A tap of another wash day has this id.' });
          else if (detail) refused.push({ id, detail });
          continue;
        }
        let against: string | null = null;
        try {
          await apply(client, day, read.tap);
        } catch (error) {
          against = error instanceof Refusal ? error.message : impossible(error);
          if (against === null) throw error;
          await client.query('rollback to savepoint tap');
          refused.push({ id, detail: against });
        }
        await client.query(
          `insert into wash_tap (id, wash_day_id, device, at, kind, body, refused, clock_ahead_ms)
           values ($1, $2, $3, $4, $5, $6, $7, $8)`,
          [id, washDayId, device, at, kind, JSON.stringify(body), against, aheadMs],
        );
        // What others of these taps are held to: whether the hair was revealed.
        if (kind === 'day' || kind === 'step' || kind === 'finish')
          day = await holdWashDay(client, washDayId);
      } finally {
        await client.query('release savepoint tap').catch(() => {});
      }
    }
    return { day: await readWashDay(client, washDayId), heard, refused, clockAheadMs: aheadMs };
  });
}
