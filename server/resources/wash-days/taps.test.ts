import type { Tap, TapsHeard } from '@sabor/contract/taps';
import type { WashDay } from '@sabor/contract/wash-day';
import { applyTaps } from '@sabor/reading/apply-tap';
import fc from 'fast-check';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench } from '../../testing/samples.ts';

let bench: TestBench;
let day: WashDay;
const began = Date.now() - 3 * 3_600_000;
const after = (seconds: number) => new Date(began + seconds * 1000).toISOString();
/** An id made at that moment, as a phone makes it. */
const idAt = (seconds: number) => v7({ msecs: began + seconds * 1000 });

beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  const { trial } = await sampleBench(bench);
  day = (
    await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, { trialId: trial.id, startedAt: after(0) })
  ).body;
});
afterAll(() => bench.close());

const send = async (taps: readonly unknown[], device = 'phone') =>
  (await bench.ask<TapsHeard>('POST', `/api/wash-days/${day.id}/taps`, { device, taps })).body;
const stored = async () => (await bench.ask<WashDay>('GET', `/api/wash-days/${day.id}`)).body;

let second = 0;
beforeEach(() => {
  second = 10;
});
/** A tap a second after the last. */
// biome-ignore lint/suspicious/noExplicitAny: tests send wrong taps too
const tap = (to: any): Tap => {
  second++;
  return { id: idAt(second), at: after(second), stepId: day.steps[0]!.id, ...to };
};

/** What taps tell of a day, without what the server works out by itself. */
const told = ({ steps, strain, patience, shedHairs, shedCounted, note, status }: WashDay) => ({
  strain,
  patience,
  shedHairs,
  shedCounted,
  note,
  status,
  steps: steps.map(({ pauses, marks, ideas, ...step }) => ({
    ...step,
    startedAt: step.startedAt && Date.parse(step.startedAt),
    doneAt: step.doneAt && Date.parse(step.doneAt),
    pauses: pauses.map(({ id, reason }) => `${id} ${reason}`).sort(),
    marks: marks.map(({ id, mark, reason }) => `${id} ${mark} ${reason}`).sort(),
    ideas: ideas.map(({ id, idea }) => `${id} ${idea}`).sort(),
  })),
});

