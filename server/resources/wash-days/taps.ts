import { type HeardTap, type RefusedTap, Tap, type TapsHeard } from '@sabor/contract/taps';
import type * as v from 'valibot';
import { safeParse } from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { Refusal } from '../../http/problems.ts';
import { checkInInto, eventGone, eventInto } from '../check-ins/store.ts';
import { doseColumns } from '../routines/step-sql.ts';
import { CLOCKS, changeInto } from './change.ts';
import { finishInto } from './end.ts';
import { openWashDay, readWashDay } from './read.ts';

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

/** The ratings of a tap that no later one of the same look has rated again. */
async function stillOwn(client: Client, washDayId: string, tap: Of<'rate'>): Promise<Of<'rate'>['ratings']> {
  const { rows } = await client.query<{ outcome: string; zone: string | null }>(
    `select distinct r->>'outcome' as outcome, r->>'zoneId' as zone
     from wash_tap t, jsonb_array_elements(t.body->'ratings') r
     where t.wash_day_id = $1 and t.kind = 'rate' and t.refused is null and (t.at, t.id) > ($2, $3)
       and t.body->>'stage' = $4 and t.body->>'day' is not distinct from $5`,
    [washDayId, tap.at, tap.id, tap.stage, tap.day],
  );
  const later = new Set(rows.map(({ outcome, zone }) => `${outcome} ${zone}`));
  return tap.ratings.filter(({ outcome, zoneId }) => !later.has(`${outcome} ${zoneId}`));
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

async function apply(client: Client, washDayId: string, tap: HeardTap): Promise<void> {
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
      await changeInto(client, await readWashDay(client, washDayId), set);
      return;
    }
    case 'pause':
      await row(
        `insert into step_pause (id, wash_step_id, paused_at, resumed_at, reason) values ($1, $2, $3, $4, $5)
         on conflict (id) do update set paused_at = excluded.paused_at, resumed_at = excluded.resumed_at,
           reason = excluded.reason`,
        [tap.pauseId, tap.stepId, tap.from, tap.to, tap.reason],
      );
      return;
    case 'mark':
      await row('delete from step_mark where id = $1', [tap.markId]);
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
      await row('delete from idea where id = $1', [tap.ideaId]);
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
    case 'rate':
      await checkInInto(client, {
        id: tap.checkInId,
        washDayId,
        stage: tap.stage,
        day: tap.day,
        at: tap.lookedAt,
        ratings: await stillOwn(client, washDayId, tap),
        curls: [],
      });
      return;
    case 'event':
      if (tap.gone) await eventGone(client, washDayId, tap.eventId);
      else
        await eventInto(client, {
          id: tap.eventId,
          washDayId,
          kind: tap.event,
          on: tap.on,
          note: '',
          zoneIds: [],
        });
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

/** A sentence for what the tables themselves refuse (SQLSTATE classes 22 and 23); null for any other failure. */
function impossible(error: unknown): string | null {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === 'string' && /^2[23]/.test(code)
    ? 'This does not fit what is stored: a product, a step or an amount in it is not known.'
    : null;
}

/** A tap that cannot be read, by its id where it has one. */
const unread = (raw: unknown, detail: string): RefusedTap => ({
  id: String((raw as { id?: unknown } | null)?.id ?? ''),
  detail,
});

/**
 * Takes a device's taps, in their order, each once. One that cannot stand is refused with its sentence and holds up no
 * other; sending it again changes nothing.
 */
export async function hearTaps(
  db: Db,
  washDayId: string,
  { device, taps }: { device: string; taps: readonly unknown[] },
): Promise<TapsHeard> {
  return transaction(db, async (client) => {
    await client.query('select 1 from wash_day where id = $1 for update', [washDayId]);
    await readWashDay(client, washDayId);
    const heard: string[] = [];
    const refused: RefusedTap[] = [];
    for (const raw of taps) {
      const read: v.SafeParseResult<typeof Tap> = safeParse(Tap, raw);
      if (!read.success) {
        refused.push(unread(raw, read.issues[0].message));
        heard.push(unread(raw, '').id);
        continue;
      }
      const tap = read.output;
      heard.push(tap.id);
      const known = await client.query<{ refused: string | null }>(
        'select refused from wash_tap where id = $1',
        [tap.id],
      );
      if (known.rows[0]) {
        if (known.rows[0].refused) refused.push({ id: tap.id, detail: known.rows[0].refused });
        continue;
      }
      let against: string | null = null;
      await client.query('savepoint tap');
      try {
        await openWashDay(client, washDayId);
        await apply(client, washDayId, tap);
      } catch (error) {
        against = error instanceof Refusal ? error.message : impossible(error);
        if (against === null) throw error;
        await client.query('rollback to savepoint tap');
        refused.push({ id: tap.id, detail: against });
      }
      const { id, at, kind, ...body } = tap;
      await client.query(
        'insert into wash_tap (id, wash_day_id, device, at, kind, body, refused) values ($1, $2, $3, $4, $5, $6, $7)',
        [id, washDayId, device, at, kind, JSON.stringify(body), against],
      );
    }
    return { day: await readWashDay(client, washDayId), heard, refused };
  });
}
