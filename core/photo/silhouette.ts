import { type Box, boxOf, cut, partOf, withRoom } from './box.ts';
import { filled, largestPiece } from './components.ts';
import { closed, opened } from './disc.ts';
import { distanceTo } from './distance.ts';
import { CLEAR, freeOutline } from './free-outline.ts';
import { gaussian } from './gaussian.ts';
import { pixelNoise } from './pixel-noise.ts';
import {
  countOf,
  emptyMask,
  emptyPlane,
  inverse,
  type Mask,
  maskWhere,
  type Plane,
  sampleAt,
} from './plane.ts';
import { shrunk } from './resample.ts';
import { coverageOf, type Inside, type RoughInColour, roughlyInColour } from './rough-colour.ts';
import { BACKDROP, LEAST_HAIR, logOf, OPENING, type OutlineTrouble, roughly } from './rough-hair.ts';

/**
 * The hair at a threshold of coverage: without what stands off it, holes filled; and the same with its bays closed. Source:
 * methods.md 4.
 */
export function shapeAt(coverage: Plane, threshold: number, scale: number): { shape: Mask; core: Mask } {
  const dense = maskWhere(coverage, (value) => value >= threshold);
  const shape = filled(largestPiece(opened(dense, OPENING * scale)));
  return { shape, core: filled(closed(shape, CLOSING * scale)) };
}

/** What is asked for: one whole picture, its scale, and what does not count. */
export interface OutlineAsked {
  /** Linear light of the picture, 0…1: its luminance, or red, green and blue where hair is told by its colour. */
  lights: readonly Plane[];
  pxPerMm: number;
  /** Skin, clothes, card and whatever else is no hair: 1 where it is. Of the picture's own size. */
  masked?: Mask;
  /** The same frame without a head, the same lights of it, of the picture's own size. */
  empty?: readonly Plane[];
}

/** Hair told from its backdrop, on a grid of about two pixels a millimetre. */
export interface Outline {
  trouble: null;
  /** Pixels a millimetre of this grid. */
  scale: number;
  /** Where the grid begins, its own pixels from the picture's corner; and how many of the picture's pixels one of its is. */
  left: number;
  top: number;
  step: number;
  /** How much of each pixel hair covers; not clamped, so that noise sums to nothing. */
  coverage: Plane;
  /** The hair without what stands off it, holes filled; and the same with its bays closed, whose edge is the outline. */
  shape: Mask;
  core: Mask;
  /** From the outline outwards, mm; 0 and less inside. */
  outside: Plane;
  /** What does not count, on this grid. */
  masked: Mask;
  /** Pixels that lie on a free part of the outline's surroundings: see {@link freeOutline}. */
  free: Mask;
  /** Free outline, mm. */
  freeMm: number;
  /** Noise of one full-size pixel's coverage, standard deviation. */
  noise: number;
  /** Root mean square of what the fitted backdrop leaves, as a share of its light. */
  residual: number;
  /** Light of the fitted backdrop on this grid, channel by channel, and of the hair before it. */
  backdrop: readonly Plane[];
  inside: readonly Inside[];
}

export type OutlineFound = Outline | { trouble: OutlineTrouble };

/** Pixels a millimetre of the grid outline and distances are read on, and of the one the hair is first looked for on. */
const GRID = 2;
const COARSE = 0.5;
/** A backdrop further off its fitted surface than this is uneven. Source: methods.md 4. */
const MOST_RESIDUAL = 0.03;
/** Noise of coverage over this refuses the picture. Source: methods.md 4. */
const MOST_NOISE = 0.04;
/** Coverage at and over which a pixel belongs to the shape. Source: methods.md 4. */
const IN_SHAPE = 0.8;
/** Radius of the disc that closes the shape's bays, mm. Source: methods.md 4. */
const CLOSING = 8;

