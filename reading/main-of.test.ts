import type { Photograph } from '@sabor/contract/photograph';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import type { MainResult } from '@sabor/core/compare/main-result';
import { describe, expect, it } from 'vitest';
import { withMeasured } from './main-of.ts';

const wearer = {
  timeZone: 'UTC',
  curls: [
    { id: 'cl', zoneId: 'zl' },
    { id: 'cr', zoneId: 'zr' },
  ],
  zones: [
    { id: 'zl', place: 'crown', side: 'left' },
    { id: 'zr', place: 'crown', side: 'right' },
  ],
} as unknown as Wearer;
let made = 0;
const picture = (angle: Photograph['angle'], value: number, to: { pxPerMm?: number; day?: number } = {}) =>
  ({
    id: `p${++made}`,
    stage: 'wear',
    day: to.day ?? 1,
    angle,
    zoneId: null,
    takenAt: '2026-03-01T11:00:00Z',
    size: 9,
    received: 9,
    measured: {
      taken: {
        pxPerMm: to.pxPerMm ?? 5,
        edgeMm: 0.3,
        tilt: 1,
        exposure: 0,
        kelvin: 6500,
        clipped: false,
        way: 'silhouette',
      },
      widths: [],
      readings: [{ measure: 'halo', half: null, value, why: null }],
    },
  }) as unknown as Photograph;
/** A picture of both halves, split at the parting. */
const split = (angle: Photograph['angle'], left: number, right: number) => {
  const one = picture(angle, (left + right) / 2);
  const halves = [left, right].map((value, i) => ({
    ...{ measure: 'halo' as const, half: i ? ('right' as const) : ('left' as const) },
    ...{ value, why: null },
  }));
  return { ...one, measured: { ...one.measured!, readings: [...one.measured!.readings, ...halves] } };
};
const day = (position: number, photographs: Photograph[], to: Partial<WashDay> = {}) =>
  ({
    id: `d${position}`,
    position,
    armId: position % 2 ? 'b' : 'a',
    rightArmId: position % 2 ? 'a' : 'b',
    status: 'finished',
    revealAt: '2026-03-01T10:00:00Z',
    wearEnd: null,
    checkIns: [],
    events: [],
    photographs,
    ...to,
  }) as unknown as WashDay;
const trial = (
  primary: MainResult,
  washDayRecords: WashDay[],
  design: TrialDetail['design'] = 'complete',
): TrialDetail =>
  ({
    design,
    primary,
    onDay: 1,
    arms: [
      { id: 'a', name: 'A' },
      { id: 'b', name: 'B' },
    ],
    weights: [
      { zoneId: 'zl', weight: 1 },
      { zoneId: 'zr', weight: 1 },
    ],
    washDayRecords,
  }) as unknown as TrialDetail;
/** What stands among the ratings of a wash day's check-ins: by day worn and zone. */
const told = (of: TrialDetail, position = 0) =>
  withMeasured(of, wearer).washDayRecords[position]!.checkIns.flatMap(({ day: n, ratings }) =>
    ratings.map(({ outcome, zoneId, value }) => [n, outcome, zoneId, Number(value.toFixed(3))]),
  );

