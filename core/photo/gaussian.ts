import { kernelsWith } from './kernels/kernels.ts';
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

/** The next whole number of so many. */
const upTo = (value: number, whole: number): number => Math.ceil(value / whole) * whole;
/** A kernel takes a line by so many bytes at once. */
const STRETCH = 64;

/** A plane weighed along its rows and columns by a curve, mirrored at its edges, by the kernels; null where there are none. */
function byKernels({ width, height, data }: Plane, curve: Float64Array): Plane | null {
  const reach = curve.length - 1;
  // In their memory, by bytes: the curve, a table of lines, a row with what is mirrored beside it, as many rows weighed
  // along themselves as a column's curve reaches over, and one that is done.
  const row = upTo(4 * width, STRETCH);
  const held = Math.min(height, 2 * reach + 1);
  const table = upTo(4 * (reach + 1), STRETCH);
  const line = table + upTo(4 * (2 * reach + 1), STRETCH);
  const rows = line + row + upTo(8 * reach, STRETCH);
  const done = rows + held * row;
  const kernels = kernelsWith(done + row);
  if (!kernels) return null;
  const numbers = new Float32Array(kernels.memory.buffer);
  const lines = new Int32Array(kernels.memory.buffer);
  const middle = table + 4 * reach;
  numbers.set(curve, 0);
  numbers.fill(0, line / 4, rows / 4);
  const columns = mirrored(width, reach);
  const along = (y: number) => {
    const from = y * width;
    const at = line / 4;
    numbers.set(data.subarray(from, from + width), at + reach);
    for (let k = 0; k < reach; k++) {
      numbers[at + k] = data[from + columns[k]!]!;
      numbers[at + reach + width + k] = data[from + columns[reach + width + k]!]!;
    }
    for (let k = 0; k <= 2 * reach; k++) lines[table / 4 + k] = line + 4 * k;
    kernels.weigh(middle, rows + (y % held) * row, row, 0, 4 * reach);
  };
  const beside = mirrored(height, reach);
  const out = emptyPlane(width, height);
  const result = numbers.subarray(done / 4, done / 4 + width);
  let weighed = 0;
  for (let y = 0; y < height; y++) {
    for (; weighed < height && weighed <= y + reach; weighed++) along(weighed);
    for (let k = 0; k <= 2 * reach; k++) lines[table / 4 + k] = rows + (beside[y + k]! % held) * row;
    kernels.weigh(middle, done, row, 0, 4 * reach);
    out.data.set(result, y * width);
  }
  return out;
}

/** The same without them. */
export function smoothedPlainly({ width, height, data }: Plane, curve: Float64Array): Plane {
  const reach = curve.length - 1;
  const weigh = (
    from: Float32Array,
    to: Float32Array,
    at: Int32Array,
    own: number,
    stride: number,
    n: number,
  ) => {
    for (let x = 0; x < n; x++) {
      let sum = curve[0]! * from[own + x * stride]!;
      for (let k = 1; k <= reach; k++)
        sum +=
          curve[k]! * (from[own + at[x + reach - k]! * stride]! + from[own + at[x + reach + k]! * stride]!);
      to[own + x * stride] = sum;
    }
  };
  const across = emptyPlane(width, height);
  const columns = mirrored(width, reach);
  for (let y = 0; y < height; y++) weigh(data, across.data, columns, y * width, 1, width);
  const out = emptyPlane(width, height);
  const rows = mirrored(height, reach);
  for (let x = 0; x < width; x++) weigh(across.data, out.data, rows, x, width, height);
  return out;
}

/** A plane smoothed by a normal curve of `sigma` pixels, mirrored at its edges; `sigma` 0 gives it back as it is. */
export function gaussian(plane: Plane, sigma: number): Plane {
  if (sigma <= 0) return plane;
  const curve = gaussianWeights(sigma);
  return byKernels(plane, curve) ?? smoothedPlainly(plane, curve);
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
