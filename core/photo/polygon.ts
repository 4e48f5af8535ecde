import type { Point } from './plane.ts';

/** Gives the stretches of each row (whole numbers from 0) that lie inside a polygon, by the even-odd rule. */
export function fillRows(
  polygon: readonly Point[],
  rows: number,
  take: (y: number, from: number, to: number) => void,
): void {
  const ys = polygon.map(({ y }) => y);
  const first = Math.max(0, Math.ceil(Math.min(...ys)));
  const last = Math.min(rows - 1, Math.floor(Math.max(...ys)));
  for (let y = first; y <= last; y++) {
    const at: number[] = [];
    for (let i = 0; i < polygon.length; i++) {
      const [a, b] = [polygon[i]!, polygon[(i + 1) % polygon.length]!];
      if (a.y <= y !== b.y <= y) at.push(a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x));
    }
    at.sort((a, b) => a - b);
    for (let i = 0; i + 1 < at.length; i += 2) take(y, at[i]!, at[i + 1]!);
  }
}
