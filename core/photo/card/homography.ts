import type { Point } from '../plane.ts';
import { solved } from '../solve.ts';

/** A plane-to-plane projection, row by row, the last element 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** A place carried through a projection. */
export function projected(h: Homography, { x, y }: Point): Point {
  const w = h[6] * x + h[7] * y + h[8];
  return { x: (h[0] * x + h[1] * y + h[2]) / w, y: (h[3] * x + h[4] * y + h[5]) / w };
}

/** Shifts and scales places to lie about 0 at a mean distance of √2 (Hartley 1997). */
function normalising(points: readonly Point[]) {
  const n = points.length;
  const x = points.reduce((sum, p) => sum + p.x, 0) / n;
  const y = points.reduce((sum, p) => sum + p.y, 0) / n;
  const spread = points.reduce((sum, p) => sum + Math.hypot(p.x - x, p.y - y), 0) / n;
  const scale = Math.SQRT2 / (spread || 1);
  return { x, y, scale, of: (p: Point): Point => ({ x: (p.x - x) * scale, y: (p.y - y) * scale }) };
}

/**
 * The projection that best carries `from` to `to` (least squares of the linear equations over normalised places); four
 * pairs at least, no three on one line. Throws a RangeError otherwise. Source: Hartley & Zisserman (2004), Multiple View
 * Geometry, 4.1 and 4.4.
 */
export function homographyBetween(from: readonly Point[], to: readonly Point[]): Homography {
  if (from.length !== to.length || from.length < 4) throw new RangeError('A projection needs four places.');
  const [a, b] = [normalising(from), normalising(to)];
  const normal = Array.from({ length: 8 }, () => new Array<number>(8).fill(0));
  const right = new Array<number>(8).fill(0);
  from.forEach((point, i) => {
    const { x, y } = a.of(point);
    const { x: u, y: v } = b.of(to[i]!);
    for (const [row, value] of [
      [[x, y, 1, 0, 0, 0, -u * x, -u * y], u],
      [[0, 0, 0, x, y, 1, -v * x, -v * y], v],
    ] as const)
      for (let j = 0; j < 8; j++) {
        right[j]! += row[j]! * value;
        for (let k = 0; k < 8; k++) normal[j]![k]! += row[j]! * row[k]!;
      }
  });
  const n = [...solved(normal, right), 1];
  // Back from normalised places: B⁻¹ · N · A.
  const rowsOfA = [
    [a.scale, 0, -a.scale * a.x],
    [0, a.scale, -a.scale * a.y],
    [0, 0, 1],
  ];
  const rowsOfB = [
    [1 / b.scale, 0, b.x],
    [0, 1 / b.scale, b.y],
    [0, 0, 1],
  ];
  const times = (p: readonly number[][], q: readonly number[][]) =>
    p.map((row) => [0, 1, 2].map((j) => row.reduce((sum, value, k) => sum + value * q[k]![j]!, 0)));
  const full = times(times(rowsOfB, [n.slice(0, 3), n.slice(3, 6), n.slice(6, 9)]), rowsOfA).flat();
  return full.map((value) => value / full[8]!) as unknown as Homography;
}

/** The projection that undoes `h`. */
export function inverted(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h;
  const out = [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ];
  return out.map((value) => value / out[8]!) as unknown as Homography;
}
