import type { Amendable, Amendment } from '@sabor/contract/promise';
import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay, WashStep } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { compareTrial } from '@sabor/core/compare/comparison';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { readPrimary } from '@sabor/words/verdict';
import { describe, expect, it } from 'vitest';
import { NOTHING_TOLD } from './nothing-told.ts';
import { toTrialRecord } from './trial-record.ts';

const ml = (amount: number) => ({ kind: 'exact', amount, measure: 'ml', per: 'head' }) as const;
const product = (id: string, price: number | null): Product =>
  ({ id, name: `Product ${id}`, price, currency: price === null ? null : 'EUR', sizeMl: 100 }) as Product;

const shelf = [product('soap', 5), product('gel-a', 10), product('gel-b', 20)];
const plan = [
  {
    ...EMPTY_SETTINGS,
    id: 's1',
    slot: 'cleanse' as const,
    productId: 'soap',
    dose: ml(10),
    note: '',
    part: 'held' as const,
  },
  { ...EMPTY_SETTINGS, id: 's2', slot: 'hold' as const, dose: ml(5), note: '', part: 'tested' as const },
];

function step(planStepId: string, productId: string, to: Partial<WashStep> = {}): WashStep {
  return {
    ...EMPTY_SETTINGS,
    ...NOTHING_TOLD,
    id: `w-${planStepId}`,
    planStepId,
    position: 0,
    slot: 'hold',
    status: 'done',
    productId,
    dose: ml(10),
    note: '',
    startedAt: null,
    doneAt: null,
    skipReason: null,
    planned: null,
    half: null,
    code: null,
    ...to,
  };
}

function washDay(position: number, arm: 'a' | 'b', to: Partial<WashDay> = {}): WashDay {
  return {
    id: `d${position}`,
    position,
    armId: arm,
    status: 'finished',
    wearEnd: { kind: 'washed-looks', at: '2026-01-01T10:00:00Z' },
    steps: [step('s1', 'soap'), step('s2', `gel-${arm}`)],
    checkIns: [
      {
        id: `c${position}`,
        washDayId: `d${position}`,
        stage: 'wear',
        day: 1,
        at: '2026-01-01T10:00:00Z',
        note: '',
        ratings: [{ outcome: 'definition', zoneId: 'z1', value: arm === 'a' ? 4 : 8 }],
        curls: [],
      },
    ],
    events: [],
    revealAt: null,
    ...to,
  } as unknown as WashDay;
}

const lot = (arm: string) => ({ left: arm, right: arm });

function trial(to: Partial<TrialDetail> = {}): TrialDetail {
  return {
    id: 't',
    status: 'finished',
    arms: [
      { id: 'a', name: 'Gel A', steps: [] },
      { id: 'b', name: 'Gel B', steps: [] },
    ],
    plan,
    primary: 'definition',
    line: 6,
    matters: 1,
    alpha: 0.05,
    washDays: 4,
    wearDays: 1,
    weights: [{ zoneId: 'z1', weight: 1 }],
    design: 'complete',
    onDay: 1,
    looks: 1,
    lookedAt: null,
    allocation: [lot('a'), lot('b'), lot('b'), lot('a')],
    seed: 12,
    amendments: [],
    outcomesShownAt: null,
    endedAt: '2026-02-01T00:00:00Z',
    washDayRecords: [washDay(0, 'a'), washDay(1, 'b'), washDay(2, 'b'), washDay(3, 'a')],
    ...to,
  } as unknown as TrialDetail;
}

const wearer = {
  timeZone: 'UTC',
  curls: [],
  zones: [
    { id: 'z1', side: 'left' },
    { id: 'z2', side: 'right' },
  ],
} as unknown as Wearer;
const recordOf = (of: TrialDetail) => toTrialRecord(of, shelf, wearer);

