import type { Point } from '../photo/plane.ts';
import { seededRandom } from '../random.ts';
import type { MadeUpHead, Strand } from './head.ts';
import { areaOf, outlineFrom, seenFrom, turned, USUAL_DISTANCE } from './view.ts';

/** What is true of a made-up head seen from one side, from its geometry alone, in the plane of its axis: mm and mm². */
export interface Truth {
  /** As if all hair off the closed shape lay on its free outline in one layer. */
  halo: number;
  /** Closed shape, and the hair that stands off it. */
  silhouette: number;
  /** How often strands cross lines 3, 6, 10 and 15 mm off the free outline, per 100 mm of each. */
  strays: readonly number[];
  /** Half of the horizontal width at the widest. */
  halfWidth: number;
}

const CELL = 4;
const keyOf = (x: number, y: number) => Math.floor(x / CELL) * 4096 + Math.floor(y / CELL);

/** Straight pieces by the cells they pass, to be asked which are near a place. */
function cellsOf(pieces: readonly (readonly [Point, Point])[], room: number): Map<number, number[]> {
  const cells = new Map<number, number[]>();
  pieces.forEach(([a, b], i) => {
    for (
      let x = Math.floor((Math.min(a.x, b.x) - room) / CELL);
      x <= Math.floor((Math.max(a.x, b.x) + room) / CELL);
      x++
    )
      for (
        let y = Math.floor((Math.min(a.y, b.y) - room) / CELL);
        y <= Math.floor((Math.max(a.y, b.y) + room) / CELL);
        y++
      ) {
        const key = x * 4096 + y;
        const own = cells.get(key);
        if (own) own.push(i);
        else cells.set(key, [i]);
      }
  });
  return cells;
}

/** Distance of a place to a straight piece. */
function apart({ x, y }: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const t = Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(x - a.x - t * dx, y - a.y - t * dy);
}

function inside(polygon: readonly Point[], { x, y }: Point): boolean {
  let odd = false;
  for (let i = 0; i < polygon.length; i++) {
    const [a, b] = [polygon[i]!, polygon[(i + 1) % polygon.length]!];
    if (a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)) odd = !odd;
  }
  return odd;
}

const piecesOf = (strand: Strand, turn: number, distance: number): [Point, Point][] => {
  const places = Array.from({ length: strand.path.length / 3 }, (_, i) =>
    seenFrom(
      turned({ x: strand.path[3 * i]!, y: strand.path[3 * i + 1]!, z: strand.path[3 * i + 2]! }, turn),
      distance,
    ),
  );
  return places.slice(1).map((at, i) => [places[i]!, at]);
};

/** Distances at which strands are counted, mm. Source: methods.md 4. */
const LEVELS = [3, 6, 10, 15] as const;
/** To where hair counts as standing off, mm. */
const REACH = 30;
/** Where the outline faces down more than sideways it is the hem, and left out. */
const HEM = Math.SQRT1_2;

/**
 * What is true of a head seen from one side: `places` random places about its outline are asked whether a strand covers
 * them and how far the outline is. No pixel is involved. Source: methods.md 4, "known truth".
 */
export function truthOf(head: MadeUpHead, turn: number, places = 400_000, distance = USUAL_DISTANCE): Truth {
  const outline = outlineFrom(head.body, turn, distance);
  const sides = outline.map((a, i) => [a, outline[(i + 1) % outline.length]!] as const);
  const free = sides.map(([a, b]) => {
    const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    // The outline runs clockwise (y points down): its outward normal is (dy, −dx).
    return -(b.x - a.x) / long <= HEM;
  });
  const nearSides = cellsOf(sides, REACH + CELL);
  const strands = head.off.flatMap((strand) => piecesOf(strand, turn, distance));
  const half = head.plan.strand / 2;
  const nearStrands = cellsOf(strands, half);
  const xs = outline.map(({ x }) => x);
  const ys = outline.map(({ y }) => y);
  const box = {
    x: Math.min(...xs) - REACH,
    y: Math.min(...ys) - REACH,
    width: Math.max(...xs) - Math.min(...xs) + 2 * REACH,
    height: Math.max(...ys) - Math.min(...ys) + 2 * REACH,
  };
  const random = seededRandom(head.plan.seed + 17);
  const nearest = (at: Point): [distance: number, side: number] | null => {
    const candidates = nearSides.get(keyOf(at.x, at.y));
    if (!candidates || inside(outline, at)) return null;
    let [best, which] = [Number.POSITIVE_INFINITY, -1];
    for (const i of candidates) {
      const d = apart(at, sides[i]![0], sides[i]![1]);
      if (d < best) [best, which] = [d, i];
    }
    return best < REACH ? [best, which] : null;
  };
  const BINS = 60;
  const total = new Float64Array(BINS);
  const covered = new Float64Array(BINS);
  let off = 0;
  for (let n = 0; n < places; n++) {
    const at = { x: box.x + random.unit() * box.width, y: box.y + random.unit() * box.height };
    const found = nearest(at);
    if (!found) continue;
    const [best, which] = found;
    const hit = (nearStrands.get(keyOf(at.x, at.y)) ?? []).some(
      (i) => apart(at, strands[i]![0], strands[i]![1]) <= half,
    );
    if (hit) off++;
    if (!free[which]) continue;
    const bin = Math.floor((best / REACH) * BINS);
    total[bin]! += 1;
    if (hit) covered[bin]! += 1;
  }
  let halo = 0;
  for (let bin = 0; bin < BINS; bin++) if (total[bin]) halo += (covered[bin]! / total[bin]!) * (REACH / BINS);
  // The length of a line at a distance is the area about it by its width.
  const bin = REACH / BINS;
  const perPlace = (box.width * box.height) / places;
  const lengthAt = (d: number) => {
    const i = Math.round(d / bin);
    return ((total[i - 1]! + total[i]!) * perPlace) / (2 * bin);
  };
  const crossings = LEVELS.map(() => 0);
  for (const [a, b] of strands) {
    const [from, to] = [nearest(a), nearest(b)];
    if (!from || !to || !free[from[1]] || !free[to[1]]) continue;
    LEVELS.forEach((level, i) => {
      if (from[0] < level !== to[0] < level) crossings[i]! += 1;
    });
  }
  return {
    halo,
    strays: crossings.map((n, i) => (100 * n) / lengthAt(LEVELS[i]!)),
    silhouette: areaOf(outline) + (off / places) * box.width * box.height,
    halfWidth: Math.max(...xs.map(Math.abs)),
  };
}
