import type { DoseRun, KeyEntry, Trial, TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleProduct } from '../../testing/samples.ts';
import { tapFinish, tapStep } from '../../testing/tapping.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();
const read = async (id: string) => (await bench.ask<TrialDetail>('GET', `/api/trials/${id}`)).body;

/** Runs one wash day to its end, from `hours` ago. */
async function run(trialId: string, hours: number): Promise<WashDay> {
  const id = v7();
  const { body } = await bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, {
    trialId,
    startedAt: ago(hours),
  });
  for (const step of body.steps.filter(({ status }) => status === 'waiting'))
    await tapStep(bench, id, step.id, { status: 'done', startedAt: null, doneAt: ago(hours - 0.2) });
  await tapFinish(bench, id);
  await bench.ask('PATCH', `/api/wash-days/${id}`, { dryAt: ago(hours - 0.5), revealAt: ago(hours - 0.6) });
  const ended = await bench.ask<WashDay>('POST', `/api/wash-days/${id}/end-wear`, {
    kind: 'washed-schedule',
    at: ago(hours - 1),
  });
  expect(ended.status).toBe(200);
  return ended.body;
}

describe('a half-head', () => {
  it('is drawn with balanced sides, and does the tested step once for each half with its own arm', async () => {
    const { trial, gels } = await sampleBench(bench, { design: 'half', washDays: 8 });
    const { rows } = await bench.db.query<{ half: string; n: number }>(
      `select half, count(*)::int as n from allocation where trial_id = $1 and arm_id = $2 group by half order by half`,
      [trial.id, trial.arms[0]!.id],
    );
    expect(rows).toEqual([
      { half: 'left', n: 4 },
      { half: 'right', n: 4 },
    ]);
    const day = await run(trial.id, 30);
    expect(new Set([day.armId, day.rightArmId])).toEqual(new Set(trial.arms.map(({ id }) => id)));
    const hold = day.steps.filter(({ slot }) => slot === 'hold');
    expect(hold.map(({ half }) => half)).toEqual(['left', 'right']);
    expect(new Set(hold.map(({ productId }) => productId))).toEqual(new Set(gels.map(({ id }) => id)));
    // 10 ml for a head, 5 ml for each half, in the plan of the day as in what was done.
    for (const step of hold) {
      expect(step.dose).toMatchObject({ amount: 5 });
      expect(step.planned?.dose).toMatchObject({ amount: 5 });
    }
    expect(day.steps.filter(({ slot }) => slot === 'cleanse')).toHaveLength(1);
    expect((await read(trial.id)).allocation[0]).toEqual({ left: day.armId, right: day.rightArmId });
  });

  it('goes step by step, or one side through and then the other', async () => {
    for (const bySide of [false, true]) {
      const { trial } = await sampleBench(bench);
      const plan = trial.plan.map((step) => ({
        ...step,
        id: v7(),
        part: step.slot === 'hold' || step.slot === 'dry' ? ('tested' as const) : ('held' as const),
      }));
      const tested = plan.filter(({ part }) => part === 'tested');
      const arms = trial.arms.map((arm, n) => ({
        ...arm,
        id: v7(),
        steps: tested.map((step, i) => ({
          stepId: step.id,
          productId: i === 0 ? arm.steps[0]!.productId : null,
          dose: null,
          ...(i === 1 ? { settings: { minutes: 10 + 10 * n } } : {}),
        })),
      }));
      const id = v7();
      const saved = await bench.ask('PUT', `/api/trials/${id}`, {
        ...trial,
        id,
        plan,
        arms,
        design: 'half',
        washDays: 8,
        bySide,
      });
      expect(saved.status).toBe(200);
      expect((await read(id)).bySide).toBe(bySide);
      const day = await run(id, 30);
      expect(day.steps.map(({ slot, half }) => `${slot}${half ? ` ${half}` : ''}`)).toEqual(
        bySide
          ? ['cleanse', 'hold left', 'dry left', 'hold right', 'dry right', 'break-cast']
          : ['cleanse', 'hold left', 'hold right', 'dry left', 'dry right', 'break-cast'],
      );
    }
  });

  it('wants zones of both sides', async () => {
    const { trial, wearer } = await sampleBench(bench);
    const weights = wearer.zones
      .filter(({ side }) => side === 'left')
      .map(({ id }) => ({ zoneId: id, weight: 1 }));
    const refused = await bench.ask('PUT', `/api/trials/${v7()}`, {
      ...trial,
      design: 'half',
      washDays: 8,
      weights,
    });
    expect(refused.body.fields?.[0]).toMatchObject({
      path: 'weights',
      message: expect.stringContaining('left'),
    });
  });
});

