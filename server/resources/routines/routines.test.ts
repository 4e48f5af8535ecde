import type { Routine, RoutineInput } from '@sabor/contract/routine';
import { STARTER_ROUTINE } from '@sabor/core/routine/starter';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleProduct, sampleRoutine } from '../../testing/samples.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const save = (routine: RoutineInput) => bench.ask<Routine>('PUT', `/api/routines/${routine.id}`, routine);
const step = (to: object) => ({ ...EMPTY_SETTINGS, id: v7(), slot: 'hold' as const, note: '', ...to });
const routine = (...steps: ReturnType<typeof step>[]): RoutineInput => ({
  id: v7(),
  wearerId: null,
  name: 'R',
  note: '',
  steps,
});

describe('a routine', () => {
  it('comes back with every kind of dose as it was given', async () => {
    const measured = { measure: 'pump', per: 'section' } as const;
    const given = routine(
      step({ dose: { kind: 'exact', amount: 2.5, ...measured }, sections: 4 }),
      step({ dose: { kind: 'range', from: 1, to: 2, ...measured } }),
      step({ dose: { kind: 'unknown' } }),
      step({}),
    );
    const { status, body } = await save(given);
    expect(status).toBe(200);
    expect(body.steps.map(({ dose }) => dose)).toEqual(given.steps.map(({ dose }) => dose));
  });

  it('may use a slot more than once, and keeps the order it was given', async () => {
    const given = routine(
      step({ slot: 'treat' }),
      step({ slot: 'rinse' }),
      step({ slot: 'treat' }),
      step({ slot: 'condition' }),
    );
    await save(given);
    const turned = { ...given, steps: given.steps.toReversed() };
    const { body } = await save(turned);
    expect(body.steps.map(({ id }) => id)).toEqual(turned.steps.map(({ id }) => id));
    expect((await save(turned)).body).toEqual({ ...body, version: body.version + 1 });
  });

  it('takes the starter', async () => {
    const { body } = await save({
      ...routine(),
      steps: STARTER_ROUTINE.steps.map((one) => ({ ...one, id: v7() })),
    });
    expect(body.steps.map(({ slot }) => slot)).toEqual(STARTER_ROUTINE.steps.map(({ slot }) => slot));
  });

  it('is archived and brought back', async () => {
    const given = routine(step({}));
    await save(given);
    await bench.ask('POST', `/api/routines/${given.id}/archive`);
    expect((await bench.ask<Routine>('GET', `/api/routines/${given.id}`)).body.archivedAt).not.toBeNull();
    await bench.ask('POST', `/api/routines/${given.id}/restore`);
    expect((await bench.ask<Routine>('GET', `/api/routines/${given.id}`)).body.archivedAt).toBeNull();
    expect((await bench.ask('POST', `/api/routines/${v7()}/archive`)).status).toBe(404);
  });

  it('of a trial is its own and cannot be reached as one of the library', async () => {
    const { trial } = await sampleBench(bench);
    const { rows } = await bench.db.query('select plan_id from trial where id = $1', [trial.id]);
    const planId = rows[0].plan_id as string;
    expect((await bench.ask('GET', `/api/routines/${planId}`)).status).toBe(404);
    expect(
      (await bench.ask('PUT', `/api/routines/${planId}`, { ...routine(), name: 'Hijacked' })).status,
    ).toBe(404);
    expect((await bench.ask<Routine[]>('GET', '/api/routines')).body.some(({ id }) => id === planId)).toBe(
      false,
    );
  });

  it('counts as a use of its products', async () => {
    const gel = sampleProduct();
    await bench.ask('PUT', `/api/products/${gel.id}`, gel);
    await save(sampleRoutine(gel.id));
    expect((await bench.ask<{ uses: number }>('GET', `/api/products/${gel.id}`)).body.uses).toBe(1);
  });

  it.each([
    [{ slot: 'moon' }, 'steps.0.slot', 'Choose a step from the list.'],
    [{ minutes: 'abc' }, 'steps.0.minutes', 'Minutes must be a number.'],
    [{ minutes: -5 }, 'steps.0.minutes', 'Minutes cannot be under 0.'],
    [{ sections: 2.5 }, 'steps.0.sections', 'Sections must be a whole number.'],
    [
      { dose: { kind: 'range', from: 3, to: 1, measure: 'pea', per: 'head' } },
      'steps.0.dose.to',
      'The range runs from less to more.',
    ],
    [
      { dose: { kind: 'exact', amount: 1, measure: 'bucket', per: 'head' } },
      'steps.0.dose.measure',
      'Choose a measure from the list.',
    ],
    [{ tool: 'fork' }, 'steps.0.tool', 'Choose a tool from the list.'],
  ])('refuses %j at its field', async (to, path, message) => {
    const given = { ...routine(), steps: [step(to)] };
    const { status, body } = await bench.ask('PUT', `/api/routines/${given.id}`, given);
    expect(status).toBe(422);
    expect(body.fields).toContainEqual({ path, message });
  });

  it('is saved whole or not at all', async () => {
    const given = routine(step({ slot: 'rinse' }), step({ slot: 'dry' }));
    await save(given);
    const { status } = await save({ ...given, name: 'Changed', steps: [step({ productId: v7() })] });
    expect(status).toBe(422);
    const { body } = await bench.ask<Routine>('GET', `/api/routines/${given.id}`);
    expect(body.name).toBe('R');
    expect(body.steps.map(({ slot }) => slot)).toEqual(['rinse', 'dry']);
  });
});
