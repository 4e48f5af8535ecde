import type { NewTap, TapsHeard } from '@sabor/contract/taps';
import type { WashDay } from '@sabor/contract/wash-day';
import { plusDays } from '@sabor/core/time/dates';
import Papa from 'papaparse';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, zoneOfAfternoon } from '../../testing/samples.ts';
import { tap, tapFinish } from '../../testing/tapping.ts';

let bench: TestBench;
let sample: Awaited<ReturnType<typeof sampleBench>>;
let day: WashDay;
const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();

beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  sample = await sampleBench(bench, {}, { timeZone: zoneOfAfternoon() });
  day = (
    await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
      trialId: sample.trial.id,
      startedAt: ago(180),
    })
  ).body;
});
afterAll(() => bench.close());

const read = async () => (await bench.ask<WashDay>('GET', `/api/wash-days/${day.id}`)).body;
/** Taps as a phone sends them; what was refused comes back in words. */
async function said(...taps: (NewTap & { at?: string })[]): Promise<{ day: WashDay; refused: string[] }> {
  const { body } = await bench.ask<TapsHeard>('POST', `/api/wash-days/${day.id}/taps`, {
    device: 'phone',
    taps: taps.map((one) => ({ id: v7(), at: new Date().toISOString(), ...one })),
  });
  return { day: body.day, refused: body.refused.map(({ detail }) => detail) };
}
async function finished(): Promise<void> {
  await tapFinish(bench, day.id);
  await tap(bench, day.id, { kind: 'day', set: { washedAt: ago(170), dryAt: ago(100), revealAt: ago(90) } });
}
const rate = (to: object = {}): NewTap =>
  ({
    kind: 'rate',
    checkInId: v7(),
    stage: 'wear',
    day: 1,
    lookedAt: ago(30),
    ratings: [],
    ...to,
  }) as NewTap;

describe('readings in words of a check-in', () => {
  it('are kept by zone, replaced by the latest, and taken back', async () => {
    await finished();
    const zoneId = sample.wearer.zones[0]!.id;
    const { day: first } = await said(
      rate({
        felt: [
          { quality: 'cast', zoneId, value: 1 },
          { quality: 'flakes', zoneId: null, value: 0 },
        ],
      }),
      rate({ felt: [{ quality: 'cast', zoneId, value: 3 }] }),
    );
    expect(first.checkIns).toHaveLength(1);
    expect(first.checkIns[0]!.felt).toEqual([
      { quality: 'cast', zoneId, value: 3 },
      { quality: 'flakes', zoneId: null, value: 0 },
    ]);
    // An older word that comes late overwrites none; another zone's stands.
    await said(rate({ at: ago(20), felt: [{ quality: 'cast', zoneId, value: 0 }] }));
    const { day: last } = await said(rate({ felt: [{ quality: 'flakes', zoneId: null, value: null }] }));
    expect(last.checkIns[0]!.felt).toEqual([{ quality: 'cast', zoneId, value: 3 }]);
  });

  it('of a zone that is not on this head are refused, as is a word there is not', async () => {
    await finished();
    const { refused } = await said(
      rate({ felt: [{ quality: 'cast', zoneId: v7(), value: 1 }] }),
      rate({ felt: [{ quality: 'cast', zoneId: null, value: 5 }] }),
    );
    expect(refused.sort()).toEqual([
      'A rated zone is not on this wearer’s head.',
      'A reading in five words cannot be over 4.',
    ]);
    expect((await read()).checkIns).toEqual([]);
  });
});

describe('several check-ins', () => {
  it('of one day stand beside one another; only days worn have them', async () => {
    await finished();
    const { day: now, refused } = await said(
      rate(),
      rate({ part: 'evening' }),
      rate({ part: 'before-refresh' }),
      rate({ part: 'after-refresh' }),
      rate({ stage: 'cast', day: null, part: 'evening' }),
    );
    expect(now.checkIns.map(({ part }) => part).sort()).toEqual([
      'after-refresh',
      'before-refresh',
      'evening',
      'first',
    ]);
    expect(refused).toEqual(['Only days worn have several check-ins.']);
  });

  it('before the wash tell how the hair came to it, and cannot come after', async () => {
    const before = { stage: 'before', day: null, felt: [{ quality: 'tangles', zoneId: null, value: 3 }] };
    const { day: now } = await said(rate({ ...before, lookedAt: ago(200) }), {
      kind: 'day',
      set: { cameFrom: 'braids', fastened: 'elastic', styleDays: 7 },
    });
    expect(now).toMatchObject({ cameFrom: 'braids', fastened: 'elastic', styleDays: 7 });
    expect(now.checkIns).toMatchObject([{ stage: 'before', felt: [{ quality: 'tangles', value: 3 }] }]);
    await finished();
    const { refused } = await said(
      rate({ ...before, lookedAt: ago(10) }),
      rate({ ...before, lookedAt: ago(60 * 48) }),
    );
    expect(refused).toEqual([
      'This check-in is of the hair before the wash, and the wash had begun.',
      'This check-in is more than a day before its wash day. Check the time.',
    ]);
  });
});

