import type { Due, Today } from '@sabor/contract/today';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { plusDays } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { airForWashDayInWords, dueInWords } from '@sabor/words/today';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleProduct, sampleWearer, zoneOfAfternoon } from '../../testing/samples.ts';
import { tap, tapFinish, tapStep } from '../../testing/tapping.ts';
import { readToday } from './store.ts';

let bench: TestBench;
let trialId: string;
let sample: Awaited<ReturnType<typeof sampleBench>>;
beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  sample = await sampleBench(bench);
  trialId = sample.trial.id;
});
afterAll(() => bench.close());

const hours = (n: number) => new Date(Date.now() + n * 3_600_000);
const due = async (now = new Date()): Promise<Due[]> =>
  (await readToday(bench.db, now)).due.filter(
    (one) => 'trialId' in one && one.trialId === trialId && one.kind !== 'night',
  );
const begin = async (startedAt: Date) => {
  const id = v7();
  await bench.ask('PUT', `/api/wash-days/${id}`, { trialId, startedAt: startedAt.toISOString() });
  return id;
};
const change = (id: string, to: object) => bench.ask<WashDay>('PATCH', `/api/wash-days/${id}`, to);
/** Moves the wearer to where some hours ago still is today. */
const inTheAfternoon = () =>
  bench.db.query('update wearer set time_zone = $2 where id = $1', [sample.wearer.id, zoneOfAfternoon()]);
const look = (washDayId: string, stage: string, day: number | null, at: Date) =>
  bench.ask('PUT', `/api/check-ins/${v7()}`, { washDayId, stage, day, at: at.toISOString() });