describe('a blind trial', () => {
  it('shows codes and nothing behind them from its first wash day until its key is opened', async () => {
    const { trial, gels } = await sampleBench(bench, { blind: true, washDays: 4 });
    const key = (await bench.ask<KeyEntry[]>('GET', `/api/trials/${trial.id}/key`)).body;
    expect(key.map(({ name }) => name).sort()).toEqual(['Gel 1', 'Gel 2']);
    expect(new Set(key.map(({ code }) => code)).size).toBe(2);
    expect(key.every(({ code }) => code >= 100 && code <= 999)).toBe(true);
    expect(key[0]!.fills[0]).toMatchObject({ slot: 'hold', dose: { amount: 10 } });
    expect((await read(trial.id)).codes).toEqual({});

    const day = await run(trial.id, 60);
    const masked = await read(trial.id);
    expect(masked.masked).toBe(true);
    expect(masked.arms.map(({ name }) => name)).toEqual(key.map(({ code }) => `Code ${code}`));
    expect(masked.underTest).toEqual(['Gel 1', 'Gel 2']);
    const text = JSON.stringify([masked, (await bench.ask<Trial[]>('GET', '/api/trials')).body]);
    for (const gel of gels.slice(1)) expect(text).not.toContain(gel.id);
    const hold = day.steps.find(({ slot }) => slot === 'hold')!;
    expect(hold).toMatchObject({ productId: null, code: expect.any(Number) });
    // The product behind the code was stored all the same.
    const { rows } = await bench.db.query('select product_id from wash_step where id = $1', [hold.id]);
    expect(gels.map(({ id }) => id)).toContain(rows[0].product_id);
    const ledger = (await bench.ask('GET', `/api/wearers/${trial.wearerId}/ledger`)).body;
    expect(JSON.stringify(ledger)).not.toContain(gels[1]!.id);

    // Locked: no more ratings; a guess, then the key.
    const late = await bench.ask('PUT', `/api/check-ins/${v7()}`, {
      washDayId: day.id,
      stage: 'wear',
      day: 1,
      at: day.revealAt,
      ratings: [],
    });
    expect(late).toMatchObject({ status: 409, body: { detail: expect.stringContaining('locked') } });
    const guessed = await bench.ask<TrialDetail>('PUT', `/api/wash-days/${day.id}/guess`, {
      half: null,
      armName: 'Gel 1',
    });
    expect(guessed.body.guesses).toEqual([{ washDayId: day.id, half: null, armName: 'Gel 1', right: null }]);
    const early = await bench.ask('POST', `/api/trials/${trial.id}/key/open`);
    expect(early.status).toBe(409);
    for (const hours of [50, 40, 30]) await run(trial.id, hours);
    expect((await read(trial.id)).seed).toBeNull();
    const opened = (await bench.ask<TrialDetail>('POST', `/api/trials/${trial.id}/key/open`)).body;
    expect(opened).toMatchObject({ masked: false, seed: expect.any(Number) });
    expect(Object.values(opened.codes).sort()).toEqual(key.map(({ code }) => code).sort());
    const wasGel1 = opened.arms.find(({ name }) => name === 'Gel 1')!.id === day.armId;
    expect(opened.guesses[0]!.right).toBe(wasGel1);
    expect(
      (await bench.ask('PUT', `/api/wash-days/${day.id}/guess`, { half: null, armName: 'Gel 2' })).status,
    ).toBe(409);
  });

  it('of two factors keeps its factors while it goes by codes', async () => {
    const { trial, wearer, gels } = await sampleBench(bench);
    const more = [sampleProduct({ name: 'Gel Three' }), sampleProduct({ name: 'Gel Four' })];
    for (const gel of more) await bench.ask('PUT', `/api/products/${gel.id}`, gel);
    const step = trial.plan.find(({ part }) => part === 'tested')!;
    const orders = new Set<string>();
    for (let i = 0; i < 8; i++) {
      const arms = [...gels, ...more].map(({ id }, n) => ({
        id: v7(),
        name: `Cell ${n}`,
        steps: [{ stepId: step.id, productId: id, dose: null }],
      }));
      const plan = { ...trial, id: v7(), design: 'factorial', washDays: 4, blind: true, arms };
      const routine = trial.plan.map((own) => ({ ...own, id: v7() }));
      const tested = routine.find(({ part }) => part === 'tested')!;
      const saved = await bench.ask('PUT', `/api/trials/${plan.id}`, {
        ...plan,
        wearerId: wearer.id,
        plan: routine,
        arms: arms.map((arm) => ({ ...arm, steps: arm.steps.map((own) => ({ ...own, stepId: tested.id })) })),
      });
      expect(saved.status).toBe(200);
      await bench.ask('PUT', `/api/wash-days/${v7()}`, { trialId: plan.id, startedAt: ago(2) });
      const masked = await read(plan.id);
      expect(masked.masked).toBe(true);
      // As it begins they take other ids than the open plan had.
      for (const { id } of masked.arms) expect(arms.map((arm) => arm.id)).not.toContain(id);
      const { rows: behind } = await bench.db.query<{ id: string; position: number }>(
        'select id, position from arm where trial_id = $1',
        [plan.id],
      );
      const cells = masked.arms.map(({ id }) => behind.find((arm) => arm.id === id)!.position);
      // First and last differ in both factors, as do the two between.
      expect(cells[0]! + cells[3]!).toBe(3);
      expect(cells[1]! + cells[2]!).toBe(3);
      const codes = masked.arms.map(({ id }) => masked.codes[id]!);
      expect(codes[0]).toBe(Math.min(...codes));
      expect(codes[1]).toBeLessThan(codes[2]!);
      orders.add(cells.join(''));
    }
    expect(orders.size).toBeGreaterThan(1);
  });

  it('cannot be one whose arms differ in more than the bottle', async () => {
    const { trial } = await sampleBench(bench);
    const [a, b] = trial.arms;
    const dose = { kind: 'exact', amount: 20, measure: 'ml', per: 'head' } as const;
    const refused = await bench.ask('PUT', `/api/trials/${v7()}`, {
      ...trial,
      blind: true,
      arms: [a, { ...b!, steps: b!.steps.map((step) => ({ ...step, dose })) }],
    });
    expect(refused.body.fields?.[0]?.path).toBe('blind');
    expect((await bench.ask('GET', `/api/trials/${trial.id}/key`)).status).toBe(409);
  });
});

