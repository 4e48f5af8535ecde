import type { StartWashDay, WashDay } from '@sabor/contract/wash-day';
import type { Design } from '@sabor/core/trial/designs';
import type * as v from 'valibot';
import { type Db, transaction } from '../../db/pool.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { DOSE_COLUMN_NAMES } from '../routines/step-sql.ts';
import { nextDose } from '../trials/next-dose.ts';
import { readStations } from '../weather/store.ts';
import { readWashDay } from './read.ts';

/** A part of the dose a wash day's step starts with: the arm's or the plan's, for one half half of a head's. */
function startDose(part: string): string {
  const own = `case when x.dose_kind is not null then x.dose_${part} else p.dose_${part} end`;
  if (part !== 'low' && part !== 'high') return own;
  const per = `case when x.dose_kind is not null then x.dose_per else p.dose_per end`;
  return `(${own}) / case when h.half is not null and (${per}) = 'head' then 2 else 1 end`;
}

/** Settings an arm may have otherwise than the plan, with their types. */
const OVERRIDES = [
  ['sections', 'int'],
  ['wetness', 'text'],
  ['minutes', 'numeric'],
  ['technique', 'text'],
  ['tool', 'text'],
  ['heat', 'text'],
] as const;

/**
 * Begins the next allocated wash day: opens its place in the allocation and copies plan and arm into its steps.
 * Sent twice with one id it does nothing more. An abandoned day's place comes up again with the same arm.
 */
export async function startWashDay(db: Db, start: v.InferOutput<typeof StartWashDay>): Promise<WashDay> {
  return transaction(db, async (client) => {
    const trial = await client.query<{
      ended_at: string | null;
      plan_id: string;
      design: Design;
      by_side: boolean;
    }>('select ended_at, plan_id, design, by_side from trial where id = $1 for update', [start.trialId]);
    if (!trial.rows[0]) throw notFound('trial');
    const twice = await client.query('select 1 from wash_day where id = $1', [start.id]);
    if (twice.rowCount) return readWashDay(client, start.id);
    if (trial.rows[0].ended_at) throw new Refusal(409, 'This trial is over; it takes no more wash days.');
    const open = await client.query<{ position: number; done: boolean }>(
      `select position, routine_done_at is not null as done from wash_day
       where trial_id = $1 and abandoned_at is null and wear_ended_at is null`,
      [start.trialId],
    );
    if (open.rows[0])
      throw new Refusal(
        409,
        open.rows[0].done
          ? `Wash day ${open.rows[0].position + 1} is still being worn. Say how its wear ended first.`
          : `Wash day ${open.rows[0].position + 1} is still under way. Finish or abandon it first.`,
      );
    const before = await client.query<{ last: string | null }>(
      'select max(coalesce(wear_ended_at, abandoned_at)) as last from wash_day where trial_id = $1',
      [start.trialId],
    );
    const last = before.rows[0]?.last;
    if (last && Date.parse(start.startedAt) < Date.parse(last))
      throw atField('startedAt', 'This wash day would begin before the last one ended. Check the time.');
    const next = await client.query<{ position: number; arm_id: string; right_arm_id: string | null }>(
      `select l.position, l.arm_id, r.arm_id as right_arm_id
       from allocation l left join allocation r on r.trial_id = l.trial_id and r.position = l.position and r.half = 'right'
       where l.trial_id = $1 and l.half is distinct from 'right' and not exists (
         select 1 from wash_day d where d.trial_id = l.trial_id and d.position = l.position and d.abandoned_at is null)
       order by l.position limit 1`,
      [start.trialId],
    );
    const place = next.rows[0];
    if (!place) throw new Refusal(409, 'All planned wash days of this trial have been run.');
    await readStations(client, new Date());
    await client.query(
      `update trial set status = 'running', started_at = coalesce(started_at, $2) where id = $1`,
      [start.trialId, start.startedAt],
    );
    await client.query(
      'insert into wash_day (id, trial_id, position, arm_id, right_arm_id, started_at) values ($1, $2, $3, $4, $5, $6)',
      [start.id, start.trialId, place.position, place.arm_id, place.right_arm_id, start.startedAt],
    );
    // A tested step of a half-head is done twice, once for each half with its own arm.
    await client.query(
      `insert into wash_step (id, wash_day_id, plan_step_id, position, half, slot, status, product_id,
         ${DOSE_COLUMN_NAMES}, sections, wetness, minutes, technique, tool, heat, extra, planned)
       select gen_random_uuid(), $1, p.id, case
           -- One side through, then the other: the right one's steps follow the last of the left, in their order.
           when h.half = 'right' and $5 then (select max(l.position) from step l where l.routine_id = $4 and l.part = 'tested')
             + 0.5 + p.position / 1000.0
           when h.half = 'right' then p.position + 0.5 else p.position end, h.half, p.slot,
         case when x.skipped then 'skipped' else 'waiting' end, coalesce(x.product_id, p.product_id),
         ${['kind', 'low', 'high', 'measure', 'per'].map(startDose).join(', ')},
         ${OVERRIDES.map(
           ([column, type]) =>
             `case when x.settings ? '${column}' then (x.settings->>'${column}')::${type} else p.${column} end`,
         ).join(', ')},
         p.extra || coalesce(x.settings->'extra', '{}'),
         planned_settings(p.id, case when h.half = 'right' then $3::uuid else $2::uuid end, h.half)
       from step p
       cross join lateral unnest(case when p.part = 'tested' and $3::uuid is not null
         then array['left', 'right'] else array[null::text] end) as h(half)
       left join arm_step x on x.step_id = p.id
         and x.arm_id = case when h.half = 'right' then $3::uuid else $2::uuid end
       where p.routine_id = $4`,
      [start.id, place.arm_id, place.right_arm_id, trial.rows[0].plan_id, trial.rows[0].by_side],
    );
    if (trial.rows[0].design === 'dose-run-in') await nextDose(client, start.trialId, start.id);
    return readWashDay(client, start.id);
  });
}
