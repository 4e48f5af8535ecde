import { median } from '../middle.ts';
import { filled, largestPiece } from './components.ts';
import { opened } from './disc.ts';
import { distanceTo } from './distance.ts';
import { otsu } from './otsu.ts';
import { countOf, inverse, type Mask } from './plane.ts';
import { quadraticThrough, type Surface } from './quadratic.ts';

/** Why the outline of hair cannot be read. */
export type OutlineTrouble =
  | 'no hair'
  | 'fills the frame'
  | 'no backdrop'
  | 'backdrop uneven'
  | 'hair like the backdrop'
  | 'hair lit'
  | 'too noisy';

/** Where the backdrop is read, mm off the hair. Source: methods.md 4. */
export const BACKDROP = { from: 35, to: 120 };
/** Coverage inside hair that varies by more than this is not unlit: its own lights and shadows are seen. Judged. */
export const MOST_VARIED = 0.12;
/** How deep inside hair its own light is read, mm. */
const DEEP = 15;
/** Radius of the disc that takes strays off the shape, mm. Source: methods.md 4. */
export const OPENING = 2;
/** A smaller patch is no head of hair; less wall than this is no backdrop; more hair than this share fills the frame. Judged. */
export const LEAST_HAIR = 400;
export const LEAST_WALL = 2000;
export const FILLS = 0.8;
/** Hair and wall whose light differs by less than this share are alike. Judged. */
const LEAST_CONTRAST = 0.35;

/** The logarithm of a light, which is never quite none. */
export const logOf = (value: number) => Math.log(Math.max(1e-5, value));

/** A backdrop's light fitted where `take` is set, and what it leaves; null where there is too little of it. */
export function fitBackdrop(
  log: Float32Array,
  take: Uint8Array,
  width: number,
  height: number,
): { fitted: Surface; surface: Float32Array; residual: number } | null {
  const kept = take.slice();
  // What lies far off the surface is a strand, a shadow or a hook on the wall: left out, twice.
  for (let round = 0; ; round++) {
    let fitted: Surface;
    try {
      fitted = quadraticThrough(log, kept, width, height);
    } catch {
      return null;
    }
    const surface = fitted.over(width, height);
    let [sum, count] = [0, 0];
    for (let i = 0; i < kept.length; i++) {
      if (!kept[i]) continue;
      sum += (log[i]! - surface[i]!) ** 2;
      count++;
    }
    const residual = Math.sqrt(sum / count);
    if (round === 2) return { fitted, surface, residual };
    const limit = Math.max(3 * residual, 0.01);
    for (let i = 0; i < kept.length; i++)
      if (take[i]) kept[i] = Math.abs(log[i]! - surface[i]!) <= limit ? 1 : 0;
  }
}

export interface Rough {
  /** The logarithm of the backdrop's light, beside the empty frame's where there is one. */
  backdrop: Surface;
  residual: number;
  inside: number;
  hair: Mask;
}

/** Around hair, where the backdrop is read; null where there is too little of it. `scale`: pixels a millimetre. */
export function ringAround(hair: Mask, out: Mask, scale: number): Uint8Array | null {
  const off = distanceTo(hair);
  const ring = new Uint8Array(hair.data.length);
  let ringed = 0;
  for (let i = 0; i < ring.length; i++)
    if (!out.data[i] && off.data[i]! >= BACKDROP.from * scale && off.data[i]! <= BACKDROP.to * scale) {
      ring[i] = 1;
      ringed++;
    }
  return ringed / scale ** 2 < LEAST_WALL ? null : ring;
}

/**
 * Hair roughly told from its backdrop by two groups of light, then three times over by coverage against the backdrop fitted
 * around it: on a coarse grid of `scale` pixels a millimetre. `onlyRoughly`: once over, and hair whose own lights are seen will do.
 */
export function roughly(
  log: Float32Array,
  out: Mask,
  scale: number,
  onlyRoughly = false,
): Rough | { trouble: OutlineTrouble } {
  const { width, height } = out;
  const mm = (n: number) => n * scale;
  const none = (trouble: OutlineTrouble) => ({ trouble });
  const counted = log.filter((_, i) => !out.data[i]);
  if (counted.length / scale ** 2 < LEAST_WALL) return none('no backdrop');
  const threshold = otsu(counted);
  const margin = Math.max(1, Math.round(mm(10)));
  let [edgeLight, edge] = [0, 0];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (y >= margin && x >= margin && x < width - margin) continue;
      const i = y * width + x;
      if (out.data[i]) continue;
      edge++;
      if (log[i]! > threshold) edgeLight++;
    }
  const darkHair = edge === 0 || edgeLight > edge / 2;
  let hair: Mask = {
    width,
    height,
    data: Uint8Array.from(log, (value, i) => (!out.data[i] && value > threshold !== darkHair ? 1 : 0)),
  };
  for (let round = 0; ; round++) {
    hair = filled(largestPiece(opened(hair, mm(OPENING))));
    if (countOf(hair) / scale ** 2 < LEAST_HAIR) return none('no hair');
    if (countOf(hair) > FILLS * hair.data.length) return none('fills the frame');
    const ring = ringAround(hair, out, scale);
    if (!ring) return none('no backdrop');
    const fit = fitBackdrop(log, ring, width, height);
    if (!fit) return none('no backdrop');
    // Light of the hair itself, deep inside, as a share of the backdrop's.
    const depth = distanceTo(inverse(hair));
    const places = (least: number) => {
      const at: number[] = [];
      for (let i = 0; i < log.length; i++)
        if (!out.data[i] && hair.data[i] && depth.data[i]! >= mm(least)) at.push(log[i]! - fit.surface[i]!);
      return at;
    };
    let deep = places(DEEP);
    if (deep.length < 20) deep = places(DEEP / 3);
    if (deep.length === 0) return none('no hair');
    const inside = Math.exp(median(deep));
    if (Math.abs(1 - inside) < LEAST_CONTRAST) return none('hair like the backdrop');
    const varied =
      (1.4826 * median(deep.map((value) => Math.abs(Math.exp(value) - inside)))) / Math.abs(1 - inside);
    if (varied > MOST_VARIED && !onlyRoughly) return none('hair lit');
    if (onlyRoughly || round === 2) return { backdrop: fit.fitted, residual: fit.residual, inside, hair };
    for (let i = 0; i < log.length; i++)
      hair.data[i] = !out.data[i] && (1 - Math.exp(log[i]! - fit.surface[i]!)) / (1 - inside) >= 0.5 ? 1 : 0;
  }
}
