import { webcrypto } from 'node:crypto';
import type { OnRecord } from '@sabor/contract/access';
import type { Envelope, EnvelopeOut } from '@sabor/contract/envelope';
import type { Problem } from '@sabor/contract/problem';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench } from '../../testing/samples.ts';
import { tapFinish, tapStep } from '../../testing/tapping.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
const start = (trialId: string, to: object = {}, id = v7()) =>
  bench.ask<Omit<WashDay, 'status'> & { detail: string }>('PUT', `/api/wash-days/${id}`, {
    trialId,
    startedAt: ago(5),
    ...to,
  });
const prepare = (trialId: string, id = v7()) =>
  bench.ask<Envelope & Problem>('POST', `/api/trials/${trialId}/envelope`, { id });

/** What a device finds in an envelope it opens. */
async function opened({ key, nonce, sealed }: Envelope): Promise<WashDay> {
  const own = await webcrypto.subtle.importKey('raw', Buffer.from(key, 'base64'), 'AES-GCM', false, [
    'decrypt',
  ]);
  const text = await webcrypto.subtle.decrypt(
    { name: 'AES-GCM', iv: Buffer.from(nonce, 'base64') },
    own,
    Buffer.from(sealed, 'base64'),
  );
  return JSON.parse(Buffer.from(text).toString());
}

/** A trial whose first wash day was run two days ago and is still worn, or is over. */
async function oneRun(doneWith: 'worn' | 'finished', to: object = {}) {
  const { trial } = await sampleBench(bench, to);
  const id = v7();
  await start(trial.id, { startedAt: ago(3000) }, id);
  await tapFinish(bench, id);
  await bench.ask('PATCH', `/api/wash-days/${id}`, {
    washedAt: ago(2990),
    dryAt: ago(2900),
    revealAt: ago(2890),
  });
  if (doneWith === 'finished')
    await bench.ask('POST', `/api/wash-days/${id}/end-wear`, { kind: 'washed-schedule', at: ago(60) });
  return { trial, first: id };
}

