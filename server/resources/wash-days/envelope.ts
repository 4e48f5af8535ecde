import { randomBytes, webcrypto } from 'node:crypto';
import type { Envelope, EnvelopeOut } from '@sabor/contract/envelope';
import type { StartWashDay } from '@sabor/contract/wash-day';
import type { stepsOfDay } from '@sabor/core/step/steps-of-day';
import { DESIGNS, type Design } from '@sabor/core/trial/designs';
import { type Client, type Db, inName, transaction } from '../../db/pool.ts';
import { notFound, Refusal } from '../../http/problems.ts';

/** What stands in an envelope beside the wash day's id: its place, its options and its steps with their ids. */
export interface Enclosed {
  place: { position: number; arm_id: string; right_arm_id: string | null };
  steps: ReturnType<typeof stepsOfDay>;
}

const OUT = 'opened_at is null and taken_back_at is null';

/** Where a trial's envelope is. */
export async function readEnvelopeOut(db: Client, trialId: string): Promise<EnvelopeOut> {
  const { rows } = await db.query<NonNullable<EnvelopeOut['out']>>(
    `select wash_day_id as "washDayId", position, made_at as "madeAt", person, device from envelope
     where trial_id = $1 and ${OUT}`,
    [trialId],
  );
  return { out: rows[0] ?? null };
}

/** Refuses what an envelope that is out would not know of. */
export async function mustBeNoneOut(db: Client, trialId: string): Promise<void> {
  const { out } = await readEnvelopeOut(db, trialId);
  if (out)
    throw new Refusal(
      409,
      `Wash day ${out.position + 1} was prepared ${out.device ? `on ${out.device}${out.person ? ` (${out.person})` : ''}` : 'on this machine'} and waits there in its envelope. Begin it there, or take the envelope back first.`,
    );
}

/** Puts what was done with an envelope on record, in the name of whoever is signed in. */
const onRecord = (db: Client, trialId: string, act: string, after: object) => {
  const who = inName.getStore();
  return db.query(
    'insert into change_log (person, device, act, trial_id, after) values ($1, $2, $3, $4, $5)',
    [who?.person ?? null, who?.device ?? null, act, trialId, JSON.stringify(after)],
  );
};

/**
 * What was put in the envelope of the wash day that begins, which is opened by that; null where the day was not prepared.
 * Throws a Refusal where the envelope was taken back, or is not this database's.
 */
export async function openEnvelope(client: Client, start: StartWashDay): Promise<Enclosed | null> {
  const { rows } = await client.query<Enclosed['place'] & { steps: Enclosed['steps']; takenBack: boolean }>(
    `select position, arm_id, right_arm_id, steps, taken_back_at is not null as "takenBack" from envelope
     where wash_day_id = $1 and trial_id = $2`,
    [start.id, start.trialId],
  );
  const [found] = rows;
  if (!found) {
    if (start.prepared)
      throw new Refusal(409, 'This wash day was prepared with other data than are here now.');
    await mustBeNoneOut(client, start.trialId);
    return null;
  }
  if (found.takenBack)
    throw new Refusal(
      409,
      'The envelope of this wash day was taken back before it was opened. What was told of it stays on this device.',
    );
  const { steps, takenBack: _, ...place } = found;
  await client.query('update envelope set opened_at = $2 where wash_day_id = $1', [
    start.id,
    start.startedAt,
  ]);
  await onRecord(client, start.trialId, 'envelope opened', {
    wash_day: place.position + 1,
    began: start.startedAt,
    heard: new Date().toISOString(),
  });
  return { place, steps };
}

/** Takes the envelope of a trial back where one is out, unopened; what is begun with it afterwards is refused. */
export async function takeBack(client: Client, trialId: string): Promise<void> {
  const { rows } = await client.query<{ position: number }>(
    `update envelope set taken_back_at = now() where trial_id = $1 and ${OUT} returning position`,
    [trialId],
  );
  if (rows[0]) await onRecord(client, trialId, 'envelope taken back', { wash_day: rows[0].position + 1 });
}

