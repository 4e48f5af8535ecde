import { randomInt } from 'node:crypto';
import type { Attainable, Trial, TrialDetail, TrialInput } from '@sabor/contract/trial';
import { balancedComplete, canDecide, smallestP } from '@sabor/core/trial/allocation';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { DOSE_COLUMN_NAMES, doseColumns, doseOf, stepJson } from '../routines/step-sql.ts';
import { replaceSteps } from '../routines/store.ts';
import { readWashDays } from '../wash-days/store.ts';

/**
 * A position's arm shows once its wash day has begun, or the trial is over; until then it is sealed, and with it the
 * seed it could be drawn from again.
 */
const TRIALS = `
  select t.id, t.wearer_id as "wearerId", w.name as "wearerName", t.question, r.name as "routineName", t.status,
    t.primary_outcome as "primary", t.line_value as line, t.matters, t.alpha, t.wash_days as "washDays",
    t.wear_days as "wearDays", t.created_at as "createdAt", t.started_at as "startedAt", t.ended_at as "endedAt",
    t.end_reason as "endReason", t.archived_at as "archivedAt",
    case when t.ended_at is not null then t.seed end as seed,
    (select coalesce(json_agg(${stepJson('s')} order by s.position), '[]') from step s where s.routine_id = t.plan_id) as plan,
    (select coalesce(json_agg(json_build_object('id', a.id, 'name', a.name, 'steps',
        (select coalesce(json_agg(json_build_object('stepId', x.step_id, 'productId', x.product_id, 'dose', ${doseOf('x')})), '[]')
           from arm_step x where x.arm_id = a.id)) order by a.position), '[]')
       from arm a where a.trial_id = t.id) as arms,
    (select coalesce(json_agg(json_build_object('zoneId', z.zone_id, 'weight', z.weight) order by z.zone_id), '[]')
       from trial_zone z where z.trial_id = t.id) as weights,
    (select coalesce(json_agg(case when t.ended_at is not null
          or exists (select 1 from wash_day d where d.trial_id = t.id and d.position = l.position)
          then l.arm_id end order by l.position), '[]')
       from allocation l where l.trial_id = t.id) as allocation,
    (select count(*) from wash_day d where d.trial_id = t.id and d.abandoned_at is null) as "washDaysDone"
  from trial t join wearer w on w.id = t.wearer_id join routine r on r.id = t.plan_id`;

type Row = Omit<Trial, 'attainable'>;

function attainable(arms: number, washDays: number, alpha: number): Attainable {
  const scheme = balancedComplete(arms, washDays);
  return { sequences: scheme.size, smallestP: smallestP(scheme), decides: canDecide(scheme, alpha) };
}

const withAttainable = (row: Row): Trial => ({
  ...row,
  attainable: attainable(row.arms.length, row.washDays, row.alpha),
});

export async function readTrials(db: Client): Promise<Trial[]> {
  const { rows } = await db.query<Row>(`${TRIALS} order by t.created_at desc`);
  return rows.map(withAttainable);
}

export async function readTrial(db: Client, id: string): Promise<TrialDetail> {
  const { rows } = await db.query<Row>(`${TRIALS} where t.id = $1`, [id]);
  if (!rows[0]) throw notFound('trial');
  return { ...withAttainable(rows[0]), washDayRecords: await readWashDays(db, { trialId: id }) };
}

