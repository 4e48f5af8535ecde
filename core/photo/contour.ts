import type { Plane, Point } from './plane.ts';

/**
 * Lines along which a plane has a value, by marching squares: each a run of places, between pixels; `within` may leave out
 * cells (by the index of their top left pixel). Source: Lorensen & Cline (1987), in the plane; saddles by the cell's mean.
 */
export function contoursAt(
  { width, height, data }: Plane,
  level: number,
  within: (i: number) => boolean = () => true,
): Point[][] {
  /** Ends of pieces by the cell's side they lie on: 2·i for the side above pixel i's cell, 2·i + 1 for its left side. */
  const links = new Map<number, number[]>();
  const places = new Map<number, Point>();
  const between = (a: number, b: number) => (level - a) / (b - a);
  // Which pixels of the line above and of this one lie at the level or over it.
  let upper = new Uint8Array(width);
  let lower = new Uint8Array(width);
  const see = (row: number, into: Uint8Array) => {
    for (let x = 0; x < width; x++) into[x] = data[row + x]! >= level ? 1 : 0;
  };
  see(0, upper);
  for (let y = 0; y + 1 < height; y++) {
    const row = y * width;
    see(row + width, lower);
    let left = upper[0]! + lower[0]!;
    for (let x = 0; x + 1 < width; x++) {
      const right = upper[x + 1]! + lower[x + 1]!;
      const corners = left + right;
      left = right;
      // Nothing crosses a cell whose corners lie on one side.
      if (corners === 0 || corners === 4) continue;
      const i = row + x;
      if (!within(i)) continue;
      const [a, b, c, d] = [data[i]!, data[i + 1]!, data[i + width + 1]!, data[i + width]!];
      const sides = [
        { id: 2 * i, crosses: a >= level !== b >= level, x: x + between(a, b), y },
        { id: 2 * (i + 1) + 1, crosses: b >= level !== c >= level, x: x + 1, y: y + between(b, c) },
        { id: 2 * (i + width), crosses: d >= level !== c >= level, x: x + between(d, c), y: y + 1 },
        { id: 2 * i + 1, crosses: a >= level !== d >= level, x, y: y + between(a, d) },
      ];
      const on = sides.filter(({ crosses }) => crosses);
      for (const { id, x, y } of on) places.set(id, { x, y });
      const join = (p: number, q: number) => {
        links.set(p, [...(links.get(p) ?? []), q]);
        links.set(q, [...(links.get(q) ?? []), p]);
      };
      if (on.length === 2) join(on[0]!.id, on[1]!.id);
      else {
        // A saddle: whichever corners the middle goes with are joined.
        const high = (a + b + c + d) / 4 >= level;
        const [top, right, low, left] = sides.map(({ id }) => id) as [number, number, number, number];
        if (high === a >= level) {
          join(top, right);
          join(low, left);
        } else {
          join(top, left);
          join(right, low);
        }
      }
    }
    [upper, lower] = [lower, upper];
  }
  const lines: Point[][] = [];
  const seen = new Set<number>();
  const follow = (start: number) => {
    const line: Point[] = [];
    let at: number | undefined = start;
    while (at !== undefined && !seen.has(at)) {
      seen.add(at);
      line.push(places.get(at)!);
      at = links.get(at)!.find((next) => !seen.has(next));
    }
    // A closed line ends where it began.
    if (line.length > 2 && links.get(start)!.length === 2) {
      const [last, first] = [line.at(-1)!, line[0]!];
      if (Math.hypot(last.x - first.x, last.y - first.y) < 2) line.push(first);
    }
    if (line.length > 1) lines.push(line);
  };
  // Open lines from their ends first, then the closed ones.
  for (const [id, next] of links) if (next.length === 1 && !seen.has(id)) follow(id);
  for (const id of links.keys()) if (!seen.has(id)) follow(id);
  return lines;
}

/** How long lines are together. */
export const lengthOf = (lines: readonly (readonly Point[])[]): number =>
  lines.reduce(
    (sum, line) =>
      line.reduce((long, b, i) => {
        const a = line[i - 1];
        return a ? long + Math.hypot(b.x - a.x, b.y - a.y) : long;
      }, sum),
    0,
  );
