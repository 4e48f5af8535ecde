import type { TapsHeard } from '@sabor/contract/taps';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { PersonRole } from '@sabor/core/access/people';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { routesOf } from '../fuzz/routes.ts';
import { openBench, type TestBench } from '../testing/bench.ts';
import { sampleBench, sampleProduct } from '../testing/samples.ts';
import { letIn, openDoor, testDoor, type Visitor } from '../testing/through-door.ts';
import { mayAsk } from './rights.ts';

/**
 * What a blinded tester may not know is what stands behind the codes. So two worlds are compared that differ in nothing
 * else: the products behind two codes change places in the database, and whatever the tester's device can ask must be
 * answered by the very same bytes, headers and file names. Noninterference: Goguen and Meseguer (1982).
 */
let bench: TestBench;
let letInAs: (role: PersonRole, wearerId?: string) => Promise<Visitor>;
beforeAll(async () => {
  bench = await openBench(null, testDoor);
  const address = await openDoor(bench);
  const ca = (await bench.ask<string>('GET', '/sabor-authority.crt')).body;
  letInAs = (role, wearerId) => letIn(bench, address, ca, role, undefined, wearerId ?? null);
});
afterAll(() => bench.close());

/** So many days ago, at an hour of that day. */
const on = (daysAgo: number, hour: number) => {
  const date = new Date(Date.now() - daysAgo * 86_400_000);
  date.setUTCHours(0, hour * 60, 0, 0);
  return date.toISOString();
};

/** A wash day keeps what its arm used: as it would stand there, had the other product been behind its code. */
const STEPS_ANEW = `update wash_step s set product_id = x.product_id,
    planned = jsonb_set(s.planned, '{productId}', to_jsonb(x.product_id))
  from arm_step x join wash_day d on d.trial_id = $1
  where s.wash_day_id = d.id and x.arm_id = coalesce(case when s.half = 'right' then d.right_arm_id end, d.arm_id)
    and x.step_id = s.plan_step_id and s.planned ->> 'part' = 'tested'`;

/** Makes another world of this one: nothing is put on record, and nothing stands in the way. */
async function another(
  trialId: string,
  changes: (other: (column: string) => string) => string[],
): Promise<void> {
  const client = await bench.db.connect();
  try {
    await client.query('begin');
    await client.query('set local session_replication_role = replica');
    const { rows } = await client.query<{ id: string }>(
      'select id from arm where trial_id = $1 order by position limit 2',
      [trialId],
    );
    const [one, two] = rows.map(({ id }) => id);
    const other = (column: string) =>
      `case ${column} when '${one}' then '${two}'::uuid when '${two}' then '${one}'::uuid end`;
    for (const change of changes(other)) await client.query(change);
    await client.query(STEPS_ANEW, [trialId]);
    await client.query('commit');
  } finally {
    client.release();
  }
}

/** What stands behind the first code and behind the second change places: in the plan and in every wash day. */
const swapKey = (trialId: string) =>
  another(trialId, (other) => [
    `update arm a set name = b.name from arm b where b.id = ${other('a.id')}`,
    `update arm_step x set product_id = y.product_id, dose = y.dose, skipped = y.skipped, settings = y.settings
     from arm_step y where y.arm_id = ${other('x.arm_id')} and y.step_id = x.step_id`,
    // What was guessed was a name, and stays that name.
    `update blind_guess g set arm_id = ${other('g.arm_id')} where g.arm_id is not null`,
  ]);

/** Another option on the first wash day: who rates may not even know which days are alike. */
const swapDay = (trialId: string) =>
  another(trialId, (other) => [
    `update allocation set arm_id = ${other('arm_id')} where trial_id = '${trialId}' and position = 0`,
    `update wash_day set arm_id = ${other('arm_id')} where trial_id = '${trialId}' and position = 0`,
  ]);

/** Ways of asking that a route’s own path does not tell. */
const QUERIES: Record<string, readonly string[]> = {
  '/search': ['?q=Gel', '?q=One', '?q=PVP', '?q=Which'],
  '/calendar': [`?from=${on(10, 0).slice(0, 10)}&to=${on(-10, 0).slice(0, 10)}`],
  '/wearers/:id/usual': ['?stage=cast', '?stage=wear&day=1'],
  '/wearers/:id/usual-day': [''],
};
/** What streams, and what counts the database’s transactions or is read off a clock. */
const LEFT_OUT = new Set([
  'GET /scale/stream',
  'GET /wash-days/:id/pulse',
  'GET /places/:id/weather',
  'GET /label-reader/:file',
]);

type Heard = Record<string, string>;

