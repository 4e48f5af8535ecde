import type { Envelope } from '@sabor/contract/envelope';
import type { StartWashDay, WashDay, WashStep } from '@sabor/contract/wash-day';
import type { ArmStep } from '@sabor/core/step/in-arm';
import { productsOnHead } from '@sabor/core/step/on-head';
import { type StepOfPlan, stepsOfDay } from '@sabor/core/step/steps-of-day';
import { DESIGNS, type Design } from '@sabor/core/trial/designs';
import { v7 } from 'uuid';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { mustNotReact } from '../patch-tests/store.ts';
import { SETTINGS_COLUMNS, SETTINGS_RECORD, settingsOfRecord, stepJson } from '../routines/step-sql.ts';
import { readStations } from '../weather/store.ts';
import { endWearInto } from './end.ts';
import { type Enclosed, makeEnvelope, mustBePreparable, openEnvelope } from './envelope.ts';
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

/** The next place of the allocation, and its steps: the plan with what its arms set. Throws a Refusal where there is none. */
async function drawn(
  client: Client,
  trialId: string,
  { plan, arms }: Awaited<ReturnType<typeof readOptions>>,
  bySide: boolean,
): Promise<Enclosed> {
  const next = await client.query<Enclosed['place']>(
    `select l.position, l.arm_id, r.arm_id as right_arm_id
       from allocation l left join allocation r on r.trial_id = l.trial_id and r.position = l.position and r.half = 'right'
       where l.trial_id = $1 and l.half is distinct from 'right' and not exists (
         select 1 from wash_day d where d.trial_id = l.trial_id and d.position = l.position and d.abandoned_at is null)
       order by l.position limit 1`,
    [trialId],
  );
  const place = next.rows[0];
  if (!place) throw new Refusal(409, 'All planned wash days of this trial have been run.');
  const of = (arm: string) => arms.find(({ id }) => id === arm)!.steps;
  const own = { left: of(place.arm_id), right: place.right_arm_id === null ? null : of(place.right_arm_id) };
  return { place, steps: stepsOfDay(plan, own, bySide, v7) };
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

/** Stores a wash day that begins, with its steps. */
async function insertDay(
  client: Client,
  id: string,
  trialId: string,
  { place, steps }: Enclosed,
  startedAt: string,
): Promise<void> {
  await client.query(
    'insert into wash_day (id, trial_id, position, arm_id, right_arm_id, started_at) values ($1, $2, $3, $4, $5, $6)',
    [id, trialId, place.position, place.arm_id, place.right_arm_id, startedAt],
  );
  await insertWashSteps(
    client,
    steps.map((step) => ({ ...step, washDayId: id })),
  );
}

/**
 * Begins the next allocated wash day: opens its place in the allocation and copies plan and arm into its steps.
 * Sent twice with one id it does nothing more. An abandoned day's place comes up again with the same arm.
 */
export const startWashDay = (db: Db, start: StartWashDay): Promise<WashDay> =>
  transaction(db, (client) => startInto(client, start));

/** {@link startWashDay} within a transaction under way. */
export async function startInto(client: Client, start: StartWashDay): Promise<WashDay> {
  const trial = await client.query<{
    ended_at: string | null;
    plan_id: string;
    design: Design;
    by_side: boolean;
    wearer_id: string;
    logged: boolean;
    toBeBlind: boolean;
  }>(
    `select ended_at, plan_id, design, by_side, wearer_id, logged, blind and started_at is null as "toBeBlind"
     from trial where id = $1 for update`,
    [start.trialId],
  );
  if (!trial.rows[0]) throw notFound('trial');
  const twice = await client.query('select 1 from wash_day where id = $1', [start.id]);
  if (twice.rowCount) return readWashDay(client, start.id);
  if (trial.rows[0].ended_at) throw new Refusal(409, 'This trial is over; it takes no more wash days.');
  const enclosed = await openEnvelope(client, start);
  const open = await client.query<{ id: string; position: number; done: boolean }>(
    `select id, position, routine_done_at is not null as done from wash_day
       where trial_id = $1 and abandoned_at is null and wear_ended_at is null`,
    [start.trialId],
  );
  if (open.rows[0]?.done && start.wearEnd)
    await endWearInto(client, open.rows[0].id, { kind: start.wearEnd, at: start.startedAt });
  else if (open.rows[0])
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
  let last = before.rows[0]?.last;
  if (last && enclosed && Date.parse(start.startedAt) < Date.parse(last)) {
    // A wear that was ended on another device meanwhile: it was over when the hair was washed.
    const { rowCount } = await client.query(
      `update wash_day set wear_ended_at = $2 where trial_id = $1 and wear_ended_at = $3 and reveal_at <= $2`,
      [start.trialId, start.startedAt, last],
    );
    if (rowCount) last = start.startedAt;
  }
  if (last && Date.parse(start.startedAt) < Date.parse(last))
    throw atField('startedAt', 'This wash day would begin before the last one ended. Check the time.');
  // From here on its options are codes: by the ids they had in the open plan nothing can be held beside them.
  if (trial.rows[0].toBeBlind)
    await client.query('update arm set id = gen_random_uuid() where trial_id = $1', [start.trialId]);
  const options = await readOptions(client, start.trialId, trial.rows[0].plan_id);
  // All options' products, whichever is drawn: refusing only the drawn one would give it away. A prepared wash day has been.
  if (!trial.rows[0].logged && !enclosed)
    await mustNotReact(
      client,
      trial.rows[0].wearer_id,
      productsOnHead(options.plan, options.arms),
      start.startedAt,
    );
  const { place, steps } = enclosed ?? (await drawn(client, start.trialId, options, trial.rows[0].by_side));
  await endLoggedWears(client, trial.rows[0].wearer_id, start.startedAt);
  await readStations(client, new Date());
  await client.query('delete from next_wash where trial_id = $1', [start.trialId]);
  await client.query(
    `update trial set status = 'running', started_at = coalesce(started_at, $2) where id = $1`,
    [start.trialId, start.startedAt],
  );
  await insertDay(client, start.id, start.trialId, { place, steps }, start.startedAt);
  // What a device told as it happened is not from memory, however late it arrives.
  if (enclosed) await client.query('update wash_day set created_at = started_at where id = $1', [start.id]);
  if (DESIGNS[trial.rows[0].design].seeks === 'dose') await nextDose(client, start.trialId, start.id);
  return readWashDay(client, start.id);
}

/**
 * Prepares the next wash day of a trial for a device: begun for a moment, read, and not begun; what it would be is sealed. While
 * its envelope is out no other device begins one, and the plan stays as it is.
 */
export async function prepareWashDay(db: Db, trialId: string, id: string): Promise<Envelope> {
  return transaction(db, async (client) => {
    const told = await mustBePreparable(client, trialId);
    const { rows } = await client.query<{ plan_id: string; by_side: boolean; wearer_id: string }>(
      'select plan_id, by_side, wearer_id from trial where id = $1',
      [trialId],
    );
    const [trial] = rows as [(typeof rows)[number]];
    const options = await readOptions(client, trialId, trial.plan_id);
    const now = new Date().toISOString();
    await mustNotReact(client, trial.wearer_id, productsOnHead(options.plan, options.arms), now);
    const enclosed = await drawn(client, trialId, options, trial.by_side);
    await client.query('savepoint begun');
    await insertDay(client, id, trialId, enclosed, now);
    const day = await readWashDay(client, id);
    await client.query('rollback to savepoint begun');
    return makeEnvelope(client, { id, trialId, ...told }, enclosed, day);
  });
}