describe('a promise', () => {
  it('is amended on record, with its reason, from the first wash day on', async () => {
    const { trial } = await sampleBench(bench);
    const amend = (to: object, id = v7()) =>
      bench.ask<TrialDetail>('PUT', `/api/trials/${trial.id}/amendments/${id}`, {
        field: 'line',
        becomes: 5,
        reason: 'The wearer asked.',
        ...to,
      });
    expect((await amend({})).status).toBe(409);
    await run(trial.id, 20);
    expect((await amend({ reason: ' ' })).body).toMatchObject({ fields: [{ path: 'reason' }] });
    expect((await amend({ becomes: 12 })).body).toMatchObject({ fields: [{ path: 'becomes' }] });
    // Points and millimetres are not each other's limits.
    expect((await amend({ field: 'primary', becomes: 'halo:less' })).body).toMatchObject({
      fields: [{ path: 'becomes', message: expect.stringContaining('in another unit') }],
    });
    expect((await amend({ field: 'wearDays', becomes: 0 })).status).toBe(422);
    const id = v7();
    const first = await amend({}, id);
    expect(first.body).toMatchObject({
      line: 5,
      amendments: [
        {
          slot: null,
          changes: [{ setting: 'line', was: 6, becomes: 5 }],
          washDaysDone: 1,
          reason: 'The wearer asked.',
        },
      ],
    });
    expect((await amend({}, id)).body.amendments).toHaveLength(1);
    await bench.ask('POST', `/api/trials/${trial.id}/outcomes`);
    expect((await amend({ becomes: 4 })).body).toMatchObject({ fields: [{ path: 'field' }] });
    expect((await amend({ field: 'question', becomes: 'Which gel holds longer?' })).status).toBe(200);
  });

  it('has a held step amended for the wash days to come, those that were run keeping theirs', async () => {
    const { trial } = await sampleBench(bench);
    const dry = trial.plan.find(({ slot }) => slot === 'dry')!;
    const amend = (step: object, id = v7(), reason = 'The dryer broke.') =>
      bench.ask<TrialDetail>('PUT', `/api/trials/${trial.id}/step-amendments/${id}`, { step, reason });
    expect((await amend({ ...dry, tool: 'hood' })).status).toBe(409);
    const first = await run(trial.id, 60);
    expect((await amend({ ...dry, tool: 'hood' }, v7(), ' ')).body).toMatchObject({
      fields: [{ path: 'reason' }],
    });
    expect((await amend(dry)).body).toMatchObject({ fields: [{ path: 'step' }] });
    const tested = trial.plan.find(({ part }) => part === 'tested')!;
    expect((await amend({ ...tested, minutes: 3 })).body).toMatchObject({ fields: [{ path: 'step' }] });
    const id = v7();
    const amended = await amend({ ...dry, tool: 'hood', minutes: 45 }, id);
    expect(amended.body.amendments).toMatchObject([
      {
        slot: 'dry',
        changes: [
          { setting: 'tool', was: 'diffuser', becomes: 'hood' },
          { setting: 'minutes', was: 20, becomes: 45 },
        ],
      },
    ]);
    expect((await amend({ ...dry, tool: 'hood', minutes: 45 }, id)).body.amendments).toHaveLength(1);
    const second = await run(trial.id, 40);
    const plannedTool = (day: WashDay) => day.steps.find(({ slot }) => slot === 'dry')!.planned!.tool;
    const again = await read(trial.id);
    const records = [first, second].map(
      ({ id: day }) => again.washDayRecords.find((known) => known.id === day)!,
    );
    expect(records.map(plannedTool)).toEqual(['diffuser', 'hood']);
  });

  it('takes a first look once, half-way, with no wash day open', async () => {
    const { trial } = await sampleBench(bench, { looks: 2, washDays: 4 });
    const look = () => bench.ask<TrialDetail>('POST', `/api/trials/${trial.id}/look`);
    expect((await look()).status).toBe(409);
    await run(trial.id, 60);
    await run(trial.id, 50);
    const { body } = await look();
    expect(body.lookedAt).not.toBeNull();
    expect((await look()).body.lookedAt).toBe(body.lookedAt);
    const { trial: plain } = await sampleBench(bench);
    expect((await bench.ask('POST', `/api/trials/${plain.id}/look`)).body.detail).toContain('one look');
  });
});

