import type { Mask } from './plane.ts';

/** A part of a picture, whole pixels. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

type Size = Pick<Box, 'width' | 'height'>;

/** The smallest part that holds all that belongs; null where nothing does. */
export function boxOf({ width, height, data }: Mask): Box | null {
  let [left, right, top, low] = [width, -1, -1, -1];
  for (let y = 0; y < height; y++) {
    const row = data.subarray(y * width, (y + 1) * width);
    const first = row.indexOf(1);
    if (first < 0) continue;
    if (top < 0) top = y;
    low = y;
    left = Math.min(left, first);
    right = Math.max(right, row.lastIndexOf(1));
  }
  return top < 0 ? null : { left, top, width: right + 1 - left, height: low + 1 - top };
}

/** A part with so many pixels of room about it, as far as the picture goes. */
export function withRoom(box: Box, room: number, { width, height }: Size): Box {
  const left = Math.max(0, Math.floor(box.left - room));
  const top = Math.max(0, Math.floor(box.top - room));
  return {
    left,
    top,
    width: Math.min(width, Math.ceil(box.left + box.width + room)) - left,
    height: Math.min(height, Math.ceil(box.top + box.height + room)) - top,
  };
}

/** The numbers of a part of a picture that is `width` wide. */
export function cut<T extends Float32Array | Uint8Array>(data: T, width: number, at: Box): T {
  const out = new (data.constructor as new (n: number) => T)(at.width * at.height);
  for (let y = 0; y < at.height; y++) {
    const from = (at.top + y) * width + at.left;
    out.set(data.subarray(from, from + at.width), y * at.width);
  }
  return out;
}

/** A part of a mask, as a mask of its own. */
export const partOf = ({ width, data }: Mask, at: Box): Mask => ({
  width: at.width,
  height: at.height,
  data: cut(data, width, at),
});

/** A mask of that size with nothing in it but a part of it. */
export function asPartOf(part: Mask, at: Box, { width, height }: Size): Mask {
  const data = new Uint8Array(width * height);
  for (let y = 0; y < at.height; y++)
    data.set(part.data.subarray(y * at.width, (y + 1) * at.width), (at.top + y) * width + at.left);
  return { width, height, data };
}
