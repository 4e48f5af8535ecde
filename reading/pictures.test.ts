import type { WearEvent } from '@sabor/contract/check-in';
import type { Photograph } from '@sabor/contract/photograph';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { picturesByArm } from '@sabor/core/photo/by-arm';
import { describe, expect, it } from 'vitest';
import { PLAIN_EVENT } from './nothing-told.ts';
import { lookedAt, shotsOf } from './pictures.ts';

const DAY_ONE = { stage: 'wear', day: 1 } as const;
let made = 0;
const picture = (halo: number | null, to: Partial<Photograph> = {}): Photograph => ({
  id: `p${++made}`,
  ...DAY_ONE,
  angle: 'back',
  takenAt: '2026-03-01T11:00:00Z',
  film: false,
  zoneId: null,
  width: 1500,
  height: 1750,
  size: 100,
  received: 100,
  orientation: 1,
  measured:
    halo === null
      ? null
      : {
          measuredAt: '2026-03-01T12:00:00Z',
          ruleMm: 100,
          leftOut: [],
          taken: {
            card: [],
            pxPerMm: 5,
            edgeMm: 0.3,
            tilt: 1,
            exposure: 0,
            kelvin: 6500,
            clipped: false,
            way: 'silhouette',
          },
          thinnest: null,
          widths: [],
          notes: [],
          curlWidth: null,
          curls: [],
          leans: [],
          parting: null,
          readings: [{ measure: 'halo', half: null, value: halo, why: null }],
        },
  ...to,
});
const day = (position: number, arm: string, photographs: Photograph[], to: Partial<WashDay> = {}) =>
  ({
    id: `d${position}`,
    position,
    armId: arm,
    rightArmId: null,
    status: 'finished',
    revealAt: '2026-03-01T10:00:00Z',
    wearEnd: null,
    checkIns: [],
    events: [],
    photographs,
    ...to,
  }) as unknown as WashDay;
const trial = (washDayRecords: WashDay[], design: TrialDetail['design'] = 'complete') =>
  ({
    design,
    onDay: 1,
    arms: [
      { id: 'a', name: 'A' },
      { id: 'b', name: 'B' },
    ],
    washDayRecords,
  }) as unknown as TrialDetail;
const wearer = {
  timeZone: 'UTC',
  curls: [],
  zones: [
    { id: 'zl', place: 'crown', side: 'left' },
    { id: 'zr', place: 'crown', side: 'right' },
    { id: 'zb', place: 'nape', side: 'both' },
  ],
} as unknown as Wearer;
const spoiled = (zoneIds: string[]): WearEvent => ({
  ...PLAIN_EVENT,
  id: 'e',
  washDayId: 'd0',
  kind: 'rain',
  on: '2026-03-01',
  zoneIds,
  spoiledAt: '2026-03-01T10:30:00Z',
});
const means = (of: TrialDetail, halves = false) =>
  picturesByArm(shotsOf(of, wearer, DAY_ONE), 2, halves).map(({ arms }) => arms.map(({ mean }) => mean))[0];

