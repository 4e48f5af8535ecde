import { createRequire } from 'node:module';
import { homographyBetween, projected } from '@sabor/core/photo/card/homography';
import { coherenceOf } from '@sabor/core/photo/close/coherence';
import { NO_GRAIN, SLOPE_MM } from '@sabor/core/photo/close/grain';
import { piecesOf } from '@sabor/core/photo/components';
import { closed, dilated, eroded, opened } from '@sabor/core/photo/disc';
import { distanceTo } from '@sabor/core/photo/distance';
import { gaussian } from '@sabor/core/photo/gaussian';
import { openedGrey } from '@sabor/core/photo/grey-disc';
import type { Mask, Plane } from '@sabor/core/photo/plane';
import { seededRandom } from '@sabor/core/random';
import { beforeAll, describe, expect, it } from 'vitest';

/**
 * The same arrays through OpenCV 4.5 (@techstark/opencv-js, Apache-2.0): distance with its exact mask, morphology with the
 * same disc as kernel, the normal curve with the same number of weights and mirrored edges.
 */
// What it exports looks like a promise of itself: an `import` would wait for it for ever.
const cv = createRequire(import.meta.url)('@techstark/opencv-js');
beforeAll(async () => {
  // Ready at once, or by and by.
  if (!cv.Mat)
    await new Promise<void>((resolve) => {
      cv.onRuntimeInitialized = () => resolve();
    });
}, 60_000);

/** Blobs of several sizes, with holes and specks, some at the edges. */
function blobs(width: number, height: number, seed: number): Mask {
  const random = seededRandom(seed);
  const data = new Uint8Array(width * height);
  for (let n = 0; n < 40; n++) {
    const [x, y, r] = [random.unit() * width, random.unit() * height, 1 + random.unit() * 18];
    const value = n % 4 === 3 ? 0 : 1;
    for (let j = 0; j < height; j++)
      for (let i = 0; i < width; i++) if ((i - x) ** 2 + (j - y) ** 2 <= r * r) data[j * width + i] = value;
  }
  return { width, height, data };
}

/** What is used of OpenCV's own array. */
interface Mat {
  data32F: Float32Array;
  delete(): void;
}

const matOf = ({ width, height, data }: Mask) => cv.matFromArray(height, width, cv.CV_8UC1, [...data]);
const floats = ({ width, height, data }: Plane) => cv.matFromArray(height, width, cv.CV_32FC1, [...data]);

/** The disc {dx² + dy² ≤ r²} as a kernel. */
function discKernel(radius: number) {
  const reach = Math.floor(radius);
  const side = 2 * reach + 1;
  const data: number[] = [];
  for (let y = -reach; y <= reach; y++)
    for (let x = -reach; x <= reach; x++) data.push(x * x + y * y <= radius * radius ? 1 : 0);
  return cv.matFromArray(side, side, cv.CV_8UC1, data);
}

/** The largest difference between ours and theirs. */
const furthest = ({ data }: Plane, out: { data32F: Float32Array }) =>
  data.reduce((most, value, i) => Math.max(most, Math.abs(value - out.data32F[i]!)), 0);

const SEEDS = [1, 2, 3] as const;