/** The same, where the trial goes on; gives where the envelope is. */
export async function takeBackEnvelope(db: Db, trialId: string): Promise<EnvelopeOut> {
  return transaction(db, async (client) => {
    await client.query('select from trial where id = $1 for update', [trialId]);
    await takeBack(client, trialId);
    return readEnvelopeOut(client, trialId);
  });
}

/** Seals text for a device: whoever holds the envelope holds its key, as with one of paper. */
async function seal(text: string): Promise<Pick<Envelope, 'key' | 'nonce' | 'sealed'>> {
  const [raw, nonce] = [randomBytes(32), randomBytes(12)];
  const key = await webcrypto.subtle.importKey('raw', raw, 'AES-GCM', false, ['encrypt']);
  const sealed = await webcrypto.subtle.encrypt({ name: 'AES-GCM', iv: nonce }, key, Buffer.from(text));
  return {
    key: raw.toString('base64'),
    nonce: nonce.toString('base64'),
    sealed: Buffer.from(sealed).toString('base64'),
  };
}

/** Keeps an envelope for whoever asks, and seals the wash day that is in it. */
export async function makeEnvelope(
  client: Client,
  { id, trialId, ...told }: Pick<Envelope, 'trialId' | 'worn' | 'timeZone'> & { id: string },
  { place, steps }: Enclosed,
  day: unknown,
): Promise<Envelope> {
  const who = inName.getStore();
  const { rows } = await client.query<{ madeAt: string }>(
    `insert into envelope (wash_day_id, trial_id, position, arm_id, right_arm_id, steps, person, device)
     values ($1, $2, $3, $4, $5, $6, $7, $8) returning made_at as "madeAt"`,
    [
      id,
      trialId,
      place.position,
      place.arm_id,
      place.right_arm_id,
      JSON.stringify(steps),
      who?.person ?? null,
      who?.device ?? null,
    ],
  );
  await onRecord(client, trialId, 'envelope prepared', { wash_day: place.position + 1 });
  return {
    washDayId: id,
    trialId,
    position: place.position,
    ...told,
    madeAt: rows[0]!.madeAt,
    ...(await seal(JSON.stringify(day))),
  };
}

/** Refuses to prepare what cannot be known beforehand. */
export async function mustBePreparable(
  client: Client,
  trialId: string,
): Promise<Pick<Envelope, 'worn' | 'timeZone'>> {
  const { rows } = await client.query<{
    begun: boolean;
    ended: boolean;
    logged: boolean;
    design: Design;
    timeZone: string;
    open: 'under way' | 'worn' | null;
  }>(
    `select t.started_at is not null as begun, t.ended_at is not null as ended, t.logged, t.design, w.time_zone as "timeZone",
       (select case when d.routine_done_at is null then 'under way' else 'worn' end from wash_day d
        where d.trial_id = t.id and d.abandoned_at is null and d.wear_ended_at is null limit 1) as open
     from trial t join wearer w on w.id = t.wearer_id where t.id = $1 for update of t`,
    [trialId],
  );
  const [trial] = rows;
  if (!trial) throw notFound('trial');
  if (trial.logged || trial.ended) throw new Refusal(409, 'This trial is over; it takes no more wash days.');
  if (!trial.begun)
    throw new Refusal(
      409,
      'The first wash day cannot be prepared: it is what locks the plan. Begin it where Sabor answers.',
    );
  if (DESIGNS[trial.design].seeks === 'dose')
    throw new Refusal(
      409,
      'Each amount follows from the wash day before it, and cannot be known beforehand.',
    );
  if (trial.open === 'under way')
    throw new Refusal(409, 'A wash day is under way. Prepare the next one once its routine is through.');
  await mustBeNoneOut(client, trialId);
  return { worn: trial.open === 'worn', timeZone: trial.timeZone };
}
