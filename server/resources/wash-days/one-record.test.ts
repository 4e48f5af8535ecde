import type { TapsHeard } from '@sabor/contract/taps';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, zoneOfAfternoon } from '../../testing/samples.ts';
import { tap, tapFinish } from '../../testing/tapping.ts';

let bench: TestBench;
let sample: Awaited<ReturnType<typeof sampleBench>>;
let day: WashDay;
const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
const begin = async (trialId: string) =>
  (await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, { trialId, startedAt: ago(180) })).body;

beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  sample = await sampleBench(bench, {}, { timeZone: zoneOfAfternoon() });
  day = await begin(sample.trial.id);
});
afterAll(() => bench.close());

const send = (taps: readonly unknown[], to: object = {}, id = day.id) =>
  bench.ask<TapsHeard>('POST', `/api/wash-days/${id}/taps`, { device: 'phone', taps, ...to });
const read = async (id = day.id) => (await bench.ask<WashDay>('GET', `/api/wash-days/${id}`)).body;
/** A tap made before, and heard now. */
const late = (said: object, minutes = 30) => ({ id: v7(), at: ago(minutes), ...said });

describe('an older tap that is heard late never overwrites what the bench said since', () => {
  it('of the day: air, clocks and the note', async () => {
    await bench.ask('PATCH', `/api/wash-days/${day.id}`, { temperatureC: 21, note: 'windows open' });
    const { body } = await send([
      late({ kind: 'day', set: { temperatureC: 12, note: 'cold', humidity: 60 } }),
    ]);
    expect(body.refused).toEqual([]);
    // What the bench did not speak of is taken from the tap.
    expect(body.day).toMatchObject({ temperatureC: 21, note: 'windows open', humidity: 60 });
  });

  it('of an event: its kind, or that it is gone', async () => {
    const eventId = v7();
    const on = day.localDate;
    await tap(bench, day.id, { kind: 'event', eventId, event: 'rain', on, gone: false });
    await bench.ask('PUT', `/api/events/${eventId}`, {
      washDayId: day.id,
      kind: 'wind',
      on,
      note: 'at the pier',
      zoneIds: [sample.wearer.zones[0]!.id],
    });
    await send([late({ kind: 'event', eventId, event: 'rain', on, gone: false })]);
    expect((await read()).events).toMatchObject([{ kind: 'wind', note: 'at the pier' }]);
    // A later tap changes what it speaks of and leaves note and zones.
    await tap(bench, day.id, { kind: 'event', eventId, event: 'hat', on, gone: false });
    expect((await read()).events).toMatchObject([
      { kind: 'hat', note: 'at the pier', zoneIds: [sample.wearer.zones[0]!.id] },
    ]);
    await bench.ask('DELETE', `/api/events/${eventId}`);
    await send([late({ kind: 'event', eventId, event: 'rain', on, gone: false })]);
    expect((await read()).events).toEqual([]);
  });

  it('of a look: ratings, moment, note and rater', async () => {
    await tapFinish(bench, day.id);
    const zoneId = sample.wearer.zones[0]!.id;
    const other = sample.wearer.zones[1]!.id;
    const checkInId = v7();
    const at = ago(20);
    await bench.ask('PUT', `/api/check-ins/${checkInId}`, {
      washDayId: day.id,
      stage: 'wet',
      day: null,
      at,
      note: 'by daylight',
      rater: 'Noor',
      ratings: [{ outcome: 'definition', zoneId, value: 8 }],
    });
    const rate = {
      kind: 'rate',
      checkInId,
      stage: 'wet',
      day: null,
      lookedAt: ago(35),
      note: 'in the dark',
      rater: 'Una',
      ratings: [
        { outcome: 'definition', zoneId, value: 3 },
        { outcome: 'definition', zoneId: other, value: 5 },
      ],
    };
    const { body } = await send([late(rate)]);
    expect(body.refused).toEqual([]);
    const [look] = body.day.checkIns;
    expect(look).toMatchObject({ note: 'by daylight', rater: 'Noor' });
    expect(Date.parse(look!.at)).toBe(Date.parse(at));
    expect(look!.ratings.map(({ value }) => value).sort()).toEqual([5, 8]);
  });
});

