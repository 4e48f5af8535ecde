import type { HairFile } from '@sabor/contract/hair-file';
import type { ListedDay, LogWashDay } from '@sabor/contract/logged-day';
import type { Problem } from '@sabor/contract/problem';
import type { Today } from '@sabor/contract/today';
import type { Trial, TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleProduct } from '../../testing/samples.ts';
import { tap, tapFinish, tapStep } from '../../testing/tapping.ts';

let bench: TestBench;
let sample: Awaited<ReturnType<typeof sampleBench>>;
beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  sample = await sampleBench(bench);
});
afterAll(() => bench.close());

const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();
const wash = (to: Partial<LogWashDay> = {}): LogWashDay => ({
  id: v7(),
  wearerId: sample.wearer.id,
  name: 'Sunday wash',
  startedAt: ago(20),
  steps: sample.routine.steps,
  ...to,
});
const log = <T = WashDay>(day: LogWashDay) => bench.ask<T>('PUT', `/api/logged-days/${day.id}`, day);
const file = async () => (await bench.ask<HairFile>('GET', `/api/wearers/${sample.wearer.id}/file`)).body;
const refused = async (day: LogWashDay) => {
  const { status, body } = await log<Problem>(day);
  const fields = body.fields ?? [];
  return [
    status,
    ...(fields.length > 0 ? fields.map(({ path, message }) => `${path}: ${message}`) : [body.detail]),
  ];
};