describe('what is done to hair while worn', () => {
  const event = (to: object): NewTap =>
    ({ kind: 'event', eventId: v7(), event: 'edges', on: day.localDate, gone: false, ...to }) as NewTap;
  const pea = { kind: 'exact', amount: 1, measure: 'pea', per: 'head' };

  it('keeps product, amount, tool and place, told tap by tap', async () => {
    await finished();
    const eventId = v7();
    const zoneIds = [sample.wearer.zones[1]!.id];
    const productId = sample.gels[0]!.id;
    const { day: now, refused } = await said(
      event({ eventId }),
      event({ eventId, productId }),
      event({ eventId, dose: pea }),
      event({ eventId, tool: 'brush', zoneIds }),
      event({ event: 'nothing-needed' }),
    );
    expect(refused).toEqual([]);
    expect(now.events).toMatchObject([
      { kind: 'edges', productId, dose: pea, tool: 'brush', zoneIds, announced: false, spoiledAt: null },
      { kind: 'nothing-needed', productId: null },
    ]);
    const csv = await bench.ask<string>('GET', `/api/trials/${sample.trial.id}/readings.csv`);
    const rows = Papa.parse<Record<string, string>>(csv.body, { header: true }).data;
    expect(rows.find(({ outcome }) => outcome === 'Edges redone')).toMatchObject({
      stage: 'Worn',
      day_of_wear: '1',
      product: sample.gels[0]!.name,
      amount: '1 pea',
      tool: 'brush',
      arm: expect.stringMatching(/^Gel \d$/),
    });
  });

  it('is the same whatever order the taps of its details come in', async () => {
    await finished();
    const eventId = v7();
    const productId = sample.gels[0]!.id;
    await said(event({ eventId, dose: pea, at: ago(2) }));
    await said(event({ eventId, productId, tool: 'pick', event: 'restyled', at: ago(3) }));
    await said(event({ eventId, tool: 'brush', at: ago(4) }));
    expect((await read()).events).toMatchObject([{ kind: 'edges', productId, dose: pea, tool: 'pick' }]);
    // Taken back last of all: what comes late of before does not bring it again.
    await said(event({ eventId, gone: true, at: ago(1) }));
    await said(event({ eventId, tool: 'clips', at: ago(2.5) }));
    expect((await read()).events).toEqual([]);
  });

  it('before the hair is finished, or before the wash day, is refused at its sentence', async () => {
    expect((await said(event({}))).refused).toEqual([
      '“Edges redone” is for finished hair. Record first when it was finished.',
    ]);
    expect((await said(event({ event: 'rain', on: plusDays(day.localDate, -1) }))).refused).toEqual([
      'This happened before the wash day. Check the date.',
    ]);
    expect((await read()).events).toEqual([]);
  });

  it.each([
    [{ event: 'rain', tool: 'brush' }, '“Rain” is not done with a product or a tool.'],
    [{ event: 'edges', spoiledAt: ago(5) }, '“Edges redone” spoils no side.'],
    [{ event: 'refreshed', how: 'up' }, 'Choose how from the list.'],
    [{ event: 'sweat', how: 'up' }, '“Sweat” has no such detail.'],
  ])('%j: %s', async (to, sentence) => {
    await finished();
    expect((await said(event(to))).refused).toEqual([sentence]);
    expect((await read()).events).toEqual([]);
  });

  it('may be announced for a day to come; what it came to waits for that day', async () => {
    await finished();
    const on = plusDays(day.localDate, 3);
    const eventId = v7();
    const { day: now } = await said(event({ eventId, event: 'workout', on }));
    expect(now.events).toMatchObject([{ kind: 'workout', announced: true, came: null }]);
    expect((await said(event({ eventId, event: 'workout', on, came: 'suffered' }))).refused).toEqual([
      'Its day has not come yet; say then what it came to.',
    ]);
    // Called off before its day, and moved to today: it stays announced.
    const { day: moved } = await said(event({ eventId, event: 'workout', on: day.localDate, came: 'held' }));
    expect(moved.events).toMatchObject([{ announced: true, came: 'held' }]);
  });

  it('a side is marked as spoiled, and unmarked', async () => {
    await finished();
    const eventId = v7();
    const zoneIds = sample.wearer.zones.filter(({ side }) => side === 'left').map(({ id }) => id);
    const spoiledAt = ago(5);
    const { day: now } = await said(event({ eventId, event: 'covered', how: 'hood', zoneIds, spoiledAt }));
    expect(now.events).toMatchObject([{ kind: 'covered', how: 'hood' }]);
    // Nothing was rated yet: it was spoiled before whatever will be.
    expect(Date.parse(now.events[0]!.spoiledAt!)).toBeLessThan(Date.parse(day.startedAt));
    const { day: back } = await said(event({ eventId, event: 'covered', spoiledAt: null }));
    expect(back.events).toMatchObject([{ how: 'hood', spoiledAt: null }]);
    expect(back.events[0]!.zoneIds).toHaveLength(zoneIds.length);
  });
});

