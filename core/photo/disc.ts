import type { Mask } from './plane.ts';

const inverse = ({ width, height, data }: Mask): Mask => {
  const out = new Uint8Array(data.length);
  for (let i = 0; i < data.length; i++) out[i] = data[i] ? 0 : 1;
  return { width, height, data: out };
};

/** How far a disc of that radius reaches to the side, so many rows from its middle: the largest w with w² + d² ≤ r². */
function reachesOf(radius: number): Int32Array {
  const out = new Int32Array(Math.floor(radius) + 1);
  for (let d = 0; d < out.length; d++) {
    const room = radius * radius - d * d;
    let reach = Math.floor(Math.sqrt(room));
    while ((reach + 1) ** 2 <= room) reach++;
    while (reach * reach > room) reach--;
    out[d] = reach;
  }
  return out;
}

/**
 * Grown by a disc {dx² + dy² ≤ radius²}, radius in pixels from 0 to 65,000. Each pixel's nearest of its own column reaches so far to both
 * sides; from either side, the furthest reach so far decides. Its time does not grow with the radius.
 */
export function dilated({ width, height, data }: Mask, radius: number): Mask {
  const out = new Uint8Array(width * height);
  const reaches = reachesOf(radius);
  // One row further than the disc is as good as none.
  const far = reaches.length;
  const reach = new Int32Array(far + 1).fill(-2 * width);
  reach.set(reaches);
  const above = new Uint16Array(width * height);
  const at = new Uint16Array(width).fill(far);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const own = data[i] ? 0 : at[x]!;
      above[i] = own;
      at[x] = own < far ? own + 1 : far;
    }
  at.fill(far);
  const sides = new Int32Array(width);
  for (let y = height - 1; y >= 0; y--) {
    const row = y * width;
    let until = -1;
    for (let x = 0; x < width; x++) {
      const below = data[row + x] ? 0 : at[x]!;
      at[x] = below < far ? below + 1 : far;
      const side = reach[Math.min(below, above[row + x]!)]!;
      sides[x] = side;
      if (x + side > until) until = x + side;
      if (until >= x) out[row + x] = 1;
    }
    let from = width;
    for (let x = width - 1; x >= 0; x--) {
      if (x - sides[x]! < from) from = x - sides[x]!;
      if (from <= x) out[row + x] = 1;
    }
  }
  return { width, height, data: out };
}

/** Shrunk by a disc {dx² + dy² ≤ radius²}, radius in pixels; beyond the picture's edge all belongs. */
export const eroded = (mask: Mask, radius: number): Mask => inverse(dilated(inverse(mask), radius));

/**
 * Without what no disc of that radius (pixels) fits into; with the disc {dx² + dy² ≤ r²} as kernel it is the opening of
 * any morphology, in time that does not grow with the radius.
 */
export const opened = (mask: Mask, radius: number): Mask => dilated(eroded(mask, radius), radius);

/** With every gap filled that no disc of that radius (pixels) fits into. */
export const closed = (mask: Mask, radius: number): Mask => eroded(dilated(mask, radius), radius);

export { inverse };
