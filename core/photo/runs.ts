import type { Mask } from './plane.ts';

/**
 * A mask line by line: runs of pixels that belong (or that do not), from their first to past their last. Those of line y are
 * `lines[y]` to `lines[y + 1]`. What is reckoned by runs takes time by how ragged a mask is, not by how large.
 */
export interface Runs {
  from: number[];
  to: number[];
  lines: Int32Array;
}

/** The runs of a mask's pixels that are `own`. */
export function runsOf({ width, height, data }: Mask, own: 0 | 1): Runs {
  const from: number[] = [];
  const to: number[] = [];
  const lines = new Int32Array(height + 1);
  for (let y = 0, i = 0; y < height; y++) {
    lines[y] = from.length;
    const end = i + width;
    const row = i;
    while (i < end) {
      while (i < end && data[i] !== own) i++;
      if (i === end) break;
      from.push(i - row);
      while (i < end && data[i] === own) i++;
      to.push(i - row);
    }
  }
  lines[height] = from.length;
  return { from, to, lines };
}
