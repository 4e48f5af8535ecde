import { describe, expect, it } from 'vitest';
import { normals, seededRandom } from '../random.ts';
import { lineThrough, meeting } from './card/edge.ts';
import { contoursAt, lengthOf } from './contour.ts';
import { kelvinOf, type Taken, unlike } from './guard.ts';
import { edgeReads, haloOf, silhouetteOf } from './halo.ts';
import { byteOf, linearOf, luminanceOf } from './light.ts';
import { matters } from './measures.ts';
import { halfAt, middleParting, onHalf, type Parting } from './parting.ts';
import { type Plane, sampleAt } from './plane.ts';
import { quadraticThrough } from './quadratic.ts';
import { pictureError, tellApart } from './repeat.ts';
import { shrunk } from './resample.ts';
import { findOutline } from './silhouette.ts';
import { peaksOf, straysOf } from './strays.ts';
import { volumeIndex, widthsDown } from './volume.ts';

describe('light', () => {
  // Source: IEC 61966-2-1: 0, the end of the straight part, middle grey 18 % is byte 118, full.
  it('of sRGB bytes', () => {
    expect(linearOf(0)).toBe(0);
    expect(linearOf(255)).toBe(1);
    expect(linearOf(10)).toBeCloseTo(10 / 255 / 12.92, 12);
    expect(byteOf(0.18)).toBeCloseTo(117.6, 1);
    for (const byte of [0, 3, 11, 64, 200, 255]) expect(byteOf(linearOf(byte))).toBeCloseTo(byte, 4);
    expect(byteOf(-1)).toBe(0);
    expect(byteOf(7)).toBeCloseTo(255, 9);
  });

  it('of a picture is its luminance; alpha is not read', () => {
    const data = new Uint8ClampedArray([255, 0, 0, 255, 0, 255, 0, 0, 0, 0, 255, 9, 255, 255, 255, 255]);
    const light = luminanceOf({ width: 2, height: 2, data });
    for (const [i, value] of [0.2126, 0.7152, 0.0722, 1].entries())
      expect(light.data[i]).toBeCloseTo(value, 6);
  });

  // Source: D65 white is 6504 K by definition of the illuminant (CIE 15); McCamy’s formula gives it within some 2 K.
  it('has a temperature', () => {
    expect(Math.abs(kelvinOf([1, 1, 1]) - 6504)).toBeLessThan(8);
    expect(kelvinOf([1.2, 1, 0.7])).toBeLessThan(5200);
    expect(kelvinOf([0.9, 1, 1.2])).toBeGreaterThan(7400);
  });
});

describe('grids', () => {
  it('coarser ones hold the mean of what they cover, edges and odd sizes too', () => {
    const random = seededRandom(3);
    const plane = {
      width: 31,
      height: 17,
      data: Float32Array.from({ length: 31 * 17 }, () => random.unit()),
    };
    const small = shrunk(plane, 0.4);
    const mean = (p: Plane) => p.data.reduce((a, b) => a + b, 0) / p.data.length;
    expect(small.width).toBe(12);
    expect(mean(small)).toBeCloseTo(mean(plane), 5);
    expect(shrunk(plane, 1)).toBe(plane);
    expect(sampleAt(plane, 3.5, 2)).toBeCloseTo((plane.data[2 * 31 + 3]! + plane.data[2 * 31 + 4]!) / 2, 6);
    expect(sampleAt(plane, -9, -9)).toBe(plane.data[0]);
  });

  it('a quadratic surface is found again, on another grid too, and refused of too little', () => {
    const [width, height] = [40, 30];
    const at = (u: number, v: number) => 1 + 0.3 * u - 0.2 * v + 0.1 * u * u + 0.05 * u * v - 0.4 * v * v;
    const values = new Float64Array(width * height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) values[y * width + x] = at((x + 0.5) / 20 - 1, (y + 0.5) / 20 - 0.75);
    const take = new Uint8Array(values.length).map((_, i) => (i % 3 ? 1 : 0));
    const surface = quadraticThrough(values, take, width, height);
    const fine = surface.over(80, 60);
    expect(fine[61 * 3]!).toBeCloseTo(
      at((((61 * 3) % 80) + 0.5) / 40 - 1, (Math.floor((61 * 3) / 80) + 0.5) / 40 - 0.75),
      5,
    );
    expect(() => quadraticThrough(values, new Uint8Array(values.length), width, height)).toThrow(RangeError);
  });

  it('a line along a value runs round a disc, and is as long as the circle', () => {
    const size = 120;
    const data = new Float32Array(size * size);
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++) data[y * size + x] = Math.hypot(x - 60, y - 60);
    const lines = contoursAt({ width: size, height: size, data }, 40);
    expect(lines).toHaveLength(1);
    expect(lengthOf(lines) / (2 * Math.PI * 40)).toBeCloseTo(1, 2);
    expect(contoursAt({ width: size, height: size, data }, 400)).toEqual([]);
  });

  it('a line through places, and where two meet', () => {
    const random = normals(seededRandom(6));
    const line = lineThrough(
      Array.from({ length: 400 }, (_, i) => ({ x: i / 10, y: 3 + i / 20 + 0.1 * random() })),
    );
    const across = lineThrough([
      { x: 10, y: -5 },
      { x: 10, y: 50 },
    ]);
    const at = meeting(line, across)!;
    expect(at.x).toBeCloseTo(10, 6);
    expect(at.y).toBeCloseTo(8, 1);
    expect(meeting(line, line)).toBeNull();
  });
});

