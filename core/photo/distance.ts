import { kernelsWith } from './kernels/kernels.ts';
import type { Mask, Plane } from './plane.ts';

/** As far as a column's nearest is told to be where nothing of it belongs. */
const NONE = 65_535;

/** How many rows off the nearest place of its own column is that belongs, row by row of so many places. */
interface Columns {
  far: Uint16Array;
  stride: number;
}

/** By the kernels, sixteen columns at once; null where there are none. */
function byKernels({ width, height, data }: Mask): Columns | null {
  const stride = Math.ceil(width / 16) * 16;
  const kernels = kernelsWith(3 * stride * height);
  if (!kernels) return null;
  const { buffer } = kernels.memory;
  const bytes = new Uint8Array(buffer, 2 * stride * height, stride * height);
  if (stride === width) bytes.set(data);
  else for (let y = 0; y < height; y++) bytes.set(data.subarray(y * width, (y + 1) * width), y * stride);
  kernels.columns(2 * stride * height, 0, stride, height);
  return { far: new Uint16Array(buffer, 0, stride * height), stride };
}

/** The same without them. */
function plainly({ width, height, data }: Mask): Columns {
  const far = new Uint16Array(width * height);
  for (let i = 0; i < far.length; i++) {
    const above = i < width ? NONE : far[i - width]!;
    far[i] = data[i] ? 0 : above === NONE ? NONE : above + 1;
  }
  for (let i = far.length - width - 1; i >= 0; i--) far[i] = Math.min(far[i]!, far[i + width]! + 1);
  return { far, stride: width };
}

/**
 * Distance of each pixel's middle to that of the nearest pixel that belongs, exact, in pixels; infinite where none does.
 * `nearest`, where it is given, takes the index of that pixel, −1 where there is none. Throws a RangeError from 65,535 rows on. Two
 * passes of lower envelopes of parabolas. Source: Felzenszwalb & Huttenlocher (2012), Theory of Computing 8, 415–428.
 */
export function distanceTo(mask: Mask, nearest?: Int32Array): Plane {
  const { width, height, data } = mask;
  if (height >= NONE) throw new RangeError(`A picture of ${height} rows is too high to be read.`);
  const out = new Float32Array(width * height);
  const { far, stride } = byKernels(mask) ?? plainly(mask);
  // Parabolas meet on a place, where either is right, or well between two: that a share of their distance is rounded decides nothing.
  const shares = Float64Array.from({ length: width + 1 }, (_, apart) => 1 / (2 * apart));
  const sites = new Int32Array(width);
  const tops = new Float64Array(width);
  const from = new Float64Array(width + 1);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    const own = y * stride;
    let x = 0;
    while (x < width) {
      if (far[own + x] === 0) {
        if (nearest) nearest[row + x] = row + x;
        x++;
        continue;
      }
      // Nothing beyond a pixel that belongs is nearer than it: what lies between two of them is told by itself.
      const begin = x;
      let last = -1;
      for (x = begin > 0 ? begin - 1 : 0; x < width; x++) {
        const off = far[own + x]!;
        if (off === NONE) continue;
        const top = off * off + x * x;
        let start = Number.NEGATIVE_INFINITY;
        while (last >= 0) {
          start = (top - tops[last]!) * shares[x - sites[last]!]!;
          if (start > from[last]!) break;
          last--;
          start = Number.NEGATIVE_INFINITY;
        }
        last++;
        sites[last] = x;
        tops[last] = top;
        from[last] = start;
        if (off === 0 && x >= begin) break;
      }
      if (last < 0) {
        out.fill(Number.POSITIVE_INFINITY, row, row + width);
        nearest?.fill(-1, row, row + width);
        break;
      }
      from[last + 1] = Number.POSITIVE_INFINITY;
      for (let k = 0, at = begin; at < x; k++) {
        const site = sites[k]!;
        const high = tops[k]! - site * site;
        const until = Math.min(x - 1, from[k + 1]!);
        if (nearest && at <= until) {
          const off = far[own + site]!;
          const above = off <= y && data[row - off * width + site];
          nearest.fill((above ? y - off : y + off) * width + site, row + at, row + Math.floor(until) + 1);
        }
        for (; at <= until; at++) out[row + at] = Math.sqrt((at - site) * (at - site) + high);
      }
    }
  }
  return { width, height, data: out };
}
