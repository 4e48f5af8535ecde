import { describe, expect, it } from 'vitest';
import { haloOf, silhouetteOf, widthsOf } from '../photo/halo.ts';
import { channelsOf, luminanceOf } from '../photo/light.ts';
import type { Picture } from '../photo/plane.ts';
import { findOutline } from '../photo/silhouette.ts';
import { straysOf } from '../photo/strays.ts';
import { photographed, USUAL_CAMERA } from './camera.ts';
import { drawn } from './drawn.ts';
import { maskOf } from './figure.ts';
import { type HeadPlan, madeUpHead, usualHead } from './head.ts';
import { type Frame, type Scene, USUAL_FRAME, USUAL_SCENE } from './scene.ts';
import { truthOf } from './truth.ts';
import { areaOf, outlineFrom } from './view.ts';

/** A head alone, filling its frame, drawn twice as large: the soak draws it four times as large, at 5 px/mm, with more heads. */
const PX = 2.5;
const FRAME: Frame = {
  ...USUAL_FRAME,
  pxPerMm: PX,
  width: 380 * PX,
  height: 420 * PX,
  middle: { x: 0.5, y: 0.5 },
};
/** Edges of what this camera takes rise over so many pixels. */
const RISE = 2.24 / PX;

const sceneOf = (plan: HeadPlan): Scene => ({ ...USUAL_SCENE, head: madeUpHead(plan), card: null });
function shoot(plan: HeadPlan, camera = USUAL_CAMERA): { picture: Picture; scene: Scene } {
  const scene = sceneOf(plan);
  return { scene, picture: photographed(drawn(scene, FRAME, { supersampling: 2 }), camera) };
}
function read({ picture, scene }: { picture: Picture; scene: Scene }) {
  const outline = findOutline({
    lights: [luminanceOf(picture)],
    pxPerMm: PX,
    masked: maskOf(scene, FRAME),
  });
  if (outline.trouble) throw new Error(outline.trouble);
  return {
    outline,
    halo: haloOf(outline, { edgeMm: RISE }),
    silhouette: silhouetteOf(outline),
    strays: straysOf(outline, [luminanceOf(picture)], RISE),
  };
}

describe('a made-up head', () => {
  it('is the same for the same plan, and another for another seed', { tags: 'soak' }, () => {
    const plan = { ...usualHead('curl', 'dark', 3), flyaways: 20 };
    const [a, b, c] = [madeUpHead(plan), madeUpHead(plan), madeUpHead({ ...plan, seed: 4 })];
    expect(a.off).toEqual(b.off);
    expect(a.off).not.toEqual(c.off);
    expect(outlineFrom(a.body, 180)).toEqual(outlineFrom(b.body, 180));
  });

  it('seen from the other side is its mirror image', { tags: 'soak' }, () => {
    const { body } = madeUpHead({ ...usualHead('curl', 'dark', 3), flyaways: 0 });
    // From very far; from near, what faces the camera seems larger.
    const from = (turn: number) => outlineFrom(body, turn, 1e9);
    expect(Math.max(...from(0).map(({ x }) => x))).toBeCloseTo(-Math.min(...from(180).map(({ x }) => x)), 4);
    expect(areaOf(from(0))).toBeCloseTo(areaOf(from(180)), 1);
    expect(areaOf(outlineFrom(body, 0)) / areaOf(from(0))).toBeGreaterThan(1.001);
  });

  it('has no halo without strands that stand off, and twice the strands give about twice of it', {
    tags: 'soak',
  }, () => {
    const at = (flyaways: number) =>
      truthOf(madeUpHead({ ...usualHead('wave', 'dark', 8), flyaways }), 180, 10_000).halo;
    expect(at(0)).toBe(0);
    const times = at(1600) / at(800);
    expect(times).toBeGreaterThan(1.6);
    expect(times).toBeLessThan(2.4);
  });
});

/**
 * What is measured in drawn pictures against what the drawn head is by its geometry. Accuracy asked: methods.md 4, "known
 * truth": halo .2 mm or 10 %, silhouette 2 %.
 */
