import type { HairFile } from '@sabor/contract/hair-file';
import type { Today } from '@sabor/contract/today';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleProduct, sampleWearer } from '../../testing/samples.ts';
import { tapStep } from '../../testing/tapping.ts';

let bench: TestBench;
let wearer: ReturnType<typeof sampleWearer>;
beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  wearer = sampleWearer();
  await bench.ask('PUT', `/api/wearers/${wearer.id}`, wearer);
});
afterAll(() => bench.close());

const bead = (to: object = {}) => ({
  wearerId: wearer.id,
  zoneId: null,
  kind: 'bead',
  value: 45,
  outcome: null,
  on: '2026-01-10',
  note: '',
  ...to,
});
const event = (kind: string, to: object = {}) => ({
  wearerId: wearer.id,
  kind,
  on: '2026-01-10',
  zoneIds: [],
  note: '',
  ...to,
});
const saveTest = (body: object, id = v7()) => bench.ask<HairFile>('PUT', `/api/hair-tests/${id}`, body);
const saveEvent = (body: object, id = v7()) => bench.ask<HairFile>('PUT', `/api/hair-events/${id}`, body);

describe('the profile', () => {
  it('is empty for a new head, and not there for none', async () => {
    expect((await bench.ask<HairFile>('GET', `/api/wearers/${wearer.id}/file`)).body).toEqual({
      tests: [],
      events: [],
      measures: [],
      problems: [],
      patchTests: [],
      washedOn: [],
      washCare: [],
      cadence: {},
      alternate: [],
      drying: [],
      wishes: {
        weights: [],
        words: {},
        line: null,
        styleDays: null,
        budget: null,
        currency: null,
        school: null,
        dislikes: [],
        ownDislikes: [],
        avoided: [],
        version: 0,
      },
      ruleWeights: {},
      ahead: [],
    });
    expect((await bench.ask('GET', `/api/wearers/${v7()}/file`)).status).toBe(404);
  });

  it('keeps tests as given, takes them twice without harm, and lets them go', async () => {
    const id = v7();
    const given = bead({ zoneId: wearer.zones[2]!.id, note: 'dry air' });
    await saveTest(given, id);
    const { body } = await saveTest(given, id);
    expect(body.tests).toEqual([{ id, ...given }]);
    const slide = await saveTest(bead({ kind: 'slide', value: null, outcome: 'rough', on: '2026-02-01' }));
    expect(slide.body.tests.map(({ kind }) => kind)).toEqual(['slide', 'bead']);
    const { body: left } = await bench.ask<HairFile>('DELETE', `/api/hair-tests/${id}`);
    expect(left.tests).toHaveLength(1);
    expect((await bench.ask('DELETE', `/api/hair-tests/${id}`)).status).toBe(404);
  });

  it('keeps measurements of every kind', async () => {
    const results = [
      { kind: 'strand', micrometres: 71.5 },
      { kind: 'ponytail', circumferenceMm: 84 },
      { kind: 'stretch', wetMm: 120, stretchedMm: 150, releasedMm: 124 },
      { kind: 'shed', from: 80, to: 120, days: 2, worn: 'twists' },
    ];
    const base = { wearerId: wearer.id, zoneId: null, on: '2026-01-10', note: '' };
    const ids = results.map(() => v7());
    for (const [i, result] of results.entries())
      for (const _ of ['once', 'twice'])
        await bench.ask('PUT', `/api/hair-measures/${ids[i]}`, { ...base, result });
    const { body } = await bench.ask<HairFile>('GET', `/api/wearers/${wearer.id}/file`);
    expect(body.measures.map(({ result }) => result.kind).sort()).toEqual([
      'ponytail',
      'shed',
      'strand',
      'stretch',
    ]);
    expect(body.measures.find(({ id }) => id === ids[2])).toEqual({
      id: ids[2],
      ...base,
      result: results[2],
    });
    const left = await bench.ask<HairFile>('DELETE', `/api/hair-measures/${ids[0]}`);
    expect(left.body.measures).toHaveLength(3);
    const result = { kind: 'stretch', wetMm: 100, stretchedMm: 90, releasedMm: 90 };
    const { body: refused } = await bench.ask('PUT', `/api/hair-measures/${v7()}`, { ...base, result });
    expect(refused.fields).toEqual([
      { path: 'result.stretchedMm', message: 'A stretched strand cannot be shorter than it was at rest.' },
    ]);
  });

  it('keeps shampoo and co-wash apart, in turns if so wished', async () => {
    const path = `/api/wearers/${wearer.id}/cadence`;
    const { body } = await bench.ask<HairFile>('PUT', `${path}/shampoo`, { everyDays: 7, alternates: true });
    expect(body.cadence).toMatchObject({ shampoo: 7 });
    expect(body.alternate).toEqual(['shampoo']);
    const back = await bench.ask<HairFile>('DELETE', `${path}/shampoo`);
    expect(back.body.alternate).toEqual([]);
    expect((await bench.ask('PUT', `${path}/shampoo`, { everyDays: 0 })).status).toBe(422);
  });

  it('keeps the wearer’s own cadence, off included, and forgets it again', async () => {
    const path = `/api/wearers/${wearer.id}/cadence`;
    await bench.ask('PUT', `${path}/trim`, { everyDays: 60 });
    await bench.ask('PUT', `${path}/trim`, { everyDays: 70 });
    const { body } = await bench.ask<HairFile>('PUT', `${path}/protein-light`, { everyDays: null });
    expect(body.cadence).toEqual({ trim: 70, 'protein-light': null });
    expect((await bench.ask<HairFile>('DELETE', `${path}/trim`)).body.cadence).toEqual({
      'protein-light': null,
    });
    expect((await bench.ask('PUT', `${path}/trim`, { everyDays: 0 })).body.fields).toEqual([
      { path: 'everyDays', message: 'The days between cannot be under 1.' },
    ]);
    expect((await bench.ask('PUT', `${path}/levitation`, { everyDays: 3 })).status).toBe(404);
  });

  it('reads washes and care off the wash days', async () => {
    const { trial, wearer: head } = await sampleBench(bench);
    const clarifier = sampleProduct({ roles: ['clarifier'] });
    await bench.ask('PUT', `/api/products/${clarifier.id}`, clarifier);
    const start = { trialId: trial.id, startedAt: new Date().toISOString() };
    const day = (await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, start)).body;
    const done = { productId: clarifier.id, status: 'done', doneAt: new Date().toISOString() } as const;
    await tapStep(bench, day.id, day.steps[0]!.id, done);
    const { body } = await bench.ask<HairFile>('GET', `/api/wearers/${head.id}/file`);
    expect(body.washedOn).toEqual([day.localDate]);
    expect(body.washCare).toEqual([{ kind: 'clarify', on: day.localDate }]);
  });

  it('keeps history with the zones it touched', async () => {
    const id = v7();
    const zoneIds = wearer.zones.slice(0, 2).map((zone) => zone.id);
    await saveEvent(event('bleach', { zoneIds }), id);
    const { body } = await saveEvent(event('bleach', { zoneIds: zoneIds.slice(1), note: 'tips' }), id);
    expect(body.events).toEqual([{ id, ...event('bleach', { zoneIds: zoneIds.slice(1), note: 'tips' }) }]);
    expect((await bench.ask<HairFile>('DELETE', `/api/hair-events/${id}`)).body.events).toEqual([]);
  });

  it('refuses two events that exclude each other on one day, and takes them on two', async () => {
    await saveEvent(event('braids-in'));
    const refused = await bench.ask('PUT', `/api/hair-events/${v7()}`, event('braids-out'));
    expect(refused.body.fields).toEqual([
      {
        path: 'kind',
        message: 'Braids out and braids in exclude each other on one day. Change one of the dates.',
      },
    ]);
    expect((await saveEvent(event('braids-out', { on: '2026-02-10' }))).status).toBe(200);
    expect((await saveEvent(event('trim'))).status).toBe(200);
  });

  it.each([
    [{ value: 'abc' }, 'value', 'The result must be a number.'],
    [{ value: -1 }, 'value', 'The result cannot be under 0.'],
    [{ value: null }, 'value', 'This test is measured: give its result as a number.'],
    [{ kind: 'crystal ball' }, 'kind', 'Choose a test from the list.'],
    [{ on: '2999-01-01' }, 'on', 'This date is in the future. Give today or earlier.'],
  ])('refuses a test with %j at its field', async (to, path, message) => {
    expect((await bench.ask('PUT', `/api/hair-tests/${v7()}`, bead(to))).body.fields).toContainEqual({
      path,
      message,
    });
  });

  it('refuses zones of another head', async () => {
    const other = sampleWearer();
    await bench.ask('PUT', `/api/wearers/${other.id}`, other);
    const test = await bench.ask('PUT', `/api/hair-tests/${v7()}`, bead({ zoneId: other.zones[0]!.id }));
    expect(test.body.fields).toEqual([
      { path: 'zoneId', message: 'This zone is not on this wearer’s head.' },
    ]);
    const happened = await bench.ask(
      'PUT',
      `/api/hair-events/${v7()}`,
      event('trim', { zoneIds: [other.zones[0]!.id] }),
    );
    expect(happened.body.fields?.[0]?.path).toBe('zoneIds');
  });

  it('keeps a zone that a test rests on', async () => {
    await saveTest(bead({ zoneId: wearer.zones[0]!.id }));
    const { status } = await bench.ask('PUT', `/api/wearers/${wearer.id}`, {
      ...wearer,
      zones: wearer.zones.slice(1),
    });
    expect(status).toBe(422);
  });
});

