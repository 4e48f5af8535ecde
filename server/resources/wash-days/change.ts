import type { WashDay, WashDayChange } from '@sabor/contract/wash-day';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField } from '../../http/problems.ts';
import { mustBeApart } from './apart.ts';
import { readWashDay } from './read.ts';
import { openWashDay } from './standing.ts';
import { recordAsTap } from './tap-record.ts';

type Change = v.InferOutput<typeof WashDayChange>;

/** What may be changed of a wash day, each with its column. */
const COLUMNS = {
  temperatureC: 'temperature_c',
  humidity: 'humidity',
  windMs: 'wind_ms',
  startedAt: 'started_at',
  washedAt: 'washed_at',
  dry80At: 'dry80_at',
  dry90At: 'dry90_at',
  dryAt: 'dry_at',
  revealAt: 'reveal_at',
  note: 'note',
  doseFelt: 'dose_felt',
  strain: 'strain',
  patience: 'patience',
  shedHairs: 'shed_hairs',
  shedCounted: 'shed_counted',
  cameFrom: 'came_from',
  fastened: 'fastened',
  styleDays: 'style_days',
  styleMeant: 'style_meant',
  accepts: 'accepts',
} as const satisfies Record<keyof Change, string>;

type Clocks = Pick<WashDay, 'startedAt' | 'washedAt' | 'dry80At' | 'dry90At' | 'dryAt' | 'revealAt'>;

/** Refuses moments that do not follow one another. */
function mustFollow(next: Clocks): void {
  const order = [
    ['washedAt', 'The wash', next.washedAt, next.startedAt, 'the wash day began'],
    ['dry80At', '80 % dry', next.dry80At, next.washedAt ?? next.startedAt, 'the wash'],
    [
      'dry90At',
      '90 % dry',
      next.dry90At,
      next.dry80At ?? next.washedAt ?? next.startedAt,
      'what came before it',
    ],
    [
      'dryAt',
      'Dry',
      next.dryAt,
      next.dry90At ?? next.dry80At ?? next.washedAt ?? next.startedAt,
      next.dry90At || next.dry80At ? 'what came before it' : 'the wash',
    ],
    [
      'revealAt',
      'The finished hair',
      next.revealAt,
      next.dryAt ?? next.washedAt ?? next.startedAt,
      'the hair was dry',
    ],
  ] as const;
  for (const [field, what, at, earlier, than] of order)
    if (at !== null && Date.parse(at) < Date.parse(earlier) - 60_000)
      throw atField(field, `${what} cannot come before ${than}. Check the times.`);
}

/** A wash day cannot begin before the one before it in its trial ended, nor at the time of another of its head. */
async function mustBeginBetween(client: Client, id: string, startedAt: string): Promise<void> {
  const { rows } = await client.query<{ wearerId: string; last: string | null }>(
    `select t.wearer_id as "wearerId", (select max(coalesce(o.wear_ended_at, o.abandoned_at)) from wash_day o
       where o.trial_id = d.trial_id and o.id <> d.id and o.started_at < d.started_at) as last
     from wash_day d join trial t on t.id = d.trial_id where d.id = $1`,
    [id],
  );
  const { wearerId, last } = rows[0]!;
  if (last && Date.parse(startedAt) < Date.parse(last))
    throw atField('startedAt', 'This wash day would begin before the last one ended. Check the time.');
  await mustBeApart(client, wearerId, startedAt, id);
}

/** Changes an open wash day, and records it as a tap of now. What is left out stays. */
export async function changeWashDay(db: Db, id: string, device: string, change: Change): Promise<WashDay> {
  return transaction(db, async (client) => {
    await openWashDay(client, id);
    await changeInto(client, id, change);
    await recordAsTap(client, id, device, { kind: 'day', set: change });
    return readWashDay(client, id);
  });
}

/** {@link changeWashDay} within a transaction under way, without its record. */
export async function changeInto(client: Client, id: string, change: Change): Promise<void> {
  const given = (Object.keys(COLUMNS) as (keyof Change)[]).filter((field) => change[field] !== undefined);
  if (given.length === 0) return;
  const { rows } = await client.query<Clocks>(
    `select started_at as "startedAt", washed_at as "washedAt", dry80_at as "dry80At", dry90_at as "dry90At",
       dry_at as "dryAt", reveal_at as "revealAt" from wash_day where id = $1`,
    [id],
  );
  if (change.startedAt !== undefined) await mustBeginBetween(client, id, change.startedAt);
  mustFollow({ ...rows[0]!, ...Object.fromEntries(given.map((field) => [field, change[field]])) });
  await client.query(
    `update wash_day set ${given.map((field, i) => `${COLUMNS[field]} = $${i + 2}`).join(', ')} where id = $1`,
    [id, ...given.map((field) => change[field])],
  );
}

/** Wash, dry and reveal times that their steps tell, where none has been given and they come in order. */
export const CLOCKS = `
  with told as (
    select min(done_at) filter (where slot = 'cleanse') as washed,
      max(done_at) filter (where slot in ('dry', 'set')) as dry,
      max(done_at) filter (where slot = 'break-cast') as revealed
    from wash_step where wash_day_id = $1 and status = 'done'),
  first as (
    select coalesce(d.washed_at, t.washed) as washed, coalesce(d.dry_at, t.dry) as dry,
      coalesce(d.reveal_at, t.revealed) as revealed from wash_day d, told t where d.id = $1)
  update wash_day d set washed_at = f.washed,
    dry_at = case when f.dry >= f.washed or f.washed is null or d.dry_at is not null then f.dry end,
    reveal_at = case when f.revealed >= f.dry or f.dry is null or d.reveal_at is not null then f.revealed end
  from first f where d.id = $1`;