/** A dark disc before a light wall, 3 px/mm; what stands off it is added by `off`: coverage by mm from the outline and angle. */
const PX = 3;
const RADIUS = 60;
function shadow(
  off: (d: number, angle: number) => number,
  grain = 0,
  [bright, hair]: readonly [number, number] = [0.8, 0.024],
  seed = 2,
): Plane {
  const size = 2 * (RADIUS + 110) * PX;
  const gauss = normals(seededRandom(seed));
  const data = new Float32Array(size * size);
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      const [u, v] = [(x + 0.5 - size / 2) / PX, (y + 0.5 - size / 2) / PX];
      const d = Math.hypot(u, v) - RADIUS;
      const wall = bright * (1 + 0.0006 * u - 0.000_002 * v * v);
      // The edge's own pixels are covered in part.
      const covered = d < -0.5 / PX ? 1 : d < 0.5 / PX ? 0.5 - d * PX : off(d, Math.atan2(v, u));
      data[y * size + x] = (wall * (1 - covered) + hair * covered) * (1 + grain * gauss());
    }
  return { width: size, height: size, data };
}
/** A third of what a halo may be off by, mm. Source: methods.md 4, .2 mm. */
const THIRD = 0.2 / 3;
const outlineOf = (light: Plane) => {
  const found = findOutline({ lights: [light], pxPerMm: PX });
  if (found.trouble) throw new Error(found.trouble);
  return found;
};