/** A mask on a coarser grid: a pixel belongs where any of what it stands for does. */
function shrunkMask(mask: Mask, width: number, height: number): Mask {
  const data = new Uint8Array(width * height);
  for (let y = 0; y < mask.height; y++) {
    const row = Math.min(height - 1, Math.floor((y * height) / mask.height)) * width;
    for (let x = 0; x < mask.width; x++)
      if (mask.data[y * mask.width + x])
        data[row + Math.min(width - 1, Math.floor((x * width) / mask.width))] = 1;
  }
  return { width, height, data };
}

/** The part of a grid around a rough mask, which is not empty, that is worth a closer look, with room about it. */
function worthALook(rough: Mask, room: number, step: number, fine: { width: number; height: number }): Box {
  const { left, top, width, height } = boxOf(rough)!;
  const scaled = { left: left * step, top: top * step, width: width * step, height: height * step };
  return withRoom(scaled, room, fine);
}

/** Hair roughly told from its backdrop, by one light or by colour; its own light is a share of the backdrop's, or a colour. */
function toldApart(
  lights: readonly Plane[],
  beside: readonly Plane[] | null,
  out: Mask,
  scale: number,
): RoughInColour | { trouble: OutlineTrouble } {
  if (lights.length > 1)
    return roughlyInColour(
      lights.map(({ data }) => data),
      beside?.map(({ data }) => data) ?? null,
      out,
      scale,
    );
  const [{ data }] = lights as readonly [Plane];
  const rough = roughly(
    data.map((value, i) => logOf(value) - (beside ? logOf(beside[0]!.data[i]!) : 0)),
    out,
    scale,
  );
  return 'trouble' in rough
    ? rough
    : { ...rough, backdrop: [rough.backdrop], inside: [{ share: rough.inside, own: 0 }] };
}

/**
 * Hair told from an evenly lit backdrop by how much of it they cover, the backdrop's light fitted in this very picture. By
 * one light: 1 − I/B, scaled to 1 deep inside the hair; dark hair before a light backdrop, or light before dark. By three: how
 * far a pixel lies from the backdrop's colour to the hair's. Source: methods.md 4.
 */