describe('an id of something else', () => {
  it('in a tap changes nothing of the wash day it belongs to', async () => {
    const step = day.steps[0]!.id;
    const [markId, ideaId, pauseId] = [v7(), v7(), v7()];
    await tap(bench, day.id, { kind: 'mark', stepId: step, markId, mark: 'ran-out', reason: 'empty' });
    await tap(bench, day.id, { kind: 'idea', stepId: step, ideaId, idea: 'wetter' });
    const from = ago(50);
    await tap(bench, day.id, { kind: 'pause', stepId: step, pauseId, from, to: ago(40), reason: 'door' });
    const before = (await read()).steps;
    await bench.ask('POST', `/api/trials/${sample.trial.id}/end`, { reason: 'Moved.' });
    const other = await begin((await sampleBench(bench)).trial.id);
    const stepId = other.steps[0]!.id;
    const taps = [
      { kind: 'mark', stepId, markId, mark: 'more', reason: 'untold', gone: true },
      { kind: 'mark', stepId, markId, mark: 'more', reason: 'untold' },
      { kind: 'idea', stepId, ideaId, idea: 'drier', gone: true },
      { kind: 'pause', stepId, pauseId, from: ago(5), to: null, reason: 'call' },
      { kind: 'step', stepId: step, set: { status: 'done' } },
      { kind: 'add-step', stepId: step, slot: 'rinse', position: 2.5 },
    ].map((said) => late(said, 1));
    const { body } = await send(taps, {}, other.id);
    expect(body.refused.map(({ id }) => id)).toEqual([taps[1]!.id, taps[3]!.id, taps[4]!.id, taps[5]!.id]);
    expect((await read()).steps).toEqual(before);
  });

  it('in an event, a hair test, a stay or a head is not acknowledged', async () => {
    const eventId = v7();
    const event = { washDayId: day.id, kind: 'rain', on: day.localDate };
    await bench.ask('PUT', `/api/events/${eventId}`, event);
    await bench.ask('POST', `/api/trials/${sample.trial.id}/end`, { reason: 'Moved.' });
    const second = await sampleBench(bench);
    const other = await begin(second.trial.id);
    const moved = { ...event, washDayId: other.id, kind: 'wind', on: other.localDate };
    expect((await bench.ask('PUT', `/api/events/${eventId}`, moved)).status).toBe(409);
    expect((await read()).events).toMatchObject([{ kind: 'rain' }]);

    const testId = v7();
    const test = { kind: 'bead', value: 40, outcome: null, on: '2026-01-05', zoneId: null, note: '' };
    const put = (path: string, body: object) => bench.ask('PUT', path, body);
    const first = { ...test, wearerId: sample.wearer.id };
    expect((await put(`/api/hair-tests/${testId}`, first)).status).toBe(200);
    expect((await put(`/api/hair-tests/${testId}`, { ...test, wearerId: second.wearer.id })).status).toBe(
      409,
    );

    const placeId = v7();
    await put(`/api/places/${placeId}`, { name: 'Shore', timeZone: 'UTC', station: null, normals: [] });
    const stay = { placeId, from: '2026-02-01' };
    const stayId = v7();
    expect((await put(`/api/stays/${stayId}`, { ...stay, wearerId: sample.wearer.id })).status).toBe(204);
    expect((await put(`/api/stays/${stayId}`, { ...stay, wearerId: second.wearer.id })).status).toBe(409);

    const { zones, curls } = sample.wearer;
    const stolen = { ...second.wearer, id: v7(), zones, curls };
    expect((await put(`/api/wearers/${stolen.id}`, stolen)).status).toBe(409);
  });

  it('of a product in a home mix must be on the shelf', async () => {
    const mix = [
      { name: 'Gel', productId: v7(), parts: 2 },
      { name: 'Water', productId: null, parts: 1 },
    ];
    const steps = sample.routine.steps.map((step, i) => ({
      ...step,
      id: v7(),
      ...(i === 1 ? { extra: { mix } } : {}),
    }));
    const { status, body } = await bench.ask('PUT', `/api/routines/${v7()}`, { ...sample.routine, steps });
    expect(status).toBe(422);
    expect(body.detail).toContain('not on the shelf');
  });
});