describe('a shape of known coverage', () => {
  it('has the halo it was given, in a wall that is not even', { tags: 'soak' }, () => {
    // A tenth over ten millimetres, and nothing beyond: one millimetre.
    const outline = outlineOf(shadow((d) => (d < 10 ? 0.1 : 0)));
    expect(haloOf(outline).value).toBeCloseTo(1, 1);
    expect(silhouetteOf(outline) / (Math.PI * RADIUS ** 2 + 0.1 * Math.PI * (70 ** 2 - 60 ** 2))).toBeCloseTo(
      1,
      2,
    );
    // The hem, a quarter of the circle, is left out.
    expect(outline.freeMm / (2 * Math.PI * RADIUS)).toBeCloseTo(0.75, 1);
    expect(outline.inside[0]!.share).toBeCloseTo(0.03, 2);
  });

  it('has none where nothing stands off, and noise adds none: coverage is not clamped', () => {
    expect(Math.abs(haloOf(outlineOf(shadow(() => 0))).value!)).toBeLessThan(THIRD);
    const noisy = outlineOf(shadow(() => 0, 0.02));
    expect(noisy.noise).toBeCloseTo(0.02, 2);
    // Clamped, two per cent of noise alone would read .24 mm (methods.md 4).
    expect(Math.abs(haloOf(noisy).value!)).toBeLessThan(THIRD);
  });

  it('is told of one side alone', () => {
    const outline = outlineOf(shadow((d, angle) => (d < 10 && Math.abs(angle) < Math.PI / 2 ? 0.1 : 0)));
    const middle = outline.core.width / 2;
    const right = haloOf(outline, { part: (i) => i % outline.core.width > middle + 40 });
    const left = haloOf(outline, { part: (i) => i % outline.core.width < middle - 40 });
    expect(right.value).toBeCloseTo(1, 1);
    expect(Math.abs(left.value!)).toBeLessThan(THIRD);
  });

  it('is told half by half at the parting, as the wearer has them', () => {
    // Frizz on the picture's right alone.
    const light = shadow((d, angle) => (d < 10 && Math.abs(angle) < Math.PI / 2 ? 0.1 : 0));
    const outline = outlineOf(light);
    const parting = middleParting(outline);
    expect(parting[0].x).toBeCloseTo(light.width / 2 - 0.5, 0);
    expect(parting[1].y - parting[0].y).toBeGreaterThan(2 * RADIUS * PX - 10);
    const halo = (angle: 'back' | 'front', half: 'left' | 'right', at = parting) =>
      haloOf(outline, { part: onHalf(outline, at, angle, half) }).value!;
    // From behind their right is at the right; from the front it is at the left.
    expect(halo('back', 'right')).toBeCloseTo(1, 1);
    expect(Math.abs(halo('back', 'left'))).toBeLessThan(THIRD);
    expect(halo('front', 'left')).toBe(halo('back', 'right'));
    const area = (half: 'left' | 'right') => silhouetteOf(outline, onHalf(outline, parting, 'back', half));
    expect(area('left') + area('right')).toBeCloseTo(silhouetteOf(outline), 6);
    expect(area('left') / (0.5 * Math.PI * RADIUS ** 2)).toBeCloseTo(1, 1);
    // A parting that leans, and one at the very side: too little is left there to say anything of.
    const of = halfAt(
      [
        { x: 40, y: 0 },
        { x: 60, y: 100 },
      ],
      'back',
    );
    expect([of(45, 50), of(55, 50), of(45, 10), of(55, 95)]).toEqual(['left', 'right', 'right', 'left']);
    const aside = parting.map((at) => ({ ...at, x: at.x + (RADIUS - 4) * PX })) as unknown as Parting;
    expect(haloOf(outline, { part: onHalf(outline, aside, 'back', 'right') })).toMatchObject({
      value: null,
      trouble: 'little free outline',
    });
  });

  it('is the same of light hair before a dark wall', () => {
    const light = shadow((d) => (d < 10 ? 0.1 : 0), 0, [0.06, 0.7]);
    expect(haloOf(outlineOf(light)).value).toBeCloseTo(1, 1);
  });

  it('is told from a wall of its own lightness by its colour, and from one of its own colour not at all', {
    tags: 'soak',
  }, () => {
    // Light of a red beside a green that are as bright to the eye, and as different as two pigments are.
    const [wall, hair] = [
      [0.2, 0.6, 0.25],
      [0.75, 0.45, 0.2],
    ] as const;
    const tenth = (d: number) => (d < 10 ? 0.1 : 0);
    const shot = (of: readonly (readonly [wall: number, hair: number])[], grain = 0) =>
      of.map((pair, c) => shadow(tenth, grain, pair, 2 + c));
    const lights = shot(wall.map((value, c) => [value, hair[c]!] as const));
    const luminance = {
      ...lights[0]!,
      data: lights[0]!.data.map(
        (_, i) => 0.2126 * lights[0]!.data[i]! + 0.7152 * lights[1]!.data[i]! + 0.0722 * lights[2]!.data[i]!,
      ),
    };
    expect(findOutline({ lights: [luminance], pxPerMm: PX }).trouble).not.toBeNull();
    const told = (of: readonly Plane[]) => {
      const found = findOutline({ lights: of, pxPerMm: PX });
      if (found.trouble) throw new Error(found.trouble);
      return found;
    };
    const outline = told(lights);
    expect(haloOf(outline).value).toBeCloseTo(1, 1);
    expect(outline.inside.map(({ own }) => own)).toEqual(hair.map((value) => expect.closeTo(value, 2)));
    // Of 1 % in each channel: √Σ(.01·B·(B−F))² / Σ(B−F)².
    const noisy = told(
      shot(
        wall.map((value, c) => [value, hair[c]!] as const),
        0.01,
      ),
    );
    expect(noisy.noise).toBeCloseTo(0.0044, 3);
    expect(Math.abs(haloOf(noisy).value! - haloOf(outline).value!)).toBeLessThan(THIRD);
    // A wall that is the hair's own colour, a little lighter.
    const same = findOutline({
      lights: shot(hair.map((value) => [value * 1.2, value] as const)),
      pxPerMm: PX,
    });
    expect(same.trouble).not.toBeNull();
  });

  it('by colour of one light alone is what it is by its silhouette', { tags: 'soak' }, () => {
    const grey = shadow((d) => (d < 10 ? 0.1 : 0));
    const [one, three] = [[grey], [grey, grey, grey]].map((lights) => findOutline({ lights, pxPerMm: PX }));
    if (one!.trouble || three!.trouble) throw new Error('no outline');
    const [a, b] = [haloOf(one!).value!, haloOf(three!).value!];
    expect(Math.abs(a - b)).toBeLessThan(THIRD);
  });

  it('has as many flyaways as were drawn, each crossing every level once', () => {
    // Straight hairs a tenth of a millimetre thick, twenty-four to the circle.
    const hairs = (d: number, angle: number) => {
      const at = ((angle + Math.PI) / (2 * Math.PI)) * 24;
      const off = Math.abs(at - Math.round(at)) * ((2 * Math.PI) / 24) * (RADIUS + d);
      return d < 20 ? Math.max(0, Math.min(1, (0.05 + 0.5 / PX - off) * PX)) * 0.4 : 0;
    };
    const light = shadow(hairs, 0.004);
    const strays = straysOf(outlineOf(light), [light], 0.4);
    expect(strays.trouble).toBeNull();
    // Three quarters of the circle are free: eighteen hairs, give or take one at each end.
    for (const { crossings } of strays.levels) {
      expect(crossings).toBeGreaterThanOrEqual(16);
      expect(crossings).toBeLessThanOrEqual(19);
    }
    const none = shadow(() => 0, 0.004);
    expect(straysOf(outlineOf(none), [none], 0.4).value).toBe(0);
    expect(straysOf(outlineOf(none), [none], 2.5).trouble).toBe('too coarse');
    const grainy = shadow(() => 0, 0.03);
    expect(straysOf(outlineOf(grainy), [grainy], 0.4).trouble).toBe('too noisy');
  });

  it('a soft edge reads as halo by itself, as much as is taken off', () => {
    // By its defining integral, from where the edge falls to the share on.
    for (const [p, z] of [
      [0.7, 0.5244],
      [0.8, 0.8416],
      [0.9, 1.2816],
    ] as const) {
      let sum = 0;
      const gauss = (x: number) => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
      for (let at = -z; at < 8; at += 0.001) {
        let beyond = 0;
        for (let t = at; t < 8; t += 0.01) beyond += gauss(t) * 0.01;
        if (Math.round((at + z) * 1000) % 20 === 0) sum += beyond * 0.02;
      }
      expect(edgeReads(0.3, p)).toBeCloseTo(0.3 * sum, 2);
    }
  });
});

