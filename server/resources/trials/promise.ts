import type {
  AMENDABLE,
  Amendment,
  AmendmentInput,
  OverruleInput,
  StepAmendmentInput,
} from '@sabor/contract/promise';
import { type GuessInput, overTheScale } from '@sabor/contract/trial';
import type { KeyEntry, TrialDetail } from '@sabor/contract/trial-record';
import { mainResult } from '@sabor/core/compare/main-result';
import { type ArmStep, settingsInArm } from '@sabor/core/step/in-arm';
import { SETTING_KEYS, type StepSettings, settingValue } from '@sabor/core/step/settings';
import type { Slot } from '@sabor/core/step/slots';
import { DESIGNS, type Design } from '@sabor/core/trial/designs';
import { counted } from '@sabor/words/numbers';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';
import { SETTINGS_COLUMNS, SETTINGS_RECORD, settingsOfRecord, stepJson } from '../routines/step-sql.ts';
import { mustBeNoneOut, takeBack } from '../wash-days/envelope.ts';
import { readTrial } from './read.ts';

/** What was promised before the first wash day, and what happens to it after: ended, amended, looked at, unsealed. */

export async function endTrial(db: Db, id: string, reason: string): Promise<void> {
  await transaction(db, async (client) => {
    const { rowCount } = await client.query(
      `update trial set status = 'ended', ended_at = now(), end_reason = $2 where id = $1 and ended_at is null`,
      [id, reason],
    );
    if (rowCount === 0) throw new Refusal(409, 'This trial is over already, or was never there.');
    await takeBack(client, id);
  });
}

async function lockTrial(client: Client, id: string): Promise<TrialDetail> {
  await client.query('select 1 from trial where id = $1 for update', [id]);
  return readTrial(client, id);
}

const COLUMNS: Record<keyof typeof AMENDABLE, string> = {
  question: 'question',
  primary: 'primary_outcome',
  onDay: 'on_day',
  line: 'line_value',
  matters: 'matters',
  wearDays: 'wear_days',
  cadenceDays: 'cadence_days',
};

/** Puts a change of what was promised on record. */
const record = (
  client: Client,
  trial: TrialDetail,
  { id, reason, slot, changes }: Pick<Amendment, 'id' | 'reason' | 'slot' | 'changes'>,
) =>
  client.query(
    `insert into amendment (id, trial_id, wash_days_done, slot, changes, reason) values ($1, $2, $3, $4, $5, $6)`,
    [id, trial.id, trial.washDaysDone, slot, JSON.stringify(changes), reason],
  );

/** Fields that decide what the outcomes say, and so must not change once they were seen. */
const BLIND_TO_OUTCOMES: readonly (keyof typeof AMENDABLE)[] = ['primary', 'onDay', 'line', 'matters'];

/** Changes something promised, on record. May be sent twice. */
export async function amendTrial(
  db: Db,
  trialId: string,
  { id, field, becomes, reason }: v.InferOutput<typeof AmendmentInput>,
): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const trial = await lockTrial(client, trialId);
    if (trial.amendments.some((known) => known.id === id)) return trial;
    await mustBeNoneOut(client, trialId);
    if (trial.startedAt === null)
      throw new Refusal(409, 'Nothing is locked before the first wash day. Change the plan itself.');
    if (trial.endedAt !== null) throw new Refusal(409, 'This trial is over; its promise stands as it was.');
    if (trial.outcomesShownAt !== null && BLIND_TO_OUTCOMES.includes(field))
      throw atField('field', 'The outcomes have been shown; what they are judged by stays as promised.');
    const was = trial[field];
    if (was === becomes) throw atField('becomes', 'It is this already.');
    const next = { ...trial, [field]: becomes } as TrialDetail;
    const unit = (primary: TrialDetail['primary']) => mainResult(primary).measured?.unit ?? 'points';
    if (unit(next.primary) !== unit(trial.primary))
      throw atField(
        'becomes',
        'Its numbers are in another unit than what was promised. End this trial and plan another.',
      );
    const [over] = overTheScale(next.primary, next);
    if (over) throw atField('becomes', over.message);
    if (next.onDay > next.wearDays)
      throw atField(
        'becomes',
        `The hair is worn ${counted(next.wearDays, 'day')}; it cannot be judged on day ${next.onDay}.`,
      );
    await record(client, trial, { id, reason, slot: null, changes: [{ setting: field, was, becomes }] });
    await client.query(`update trial set ${COLUMNS[field]} = $2 where id = $1`, [trialId, becomes]);
    return readTrial(client, trialId);
  });
}

