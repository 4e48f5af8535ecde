import type { WashDay, WashDayChange, WashStepInput } from '@sabor/contract/wash-day';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, notFound } from '../../http/problems.ts';
import { DOSE_COLUMN_NAMES, doseColumns } from '../routines/step-sql.ts';
import { openWashDay, readWashDay } from './read.ts';

export async function changeWashDay(
  db: Db,
  id: string,
  change: v.InferOutput<typeof WashDayChange>,
): Promise<WashDay> {
  return transaction(db, async (client) => {
    await changeInto(client, await openWashDay(client, id), change);
    return readWashDay(client, id);
  });
}

/** {@link changeWashDay} within a transaction under way. */
export async function changeInto(
  client: Client,
  day: WashDay,
  change: v.InferOutput<typeof WashDayChange>,
): Promise<void> {
  const given = Object.entries(change).filter(([, value]) => value !== undefined);
  const next = { ...day, ...(Object.fromEntries(given) as Partial<WashDay>) };
  const order = [
    ['washedAt', 'The wash', next.washedAt, day.startedAt, 'the wash day began'],
    ['dry80At', '80 % dry', next.dry80At, next.washedAt ?? day.startedAt, 'the wash'],
    [
      'dry90At',
      '90 % dry',
      next.dry90At,
      next.dry80At ?? next.washedAt ?? day.startedAt,
      'what came before it',
    ],
    [
      'dryAt',
      'Dry',
      next.dryAt,
      next.dry90At ?? next.dry80At ?? next.washedAt ?? day.startedAt,
      next.dry90At || next.dry80At ? 'what came before it' : 'the wash',
    ],
    [
      'revealAt',
      'The reveal',
      next.revealAt,
      next.dryAt ?? next.washedAt ?? day.startedAt,
      'the hair was dry',
    ],
  ] as const;
  for (const [field, what, at, earlier, than] of order)
    if (at !== null && Date.parse(at) < Date.parse(earlier) - 60_000)
      throw atField(field, `${what} cannot come before ${than}. Check the times.`);
  await client.query(
    `update wash_day set temperature_c = $2, humidity = $3, washed_at = $4, dry_at = $5, reveal_at = $6, note = $7,
         wind_ms = $8, dry80_at = $9, dry90_at = $10, dose_felt = $11,
         strain = $12, patience = $13, shed_hairs = $14, shed_counted = $15
       where id = $1`,
    [
      day.id,
      next.temperatureC,
      next.humidity,
      next.washedAt,
      next.dryAt,
      next.revealAt,
      next.note,
      next.windMs,
      next.dry80At,
      next.dry90At,
      next.doseFelt,
      next.strain,
      next.patience,
      next.shedHairs,
      next.shedCounted,
    ],
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

/** Records what was really done in a step; a step the plan does not have is added at its place. */
export async function saveWashStep(
  db: Db,
  washDayId: string,
  step: v.InferOutput<typeof WashStepInput>,
): Promise<WashDay> {
  return transaction(db, async (client) => {
    const day = await openWashDay(client, washDayId);
    // The bottle behind a code is hidden from who sends this; what stands in it stays.
    const hidden = day.steps.some(({ id, code }) => id === step.id && code !== null);
    const { rowCount } = await client.query(
      `insert into wash_step (id, wash_day_id, position, slot, status, product_id, ${DOSE_COLUMN_NAMES}, sections,
         wetness, minutes, technique, tool, heat, extra, note, started_at, done_at)
       select s.id, $1, s.position, s.slot, s.status, s."productId", ${doseColumns('s.dose')}, s.sections, s.wetness,
         s.minutes, s.technique, s.tool, s.heat, s.extra, s.note, s."startedAt", s."doneAt"
       from jsonb_to_record($2::jsonb) as s(id uuid, position numeric, slot text, status text, "productId" uuid,
         dose jsonb, sections int, wetness text, minutes numeric, technique text, tool text, heat text, extra jsonb,
         note text, "startedAt" timestamptz, "doneAt" timestamptz)
       on conflict (id) do update set status = excluded.status,
         product_id = coalesce(excluded.product_id, case when $3 then wash_step.product_id end),
         dose_kind = excluded.dose_kind, dose_low = excluded.dose_low, dose_high = excluded.dose_high,
         dose_measure = excluded.dose_measure, dose_per = excluded.dose_per, sections = excluded.sections,
         wetness = excluded.wetness, minutes = excluded.minutes, technique = excluded.technique, tool = excluded.tool,
         heat = excluded.heat, extra = excluded.extra, note = excluded.note, started_at = excluded.started_at, done_at = excluded.done_at
       where wash_step.wash_day_id = $1`,
      [washDayId, JSON.stringify(step), hidden],
    );
    if (rowCount === 0) throw notFound('step');
    await client.query(CLOCKS, [washDayId]);
    return readWashDay(client, washDayId);
  });
}

/** Takes an added step away again; a planned one can only be skipped. */
export async function removeAddedStep(db: Db, washDayId: string, stepId: string): Promise<WashDay> {
  return transaction(db, async (client) => {
    await openWashDay(client, washDayId);
    await client.query('delete from wash_step where id = $1 and wash_day_id = $2 and plan_step_id is null', [
      stepId,
      washDayId,
    ]);
    return readWashDay(client, washDayId);
  });
}
