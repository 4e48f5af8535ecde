import { describe, expect, it } from 'vitest';
import { photographed, USUAL_CAMERA } from '../../made-up/camera.ts';
import { drawn } from '../../made-up/drawn.ts';
import { type Frame, type Scene, USUAL_FRAME, USUAL_SCENE } from '../../made-up/scene.ts';
import { linearOf } from '../light.ts';
import type { Picture } from '../plane.ts';
import { findCard, unevenness } from './find.ts';
import { homographyBetween, inverted, projected } from './homography.ts';
import { CARDS } from './layout.ts';
import { markerBits } from './marker-bits.ts';

/** The stand card alone before the wall, 4 px/mm, a meter and a third away. */
const FRAME: Frame = {
  ...USUAL_FRAME,
  pxPerMm: 4,
  width: 880,
  height: 720,
  middle: { x: 0.5, y: 0.5 },
};
const CARD: Scene = { ...USUAL_SCENE, head: null, card: { kind: 'stand', x: -85, y: -65 }, shadow: 0 };
const shot = (frame: Partial<Frame> = {}, scene: Partial<Scene> = {}, camera = USUAL_CAMERA): Picture =>
  photographed(drawn({ ...CARD, ...scene }, { ...FRAME, ...frame }, { supersampling: 2 }), camera);

const found = (picture: Picture, kind: 'stand' | 'small' = 'stand', rule?: number) => {
  const { card, trouble } = findCard(picture, kind, rule);
  if (!card) throw new Error(trouble);
  return card;
};
const plain = shot();

describe('the card in a picture', () => {
  it('gives the scale to a thousandth, level and upright', () => {
    const card = found(plain);
    expect(card.markers).toBe(4);
    expect(card.pxPerMm / 4).toBeCloseTo(1, 3);
    expect(card.off).toBeLessThan(0.15);
    expect(card.tilt).toBeLessThan(0.3);
    expect(Math.abs(card.roll)).toBeLessThan(0.1);
    expect(card.clipped).toBe(false);
    // Its middle is the frame's.
    const middle = projected(card.toPicture, { x: 85, y: 65 });
    expect(middle.x).toBeCloseTo(439.5, 0);
    expect(middle.y).toBeCloseTo(359.5, 0);
  });

  it('goes by what its rule really measures', () => {
    expect(found(plain, 'stand', 98).pxPerMm / 4).toBeCloseTo(1 / 0.98, 3);
  });

  const TURNS = [
    [-12, 3],
    [8, 0],
    [0, -20],
  ] as const;
  for (const [n, [tilt, roll]] of TURNS.entries())
    it(`tells a tilt of ${tilt}° and a turn of ${roll}°`, { tags: n ? ['soak'] : [] }, () => {
      const card = found(shot({ tilt, roll }));
      expect(Math.abs(card.tilt - Math.abs(tilt))).toBeLessThan(0.6);
      expect(card.roll).toBeCloseTo(roll, 0);
      expect(card.pxPerMm / 4).toBeCloseTo(1, 2);
    });

  it.each([3, -12])(
    'beside the middle of a picture tells a tilt of %i° no worse',
    { tags: 'soak' },
    (tilt) => {
      const aside = shot(
        { tilt, pxPerMm: 2.5, width: 1400, height: 900, middle: { x: 0.3, y: 0.5 } },
        { card: USUAL_SCENE.card },
      );
      const card = found(aside);
      expect(Math.abs(card.tilt - Math.abs(tilt))).toBeLessThan(0.5);
      // The camera turns about the head's axis: a card that stands lower comes nearer or goes further, and the head does not.
      expect(Math.abs(card.pxPerMm / 2.5 - 1)).toBeLessThan(0.006);
    },
  );

  it('tells sharp from soft: the edge of its turned square rises over more pixels', () => {
    const sharp = found(plain).edge!;
    const soft = found(shot({}, {}, { ...USUAL_CAMERA, blur: 2 })).edge!;
    // A normal curve of 2 px rises from 10 to 90 % over 2.563 times that; pixel and smoothing add their part.
    expect(soft.px).toBeGreaterThan(2.563 * 2);
    expect(soft.px).toBeLessThan(2.563 * 2.4);
    expect(sharp.px).toBeLessThan(3);
    expect(soft.mm).toBeCloseTo(soft.px / 4, 2);
  });

  it('reads its greys in order, and light and colour from them', () => {
    const { greys } = found(plain);
    const darker = found(shot({}, {}, { ...USUAL_CAMERA, exposure: -1, red: 1.1 })).greys;
    greys.forEach(({ light, byte }, i) => {
      if (i) expect(light[1]).toBeGreaterThan(greys[i - 1]!.light[1]);
      expect(Math.log2(light[1] / linearOf(byte))).toBeCloseTo(Math.log2(0.92), 0);
      expect(Math.log2(light[1] / darker[i]!.light[1])).toBeCloseTo(1, 1);
      expect(light[0] / light[1] / (darker[i]!.light[0] / darker[i]!.light[1])).toBeCloseTo(1 / 1.1, 1);
    });
  });

  it('is found where it is small', { tags: 'soak' }, () => {
    const close = { pxPerMm: 10, distance: 600, width: 1000, height: 700 };
    const card = found(shot(close, { card: { kind: 'small', x: -42, y: -27 } }), 'small');
    expect(card.pxPerMm / 10).toBeCloseTo(1, 2);
  });
});

