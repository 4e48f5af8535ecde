import type { CheckIn, WearEvent } from '@sabor/contract/check-in';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { describe, expect, it } from 'vitest';
import { looksOf, toldOf } from './looks-of.ts';
import { PLAIN_EVENT } from './nothing-told.ts';

const wearer = {
  timeZone: 'UTC',
  curls: [],
  zones: [
    { id: 'zl', side: 'left' },
    { id: 'zr', side: 'right' },
    { id: 'zb', side: 'both' },
  ],
} as unknown as Wearer;
const trial = { onDay: 2, judgedFrom: null, judgedTo: null } as unknown as TrialDetail;

let n = 0;
const look = (day: number, at: string, value: number, to: Partial<CheckIn> = {}): CheckIn => ({
  id: `c${++n}`,
  washDayId: 'd',
  stage: 'wear',
  day,
  part: 'first',
  at: `2026-03-${9 + day}T${at}:00Z`,
  note: '',
  rater: '',
  air: null,
  ratings: (['zl', 'zr'] as const).map((zoneId) => ({ outcome: 'frizz', zoneId, value })),
  felt: [],
  curls: [],
  ...to,
});
const event = (kind: WearEvent['kind'], day: number, to: Partial<WearEvent> = {}): WearEvent => ({
  ...PLAIN_EVENT,
  id: `e${++n}`,
  washDayId: 'd',
  kind,
  on: `2026-03-${9 + day}`,
  ...to,
});
const day = (checkIns: CheckIn[], events: WearEvent[] = [], to: object = {}) =>
  ({
    id: 'd',
    steps: [],
    checkIns,
    events,
    revealAt: '2026-03-10T07:00:00Z',
    wearEnd: { kind: 'washed-looks', at: '2026-03-13T08:00:00Z' },
    strain: null,
    patience: null,
    ...to,
  }) as unknown as WashDay;
/** What is judged: day and value of each rating. */
const judged = (of: WashDay, half: 'left' | 'right' | null = null, plan = trial) =>
  looksOf(of, plan, wearer, half).checkIns.flatMap(({ day: d, ratings }) =>
    ratings.map(({ zoneId, value }) => `day ${d} ${zoneId} ${value}`),
  );

describe('which check-in of a day is judged', () => {
  it('is the first before any refresh, whatever order they were entered in', () => {
    const later = look(2, '19:00', 6, { part: 'evening' });
    const after = look(2, '06:00', 1, { part: 'after-refresh' });
    const first = look(2, '08:00', 4);
    expect(judged(day([later, after, first]))).toEqual(['day 2 zl 4', 'day 2 zr 4']);
    expect(judged(day([later, after]))).toEqual(['day 2 zl 6', 'day 2 zr 6']);
    expect(judged(day([after]))).toEqual([]);
  });

  it('lies within the promised hours on the promised day, and any time on others', () => {
    const plan = { ...trial, judgedFrom: 7, judgedTo: 11 } as TrialDetail;
    const night = look(2, '06:59', 3);
    expect(judged(day([look(1, '20:00', 2), night]), null, plan)).toEqual(['day 1 zl 2', 'day 1 zr 2']);
    expect(judged(day([night, look(2, '10:59', 5, { part: 'evening' })]), null, plan)).toEqual([
      'day 2 zl 5',
      'day 2 zr 5',
    ]);
    expect(judged(day([look(2, '11:00', 5)]), null, plan)).toEqual([]);
    // On the wearer's own clock: 06:30 in UTC is 07:30 in Madrid.
    const madrid = { ...wearer, timeZone: 'Europe/Madrid' } as Wearer;
    expect(looksOf(day([look(2, '06:30', 5)]), plan, madrid, null).checkIns).toHaveLength(1);
  });
});

