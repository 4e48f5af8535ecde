import type { Point } from './plane.ts';

/** A picture moved, turned and sized in its plane: (x, y) goes to (x₀ + re·x − im·y, y₀ + im·x + re·y). */
export interface Similarity {
  re: number;
  im: number;
  x: number;
  y: number;
}

export const AS_IT_IS: Similarity = { re: 1, im: 0, x: 0, y: 0 };

export const applied = ({ re, im, x, y }: Similarity, at: Point): Point => ({
  x: x + re * at.x - im * at.y,
  y: y + im * at.x + re * at.y,
});

/** From where a similarity brings a place. */
export function undone({ re, im, x, y }: Similarity, at: Point): Point {
  const size = re * re + im * im;
  const [u, v] = [at.x - x, at.y - y];
  return { x: (re * u + im * v) / size, y: (re * v - im * u) / size };
}

/**
 * The similarity that brings some places nearest to others, by least squares (Umeyama 1991 with no reflection; in the plane
 * as one complex factor). Null where the places say nothing, or are not as many.
 */
export function similarity(from: readonly Point[], to: readonly Point[]): Similarity | null {
  if (from.length === 0 || from.length !== to.length) return null;
  const middle = (all: readonly Point[]) => ({
    x: all.reduce((sum, { x }) => sum + x, 0) / all.length,
    y: all.reduce((sum, { y }) => sum + y, 0) / all.length,
  });
  const [a, b] = [middle(from), middle(to)];
  let [re, im, size] = [0, 0, 0];
  for (const [i, { x, y }] of from.entries()) {
    const [ux, uy] = [x - a.x, y - a.y];
    const [vx, vy] = [to[i]!.x - b.x, to[i]!.y - b.y];
    re += ux * vx + uy * vy;
    im += ux * vy - uy * vx;
    size += ux * ux + uy * uy;
  }
  if (!(size > 0) || !(re * re + im * im > 0)) return null;
  const [p, q] = [re / size, im / size];
  return { re: p, im: q, x: b.x - p * a.x + q * a.y, y: b.y - q * a.x - p * a.y };
}