describe('a mark of what was spoiled', () => {
  it('that comes after the rating of its day is dated after it, whatever it says', async () => {
    await finished();
    const zoneId = sample.wearer.zones[0]!.id;
    await said(rate({ ratings: [{ outcome: 'frizz', zoneId, value: 4 }] }));
    const { day: now } = await said({
      kind: 'event',
      eventId: v7(),
      event: 'wind',
      on: day.localDate,
      spoiledAt: ago(170),
    } as NewTap);
    expect(Date.parse(now.events[0]!.spoiledAt!)).toBeGreaterThan(Date.parse(now.checkIns[0]!.at));
  });
});

describe('steps', () => {
  it('are skipped with their reason, which is told from nobody having got there', async () => {
    const [first, second] = day.steps;
    await said({
      kind: 'step',
      stepId: first!.id,
      set: { status: 'skipped', skipReason: 'not-needed' },
    });
    await tapFinish(bench, day.id);
    const { steps } = await read();
    expect(steps[0]).toMatchObject({ status: 'skipped', skipReason: 'not-needed' });
    expect(steps.find(({ id }) => id === second!.id)).toMatchObject({ status: 'skipped', skipReason: null });
  });

  it('of a later day worn wait for it, and are passed over when the wear ends', async () => {
    const last = day.steps.at(-1)!;
    expect(last.slot).toBe('break-cast');
    await said({ kind: 'step', stepId: last.id, set: { extra: { wearDay: 3 } } });
    await finished();
    expect((await read()).steps.at(-1)!.status).toBe('waiting');
    await bench.ask('POST', `/api/wash-days/${day.id}/end-wear`, {
      kind: 'washed-swim',
      at: new Date().toISOString(),
    });
    expect((await read()).steps.at(-1)!.status).toBe('skipped');
  });

  it('take an amount mark with its places', async () => {
    const { day: now } = await said({
      kind: 'mark',
      stepId: day.steps[0]!.id,
      markId: v7(),
      mark: 'too-much',
      reason: 'untold',
      places: ['crown', 'nape'],
    });
    expect(now.steps[0]!.marks).toMatchObject([{ mark: 'too-much', places: ['crown', 'nape'] }]);
  });
});

describe('what a wash day is meant for', () => {
  it('is kept with what is accepted for it, and taken back', async () => {
    const { day: told } = await said({
      kind: 'day',
      set: { styleMeant: 'twist-out', accepts: ['shrinkage', 'slow'] },
    });
    expect(told).toMatchObject({ styleMeant: 'twist-out', accepts: ['shrinkage', 'slow'] });
    const back = await said({ kind: 'day', set: { styleMeant: null, accepts: [] } });
    expect(back.day).toMatchObject({ styleMeant: null, accepts: [] });
    const odd = await said({ kind: 'day', set: { accepts: ['moon'] as never } });
    expect(odd.refused).toHaveLength(1);
    expect(odd.day.accepts).toEqual([]);
  });
});

describe('ideas that touch the steps themselves', () => {
  it('are kept with the step to be added, which must be named', async () => {
    const stepId = day.steps[0]!.id;
    const { day: told, refused } = await said(
      { kind: 'idea', stepId, ideaId: v7(), idea: 'add-step', slot: 'leave-in' },
      { kind: 'idea', stepId, ideaId: v7(), idea: 'earlier' },
      { kind: 'idea', stepId, ideaId: v7(), idea: 'add-step' },
      { kind: 'idea', stepId, ideaId: v7(), idea: 'less', slot: 'leave-in' },
    );
    expect(refused).toEqual(['Say which step is to be added.', 'Say which step is to be added.']);
    expect(told.steps[0]!.ideas.map(({ idea, slot }) => [idea, slot])).toEqual([
      ['add-step', 'leave-in'],
      ['earlier', null],
    ]);
  });
});