describe('a side that was spoiled', () => {
  const spoiled = event('covered', 2, { zoneIds: ['zl'], spoiledAt: '2026-03-11T07:00:00Z' });
  const looks = [look(1, '08:00', 2), look(2, '08:00', 5), look(3, '08:00', 6)];

  it('takes the pair out of judging from that day on, in a half-head', () => {
    expect(judged(day(looks, [spoiled]), 'left')).toEqual(['day 1 zl 2']);
    expect(judged(day(looks, [spoiled]), 'right')).toEqual(['day 1 zr 2']);
  });

  it('cuts the longevity of its own side short, and leaves the other’s whole', () => {
    const [left, right] = (['left', 'right'] as const).map((half) =>
      looksOf(day(looks, [spoiled]), trial, wearer, half),
    );
    expect(left!.worn.map(({ day: d }) => d)).toEqual([1]);
    expect(left).toMatchObject({ wearEnd: null, wearEndDay: null, spoiled: { fromDay: 2, kind: 'covered' } });
    expect(right!.worn.map(({ day: d }) => d)).toEqual([1, 2, 3]);
    expect(right).toMatchObject({ wearEnd: 'washed-looks', wearEndDay: 4, spoiled: null });
  });

  it('takes its zones out on a whole head, or the whole head', () => {
    expect(judged(day(looks, [spoiled]))).toEqual(['day 1 zl 2', 'day 1 zr 2', 'day 2 zr 5', 'day 3 zr 6']);
    const all = { ...spoiled, zoneIds: [] };
    expect(judged(day(looks, [all]))).toEqual(['day 1 zl 2', 'day 1 zr 2']);
    expect(looksOf(day(looks, [all]), trial, wearer, null).wearEnd).toBeNull();
  });

  it('leaves the first day that was rated past midnight, and a wear that ended past midnight ends the evening before', () => {
    const late = {
      revealAt: '2026-03-10T23:30:00Z',
      wearEnd: { kind: 'washed-looks', at: '2026-03-14T01:00:00Z' },
    };
    const seen = [look(1, '00:00', 2, { at: '2026-03-11T00:30:00Z' }), look(2, '08:00', 5)];
    expect(judged(day(seen, [spoiled], late), 'left')).toEqual(['day 1 zl 2']);
    expect(looksOf(day(seen, [spoiled], late), trial, wearer, 'left').spoiled).toMatchObject({ fromDay: 2 });
    expect(looksOf(day(seen, [spoiled], late), trial, wearer, 'right').wearEndDay).toBe(4);
  });

  it('counts only where it was marked before that day’s rating', () => {
    const late = { ...spoiled, spoiledAt: '2026-03-11T08:00:01Z' };
    expect(judged(day(looks, [late]), 'left')).toHaveLength(3);
    expect(looksOf(day(looks, [late]), trial, wearer, 'left').spoiled).toBeNull();
  });

  it('is not spoiled by an announced walk that did not happen, or of which nothing was said', () => {
    for (const came of ['off', null] as const)
      expect(judged(day(looks, [{ ...spoiled, announced: true, came }]), 'left')).toHaveLength(3);
    expect(judged(day(looks, [{ ...spoiled, announced: true, came: 'suffered' }]), 'left')).toHaveLength(1);
  });
});

describe('what was told of a wash day', () => {
  const felt = (zoneId: string | null, value: number) => ({ quality: 'cast' as const, zoneId, value });

  it('of a half is what was told of its zones; a word for the whole head says nothing of halves', () => {
    const seen = day([look(2, '08:00', 4, { felt: [felt('zl', 1), felt('zr', 3), felt(null, 4)] })]);
    const values = (half: 'left' | 'right' | null) =>
      toldOf(seen, wearer, half).felt.map(({ value }) => value);
    expect(values('left')).toEqual([1]);
    expect(values('right')).toEqual([3]);
    expect(values(null)).toEqual([1, 3, 4]);
  });

  it('leaves out what was felt after a refresh', () => {
    const seen = day([look(2, '08:00', 4, { part: 'after-refresh', felt: [felt(null, 2)] })]);
    expect(toldOf(seen, wearer, null).felt).toEqual([]);
  });

  it('counts days of upkeep on the half it was on', () => {
    const events = [
      event('edges', 2, { zoneIds: ['zl'] }),
      event('edges', 2),
      event('edges', 3),
      event('nothing-needed', 1),
    ];
    expect(toldOf(day([], events), wearer, 'left').upkeep).toEqual({ edges: 2, 'nothing-needed': 1 });
    expect(toldOf(day([], [events[0]!]), wearer, 'right').upkeep).toEqual({});
  });

  it('of effort only a whole head: two halves were done by the same arms', () => {
    const tired = day([], [], { strain: 3, patience: 0 });
    expect(toldOf(tired, wearer, null).effort).toEqual({ strain: 3, patience: 0 });
    expect(toldOf(tired, wearer, 'left').effort).toEqual({});
  });
});

describe('the hold test', () => {
  it('reads cast, finished hair and the same evening, side by side', () => {
    const cast = look(1, '06:00', 2, { stage: 'cast', day: null });
    const seen = day([cast, look(1, '08:00', 5), look(1, '20:00', 8, { part: 'evening' })]);
    expect(
      looksOf(seen, trial, wearer, 'left').holdTooLow.map(({ zoneId, when, before, after }) => [
        zoneId,
        when,
        before,
        after,
      ]),
    ).toEqual([
      ['zl', 'cast broken', 2, 5],
      ['zl', 'by evening', 5, 8],
    ]);
  });
});
