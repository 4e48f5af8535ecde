import { describe, expect, it } from 'vitest';
import { seededRandom, standardNormal } from '../random.ts';
import { areasOf, maskOfAreas } from './areas.ts';
import { apartInPictures, picturesByArm } from './by-arm.ts';
import { carried } from './carry.ts';
import type { Taken } from './guard.ts';
import { emptyMask } from './plane.ts';
import type { Shot } from './shots.ts';
import { applied, similarity, undone } from './similarity.ts';

const TAKEN: Taken = {
  pxPerMm: 5,
  edgeMm: 0.3,
  tilt: 2,
  exposure: 0,
  kelvin: 6500,
  clipped: false,
  way: 'silhouette',
};
let made = 0;
const shot = (to: Partial<Shot> & { halo?: number | null } = {}): Shot => {
  const { halo = 1, ...rest } = to;
  return {
    id: `shot ${++made}`,
    position: 0,
    arm: 0,
    angle: 'back',
    zone: null,
    half: null,
    at: 0,
    taken: TAKEN,
    widths: [],
    readings: [{ measure: 'halo', value: halo, why: halo === null ? 'too noisy' : null }],
    ...rest,
  };
};
const minutes = 60_000;

describe('what pictures say of the options', () => {
  it('is a mean of wash days, each the mean of its shots, from each view apart', () => {
    const [row, ...others] = picturesByArm(
      [
        shot({ halo: 1 }),
        shot({ halo: 1.2, at: 3 * minutes }),
        shot({ position: 1, halo: 2.1 }),
        shot({ position: 2, arm: 1, halo: 3 }),
      ],
      2,
      false,
    );
    expect(others).toEqual([]);
    expect(row).toMatchObject({ measure: 'halo', view: 'back', unlike: [], refused: [] });
    // (1.1 + 2.1) / 2, and not the mean of three pictures.
    expect(row!.arms[0]!.mean).toBeCloseTo(1.6, 12);
    expect(row!.arms[1]!.days).toEqual([{ position: 2, value: 3 }]);
    // Two pictures .2 apart: a deviation of .2/√2, one degree of freedom.
    expect(row!.error).toMatchObject({ freedom: 1 });
    expect(row!.error!.sd).toBeCloseTo(0.2 / Math.SQRT2, 12);
  });

  it('takes pictures half an hour apart for two looks, not for one shot again', () => {
    const [row] = picturesByArm([shot(), shot({ halo: 2, at: 30 * minutes })], 2, false);
    expect(row!.error).toBeNull();
    expect(apartInPictures({ ...row!, arms: [row!.arms[0]!, row!.arms[0]!] }, 0, 1)).toEqual({
      difference: 0,
      most: null,
      within: null,
      worth: 0.4,
    });
  });

  it.each([0, 1, 2])('leaves out, and names, the odd picture of a view, taken first or last: %i', (odd) => {
    const days = [0, 1, 2].map((position) =>
      shot({
        position,
        at: position,
        arm: position === odd ? 1 : 0,
        halo: position === odd ? 9 : 2,
        taken: { ...TAKEN, pxPerMm: position === odd ? 5.5 : 5 },
      }),
    );
    const [row] = picturesByArm(days, 2, false);
    expect(row!.arms.map(({ mean }) => mean)).toEqual([2, null]);
    const why = [{ kind: 'scale', share: expect.closeTo(0.1, 6) }];
    expect(row!.unlike).toEqual([{ position: odd, why, whole: true }]);
    // With a picture that is like the others beside it, the wash day stays in.
    const [kept] = picturesByArm([...days, shot({ position: odd, at: 9, arm: 1, halo: 3 })], 2, false);
    expect(kept!.arms.map(({ mean }) => mean)).toEqual([2, 3]);
    expect(kept!.unlike).toEqual([{ position: odd, why, whole: false }]);
  });

  it('says where a measure was refused, and nothing where none was read', () => {
    const [row] = picturesByArm([shot(), shot({ position: 1, halo: null })], 2, false);
    expect(row!.refused).toEqual([{ position: 1, why: 'too noisy' }]);
    expect(picturesByArm([shot({ halo: null }), shot({ taken: null, readings: [] })], 2, false)).toEqual([]);
    expect(picturesByArm([], 2, false)).toEqual([]);
  });

  it('reads each half from its own side, and no half from behind', () => {
    const rows = picturesByArm(
      [
        shot({ angle: 'left', halo: 1 }),
        shot({ angle: 'right', arm: 1, halo: 2 }),
        shot({ angle: 'back', halo: 50 }),
      ],
      2,
      true,
    );
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({ view: 'own side', arms: [{ mean: 1 }, { mean: 2 }] });
  });

  it('puts a front and a side of one look together into a volume', () => {
    const widths = Array.from({ length: 44 }, () => 200);
    const [row] = picturesByArm(
      [
        shot({ widths, readings: [] }),
        shot({ angle: 'left', widths: widths.map((mm) => mm / 2), readings: [] }),
        shot({ position: 1, widths, readings: [] }),
      ],
      2,
      false,
    );
    // An ellipse of 200 by 100 mm over 220 mm, in cm³.
    expect(row).toMatchObject({ measure: 'volume', view: 'front and side' });
    expect(row!.arms[0]!.mean).toBeCloseTo(((Math.PI / 4) * 200 * 100 * 220) / 1000, 6);
    expect(row!.arms[0]!.days).toHaveLength(1);
    expect(row!.error).toBeNull();
  });

  it('knows a volume’s own error once both views were shot again, and does not mix front and back', () => {
    const widths = (mm: number) => Array.from({ length: 44 }, () => mm);
    const one = (angle: 'back' | 'front' | 'left', mm: number, to: Partial<Shot> = {}) =>
      shot({ angle, widths: widths(mm), readings: [], ...to });
    const [row] = picturesByArm(
      [
        one('back', 200),
        one('back', 202, { at: minutes }),
        one('left', 100),
        one('left', 100, { at: 2 * minutes }),
        one('front', 300),
        one('back', 200, { position: 1, arm: 1 }),
        one('left', 100, { position: 1, arm: 1 }),
      ],
      2,
      false,
    );
    expect(row!.measure).toBe('volume');
    expect(row!.error!.sd).toBeCloseTo(Math.log(202 / 200) / Math.SQRT2, 10);
    expect(row!.arms[0]!.mean! / row!.arms[1]!.mean!).toBeCloseTo(201 / 200, 10);
  });

  it('tells how far wash days of one option lie apart by themselves', () => {
    const days = [1, 1.9, 1.4, 1.5].map((halo, position) => shot({ position, arm: position % 2, halo }));
    const [row] = picturesByArm(days, 2, false);
    const { difference, within, worth } = apartInPictures(row!, 0, 1)!;
    expect(difference).toBeCloseTo(0.5, 12);
    // A fifth of a halo, and .4 mm at least.
    expect(worth).toBe(0.4);
    expect(
      apartInPictures({ ...row!, arms: row!.arms.map((arm) => ({ ...arm, mean: arm.mean! + 9 })) }, 0, 1)!
        .worth,
    ).toBeCloseTo(2.09, 2);
    // 1 and 1.4; 1.9 and 1.5.
    expect(within).toBeCloseTo(0.4, 12);
  });

  it('calls two means of unchanged hair apart in one of twenty at most', () => {
    const random = seededRandom(42);
    let apart = 0;
    const runs = 2000;
    for (let run = 0; run < runs; run++) {
      const shots = Array.from({ length: 8 }, (_, position) =>
        [0, 1, 2]
          .slice(0, position < 2 ? 3 : 1)
          .map((n) =>
            shot({ position, arm: position % 2, at: n * minutes, halo: 2 + 0.1 * standardNormal(random) }),
          ),
      ).flat();
      const [row] = picturesByArm(shots, 2, false);
      const { difference, most } = apartInPictures(row!, 0, 1)!;
      if (Math.abs(difference) > most!) apart++;
    }
    // 95 times in 100, and three standard errors of 2,000 runs; days with three shots make it rarer.
    expect(apart / runs).toBeLessThan(0.05 + 3 * Math.sqrt((0.05 * 0.95) / runs));
    expect(apart / runs).toBeGreaterThan(0.005);
  });
});