describe('a main result that is measured', () => {
  it('is read from behind on whole heads, shots of one look meant, each day worn by itself', () => {
    const of = trial('halo:less', [
      day(0, [picture('back', 1), picture('back', 1.2), picture('left', 9), picture('back', 2, { day: 3 })]),
    ]);
    expect(told(of)).toEqual([
      [1, 'halo:less', null, 1.1],
      [3, 'halo:less', null, 2],
    ]);
  });

  it('joins the ratings of its day’s own check-in', () => {
    const look = {
      id: 'l',
      stage: 'wear',
      day: 1,
      part: 'first',
      at: '2026-03-01T10:30:00Z',
      ratings: [{ outcome: 'frizz', zoneId: 'zl', value: 4 }],
      curls: [],
      felt: [],
    };
    const of = trial('halo:less', [day(0, [picture('back', 1)], { checkIns: [look] as never })]);
    expect(withMeasured(of, wearer).washDayRecords[0]!.checkIns).toHaveLength(1);
    expect(told(of)).toEqual([
      [1, 'frizz', 'zl', 4],
      [1, 'halo:less', null, 1],
    ]);
  });

  it('is read from each half’s own side, and stands on that half’s zones', () => {
    const of = trial(
      'halo:less',
      [day(0, [picture('left', 1), picture('right', 2), picture('back', 9)])],
      'half',
    );
    expect(told(of)).toEqual([
      [1, 'halo:less', 'zl', 1],
      [1, 'halo:less', 'zr', 2],
    ]);
  });

  it('is read from behind where more halves are seen there, split at the parting, and never from both', () => {
    const behind = trial(
      'halo:less',
      [
        day(0, [split('back', 1, 2), picture('left', 8)]),
        day(1, [split('back', 3, 4)]),
        day(2, [picture('left', 8), picture('right', 9)]),
      ],
      'half',
    );
    const both = (position: number, left: number, right: number) => [
      [
        [1, 'halo:less', 'zl', left],
        [1, 'halo:less', 'zr', right],
      ],
      told(behind, position),
    ];
    for (const [wanted, got] of [both(0, 1, 2), both(1, 3, 4)]) expect(got).toEqual(wanted);
    expect(told(behind, 2)).toEqual([]);
    // As many are seen from their own side: that is taken.
    const sides = trial(
      'halo:less',
      [day(0, [split('back', 1, 2), picture('left', 8), picture('right', 9)])],
      'half',
    );
    expect(told(sides).map(([, , , value]) => value)).toEqual([8, 9]);
  });

  it('leaves out pictures that are not like most others of the trial, whatever option they show', () => {
    const days = [
      day(0, [picture('back', 1)]),
      day(1, [picture('back', 2)]),
      day(2, [picture('back', 50, { pxPerMm: 6 })]),
    ];
    expect(told(trial('halo:less', days), 2)).toEqual([]);
    expect(told(trial('halo:less', days), 1)).toEqual([[1, 'halo:less', null, 2]]);
  });

  it('from near is read at the places every wash day shows, else at the one that most do', () => {
    const near = (zoneId: string, value: number) =>
      ({
        ...picture('close-up', 0),
        zoneId,
        measured: {
          ...picture('close-up', 0).measured!,
          readings: [{ measure: 'clump-contrast', half: null, value, why: null }],
        },
      }) as unknown as Photograph;
    const of = (...days: Photograph[][]) =>
      trial(
        'clump-contrast:more',
        days.map((photographs, i) => day(i, photographs)),
      );
    const both = of([near('zl', 1), near('zr', 2)], [near('zl', 3), near('zr', 4)]);
    expect([told(both, 0), told(both, 1)].map(([one]) => one![3])).toEqual([1.5, 3.5]);
    // The second day shows the left alone: by that both are read.
    const left = of([near('zl', 1), near('zr', 2)], [near('zl', 3)]);
    expect([told(left, 0), told(left, 1)].map(([one]) => one![3])).toEqual([1, 3]);
    // No place is on all three: the left, which is on two, and the third day has no number.
    const most = of([near('zl', 1)], [near('zl', 3)], [near('zr', 9)]);
    expect([told(most, 0), told(most, 1), told(most, 2)].map(([one]) => one?.[3])).toEqual([1, 3, undefined]);
  });

  it('of curls is their mean shrinkage in percent, in half-heads that of each half', () => {
    const look = {
      id: 'l',
      stage: 'wear',
      day: 1,
      part: 'first',
      at: '2026-03-01T10:30:00Z',
      ratings: [],
      felt: [],
      curls: [
        { curlId: 'cl', restingMm: 150, stretchedMm: 200 },
        { curlId: 'cr', restingMm: 100, stretchedMm: 200 },
      ],
    };
    const days = [day(0, [], { checkIns: [look] as never })];
    expect(told(trial('shrinkage:less', days))).toEqual([[1, 'shrinkage:less', null, 37.5]]);
    expect(told(trial('shrinkage:less', days, 'half'))).toEqual([
      [1, 'shrinkage:less', 'zl', 25],
      [1, 'shrinkage:less', 'zr', 50],
    ]);
  });

  it('by the clock is the day’s minutes, on the day it is judged; none where a clock is missing or it was told later', () => {
    const at = (minute: number) => new Date(Date.UTC(2026, 2, 1, 9, minute)).toISOString();
    const step = (slot: string, startedAt: string | null, doneAt: string | null, to = {}) => ({
      slot,
      status: 'done',
      startedAt,
      doneAt,
      pauses: [],
      tool: null,
      minutes: null,
      ...to,
    });
    const steps = [
      step('cleanse', null, at(10)),
      step('hold', null, at(16)),
      step('dry', at(16), at(61), { pauses: [{ from: at(20), to: at(25) }] }),
    ];
    const of = (to: object) => day(0, [], { startedAt: at(0), enteredLater: false, steps, ...to } as never);
    expect(told(trial('minutes-to-dry:less', [of({})]))).toEqual([[1, 'minutes-to-dry:less', null, 40]]);
    // Ten of cleansing, six of the hold; air drying is nobody's work.
    expect(told(trial('hands-on:less', [of({})]))).toEqual([[1, 'hands-on:less', null, 16]]);
    expect(told(trial('hands-on:less', [of({ enteredLater: true })]))).toEqual([]);
    const unknown = steps.with(1, step('hold', null, null));
    expect(told(trial('hands-on:less', [of({ steps: unknown })]))).toEqual([]);
    expect(told(trial('minutes-to-dry:less', [of({ steps: unknown })]))).toEqual([
      [1, 'minutes-to-dry:less', null, 40],
    ]);
    expect(told(trial('minutes-to-dry:less', [of({ steps: steps.slice(0, 2) })]))).toEqual([]);
  });

  it('changes nothing where the main result is rated', () => {
    const of = trial('frizz', [day(0, [picture('back', 1)])]);
    expect(withMeasured(of, wearer)).toBe(of);
  });
});
