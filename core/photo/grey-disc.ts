import { emptyPlane, type Plane } from './plane.ts';

/** How far a disc {dx² + dy² ≤ radius²} reaches to the side in each of its rows, from the middle row on. */
const reachOf = (radius: number): number[] => {
  const rows: number[] = [];
  for (let dy = 0; dy <= Math.floor(radius); dy++)
    rows.push(Math.floor(Math.sqrt(radius * radius - dy * dy) + 1e-9));
  return rows;
};

/** More than any value. */
const BEYOND = 32_767;

/** The least of each value and its neighbours to both sides, line by line. */
function leastBeside(from: Int16Array, to: Int16Array, width: number): void {
  for (let row = 0; row < from.length; row += width) {
    const last = row + width - 1;
    let before = BEYOND;
    let own = from[row]!;
    for (let i = row; i < last; i++) {
      const after = from[i + 1]!;
      to[i] = Math.min(before, own, after);
      before = own;
      own = after;
    }
    to[last] = Math.min(before, own);
  }
}

/** Takes over what is less at `shift` pixels from each. */
function takeLess(out: Int16Array, from: Int16Array, shift: number): void {
  const first = Math.max(0, -shift);
  const last = Math.min(out.length, out.length - shift);
  for (let i = first; i < last; i++) {
    const value = from[i + shift]!;
    if (value < out[i]!) out[i] = value;
  }
}

/**
 * Least value under a disc of that radius (pixels) about each pixel; what lies beyond the picture does not count. A row of the
 * disc that reaches one pixel further to both sides is the least of two of the shorter one, so that each reach costs one
 * comparison a pixel.
 */
function leastUnder(data: Int16Array, width: number, radius: number): Int16Array {
  const rows = reachOf(radius);
  const out = new Int16Array(data.length).fill(BEYOND);
  let along = data;
  let spare = [new Int16Array(data.length), new Int16Array(data.length)] as const;
  for (let reach = 0; reach <= rows[0]!; reach++) {
    if (reach > 0) {
      leastBeside(along, spare[0], width);
      along = spare[0];
      spare = [spare[1], spare[0]];
    }
    for (let dy = 0; dy < rows.length; dy++) {
      if (rows[dy] !== reach) continue;
      takeLess(out, along, dy * width);
      if (dy > 0) takeLess(out, along, -dy * width);
    }
  }
  return out;
}

/** Steps a unit is told in: values keep within ±16 of them. */
const STEPS = 2000;
const LIMIT = 32_000;

/**
 * Opening by a disc {dx² + dy² ≤ radius²} (pixels): without what is brighter than its surroundings and into which the disc
 * does not fit. Values are told in steps of 1/2000 and within ±16; what is not finite is no part of the picture, and stays 0.
 * Source: Serra (1982), Image Analysis and Mathematical Morphology.
 */
export function openedGrey({ width, height, data }: Plane, radius: number): Plane {
  const steps = new Int16Array(data.length);
  for (let i = 0; i < data.length; i++) {
    const value = data[i]! * STEPS;
    steps[i] = Number.isFinite(value) ? Math.round(Math.min(LIMIT, Math.max(-LIMIT, value))) : BEYOND;
  }
  const least = leastUnder(steps, width, radius);
  for (let i = 0; i < least.length; i++) least[i] = steps[i] === BEYOND ? BEYOND : -least[i]!;
  const most = leastUnder(least, width, radius);
  const out = emptyPlane(width, height);
  for (let i = 0; i < most.length; i++) out.data[i] = steps[i] === BEYOND ? 0 : -most[i]! / STEPS;
  return out;
}
