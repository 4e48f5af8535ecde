import type { StartWashDay, WashDay, WashStep } from '@sabor/contract/wash-day';
import type { ArmStep } from '@sabor/core/step/in-arm';
import { productsOnHead } from '@sabor/core/step/on-head';
import { type StepOfPlan, stepsOfDay } from '@sabor/core/step/steps-of-day';
import { DESIGNS, type Design } from '@sabor/core/trial/designs';
import { v7 } from 'uuid';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { mustNotReact } from '../patch-tests/store.ts';
import { SETTINGS_COLUMNS, SETTINGS_RECORD, settingsOfRecord, stepJson } from '../routines/step-sql.ts';
import { readStations } from '../weather/store.ts';
import { endLoggedWears } from './logged-wears.ts';
import { nextDose } from './next-dose.ts';
import { readWashDay } from './read.ts';

/** The steps of a trial's plan, and every arm with what it sets otherwise. */
async function readOptions(
  client: Client,
  trialId: string,
  planId: string,
): Promise<{ plan: StepOfPlan[]; arms: { id: string; steps: ArmStep[] }[] }> {
  const plan = await client.query<{ step: Omit<StepOfPlan, 'position'>; position: number }>(
    `select ${stepJson('s')} as step, s.position from step s where s.routine_id = $1 order by s.position`,
    [planId],
  );
  const arms = await client.query<{ id: string; steps: ArmStep[] }>(
    `select a.id, coalesce(json_agg(json_build_object('stepId', x.step_id, 'productId', x.product_id, 'dose', x.dose,
         'skipped', x.skipped, 'settings', x.settings)) filter (where x.step_id is not null), '[]') as steps
     from arm a left join arm_step x on x.arm_id = a.id where a.trial_id = $1 group by a.id`,
    [trialId],
  );
  return { plan: plan.rows.map(({ step, position }) => ({ ...step, position })), arms: arms.rows };
}

/** Copies plan and arms into the steps of a wash day. */
async function copySteps(
  client: Client,
  washDayId: string,
  { plan, arms }: Awaited<ReturnType<typeof readOptions>>,
  { arm_id: left, right_arm_id: right }: { arm_id: string; right_arm_id: string | null },
  bySide: boolean,
): Promise<void> {
  const of = (arm: string) => arms.find(({ id }) => id === arm)!.steps;
  const steps = stepsOfDay(plan, { left: of(left), right: right === null ? null : of(right) }, bySide, v7);
  await insertWashSteps(
    client,
    steps.map((step) => ({ ...step, washDayId })),
  );
}

/** Stores steps of one wash day or many. */
export async function insertWashSteps(
  client: Client,
  steps: readonly (Omit<ReturnType<typeof stepsOfDay>[number], 'status'> & {
    washDayId: string;
    status: WashStep['status'];
  })[],
): Promise<void> {
  await client.query(
    `insert into wash_step (id, wash_day_id, plan_step_id, position, half, slot, status, planned, ${SETTINGS_COLUMNS})
     select s.id, s."washDayId", s."planStepId", s.position, s.half, s.slot, s.status, s.planned, ${settingsOfRecord('s')}
     from jsonb_to_recordset($1::jsonb) as s(id uuid, "washDayId" uuid, "planStepId" uuid, position numeric, half text,
       slot text, status text, planned jsonb, ${SETTINGS_RECORD})`,
    [JSON.stringify(steps)],
  );
}

/**
 * Begins the next allocated wash day: opens its place in the allocation and copies plan and arm into its steps.
 * Sent twice with one id it does nothing more. An abandoned day's place comes up again with the same arm.
 */
export const startWashDay = (db: Db, start: v.InferOutput<typeof StartWashDay>): Promise<WashDay> =>
  transaction(db, (client) => startInto(client, start));

/** {@link startWashDay} within a transaction under way. */
export async function startInto(client: Client, start: v.InferOutput<typeof StartWashDay>): Promise<WashDay> {
  const trial = await client.query<{
    ended_at: string | null;
    plan_id: string;
    design: Design;
    by_side: boolean;
    wearer_id: string;
    logged: boolean;
  }>('select ended_at, plan_id, design, by_side, wearer_id, logged from trial where id = $1 for update', [
    start.trialId,
  ]);
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
        ? `Wash day ${open.rows[0].position + 1} is still being worn. Say first how it ended: washed or restyled.`
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
  const options = await readOptions(client, start.trialId, trial.rows[0].plan_id);
  // All options' products, whichever is drawn: refusing only the drawn one would give it away.
  if (!trial.rows[0].logged)
    await mustNotReact(
      client,
      trial.rows[0].wearer_id,
      productsOnHead(options.plan, options.arms),
      start.startedAt,
    );
  const place = next.rows[0];
  if (!place) throw new Refusal(409, 'All planned wash days of this trial have been run.');
  await endLoggedWears(client, trial.rows[0].wearer_id, start.startedAt);
  await readStations(client, new Date());
  await client.query('delete from next_wash where trial_id = $1', [start.trialId]);
  await client.query(
    `update trial set status = 'running', started_at = coalesce(started_at, $2) where id = $1`,
    [start.trialId, start.startedAt],
  );
  await client.query(
    'insert into wash_day (id, trial_id, position, arm_id, right_arm_id, started_at) values ($1, $2, $3, $4, $5, $6)',
    [start.id, start.trialId, place.position, place.arm_id, place.right_arm_id, start.startedAt],
  );
  await copySteps(client, start.id, options, place, trial.rows[0].by_side);
  if (DESIGNS[trial.rows[0].design].seeks === 'dose') await nextDose(client, start.trialId, start.id);
  return readWashDay(client, start.id);
}