describe('peaks', () => {
  it('count by prominence and width', () => {
    expect(peaksOf([0, 0, 1, 0, 0, 1, 0, 0], 0.5, 3)).toEqual([2, 5]);
    // A ripple on a slope is none; a hill too wide is none.
    expect(peaksOf([0, 0.3, 0.35, 0.3, 0.6, 1, 0.2, 0], 0.5, 3)).toEqual([5]);
    expect(peaksOf([0, 0.5, 0.9, 1, 0.9, 0.5, 0], 0.5, 3)).toEqual([]);
    expect(peaksOf([0, 1, 1, 0], 0.5, 3)).toEqual([1]);
    expect(peaksOf([], 0.5, 3)).toEqual([]);
  });
});

describe('volume', () => {
  it('of a cylinder is its own', () => {
    const box = (wide: number) => {
      const [width, height] = [200, 260];
      const data = new Uint8Array(width * height);
      for (let y = 30; y < 250; y++) data.fill(1, y * width + 20, y * width + 20 + wide);
      return widthsDown({ core: { width, height, data }, scale: 2 });
    };
    // 50 mm across and 40 mm deep, 100 mm down: π/4 · 50 · 40 · 100.
    expect(volumeIndex(box(100), box(80), 100) / ((Math.PI / 4) * 50 * 40 * 100)).toBeCloseTo(1, 6);
    expect(volumeIndex(box(100), box(80), 500)).toBeCloseTo((Math.PI / 4) * 50 * 40 * 110, 6);
    // Down to the middle of a band, half of it counts.
    expect(volumeIndex(box(100), box(80), 12.5)).toBeCloseTo((Math.PI / 4) * 50 * 40 * 12.5, 6);
  });
});