describe('wishes', () => {
  const wishes = {
    words: { cast: 1, clumps: 2 },
    weights: [
      { wish: 'definition', weight: 3 },
      { wish: 'length', weight: 1 },
    ],
    line: 6,
    styleDays: 4,
    budget: 25,
    currency: 'EUR',
    school: 'lather',
    dislikes: ['scent', 'tack'],
    ownDislikes: ['Wet hair on the neck'],
    avoided: [{ ingredient: 'Linalool', why: 'allergy' }],
  };
  const save = (to: object = {}) =>
    bench.ask<HairFile>('PUT', `/api/wearers/${wearer.id}/wishes`, { ...wishes, ...to });

  it('are kept whole, and replaced whole', async () => {
    expect((await save()).body.wishes).toEqual({ ...wishes, version: 1 });
    const next = await save({ weights: [], dislikes: [], avoided: [], school: null });
    expect(next.body.wishes).toMatchObject({ weights: [], dislikes: [], avoided: [], school: null, line: 6 });
    expect((await bench.ask('PUT', `/api/wearers/${v7()}/wishes`, wishes)).status).toBe(404);
  });

  it.each([
    [{ weights: [{ wish: 'definition', weight: 0 }] }, 'weights.0.weight'],
    [{ words: { cast: 5 } }, 'words.cast'],
    [{ weights: [wishes.weights[0], wishes.weights[0]] }, 'weights'],
    [{ line: 12 }, 'line'],
    [{ budget: 10, currency: null }, 'currency'],
    [{ avoided: [wishes.avoided[0], { ingredient: 'linalool', why: 'banned' }] }, 'avoided'],
    [{ dislikes: ['noise'] }, 'dislikes.0'],
    [{ ownDislikes: ['Noise', 'noise'] }, 'ownDislikes'],
  ])('refuse %j at its field', async (to, path) => {
    const { status, body } = await save(to);
    expect(status).toBe(422);
    expect((body as unknown as { fields: { path: string }[] }).fields[0]!.path).toBe(path);
  });
});