/** Changes a held step of the plan for the wash days to come, on record. May be sent twice. */
export async function amendStep(
  db: Db,
  trialId: string,
  { id, step, reason }: v.InferOutput<typeof StepAmendmentInput>,
): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const trial = await lockTrial(client, trialId);
    if (trial.amendments.some((known) => known.id === id)) return trial;
    await mustBeNoneOut(client, trialId);
    const old = trial.plan.find((known) => known.id === step.id);
    if (!old) throw notFound('step');
    if (old.part === 'tested')
      throw atField('step', 'What is under test cannot be amended. End the trial and plan another.');
    if (trial.startedAt === null)
      throw new Refusal(409, 'Nothing is locked before the first wash day. Change the plan itself.');
    if (trial.endedAt !== null) throw new Refusal(409, 'This trial is over; its promise stands as it was.');
    if (trial.washDayRecords.some(({ status }) => status === 'under way'))
      throw new Refusal(
        409,
        'A wash day is under way by the old plan. Amend it after its routine is through.',
      );
    const changes = SETTING_KEYS.flatMap((setting) => {
      const [was, becomes] = [settingValue(old, setting) ?? null, settingValue(step, setting) ?? null];
      return JSON.stringify(was) === JSON.stringify(becomes) ? [] : [{ setting, was, becomes }];
    });
    if (changes.length === 0) throw atField('step', 'It is this already.');
    await record(client, trial, { id, reason, slot: old.slot, changes });
    await client.query(
      `update step set (${SETTINGS_COLUMNS}) = (select ${settingsOfRecord('s')} from jsonb_to_record($2::jsonb) as s(${SETTINGS_RECORD}))
       where id = $1`,
      [step.id, JSON.stringify(step)],
    );
    return readTrial(client, trialId);
  });
}

/** Judges a difference otherwise than the rules do, on record. Refused once outcomes have been shown. */
export async function overrule(
  db: Db,
  trialId: string,
  input: v.InferOutput<typeof OverruleInput>,
): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const trial = await lockTrial(client, trialId);
    if (trial.outcomesShownAt !== null)
      throw new Refusal(409, 'The outcomes have been shown; the check stays as it is.');
    if (input.washDayId !== null && !trial.washDayRecords.some(({ id }) => id === input.washDayId))
      throw notFound('wash day');
    await client.query(
      `insert into overrule (id, trial_id, wash_day_id, difference, gravity, reason) values ($1, $2, $3, $4, $5, $6)
       on conflict (trial_id, wash_day_id, difference) do update set gravity = excluded.gravity,
         reason = excluded.reason, at = now()`,
      [input.id, trialId, input.washDayId, input.difference, input.gravity, input.reason],
    );
    return readTrial(client, trialId);
  });
}

/** Takes an overrule back, while that is still without knowledge of the outcomes. */
export async function takeBackOverrule(db: Db, trialId: string, id: string): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const trial = await lockTrial(client, trialId);
    if (trial.outcomesShownAt !== null)
      throw new Refusal(409, 'The outcomes have been shown; the check stays as it is.');
    await client.query('delete from overrule where id = $1 and trial_id = $2', [id, trialId]);
    return readTrial(client, trialId);
  });
}

/** Notes that the outcomes are shown from now on; what is judged before that is judged without knowing them. */
export async function showOutcomes(db: Db, trialId: string): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const trial = await lockTrial(client, trialId);
    if (!trial.washDayRecords.some(({ status }) => status === 'worn' || status === 'finished'))
      throw new Refusal(409, 'No wash day of this trial has been worn yet.');
    await client.query(
      'update trial set outcomes_shown_at = coalesce(outcomes_shown_at, now()) where id = $1',
      [trialId],
    );
    return readTrial(client, trialId);
  });
}