describe('the same as OpenCV', () => {
  it.each(SEEDS)('exact distance to the nearest pixel that belongs, drawing %i', (seed) => {
    const mask = blobs(211, 157, seed);
    const free = matOf({ ...mask, data: mask.data.map((v) => 1 - v) });
    const out = new cv.Mat();
    cv.distanceTransform(free, out, cv.DIST_L2, cv.DIST_MASK_PRECISE);
    const ours = distanceTo(mask);
    // OpenCV's own exact transform works in single precision.
    expect(furthest(ours, out)).toBeLessThan(1e-3);
    free.delete();
    out.delete();
  });

  it.each(SEEDS.flatMap((seed) => [2, 4, 6.5, 16].map((radius) => [seed, radius] as const)))(
    'opened, closed, grown and shrunk, drawing %i, by a disc of radius %f',
    (seed, radius) => {
      const mask = blobs(180, 140, seed);
      const from = matOf(mask);
      const kernel = discKernel(radius);
      const out = new cv.Mat();
      for (const [ours, operation] of [
        [opened, cv.MORPH_OPEN],
        [closed, cv.MORPH_CLOSE],
        [dilated, cv.MORPH_DILATE],
        [eroded, cv.MORPH_ERODE],
      ] as const) {
        cv.morphologyEx(from, out, operation, kernel);
        expect(Buffer.from(ours(mask, radius).data).equals(Buffer.from(out.data))).toBe(true);
      }
      from.delete();
      kernel.delete();
      out.delete();
    },
  );

  it.each([0.6, 1, 2.5, 7])('smoothed by a normal curve of %f pixels', (sigma) => {
    const random = seededRandom(9);
    const plane = {
      width: 97,
      height: 83,
      data: Float32Array.from({ length: 97 * 83 }, () => random.unit()),
    };
    const from = floats(plane);
    const out = new cv.Mat();
    const side = 2 * Math.ceil(4 * sigma) + 1;
    cv.GaussianBlur(from, out, new cv.Size(side, side), sigma, sigma, cv.BORDER_REFLECT_101);
    const ours = gaussian(plane, sigma);
    expect(furthest(ours, out)).toBeLessThan(2e-6);
    from.delete();
    out.delete();
  });

  it.each([1, 2.5, 3.57, 5.05, 9])('opened in grey by a disc of radius %f', (radius) => {
    const random = seededRandom(Math.round(10 * radius));
    const [width, height] = [120, 95];
    // In steps of 1/2000, as ours is told.
    const plane = {
      width,
      height,
      data: Float32Array.from(
        { length: width * height },
        () => Math.round(4000 * random.unit() - 2000) / 2000,
      ),
    };
    const from = floats(plane);
    const kernel = discKernel(radius);
    const out = new cv.Mat();
    cv.morphologyEx(from, out, cv.MORPH_OPEN, kernel);
    expect(furthest(openedGrey(plane, radius), out)).toBeLessThan(1e-6);
    from.delete();
    kernel.delete();
    out.delete();
  });

  it('smoothness of run by the structure tensor, gathered without any shortcut', { tags: 'soak' }, () => {
    const random = seededRandom(12);
    const [width, height, pxPerMm] = [620, 600, 10];
    const strand = () => {
      const [x, y, turn] = [random.unit() * width, random.unit() * height, (random.unit() - 0.5) * 1.2];
      return { x, y, turn, long: 60 + 120 * random.unit() };
    };
    const log = { width, height, data: new Float32Array(width * height).fill(-1.5) };
    for (let n = 0; n < 3000; n++) {
      const { x, y, turn, long } = strand();
      for (let t = 0; t < long; t++) {
        const [u, v] = [Math.round(x + t * Math.sin(turn)), Math.round(y + t * Math.cos(turn))];
        if (u >= 0 && v >= 0 && u < width && v < height) log.data[v * width + u]! += 0.3;
      }
    }
    const one = { width, height, data: new Float32Array(width * height).fill(1) };
    const hair = { width, height, data: new Uint8Array(width * height).fill(1) };
    const ours = coherenceOf({ log, even: log, spread: one, hair, pxPerMm }, 20, NO_GRAIN).value!;
    const blurred = (from: Mat, sigma: number) => {
      const to = new cv.Mat();
      const side = 2 * Math.ceil(4 * sigma) + 1;
      cv.GaussianBlur(from, to, new cv.Size(side, side), sigma, sigma, cv.BORDER_REFLECT_101);
      return to;
    };
    const smooth = blurred(floats(log), SLOPE_MM * pxPerMm);
    const slope = (dx: number, dy: number) => {
      const to = new cv.Mat();
      // Half of [−1 0 1].
      cv.Sobel(smooth, to, cv.CV_32F, dx, dy, 1, 0.5, 0, cv.BORDER_REFLECT_101);
      return to;
    };
    const [x, y] = [slope(1, 0), slope(0, 1)];
    const product = (a: Mat, b: Mat) => {
      const to = new cv.Mat();
      cv.multiply(a, b, to);
      return to;
    };
    const parts = [product(x, x), product(y, y), product(x, y)];
    const values = [2, 4, 8].map((scale) => {
      const [a, b, c] = parts.map((part) => blurred(part, scale * pxPerMm).data32F);
      let [along, all] = [0, 0];
      for (let i = 0; i < a!.length; i++) {
        along += Math.hypot(a![i]! - b![i]!, 2 * c![i]!);
        all += a![i]! + b![i]!;
      }
      return along / all;
    });
    const theirs = values.reduce((sum, value) => sum + value, 0) / values.length;
    // Ours is gathered on grids of four pixels a scale: within a tenth of the smallest difference that matters.
    expect(Math.abs(ours - theirs)).toBeLessThan(0.005);
  });

  it.each(SEEDS)('connected pieces, over sides and over corners, drawing %i', (seed) => {
    const mask = blobs(160, 160, seed);
    const from = matOf(mask);
    const out = new cv.Mat();
    for (const over of [4, 8] as const)
      expect(piecesOf(mask, over).sizes.length).toBe(cv.connectedComponents(from, out, over));
    from.delete();
    out.delete();
  });

  it('a projection from four places', () => {
    const random = seededRandom(4);
    const places = [
      [0, 0],
      [170, 3],
      [168, 131],
      [-2, 128],
    ].map(([x, y]) => ({ x: x!, y: y! }));
    const seen = places.map(({ x, y }) => ({
      x: 900 + 3 * x + 20 * random.unit(),
      y: 700 + 3 * y + 20 * random.unit(),
    }));
    const flat = (all: readonly { x: number; y: number }[]) => all.flatMap(({ x, y }) => [x, y]);
    const [a, b] = [places, seen].map((all) => cv.matFromArray(4, 1, cv.CV_32FC2, flat(all)));
    const m = cv.getPerspectiveTransform(a, b);
    const ours = homographyBetween(places, seen);
    for (let i = 0; i < 9; i++) expect(ours[i]! / (m.data64F[i] || 1)).toBeCloseTo(1, 4);
    places.forEach((place, i) => {
      expect(projected(ours, place).x).toBeCloseTo(seen[i]!.x, 6);
      expect(projected(ours, place).y).toBeCloseTo(seen[i]!.y, 6);
    });
  });
});

describe('exact distance', () => {
  it('names the nearest pixel, and is the smallest there is', () => {
    const mask = blobs(60, 45, 5);
    const nearest = new Int32Array(mask.data.length);
    const away = distanceTo(mask, nearest).data;
    for (let i = 0; i < away.length; i++) {
      let best = Number.POSITIVE_INFINITY;
      for (let j = 0; j < away.length; j++)
        if (mask.data[j])
          best = Math.min(best, ((i % 60) - (j % 60)) ** 2 + (Math.floor(i / 60) - Math.floor(j / 60)) ** 2);
      expect(away[i]).toBe(Math.fround(Math.sqrt(best)));
      const j = nearest[i]!;
      expect(mask.data[j]).toBe(1);
      expect(((i % 60) - (j % 60)) ** 2 + (Math.floor(i / 60) - Math.floor(j / 60)) ** 2).toBe(best);
    }
  });

  it('is without end where nothing belongs', () => {
    const none = { width: 4, height: 3, data: new Uint8Array(12) };
    const nearest = new Int32Array(12);
    expect([...distanceTo(none, nearest).data].every((d) => d === Number.POSITIVE_INFINITY)).toBe(true);
    expect([...nearest]).toEqual(new Array(12).fill(-1));
  });
});