/** Everything that a device of this role may read of what it could name, and what it may say twice. */
async function hearAll(
  device: Visitor,
  role: PersonRole,
  ids: Readonly<Record<string, readonly string[]>>,
  again: readonly Said[],
): Promise<Heard> {
  const heard: Heard = {};
  const note = async (method: string, path: string, body?: unknown) => {
    const { status, headers, text } = await device.ask(method, `/api${path}`, body);
    const { date: _, 'content-security-policy': __, ...rest } = headers;
    // When a calendar was written is told to the second.
    heard[`${method} ${path}`] = JSON.stringify([status, rest, text.replace(/DTSTAMP:\w+/g, 'DTSTAMP')]);
  };
  for (const route of routesOf(bench.app)) {
    const [method, pattern] = route.split(' ') as [string, string];
    if (method !== 'GET' || LEFT_OUT.has(route) || !mayAsk(role, 'GET', pattern)) continue;
    const [, segment] = pattern.split('/');
    const paths = pattern.includes(':')
      ? (ids[segment!] ?? []).map((id) => pattern.replace(':id', id))
      : [pattern];
    for (const path of paths) for (const query of QUERIES[pattern] ?? ['']) await note('GET', path + query);
  }
  for (const { method, path, body } of again) await note(method, path, body);
  return heard;
}

/** What was answered otherwise, by what was asked: from shortly before where the two part. */
const otherwise = (first: Heard, then: Heard) =>
  Object.fromEntries(
    Object.entries(then).flatMap(([asked, answer]) => {
      const before = first[asked] ?? '';
      if (answer === before) return [];
      const parts = [...answer].findIndex((letter, i) => letter !== before[i]);
      return [[asked, [before, answer].map((text) => text.slice(Math.max(0, parts - 150), parts + 150))]];
    }),
  );

interface Said {
  method: string;
  path: string;
  body: unknown;
}

/**
 * A trial from its first wash day to its end, held at three moments; whole, everybody is asked at each of them and every device
 * asks once more before the worlds part.
 */