describe('Today', () => {
  it('follows a wash day from plan to the end of its wear', async () => {
    await inTheAfternoon();
    expect(await due()).toMatchObject([{ kind: 'start wash day', number: 1, of: 4, begun: false }]);
    const id = await begin(hours(-6));
    expect(await due()).toMatchObject([{ kind: 'continue wash day', washDayId: id }]);
    await tapFinish(bench, id);
    expect(await due()).toMatchObject([{ kind: 'check-in', stage: 'wet', day: null }]);
    await look(id, 'wet', null, hours(-5));
    expect(await due()).toEqual([]);
    await change(id, { dryAt: hours(-4).toISOString() });
    expect(await due()).toMatchObject([{ kind: 'check-in', stage: 'cast' }]);
    await look(id, 'cast', null, hours(-4));
    expect(await due()).toEqual([]);
    const revealed = new Date();
    await change(id, { revealAt: revealed.toISOString() });
    expect(await due()).toMatchObject([{ kind: 'check-in', stage: 'wear', day: 1 }]);
    await look(id, 'wear', 1, revealed);
    expect(await due()).toEqual([]);
    expect(await due(hours(24))).toMatchObject([{ kind: 'check-in', stage: 'wear', day: 2 }]);
    expect(await due(hours(48))).toMatchObject([{ kind: 'end wear', washDayId: id }]);
    await bench.ask('POST', `/api/wash-days/${id}/end-wear`, {
      kind: 'washed-looks',
      at: new Date().toISOString(),
    });
    expect(await due()).toMatchObject([{ kind: 'start wash day', number: 2, of: 4, begun: true }]);
  });

  it('takes hair finished before midnight for finished that evening until four in the morning', async () => {
    const id = await begin(new Date('2026-05-10T21:00:00Z'));
    await tapFinish(bench, id);
    await change(id, { washedAt: '2026-05-10T21:10:00Z', revealAt: '2026-05-10T23:40:00Z' });
    const at = async (moment: string) => (await due(new Date(moment)))[0];
    expect(await at('2026-05-10T23:50:00Z')).toMatchObject({ kind: 'check-in', stage: 'wear', day: 1 });
    expect(await at('2026-05-11T00:20:00Z')).toMatchObject({ kind: 'check-in', stage: 'wear', day: 1 });
    expect(await at('2026-05-11T09:00:00Z')).toMatchObject({ kind: 'check-in', stage: 'wear', day: 2 });
    const said = (day: number, moment: string) => look(id, 'wear', day, new Date(moment));
    expect((await said(1, '2026-05-11T09:00:00Z')).body).toMatchObject({
      fields: [{ path: 'at', message: 'That moment is day 2, not day 1.' }],
    });
    expect((await said(1, '2026-05-11T00:20:00Z')).status).toBe(200);
    expect(await at('2026-05-11T00:30:00Z')).toBeUndefined();
    // Day 2 by the calendar alone is not day 2; a look stored while days were counted so can still be added to.
    expect((await said(2, '2026-05-11T03:00:00Z')).body).toMatchObject({
      fields: [{ path: 'at', message: 'That moment is day 1, not day 2.' }],
    });
    await bench.db.query(
      "insert into check_in (id, wash_day_id, stage, day, at) values ($1, $2, 'wear', 2, '2026-05-11T03:00:00Z')",
      [v7(), id],
    );
    expect((await said(2, '2026-05-11T03:00:00Z')).status).toBe(200);
  });

  it('takes hair finished after midnight for finished the evening before', async () => {
    const id = await begin(new Date('2026-05-10T22:00:00Z'));
    await tapFinish(bench, id);
    await change(id, { washedAt: '2026-05-10T22:10:00Z', revealAt: '2026-05-11T01:30:00Z' });
    expect(await due(new Date('2026-05-11T02:00:00Z'))).toMatchObject([{ stage: 'wear', day: 1 }]);
    expect(await due(new Date('2026-05-11T09:00:00Z'))).toMatchObject([{ stage: 'wear', day: 2 }]);
  });

  it('asks in the evening and the small hours what protects the night, until it is said', async () => {
    const id = await begin(new Date('2026-03-10T15:00:00Z'));
    const night = async (at: string) =>
      (await readToday(bench.db, new Date(at))).due.filter(({ kind }) => kind === 'night');
    expect(await night('2026-03-10T18:59:00Z')).toEqual([]);
    expect(await night('2026-03-10T19:30:00Z')).toMatchObject([
      { washDayId: id, number: 1, setWaits: false },
    ]);
    expect(await night('2026-03-11T02:00:00Z')).toHaveLength(1);
    await bench.ask('PUT', `/api/events/${v7()}`, {
      washDayId: id,
      kind: 'bonnet',
      on: '2026-03-10',
      note: '',
      zoneIds: [],
    });
    expect(await night('2026-03-10T19:30:00Z')).toEqual([]);
    expect(await night('2026-03-11T02:00:00Z')).toEqual([]);
    expect(await night('2026-03-11T20:00:00Z')).toHaveLength(1);
  });

  it('asks what an announced test came to, on its day, and brings a step of a later day', async () => {
    await inTheAfternoon();
    const id = await begin(hours(-6));
    await tapFinish(bench, id);
    const { body } = await bench.ask<WashDay>('GET', `/api/wash-days/${id}`);
    const last = body.steps.at(-1)!;
    await change(id, { washedAt: hours(-5).toISOString(), revealAt: hours(-1).toISOString() });
    const said = (now: Date) =>
      readToday(bench.db, now).then(({ due: all }) =>
        all.flatMap((one) => (one.kind === 'announced' || one.kind === 'later step' ? [one.kind] : [])),
      );
    const on = localToday(hours(48));
    const event = { washDayId: id, kind: 'workout', on, note: '', zoneIds: [] };
    const eventId = v7();
    await bench.ask('PUT', `/api/events/${eventId}`, event);
    await tapStep(bench, id, last.id, { status: 'waiting', extra: { wearDay: 3 } });
    expect(await said(hours(0))).toEqual([]);
    expect(await said(hours(48))).toEqual(['announced', 'later step']);
    await bench.ask('PUT', `/api/events/${eventId}`, { ...event, came: 'off' });
    await tapStep(bench, id, last.id, { status: 'done' });
    expect(await said(hours(48))).toEqual([]);
  });

  it('is not content with a look after a refresh', async () => {
    await inTheAfternoon();
    const id = await begin(hours(-6));
    await tapFinish(bench, id);
    await change(id, { washedAt: hours(-5).toISOString(), revealAt: hours(-1).toISOString() });
    await bench.ask('PUT', `/api/check-ins/${v7()}`, {
      washDayId: id,
      stage: 'wear',
      day: 1,
      part: 'after-refresh',
      at: new Date().toISOString(),
    });
    expect(await due()).toMatchObject([{ kind: 'check-in', stage: 'wear', day: 1 }]);
  });

  it('does not nag about looks that were missed', async () => {
    await inTheAfternoon();
    const id = await begin(hours(-80));
    await tapFinish(bench, id);
    await change(id, { washedAt: hours(-79).toISOString(), revealAt: hours(-26).toISOString() });
    const [one, ...rest] = await due();
    expect(one).toMatchObject({ kind: 'check-in', day: 2 });
    expect(rest).toEqual([]);
  });

  it('counts the day of wear on the wearer’s calendar', async () => {
    await bench.db.query("update wearer set time_zone = 'Pacific/Kiritimati' where id = $1", [
      sample.wearer.id,
    ]);
    const id = await begin(new Date(Date.UTC(2026, 2, 10, 8)));
    await tapFinish(bench, id);
    await change(id, {
      washedAt: '2026-03-10T08:30:00Z',
      dryAt: '2026-03-10T09:00:00Z',
      revealAt: '2026-03-10T09:30:00Z',
    });
    expect(await due(new Date(Date.UTC(2026, 2, 10, 13, 45)))).toMatchObject([{ kind: 'check-in', day: 1 }]);
    expect(await due(new Date(Date.UTC(2026, 2, 10, 14, 15)))).toMatchObject([{ kind: 'check-in', day: 2 }]);
  });

  it('leaves trials that were put away alone', async () => {
    await bench.ask('POST', `/api/trials/${trialId}/archive`);
    expect(await due()).toEqual([]);
  });

  it('offers a trial that ended to be read, for three weeks', async () => {
    await begin(hours(-1));
    await bench.ask('POST', `/api/trials/${trialId}/end`, { reason: 'enough' });
    expect(await due()).toMatchObject([{ kind: 'read' }]);
    expect(await due(hours(24 * 22))).toEqual([]);
  });

  it('offers first what ended last, whichever was begun first', async () => {
    const ended = async () => {
      await begin(hours(-1));
      await bench.ask('POST', `/api/trials/${trialId}/end`, { reason: 'enough' });
      return trialId;
    };
    const first = await ended();
    sample = await sampleBench(bench);
    trialId = sample.trial.id;
    const second = await ended();
    const order = async () =>
      (await readToday(bench.db, new Date())).due.flatMap((one) =>
        one.kind === 'read' && [first, second].includes(one.trialId) ? one.trialId : [],
      );
    const over = (id: string, days: number) =>
      bench.db.query(`update trial set ended_at = now() - $2 * interval '1 day' where id = $1`, [id, days]);
    await over(first, 5);
    expect(await order()).toEqual([second, first]);
    await over(second, 9);
    expect(await order()).toEqual([first, second]);
  });

  it('warns of bottles about to pass their date, and past it', async () => {
    const back = (days: number) => localToday(hours(-24 * days));
    const soon = sampleProduct({ name: 'Soon', openedOn: back(350), monthsAfterOpening: 12 });
    const past = sampleProduct({ name: 'Past', openedOn: back(400), monthsAfterOpening: 12 });
    const fresh = sampleProduct({ name: 'Fresh', openedOn: back(10), monthsAfterOpening: 12 });
    for (const product of [soon, past, fresh]) await bench.ask('PUT', `/api/products/${product.id}`, product);
    const all = (await bench.ask<Today>('GET', '/api/today')).body.due;
    const says = (id: string) => {
      const found = all.find((one) => one.kind === 'bottle' && one.productId === id);
      return found && dueInWords(found, localToday()).says;
    };
    expect(says(soon.id)).toMatch(/^Good until .*, the end of its period after opening\.$/);
    expect(says(past.id)).toContain('Do not use it, do not test it');
    expect(says(fresh.id)).toBeUndefined();
    await bench.ask('POST', `/api/products/${past.id}/archive`);
    const left = (await bench.ask<Today>('GET', '/api/today')).body.due;
    expect(left.some((one) => one.kind === 'bottle' && one.productId === past.id)).toBe(false);
  });

  it('tells what care is overdue on a head, in one row', async () => {
    const { id } = sample.wearer;
    const mine = async () => {
      const found = (await bench.ask<Today>('GET', '/api/today')).body.due.find(
        (one) => one.kind === 'care' && one.wearerId === id,
      );
      return found && dueInWords(found, localToday()).says;
    };
    expect(await mine()).toBeUndefined();
    const back = (days: number) => localToday(hours(-24 * days));
    const add = (kind: string, days: number) =>
      bench.ask('PUT', `/api/hair-events/${v7()}`, {
        wearerId: id,
        kind,
        on: back(days),
        zoneIds: [],
        note: '',
      });
    await add('trim', 110);
    await add('clarify', 20);
    expect(await mine()).toBe('Due: clarify (6 days overdue), trim (5 days overdue).');
    await add('clarify', 3);
    await add('braids-out', 1);
    expect(await mine()).toBe('Due: trim (5 days overdue), clarify (after braids out).');
    await bench.ask('PUT', `/api/wearers/${id}/cadence/trim`, { everyDays: null });
    expect(await mine()).toBe('Due: clarify (after braids out).');
    await bench.ask('POST', `/api/wearers/${id}/archive`);
    expect(await mine()).toBeUndefined();
  });

  it('says what the air means for the wash day that waits, and asks where the wearer is', async () => {
    const air = async () =>
      (await bench.ask<Today>('GET', '/api/today')).body.air.filter((one) => one.trialId === trialId);
    expect(await air()).toMatchObject([{ trialId, wearerName: 'Una', place: null, air: null }]);
    const placeId = v7();
    const place = { id: placeId, name: 'Haverlock', timeZone: 'UTC', station: null, normals: [], note: '' };
    await bench.ask('PUT', `/api/places/${placeId}`, place);
    await bench.ask('PUT', `/api/stays/${v7()}`, {
      wearerId: sample.wearer.id,
      placeId,
      from: localToday(hours(-48)),
    });
    expect((await air())[0]).toMatchObject({ place: { id: placeId, name: 'Haverlock' }, air: null });
    await bench.ask('PUT', `/api/places/${placeId}/readings/${v7()}`, {
      source: 'hand',
      name: 'wall',
      rows: [[hours(-0.2).toISOString(), 20, 60, 2, null]],
    });
    const [told] = await air();
    const says = (temperature: 'c' | 'f') =>
      airForWashDayInWords(told!, { product: String, units: { volume: 'ml', length: 'mm', temperature } });
    expect(says('c')).toMatch(
      /^Now at Haverlock: 20\.0 °C and 60 % humidity.* dew point 12\.0 °C, easy on curls/,
    );
    expect(says('f')).toContain('53.6 °F');
    await begin(hours(-1));
    expect(await air()).toHaveLength(1);
  });

  it('puts what cannot wait first', async () => {
    await begin(hours(-1));
    const kinds = (await bench.ask<Today>('GET', '/api/today')).body.due.map(({ kind }) => kind);
    const order = [
      'continue wash day',
      'check-in',
      'night',
      'end wear',
      'start wash day',
      'read',
      'care',
      'bottle',
    ];
    expect(kinds).toEqual(kinds.toSorted((a, b) => order.indexOf(a) - order.indexOf(b)));
  });

  it('knows an empty bench from one in use', async () => {
    const empty = await openBench();
    expect((await empty.ask<Today>('GET', '/api/today')).body).toMatchObject({
      empty: true,
      demo: false,
      due: [],
    });
    const wearer = sampleWearer();
    await empty.ask('PUT', `/api/wearers/${wearer.id}`, wearer);
    expect((await empty.ask<Today>('GET', '/api/today')).body.empty).toBe(false);
    await empty.close();
  });
});

