import type { Mask, Plane } from './plane.ts';

const FAR = 1e20;

/**
 * Squared distance of each pixel's middle to that of the nearest pixel that belongs, exact, in pixels²; {@link FAR} (1e20)
 * everywhere where none belongs. Two passes of lower envelopes of parabolas. `nearest`, where it is given, takes the
 * index of that pixel. What lies further than `within` pixels may be told to lie anywhere beyond that. Source: Felzenszwalb & Huttenlocher (2012), Theory of Computing 8, 415–428.
 */
export function squaredDistanceTo(
  { width, height, data }: Mask,
  nearest?: Int32Array,
  within = Number.POSITIVE_INFINITY,
): Float64Array {
  const longest = Math.max(width, height);
  const out = new Float64Array(width * height);
  const rows = nearest ? new Int32Array(width * height) : null;
  // Down the columns, the nearest pixel of a column is the last or the next one that belongs.
  const last = new Int32Array(width).fill(-longest * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0, i = y * width; x < width; x++, i++) {
      if (data[i]) last[x] = y;
      out[i] = y - last[x]!;
      if (rows) rows[i] = last[x]!;
    }
  const next = new Int32Array(width).fill(longest * 4);
  for (let y = height - 1; y >= 0; y--)
    for (let x = 0, i = y * width; x < width; x++, i++) {
      if (data[i]) next[x] = y;
      if (next[x]! - y < out[i]!) {
        out[i] = next[x]! - y;
        if (rows) rows[i] = next[x]!;
      }
    }
  const most = Math.min(height - 1, within);
  const height2 = new Float64Array(width);
  const at = new Int32Array(width);
  const from = new Float64Array(width + 1);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    let hulls = -1;
    for (let q = 0; q < width; q++) {
      const down = out[row + q]!;
      if (down > most) continue;
      const f = down * down;
      let s = Number.NEGATIVE_INFINITY;
      while (hulls >= 0) {
        const v = at[hulls]!;
        s = (f + q * q - height2[hulls]! - v * v) / (2 * (q - v));
        if (s > from[hulls]!) break;
        hulls--;
        s = Number.NEGATIVE_INFINITY;
      }
      hulls++;
      at[hulls] = q;
      height2[hulls] = f;
      from[hulls] = s;
    }
    if (hulls < 0) {
      out.fill(FAR, row, row + width);
      continue;
    }
    from[hulls + 1] = Number.POSITIVE_INFINITY;
    let k = 0;
    for (let x = 0; x < width; x++) {
      while (from[k + 1]! < x) k++;
      const dx = x - at[k]!;
      out[row + x] = dx * dx + height2[k]!;
      if (nearest) nearest[row + x] = at[k]!;
    }
  }
  if (nearest && rows)
    for (let y = 0; y < height; y++)
      for (let x = 0, i = y * width; x < width; x++, i++)
        if (out[i]! < FAR) nearest[i] = rows[y * width + nearest[i]!]! * width + nearest[i]!;
        else nearest[i] = -1;
  return out;
}

/** Distance of each pixel to the nearest that belongs, pixels; infinite where none does. */
export function distanceTo(mask: Mask, nearest?: Int32Array): Plane {
  const squared = squaredDistanceTo(mask, nearest);
  const data = new Float32Array(squared.length);
  for (let i = 0; i < data.length; i++)
    data[i] = squared[i]! >= FAR ? Number.POSITIVE_INFINITY : Math.sqrt(squared[i]!);
  return { width: mask.width, height: mask.height, data };
}
