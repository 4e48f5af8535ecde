import { randomInt } from 'node:crypto';
import { type PanelInput, TrialInput } from '@sabor/contract/trial';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { drawPanel, panelProblem } from '@sabor/core/trial/panel';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, Refusal } from '../../http/problems.ts';
import { readTrial } from './read.ts';
import { saveInto } from './save.ts';

/** A trial's zones that count, found again on another head by place and side. */
async function weightsOn(
  client: Client,
  trial: TrialDetail,
  wearerId: string,
): Promise<TrialInput['weights']> {
  const { rows } = await client.query<{ zoneId: string; weight: number }>(
    `select there.id as "zoneId", w.weight from trial_zone w join zone here on here.id = w.zone_id
       join zone there on there.wearer_id = $2 and there.place = here.place and there.side = here.side
         and there.own_name is not distinct from here.own_name
     where w.trial_id = $1`,
    [trial.id, wearerId],
  );
  const wearer = await client.query<{ name: string }>('select name from wearer where id = $1', [wearerId]);
  if (!wearer.rows[0]) throw atField('wearerIds', 'Sabor has no such wearer. Choose another.');
  if (rows.length !== trial.weights.length)
    throw atField('wearerIds', `${wearer.rows[0].name}’s head lacks a zone that counts in this trial.`);
  return rows.map(({ zoneId, weight }) => ({ zoneId, weight: Number(weight) }));
}

/** The same plan with ids of its own, on another head. */
function copyFor(trial: TrialDetail, wearerId: string, weights: TrialInput['weights']): unknown {
  const ids = new Map(trial.plan.map(({ id }) => [id, v7()]));
  return {
    ...trial,
    id: v7(),
    wearerId,
    weights,
    plan: trial.plan.map((step) => ({ ...step, id: ids.get(step.id)! })),
    arms: trial.arms.map((arm) => ({
      ...arm,
      id: v7(),
      steps: arm.steps.map((step) => ({ ...step, stepId: ids.get(step.stepId)! })),
    })),
  };
}

/** Gives a trial its row of the panel instead of the lot that was drawn for it alone. */
async function giveRow(
  client: Client,
  trial: TrialDetail,
  panel: { id: string; seed: number },
  row: number,
  arms: readonly number[],
): Promise<void> {
  await client.query('delete from allocation where trial_id = $1', [trial.id]);
  await client.query(
    `insert into allocation (trial_id, position, half, arm_id)
     select $1, a.position - 1, null, a.arm from unnest($2::uuid[]) with ordinality as a(arm, position)`,
    [trial.id, arms.map((arm) => trial.arms[arm]!.id)],
  );
  await client.query('update trial set panel_id = $2, panel_row = $3, seed = $4 where id = $1', [
    trial.id,
    panel.id,
    row,
    panel.seed,
  ]);
}

/** Runs a planned trial on several heads: a copy each, allocated by the rows of Williams squares drawn for the panel. */
export async function savePanel(
  db: Db,
  trialId: string,
  { id, wearerIds }: v.InferOutput<typeof PanelInput>,
): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    await client.query('select 1 from trial where id = $1 for update', [trialId]);
    const trial = await readTrial(client, trialId);
    if (trial.panelId !== null) return trial;
    if (trial.startedAt !== null) throw new Refusal(409, 'This trial has begun; a panel is drawn before it.');
    if (trial.design !== 'complete' || trial.washDays !== trial.arms.length)
      throw new Refusal(
        409,
        'In a panel every head has each option once: plan whole heads, complete, with as many wash days as options.',
      );
    const others = [...new Set(wearerIds)].filter((wearer) => wearer !== trial.wearerId);
    const problem = panelProblem(trial.arms.length, others.length + 1);
    if (problem) throw atField('wearerIds', problem);
    const panel = { id, seed: randomInt(2 ** 31 - 1) };
    const rows = drawPanel(trial.arms.length, others.length + 1, panel.seed);
    await giveRow(client, trial, panel, 0, rows[0]!);
    for (const [i, wearerId] of others.entries()) {
      const copy = v.parse(TrialInput, copyFor(trial, wearerId, await weightsOn(client, trial, wearerId)));
      await giveRow(client, await saveInto(client, copy), panel, i + 1, rows[i + 1]!);
    }
    return readTrial(client, trialId);
  });
}