/** Saves a plan and draws its allocation afresh. Refused once the first wash day has begun. */
export async function saveTrial(db: Db, trial: v.InferOutput<typeof TrialInput>): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const known = await client.query<{ started_at: string | null; plan_id: string }>(
      'select started_at, plan_id from trial where id = $1 for update',
      [trial.id],
    );
    const old = known.rows[0];
    if (old?.started_at)
      throw new Refusal(409, 'This trial has begun. What was promised before the first wash day is locked.');
    const wearer = await client.query<{ under_age: boolean; consent_on: string | null }>(
      'select under_age, consent_on from wearer where id = $1',
      [trial.wearerId],
    );
    if (!wearer.rows[0]) throw atField('wearerId', 'Sabor has no such wearer. Choose another.');
    const zones = await client.query('select 1 from zone where wearer_id = $1 and id = any($2::uuid[])', [
      trial.wearerId,
      trial.weights.map(({ zoneId }) => zoneId),
    ]);
    if (zones.rowCount !== trial.weights.length)
      throw atField('weights', 'A zone that counts is not on this wearer’s head. Choose the zones again.');
    const plan = await client.query<{ id: string }>(
      old
        ? 'update routine set wearer_id = $1, name = $2 where id = $3 returning id'
        : 'insert into routine (id, wearer_id, name, is_plan) values (coalesce($3, gen_random_uuid()), $1, $2, true) returning id',
      [trial.wearerId, trial.routineName, old?.plan_id ?? null],
    );
    const planId = plan.rows[0]!.id;
    await client.query('delete from arm_step x using arm a where a.id = x.arm_id and a.trial_id = $1', [
      trial.id,
    ]);
    await client.query('delete from allocation where trial_id = $1', [trial.id]);
    await client.query('delete from arm where trial_id = $1', [trial.id]);
    await client.query('delete from trial_zone where trial_id = $1', [trial.id]);
    await replaceSteps(client, planId, trial.plan);
    const seed = randomInt(2 ** 31 - 1);
    await client.query(
      `insert into trial (id, wearer_id, plan_id, question, primary_outcome, line_value, matters, wash_days, wear_days, seed)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
       on conflict (id) do update set wearer_id = excluded.wearer_id, question = excluded.question,
         primary_outcome = excluded.primary_outcome, line_value = excluded.line_value, matters = excluded.matters,
         wash_days = excluded.wash_days, wear_days = excluded.wear_days, seed = excluded.seed`,
      [
        trial.id,
        trial.wearerId,
        planId,
        trial.question,
        trial.primary,
        trial.line,
        trial.matters,
        trial.washDays,
        trial.wearDays,
        seed,
      ],
    );
    await client.query(
      `insert into trial_zone (trial_id, zone_id, weight)
       select $1, z."zoneId", z.weight from jsonb_to_recordset($2::jsonb) as z("zoneId" uuid, weight numeric)`,
      [trial.id, JSON.stringify(trial.weights)],
    );
    await client.query(
      `insert into arm (id, trial_id, position, name)
       select a.id, $1, a.position, a.name from jsonb_to_recordset($2::jsonb) as a(id uuid, position int, name text)`,
      [trial.id, JSON.stringify(trial.arms.map(({ id, name }, position) => ({ id, name, position })))],
    );
    const tested = new Set(trial.plan.filter((step) => step.part === 'tested').map((step) => step.id));
    const armSteps = trial.arms.flatMap((arm) =>
      arm.steps.filter((step) => tested.has(step.stepId)).map((step) => ({ ...step, armId: arm.id })),
    );
    await client.query(
      `insert into arm_step (arm_id, step_id, product_id, ${DOSE_COLUMN_NAMES})
       select x."armId", x."stepId", x."productId", ${doseColumns('x.dose')}
       from jsonb_to_recordset($1::jsonb) as x("armId" uuid, "stepId" uuid, "productId" uuid, dose jsonb)`,
      [JSON.stringify(armSteps)],
    );
    const sequence = balancedComplete(trial.arms.length, trial.washDays).draw(seed);
    await client.query(
      `insert into allocation (trial_id, position, arm_id)
       select $1, a.position, a."armId" from jsonb_to_recordset($2::jsonb) as a(position int, "armId" uuid)`,
      [trial.id, JSON.stringify(sequence.map((arm, position) => ({ position, armId: trial.arms[arm]!.id })))],
    );
    return readTrial(client, trial.id);
  });
}

export async function endTrial(db: Client, id: string, reason: string): Promise<void> {
  const { rowCount } = await db.query(
    `update trial set status = 'ended', ended_at = now(), end_reason = $2 where id = $1 and ended_at is null`,
    [id, reason],
  );
  if (rowCount === 0) throw new Refusal(409, 'This trial is over already, or was never there.');
}