describe('measured in its picture', () => {
  const plan = { ...usualHead('curl', 'dark', 42), flyaways: 350 };
  const scene = sceneOf(plan);
  const light = drawn(scene, FRAME, { supersampling: 2 });
  const plain = photographed(light);

  const readsWhatItIs = (flyaways: number) => {
    const shot = flyaways === plan.flyaways ? { picture: plain, scene } : shoot({ ...plan, flyaways });
    const truth = truthOf(shot.scene.head!, 180, 60_000);
    const { halo, silhouette, outline, strays } = read(shot);
    expect(Math.abs(halo.value! - truth.halo)).toBeLessThan(Math.max(0.2, 0.1 * truth.halo));
    expect(Math.abs(silhouette / truth.silhouette - 1)).toBeLessThan(0.02);
    const wide = Math.max(...widthsOf(outline)) / 2 / truth.halfWidth;
    expect(wide).toBeGreaterThan(0.95);
    expect(wide).toBeLessThan(1.04);
    expect(strays.thinnest).toBeLessThan(0.075);
    if (flyaways > plan.flyaways) {
      expect(strays.trouble).toBe('too dense');
      return;
    }
    // Crossings come as they come: within three standard deviations of a count, and a tenth lost where two merge.
    for (const [i, { crossings, length }] of strays.levels.entries()) {
      const expected = (truth.strays[i]! * length) / 100;
      expect(Math.abs(crossings - expected)).toBeLessThan(3 * Math.sqrt(expected) + 0.1 * expected);
    }
  };
  it('halo and silhouette are what they are', () => readsWhatItIs(plan.flyaways));
  it('of much frizz as well', { tags: 'soak' }, () => readsWhatItIs(5200));

  it('reads the same in a mirror, and hardly another number one EV darker and warmer', {
    tags: 'soak',
  }, () => {
    const before = read({ picture: plain, scene });
    const flipped = { ...plain, data: new Uint8ClampedArray(plain.data.length) };
    const mask = maskOf(scene, FRAME);
    const turnedMask = { ...mask, data: new Uint8Array(mask.data.length) };
    for (let y = 0; y < plain.height; y++)
      for (let x = 0; x < plain.width; x++) {
        const [from, to] = [y * plain.width + x, y * plain.width + plain.width - 1 - x];
        flipped.data.set(plain.data.subarray(4 * from, 4 * from + 4), 4 * to);
        turnedMask.data[to] = mask.data[from]!;
      }
    const mirrored = findOutline({ lights: [luminanceOf(flipped)], pxPerMm: PX, masked: turnedMask });
    if (mirrored.trouble) throw new Error(mirrored.trouble);
    expect(haloOf(mirrored, { edgeMm: RISE }).value).toBeCloseTo(before.halo.value!, 2);
    expect(silhouetteOf(mirrored) / before.silhouette).toBeCloseTo(1, 3);
    // A third of the smallest difference that matters, .4 mm or 20 %; of the silhouette's 4 %.
    for (const to of [{ exposure: -1, red: 1.16, blue: 0.84 }]) {
      const other = read({ scene, picture: photographed(light, { ...USUAL_CAMERA, ...to }) });
      expect(Math.abs(other.halo.value! - before.halo.value!)).toBeLessThan(0.4 / 3);
      expect(Math.abs(other.silhouette / before.silhouette - 1)).toBeLessThan(0.04 / 3);
    }
  });

  it('lit from the front before a blue sheet, its colour tells light hair that its light alone does not', {
    tags: 'soak',
  }, () => {
    const lit: Scene = {
      ...scene,
      head: madeUpHead({ ...usualHead('curl', 'light', 42), flyaways: 2400 }),
      light: 'from the front',
      wall: [0.15, 0.3, 0.85],
      shadow: 0,
    };
    const picture = photographed(drawn(lit, FRAME, { supersampling: 2 }));
    const asked = { pxPerMm: PX, masked: maskOf(lit, FRAME) };
    expect(findOutline({ lights: [luminanceOf(picture)], ...asked }).trouble).not.toBeNull();
    const outline = findOutline({
      lights: channelsOf(picture),
      ...asked,
    });
    if (outline.trouble) throw new Error(outline.trouble);
    const truth = truthOf(lit.head!, 180, 60_000);
    expect(Math.abs(haloOf(outline, { edgeMm: RISE }).value! - truth.halo)).toBeLessThan(0.2);
    expect(Math.abs(silhouetteOf(outline) / truth.silhouette - 1)).toBeLessThan(0.02);
  });

  const troubleOf = (picture: Picture, of: Scene) =>
    findOutline({ lights: [luminanceOf(picture)], pxPerMm: PX, masked: maskOf(of, FRAME) }).trouble;

  it('is refused where there is no hair, or nothing but light', () => {
    const bare: Scene = { ...USUAL_SCENE, head: null, card: null };
    expect(troubleOf(photographed(drawn(bare, FRAME, { supersampling: 1 })), bare)).not.toBeNull();
    const data = new Uint8ClampedArray(4 * FRAME.width * FRAME.height).fill(255);
    expect(troubleOf({ width: FRAME.width, height: FRAME.height, data }, bare)).not.toBeNull();
  });

  it('is refused where the hair is lit, the wall is uneven, or the picture noisy', { tags: 'soak' }, () => {
    const lit: Scene = {
      ...scene,
      head: madeUpHead({ ...usualHead('curl', 'light', 9), flyaways: 0 }),
      light: 'from the front',
    };
    expect(['hair lit', 'hair like the backdrop']).toContain(
      troubleOf(photographed(drawn(lit, FRAME, { supersampling: 1 })), lit),
    );
    expect(['too noisy', 'backdrop uneven']).toContain(
      troubleOf(photographed(light, { ...USUAL_CAMERA, wells: 45, denoise: 0 }), scene),
    );
    // A lamp's spot on the wall.
    const spotted = { ...plain, data: plain.data.slice() };
    for (let y = 0; y < plain.height; y++)
      for (let x = 0; x < plain.width / 5; x++)
        for (let c = 0; c < 3; c++) spotted.data[4 * (y * plain.width + x) + c]! *= 0.8;
    expect(troubleOf(spotted, scene)).toBe('backdrop uneven');
  });
});
