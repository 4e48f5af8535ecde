import { createRequire } from 'node:module';
import { photographed } from '../core/made-up/camera.ts';
import { drawn } from '../core/made-up/drawn.ts';
import { maskOf } from '../core/made-up/figure.ts';
import { madeUpHead, usualHead } from '../core/made-up/head.ts';
import { type Scene, USUAL_FRAME, USUAL_SCENE } from '../core/made-up/scene.ts';
import { findCard } from '../core/photo/card/find.ts';
import { opened } from '../core/photo/disc.ts';
import { distanceTo } from '../core/photo/distance.ts';
import { gaussian } from '../core/photo/gaussian.ts';
import { measureWhole } from '../core/photo/measure.ts';
import type { Mask, Plane } from '../core/photo/plane.ts';
import { seededRandom } from '../core/random.ts';

/** The middle of several runs, ms. */
function timed(work: () => unknown, runs = 5): number {
  work();
  const all: number[] = [];
  for (let i = 0; i < runs; i++) {
    const began = performance.now();
    work();
    all.push(performance.now() - began);
  }
  return all.sort((a, b) => a - b)[runs >> 1]!;
}

const report = (what: string, ours: number, theirs: number) =>
  console.log(
    `${what.padEnd(54)} ${ours.toFixed(0).padStart(6)} ms  ${(ours / theirs).toFixed(1).padStart(7)} × the time of OpenCV (WebAssembly)`,
  );

/** Image arithmetic beside OpenCV on the same arrays, and a whole picture measured. */
export async function benchPhoto(): Promise<void> {
  const cv = createRequire(import.meta.url)('@techstark/opencv-js');
  if (!cv.Mat)
    await new Promise<void>((resolve) => {
      cv.onRuntimeInitialized = () => resolve();
    });
  console.log('\nPictures');
  const [width, height] = [1400, 1200];
  const random = seededRandom(1);
  const mask: Mask = { width, height, data: new Uint8Array(width * height) };
  for (let n = 0; n < 300; n++) {
    const [x, y, r] = [random.unit() * width, random.unit() * height, 5 + random.unit() * 60];
    for (let j = Math.max(0, Math.ceil(y - r)); j < Math.min(height, y + r); j++)
      for (let i = Math.max(0, Math.ceil(x - r)); i < Math.min(width, x + r); i++)
        if ((i - x) ** 2 + (j - y) ** 2 <= r * r) mask.data[j * width + i] = 1;
  }
  const plane: Plane = {
    width,
    height,
    data: Float32Array.from({ length: width * height }, () => random.unit()),
  };
  const bytes = new cv.Mat(height, width, cv.CV_8UC1);
  bytes.data.set(mask.data);
  const inverse = new cv.Mat(height, width, cv.CV_8UC1);
  inverse.data.set(mask.data.map((v) => 1 - v));
  const floats = new cv.Mat(height, width, cv.CV_32FC1);
  floats.data32F.set(plane.data);
  const out = new cv.Mat();
  report(
    'exact distance, 1.7 megapixels',
    timed(() => distanceTo(mask)),
    timed(() => cv.distanceTransform(inverse, out, cv.DIST_L2, cv.DIST_MASK_PRECISE)),
  );
  for (const radius of [6, 16]) {
    const side = 2 * radius + 1;
    const disc = new cv.Mat(side, side, cv.CV_8UC1);
    for (let y = 0; y < side; y++)
      for (let x = 0; x < side; x++)
        disc.data[y * side + x] = (x - radius) ** 2 + (y - radius) ** 2 <= radius ** 2 ? 1 : 0;
    report(
      `opening by a disc of radius ${radius}, 1.7 megapixels`,
      timed(() => opened(mask, radius)),
      timed(() => cv.morphologyEx(bytes, out, cv.MORPH_OPEN, disc)),
    );
    disc.delete();
  }
  for (const sigma of [1, 4]) {
    const side = 2 * Math.ceil(4 * sigma) + 1;
    report(
      `normal curve of ${sigma} px, 1.7 megapixels`,
      timed(() => gaussian(plane, sigma)),
      timed(() => cv.GaussianBlur(floats, out, new cv.Size(side, side), sigma, sigma, cv.BORDER_REFLECT_101)),
    );
  }
  for (const mat of [bytes, inverse, floats, out]) mat.delete();

  const scene: Scene = {
    ...USUAL_SCENE,
    head: madeUpHead({ ...usualHead('curl', 'dark', 3), flyaways: 1200 }),
  };
  // Twelve megapixels: 640 × 750 mm at 5 px/mm.
  const frame = { ...USUAL_FRAME, pxPerMm: 5, width: 3200, height: 3750 };
  const picture = photographed(drawn(scene, frame, { supersampling: 1 }));
  const masked = maskOf(scene, frame);
  const card = timed(() => findCard(picture, 'stand'), 3);
  const whole = timed(() => measureWhole(picture, { masked }), 3);
  console.log(
    `${'twelve megapixels: the card, then all that is read'.padEnd(54)} ${card.toFixed(0)} ms, ${whole.toFixed(0)} ms`,
  );
}

if (process.argv[1]?.endsWith('photo.ts')) await benchPhoto();