describe('areas of what is no hair', () => {
  it('go along with the card: moved, turned and sized as it is', () => {
    const card = [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 4, y: 3 },
      { x: 0, y: 3 },
    ];
    // Twice as large, a quarter turn, moved by (10, 1): (x, y) → (10 − 2y, 1 + 2x).
    const brought = (all: typeof card) => all.map(({ x, y }) => ({ x: 10 - 2 * y, y: 1 + 2 * x }));
    const area = [
      { x: -5, y: 2 },
      { x: 7, y: 2 },
      { x: 1, y: 9 },
    ];
    const [found] = carried([area], card, brought(card))!;
    for (const [i, { x, y }] of brought(area).entries()) {
      expect(found![i]!.x).toBeCloseTo(x, 10);
      expect(found![i]!.y).toBeCloseTo(y, 10);
    }
    const there = similarity(card, brought(card))!;
    const back = undone(there, applied(there, { x: 3, y: -8 }));
    expect(back.x).toBeCloseTo(3, 10);
    expect(back.y).toBeCloseTo(-8, 10);
    expect(carried([area], card, [])).toBeNull();
    expect(
      carried(
        [area],
        card.map(() => ({ x: 1, y: 1 })),
        card,
      ),
    ).toBeNull();
  });

  it('come back out of the mask they make', () => {
    const mask = emptyMask(120, 80);
    for (let y = 50; y < 80; y++) mask.data.fill(1, y * 120 + 20, y * 120 + 90);
    const again = maskOfAreas(areasOf(mask, 400), 120, 80);
    expect(again.data.reduce((sum, one, i) => sum + Math.abs(one - mask.data[i]!), 0)).toBeLessThan(40);
    // The same area on twice the pixels is four times as many.
    const count = (of: Uint8Array) => of.reduce((a, b) => a + b, 0);
    const large = maskOfAreas(areasOf(mask, 400), 240, 160);
    expect(count(large.data) / count(mask.data)).toBeCloseTo(4, 1);
  });
});
