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
import { SaidBefore } from './said-before.ts';
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

const without = <T extends object>(set: T, fields: ReadonlySet<string>): Partial<T> =>
  Object.fromEntries(
    Object.entries(set).filter(([field, value]) => value !== undefined && !fields.has(field)),
  ) as Partial<T>;

/** A wash day while its taps are heard. What the steps tell of its clocks is worked out when somebody needs it. */
class Hearing {
  private stale = false;
  private readonly client: Client;
  readonly said: SaidBefore;
  private day: Standing;
  constructor(client: Client, said: SaidBefore, day: Standing) {
    this.client = client;
    this.said = said;
    this.day = day;
  }

  get washDayId(): string {
    return this.day.id;
  }

  row(sql: string, values: unknown[]) {
    return this.client.query(sql, values);
  }

  /** Steps, clocks or the end of the routine have changed. */
  changed(): void {
    this.stale = true;
  }

  /** How the day stands now. */
  async standing(): Promise<Standing> {
    if (this.stale) {
      await this.row(CLOCKS, [this.day.id]);
      this.day = await holdWashDay(this.client, this.day.id);
      this.stale = false;
    }
    return this.day;
  }

  /** A step heard of late that still waits, although the routine was ended after the moment of its tap, was passed over. */
  private async passOver(tap: Of<'step'> | Of<'add-step'>): Promise<void> {
    if (this.said.finishedAfter(tap))
      await this.row(
        "update wash_step set status = 'skipped' where id = $1 and status = 'waiting' and slot <> 'refresh'",
        [tap.stepId],
      );
  }

