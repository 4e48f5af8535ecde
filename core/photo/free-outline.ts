import { contoursAt, lengthOf } from './contour.ts';
import { dilated } from './disc.ts';
import { slopesOf } from './gaussian.ts';
import type { Mask } from './plane.ts';
import type { Outline } from './silhouette.ts';

/** How far out the surroundings of the outline must be clear for it to be free, mm. Source: methods.md 4. */
export const CLEAR = 50;
/** Hair's lower hem, where ends are, is no outline to look for frizz at: where the outline faces down more than sideways. */
const HEM = Math.SQRT1_2;

/**
 * The part of the surroundings that belongs to a free stretch of the outline: nothing masked, no edge of the picture and
 * no hem along {@link CLEAR} mm of its normal. Its pixels are those whose nearest pixel of the shape lies on such a stretch.
 */
export function freeOutline({
  core,
  outside,
  nearest,
  masked,
  scale,
}: Pick<Outline, 'core' | 'outside' | 'masked' | 'scale'> & {
  /** The nearest pixel of the shape, for each pixel outside. */
  nearest: Int32Array;
}): { free: Mask; freeMm: number } {
  const { width, height } = core;
  // A smooth field of distances has the outline's normals.
  const slopeAt = slopesOf(outside, 2 * scale);
  const near = dilated(masked, scale);
  const onOutline: number[] = [];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (!core.data[i]) continue;
      const edge = x === 0 || y === 0 || x === width - 1 || y === height - 1;
      if (edge || !core.data[i - 1] || !core.data[i + 1] || !core.data[i - width] || !core.data[i + width])
        onOutline.push(i);
    }
  const open = new Uint8Array(core.data.length);
  const reach = CLEAR * scale;
  for (const i of onOutline) {
    const x = i % width;
    const y = (i - x) / width;
    if (x === 0 || y === 0 || x === width - 1 || y === height - 1) continue;
    const { right: dx, down: dy } = slopeAt(x, y);
    const long = Math.hypot(dx, dy);
    if (long < 1e-6 || dy / long > HEM) continue;
    let clear = true;
    for (let t = 1; t <= reach && clear; t += 1) {
      const [px, py] = [Math.round(x + (dx / long) * t), Math.round(y + (dy / long) * t)];
      if (px < 0 || py < 0 || px >= width || py >= height) clear = false;
      else if (near.data[py * width + px]) clear = false;
      // Back into hair: a bay, not a free side.
      else if (t > 3 * scale && outside.data[py * width + px]! <= 0) clear = false;
    }
    if (clear) open[i] = 1;
  }
  const free = new Uint8Array(core.data.length);
  for (let i = 0; i < free.length; i++)
    if (
      !core.data[i] &&
      !masked.data[i] &&
      nearest[i]! >= 0 &&
      outside.data[i]! <= CLEAR &&
      open[nearest[i]!]
    )
      free[i] = 1;
  const inFree = (i: number) => free[i] === 1;
  return { free: { width, height, data: free }, freeMm: lengthOf(contoursAt(outside, 1, inFree)) / scale };
}
