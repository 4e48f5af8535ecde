import type { CheckInInput } from '@sabor/contract/check-in';
import type { Today } from '@sabor/contract/today';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import { PLAIN_EVENT } from '@sabor/reading/nothing-told';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, zoneOfAfternoon } from '../../testing/samples.ts';
import { tap, tapFinish, tapStep } from '../../testing/tapping.ts';

let bench: TestBench;
let sample: Awaited<ReturnType<typeof sampleBench>>;
beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  sample = await sampleBench(bench, {}, { timeZone: zoneOfAfternoon() });
});
afterAll(() => bench.close());

const now = () => new Date().toISOString();
const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();

async function begin(startedAt = now()): Promise<WashDay> {
  const id = v7();
  const { status, body } = await bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, {
    trialId: sample.trial.id,
    startedAt,
  });
  expect(status).toBe(200);
  return body;
}

const sendStep = async (day: WashDay, step: WashStep, to: Parameters<typeof tapStep>[3]) => ({
  body: await tapStep(bench, day.id, step.id, to),
});

async function wear(startedAt = ago(5)): Promise<WashDay> {
  const day = await begin(startedAt);
  for (const step of day.steps)
    await sendStep(day, step, {
      status: 'done',
      doneAt: new Date(Math.min(Date.now(), Date.parse(startedAt) + 60_000)).toISOString(),
    });
  return tapFinish(bench, day.id);
}

const look = (day: WashDay, to: Partial<CheckInInput> = {}) => {
  const id = v7();
  return bench.ask<WashDay>('PUT', `/api/check-ins/${id}`, {
    washDayId: day.id,
    stage: 'wear',
    day: 1,
    at: now(),
    ...to,
  });
};

