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

/** A plane smoothed by a normal curve of `sigma` pixels, mirrored at its edges; `sigma` 0 gives it back as it is. */
export function gaussian(plane: Plane, sigma: number): Plane {
  if (sigma <= 0) return plane;
  const { width, height, data } = plane;
  const weights = gaussianWeights(sigma);
  const reach = weights.length - 1;
  const across = emptyPlane(width, height);
  const line = new Float32Array(width + 2 * reach);
  const columns = mirrored(width, reach);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    for (let k = 0; k < line.length; k++) line[k] = data[row + columns[k]!]!;
    for (let x = 0; x < width; x++) {
      let sum = weights[0]! * line[x + reach]!;
      for (let k = 1; k <= reach; k++) sum += weights[k]! * (line[x + reach - k]! + line[x + reach + k]!);
      across.data[row + x] = sum;
    }
  }
  const out = emptyPlane(width, height);
  const rows = mirrored(height, reach);
  const sums = new Float64Array(width);
  const from = across.data;
  for (let y = 0; y < height; y++) {
    const middle = rows[y + reach]! * width;
    const first = weights[0]!;
    for (let x = 0; x < width; x++) sums[x] = first * from[middle + x]!;
    // Both sides of the curve at once.
    for (let k = 1; k <= reach; k++) {
      const above = rows[y + reach - k]! * width;
      const below = rows[y + reach + k]! * width;
      const weight = weights[k]!;
      for (let x = 0; x < width; x++) sums[x]! += weight * (from[above + x]! + from[below + x]!);
    }
    out.data.set(sums, y * width);
  }
  return out;
}
