import {
  DAYS_AT_ONCE,
  type DayImport,
  type DaysStored,
  type KeptReading,
  type PastDay,
  type TakenBack,
} from '@sabor/contract/day-import';
import type { HairFile } from '@sabor/contract/hair-file';
import type { ListedDay } from '@sabor/contract/logged-day';
import type { Problem } from '@sabor/contract/problem';
import type { Shelf } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import { USUAL_READING } from '@sabor/core/spreadsheet/read-days';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleProduct } from '../../testing/samples.ts';

let bench: TestBench;
let sample: Awaited<ReturnType<typeof sampleBench>>;
let gel: { id: string };
beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  sample = await sampleBench(bench);
  gel = sampleProduct({ name: `Gel ${v7()}`, roles: ['gel'], openedOn: '2024-12-01' });
  await bench.ask('PUT', `/api/products/${gel.id}`, gel);
});
afterAll(() => bench.close());

const READING: KeptReading = {
  ...USUAL_READING,
  columns: ['date', 'product-hold', null],
  meant: { 'blue one': '018f0000-0000-7000-8000-000000000001' },
};
const HEADINGS = ['Date', 'Gel', 'Towel'];
const at = (day: number, hour = 18) => new Date(Date.UTC(2025, 0, day, hour)).toISOString();
const past = (day: number, to: Partial<PastDay> = {}): PastDay => ({
  line: day + 1,
  wearerId: sample.wearer.id,
  name: 'Old wash',
  startedAt: at(day),
  finishedAt: at(day, 22),
  steps: [
    { ...EMPTY_SETTINGS, slot: 'cleanse', note: '' },
    { ...EMPTY_SETTINGS, slot: 'hold', productId: gel.id, note: '' },
  ],
  temperatureC: null,
  humidity: null,
  shedHairs: null,
  ratings: [],
  ended: null,
  note: '',
  ...to,
});
const send = <T = DaysStored>(id: string, days: PastDay[]) =>
  bench.ask<T>('PUT', `/api/day-imports/${id}`, {
    fileName: 'old days.xlsx',
    headings: HEADINGS,
    reading: READING,
    days,
  });
const takeBack = (id: string) => bench.ask<TakenBack>('POST', `/api/day-imports/${id}/take-back`, {});
const listed = async () =>
  (await bench.ask<ListedDay[]>('GET', '/api/wash-days')).body.filter(
    ({ wearerId, logged }) => wearerId === sample.wearer.id && logged,
  );
const dayOf = async (id: string) => (await bench.ask<WashDay>('GET', `/api/wash-days/${id}`)).body;