describe('what waits to be tried', () => {
  const queue = async () => (await bench.ask<Today>('GET', '/api/today')).body.toTry;

  it('holds ideas of wash days until they are put aside, and what is of a line that was used', async () => {
    const line = { id: v7(), name: `Line ${v7()}`, note: '' };
    await bench.ask('PUT', `/api/lines/${line.id}`, line);
    const [one] = sample.gels;
    const gel = { ...one!, lineId: line.id };
    await bench.ask('PUT', `/api/products/${gel.id}`, gel);
    const sister = sampleProduct({ name: `Sister ${v7()}`, lineId: line.id });
    await bench.ask('PUT', `/api/products/${sister.id}`, sister);
    const untried = async () =>
      (await queue()).filter((one) => one.kind === 'untried' && one.lineName === line.name);
    expect(await untried()).toEqual([]);
    const day = (
      await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
        trialId,
        startedAt: new Date().toISOString(),
      })
    ).body;
    const used = day.steps.find(({ productId }) => productId === gel.id)!;
    await tapStep(bench, day.id, used.id, { status: 'done' });
    expect(await untried()).toMatchObject([{ productId: sister.id, productName: sister.name }]);

    const ideaId = v7();
    await tap(bench, day.id, { kind: 'idea', stepId: used.id, ideaId, idea: 'less' });
    const idea = async () => (await queue()).find(({ ref }) => ref === ideaId);
    expect(await idea()).toMatchObject({ kind: 'idea', idea: 'less', slot: null, plannable: true });
    // The same once more is one idea, and put aside takes both.
    const again = v7();
    await tap(bench, day.id, { kind: 'idea', stepId: used.id, ideaId: again, idea: 'less' });
    const here = async () => (await queue()).filter((one) => one.kind === 'idea' && one.trialId === trialId);
    expect((await here()).map(({ ref }) => ref)).toEqual([again]);
    expect((await bench.ask('PUT', `/api/put-aside/idea/${again}`)).status).toBe(204);
    expect(await here()).toEqual([]);
    await bench.ask('DELETE', `/api/put-aside/idea/${again}`);
    await tap(bench, day.id, { kind: 'idea', stepId: used.id, ideaId: again, idea: 'less', gone: true });
    expect((await bench.ask('PUT', `/api/put-aside/idea/${ideaId}`)).status).toBe(204);
    expect(await idea()).toBeUndefined();
    await bench.ask('DELETE', `/api/put-aside/idea/${ideaId}`);
    expect(await idea()).toBeDefined();
    expect((await bench.ask('PUT', `/api/put-aside/moon/${ideaId}`)).status).toBe(422);

    // Another product that is named is an idea of its own beside one that names none.
    const other = { kind: 'idea', stepId: used.id, idea: 'other-product' } as const;
    await tap(bench, day.id, { ...other, ideaId: v7() });
    await tap(bench, day.id, { ...other, ideaId: v7(), productId: sister.id });
    const others = (await here()).flatMap((one) =>
      one.kind === 'idea' && one.idea === 'other-product' ? [one.productName] : [],
    );
    expect(new Set(others)).toEqual(new Set([null, sister.name]));
    const { body: after } = await bench.ask<WashDay>('GET', `/api/wash-days/${day.id}`);
    expect(after.steps.find(({ id }) => id === used.id)!.ideas).toContainEqual(
      expect.objectContaining({ idea: 'other-product', productId: sister.id }),
    );
  });

  it('holds a trial that is to be run again from its day on, and one whose formula changed since', async () => {
    const path = `/api/trials/${sample.trial.id}/retest`;
    expect((await bench.ask('PUT', path, { from: '2026-01-01' })).status).toBe(409);
    await bench.db.query(
      "update trial set status = 'finished', ended_at = now() - interval '9 days', created_at = now() - interval '20 days' where id = $1",
      [sample.trial.id],
    );
    const mine = async () =>
      (await queue()).filter((one) => 'trialId' in one && one.trialId === sample.trial.id);
    const ahead = await bench.ask<TrialDetail>('PUT', path, {
      from: plusDays(localToday(), 5),
      why: 'damp air',
    });
    expect(ahead.body.retest).toEqual({ from: plusDays(localToday(), 5), why: 'damp air' });
    expect(await mine()).toEqual([]);
    await bench.ask('PUT', path, { from: localToday(), why: 'damp air' });
    expect(await mine()).toMatchObject([{ kind: 'retest', why: 'damp air' }]);
    expect((await bench.ask<TrialDetail>('DELETE', path)).body.retest).toBeNull();
    expect(await mine()).toEqual([]);
    const tested = sample.trial.arms[0]!.steps[0]!.productId!;
    await bench.db.query(
      "insert into product_edition (product_id, edition, ingredients, until_date) values ($1, 'old', 'Aqua', current_date - 1)",
      [tested],
    );
    expect(await mine()).toMatchObject([{ kind: 'formula', until: plusDays(localToday(), -1) }]);
  });
});

describe('the way to a first comparison', () => {
  it('is ticked step by step, and done with the first trial that is over; a wash day by itself is no trial', async () => {
    const fresh = await openBench();
    const road = async () => (await fresh.ask<Today>('GET', '/api/today')).body.road;
    const none = {
      products: false,
      wearer: false,
      place: false,
      routine: false,
      trial: false,
      compared: false,
    };
    expect(await road()).toEqual(none);
    const own = await sampleBench(fresh);
    expect(await road()).toEqual({ ...none, products: true, wearer: true, routine: true, trial: true });
    await fresh.db.query('update trial set logged = true');
    expect(await road()).toMatchObject({ trial: false });
    await fresh.db.query(
      "update trial set logged = false, status = 'finished', ended_at = now() where id = $1",
      [own.trial.id],
    );
    expect(await road()).toMatchObject({ trial: true, compared: true });
    await fresh.close();
  });
});