/** Takes the first of two promised looks: half-way, once. */
export async function takeLook(db: Db, trialId: string): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const trial = await lockTrial(client, trialId);
    if (trial.looks !== 2) throw new Refusal(409, 'This trial promised one look, at its end.');
    if (trial.lookedAt !== null || trial.endedAt !== null) return trial;
    const worn = trial.washDayRecords.filter(({ status }) => status === 'finished').length;
    const half = Math.ceil(trial.washDays / 2);
    if (worn !== half)
      throw new Refusal(
        409,
        worn < half
          ? `The first test is due after ${half} wash days; ${worn} are worn to their end.`
          : 'The first test was due half-way and was not taken. The last one comes at the end.',
      );
    if (trial.washDayRecords.some(({ status }) => status === 'under way' || status === 'worn'))
      throw new Refusal(409, 'A wash day is open. Look before it begins, or after the trial.');
    await client.query(
      'update trial set looked_at = now(), outcomes_shown_at = coalesce(outcomes_shown_at, now()) where id = $1',
      [trialId],
    );
    return readTrial(client, trialId);
  });
}

/** Which arm the rater takes a wash day, or a half, for; once its ratings are locked and before the key opens. */
export async function guessArm(
  db: Db,
  washDayId: string,
  { half, armName }: v.InferOutput<typeof GuessInput>,
): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const { rows } = await client.query<{ trial_id: string }>('select trial_id from wash_day where id = $1', [
      washDayId,
    ]);
    if (!rows[0]) throw notFound('wash day');
    const trial = await lockTrial(client, rows[0].trial_id);
    const day = trial.washDayRecords.find(({ id }) => id === washDayId)!;
    if (!trial.masked) throw new Refusal(409, 'There is nothing left to guess: this trial is not blind.');
    if (day.status !== 'finished')
      throw new Refusal(409, 'Guess once the wear has ended; its ratings are locked then.');
    if ((day.rightArmId === null) !== (half === null)) throw atField('half', 'Say which half it is.');
    const arm = await client.query<{ id: string }>('select id from arm where trial_id = $1 and name = $2', [
      trial.id,
      armName,
    ]);
    if (armName !== null && arm.rowCount === 0) throw atField('armName', 'This is not under test here.');
    await client.query(
      `insert into blind_guess (wash_day_id, half, arm_id) values ($1, $2, $3)
       on conflict (wash_day_id, half) do update set arm_id = excluded.arm_id, at = now()`,
      [washDayId, half, arm.rows[0]?.id ?? null],
    );
    return readTrial(client, trial.id);
  });
}

/** Opens the key of a blind trial once it is over. */
export async function openKey(db: Db, trialId: string): Promise<TrialDetail> {
  return transaction(db, async (client) => {
    const trial = await lockTrial(client, trialId);
    if (!trial.blind) throw new Refusal(409, 'This trial is not blind; it has no key.');
    if (trial.endedAt === null)
      throw new Refusal(409, 'The key opens when the trial is over and its ratings are locked.');
    await client.query('update trial set key_opened_at = coalesce(key_opened_at, now()) where id = $1', [
      trialId,
    ]);
    return readTrial(client, trialId);
  });
}

/** What is behind each code, for the helper who fills the bottles; in the order of the codes. */
export async function readKey(db: Client, trialId: string): Promise<KeyEntry[]> {
  const { rows } = await db.query<{
    code: number;
    name: string;
    design: Design;
    fills: { slot: Slot; plan: StepSettings; own: ArmStep }[];
  }>(
    `select a.code, a.name, t.design, coalesce((select json_agg(json_build_object('slot', s.slot, 'plan', ${stepJson('s')},
         'own', json_build_object('productId', x.product_id, 'dose', x.dose, 'settings', x.settings)) order by s.position)
       from arm_step x join step s on s.id = x.step_id where x.arm_id = a.id), '[]') as fills
     from arm a join trial t on t.id = a.trial_id where t.id = $1 and t.blind order by a.code`,
    [trialId],
  );
  if (rows.length === 0) throw new Refusal(409, 'This trial is not blind; it has no key.');
  const products = await db.query<{ id: string; name: string }>('select id, name from product');
  const names = new Map(products.rows.map(({ id, name }) => [id, name]));
  return rows.map(({ code, name, design, fills }) => ({
    code,
    name,
    fills: fills.map(({ slot, plan, own }) => {
      const { productId, dose } = settingsInArm(plan, own, DESIGNS[design].halves ? 'left' : null);
      return { slot, product: productId === null ? null : (names.get(productId) ?? null), dose };
    }),
  }));
}
