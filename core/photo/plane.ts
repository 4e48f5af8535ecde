/** Numbers of a picture, one a pixel, row by row from the top left. */
export interface Plane {
  readonly width: number;
  readonly height: number;
  readonly data: Float32Array;
}

/** Pixels that belong (1) or do not (0). */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

/** A decoded picture: sRGB, 8 bits a channel, four channels a pixel; what the alpha channel says is not read. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** A place in a picture, pixels; the middle of the first pixel is (0, 0). */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const emptyPlane = (width: number, height: number): Plane => ({
  width,
  height,
  data: new Float32Array(width * height),
});

export const emptyMask = (width: number, height: number): Mask => ({
  width,
  height,
  data: new Uint8Array(width * height),
});

/** The pixels of a plane for which `holds` is true. */
export function maskWhere({ width, height, data }: Plane, holds: (value: number) => boolean): Mask {
  const out = new Uint8Array(data.length);
  for (let i = 0; i < data.length; i++) out[i] = holds(data[i]!) ? 1 : 0;
  return { width, height, data: out };
}

/** What does not belong. */
export function inverse({ width, height, data }: Mask): Mask {
  const out = new Uint8Array(data.length);
  for (let i = 0; i < data.length; i++) out[i] = data[i] ? 0 : 1;
  return { width, height, data: out };
}

/** How many pixels belong. */
export function countOf({ data }: Mask): number {
  let n = 0;
  for (let i = 0; i < data.length; i++) n += data[i]!;
  return n;
}

/** The value at a place between pixels, of the four around it; outside, that of the nearest edge. */
export function sampleAt({ width, height, data }: Plane, x: number, y: number): number {
  const cx = Math.min(Math.max(x, 0), width - 1);
  const cy = Math.min(Math.max(y, 0), height - 1);
  const left = Math.min(Math.floor(cx), Math.max(width - 2, 0));
  const top = Math.min(Math.floor(cy), Math.max(height - 2, 0));
  const right = Math.min(left + 1, width - 1);
  const low = Math.min(top + 1, height - 1) * width;
  const high = top * width;
  const fx = cx - left;
  const fy = cy - top;
  const above = data[high + left]! * (1 - fx) + data[high + right]! * fx;
  const below = data[low + left]! * (1 - fx) + data[low + right]! * fx;
  return above * (1 - fy) + below * fy;
}