describe('taps', () => {
  it('are stored, each kind, as the phone foresaw them', async () => {
    const extra = v7();
    const pauseId = v7();
    const taps = [
      tap({ kind: 'step', set: { startedAt: after(1) } }),
      tap({ kind: 'pause', pauseId, from: after(2), to: null, reason: 'untold' }),
      tap({ kind: 'pause', pauseId, from: after(2), to: after(5), reason: 'door' }),
      tap({ kind: 'mark', markId: v7(), mark: 'ran-out', reason: 'empty' }),
      tap({ kind: 'in-hand', quality: 'slip', value: 3 }),
      tap({ kind: 'idea', ideaId: v7(), idea: 'wetter' }),
      tap({ kind: 'weighing', phase: 'before', grams: 250.4 }),
      tap({ kind: 'weighing', phase: 'after', grams: 238.9 }),
      tap({
        kind: 'step',
        set: {
          status: 'done',
          doneAt: after(9),
          dose: { kind: 'exact', amount: 11.5, measure: 'g', per: 'head' },
          wetness: 'damp',
          extra: { cap: true },
          note: 'slow',
        },
      }),
      tap({ kind: 'add-step', stepId: extra, slot: 'emollient', position: -0.5 }),
      tap({ kind: 'step', stepId: extra, set: { status: 'done', doneAt: after(12) } }),
      tap({ kind: 'event', eventId: v7(), event: 'bonnet', on: day.localDate }),
      tap({ kind: 'day', set: { strain: 2, patience: 1, shedHairs: 80, shedCounted: true, note: 'cold' } }),
      tap({ kind: 'finish' }),
    ];
    const { heard, refused } = await send(taps);
    expect(refused).toEqual([]);
    expect(heard).toHaveLength(taps.length);
    const now = await stored();
    expect(told(now)).toEqual(told(applyTaps(day, taps)));
    expect(now.steps.find(({ id }) => id === day.steps[0]!.id)).toMatchObject({
      weighed: { before: 250.4, after: 238.9 },
      inHand: { slip: 3 },
    });
    expect(now.devices.map(({ device }) => device)).toEqual(['phone']);
    expect(now.events).toMatchObject([{ kind: 'bonnet', on: day.localDate }]);
    const eventId = now.events[0]!.id;
    const gone = tap({ kind: 'event', eventId, event: 'bonnet', on: day.localDate, gone: true });
    expect((await send([gone])).day.events).toEqual([]);
  });

  it('sent again change nothing, and are acknowledged again', async () => {
    const taps = [
      tap({ kind: 'mark', markId: v7(), mark: 'more', reason: 'hair' }),
      tap({ kind: 'step', set: { status: 'skipped' } }),
    ];
    await send(taps);
    const once = await stored();
    const again = await send(taps);
    expect(again.heard).toEqual(taps.map(({ id }) => id));
    expect(told(await stored())).toEqual(told(once));
    const { rows } = await bench.db.query('select count(*)::int as n from wash_tap where wash_day_id = $1', [
      day.id,
    ]);
    expect(rows[0].n).toBe(2);
  });

  it('that cannot stand are refused one by one with a sentence, and hold up no other', async () => {
    const taps = [
      tap({ kind: 'in-hand', quality: 'slip', value: 9 }),
      { nonsense: true },
      tap({ kind: 'step', stepId: v7(), set: { status: 'done' } }),
      tap({ kind: 'step', set: { productId: v7() } }),
      tap({ kind: 'day', set: { washedAt: new Date(began - 9e6).toISOString() } }),
      tap({ kind: 'step', set: { status: 'done', doneAt: after(3) } }),
    ];
    const { refused, day: now } = await send(taps);
    expect(refused.map(({ detail }) => detail)).toEqual([
      'A reading in the hand cannot be over 4.',
      expect.any(String),
      'There is no such step on this wash day.',
      expect.stringMatching(/does not fit what is stored/),
      'The wash cannot come before the wash day began. Check the times.',
    ]);
    expect(now.steps[0]!.status).toBe('done');
    expect((await send([taps[2]])).refused).toEqual([refused[2]]);
  });

  it('of an abandoned day are refused', async () => {
    await bench.ask('POST', `/api/wash-days/${day.id}/abandon`, { reason: 'No water.' });
    const { refused } = await send([tap({ kind: 'step', set: { status: 'done' } })]);
    expect(refused[0]!.detail).toMatch(/was abandoned/);
  });

  it('of two devices settle on the latest moment of each setting, whichever came in first', async () => {
    const early = tap({ kind: 'step', set: { status: 'skipped', wetness: 'damp' } });
    const late = tap({ kind: 'step', set: { status: 'done', doneAt: after(20) } });
    await send([late], 'tablet');
    const { day: now } = await send([early], 'phone');
    expect(now.steps[0]).toMatchObject({ status: 'done', wetness: 'damp' });
    expect(now.devices.map(({ device }) => device).sort()).toEqual(['phone', 'tablet']);
  });

  it('leave a step waiting that was taken up again after the end, though something from before it comes last', async () => {
    const { trial } = await sampleBench(bench);
    const id = v7();
    const fresh = (
      await bench.ask<WashDay>('PUT', `/api/wash-days/${id}`, { trialId: trial.id, startedAt: after(0) })
    ).body;
    const stepId = fresh.steps[0]!.id;
    const said = (n: number, what: object) => ({ id: idAt(n), at: after(n), stepId, ...what });
    const before = said(1, { kind: 'step', set: { note: 'late' } });
    const { stepId: _, ...finish } = said(2, { kind: 'finish' });
    const again = said(3, { kind: 'step', set: { status: 'waiting' } });
    const taps = [before, finish, again] as Tap[];
    for (const order of [
      [again, finish, before],
      [finish, again, before],
      [again, before, finish],
    ])
      for (const one of order)
        await bench.ask('POST', `/api/wash-days/${id}/taps`, { device: 'phone', taps: [one] });
    const now = (await bench.ask<WashDay>('GET', `/api/wash-days/${id}`)).body;
    expect(now.steps[0]).toMatchObject({ status: 'waiting', note: 'late' });
    expect(told(now)).toEqual(told(applyTaps(fresh, taps)));
  });

  it('leave a step taken out where it is, whatever comes late', async () => {
    const extra = v7();
    const added = tap({ kind: 'add-step', stepId: extra, slot: 'emollient', position: 0.5 });
    const done = tap({ kind: 'step', stepId: extra, set: { status: 'done' } });
    const out = tap({ kind: 'take-out', stepId: extra });
    const { day: now, refused } = await send([out, added, done]);
    expect(refused).toEqual([]);
    expect(now.steps).toHaveLength(day.steps.length);
    const planned = tap({ kind: 'take-out' });
    expect((await send([planned])).day.steps).toHaveLength(day.steps.length);
  });

  /** The order of moments is the truth; the order of arrival, batches, repeats and devices must not matter. */
  const converge = async (numRuns: number) => {
    const steps = day.steps.map(({ id }) => id);
    const ids = Array.from({ length: 6 }, () => v7());
    const one = fc.oneof(
      fc.record({
        kind: fc.constant('step'),
        stepId: fc.constantFrom(...steps),
        set: fc.record(
          {
            status: fc.constantFrom('waiting', 'done', 'skipped'),
            wetness: fc.constantFrom('wet', 'damp', null),
            minutes: fc.constantFrom(3, 7.5, null),
            dose: fc.constantFrom(
              null,
              { kind: 'unknown' },
              { kind: 'range', from: 2, to: 3, measure: 'pump', per: 'head' },
            ),
            note: fc.constantFrom('', 'a', 'b'),
            startedAt: fc.constantFrom(after(1), after(2), null),
          },
          { requiredKeys: [] },
        ),
      }),
      fc.record({
        kind: fc.constant('mark'),
        stepId: fc.constantFrom(...steps.slice(0, 1)),
        markId: fc.constantFrom(...ids),
        mark: fc.constantFrom('more', 'interrupted'),
        reason: fc.constantFrom('untold', 'time'),
        gone: fc.boolean(),
      }),
      fc.record({
        kind: fc.constant('in-hand'),
        stepId: fc.constantFrom(...steps),
        quality: fc.constantFrom('slip', 'scent'),
        value: fc.constantFrom(null, 0, 4),
      }),
      fc.record({
        kind: fc.constant('idea'),
        stepId: fc.constantFrom(...steps.slice(0, 1)),
        ideaId: fc.constantFrom(...ids),
        idea: fc.constantFrom('less', 'wetter'),
        gone: fc.boolean(),
      }),
      fc.record({
        kind: fc.constant('weighing'),
        stepId: fc.constantFrom(...steps),
        phase: fc.constantFrom('before', 'after'),
        grams: fc.constantFrom(null, 12.5, 300),
      }),
      fc.record({
        kind: fc.constant('day'),
        set: fc.record(
          { strain: fc.constantFrom(0, 4, null), shedHairs: fc.constantFrom(10, 90) },
          { requiredKeys: [] },
        ),
      }),
      fc.record({ kind: fc.constant('finish') }),
    );
    await fc.assert(
      fc.asyncProperty(
        fc.array(one, { minLength: 1, maxLength: 14 }),
        fc.infiniteStream(fc.nat()),
        async (said, chance) => {
          const { trial } = await sampleBench(bench);
          const fresh = (
            await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
              trialId: trial.id,
              startedAt: after(0),
            })
          ).body;
          const mine = (id: string) => fresh.steps[steps.indexOf(id)]!.id;
          const unique = ids.map(() => v7());
          const taps = said.map((what, i) => ({
            ...what,
            ...('stepId' in what ? { stepId: mine(what.stepId) } : {}),
            ...('markId' in what ? { markId: unique[ids.indexOf(what.markId)] } : {}),
            ...('ideaId' in what ? { ideaId: unique[ids.indexOf(what.ideaId)] } : {}),
            id: idAt(i + 1),
            at: after(i + 1),
          })) as Tap[];
          const next = (n: number) => chance.next().value % n;
          const mixed = taps
            .flatMap((one) => (next(3) === 0 ? [one, one] : [one]))
            .map((one) => ({ one, at: next(1000) }))
            .sort((a, b) => a.at - b.at)
            .map(({ one }) => one);
          while (mixed.length) {
            const { refused } = (
              await bench.ask<TapsHeard>('POST', `/api/wash-days/${fresh.id}/taps`, {
                device: next(2) ? 'phone' : 'tablet',
                taps: mixed.splice(0, 1 + next(5)),
              })
            ).body;
            expect(refused).toEqual([]);
          }
          const now = (await bench.ask<WashDay>('GET', `/api/wash-days/${fresh.id}`)).body;
          expect(told(now)).toEqual(told(applyTaps(fresh, taps)));
        },
      ),
      { numRuns },
    );
  };
  it('converge from any order of arrival, in any batches, sent twice or not', () => converge(8));
  it('converge so however often they are tried', { tags: 'soak' }, () => converge(100));
});
