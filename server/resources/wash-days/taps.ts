import { storable } from '@sabor/contract/storable';
import { type HeardTap, type RefusedTap, Tap, type TapsHeard, type TapsInput } from '@sabor/contract/taps';
import type * as v from 'valibot';
import { safeParse } from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { Refusal } from '../../http/problems.ts';
import { aheadOf, setRight } from './device-clock.ts';
import { Hearing } from './hearing.ts';
import { readWashDay } from './read.ts';
import { SaidBefore } from './said-before.ts';
import { holdWashDay } from './standing.ts';

/** A sentence for what the tables themselves refuse (SQLSTATE classes 21 to 23); null for any other failure. */
function impossible(error: unknown): string | null {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === 'string' && /^2[123]/.test(code)
    ? 'This does not fit what is stored: a product, a step or an amount in it is not known.'
    : null;
}

/** A tap read from what a device sent, or what is wrong with it; its id where it has one. */
function readTap(raw: unknown, aheadMs: number): { tap: HeardTap } | { id: string; detail: string } {
  const given = typeof raw === 'object' && raw !== null && 'id' in raw ? raw.id : null;
  const id = typeof given === 'string' ? given.slice(0, 100) : '';
  const clean = storable(raw);
  if (clean.problem !== null) return { id, detail: clean.problem };
  const read = safeParse(Tap, aheadMs === 0 ? clean.value : setRight(clean.value, aheadMs));
  return read.success ? { tap: read.output } : { id, detail: read.issues[0].message };
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
  by: string,
  carefully: boolean,
): Promise<Recorded[]> {
  const hearing = new Hearing(
    client,
    await SaidBefore.of(client, washDayId),
    await holdWashDay(client, washDayId),
    by,
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
      // The clocks may have been worked out on the way, and are undone with it.
      hearing.changed();
    }
    if (carefully) await client.query('release savepoint tap');
    recorded.push({ tap, refused });
  }
  await hearing.standing();
  return recorded;
}

/**
 * Takes a device's taps, in their order, each once. One that cannot stand, or cannot be stored, is refused with its
 * sentence and holds up no other; sending it again changes nothing. `by`: who is signed in, where that is not the tester. Moments of a clock that is minutes wrong are set
 * right by the device's own time of sending, and it is said so.
 */
export async function hearTaps(
  db: Db,
  washDayId: string,
  { device, taps, now, database }: v.InferOutput<typeof TapsInput>,
  by = '',
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
      const recorded = await applyAll(client, washDayId, list, by, false).catch(async (error) => {
        if (!(error instanceof Refusal) && impossible(error) === null) throw error;
        // Something among them cannot stand: once more, one by one.
        await client.query('rollback to savepoint taps');
        return applyAll(client, washDayId, list, by, true);
      });
      await record(client, washDayId, device, aheadMs, recorded);
      for (const { tap, refused: detail } of recorded)
        if (detail !== null) refused.push({ id: tap.id, detail });
    }
    return { day: await readWashDay(client, washDayId), heard, refused, clockAheadMs: aheadMs };
  });
}
