import { contoursAt, lengthOf } from './contour.ts';
import { dilated } from './disc.ts';
import { distanceTo } from './distance.ts';
import { CLEAR } from './free-outline.ts';
import type { Mask } from './plane.ts';
import { type Outline, shapeAt } from './silhouette.ts';

/** Coverage by distance from the outline, in bins of half a millimetre from 0 on; NaN in a bin without a pixel. */
export interface Profile {
  bin: number;
  mean: number[];
}

const BIN = 0.5;
/** To where hair that stands off is counted, and where what is left of the backdrop is read, mm. Source: methods.md 4. */
const HALO = { to: 30, zero: { from: 35, to: 50 } };

/** Mean coverage over the free surroundings, by distance; `part` may narrow them. Pixels. Source: methods.md 4. */
export function profileOf(
  { coverage, outside, free }: Pick<Outline, 'coverage' | 'outside' | 'free'>,
  part: (i: number) => boolean = () => true,
): Profile {
  const bins = Math.round(CLEAR / BIN);
  const sums = new Float64Array(bins);
  const counts = new Float64Array(bins);
  const [at, covered, off] = [free.data, coverage.data, outside.data];
  for (let i = 0; i < at.length; i++) {
    if (!at[i] || !part(i)) continue;
    const bin = Math.floor(off[i]! / BIN);
    if (bin < 0 || bin >= bins) continue;
    sums[bin]! += covered[i]!;
    counts[bin]! += 1;
  }
  return { bin: BIN, mean: Array.from(sums, (sum, i) => (counts[i] ? sum / counts[i]! : Number.NaN)) };
}

/** Thickness of the halo from its profile, mm: coverage over what the backdrop itself reads, summed out to 30 mm. */
export function thicknessOf({ bin, mean }: Profile): number | null {
  const between = (from: number, to: number) =>
    mean.slice(Math.round(from / bin), Math.round(to / bin)).filter((value) => !Number.isNaN(value));
  const zero = between(HALO.zero.from, HALO.zero.to);
  if (zero.length < 10) return null;
  const ground = zero.reduce((a, b) => a + b, 0) / zero.length;
  return between(0, HALO.to).reduce((sum, value) => sum + (value - ground) * bin, 0);
}

/** The standard normal's density and share at the place under which a share `p` (.7, .8, .9) lies. Source: any table. */
const EDGES = { 0.7: 0.5244, 0.8: 0.8416, 0.9: 1.2816 } as const;

/**
 * What a bare edge blurred to a spread of `sigma` mm itself reads as halo beyond where it falls to a share `p`, mm: the
 * integral of its spread function, σ·(φ(z) + z·p). It is taken off, so that sharper and softer pictures of the same hair
 * read alike. Ours: methods.md 4 does not name it, and without it a clean edge at 5 px/mm reads about .2 mm.
 */
export const edgeReads = (sigma: number, p: keyof typeof EDGES): number => {
  const z = EDGES[p];
  return sigma * (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI) + z * p);
};

/** What the grid alone spreads an edge by, pixels: from edges drawn without any blur. Ours. */
const GRID_SPREAD = 0.18;

/** Why a halo is not given. */
export type HaloTrouble = 'little free outline' | 'edge not clear';

/** Free outline under this length says little of a head, mm. Judged. */
const LEAST_FREE = 120;
/** By how much the thickness may differ between the shapes at .7 and .9. Source: methods.md 4. */
const MOST_APART = 0.25;

/** By how much the outline may move between the thresholds, mm: pixels so near to the free side belong to it. */
const MOVES = 3;

/** What a profile is taken over. */
type Surroundings = Pick<Outline, 'coverage' | 'outside' | 'free'>;

/** The same outline at another threshold, over the same free side; `near` is what lies so near to that. */
function atThreshold(outline: Outline, threshold: number, near: Mask): Surroundings {
  const { scale, coverage, masked } = outline;
  const { core } = shapeAt(coverage, threshold, scale);
  const outside = {
    ...coverage,
    data: distanceTo(core).data.map((value, i) => (core.data[i] ? -1 : (value - 0.5) / scale)),
  };
  const free = {
    ...core,
    data: core.data.map((inside, i) =>
      !inside && !masked.data[i] && (outline.free.data[i] || (outline.core.data[i] && near.data[i])) ? 1 : 0,
    ),
  };
  return { coverage, outside, free };
}

