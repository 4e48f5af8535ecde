import { emptyPlane, type Plane } from './plane.ts';

/** Weights of a normal curve of `sigma` pixels, out to four of them, summing to 1; the middle first. */
export function gaussianWeights(sigma: number): Float64Array {
  const reach = Math.max(1, Math.ceil(4 * sigma));
  const half = Float64Array.from({ length: reach + 1 }, (_, i) => Math.exp((-i * i) / (2 * sigma * sigma)));
  const sum = 2 * half.reduce((a, b) => a + b, 0) - half[0]!;
  return half.map((weight) => weight / sum);
}

/** Where a place beyond an edge is read: mirrored about the outermost pixel, … 2 1 [0 1 2 … */
function mirrored(length: number, reach: number): Int32Array {
  const around = 2 * (length - 1) || 1;
  return Int32Array.from({ length: length + 2 * reach }, (_, k) => {
    const at = (((k - reach) % around) + around) % around;
    return at < length ? at : around - at;
  });
}

/**
 * Four distances of a curve at once, each from both of its sides: `sums[x] = middle · from[at + x] + Σ w·(from[a + x] + from[b + x])`
 * where the first four are summed, `+=` without the middle for those after them.
 */
function sumFour(
  sums: Float64Array,
  from: Float32Array,
  first: { at: number; middle: number } | null,
  [a1, a2, a3, a4]: readonly number[],
  [b1, b2, b3, b4]: readonly number[],
  [w1, w2, w3, w4]: readonly number[],
): void {
  if (first) {
    const { at, middle } = first;
    for (let x = 0; x < sums.length; x++)
      sums[x] =
        middle * from[at + x]! +
        w1! * (from[a1! + x]! + from[b1! + x]!) +
        w2! * (from[a2! + x]! + from[b2! + x]!) +
        w3! * (from[a3! + x]! + from[b3! + x]!) +
        w4! * (from[a4! + x]! + from[b4! + x]!);
  } else
    for (let x = 0; x < sums.length; x++)
      sums[x]! +=
        w1! * (from[a1! + x]! + from[b1! + x]!) +
        w2! * (from[a2! + x]! + from[b2! + x]!) +
        w3! * (from[a3! + x]! + from[b3! + x]!) +
        w4! * (from[a4! + x]! + from[b4! + x]!);
}

/** A plane smoothed by a normal curve of `sigma` pixels, mirrored at its edges; `sigma` 0 gives it back as it is. */
export function gaussian(plane: Plane, sigma: number): Plane {
  if (sigma <= 0) return plane;
  const { width, height, data } = plane;
  const curve = gaussianWeights(sigma);
  const middle = curve[0]!;
  // As far as whole fours go, with nothing beyond the curve's own reach.
  const fours = Array.from({ length: Math.ceil((curve.length - 1) / 4) }, (_, n) =>
    [1, 2, 3, 4].map((k) => 4 * n + k),
  );
  const weights = fours.map((ks) => ks.map((k) => curve[k] ?? 0));
  const reach = 4 * fours.length;
  const sums = new Float64Array(width);
  const across = emptyPlane(width, height);
  const line = new Float32Array(width + 2 * reach);
  const columns = mirrored(width, reach);
  const before = fours.map((ks) => ks.map((k) => reach - k));
  const after = fours.map((ks) => ks.map((k) => reach + k));
  const first = { at: reach, middle };
  for (let y = 0; y < height; y++) {
    const row = y * width;
    line.set(data.subarray(row, row + width), reach);
    for (let k = 0; k < reach; k++) {
      line[k] = data[row + columns[k]!]!;
      line[reach + width + k] = data[row + columns[reach + width + k]!]!;
    }
    for (let n = 0; n < fours.length; n++)
      sumFour(sums, line, n === 0 ? first : null, before[n]!, after[n]!, weights[n]!);
    across.data.set(sums, row);
  }
  const out = emptyPlane(width, height);
  const rows = mirrored(height, reach);
  const rowAt = (y: number) => rows[y + reach]! * width;
  for (let y = 0; y < height; y++) {
    const own = { at: y * width, middle };
    for (const [n, ks] of fours.entries())
      sumFour(
        sums,
        across.data,
        n === 0 ? own : null,
        ks.map((k) => rowAt(y - k)),
        ks.map((k) => rowAt(y + k)),
        weights[n]!,
      );
    out.data.set(sums, y * width);
  }
  return out;
}

/** What a plane gains to the right and downwards. */
export interface Slope {
  right: number;
  down: number;
}

/**
 * How much a plane smoothed by a normal curve of `sigma` pixels gains from the pixel before a place to the one after it, for the few
 * places that are asked for: as {@link gaussian} would give it for all, mirrored at its edges.
 */
export function slopesOf({ width, height, data }: Plane, sigma: number): (x: number, y: number) => Slope {
  const half = gaussianWeights(sigma);
  const reach = half.length;
  const weight = (k: number) => half[Math.abs(k)] ?? 0;
  const side = 2 * reach + 1;
  const smooth = Float64Array.from({ length: side }, (_, k) => weight(k - reach));
  const gain = Float64Array.from({ length: side }, (_, k) => weight(k - reach - 1) - weight(k - reach + 1));
  const columns = mirrored(width, reach);
  const rows = mirrored(height, reach);
  return (x, y) => {
    let [right, down] = [0, 0];
    for (let v = 0; v < side; v++) {
      const row = rows[y + v]! * width;
      let [smoothed, gained] = [0, 0];
      for (let u = 0; u < side; u++) {
        const value = data[row + columns[x + u]!]!;
        smoothed += smooth[u]! * value;
        gained += gain[u]! * value;
      }
      right += smooth[v]! * gained;
      down += gain[v]! * smoothed;
    }
    return { right, down };
  };
}