describe('photographs of a trial, option by option', () => {
  it('belong to the option of their wash day, of one look and whole', () => {
    const all = trial([
      day(0, 'a', [picture(1), picture(7, { day: 3 }), picture(9, { received: 40 })]),
      day(1, 'b', [picture(2), picture(null)]),
    ]);
    expect(means(all)).toEqual([1, 2]);
    expect(shotsOf(all, wearer, DAY_ONE)).toHaveLength(3);
    expect(lookedAt(all)).toEqual([DAY_ONE, { stage: 'wear', day: 3 }]);
  });

  it('tell nothing of a wash day that was given up, nor once something spoiled it', () => {
    const all = [day(0, 'a', [picture(1)]), day(1, 'b', [picture(2)])];
    expect(means(trial([...all, day(2, 'b', [picture(50)], { status: 'abandoned' })]))).toEqual([1, 2]);
    const rained = day(2, 'b', [picture(50)], { events: [spoiled([])] });
    expect(means(trial([...all, rained]))).toEqual([1, 2]);
    // Said after the fact it is no excuse: it had to be marked before anything was rated.
    const looked = { stage: 'wear', day: 1, part: 'first', at: '2026-03-01T10:10:00Z', curls: [], felt: [] };
    const late = day(2, 'b', [picture(50)], {
      events: [spoiled([])],
      checkIns: [{ ...looked, ratings: [{ outcome: 'frizz', zoneId: 'zl', value: 3 }] }] as never,
    });
    expect(means(trial([...all, late]))).toEqual([1, 26]);
  });

  it('show in half-heads the half they are taken from, and lose that half alone where it was spoiled', () => {
    const sides = (left: number, right: number) => [
      picture(left, { angle: 'left' }),
      picture(right, { angle: 'right' }),
      picture(99),
    ];
    const halves = (events: WearEvent[]) =>
      trial(
        [
          day(0, 'a', sides(1, 2), { rightArmId: 'b', events }),
          day(1, 'b', sides(4, 3), { rightArmId: 'a' }),
        ],
        'half',
      );
    // A lay on the left, then on the right.
    expect(means(halves([]), true)).toEqual([2, 3]);
    expect(means(halves([spoiled(['zl'])]), true)).toEqual([3, 3]);
  });

  it('of both halves show each half’s option where they were split at the parting', () => {
    const back = (left: number, right: number): Photograph => {
      const one = picture(50);
      const half = (side: 'left' | 'right', value: number) => ({
        ...{ measure: 'halo' as const, half: side, value, why: null },
      });
      const readings = [...one.measured!.readings, half('left', left), half('right', right)];
      return { ...one, measured: { ...one.measured!, readings } };
    };
    const of = trial(
      [day(0, 'a', [back(1, 2)], { rightArmId: 'b' }), day(1, 'b', [back(4, 3)], { rightArmId: 'a' })],
      'half',
    );
    expect(means(of, true)).toEqual([2, 3]);
    const rows = picturesByArm(shotsOf(of, wearer, DAY_ONE), 2, true);
    expect(rows.map(({ view }) => view)).toEqual(['back']);
    // On a whole head the same picture is one of the whole head.
    expect(means(trial([day(0, 'a', [back(1, 2)]), day(1, 'b', [back(4, 3)])]))).toEqual([50, 50]);
    // What spoiled one half spoils a picture of both.
    const wet = [day(0, 'a', [back(1, 2)], { rightArmId: 'b', events: [spoiled(['zl'])] })];
    expect(shotsOf(trial(wet, 'half'), wearer, DAY_ONE)).toEqual([]);
  });

  it('from near show the option of their zone’s half, both halves’ zones of one name as one', () => {
    const near = (contrast: number, zoneId: string | null): Photograph => {
      const one = picture(1, { angle: 'close-up', zoneId });
      const readings = [{ measure: 'clump-contrast' as const, half: null, value: contrast, why: null }];
      return { ...one, measured: { ...one.measured!, readings } };
    };
    const all = trial(
      [
        day(0, 'a', [near(1.2, 'zl'), near(1.8, 'zr'), near(9, 'zb'), near(9, null)], { rightArmId: 'b' }),
        day(1, 'b', [near(2, 'zl'), near(1, 'zr')], { rightArmId: 'a' }),
      ],
      'half',
    );
    const rows = picturesByArm(shotsOf(all, wearer, DAY_ONE), 2, true);
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({ measure: 'clump-contrast', view: 'close-up', zone: { label: 'Crown' } });
    expect(rows[0]!.arms.map(({ mean }) => mean)).toEqual([1.1, 1.9]);
    // On whole heads each zone stands by itself, and so does what is of none.
    const whole = trial([day(0, 'a', [near(1, 'zl'), near(2, 'zr'), near(3, null)])]);
    const zones = picturesByArm(shotsOf(whole, wearer, DAY_ONE), 2, false).map(({ zone }) => zone?.label);
    expect(zones).toEqual(['Crown, left', 'Crown, right', undefined]);
  });
});