/** A picture with a rectangle painted over. */
function covered(picture: Picture, x0: number, y0: number, x1: number, y1: number, value = 90): Picture {
  const data = picture.data.slice();
  for (let y = y0; y < y1; y++)
    for (let x = x0; x < x1; x++) for (let c = 0; c < 3; c++) data[4 * (y * picture.width + x) + c] = value;
  return { ...picture, data };
}

describe('a card that cannot be used is refused with the reason', () => {
  const trouble = (picture: Picture) => findCard(picture, 'stand').trouble;

  it('none at all', () => {
    expect(trouble(shot({}, { card: null }))).toBe('no card');
    const grey = { width: 64, height: 48, data: new Uint8ClampedArray(4 * 64 * 48).fill(128) };
    expect(trouble(grey)).toBe('no card');
  });

  it('the other card', { tags: 'soak' }, () => {
    const close = { pxPerMm: 10, distance: 600, width: 1000, height: 700 };
    expect(trouble(shot(close, { card: { kind: 'small', x: -42, y: -27 } }))).toBe('no card');
  });

  it('half covered; one corner covered is borne', () => {
    expect(trouble(covered(plain, 90, 80, 440, 640))).toBe('card covered');
    expect(found(covered(plain, 90, 80, 250, 260)).markers).toBe(3);
  });

  it('two of them', () => {
    const twice = {
      width: 2 * plain.width,
      height: plain.height,
      data: new Uint8ClampedArray(2 * plain.data.length),
    };
    for (let y = 0; y < plain.height; y++)
      for (const half of [0, 1])
        twice.data.set(
          plain.data.subarray(4 * y * plain.width, 4 * (y + 1) * plain.width),
          4 * (2 * y + half) * plain.width,
        );
    expect(trouble(twice)).toBe('two cards');
  });

  it('mirrored, as some phones keep their front camera’s pictures', () => {
    const data = new Uint8ClampedArray(plain.data.length);
    for (let y = 0; y < plain.height; y++)
      for (let x = 0; x < plain.width; x++) {
        const from = 4 * (y * plain.width + x);
        data.set(plain.data.subarray(from, from + 4), 4 * (y * plain.width + plain.width - 1 - x));
      }
    expect(trouble({ ...plain, data })).toBe('picture mirrored');
  });

  it('shaded over part of its greys', () => {
    const data = plain.data.slice();
    for (let y = 150; y < 220; y++)
      for (let x = 380; x < 500; x++)
        for (let c = 0; c < 3; c++) data[4 * (y * plain.width + x) + c]! *= 0.75;
    expect(trouble({ ...plain, data })).toBe('greys uneven');
    expect(unevenness(found(plain).greys)).toBeLessThan(0.05);
  });
});

describe('a projection', () => {
  const h = homographyBetween(
    [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
      { x: 0, y: 10 },
    ],
    [
      { x: 100, y: 100 },
      { x: 140, y: 100 },
      { x: 140, y: 120 },
      { x: 100, y: 120 },
    ],
  );

  it('is undone by its inverse', () => {
    const back = projected(inverted(h), projected(h, { x: 3, y: 7 }));
    expect(back.x).toBeCloseTo(3, 9);
    expect(back.y).toBeCloseTo(7, 9);
  });

  it('is refused for too few places, or places on one line', () => {
    const line = [0, 1, 2, 3].map((x) => ({ x, y: x }));
    expect(() => homographyBetween(line.slice(1), line.slice(1))).toThrow(RangeError);
    expect(() => homographyBetween(line, line)).toThrow(RangeError);
  });
});

describe('what is printed', () => {
  it('are markers of one dictionary, none on two cards, with a black border', () => {
    const ids = Object.values(CARDS).flatMap(({ markers }) => markers.map(({ id }) => id as number));
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of ids) {
      const bits = markerBits(id);
      expect(
        bits[0]!
          .concat(
            bits[7]!,
            bits.map((row) => row[0]!),
            bits.map((row) => row[7]!),
          )
          .some(Boolean),
      ).toBe(false);
    }
    expect(() => markerBits(9999)).toThrow(RangeError);
  });

  it('lies on its card, and nothing over another thing', () => {
    for (const { width, height, markers, marker, greys, slanted, rule } of Object.values(CARDS)) {
      const [grey] = greys;
      if (!grey) throw new Error('A card without greys.');
      const boxes = [
        ...markers.map(({ x, y }) => ({ x, y, width: marker, height: marker })),
        { x: grey.x, y: grey.y, width: greys.length * grey.width, height: grey.height },
        {
          x: slanted.x - slanted.side * 0.55,
          y: slanted.y - slanted.side * 0.55,
          width: slanted.side * 1.1,
          height: slanted.side * 1.1,
        },
        { x: rule.x, y: rule.y, width: rule.length, height: 5 },
      ];
      boxes.forEach((a, i) => {
        expect(a.x).toBeGreaterThan(2);
        expect(a.y).toBeGreaterThan(2);
        expect(a.x + a.width).toBeLessThan(width - 2);
        expect(a.y + a.height).toBeLessThan(height - 2);
        for (const b of boxes.slice(i + 1))
          expect(
            a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y,
          ).toBe(true);
      });
    }
  });
});
