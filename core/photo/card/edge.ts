import { mean, median } from '../../middle.ts';
import { type Plane, type Point, sampleAt } from '../plane.ts';

/** A straight line: the places with nx·x + ny·y = c, (nx, ny) of length 1. */
export interface Line {
  nx: number;
  ny: number;
  c: number;
}

/** The line with the smallest squared distances to the places (total least squares); two places at least. */
export function lineThrough(points: readonly Point[]): Line {
  const n = points.length;
  const x = points.reduce((sum, p) => sum + p.x, 0) / n;
  const y = points.reduce((sum, p) => sum + p.y, 0) / n;
  let [xx, xy, yy] = [0, 0, 0];
  for (const p of points) {
    xx += (p.x - x) ** 2;
    xy += (p.x - x) * (p.y - y);
    yy += (p.y - y) ** 2;
  }
  // Along the line lies the direction of the larger spread; its normal is turned by a right angle.
  const along = Math.atan2(2 * xy, xx - yy) / 2;
  const [nx, ny] = [-Math.sin(along), Math.cos(along)];
  return { nx, ny, c: nx * x + ny * y };
}

/** Where two lines meet; null where they are parallel. */
export function meeting(a: Line, b: Line): Point | null {
  const det = a.nx * b.ny - a.ny * b.nx;
  if (Math.abs(det) < 1e-9) return null;
  return { x: (a.c * b.ny - b.c * a.ny) / det, y: (a.nx * b.c - b.nx * a.c) / det };
}

/**
 * The straight edge between dark and light near the stretch from `from` to `to`, fitted to where the light crosses the
 * middle between both sides, looked for up to `reach` pixels off; places far from the rest are left out. Null where fewer
 * than half of the places show an edge.
 */
export function edgeNear(light: Plane, from: Point, to: Point, reach: number): Line | null {
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  const [dx, dy] = [(to.x - from.x) / long, (to.y - from.y) / long];
  const steps = Math.max(8, Math.min(80, Math.round(long)));
  const found: Point[] = [];
  for (let i = 0; i < steps; i++) {
    // The ends, where another side begins, are left out.
    const t = long * (0.12 + (0.76 * (i + 0.5)) / steps);
    const [x, y] = [from.x + dx * t, from.y + dy * t];
    const profile: number[] = [];
    for (let k = -2 * reach; k <= 2 * reach; k++)
      profile.push(sampleAt(light, x - (dy * k) / 2, y + (dx * k) / 2));
    const ends = Math.max(2, Math.round(reach / 2));
    const low = meanOf(profile.slice(0, ends));
    const high = meanOf(profile.slice(-ends));
    if (Math.abs(high - low) < 0.08) continue;
    const middle = (low + high) / 2;
    let best: number | null = null;
    for (let k = 1; k < profile.length; k++) {
      const [a, b] = [profile[k - 1]! - middle, profile[k]! - middle];
      if (a === b || a * b > 0) continue;
      const at = k - 1 + a / (a - b);
      if (best === null || Math.abs(at - 2 * reach) < Math.abs(best - 2 * reach)) best = at;
    }
    if (best === null) continue;
    const off = (best - 2 * reach) / 2;
    found.push({ x: x - dy * off, y: y + dx * off });
  }
  if (found.length < steps / 2) return null;
  const first = lineThrough(found);
  const off = (line: Line, p: Point) => Math.abs(line.nx * p.x + line.ny * p.y - line.c);
  const typical = median(found.map((p) => off(first, p)));
  const near = found.filter((p) => off(first, p) <= Math.max(0.5, 3 * typical));
  return near.length >= steps / 2 ? lineThrough(near) : null;
}

/** The mean of some numbers, one at least. */
export const meanOf = (all: readonly number[]): number => mean(all)!;

/**
 * How far a straight edge takes from 10 to 90 % of its step, pixels: the pixels beside it, sorted by their distance to the
 * line into bins of a quarter of a pixel. Null where there is no edge of any height. Source: the edge spread function of
 * ISO 12233:2017, E, whose slanted edge this is; the rise instead of the SFR is ours.
 */
export function riseOf(light: Plane, from: Point, to: Point, reach: number): number | null {
  const line = edgeNear(light, from, to, reach);
  if (!line) return null;
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  const [dx, dy] = [(to.x - from.x) / long, (to.y - from.y) / long];
  const bins = 8 * reach + 1;
  const sums = new Float64Array(bins);
  const counts = new Float64Array(bins);
  const [x0, x1] = [Math.min(from.x, to.x) - reach, Math.max(from.x, to.x) + reach];
  const [y0, y1] = [Math.min(from.y, to.y) - reach, Math.max(from.y, to.y) + reach];
  for (let y = Math.max(0, Math.floor(y0)); y <= Math.min(light.height - 1, Math.ceil(y1)); y++)
    for (let x = Math.max(0, Math.floor(x0)); x <= Math.min(light.width - 1, Math.ceil(x1)); x++) {
      const along = (x - from.x) * dx + (y - from.y) * dy;
      if (along < 0.15 * long || along > 0.85 * long) continue;
      const bin = Math.round(4 * (line.nx * x + line.ny * y - line.c)) + 4 * reach;
      if (bin < 0 || bin >= bins) continue;
      sums[bin]! += light.data[y * light.width + x]!;
      counts[bin]! += 1;
    }
  const spread = Array.from(sums, (sum, i) => (counts[i] ? sum / counts[i]! : Number.NaN));
  if (spread.some(Number.isNaN)) return null;
  const ends = 2 * Math.max(2, Math.round(reach / 2));
  const low = meanOf(spread.slice(0, ends));
  const high = meanOf(spread.slice(-ends));
  if (Math.abs(high - low) < 0.08) return null;
  const share = spread.map((value) => (value - low) / (high - low));
  /** The crossing of a height nearest to the line itself. */
  const crossing = (height: number): number | null => {
    let best: number | null = null;
    for (let i = 1; i < share.length; i++) {
      const [a, b] = [share[i - 1]! - height, share[i]! - height];
      if (a > 0 || b < 0 || a === b) continue;
      const at = i - 1 - a / (b - a);
      if (best === null || Math.abs(at - 4 * reach) < Math.abs(best - 4 * reach)) best = at;
    }
    return best;
  };
  const [ten, ninety] = [crossing(0.1), crossing(0.9)];
  return ten === null || ninety === null || ninety <= ten ? null : (ninety - ten) / 4;
}
