import type { Mask, Plane } from './plane.ts';

/** As far as a column's nearest is told to be where nothing of it belongs. */
const NONE = 65_535;

/**
 * Distance of each pixel's middle to that of the nearest pixel that belongs, exact, in pixels; infinite where none does.
 * `nearest`, where it is given, takes the index of that pixel, −1 where there is none. Throws a RangeError from 65,535 rows on. Two
 * passes of lower envelopes of parabolas. Source: Felzenszwalb & Huttenlocher (2012), Theory of Computing 8, 415–428.
 */
export function distanceTo({ width, height, data }: Mask, nearest?: Int32Array): Plane {
  if (height >= NONE) throw new RangeError(`A picture of ${height} rows is too high to be read.`);
  const out = new Float32Array(width * height);
  // Down the columns, the nearest pixel of a column is the last or the next one that belongs.
  const above = new Uint16Array(width * height);
  const at = new Uint16Array(width).fill(NONE);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const far = data[i] ? 0 : at[x]!;
      above[i] = far;
      at[x] = far === NONE ? NONE : far + 1;
    }
  at.fill(NONE);
  // Parabolas meet on a place, where either is right, or well between two: that a share of their distance is rounded decides nothing.
  const shares = Float64Array.from({ length: width + 1 }, (_, apart) => 1 / (2 * apart));
  const sites = new Int32Array(width);
  const tops = new Float64Array(width);
  const from = new Float64Array(width + 1);
  // The row a column's nearest pixel lies in.
  const rows = new Int32Array(nearest ? width : 0);
  for (let y = height - 1; y >= 0; y--) {
    const row = y * width;
    let last = -1;
    for (let x = 0; x < width; x++) {
      const up = above[row + x]!;
      const low = up === 0 ? 0 : at[x]!;
      at[x] = low === NONE ? NONE : low + 1;
      const far = Math.min(low, up);
      if (nearest) rows[x] = low < up ? y + low : y - up;
      if (far === NONE) continue;
      const top = far * far + x * x;
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
    }
    if (last < 0) {
      out.fill(Number.POSITIVE_INFINITY, row, row + width);
      nearest?.fill(-1, row, row + width);
      continue;
    }
    from[last + 1] = Number.POSITIVE_INFINITY;
    for (let k = 0, x = 0; k <= last; k++) {
      const site = sites[k]!;
      const high = tops[k]! - site * site;
      const until = from[k + 1]!;
      for (; x < width && x <= until; x++) {
        out[row + x] = Math.sqrt((x - site) * (x - site) + high);
        if (nearest) nearest[row + x] = rows[site]! * width + site;
      }
    }
  }
  return { width, height, data: out };
}
