import type { Point } from '../photo/plane.ts';
import { normals, seededRandom } from '../random.ts';
import { type CloseFrame, type ClosePlan, strandPieces } from './close.ts';

/** What is true of made-up hair from near, from its geometry alone: no pixel, no light. */
export interface NearTruth {
  /** How alike the ways of strands are at places near each other: mean cos 2Δ over pairs; 1 is one way, 0 none. */
  run: number;
  /** Logarithm of how much further apart in depth the hair's surface is between clumps than between strands. */
  relief: number;
}

const CELL = 0.5;
/** How far about one place ways are compared, shares of the curl's width; how far apart depths are, mm, between clumps and strands. */
const WAYS = [0.1, 0.2, 0.4] as const;
/** Two places drawn about one middle lie so much further from each other than from it. */
const OF_A_PAIR = Math.SQRT2;
const BETWEEN = { clumps: 3, strands: 0.25 } as const;

/**
 * Asks random places of the hair which strand lies foremost there, its way and its depth, and compares each with a place a
 * little off. `curlWidth` in mm. Source: methods.md 4, "known truth": geometry, never the measures' own formulas.
 */
export function nearTruth(plan: ClosePlan, frame: CloseFrame, curlWidth: number, places = 4000): NearTruth {
  const mm = {
    ...frame,
    width: frame.width / frame.pxPerMm,
    height: frame.height / frame.pxPerMm,
    pxPerMm: 1,
  };
  const { count, ends, depths } = strandPieces(plan, mm, 1);
  const cells = new Map<number, number[]>();
  const keyOf = (x: number, y: number) => Math.floor(x / CELL) * 4096 + Math.floor(y / CELL);
  for (let i = 0; i < count; i++) {
    const [ax, ay, bx, by] = [ends[5 * i]!, ends[5 * i + 1]!, ends[5 * i + 2]!, ends[5 * i + 3]!];
    const half = ends[5 * i + 4]!;
    const steps = Math.ceil(Math.hypot(bx - ax, by - ay) / (CELL / 3));
    // Every cell the piece passes, a half of its thickness to each side; in turn, so that none is entered twice.
    let [last, before] = [Number.NaN, Number.NaN];
    for (let k = 0; k <= steps; k++) {
      const [x, y] = [ax + ((bx - ax) * k) / steps, ay + ((by - ay) * k) / steps];
      for (const side of [-half, half]) {
        const key = keyOf(x + side, y);
        if (key === last || key === before) continue;
        [before, last] = [last, key];
        const own = cells.get(key);
        if (own) own.push(i);
        else cells.set(key, [i]);
      }
    }
  }
  /** The strand that lies foremost at a place; null where none does. */
  const foremost = ({ x, y }: Point): { way: number; depth: number } | null => {
    let best = -1;
    for (const i of cells.get(keyOf(x, y)) ?? []) {
      if (best >= 0 && depths[i]! <= depths[best]!) continue;
      const [ax, ay] = [ends[5 * i]!, ends[5 * i + 1]!];
      const [dx, dy] = [ends[5 * i + 2]! - ax, ends[5 * i + 3]! - ay];
      const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      if (Math.hypot(x - ax - t * dx, y - ay - t * dy) <= ends[5 * i + 4]!) best = i;
    }
    if (best < 0) return null;
    const at = 5 * best;
    return {
      way: Math.atan2(ends[at + 2]! - ends[at]!, ends[at + 3]! - ends[at + 1]!),
      depth: depths[best]!,
    };
  };
  const random = seededRandom(plan.seed + 31);
  const gauss = normals(random);
  const low = frame.card ? 60 : 0;
  const pairs = (apart: number) => {
    let [ways, depth, n] = [0, 0, 0];
    for (let k = 0; k < places; k++) {
      const at = { x: random.unit() * mm.width, y: low + random.unit() * (mm.height - low) };
      const beside = { x: at.x + apart * gauss(), y: at.y + apart * gauss() };
      const [a, b] = [foremost(at), foremost(beside)];
      if (!a || !b) continue;
      ways += Math.cos(2 * (a.way - b.way));
      depth += (a.depth - b.depth) ** 2;
      n++;
    }
    return { ways: ways / n, depth: depth / n };
  };
  const run = WAYS.reduce((sum, share) => sum + pairs(OF_A_PAIR * share * curlWidth).ways, 0) / WAYS.length;
  return {
    run,
    relief: Math.log(pairs(BETWEEN.clumps).depth / pairs(BETWEEN.strands).depth),
  };
}