describe('a wash day', () => {
  it('begins with the plan and the arm’s own product in its steps', async () => {
    const day = await begin();
    const arm = sample.trial.arms.find(({ id }) => id === day.armId)!;
    const hold = day.steps.find((step) => step.slot === 'hold')!;
    expect(hold.productId).toBe(arm.steps[0]!.productId);
    expect(hold.planned).toMatchObject({
      productId: hold.productId,
      wetness: 'wet',
      dose: { amount: 10, measure: 'ml' },
    });
    expect(day.steps.map(({ status }) => status)).toEqual(['waiting', 'waiting', 'waiting', 'waiting']);
  });

  it('sent twice begins once', async () => {
    const body = { trialId: sample.trial.id, startedAt: now() };
    const id = v7();
    const first = await bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, body);
    const second = await bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, body);
    expect(second.body).toEqual(first.body);
    expect(second.body.steps).toHaveLength(4);
  });

  it('begun from two devices at once is one wash day, and the other is told', async () => {
    const starts = await Promise.all(
      [v7(), v7()].map((id) =>
        bench.ask('PUT', `/api/wash-days/${id}`, { trialId: sample.trial.id, startedAt: now() }),
      ),
    );
    expect(starts.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  it('records what was really done, and takes the clocks from its steps', async () => {
    const day = await begin(ago(1));
    const at = ago(0.5);
    const [cleanse, hold] = day.steps;
    await sendStep(day, cleanse!, { status: 'done', doneAt: at, minutes: 4.5 });
    const { body } = await sendStep(day, hold!, {
      status: 'done',
      doneAt: at,
      dose: { kind: 'unknown' },
      note: 'lost count',
    });
    expect(body.steps[0]).toMatchObject({ status: 'done', minutes: 4.5 });
    expect(body.steps[1]).toMatchObject({ dose: { kind: 'unknown' }, note: 'lost count' });
    expect(body.steps[1]!.planned!.dose).toMatchObject({ amount: 10 });
    expect(Date.parse(body.washedAt!)).toBe(Date.parse(at));
    expect(body.dryAt).toBeNull();
  });

  it('takes steps the plan does not have, at their place, and lets them go again', async () => {
    const day = await begin();
    const stepId = v7();
    const added = await tap(bench, day.id, { kind: 'add-step', stepId, slot: 'second-coat', position: 1.5 });
    const body = added.body.day;
    expect(body.steps.map(({ slot }) => slot)).toEqual([
      'cleanse',
      'hold',
      'second-coat',
      'dry',
      'break-cast',
    ]);
    expect(body.steps[2]).toMatchObject({ planStepId: null, planned: null });
    const without = await tap(bench, day.id, { kind: 'take-out', stepId });
    expect(without.body.day.steps).toHaveLength(4);
    const planned = await tap(bench, day.id, { kind: 'take-out', stepId: day.steps[0]!.id });
    expect(planned.body.day.steps).toHaveLength(4);
  });

  it('finished early counts the rest as skipped', async () => {
    const day = await begin();
    const body = await tapFinish(bench, day.id);
    expect(body.status).toBe('worn');
    expect(new Set(body.steps.map(({ status }) => status))).toEqual(new Set(['skipped']));
  });

  it.each([
    [{ temperatureC: 40, humidity: 140 }, 'humidity', 'The humidity in % cannot be over 100.'],
    [{ temperatureC: 90, humidity: 40 }, 'temperatureC', 'The air temperature cannot be over 60.'],
    [{ windMs: -2 }, 'windMs', 'The wind in m/s cannot be under 0.'],
    [{ temperatureC: 'warm' }, 'temperatureC', 'The air temperature must be a number.'],
    [{ washedAt: '2999-01-01T00:00:00Z' }, 'washedAt', 'This time is in the future. Give now or earlier.'],
  ])('refuses %j', async (change, path, message) => {
    const day = await begin();
    expect((await bench.ask('PATCH', `/api/wash-days/${day.id}`, change)).body.fields).toContainEqual({
      path,
      message,
    });
  });

  it('keeps wash, dry and reveal in order', async () => {
    const day = await begin(ago(5));
    const change = (to: object) => bench.ask<WashDay>('PATCH', `/api/wash-days/${day.id}`, to);
    expect((await change({ washedAt: ago(4), dryAt: ago(3), revealAt: ago(2) })).status).toBe(200);
    expect(await bench.ask('PATCH', `/api/wash-days/${day.id}`, { dryAt: ago(4.5) })).toMatchObject({
      status: 422,
      body: { fields: [{ path: 'dryAt' }] },
    });
    expect(await bench.ask('PATCH', `/api/wash-days/${day.id}`, { revealAt: ago(3.5) })).toMatchObject({
      status: 422,
      body: { fields: [{ path: 'revealAt' }] },
    });
    expect((await change({ temperatureC: 12.5, humidity: 84 })).body).toMatchObject({
      temperatureC: 12.5,
      humidity: 84,
    });
  });

  it('refuses a dose of “abc”', async () => {
    const day = await begin();
    const dose = { kind: 'exact', amount: 'abc' as unknown as number, measure: 'pump', per: 'head' } as const;
    await expect(tapStep(bench, day.id, day.steps[0]!.id, { dose })).rejects.toThrow('must be a number');
  });
});

describe('looks at the hair', () => {
  it('are saved as they are tapped, and may be sent twice', async () => {
    const day = await wear();
    const zones = sample.wearer.zones.slice(0, 2);
    const rate = (value: number | null) =>
      zones.map((zone) => ({ outcome: 'definition' as const, zoneId: zone.id, value }));
    await look(day, { ratings: rate(7.5) });
    await look(day, { ratings: rate(7.5) });
    const { body } = await look(day, {
      ratings: rate(8).slice(0, 1),
      curls: [{ curlId: sample.wearer.curls[0]!.id, restingMm: 175 }],
    });
    expect(body.checkIns).toHaveLength(1);
    expect(body.checkIns[0]!.ratings.map(({ value }) => value).sort()).toEqual([7.5, 8]);
    expect(body.checkIns[0]!.curls).toEqual([
      { curlId: sample.wearer.curls[0]!.id, restingMm: 175, stretchedMm: 300 },
    ]);
    const { body: less } = await look(day, { ratings: rate(null) });
    expect(less.checkIns[0]!.ratings).toEqual([]);
  });

  it('keep their note when a rating comes without one, and change it when one comes', async () => {
    const day = await wear();
    await look(day, { note: 'soft' });
    const { body } = await look(day, {
      ratings: [{ outcome: 'shine', zoneId: sample.wearer.zones[0]!.id, value: 5 }],
    });
    expect(body.checkIns[0]!.note).toBe('soft');
    expect((await look(day, { note: '' })).body.checkIns[0]!.note).toBe('');
  });

  it('are refused before the wash day, before the reveal, and on the wrong day', async () => {
    const day = await wear();
    const at = async (to: Partial<CheckInInput>) =>
      ((await look(day, to)) as unknown as { body: { fields?: { path: string; message: string }[] } }).body
        .fields?.[0];
    expect(await at({ at: ago(48) })).toEqual({
      path: 'at',
      message: 'This check-in is before its wash day began.',
    });
    expect(await at({ day: 3 })).toEqual({ path: 'at', message: 'That moment is day 1, not day 3.' });
    expect(await at({ at: '2999-01-01T00:00:00Z' })).toEqual({
      path: 'at',
      message: 'This time is in the future. Give now or earlier.',
    });
    expect(await at({ stage: 'wet', day: 1 })).toEqual({
      path: 'day',
      message: 'Days are counted from the finished hair; earlier check-ins have none.',
    });
    await bench.ask('PATCH', `/api/wash-days/${day.id}`, { revealAt: null });
    expect((await at({}))?.message).toContain('Record first when it was finished');
  });

  it('are refused with impossible values', async () => {
    const day = await wear();
    const { wearer } = sample;
    const first = async (to: Partial<CheckInInput>) =>
      ((await look(day, to)) as unknown as { body: { fields?: { message: string }[] } }).body.fields?.[0]
        ?.message;
    const rating = { outcome: 'definition' as const, zoneId: wearer.zones[0]!.id, value: 11 };
    expect(await first({ ratings: [rating] })).toBe('A rating cannot be over 10.');
    expect(await first({ ratings: [{ ...rating, value: 5, zoneId: v7() }] })).toBe(
      'A rated zone is not on this wearer’s head.',
    );
    expect(await first({ curls: [{ curlId: wearer.curls[0]!.id, restingMm: 301 }] })).toBe(
      'Crown curl cannot rest longer than it stretches (300 mm). Check the length.',
    );
    expect((await bench.ask<WashDay>('GET', `/api/wash-days/${day.id}`)).body.checkIns).toEqual([]);
  });

  it('carry events of the day', async () => {
    const day = await wear();
    const id = v7();
    const event = { washDayId: day.id, kind: 'wind', on: day.localDate, note: '', zoneIds: [] };
    await bench.ask('PUT', `/api/events/${id}`, event);
    const { body } = await bench.ask<WashDay>('PUT', `/api/events/${id}`, event);
    expect(body.events).toEqual([{ ...PLAIN_EVENT, id, ...event }]);
    expect(
      (await bench.ask('PUT', `/api/events/${v7()}`, { ...event, on: '2020-01-01' })).body.fields?.[0]?.path,
    ).toBe('on');
    expect((await bench.ask<WashDay>('DELETE', `/api/events/${id}`)).body.events).toEqual([]);
    expect((await bench.ask('DELETE', `/api/events/${id}`)).status).toBe(404);
  });
});

describe('the end of wear', () => {
  const end = (day: WashDay, kind = 'washed-schedule') =>
    bench.ask<WashDay>('POST', `/api/wash-days/${day.id}/end-wear`, { kind, at: now() });
  const today = async () =>
    (await bench.ask<Today>('GET', '/api/today')).body.due.filter(
      (due) => 'trialId' in due && due.trialId === sample.trial.id,
    );

  it('comes before the next wash day', async () => {
    const day = await wear();
    const early = await bench.ask('PUT', `/api/wash-days/${v7()}`, {
      trialId: sample.trial.id,
      startedAt: now(),
    });
    expect(early).toMatchObject({
      status: 409,
      body: { detail: expect.stringContaining('still being worn') },
    });
    expect((await end(day)).body.status).toBe('finished');
    await begin();
  });

  it('can be taken back before the next wash day', async () => {
    const day = await wear();
    await end(day, 'washed-looks');
    expect(
      (await bench.ask<WashDay>('POST', `/api/wash-days/${day.id}/reopen-wear`)).body.wearEnd,
    ).toBeNull();
  });

  it('of the last planned wash day finishes the trial and opens its seed', async () => {
    for (let n = 0; n < 4; n++) {
      expect((await today())[0]?.kind).toBe('start wash day');
      const day = await wear(now());
      expect((await today())[0]).toMatchObject({ kind: 'check-in', stage: 'wear', day: 1 });
      await look(day, {
        at: now(),
        ratings: sample.wearer.zones
          .slice(0, 4)
          .map((zone) => ({ outcome: 'definition', zoneId: zone.id, value: 5 + n })),
      });
      await end(day);
    }
    const { body } = await bench.ask<TrialDetail>('GET', `/api/trials/${sample.trial.id}`);
    expect(body.status).toBe('finished');
    expect(body.seed).not.toBeNull();
    expect((await today())[0]?.kind).toBe('read');
    const closed = await look(body.washDayRecords[0]!, {});
    expect(closed.status).toBe(409);
    const csv = await bench.ask<string>('GET', `/api/trials/${sample.trial.id}/readings.csv`);
    const lines = csv.body.trim().split('\r\n');
    expect(lines[0]).toContain('wash_day,abandoned,date,arm');
    expect(lines.filter((line) => line.includes('Definition'))).toHaveLength(16);
    // Its two product steps of each wash day say how they stood to the label.
    expect(lines.filter((line) => line.includes('label silent'))).toHaveLength(8);
    expect(lines).toHaveLength(1 + 16 + 8);
  });

  it('asks for it when the planned days of wear are over', async () => {
    const day = await wear(ago(80));
    await bench.ask('PATCH', `/api/wash-days/${day.id}`, { revealAt: ago(78) });
    expect((await today())[0]).toMatchObject({ kind: 'end wear', washDayId: day.id });
  });
});
