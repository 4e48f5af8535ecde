import { randomInt } from 'node:crypto';
import type { TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { allergiesIn, namedInMixes, productsOf } from '@sabor/core/ingredients/allergies';
import { seededRandom, shuffled } from '@sabor/core/random';
import { armsOfCode, DESIGNS, schemeOf } from '@sabor/core/trial/designs';
import { allergyInWords } from '@sabor/words/allergy';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustBeNewest } from '../../db/versions.ts';
import { atField, Refusal } from '../../http/problems.ts';
import { replaceSteps } from '../routines/store.ts';
import { readTrial } from './read.ts';

type Plan = v.InferOutput<typeof TrialInput>;

async function refuseStrangers(client: Client, trial: Plan): Promise<void> {
  const wearer = await client.query('select 1 from wearer where id = $1', [trial.wearerId]);
  if (wearer.rowCount === 0) throw atField('wearerId', 'Sabor has no such wearer. Choose another.');
  const zones = await client.query('select 1 from zone where wearer_id = $1 and id = any($2::uuid[])', [
    trial.wearerId,
    trial.weights.map(({ zoneId }) => zoneId),
  ]);
  if (zones.rowCount !== trial.weights.length)
    throw atField('weights', 'A zone that counts is not on this wearer’s head. Choose the zones again.');
  if (!DESIGNS[trial.design].halves) return;
  const sides = await client.query<{ side: string }>(
    `select distinct side from zone where id = any($1::uuid[]) and side in ('left', 'right')`,
    [trial.weights.map(({ zoneId }) => zoneId)],
  );
  if (sides.rowCount !== 2)
    throw atField(
      'weights',
      'A half-head is judged on zones of the left and of the right. Choose some of each.',
    );
}

/** An allergy on the wearer's file stops a plan until it has been seen and accepted. */
async function refuseAllergies(client: Client, trial: Plan): Promise<void> {
  const { rows: avoided } = await client.query<{ ingredient: string; why: string }>(
    `select ingredient, why from wearer_avoided where wearer_id = $1 and why = 'allergy'`,
    [trial.wearerId],
  );
  if (avoided.length === 0) return;
  const { rows: products } = await client.query<{ id: string; name: string; ingredients: string | null }>(
    'select id, name, ingredients from product where id = any($1::uuid[])',
    [productsOf(trial)],
  );
  const unseen = allergiesIn([...products, ...namedInMixes(trial)], avoided).find(
    ({ key }) => !trial.acknowledged.includes(key),
  );
  if (unseen)
    throw atField(
      'acknowledged',
      `${allergyInWords(unseen)}: an allergy on this wearer’s file. Take it out, or say that it was seen and may be used.`,
    );
}

/** Distinct three-digit codes, drawn for one trial. */
const drawCodes = (n: number, seed: number): number[] =>
  shuffled(
    Array.from({ length: 900 }, (_, i) => 100 + i),
    seededRandom(seed),
  ).slice(0, n);

/** Saves a plan and draws its allocation and codes afresh. Refused once the first wash day has begun. */
export const saveTrial = (db: Db, trial: Plan, from: number | null = null): Promise<TrialDetail> =>
  transaction(db, async (client) => {
    await mustBeNewest(client, 'trial', trial.id, from, () => readTrial(client, trial.id));
    return saveInto(client, trial);
  });