describe('a trial as the comparison reads it', () => {
  it('numbers its arms and keeps its promise', () => {
    const { promise, allocation, ended } = recordOf(trial());
    expect(allocation).toEqual([0, 1, 1, 0]);
    expect(ended).toBe('as planned');
    expect(promise).toMatchObject({ arms: ['Gel A', 'Gel B'], plannedWashDays: 4, line: 6, wearDays: 1 });
    expect(promise.weights.get('z1')).toBe(1);
  });

  it('leaves abandoned wash days and those under way out', () => {
    const washDayRecords = [
      washDay(0, 'a'),
      washDay(1, 'b', { status: 'abandoned' }),
      washDay(1, 'b', { status: 'under way' }),
    ];
    const { washDays } = recordOf(trial({ washDayRecords }));
    expect(washDays.map(({ position }) => position)).toEqual([0]);
  });

  it('knows of a running trial only what has been opened', () => {
    const running = recordOf(
      trial({ status: 'running', allocation: [lot('a'), lot('b'), null, null], seed: null }),
    );
    expect(running.allocation).toEqual([0, 1]);
    expect(running.ended).toBe('no');
    expect(recordOf(trial({ status: 'ended' })).ended).toBe('early');
  });

  it('adds up what was used, the tested part of it apart', () => {
    const [first, second] = recordOf(trial()).washDays;
    expect(first!.cost.cost!.usual).toBeCloseTo(1.5, 9);
    expect(first!.testedCost.cost!.usual).toBeCloseTo(1, 9);
    expect(second!.testedCost.cost!.usual).toBeCloseTo(2, 9);
  });

  it('does not charge for skipped steps, and says what it cannot price', () => {
    const days = [
      washDay(0, 'a', { steps: [step('s1', 'soap', { status: 'skipped' }), step('s2', 'gel-a')] }),
      washDay(1, 'b', { steps: [step('s1', 'gone'), step('s2', 'gel-b')] }),
    ];
    const [skipped, unknown] = recordOf(trial({ washDayRecords: days })).washDays;
    expect(skipped!.cost.cost!.usual).toBeCloseTo(1, 9);
    expect(unknown!.cost.gaps).toEqual([{ kind: 'unpriced', product: 'A product' }]);
  });

  it('charges an added step to the wash, not to the test', () => {
    const steps = [step('s1', 'soap'), step('s2', 'gel-a'), step('x', 'gel-b', { planStepId: null })];
    const [day] = recordOf(trial({ washDayRecords: [washDay(0, 'a', { steps })] })).washDays;
    expect(day!.cost.cost!.usual).toBeCloseTo(3.5, 9);
    expect(day!.testedCost.cost!.usual).toBeCloseTo(1, 9);
  });

  it('can be compared as it stands', () => {
    const { outcomes, money, wear } = compareTrial(recordOf(trial()));
    expect(outcomes.definition.means).toEqual([4, 8]);
    expect(money[1]!.costPerGoodDay).toBeCloseTo(2.5, 9);
    expect(wear[1]!.seen).toEqual({ from: 1, to: 2, toldBy: 'wash', recovered: false });
  });

  it('takes a half-head wash day as two records, each with the ratings of its side', () => {
    const rated = (left: number, right: number) => [
      {
        ...washDay(0, 'a').checkIns[0]!,
        ratings: [
          { outcome: 'definition' as const, zoneId: 'z1', value: left },
          { outcome: 'definition' as const, zoneId: 'z2', value: right },
        ],
      },
    ];
    const half = trial({
      design: 'half',
      allocation: [{ left: 'a', right: 'b' }, { left: 'b', right: 'a' }, null, null],
      status: 'running',
      washDayRecords: [
        washDay(0, 'a', { rightArmId: 'b', checkIns: rated(4, 7) }),
        washDay(1, 'b', { rightArmId: 'a', checkIns: rated(8, 5) }),
      ],
    });
    const record = recordOf(half);
    expect(
      record.washDays.map(({ arm, half, checkIns }) => [arm, half, checkIns[0]!.ratings[0]!.value]),
    ).toEqual([
      [0, 'left', 4],
      [1, 'right', 7],
      [1, 'left', 8],
      [0, 'right', 5],
    ]);
    expect(record.allocation).toEqual([0, 1]);
  });

  it('leaves out what was rated in a zone after its spot refresh', () => {
    const look = (day: number, at: string) => ({
      ...washDay(0, 'a').checkIns[0]!,
      day,
      at,
      ratings: ['z1', 'z2'].map((zoneId) => ({ outcome: 'definition' as const, zoneId, value: 5 })),
    });
    const refresh = { kind: 'spot-refresh', on: '2026-01-02', zoneIds: ['z1'] };
    const checkIns = [
      look(1, '2026-01-01T09:00:00Z'),
      look(2, '2026-01-02T09:00:00Z'),
      look(3, '2026-01-03T09:00:00Z'),
    ];
    const day = washDay(0, 'a', { checkIns, events: [refresh] as unknown as WashDay['events'] });
    const [record] = recordOf(trial({ washDayRecords: [day] })).washDays;
    expect(record!.checkIns.map(({ ratings }) => ratings.map(({ zoneId }) => zoneId))).toEqual([
      ['z1', 'z2'],
      ['z1', 'z2'],
      ['z2'],
    ]);
  });

  it('reads at a promised look what stood there then, and leaves wash days out when asked', () => {
    const ended = (position: number, on: string) =>
      washDay(position, position % 2 ? 'b' : 'a', {
        wearEnd: { kind: 'washed-looks', at: `${on}T08:00:00Z` },
      });
    const looked = trial({
      status: 'running',
      looks: 2,
      lookedAt: '2026-01-10T09:00:00Z',
      washDayRecords: [ended(0, '2026-01-05'), ended(1, '2026-01-10'), ended(2, '2026-01-15')],
    });
    const record = recordOf(looked);
    expect(record.ended).toBe('look');
    expect(record.washDays).toHaveLength(2);
    const without = toTrialRecord(trial(), shelf, wearer, new Set(['d1']));
    expect(without.washDays.map(({ position }) => position)).toEqual([0, 2, 3]);
  });

  it('knows the day of wear on which a wash for looks ended it', () => {
    const day = washDay(1, 'b', {
      revealAt: '2026-01-01T10:00:00Z',
      wearEnd: { kind: 'washed-looks', at: '2026-01-04T08:00:00Z' },
    });
    const { wear } = compareTrial(recordOf(trial({ washDayRecords: [day], wearDays: 5 })));
    expect(wear[0]!.seen).toEqual({ from: 1, to: 4, toldBy: 'wash', recovered: false });
  });

  it('knows what was changed after the first check-in, and nothing of what was changed before', () => {
    const amended = (setting: Amendable, at: string, slot: Amendment['slot'] = null): Amendment => ({
      id: setting,
      at,
      slot,
      washDaysDone: 1,
      changes: [{ setting, was: null, becomes: null }],
      reason: '',
    });
    const before = '2025-12-31T00:00:00Z';
    const after = '2026-01-02T00:00:00Z';
    const amendments = [
      amended('primary', before),
      amended('onDay', after),
      amended('onDay', after),
      amended('line', after),
      amended('question', after),
      amended('matters', after, 'hold'),
    ];
    expect(recordOf(trial({ amendments })).changed).toEqual(['onDay', 'line']);
    expect(compareTrial(recordOf(trial({ amendments }))).primary.state).toBe('describes');
  });

  it('knows wash days that were given up, before the hair was finished or after', () => {
    const given = (position: number, reason: string, to: Partial<WashDay> = {}) =>
      washDay(position, 'a', { status: 'abandoned', abandonReason: reason, checkIns: [], ...to });
    const { abandoned } = recordOf(
      trial({
        washDayRecords: [
          given(0, 'no water'),
          given(1, 'ugly', { revealAt: '2026-01-01T10:00:00Z' }),
          given(2, 'looked at', { checkIns: washDay(2, 'a').checkIns }),
        ],
      }),
    );
    expect(abandoned).toEqual([
      { position: 0, reason: 'no water', revealed: false },
      { position: 1, reason: 'ugly', revealed: true },
      { position: 2, reason: 'looked at', revealed: true },
    ]);
  });

  it('knows whether results were open before the end, promised looks aside', () => {
    const opened = (outcomesShownAt: string | null, to: Partial<TrialDetail> = {}) =>
      recordOf(trial({ outcomesShownAt, ...to })).openedEarly;
    expect(opened(null)).toBe(false);
    expect(opened('2026-02-02T00:00:00Z')).toBe(false);
    expect(opened('2026-01-20T00:00:00Z')).toBe(true);
    expect(opened('2026-01-20T00:00:00Z', { endedAt: null })).toBe(true);
    expect(opened('2026-01-20T00:00:00Z', { lookedAt: '2026-01-20T00:00:00Z', looks: 2 })).toBe(false);
  });

  it('is a second analysis, which names no arm, once wash days are left out', () => {
    const record = toTrialRecord(trial(), shelf, wearer, new Set(['d1']));
    expect(record.leftOut).toEqual([1]);
    expect(compareTrial(record).primary).toMatchObject({ state: 'describes', why: 'left out', test: null });
  });
});