describe('the picture’s own error', () => {
  const set = (n: number) => Array.from({ length: n }, (_, i) => 2 + (i % 2 ? 0.1 : -0.1));

  // Source: methods.md 4: five pictures 3.93 standard deviations, ten 3.20.
  it.each([
    [5, 3.926],
    [10, 3.199],
  ])('with %i pictures is %f standard deviations', (n, factor) => {
    const error = pictureError('halo', [set(n)])!;
    expect(error.most / error.sd).toBeCloseTo(factor, 3);
    expect(error.freedom).toBe(n - 1);
  });

  it('is pooled over sets, each about its own mean', () => {
    const error = pictureError('halo', [
      [1, 1.2],
      [5, 5.2],
    ])!;
    expect(error.freedom).toBe(2);
    expect(error.sd).toBeCloseTo(0.1 * Math.SQRT2, 9);
  });

  it('is a share for sizes, and the same in any unit', () => {
    const small = pictureError('silhouette', [[600, 612, 606]])!;
    const large = pictureError('silhouette', [[60_000, 61_200, 60_600]])!;
    expect(small.most).toBeCloseTo(large.most, 9);
    expect(tellApart('silhouette', 600, 600 * (1 + small.most * 0.99), small).same).toBe(true);
    expect(tellApart('silhouette', 600, 600 * (1 + small.most * 1.01), small).same).toBe(false);
  });

  it('is not known without a second picture, and differences then are neither', () => {
    expect(pictureError('halo', [])).toBeNull();
    expect(pictureError('halo', [[1], [2]])).toBeNull();
    expect(pictureError('silhouette', [[0, 1]])).toBeNull();
    expect(tellApart('halo', 1, 3, null)).toEqual({ difference: 2, same: null, worth: 0.4 });
  });

  // Bland & Altman: of pairs of unchanged hair, 95 in 100 differ by no more. Simulated, with its Monte Carlo error.
  it('holds in 95 of 100 pairs, whatever the number of pictures it came from', () => {
    const gauss = normals(seededRandom(21));
    for (const n of [3, 5, 10]) {
      const ROUNDS = 4000;
      let within = 0;
      for (let i = 0; i < ROUNDS; i++) {
        const error = pictureError('halo', [Array.from({ length: n }, () => 3 + gauss())])!;
        if (tellApart('halo', 3 + gauss(), 3 + gauss(), error).same) within++;
      }
      expect(Math.abs(within / ROUNDS - 0.95)).toBeLessThan(4 * Math.sqrt((0.95 * 0.05) / ROUNDS));
    }
  });

  it('says the same of two pictures whichever comes first', () => {
    const error = pictureError('halo', [[3, 3.1, 2.9]])!;
    for (const [a, b] of [
      [3, 3.7],
      [3, 3.05],
      [0.2, 4],
    ] as const) {
      const [one, other] = [tellApart('halo', a, b, error), tellApart('halo', b, a, error)];
      expect(other).toEqual({ ...one, difference: -one.difference });
    }
  });

  it('stands beside what matters', () => {
    expect(matters('halo', 1)).toBe(0.4);
    expect(matters('halo', 4)).toBeCloseTo(0.8, 9);
    expect(matters('silhouette', 500)).toBeCloseTo(20, 9);
  });
});

describe('pictures that are not alike', () => {
  const taken: Taken = {
    pxPerMm: 4,
    edgeMm: 0.4,
    tilt: 1,
    exposure: 0,
    kelvin: 5500,
    clipped: false,
    way: 'silhouette',
  };
  const kinds = (to: Partial<Taken>, from: Partial<Taken> = {}) =>
    unlike({ ...taken, ...from }, { ...taken, ...to }).map(({ kind }) => kind);

  it('are refused, each with its reason, whichever comes first', () => {
    expect(kinds({})).toEqual([]);
    expect(kinds({ pxPerMm: 4.19 })).toEqual([]);
    for (const [to, kind] of [
      [{ pxPerMm: 4.25 }, 'scale'],
      [{ tilt: 11 }, 'tilt'],
      [{ exposure: -1.2 }, 'exposure'],
      [{ kelvin: 4300 }, 'white balance'],
      [{ way: 'colour' }, 'way'],
    ] as const) {
      expect(kinds(to)).toEqual([kind]);
      expect(kinds({}, to)).toEqual([kind]);
    }
  });

  it('that clip are borne as long as nothing has to be corrected', () => {
    expect(kinds({ clipped: true })).toEqual([]);
    expect(kinds({ clipped: true, exposure: 0.5 })).toEqual(['clipped']);
    expect(kinds({ exposure: 0.5 })).toEqual([]);
  });
});
