import type { Routine } from '@sabor/contract/routine';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from './testing/bench.ts';
import { sampleBench, sampleTrial } from './testing/samples.ts';

/** Faults put in on purpose: what was acknowledged is there, what was refused left nothing behind. */
let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

/** Cuts every connection of the pool but the one that does the cutting, some of them in the middle of their work. */
const cut = () =>
  bench.db.query(
    'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
  );

async function counts(): Promise<Record<string, number>> {
  const { rows } = await bench.db.query(
    'select (select count(*) from trial) as trial, (select count(*) from arm) as arm, (select count(*) from routine) as routine, (select count(*) from step) as step, (select count(*) from allocation) as allocation',
  );
  return rows[0];
}

describe('when something goes wrong', () => {
  it('a plan with an unknown product leaves nothing of itself', async () => {
    const { wearer, routine } = await sampleBench(bench);
    const before = await counts();
    const trial = sampleTrial(wearer, routine, [v7(), v7()]);
    expect((await bench.ask('PUT', `/api/trials/${trial.id}`, trial)).status).toBe(422);
    expect(await counts()).toEqual(before);
  });

  it('a plan that fails to change keeps its old self', async () => {
    const { trial } = await sampleBench(bench);
    const before = (await bench.ask<TrialDetail>('GET', `/api/trials/${trial.id}`)).body;
    const arms = trial.arms.map((arm) => ({
      ...arm,
      steps: arm.steps.map((step) => ({ ...step, productId: v7() })),
    }));
    expect(
      (await bench.ask('PUT', `/api/trials/${trial.id}`, { ...trial, question: 'Other?', arms })).status,
    ).toBe(422);
    expect((await bench.ask<TrialDetail>('GET', `/api/trials/${trial.id}`)).body).toEqual(before);
  });

  it('steps tapped while connections are cut are stored once each, or were not acknowledged', async () => {
    const { trial } = await sampleBench(bench);
    const id = v7();
    const { body: day } = await bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, {
      trialId: trial.id,
      startedAt: new Date().toISOString(),
    });
    const tap = async (step: WashDay['steps'][number]): Promise<void> => {
      const at = new Date().toISOString();
      const one = { id: v7(), at, kind: 'step', stepId: step.id, set: { status: 'done', doneAt: at } };
      for (let attempt = 0; attempt < 8; attempt++) {
        const { status } = await bench.ask('POST', `/api/wash-days/${id}/taps`, {
          device: 'phone',
          taps: [one],
        });
        if (status === 200) return;
        expect(status).toBe(503);
      }
      throw new Error('never acknowledged');
    };
    const cutting = (async () => {
      for (let i = 0; i < 6; i++) await cut().catch(() => {});
    })();
    await Promise.all([...day.steps.map(tap), cutting]);
    const { body } = await bench.ask<WashDay>('GET', `/api/wash-days/${id}`);
    expect(body.steps.map(({ status }) => status)).toEqual(['done', 'done', 'done', 'done']);
  });

  it('the same start sent ten times at once begins one wash day', async () => {
    const { trial } = await sampleBench(bench);
    const id = v7();
    const startedAt = new Date().toISOString();
    const answers = await Promise.all(
      Array.from({ length: 10 }, () =>
        bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, { trialId: trial.id, startedAt }),
      ),
    );
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
    const { rows } = await bench.db.query('select count(*) as n from wash_step where wash_day_id = $1', [id]);
    expect(rows[0].n).toBe(4);
  });

  it('two saves of one routine at once leave one of the two, whole', async () => {
    const { routine } = await sampleBench(bench);
    const variants = ['A', 'B'].map((name) => ({
      ...routine,
      name,
      steps: routine.steps.map((step) => ({ ...step, id: v7(), note: name })),
    }));
    await Promise.all(variants.map((variant) => bench.ask('PUT', `/api/routines/${routine.id}`, variant)));
    const { body } = await bench.ask<Routine>('GET', `/api/routines/${routine.id}`);
    expect(new Set(body.steps.map(({ note }) => note))).toEqual(new Set([body.name]));
    expect(body.steps).toHaveLength(4);
  });
});