export function findOutline({ lights, pxPerMm, masked, empty }: OutlineAsked): OutlineFound {
  const none = (trouble: OutlineTrouble): OutlineFound => ({ trouble });
  const [first] = lights as readonly [Plane];
  const finer = (plane: Plane) => shrunk(plane, Math.min(1, GRID / pxPerMm));
  const alls = lights.map(finer);
  const [all] = alls as [Plane];
  const scale = (pxPerMm * all.width) / first.width;
  const mm = (n: number) => n * scale;
  const references = empty ? empty.map((plane) => gaussian(finer(plane), mm(20))) : null;

  const coarser = (plane: Plane) => shrunk(plane, Math.min(1, COARSE / scale));
  const coarse = alls.map(coarser);
  const step = all.width / coarse[0]!.width;
  const rough = toldApart(
    coarse,
    references?.map(coarser) ?? null,
    masked
      ? shrunkMask(masked, coarse[0]!.width, coarse[0]!.height)
      : emptyMask(coarse[0]!.width, coarse[0]!.height),
    scale / step,
  );
  if ('trouble' in rough) return none(rough.trouble);
  if (rough.residual > MOST_RESIDUAL) return none('backdrop uneven');

  const at = worthALook(rough.hair, mm(CLEAR + 12), step, all);
  const { width, height } = at;
  const own = <T extends Float32Array | Uint8Array>(data: T) => ({
    width,
    height,
    data: cut(data, all.width, at),
  });
  const out = masked ? own(shrunkMask(masked, all.width, all.height).data) : emptyMask(width, height);
  const backdrop = rough.backdrop.map((surface, c): Plane => {
    const plane = own(surface.over(all.width, all.height).map(Math.exp));
    if (references) {
      const beside = own(references[c]!.data);
      for (let i = 0; i < plane.data.length; i++) plane.data[i]! *= beside.data[i]!;
    }
    return plane;
  });
  const { inside } = rough;
  const coverage = emptyPlane(width, height);
  const seen = alls.map(({ data }) => cut(data, all.width, at));
  const walls = backdrop.map(({ data }) => data);
  for (let i = 0; i < coverage.data.length; i++)
    coverage.data[i] = out.data[i] ? 0 : coverageOf(seen, walls, inside, i);

  const { shape, core } = shapeAt(coverage, IN_SHAPE, scale);
  if (countOf(shape) / scale ** 2 < LEAST_HAIR) return none('no hair');
  const nearest = new Int32Array(core.data.length);
  const away = distanceTo(core, nearest);
  const outside = { width, height, data: away.data.map((value) => (value - 0.5) / scale) };
  // The outline runs between the pixels of the shape and those outside; how deep one lies is told by the pixels about the shape.
  const inner = withRoom(boxOf(core)!, 1, core);
  const { data: depth } = distanceTo(inverse(partOf(core, inner)));
  for (let y = 0, k = 0; y < inner.height; y++)
    for (let x = 0, i = (inner.top + y) * width + inner.left; x < inner.width; x++, i++, k++)
      if (core.data[i]) outside.data[i] = (0.5 - depth[k]!) / scale;

  const wide = first.width / all.width;
  const flat = (i: number) => !out.data[i] && outside.data[i]! >= BACKDROP.from && outside.data[i]! <= CLEAR;
  // Along the way from the backdrop's light to the hair's, where nothing is but the backdrop.
  const apart = backdrop.map((plane, c) => meanWhere(plane, flat) * (1 - inside[c]!.share) - inside[c]!.own);
  const along = lights.length === 1 ? first : weighed(lights, apart);
  const noise = pixelNoise(
    along,
    (x, y) => {
      const [u, v] = [Math.floor(x / wide) - at.left, Math.floor(y / wide) - at.top];
      return u >= 0 && v >= 0 && u < width && v < height && flat(v * width + u);
    },
    lights.length === 1 ? Math.abs(apart[0]!) : apart.reduce((sum, value) => sum + value * value, 0),
  );
  if (noise > MOST_NOISE) return none('too noisy');
  return {
    trouble: null,
    scale,
    left: at.left,
    top: at.top,
    step: wide,
    coverage,
    shape,
    core,
    outside,
    masked: out,
    ...freeOutline({ core, outside, nearest, masked: out, scale }),
    noise,
    residual: rough.residual,
    backdrop,
    inside,
  };
}

/** The sum of planes of one size, each so many times. */
function weighed(planes: readonly Plane[], by: readonly number[]): Plane {
  const out = emptyPlane(planes[0]!.width, planes[0]!.height);
  for (const [c, { data }] of planes.entries()) {
    const times = by[c]!;
    for (let i = 0; i < data.length; i++) out.data[i]! += data[i]! * times;
  }
  return out;
}

function meanWhere({ data }: Plane, holds: (i: number) => boolean): number {
  let [sum, count] = [0, 0];
  for (let i = 0; i < data.length; i++)
    if (holds(i)) {
      sum += data[i]!;
      count++;
    }
  return sum / count;
}

/** Coverage at a place of the full picture, of which `lights` are. */
export const coverageAt = (
  { backdrop, inside, left, top, step }: Pick<Outline, 'backdrop' | 'inside' | 'left' | 'top' | 'step'>,
  lights: readonly Plane[],
  x: number,
  y: number,
): number => {
  const [u, v] = [(x + 0.5) / step - 0.5 - left, (y + 0.5) / step - 0.5 - top];
  let [shared, whole] = [0, 0];
  for (let c = 0; c < lights.length; c++) {
    const wall = sampleAt(backdrop[c]!, u, v);
    const apart = wall * (1 - inside[c]!.share) - inside[c]!.own;
    shared += (wall - sampleAt(lights[c]!, x, y)) * apart;
    whole += apart * apart;
  }
  return shared / whole;
};
