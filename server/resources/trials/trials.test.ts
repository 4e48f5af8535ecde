import type { HairFile } from '@sabor/contract/hair-file';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench } from '../../testing/samples.ts';
import { tapFinish } from '../../testing/tapping.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const read = async (id: string) => (await bench.ask<TrialDetail>('GET', `/api/trials/${id}`)).body;
const start = (trialId: string, id = v7()) =>
  bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, { trialId, startedAt: new Date().toISOString() });

describe('a plan', () => {
  it('is stored with its lot drawn and sealed', async () => {
    const { trial } = await sampleBench(bench);
    const stored = await read(trial.id);
    expect(stored.allocation).toEqual([null, null, null, null]);
    expect(stored.seed).toBeNull();
    expect(stored.attainable).toMatchObject({ sequences: 6, smallestP: 1 / 3, decides: false, first: null });
    const { rows } = await bench.db.query('select arm_id from allocation where trial_id = $1', [trial.id]);
    for (const arm of trial.arms) expect(rows.filter((row) => row.arm_id === arm.id)).toHaveLength(2);
    const drawn = await bench.db.query<{ seed: number }>('select seed from trial where id = $1', [trial.id]);
    expect(JSON.stringify(stored)).not.toContain(String(drawn.rows[0]!.seed));
  });

  it('can be changed until its first wash day, and is locked from then on', async () => {
    const { trial } = await sampleBench(bench);
    const changed = await bench.ask<TrialDetail>('PUT', `/api/trials/${trial.id}`, {
      ...trial,
      washDays: 8,
      line: 7,
    });
    expect(changed.body).toMatchObject({ washDays: 8, line: 7, allocation: new Array(8).fill(null) });
    await start(trial.id);
    const late = await bench.ask('PUT', `/api/trials/${trial.id}`, { ...trial, line: 5 });
    expect(late).toMatchObject({ status: 409, body: { detail: expect.stringContaining('locked') } });
    expect((await read(trial.id)).line).toBe(7);
  });

  it('keeps its allocation even from SQL once it has begun', async () => {
    const { trial } = await sampleBench(bench);
    await start(trial.id);
    await expect(
      bench.db.query('update allocation set position = position + 9 where trial_id = $1', [trial.id]),
    ).rejects.toThrow('cannot change');
    await expect(bench.db.query('delete from allocation where trial_id = $1', [trial.id])).rejects.toThrow(
      'cannot change',
    );
  });

  it('is a copy: changing the library’s routine leaves it alone', async () => {
    const { trial, routine } = await sampleBench(bench);
    await bench.ask('PUT', `/api/routines/${routine.id}`, { ...routine, steps: [] });
    expect((await read(trial.id)).plan).toHaveLength(4);
  });

  it('refuses what cannot be a trial, at its field', async () => {
    const { trial } = await sampleBench(bench);
    const refused = async (to: object) =>
      (await bench.ask('PUT', `/api/trials/${v7()}`, { ...trial, ...to })).body.fields ?? [];
    const [a, b] = trial.arms as [(typeof trial.arms)[number], (typeof trial.arms)[number]];
    expect(await refused({ question: ' ' })).toContainEqual({
      path: 'question',
      message: 'Ask the trial’s question in a sentence.',
    });
    expect(await refused({ arms: [a] })).toContainEqual({
      path: 'arms',
      message: 'The design “whole heads, complete” has 2 to 6 options.',
    });
    expect(await refused({ washDays: 7 })).toContainEqual({
      path: 'washDays',
      message: '7 wash days do not split evenly over 2 options. Plan 6 or 8.',
    });
    expect(await refused({ plan: trial.plan.map((step) => ({ ...step, part: 'held' })) })).toContainEqual({
      path: 'plan',
      message: 'Mark at least one step as tested.',
    });
    expect(await refused({ arms: [a, { ...b, steps: a.steps }] })).toContainEqual({
      path: 'arms.1.steps',
      message: 'Gel 2 uses the same as Gel 1. Give it another product, amount or setting.',
    });
    expect(await refused({ arms: [a, { ...b, steps: [] }] })).toContainEqual({
      path: 'arms.1.steps',
      message: 'Choose what Gel 2 uses in every tested step.',
    });
    expect(await refused({ arms: [a, { ...b, name: 'gel 1' }] })).toContainEqual({
      path: 'arms.1.name',
      message: 'Two options have this name. Change one.',
    });
    expect(await refused({ weights: [] })).toContainEqual({
      path: 'weights',
      message: 'Choose at least one zone that counts.',
    });
    expect(await refused({ weights: [{ zoneId: v7(), weight: 1 }] })).toContainEqual(
      expect.objectContaining({ path: 'weights' }),
    );
  });
});