describe('a tap that cannot be stored', () => {
  const good = () =>
    late({ kind: 'mark', stepId: day.steps[0]!.id, markId: v7(), mark: 'more', reason: 'untold' }, 2);

  it.each<[string, (stepId: string) => object]>([
    ['a character no text can hold', (stepId) => ({ kind: 'step', stepId, set: { note: 'a\u0000b' } })],
    ['a day that is none', (stepId) => ({ kind: 'step', stepId, set: { doneAt: '2024-02-30T00:00:00Z' } })],
    ['an offset that is none', () => ({ kind: 'finish', at: '2026-01-01T10:00:00+19:00' })],
    ['another age', () => ({ kind: 'finish', at: '+275760-09-13T00:00:00Z' })],
    ['a moment to come', () => ({ kind: 'finish', at: new Date(Date.now() + 3_600_000).toISOString() })],
    ['an inherited name', (stepId) => ({ kind: 'step', stepId, set: { extra: { constructor: 1 } } })],
    ['an id that is none', () => ({ id: { toString: 1 }, kind: 'finish' })],
    ['no shape at all', () => JSON.parse(`{"id":${'['.repeat(3000)}${']'.repeat(3000)}}`)],
    [
      'the same rated twice',
      () => {
        const rating = { outcome: 'definition', zoneId: sample.wearer.zones[0]!.id, value: 5 };
        const look = { checkInId: v7(), stage: 'wet', day: null, lookedAt: ago(1) };
        return { kind: 'rate', ...look, ratings: [rating, rating] };
      },
    ],
  ])('because of %s is refused alone; those beside it stand', async (_, bad) => {
    const [before, after] = [good(), good()];
    const { status, body } = await send([before, { id: v7(), at: ago(1), ...bad(day.steps[0]!.id) }, after]);
    expect(status).toBe(200);
    expect(body.refused).toHaveLength(1);
    expect(body.heard).toHaveLength(3);
    expect(body.day.steps[0]!.marks).toHaveLength(2);
  });

  it('undoes none of what the steps before it told of the clocks', async () => {
    await tapFinish(bench, day.id);
    const [cleanse] = day.steps;
    const looked = { checkInId: v7(), stage: 'wet', day: null, lookedAt: ago(1) };
    const ratings = [{ outcome: 'definition', zoneId: v7(), value: 5 }];
    const { body } = await send([
      late({ kind: 'step', stepId: cleanse!.id, set: { status: 'done', doneAt: ago(170) } }, 3),
      // Asks how the day stands, works the clocks out, and cannot stand: no such zone.
      late({ kind: 'rate', ...looked, ratings }, 2),
    ]);
    expect(body.refused).toHaveLength(1);
    const other = await begin((await sampleBench(bench)).trial.id);
    const alone = await send(
      [
        late({ kind: 'step', stepId: other.steps[0]!.id, set: { status: 'done', doneAt: ago(170) } }, 3),
        late({ kind: 'rate', ...looked, checkInId: v7(), ratings }, 2),
      ],
      {},
      other.id,
    );
    expect(alone.body.refused).toHaveLength(1);
    expect(Math.round((Date.now() - Date.parse(alone.body.day.washedAt!)) / 60_000)).toBe(170);
  });

  it('but only for half an emoji is stored with a sign in its place', async () => {
    const { body } = await send([
      late({ kind: 'step', stepId: day.steps[0]!.id, set: { note: 'good \ud83d' } }, 1),
    ]);
    expect(body.refused).toEqual([]);
    expect(body.day.steps[0]!.note).toBe('good \ufffd');
  });

  it('of another wash day, sent again here, is not taken for heard', async () => {
    const one = good();
    await send([one]);
    await bench.ask('POST', `/api/trials/${sample.trial.id}/end`, { reason: 'Moved.' });
    const other = await begin((await sampleBench(bench)).trial.id);
    expect((await send([one], {}, other.id)).body.refused).toHaveLength(1);
  });
});

describe('a clock that is wrong', () => {
  it('by an hour is set right, and it is said so; by a minute it is left', async () => {
    const stepId = day.steps[0]!.id;
    const hour = 3_600_000;
    const ahead = (ms: number) => new Date(Date.now() + ms).toISOString();
    const { body } = await send(
      [
        {
          id: v7(),
          at: ahead(hour - 60_000),
          kind: 'step',
          stepId,
          set: { status: 'done', doneAt: ahead(hour - 120_000) },
        },
      ],
      { now: ahead(hour) },
    );
    expect(body.refused).toEqual([]);
    expect(body.clockAheadMs / hour).toBeCloseTo(1, 2);
    expect(Math.abs(Date.parse(body.day.steps[0]!.doneAt!) - (Date.now() - 120_000))).toBeLessThan(5_000);
    const right = await send([late({ kind: 'step', stepId, set: { note: 'x' } }, 1)], { now: ahead(60_000) });
    expect(right.body.clockAheadMs).toBe(0);
  });
});

describe('taps of another Sabor’s data', () => {
  it('are not taken, and none is named as heard', async () => {
    const { database } = await read();
    const one = late({ kind: 'finish' }, 1);
    const { status, body } = await send([one], { database: v7() });
    expect(status).toBe(421);
    expect(body).not.toHaveProperty('heard');
    expect((await send([one], { database })).body.heard).toEqual([one.id]);
  });
});