/** {@link saveTrial} within a transaction under way. */
export async function saveInto(client: Client, trial: Plan): Promise<TrialDetail> {
  const known = await client.query<{ started_at: string | null; plan_id: string; panel_id: string | null }>(
    'select started_at, plan_id, panel_id from trial where id = $1 for update',
    [trial.id],
  );
  const old = known.rows[0];
  if (old?.panel_id)
    throw new Refusal(409, 'This trial is part of a panel: its plan is the same on every head and stays.');
  if (old?.started_at)
    throw new Refusal(409, 'This trial has begun. What was planned before the first wash day is locked.');
  await refuseStrangers(client, trial);
  await refuseAllergies(client, trial);
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
    `insert into trial (id, wearer_id, plan_id, question, design, primary_outcome, on_day, line_value, matters, wash_days,
         wear_days, cadence_days, looks, blind, acknowledged, seed, by_side, asked, judged_from, judged_to)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20)
       on conflict (id) do update set wearer_id = excluded.wearer_id, question = excluded.question,
         design = excluded.design, primary_outcome = excluded.primary_outcome, on_day = excluded.on_day,
         line_value = excluded.line_value, matters = excluded.matters, wash_days = excluded.wash_days,
         wear_days = excluded.wear_days, cadence_days = excluded.cadence_days, looks = excluded.looks,
         blind = excluded.blind, acknowledged = excluded.acknowledged, seed = excluded.seed,
         by_side = excluded.by_side, asked = excluded.asked, judged_from = excluded.judged_from,
         judged_to = excluded.judged_to`,
    [
      trial.id,
      trial.wearerId,
      planId,
      trial.question,
      trial.design,
      trial.primary,
      trial.onDay,
      trial.line,
      trial.matters,
      trial.washDays,
      trial.wearDays,
      trial.cadenceDays,
      trial.looks,
      trial.blind,
      trial.acknowledged,
      seed,
      trial.bySide,
      trial.asked,
      trial.judgedFrom,
      trial.judgedTo,
    ],
  );
  await client.query(
    `insert into trial_zone (trial_id, zone_id, weight)
       select $1, z."zoneId", z.weight from jsonb_to_recordset($2::jsonb) as z("zoneId" uuid, weight numeric)`,
    [trial.id, JSON.stringify(trial.weights)],
  );
  await saveArms(client, trial);
  await saveLot(client, trial, seed);
  return readTrial(client, trial.id);
}

async function saveArms(client: Client, trial: Plan): Promise<void> {
  const codes = trial.blind ? drawCodes(trial.arms.length, randomInt(2 ** 31 - 1)) : [];
  await client.query(
    `insert into arm (id, trial_id, position, name, code)
     select a.id, $1, a.position, a.name, a.code
     from jsonb_to_recordset($2::jsonb) as a(id uuid, position int, name text, code int)`,
    [
      trial.id,
      JSON.stringify(
        trial.arms.map(({ id, name }, position) => ({ id, name, position, code: codes[position] ?? null })),
      ),
    ],
  );
  const tested = new Set(trial.plan.filter((step) => step.part === 'tested').map((step) => step.id));
  const armSteps = trial.arms.flatMap((arm) =>
    arm.steps.filter((step) => tested.has(step.stepId)).map((step) => ({ ...step, armId: arm.id })),
  );
  await client.query(
    `insert into arm_step (arm_id, step_id, product_id, dose, skipped, settings)
     select x."armId", x."stepId", x."productId", x.dose, x.skipped, x.settings
     from jsonb_to_recordset($1::jsonb)
       as x("armId" uuid, "stepId" uuid, "productId" uuid, dose jsonb, skipped boolean, settings jsonb)`,
    [JSON.stringify(armSteps)],
  );
}

async function saveLot(client: Client, trial: Plan, seed: number): Promise<void> {
  const { design, arms } = trial;
  const lots = schemeOf(design, arms.length, trial.washDays)
    .draw(seed)
    .flatMap((code, position): { position: number; half: string | null; armId: string }[] => {
      const { left, right } = armsOfCode(design, code);
      return DESIGNS[design].halves
        ? [
            { position, half: 'left', armId: arms[left]!.id },
            { position, half: 'right', armId: arms[right]!.id },
          ]
        : [{ position, half: null, armId: arms[left]!.id }];
    });
  await client.query(
    `insert into allocation (trial_id, position, half, arm_id)
     select $1, a.position, a.half, a."armId"
     from jsonb_to_recordset($2::jsonb) as a(position int, half text, "armId" uuid)`,
    [trial.id, JSON.stringify(lots)],
  );
}