/** The surroundings of an outline as of a lower and a higher threshold. */
export type Beside = Record<'low' | 'high', Surroundings>;

/** Both, found once for all that is read of one outline. */
export function besideOf(outline: Outline): Beside {
  const near = dilated(outline.free, MOVES * outline.scale);
  return { low: atThreshold(outline, 0.7, near), high: atThreshold(outline, 0.9, near) };
}

export type Halo =
  | { value: number; trouble: null; profile: Profile; at: { low: number | null; high: number | null } }
  | { value: null; trouble: HaloTrouble; profile: Profile | null };

/**
 * Thickness of the halo of frizz over the free outline, mm: as if all hair that stands off lay on the outline in one layer.
 * `edgeMm` is the 10–90 % rise of a sharp edge in the picture, `part` narrows to a side; `beside` gives what several parts share.
 * Source: methods.md 4.
 */
export function haloOf(
  outline: Outline,
  {
    edgeMm = 0,
    part,
    beside = () => besideOf(outline),
  }: { edgeMm?: number; part?: (i: number) => boolean; beside?: () => Beside } = {},
): Halo {
  // A rise from 10 to 90 % spans 2.563 standard deviations; the grid adds its own.
  const sigma = Math.hypot(edgeMm / 2.563, GRID_SPREAD / outline.scale);
  const off = (profile: Profile, p: keyof typeof EDGES) => {
    const read = thicknessOf(profile);
    return read === null ? null : read - edgeReads(sigma, p);
  };
  const profile = profileOf(outline, part);
  const value = off(profile, 0.8);
  const freeMm = part ? lengthAt(outline, 1, part) : outline.freeMm;
  if (value === null || freeMm < LEAST_FREE) return { value: null, trouble: 'little free outline', profile };
  const both = beside();
  const low = off(profileOf(both.low, part), 0.7);
  const high = off(profileOf(both.high, part), 0.9);
  const apart = low === null || high === null ? Number.POSITIVE_INFINITY : Math.abs(high - low);
  if (apart > Math.max(MOST_APART * value, 0.2)) return { value: null, trouble: 'edge not clear', profile };
  return { value, trouble: null, profile, at: { low, high } };
}

/** Free length of the line so many mm off the outline, mm. */
const lengthAt = ({ outside, free, scale }: Outline, at: number, part: (i: number) => boolean): number =>
  lengthOf(contoursAt(outside, at, (i) => free.data[i] === 1 && part(i))) / scale;

/** Area of the silhouette, mm²: the filled shape with the halo's; `part` narrows to a side. Source: methods.md 4. */
export function silhouetteOf(
  { shape, coverage, outside, masked, scale }: Outline,
  part: (i: number) => boolean = () => true,
): number {
  let halo = 0;
  let area = 0;
  const { zero } = HALO;
  let [ground, count] = [0, 0];
  for (let i = 0; i < outside.data.length; i++) {
    if (masked.data[i]) continue;
    if (outside.data[i]! >= zero.from && outside.data[i]! <= zero.to) {
      ground += coverage.data[i]!;
      count++;
    }
  }
  const level = count ? ground / count : 0;
  for (let i = 0; i < outside.data.length; i++) {
    if (!part(i)) continue;
    if (shape.data[i]) area++;
    else if (!masked.data[i] && outside.data[i]! <= HALO.to) halo += coverage.data[i]! - level;
  }
  return (area + halo) / scale ** 2;
}

/** Width of the shape at five heights between its top and its foot (10, 30, 50, 70, 90 %), mm. */
export function widthsOf({
  core: { width, height, data },
  scale,
}: Pick<Outline, 'core' | 'scale'>): number[] {
  const rows: { from: number; to: number }[] = [];
  let top = -1;
  for (let y = 0; y < height; y++) {
    let [from, to] = [-1, -1];
    for (let x = 0; x < width; x++)
      if (data[y * width + x]) {
        if (from < 0) from = x;
        to = x;
      }
    if (from < 0) continue;
    if (top < 0) top = y;
    rows[y - top] = { from, to };
  }
  return [0.1, 0.3, 0.5, 0.7, 0.9].map((share) => {
    const row = rows[Math.round(share * (rows.length - 1))];
    return row ? (row.to - row.from + 1) / scale : 0;
  });
}