async function hearNothing(whole: boolean): Promise<void> {
  const device = await letInAs('tester');
  const { trial, gels, wearer } = await sampleBench(bench, {
    blind: true,
    washDays: 4,
    wearDays: 5,
  });
  // The two differ in all that could show: what is in them, what they cost, and that one was there before.
  const bottles = [
    sampleProduct({ ...gels[0]!, name: 'Gel One', ingredients: 'Aqua, PVP', price: 90, sizeMl: 50 }),
    sampleProduct({
      ...gels[1]!,
      name: 'Gel Two',
      ingredients: 'Aqua, Dimethicone, Glycerin',
      price: 2,
      sizeMl: 900,
    }),
  ];
  for (const one of bottles) await bench.ask('PUT', `/api/products/${one.id}`, one);
  const again: Said[] = [];
  const tell = async <T>(method: string, path: string, body: unknown): Promise<T> => {
    const { status, text, body: answer } = await device.ask(method, `/api${path}`, body);
    if (status >= 300) throw new Error(`${method} ${path}: ${text}`);
    // A check-in and an event are new tellings each time, and would move the day of themselves.
    if (!/^.(check-ins|events)/.test(path)) again.push({ method, path, body });
    return answer as T;
  };
  const days: string[] = [];
  const photographs: string[] = [];
  const detail = (await bench.ask<TrialDetail>('GET', `/api/trials/${trial.id}`)).body;
  const { rows: plans } = await bench.db.query<{ id: string }>(
    'select plan_id as id from trial where id = $1',
    [trial.id],
  );
  const rater = await letInAs('rater');
  const own = await letInAs('wearer', wearer.id);
  const compare = async (when: string, who: readonly PersonRole[]) => {
    const ids = {
      trials: [trial.id],
      wearers: [wearer.id],
      products: bottles.map(({ id }) => id),
      'wash-days': days,
      photographs,
      routines: plans.map(({ id }) => id),
    };
    const hold = async (
      who: PersonRole,
      device: Visitor,
      said: readonly Said[],
      worlds: Readonly<Record<string, (trialId: string) => Promise<void>>>,
    ) => {
      const hear = () => hearAll(device, who, ids, said);
      const first = await hear();
      expect(Object.keys(first).length, `${who} ${when}`).toBeGreaterThan(who === 'tester' ? 30 : 1);
      // Asked again nothing has moved of itself: what differs afterwards is the other world’s doing.
      if (whole) expect(otherwise(first, await hear()), `${who} ${when}, asked again`).toEqual({});
      for (const [world, turn] of Object.entries(worlds)) {
        await turn(trial.id);
        expect(otherwise(first, await hear()), `${who} ${when}, ${world}`).toEqual({});
        await turn(trial.id);
      }
    };
    const isAsked = (role: PersonRole) => whole || who.includes(role);
    if (isAsked('tester')) await hold('tester', device, again, { 'another key': swapKey });
    const less = { 'another key': swapKey, 'another day': swapDay };
    if (isAsked('rater')) await hold('rater', rater, [], less);
    if (isAsked('wearer')) await hold('wearer', own, [], less);
  };

  /** One wash day from its start to what it came to. */
  const runDay = async (daysAgo: number, doneWith: 'under way' | 'worn' | 'finished') => {
    const id = v7();
    const startedAt = on(daysAgo, 6);
    const day = await tell<WashDay>('PUT', `/wash-days/${id}`, { trialId: trial.id, startedAt });
    days.push(id);
    const hold = day.steps.find(({ code }) => code !== null)!;
    expect(hold.productId).toBeNull();
    const tap = (said: object, minutes: number) => ({
      ...said,
      id: v7(),
      at: new Date(Date.parse(startedAt) + minutes * 60_000).toISOString(),
    });
    const taps = [
      ...day.steps.flatMap(({ id: stepId }, i) => [
        tap(
          {
            kind: 'step',
            stepId,
            set: { startedAt: new Date(Date.parse(startedAt) + i * 60_000).toISOString() },
          },
          i,
        ),
        tap(
          {
            kind: 'step',
            stepId,
            set: { status: 'done', doneAt: new Date(Date.parse(startedAt) + (i + 1) * 60_000).toISOString() },
          },
          i + 1,
        ),
      ]),
      tap({ kind: 'weighing', stepId: hold.id, phase: 'before', grams: 240 }, 3),
      tap({ kind: 'weighing', stepId: hold.id, phase: 'after', grams: 230 }, 4),
    ];
    const heard = await tell<TapsHeard>('POST', `/wash-days/${id}/taps`, { device: 'phone', taps });
    expect(heard.refused).toEqual([]);
    const look = async (stage: string, n: number | null, hour: number) => {
      const checkIn = v7();
      await tell('PUT', `/check-ins/${checkIn}`, {
        id: checkIn,
        washDayId: id,
        stage,
        day: n,
        at: on(daysAgo, hour),
        ratings: trial.weights.map(({ zoneId }, i) => ({ outcome: 'definition', zoneId, value: 4 + i })),
        curls: wearer.curls.map((curl) => ({ curlId: curl.id, restingMm: 190 })),
      });
    };
    await look('wet', null, 6.2);
    const photo = v7();
    await tell('PUT', `/photographs/${photo}`, {
      id: photo,
      washDayId: id,
      stage: 'wet',
      day: null,
      angle: 'front',
      takenAt: on(daysAgo, 6.3),
      type: 'image/jpeg',
      width: 800,
      height: 600,
      size: 1000,
    });
    photographs.push(photo);
    if (doneWith === 'under way') return;
    await tell('POST', `/wash-days/${id}/taps`, { device: 'phone', taps: [tap({ kind: 'finish' }, 50)] });
    await look('cast', null, 7);
    if (doneWith === 'finished') await look('wear', 1, 20);
    const event = v7();
    await tell('PUT', `/events/${event}`, {
      id: event,
      washDayId: id,
      kind: 'rain',
      on: startedAt.slice(0, 10),
    });
    if (doneWith === 'worn') return;
    const ended = await device.ask('POST', `/api/wash-days/${id}/end-wear`, {
      kind: 'washed-schedule',
      at: on(daysAgo, 23),
    });
    expect(ended.text).not.toContain('problem');
    await tell('PUT', `/wash-days/${id}/guess`, { half: null, armName: detail.arms[0]!.name });
  };

  await runDay(9, 'finished');
  // While the plan was open its options had names and ids; by none of those ids are they called now.
  const begun = (await device.ask('GET', `/api/trials/${trial.id}`)).text;
  for (const { id } of detail.arms) expect(begun).not.toContain(id);
  await compare('after its first wash day', ['tester']);
  await runDay(7, 'finished');
  await runDay(5, 'finished');
  await runDay(2, 'worn');
  // Its last wash day waits to be looked at, by whoever is let in for that.
  for (const who of [rater, own]) expect((await who.ask('GET', '/api/looks')).text).toContain(days.at(-1));
  await compare('while its last wash day is worn', ['rater', 'wearer']);
  await bench.ask('POST', `/api/wash-days/${days.at(-1)}/end-wear`, {
    kind: 'washed-schedule',
    at: on(1, 12),
  });
  await bench.ask('POST', `/api/trials/${trial.id}/outcomes`, {});
  await bench.ask('POST', `/api/trials/${trial.id}/end`, { reason: 'All wash days are through.' });
  await compare('when it is over and its key still shut', ['tester', 'rater']);

  // The measure measures: with the key open the two worlds are told apart.
  await bench.ask('POST', `/api/trials/${trial.id}/key/open`, {});
  const open = (await device.ask('GET', `/api/trials/${trial.id}`)).text;
  await swapKey(trial.id);
  expect((await device.ask('GET', `/api/trials/${trial.id}`)).text).not.toBe(open);
}

it('a blinded tester hears nothing of what stands behind a code, in any answer, header or file name, all through a trial; a rater and a wearer not even which days are alike', () =>
  hearNothing(false));
it('nor does anybody at any moment of it', { tags: 'soak' }, () => hearNothing(true));