describe('a difference', () => {
  it('is judged otherwise with a reason, taken back, and closed once the outcomes are shown', async () => {
    const { trial } = await sampleBench(bench);
    expect((await bench.ask('POST', `/api/trials/${trial.id}/outcomes`)).status).toBe(409);
    const day = await run(trial.id, 20);
    const id = v7();
    const over = (to: object = {}, of = id) =>
      bench.ask<TrialDetail>('PUT', `/api/trials/${trial.id}/overrules/${of}`, {
        washDayId: day.id,
        difference: 'minutes dry',
        gravity: 'note',
        reason: 'The dryer was the weak one.',
        ...to,
      });
    expect((await over({ reason: '' })).body).toMatchObject({ fields: [{ path: 'reason' }] });
    expect((await over()).body.overrules).toMatchObject([{ id, difference: 'minutes dry', gravity: 'note' }]);
    expect((await over({ washDayId: v7() }, v7())).status).toBe(404);
    const taken = await bench.ask<TrialDetail>('DELETE', `/api/trials/${trial.id}/overrules/${id}`);
    expect(taken.body.overrules).toEqual([]);
    await over();
    await bench.ask('POST', `/api/trials/${trial.id}/outcomes`);
    expect((await over({ gravity: 'breaks' })).status).toBe(409);
    expect((await bench.ask('DELETE', `/api/trials/${trial.id}/overrules/${id}`)).status).toBe(409);
  });
});