  /** Does what a tap says, where nothing later has said otherwise. Throws a Refusal where it cannot stand. */
  async apply(tap: HeardTap): Promise<void> {
    const { client, said, washDayId } = this;
    mustBeOpen(this.day);
    const row = (sql: string, values: unknown[]) => this.row(sql, values);
    if ('stepId' in tap && tap.kind !== 'add-step' && tap.kind !== 'take-out') {
      const { rowCount } = await row('select 1 from wash_step where id = $1 and wash_day_id = $2', [
        tap.stepId,
        washDayId,
      ]);
      if (rowCount === 0) {
        if (said.tookOut(tap.stepId)) return;
        throw new Refusal(404, 'There is no such step on this wash day.');
      }
    }
    if (said.overtakes(tap)) return;
    switch (tap.kind) {
      case 'step': {
        const set = without(tap.set, said.fieldsSince(tap));
        await mustKnowMixes(client, [set.extra]);
        await row(SET_STEP, [tap.stepId, JSON.stringify(set)]);
        await this.passOver(tap);
        this.changed();
        return;
      }
      case 'add-step':
        if (!said.tookOut(tap.stepId))
          await row(
            `insert into wash_step (id, wash_day_id, position, slot, status, extra) values ($1, $2, $3, $4, 'waiting', '{}')
           on conflict (id) do nothing`,
            [tap.stepId, washDayId, tap.position, tap.slot],
          );
        await this.passOver(tap);
        return;
      case 'take-out':
        await row('delete from wash_step where id = $1 and wash_day_id = $2 and plan_step_id is null', [
          tap.stepId,
          washDayId,
        ]);
        return;
      case 'day': {
        await this.standing();
        await changeInto(client, washDayId, without(tap.set, said.fieldsSince(tap)));
        this.changed();
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
        const { ratings, overtaken } = said.ownOf(tap);
        const { checkInId: id, stage, lookedAt: at, note, rater } = tap;
        await checkInInto(
          client,
          await this.standing(),
          { id, washDayId, stage, day: tap.day, at, ratings, curls: [], note, rater },
          overtaken,
        );
        return;
      }
      case 'event':
        if (tap.gone) await eventGone(client, await this.standing(), tap.eventId);
        else
          await eventInto(client, await this.standing(), {
            id: tap.eventId,
            washDayId,
            kind: tap.event,
            on: tap.on,
          });
        return;
      case 'finish':
        await this.standing();
        await finishInto(client, washDayId, tap.at);
        // A step that was taken up again after this moment, but heard of before it, still waits.
        await row("update wash_step set status = 'waiting' where wash_day_id = $1 and id = any($2::uuid[])", [
          washDayId,
          said.waitingAfter(tap),
        ]);
        this.changed();
    }
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

/** A tap as it goes on record, with why it was refused. */
interface Recorded {
  tap: HeardTap;
  refused: string | null;
}

async function record(
  client: Client,
  washDayId: string,
  device: string,
  clockAheadMs: number,
  taps: readonly Recorded[],
): Promise<void> {
  if (taps.length === 0) return;
  await client.query(
    `insert into wash_tap (id, wash_day_id, device, at, kind, body, refused, clock_ahead_ms)
     select t.id, $1, $2, t.at, t.kind, t.body, t.refused, $3
     from jsonb_to_recordset($4::jsonb) as t(id uuid, at timestamptz, kind text, body jsonb, refused text)`,
    [
      washDayId,
      device,
      clockAheadMs,
      JSON.stringify(
        taps.map(({ tap: { id, at, kind, ...body }, refused }) => ({ id, at, kind, body, refused })),
      ),
    ],
  );
}

/**
 * Applies taps in their order. Not `carefully`, the first that cannot stand throws, whatever it has done already; else
 * each is undone alone.
 */
async function applyAll(
  client: Client,
  washDayId: string,
  taps: readonly HeardTap[],
  carefully: boolean,
): Promise<Recorded[]> {
  const hearing = new Hearing(
    client,
    await SaidBefore.of(client, washDayId),
    await holdWashDay(client, washDayId),
  );
  const recorded: Recorded[] = [];
  for (const tap of taps) {
    let refused: string | null = null;
    if (carefully) await client.query('savepoint tap');
    try {
      await hearing.apply(tap);
      hearing.said.add(tap);
    } catch (error) {
      refused = error instanceof Refusal ? error.message : impossible(error);
      if (refused === null || !carefully) throw error;
      await client.query('rollback to savepoint tap');
    }
    if (carefully) await client.query('release savepoint tap');
    recorded.push({ tap, refused });
  }
  await hearing.standing();
  return recorded;
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
    await holdWashDay(client, washDayId);
    const heard: string[] = [];
    const refused: RefusedTap[] = [];
    const fresh = new Map<string, HeardTap>();
    for (const raw of taps) {
      const read = readTap(raw, aheadMs);
      if ('tap' in read) {
        heard.push(read.tap.id);
        if (!fresh.has(read.tap.id)) fresh.set(read.tap.id, read.tap);
      } else {
        heard.push(read.id);
        refused.push(read);
      }
    }
    const known = await client.query<{ id: string; refused: string | null; elsewhere: boolean }>(
      'select id, refused, wash_day_id <> $2 as elsewhere from wash_tap where id = any($1::uuid[])',
      [[...fresh.keys()], washDayId],
    );
    for (const { id, refused: why, elsewhere } of known.rows) {
      fresh.delete(id);
      const detail = elsewhere ? 'A tap of another wash day has this id.' : why;
      if (detail) refused.push({ id, detail });
    }
    if (fresh.size > 0) {
      const list = [...fresh.values()];
      await client.query('savepoint taps');
      const recorded = await applyAll(client, washDayId, list, false).catch(async (error) => {
        if (!(error instanceof Refusal) && impossible(error) === null) throw error;
        // Something among them cannot stand: once more, one by one.
        await client.query('rollback to savepoint taps');
        return applyAll(client, washDayId, list, true);
      });
      await record(client, washDayId, device, aheadMs, recorded);
      for (const { tap, refused: detail } of recorded)
        if (detail !== null) refused.push({ id: tap.id, detail });
    }
    return { day: await readWashDay(client, washDayId), heard, refused, clockAheadMs: aheadMs };
  });
}
