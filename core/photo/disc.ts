import { squaredDistanceTo } from './distance.ts';
import type { Mask } from './plane.ts';

const inverse = ({ width, height, data }: Mask): Mask => {
  const out = new Uint8Array(data.length);
  for (let i = 0; i < data.length; i++) out[i] = data[i] ? 0 : 1;
  return { width, height, data: out };
};

/** Grown by a disc {dx² + dy² ≤ radius²}, radius in pixels. */
export function dilated(mask: Mask, radius: number): Mask {
  const squared = squaredDistanceTo(mask, undefined, radius);
  const data = new Uint8Array(squared.length);
  for (let i = 0; i < data.length; i++) data[i] = squared[i]! <= radius * radius ? 1 : 0;
  return { width: mask.width, height: mask.height, data };
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