describe('drying, read from wash days', () => {
  it('counts from the wash, names how the hair was dried, and takes the air of the place', async () => {
    const { trial, wearer: head } = await sampleBench(bench);
    const id = v7();
    const at = (time: string) => `2026-11-10T${time}:00.000Z`;
    await bench.ask('PUT', `/api/wash-days/${id}`, { trialId: trial.id, startedAt: at('09:00') });
    const wrong = await bench.ask('PATCH', `/api/wash-days/${id}`, {
      washedAt: at('09:20'),
      dry90At: at('09:10'),
    });
    expect(wrong.body.detail).toContain('90 % dry cannot come before');
    await bench.ask('PATCH', `/api/wash-days/${id}`, {
      washedAt: at('09:20'),
      dry80At: at('10:00'),
      dry90At: at('10:20'),
      dryAt: at('11:05'),
    });
    const { body: day } = await bench.ask<WashDay>('GET', `/api/wash-days/${id}`);
    for (const step of day.steps.filter(({ slot }) => slot === 'dry' || slot === 'hold'))
      await tapStep(bench, id, step.id, {
        status: 'done',
        technique: step.slot === 'hold' ? 'scrunch' : null,
        doneAt: at('11:05'),
      });
    const placeId = v7();
    const place = { id: placeId, name: 'Haverlock', timeZone: 'UTC', station: null, normals: [], note: '' };
    await bench.ask('PUT', `/api/places/${placeId}`, place);
    await bench.ask('PUT', `/api/stays/${v7()}`, { wearerId: head.id, placeId, from: '2026-11-01' });
    await bench.ask('PUT', `/api/places/${placeId}/readings/${v7()}`, {
      source: 'csv',
      name: 'shed.csv',
      rows: [
        [at('08:30'), 5, 90, null, null],
        [at('09:30'), 20, 50, null, null],
      ],
    });
    const { body } = await bench.ask<HairFile>('GET', `/api/wearers/${head.id}/file`);
    expect(body.drying).toEqual([
      {
        washDayId: id,
        on: '2026-11-10',
        techniques: ['scrunch'],
        tool: 'diffuser',
        heat: 'low',
        minutes: { eighty: 40, ninety: 60, dry: 105 },
        // Half of the 23.4 hPa that saturate air of 20 °C by printed tables.
        deficitHpa: expect.closeTo(11.7, 1),
      },
    ]);
    expect(body.ahead).toEqual([
      { id: trial.id, question: 'Which gel holds?', status: 'running', washDaysLeft: 4, wearDays: 2 },
    ]);
  });
});