describe('a trial judged by a reading in words', () => {
  const ORDER = ['a', 'b', 'b', 'a', 'b', 'a', 'a', 'b'] as const;
  const told = (quality: string, words: readonly number[], to: Partial<TrialDetail> = {}) =>
    trial({
      primary: `${quality}:2` as TrialDetail['primary'],
      line: 7.5,
      matters: 2.5,
      washDays: 8,
      allocation: ORDER.map(lot),
      washDayRecords: ORDER.map((arm, i) => {
        const day = washDay(i, arm);
        const felt = [{ quality, zoneId: 'z1', value: words[i]! }];
        return { ...day, checkIns: day.checkIns.map((look) => ({ ...look, felt })) } as WashDay;
      }),
      ...to,
    });
  const says = (of: TrialDetail) => {
    const record = recordOf(of);
    return readPrimary(record, compareTrial(record));
  };
  const byArm = (a: readonly number[], b: readonly number[]) => {
    const [left, right] = [[...a], [...b]];
    return ORDER.map((arm) => (arm === 'a' ? left : right).shift()!);
  };

  it('names the option that came nearer to the wanted word, too much being as far as too little', () => {
    // Medium clumps against stringy and over-clumped ones: 10 against 5 points.
    const { headline, because } = says(told('clumps', byArm([2, 2, 2, 2], [0, 4, 0, 4])));
    expect(headline).toBe('Gel A came nearer to the wanted clump size (medium) than Gel B.');
    expect(because[0]).toContain(
      'Gel A scored 5.0 higher than Gel B in nearness to the wanted clump size (medium) on day 1',
    );
    expect(because.join(' ')).not.toContain('The scale ran out');
    expect(says(told('clumps', byArm([0, 4, 0, 4], [2, 2, 2, 2]))).headline).toBe(
      'Gel B came nearer to the wanted clump size (medium) than Gel A.',
    );
  });

  it('names nobody where both are as far from it, on whichever side', () => {
    const { headline } = says(told('clumps', byArm([1, 1, 3, 3], [3, 3, 1, 1])));
    expect(headline).toBe('Cannot tell yet which comes nearer to the wanted clump size (medium).');
  });

  it('is left out on a spoiled day like any rating, and reads good days by the line', () => {
    const of = told('clumps', byArm([2, 2, 2, 2], [0, 4, 0, 4]));
    const [first, ...rest] = of.washDayRecords;
    const spoiled = {
      ...first!,
      events: [
        {
          id: 'e',
          washDayId: 'd0',
          kind: 'rain',
          on: '2026-01-01',
          zoneIds: [],
          spoiledAt: '2025-12-31T23:00:00Z',
          announced: false,
          came: null,
        },
      ],
    } as unknown as WashDay;
    const { main, wear } = compareTrial(recordOf({ ...of, washDayRecords: [spoiled, ...rest] }));
    expect(main.looks).toEqual([3, 4]);
    expect(wear.filter(({ seen }) => seen && seen.from > 0).map(({ arm }) => arm)).toEqual([0, 0, 0]);
  });

  it('told at a step counts on the judged day, for the arm that had it; what was not told is missing', () => {
    const slip = (i: number, arm: 'a' | 'b', value: number | null) => {
      const day = washDay(i, arm, { checkIns: [] });
      return {
        ...day,
        steps: day.steps.map((one) =>
          one.planStepId === 's2' && value !== null ? { ...one, inHand: { slip: value } } : one,
        ),
      } as WashDay;
    };
    const values = byArm([2, 2, 2, 1], [4, 4, 4, 4]);
    const of = told('slip', values, {
      washDayRecords: ORDER.map((arm, i) => slip(i, arm, i === 7 ? null : values[i]!)),
    });
    const { main, wear } = compareTrial(recordOf(of));
    expect(main.looks).toEqual([4, 3]);
    expect(main.means.map((mean) => Number(mean!.toFixed(2)))).toEqual([9.38, 5]);
    // A step is not worn: nothing is said of how long it lasts.
    expect(wear.every(({ seen }) => seen === null)).toBe(true);
  });
});