describe('a prepared wash day', () => {
  it('is the next one as it would begin, sealed; the order it comes from stays as it was', async () => {
    const { trial } = await oneRun('finished');
    const { status, body } = await prepare(trial.id);
    expect([status, body.position, body.worn]).toEqual([200, 1, false]);
    const day = await opened(body);
    expect(day).toMatchObject({ id: body.washDayId, trialId: trial.id, position: 1, status: 'under way' });
    // Not a word of it shows before: neither in the envelope nor in the trial.
    for (const secret of [day.armId, ...day.steps.map(({ id }) => id)])
      expect(JSON.stringify(body)).not.toContain(secret);
    const detail = (await bench.ask<TrialDetail>('GET', `/api/trials/${trial.id}`)).body;
    expect(detail.allocation[1]).toBeNull();
    expect(detail.washDayRecords).toHaveLength(1);
    expect((await bench.ask('GET', `/api/wash-days/${body.washDayId}`)).status).toBe(404);
    // Begun, it is what was sealed, step by step.
    const begun = await start(trial.id, { prepared: true }, body.washDayId);
    expect(begun.status).toBe(200);
    expect(begun.body.armId).toBe(day.armId);
    expect(begun.body.steps).toEqual(day.steps);
    // Sent again it is the same one, and its taps find their steps.
    expect((await start(trial.id, { prepared: true }, body.washDayId)).body.steps).toEqual(day.steps);
    const [step] = day.steps;
    expect((await tapStep(bench, body.washDayId, step!.id, { status: 'done' })).steps[0]!.status).toBe(
      'done',
    );
  });

  it('is on record as prepared and as opened, with when it was heard of', async () => {
    const { trial } = await oneRun('finished');
    const { body } = await prepare(trial.id);
    await start(trial.id, { prepared: true }, body.washDayId);
    const record = (await bench.ask<OnRecord[]>('GET', `/api/trials/${trial.id}/record`)).body;
    const [opening, preparing] = record.filter(({ act }) => act.startsWith('envelope'));
    expect(preparing).toMatchObject({ act: 'envelope prepared', after: { wash_day: 2 } });
    expect(opening).toMatchObject({
      act: 'envelope opened',
      after: { wash_day: 2, began: expect.any(String), heard: expect.any(String) },
    });
  });

  it('keeps other devices from beginning one, and the plan as it was, until it is begun or taken back', async () => {
    const { trial } = await oneRun('finished');
    const { body } = await prepare(trial.id);
    expect((await bench.ask<EnvelopeOut>('GET', `/api/trials/${trial.id}/envelope`)).body.out).toMatchObject({
      washDayId: body.washDayId,
      position: 1,
    });
    const blocked = [
      await start(trial.id),
      await prepare(trial.id),
      await bench.ask<Problem>('PUT', `/api/trials/${trial.id}/amendments/${v7()}`, {
        field: 'wearDays',
        becomes: 3,
        reason: 'Longer.',
      }),
    ];
    for (const refused of blocked)
      expect([refused.status, refused.body.detail]).toEqual([
        409,
        expect.stringMatching(/^Wash day 2 was prepared/),
      ]);
    await bench.ask('DELETE', `/api/trials/${trial.id}/envelope`);
    const late = await start(trial.id, { prepared: true }, body.washDayId);
    expect([late.status, late.body.detail]).toEqual([409, expect.stringMatching(/was taken back/)]);
    expect((await start(trial.id)).status).toBe(200);
  });

  it('begins at its moment by this clock, where that of the phone is an hour ahead', async () => {
    const { trial } = await oneRun('finished');
    const { body } = await prepare(trial.id);
    const ahead = (ms: number) => new Date(Date.now() + 3_600_000 - ms).toISOString();
    const told = { prepared: true, startedAt: ahead(600_000) };
    expect((await start(trial.id, { ...told, now: 'once' }, body.washDayId)).status).toBe(422);
    expect((await start(trial.id, told, body.washDayId)).status).toBe(422);
    const begun = await start(trial.id, { ...told, now: ahead(0) }, body.washDayId);
    expect(begun.status).toBe(200);
    expect(Math.abs(Date.parse(begun.body.startedAt) - (Date.now() - 600_000))).toBeLessThan(60_000);
  });

  it('begins while the last is worn, where it says how that ended; one ended later elsewhere ended as it began', async () => {
    const worn = await oneRun('worn');
    const sealed = (await prepare(worn.trial.id)).body;
    expect(sealed.worn).toBe(true);
    expect((await start(worn.trial.id, { prepared: true }, sealed.washDayId)).status).toBe(409);
    const startedAt = ago(30);
    const begun = await start(
      worn.trial.id,
      { prepared: true, wearEnd: 'washed-looks', startedAt },
      sealed.washDayId,
    );
    expect(begun.status).toBe(200);
    const wearEnd = async (id: string) => {
      const { kind, at } = (await bench.ask<WashDay>('GET', `/api/wash-days/${id}`)).body.wearEnd!;
      return [kind, new Date(at).toISOString()];
    };
    expect(await wearEnd(worn.first)).toEqual(['washed-looks', startedAt]);

    const other = await oneRun('worn');
    const away = (await prepare(other.trial.id)).body;
    await bench.ask('POST', `/api/wash-days/${other.first}/end-wear`, {
      kind: 'washed-schedule',
      at: ago(2),
    });
    const late = await start(other.trial.id, { prepared: true, startedAt }, away.washDayId);
    expect(late.status).toBe(200);
    expect(await wearEnd(other.first)).toEqual(['washed-schedule', startedAt]);
  });

  it('is not from memory, however late it arrives; a day that was entered late by hand is', async () => {
    const away = await oneRun('finished');
    // Its last wear ended days ago, so that it can have begun yesterday.
    await bench.db.query(`update wash_day set wear_ended_at = $2 where id = $1`, [away.first, ago(2000)]);
    const sealed = (await prepare(away.trial.id)).body;
    const late = await start(away.trial.id, { prepared: true, startedAt: ago(1500) }, sealed.washDayId);
    expect([late.status, late.body.enteredLater]).toEqual([200, false]);
    const { trial } = await oneRun('finished');
    await bench.db.query(`update wash_day set wear_ended_at = $2 where trial_id = $1`, [trial.id, ago(2000)]);
    expect((await start(trial.id, { startedAt: ago(1500) })).body.enteredLater).toBe(true);
  });

  it('cannot be the first, one whose amount follows from the last, or one of a trial that is over', async () => {
    const { trial } = await sampleBench(bench);
    expect((await prepare(trial.id)).body.detail).toMatch(/^The first wash day cannot be prepared/);
    const { trial: done } = await oneRun('finished');
    const { body } = await prepare(done.id);
    await bench.ask('POST', `/api/trials/${done.id}/end`, { reason: 'Enough.' });
    expect((await prepare(done.id)).body.detail).toMatch(/over/);
    expect((await start(done.id, { prepared: true }, body.washDayId)).body.detail).toMatch(/over/);
    // A trial that ends takes its envelope back, on record.
    const { body: record } = await bench.ask<OnRecord[]>('GET', `/api/trials/${done.id}/record`);
    expect(record.map(({ act }) => act)).toContain('envelope taken back');
    expect((await prepare(v7())).status).toBe(404);
    // Prepared with other data than these.
    const elsewhere = await oneRun('finished');
    expect((await start(elsewhere.trial.id, { prepared: true })).body.detail).toMatch(/other data/);
  });

  it('of a blind trial has no more in it than its code', async () => {
    const { trial } = await oneRun('finished', { blind: true });
    const day = await opened((await prepare(trial.id)).body);
    const tested = day.steps.filter(({ code }) => code !== null);
    expect(tested).toHaveLength(1);
    expect(tested[0]).toMatchObject({ productId: null, planned: { productId: null } });
  });
});