describe('appointments', () => {
  it('may lie ahead, but not more than a year and a bit', async () => {
    const ahead = new Date(Date.now() + 40 * 86_400_000).toISOString().slice(0, 10);
    expect((await saveEvent(event('colour', { on: ahead }))).body.events[0]).toMatchObject({ on: ahead });
    const far = new Date(Date.now() + 500 * 86_400_000).toISOString().slice(0, 10);
    const { body } = await saveEvent(event('colour', { on: far }));
    expect((body as unknown as { detail: string }).detail).toContain('more than a year ahead');
  });
});

describe('what bothers a head', () => {
  const problem = (to: object = {}) => ({
    wearerId: wearer.id,
    what: 'Frizz that nothing cures',
    places: ['crown'],
    since: '2026-01-10',
    state: 'open',
    solvedOn: null,
    ...to,
  });
  const saveProblem = (body: object, id = v7()) =>
    bench.ask<HairFile>('PUT', `/api/head-problems/${id}`, body);

  it('stays with what was tried, and on Today until it is solved', async () => {
    const id = v7();
    const due = async () =>
      (await bench.ask<Today>('GET', '/api/today')).body.due.filter(
        (one) => one.kind === 'problems' && one.wearerId === wearer.id,
      );
    const { body } = await saveProblem(problem({ tried: 'less gel', helped: 'a bonnet' }), id);
    expect(body.problems).toEqual([{ id, ...problem({ tried: 'less gel', helped: 'a bonnet' }) }]);
    expect(await due()).toMatchObject([
      { problems: [{ what: 'Frizz that nothing cures', since: '2026-01-10' }] },
    ]);
    await saveProblem(problem({ state: 'better' }), id);
    expect(await due()).toHaveLength(1);
    await saveProblem(problem({ state: 'solved', solvedOn: '2026-02-01' }), id);
    expect(await due()).toEqual([]);
    expect((await bench.ask<HairFile>('DELETE', `/api/head-problems/${id}`)).body.problems).toEqual([]);
  });

  it.each([
    [{ what: '  ' }, 'what'],
    [{ state: 'solved' }, 'solvedOn'],
    [{ solvedOn: '2026-02-01' }, 'solvedOn'],
    [{ state: 'solved', solvedOn: '2026-01-09' }, 'solvedOn'],
    [{ since: '2999-01-01' }, 'since'],
    [{ places: ['knee'] }, 'places.0'],
  ])('%j is refused at its field', async (to, path) => {
    const { status, body } = await saveProblem(problem(to));
    expect(status).toBe(422);
    expect((body as unknown as { fields: { path: string }[] }).fields.map((field) => field.path)).toContain(
      path,
    );
  });

  it('of one head is not overwritten through another', async () => {
    const id = v7();
    await saveProblem(problem(), id);
    const other = sampleWearer();
    await bench.ask('PUT', `/api/wearers/${other.id}`, other);
    expect((await saveProblem(problem({ wearerId: other.id, what: 'Other' }), id)).status).toBeGreaterThan(
      399,
    );
  });
});