describe('a find your amount', () => {
  it('brackets the dose from what each wash day felt like', async () => {
    const { trial } = await sampleBench(bench);
    const [arm] = trial.arms;
    const plan = trial.plan.map((step) =>
      step.part === 'tested' ? { ...step, productId: arm!.steps[0]!.productId } : step,
    );
    const runIn = { ...trial, id: v7(), design: 'dose-run-in', plan, arms: [arm], washDays: 4 };
    const ids = new Map(plan.map((step) => [step.id, v7()]));
    const fresh = {
      ...runIn,
      plan: plan.map((step) => ({ ...step, id: ids.get(step.id)! })),
      arms: [
        { ...arm!, id: v7(), steps: arm!.steps.map((step) => ({ ...step, stepId: ids.get(step.stepId)! })) },
      ],
    };
    const saved = await bench.ask('PUT', `/api/trials/${fresh.id}`, fresh);
    expect(saved.status, JSON.stringify(saved.body)).toBe(200);
    const dose = (day: WashDay) => day.steps.find(({ slot }) => slot === 'hold')!.dose;
    const first = await run(fresh.id, 60);
    expect(dose(first)).toMatchObject({ amount: 10 });
    await bench.ask('PATCH', `/api/wash-days/${first.id}`, { doseFelt: 'much' });
    const second = await run(fresh.id, 50);
    const less = (dose(second) as { amount: number }).amount;
    expect(less).toBeLessThan(10);
    expect(second.steps.find(({ slot }) => slot === 'hold')!.planned!.dose).toMatchObject({ amount: less });
    await bench.ask('PATCH', `/api/wash-days/${second.id}`, { doseFelt: 'little' });
    const third = await run(fresh.id, 40);
    const between = (dose(third) as { amount: number }).amount;
    expect(between).toBeGreaterThan(less);
    expect(between).toBeLessThan(10);
    const runs = (await bench.ask<DoseRun[]>('GET', `/api/wearers/${trial.wearerId}/doses`)).body;
    expect(runs).toEqual([
      {
        productId: arm!.steps[0]!.productId,
        measure: 'ml',
        tried: [
          { amount: 10, felt: 'much' },
          { amount: less, felt: 'little' },
        ],
      },
    ]);
  });
});

describe('a refresh trial', () => {
  it('keeps its refresh waiting when the routine is through, for one half, until the wear ends', async () => {
    const { trial, wearer, routine } = await sampleBench(bench);
    const refresh = { ...trial.plan[1]!, id: v7(), slot: 'refresh', part: 'tested', productId: null };
    const plan = [...routine.steps.map((step) => ({ ...step, id: v7(), part: 'held' })), refresh];
    const step = { stepId: refresh.id, productId: null, dose: refresh.dose, skipped: false, settings: {} };
    const made = {
      ...trial,
      id: v7(),
      wearerId: wearer.id,
      design: 'refresh',
      plan,
      onDay: 2,
      washDays: 8,
      arms: [
        { id: v7(), name: 'Refreshed', steps: [step] },
        { id: v7(), name: 'Left alone', steps: [{ ...step, dose: null, skipped: true }] },
      ],
    };
    expect(
      (await bench.ask('PUT', `/api/trials/${made.id}`, { ...made, onDay: 1 })).body.fields?.[0]?.path,
    ).toBe('onDay');
    const saved = await bench.ask('PUT', `/api/trials/${made.id}`, made);
    expect(saved.status, JSON.stringify(saved.body)).toBe(200);
    const id = v7();
    await bench.ask('PUT', `/api/wash-days/${id}`, { trialId: made.id, startedAt: ago(30) });
    const through = await tapFinish(bench, id);
    const ofRefresh = (day: WashDay) =>
      day.steps.filter(({ slot }) => slot === 'refresh').map(({ status }) => status);
    expect(ofRefresh(through).sort()).toEqual(['skipped', 'waiting']);
    expect(
      through.steps.filter(({ slot }) => slot !== 'refresh').every(({ status }) => status === 'skipped'),
    ).toBe(true);
    await bench.ask('PATCH', `/api/wash-days/${id}`, { revealAt: ago(28) });
    const ended = await bench.ask<WashDay>('POST', `/api/wash-days/${id}/end-wear`, {
      kind: 'washed-schedule',
      at: ago(1),
    });
    expect(ofRefresh(ended.body)).toEqual(['skipped', 'skipped']);
  });
});
