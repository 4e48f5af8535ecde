import { asPartOf, boxOf, partOf, withRoom } from './box.ts';
import { emptyMask, type Mask } from './plane.ts';
import { runsOf } from './runs.ts';

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
 * What belongs (`own` 1) or what does not (0) grown by a disc: each run of a line reaches further to both sides in the lines about
 * it, and where runs begin and end there says what lies under any.
 */
function grown(mask: Mask, radius: number, own: 0 | 1): Mask {
  const { width, height } = mask;
  const { from, to, lines } = runsOf(mask, own);
  const reaches = reachesOf(radius);
  const data = new Uint8Array(width * height);
  // How many more runs lie over a place than over the one before it.
  const more = new Int32Array(width + 1);
  for (let y = 0; y < height; y++) {
    const [first, last] = [Math.max(0, y + 1 - reaches.length), Math.min(height, y + reaches.length)];
    for (let line = first; line < last; line++) {
      const reach = reaches[Math.abs(line - y)]!;
      for (let run = lines[line]!; run < lines[line + 1]!; run++) {
        more[Math.max(0, from[run]! - reach)]!++;
        more[Math.min(width, to[run]! + reach)]!--;
      }
    }
    const row = y * width;
    let over = 0;
    for (let x = 0; x < width; x++) {
      over += more[x]!;
      data[row + x] = over > 0 ? own : 1 - own;
    }
    more.fill(0);
  }
  return { width, height, data };
}

/** Grown by a disc {dx² + dy² ≤ radius²}, radius in pixels from 0 to 65,000. Only where something belongs is there work. */
export function dilated(mask: Mask, radius: number): Mask {
  const box = boxOf(mask);
  if (!box) return emptyMask(mask.width, mask.height);
  const at = withRoom(box, Math.floor(radius), mask);
  return asPartOf(grown(partOf(mask, at), radius, 1), at, mask);
}

/** Shrunk by a disc {dx² + dy² ≤ radius²}, radius in pixels; beyond the picture's edge all belongs. */
export function eroded(mask: Mask, radius: number): Mask {
  const box = boxOf(mask);
  if (!box) return emptyMask(mask.width, mask.height);
  // A pixel of room: what lies beyond it does not belong either, and is no nearer.
  const at = withRoom(box, 1, mask);
  return asPartOf(grown(partOf(mask, at), radius, 0), at, mask);
}

/**
 * Without what no disc of that radius (pixels) fits into; with the disc {dx² + dy² ≤ r²} as kernel it is the opening of
 * any morphology.
 */
export const opened = (mask: Mask, radius: number): Mask => dilated(eroded(mask, radius), radius);

/** With every gap filled that no disc of that radius (pixels) fits into. */
export const closed = (mask: Mask, radius: number): Mask => eroded(dilated(mask, radius), radius);
