import { emptyPlane, type Plane } from '../photo/plane.ts';
import { shrunk } from '../photo/resample.ts';

/** Pieces of strands: their ends (x, y, x, y and half their thickness, pixels) and how deep each lies, mm; more is nearer. */
export interface NearPieces {
  count: number;
  ends: Float32Array;
  depths: Float32Array;
}

/** Cells a millimetre the hair's front is told on, about one a strand. */
const CELLS = 10;
/** How far off hair is looked for that stands in the light, mm, and in how many directions. */
const DISTANCES = [0.3, 0.6, 1.2, 2.5, 5] as const;
const DIRECTIONS = 8;
/** A piece that lies so far under the front all along is not seen, mm. */
const HIDDEN = 0.3;

/** How deep the foremost strand of each cell lies; cells without one lie as deep as the deepest. `scale` in `ends` a mm. */
function frontOf({ count, ends, depths }: NearPieces, wide: number, tall: number, scale: number): Plane {
  const front = emptyPlane(Math.ceil(wide * CELLS), Math.ceil(tall * CELLS));
  const { width, height, data } = front;
  let deepest = Number.POSITIVE_INFINITY;
  for (const depth of depths) if (depth < deepest) deepest = depth;
  data.fill(deepest);
  const per = CELLS / scale;
  for (let i = 0; i < count; i++) {
    const [x, y] = [ends[5 * i]! * per, ends[5 * i + 1]! * per];
    const [dx, dy] = [ends[5 * i + 2]! * per - x, ends[5 * i + 3]! * per - y];
    const steps = Math.max(1, Math.ceil(Math.max(Math.abs(dx), Math.abs(dy))));
    const depth = depths[i]!;
    for (let k = 0; k < steps; k++) {
      const t = (k + 0.5) / steps;
      const [column, row] = [Math.floor(x + t * dx), Math.floor(y + t * dy)];
      if (column < 0 || row < 0 || column >= width || row >= height) continue;
      const at = row * width + column;
      if (depth > data[at]!) data[at] = depth;
    }
  }
  return front;
}

/**
 * How much of an even sky before the hair each piece of a strand sees, 0 to 1: in each of eight directions the sky ends where
 * hair a little off stands highest above it, and what is left of it counts by the cosine of the way it falls in; 0 for what
 * lies under other hair all along. `wide` and `tall` in mm, `scale` in units of `ends` a mm. Source: horizons, Max (1988), The
 * Visual Computer 4, 109–117 (from memory).
 */
export function skyOver(pieces: NearPieces, wide: number, tall: number, scale: number): Float32Array {
  const finest = frontOf(pieces, wide, tall, scale);
  let front = finest;
  const levels = DISTANCES.map((distance) => {
    // Hair further off counts as it is on average over a quarter of its distance.
    front = shrunk(front, Math.min(1, 4 / distance / (front.width / wide)));
    const per = front.width / wide;
    const ways = Array.from({ length: DIRECTIONS }, (_, k) => {
      const turn = (2 * Math.PI * (k + 0.5)) / DIRECTIONS;
      return [Math.round(distance * per * Math.cos(turn)), Math.round(distance * per * Math.sin(turn))];
    });
    const far = Math.hypot(...ways[0]!) / per;
    return { plane: front, per: per / scale, far, ways: Int32Array.from(ways.flat()) };
  });
  const { count, ends, depths } = pieces;
  const within = (at: number, size: number) => (at < 0 ? 0 : at >= size ? size - 1 : at);
  const frontAt = (x: number, y: number) => {
    const { width, height, data } = finest;
    const per = CELLS / scale;
    return data[within(Math.floor(y * per), height) * width + within(Math.floor(x * per), width)]!;
  };
  const steepest = new Float64Array(DIRECTIONS);
  const out = new Float32Array(count);
  for (let i = 0; i < count; i++) {
    const [ax, ay, bx, by] = [ends[5 * i]!, ends[5 * i + 1]!, ends[5 * i + 2]!, ends[5 * i + 3]!];
    const [x, y] = [(ax + bx) / 2, (ay + by) / 2];
    const depth = depths[i]!;
    const over = depth + HIDDEN;
    if (frontAt(x, y) > over && frontAt(ax, ay) > over && frontAt(bx, by) > over) continue;
    steepest.fill(0);
    for (const { plane, per, far, ways } of levels) {
      const { width, height, data } = plane;
      const [column, row] = [Math.floor(x * per), Math.floor(y * per)];
      for (let k = 0; k < DIRECTIONS; k++) {
        const at = within(row + ways[2 * k + 1]!, height) * width + within(column + ways[2 * k]!, width);
        const rise = (data[at]! - depth) / far;
        if (rise > steepest[k]!) steepest[k] = rise;
      }
    }
    let seen = 0;
    for (let k = 0; k < DIRECTIONS; k++) seen += 1 / (1 + steepest[k]! * steepest[k]!);
    out[i] = seen / DIRECTIONS;
  }
  return out;
}