describe('an allergy on the file', () => {
  it('stops a plan until it has been seen', async () => {
    const { trial, wearer, gels } = await sampleBench(bench);
    const { body: file } = await bench.ask<HairFile>('GET', `/api/wearers/${wearer.id}/file`);
    await bench.ask('PUT', `/api/wearers/${wearer.id}/wishes`, {
      ...file.wishes,
      avoided: [{ ingredient: 'D-Panthenol', why: 'allergy' }],
    });
    const refused = await bench.ask('PUT', `/api/trials/${trial.id}`, trial);
    expect(refused.body.fields?.[0]).toMatchObject({
      path: 'acknowledged',
      message: expect.stringContaining('an allergy on this wearer’s file'),
    });
    const acknowledged = gels.map(({ id }) => `${id} d-panthenol`);
    const seen = await bench.ask<TrialDetail>('PUT', `/api/trials/${trial.id}`, { ...trial, acknowledged });
    expect(seen.status).toBe(200);
    expect(seen.body.acknowledged).toEqual(acknowledged);
  });
});

describe('the lot', () => {
  it('opens one wash day at a time', async () => {
    const { trial } = await sampleBench(bench);
    const { body } = await start(trial.id);
    const { allocation } = await read(trial.id);
    expect(allocation[0]).toEqual({ left: body.armId, right: body.armId });
    expect(allocation.slice(1)).toEqual([null, null, null]);
  });

  it('gives an abandoned place again with the same arm', async () => {
    const { trial } = await sampleBench(bench);
    const first = (await start(trial.id)).body;
    expect(
      (await bench.ask('POST', `/api/wash-days/${first.id}/abandon`, { reason: ' ' })).body.fields?.[0]?.path,
    ).toBe('reason');
    await bench.ask('POST', `/api/wash-days/${first.id}/abandon`, { reason: 'The water went off.' });
    const again = (await start(trial.id)).body;
    expect(again).toMatchObject({ position: 0, armId: first.armId });
    expect((await read(trial.id)).washDaysDone).toBe(1);
  });

  it('keeps a wash day whose hair was finished: it is not given up and run again', async () => {
    const { trial } = await sampleBench(bench);
    const first = (await start(trial.id)).body;
    await tapFinish(bench, first.id);
    const at = new Date().toISOString();
    await bench.ask('PATCH', `/api/wash-days/${first.id}`, { dryAt: at, revealAt: at });
    const refused = await bench.ask('POST', `/api/wash-days/${first.id}/abandon`, {
      reason: 'It looks bad.',
    });
    expect(refused).toMatchObject({
      status: 409,
      body: { detail: expect.stringContaining('A day is not run again once its result was seen') },
    });
    expect((await bench.ask<WashDay>('GET', `/api/wash-days/${first.id}`)).body.status).toBe('worn');
  });

  it('is opened whole, with its seed, when the trial is ended early', async () => {
    const { trial } = await sampleBench(bench);
    await start(trial.id);
    expect((await bench.ask('POST', `/api/trials/${trial.id}/end`, {})).status).toBe(422);
    expect((await bench.ask('POST', `/api/trials/${trial.id}/end`, { reason: 'Moved away.' })).status).toBe(
      204,
    );
    const over = await read(trial.id);
    expect(over).toMatchObject({ status: 'ended', endReason: 'Moved away.' });
    expect(over.allocation.every((arm) => arm !== null)).toBe(true);
    expect(over.seed).toEqual(expect.any(Number));
    expect((await start(trial.id)).status).toBe(409);
  });
});

describe('a trial judged by a reading in words', () => {
  it('keeps the reading with the word that is wanted; one that is none is refused at its field', async () => {
    const { trial } = await sampleBench(bench, { primary: 'clumps:2', line: 7.5 });
    const { body } = await bench.ask<TrialDetail>('GET', `/api/trials/${trial.id}`);
    expect(body).toMatchObject({ primary: 'clumps:2', line: 7.5 });
    const halo = (await sampleBench(bench, { primary: 'halo:less', line: 1.25, matters: 0.05 })).trial;
    expect((await bench.ask('PUT', `/api/trials/${halo.id}`, halo)).body).toMatchObject({
      primary: 'halo:less',
      line: 1.25,
      matters: 0.05,
    });
    for (const primary of ['clumps:5', 'feel:4', 'moon:2', 'clumps'])
      expect((await bench.ask('PUT', `/api/trials/${trial.id}`, { ...trial, primary })).body.fields).toEqual([
        { path: 'primary', message: 'Choose the main result from the list.' },
      ]);
  });
});