describe('wash days of a spreadsheet', () => {
  it('stand as done and worn, rated on day 1, with what the row told and no minute made up', async () => {
    const file = v7();
    const { body } = await send(file, [
      past(1, {
        ratings: [
          { outcome: 'definition', value: 7.5 },
          { outcome: 'frizz', value: 2 },
        ],
        temperatureC: 21.5,
        humidity: 60,
        shedHairs: 40,
        note: 'soft',
        ended: { at: at(4), looked: true },
      }),
    ]);
    expect(body).toEqual({ stored: 1, known: 0, refused: [] });
    const [entry] = await listed();
    expect(entry).toMatchObject({
      name: 'Old wash',
      enteredLater: true,
      status: 'finished',
      localDate: '2025-01-01',
    });
    const day = await dayOf(entry!.id);
    expect(day).toMatchObject({
      startedAt: at(1),
      revealAt: at(1, 22),
      dryAt: null,
      temperatureC: 21.5,
      humidity: 60,
      shedHairs: 40,
      note: 'soft',
      wearEnd: { kind: 'washed-looks' },
    });
    expect(day.steps.map(({ slot, status, productId, doneAt }) => [slot, status, productId, doneAt])).toEqual(
      [
        ['cleanse', 'done', null, null],
        ['hold', 'done', gel.id, null],
      ],
    );
    expect(Date.parse(day.wearEnd!.at)).toBe(Date.parse(at(4)));
    const [look] = day.checkIns;
    expect(look).toMatchObject({ stage: 'wear', day: 1 });
    expect(Date.parse(look!.at)).toBe(Date.parse(at(1, 22)));
    expect(look!.ratings.map(({ outcome, zoneId, value }) => [outcome, zoneId, value])).toEqual([
      ['definition', null, 7.5],
      ['frizz', null, 2],
    ]);
    const trial = (await bench.ask<TrialDetail>('GET', `/api/trials/${day.trialId}`)).body;
    expect(trial).toMatchObject({ logged: true, status: 'finished', endedAt: at(4) });
    const history = (await bench.ask<HairFile>('GET', `/api/wearers/${sample.wearer.id}/file`)).body;
    expect(history.washedOn).toContain('2025-01-01');
  });

  it('end where the next wash of the head begins; the last stays worn', async () => {
    await send(v7(), [past(1), past(5, { ended: { at: at(40), looked: false } }), past(9)]);
    const days = await Promise.all((await listed()).map(({ id }) => dayOf(id)));
    expect(
      days.map(({ startedAt, wearEnd, status }) => [
        startedAt,
        wearEnd?.kind,
        wearEnd && Date.parse(wearEnd.at),
        status,
      ]),
    ).toEqual([
      [at(9), undefined, null, 'worn'],
      // Longer than till the next wash it cannot have been worn.
      [at(5), 'washed-schedule', Date.parse(at(9)), 'finished'],
      [at(1), 'washed-schedule', Date.parse(at(5)), 'finished'],
    ]);
  });

  it('that come in between end the wear before them, though it had ended at a later wash', async () => {
    const early = v7();
    await send(early, [past(1), past(9, { ended: { at: at(12), looked: true } })]);
    await send(v7(), [past(5)]);
    const ends = async () =>
      Object.fromEntries(
        (await Promise.all((await listed()).map(({ id }) => dayOf(id)))).map(({ startedAt, wearEnd }) => [
          startedAt,
          wearEnd && [wearEnd.kind, Date.parse(wearEnd.at)],
        ]),
      );
    expect(await ends()).toEqual({
      [at(1)]: ['washed-schedule', Date.parse(at(5))],
      [at(5)]: ['washed-schedule', Date.parse(at(9))],
      // What was told of an end stays.
      [at(9)]: ['washed-looks', Date.parse(at(12))],
    });
  });

  it('count as uses of the bottle that was open on their day', async () => {
    await send(v7(), [past(1), past(5)]);
    const shelf = (await bench.ask<Shelf>('GET', '/api/shelf')).body;
    expect(shelf.products.find(({ id }) => id === gel.id)!.bottles).toMatchObject([{ uses: 2 }]);
  });

  it('that are there already are left as they are: sent twice, or within an hour', async () => {
    const file = v7();
    await send(file, [past(1), past(5)]);
    expect((await send(file, [past(1), past(5)])).body).toEqual({ stored: 0, known: 2, refused: [] });
    expect((await send(v7(), [past(5, { startedAt: at(5, 18.5) })])).body).toMatchObject({
      stored: 0,
      known: 1,
    });
    expect((await send(v7(), [past(7), past(7, { line: 99, startedAt: at(7, 18.9) })])).body).toEqual({
      stored: 1,
      known: 0,
      refused: [{ line: 99, reason: 'It begins within an hour of line 8; the earlier was taken.' }],
    });
    expect(await listed()).toHaveLength(3);
  });

  it('are refused one by one where a head, a product or an open wash day says so; the others are stored', async () => {
    const begun = v7();
    await bench.ask('PUT', `/api/wash-days/${begun}`, { trialId: sample.trial.id, startedAt: at(2) });
    const { body } = await send(v7(), [
      past(1),
      past(3),
      past(1, { line: 50, wearerId: v7() }),
      past(1, {
        line: 51,
        startedAt: at(1, 10),
        steps: [{ ...EMPTY_SETTINGS, slot: 'hold', productId: v7(), note: '' }],
      }),
    ]);
    expect(body.stored).toBe(1);
    expect(Object.fromEntries(body.refused.map(({ line, reason }) => [line, reason]))).toEqual({
      4: expect.stringMatching(/^A wash day of “.*” is still open on this head\. Say first how it ended/),
      50: 'Sabor has no such head any more.',
      51: 'A product of this day is not on the shelf any more.',
    });
  });

  it('are refused as a whole where they cannot be read at all', async () => {
    const refused = async (days: PastDay[]) => {
      const { status, body } = await send<Problem>(v7(), days);
      return [status, body.fields?.[0]?.message];
    };
    expect(await refused([])).toEqual([422, 'Send one wash day at least.']);
    expect(await refused([past(1, { finishedAt: at(0) })])).toEqual([
      422,
      'The hair cannot be finished before the wash began.',
    ]);
    expect(await refused([past(1, { startedAt: '2999-01-01T00:00:00Z' })])).toEqual([
      422,
      'This time is in the future. Give now or earlier.',
    ]);
    expect(await refused(Array.from({ length: DAYS_AT_ONCE + 1 }, (_, i) => past(i)))).toEqual([
      422,
      'Send 400 wash days at once at most.',
    ]);
    expect(await listed()).toEqual([]);
  });

  it('are taken back together, but for those that more was told of; how they were read is kept', async () => {
    const file = v7();
    await send(file, [past(1), past(5), past(9)]);
    const [last] = await listed();
    await bench.ask('PUT', `/api/check-ins/${v7()}`, {
      washDayId: last!.id,
      stage: 'wear',
      day: 2,
      at: at(10),
      ratings: [{ outcome: 'frizz', zoneId: null, value: 3 }],
    });
    expect((await takeBack(file)).body).toEqual({ removed: 2, kept: 1 });
    expect((await takeBack(file)).body).toEqual({ removed: 0, kept: 1 });
    expect((await listed()).map(({ id }) => id)).toEqual([last!.id]);
    const own = (await bench.ask<DayImport[]>('GET', '/api/day-imports')).body.find(({ id }) => id === file)!;
    expect(own).toMatchObject({ fileName: 'old days.xlsx', headings: HEADINGS, reading: READING, days: 1 });
    expect(own.takenBackAt).not.toBeNull();
    // A part that comes late finds nothing to go on with.
    const late = await send<Problem>(file, [past(20)]);
    expect([late.status, late.body.detail]).toEqual([
      409,
      'This file was taken back meanwhile. Choose it again to read it anew.',
    ]);
    expect((await bench.ask<Problem>('POST', `/api/day-imports/${v7()}/take-back`, {})).status).toBe(404);
  });
});