describe('a wash day by itself', () => {
  it('is run like any other, counts in history and care, and stands among the wash days, not the trials', async () => {
    const clarifier = sampleProduct({ name: 'Clear', roles: ['clarifier'] });
    await bench.ask('PUT', `/api/products/${clarifier.id}`, clarifier);
    const steps = [
      { ...EMPTY_SETTINGS, id: v7(), slot: 'cleanse' as const, productId: clarifier.id, note: '' },
      { ...EMPTY_SETTINGS, id: v7(), slot: 'dry' as const, tool: 'diffuser' as const, note: '' },
    ];
    const one = wash({ steps });
    const { body: day } = await log(one);
    expect(day).toMatchObject({
      id: one.id,
      status: 'under way',
      enteredLater: true,
      wearerId: sample.wearer.id,
    });
    expect(day.steps.map(({ slot }) => slot)).toEqual(['cleanse', 'dry']);
    // Sent twice it is one.
    expect((await log(one)).body.id).toBe(one.id);
    await tapStep(bench, day.id, day.steps[0]!.id, { status: 'done', doneAt: ago(19.8) });
    await tapFinish(bench, day.id);
    const { washedOn, washCare, ahead } = await file();
    expect(washedOn).toHaveLength(1);
    expect(washCare.map(({ kind }) => kind)).toEqual(['clarify']);
    expect(ahead.map(({ id }) => id)).toEqual([sample.trial.id]);
    const trials = (await bench.ask<Trial[]>('GET', '/api/trials')).body;
    expect(trials.some(({ id }) => id === day.trialId)).toBe(false);
    const listed = (await bench.ask<ListedDay[]>('GET', '/api/wash-days')).body.find(
      ({ id }) => id === day.id,
    );
    expect(listed).toMatchObject({ name: 'Sunday wash', logged: true, enteredLater: true, status: 'worn' });
    const trial = (await bench.ask<TrialDetail>('GET', `/api/trials/${day.trialId}`)).body;
    expect(trial).toMatchObject({ logged: true, washDays: 1, question: 'Sunday wash' });
    const due = (await bench.ask<Today>('GET', '/api/today')).body.due.filter(
      (x) => 'washDayId' in x && x.washDayId === day.id,
    );
    expect(due.map(({ kind }) => kind)).toContain('check-in');
  });

  it('keeps its own moment and date where the clocks are put back: the second half past two is an hour later', async () => {
    const zoned = await sampleBench(bench, {}, { name: 'Cleo of the clocks', timeZone: 'Europe/Berlin' });
    const at = (startedAt: string) => wash({ wearerId: zoned.wearer.id, startedAt });
    // 02:30 in summer time, 02:30 in winter time, and half an hour after that, which is too close.
    const first = (await log(at('2026-10-25T00:30:00.000Z'))).body;
    const second = (await log(at('2026-10-25T01:30:00.000Z'))).body;
    expect([first, second].map(({ localDate }) => localDate)).toEqual(['2026-10-25', '2026-10-25']);
    expect([first, second].map(({ startedAt }) => Date.parse(startedAt))).toEqual([
      Date.UTC(2026, 9, 25, 0, 30),
      Date.UTC(2026, 9, 25, 1, 30),
    ]);
    expect(await refused(at('2026-10-25T02:00:00.000Z'))).toEqual([
      422,
      'startedAt: Another wash day of this head begins within an hour of that. Check the time.',
    ]);
    // The hour that spring leaves out: half an hour before and after it are one hour apart on the clock of the sun.
    const spring = (await log(at('2026-03-29T00:30:00.000Z'))).body;
    expect(spring.localDate).toBe('2026-03-29');
    expect((await log<Problem>(at('2026-03-29T01:00:00.000Z'))).status).toBe(422);
  });

  it('can be mended after it ended; its wear ends by itself where the next wash begins', async () => {
    const { body: first } = await log(wash({ startedAt: ago(50) }));
    await tapFinish(bench, first.id);
    const { body: second } = await log(wash({ startedAt: ago(2) }));
    const read = async (id: string) => (await bench.ask<WashDay>('GET', `/api/wash-days/${id}`)).body;
    expect(await read(first.id)).toMatchObject({ status: 'finished', wearEnd: { kind: 'washed-schedule' } });
    expect((await read(second.id)).enteredLater).toBe(false);
    const mended = await bench.ask<WashDay>('PATCH', `/api/wash-days/${first.id}`, { note: 'Rushed.' });
    expect(mended.body.note).toBe('Rushed.');
    // A trial’s wash day ends it as well.
    await bench.ask('PUT', `/api/wash-days/${v7()}`, { trialId: sample.trial.id, startedAt: ago(0) });
    expect((await read(second.id)).status).toBe('finished');
    const today = (await bench.ask<Today>('GET', '/api/today')).body.due;
    expect(today.filter((x) => 'washDayId' in x && [first.id, second.id].includes(x.washDayId))).toEqual([]);
    expect(today.filter((x) => x.kind === 'read')).toEqual([]);
  });

  it('begins when it began: its start can be moved, not into another wash of this head, nor the future', async () => {
    const { body: day } = await log(wash({ startedAt: ago(30) }));
    const move = (startedAt: string) => bench.ask('PATCH', `/api/wash-days/${day.id}`, { startedAt });
    expect((await move(ago(32))).status).toBe(200);
    const { body: other } = await log(wash({ startedAt: ago(10) }));
    expect(other.status).toBe('under way');
    expect((await move(ago(10.5))).body.fields).toEqual([
      {
        path: 'startedAt',
        message: 'Another wash day of this head begins within an hour of that. Check the time.',
      },
    ]);
    expect((await move(new Date(Date.now() + 3_600_000 * 5).toISOString())).status).toBe(422);
    await tap(bench, day.id, { kind: 'day', set: { washedAt: ago(31) } });
    expect((await move(ago(29))).body.fields?.[0]?.path).toBe('washedAt');
  });

  it('is refused in words where it cannot be', async () => {
    expect(await refused(wash({ wearerId: v7() }))).toEqual([
      422,
      'wearerId: Sabor has no such wearer. Choose another.',
    ]);
    expect(await refused(wash({ steps: [], name: ' ' }))).toEqual([
      422,
      'name: A wash day needs a name.',
      'steps: Choose a routine with one step at least.',
    ]);
    await log(wash({ startedAt: ago(5) }));
    expect(await refused(wash({ startedAt: ago(4.5) }))).toEqual([
      422,
      'startedAt: Another wash day of this head begins within an hour of that. Check the time.',
    ]);
    // A trial’s hair that is still worn is not washed out in silence; a wash before it is.
    await bench.ask('PUT', `/api/wash-days/${v7()}`, { trialId: sample.trial.id, startedAt: ago(3) });
    expect(await refused(wash({ startedAt: ago(1) }))).toEqual([
      409,
      `Wash day 1 of “${sample.trial.question}” is still open on this head. Say first how it ended: washed or restyled.`,
    ]);
    expect((await log(wash({ startedAt: ago(200) }))).status).toBe(200);
  });
});
