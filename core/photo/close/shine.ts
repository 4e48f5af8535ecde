import type { Mask, Plane } from '../plane.ts';

/** Brightness of hair line by line from the top down, EV beside the middle line. */
export interface Shine {
  /** Height of a line, mm. */
  line: number;
  lines: readonly (number | null)[];
  /** The brightest line beside the middle one, EV; null where too little hair shows. */
  peak: number | null;
}

/** Height of a line, mm; judged. A line with less hair in it is left out. */
const LINE = 3;
const LEAST_SHARE = 0.3;

/**
 * Shine by line brightness: mean linear light of the hair in lines across the picture, EV beside the median line. It moves
 * with the lamp, so it is drawn and never promised; .3 EV is what pictures alone differ by. Source: methods.md 4.
 */
export function shineOf(light: Plane, hair: Mask, pxPerMm: number): Shine {
  const { width, height } = light;
  const rows = Math.max(1, Math.round(LINE * pxPerMm));
  const lines: (number | null)[] = [];
  for (let top = 0; top + rows <= height; top += rows) {
    let [sum, count] = [0, 0];
    for (let i = top * width; i < (top + rows) * width; i++)
      if (hair.data[i]) {
        sum += light.data[i]!;
        count++;
      }
    lines.push(count >= LEAST_SHARE * rows * width && sum > 0 ? Math.log2(sum / count) : null);
  }
  const read = lines.filter((one) => one !== null).toSorted((a, b) => a - b);
  if (read.length < 5) return { line: rows / pxPerMm, lines: [], peak: null };
  const middle = read[read.length >> 1]!;
  return {
    line: rows / pxPerMm,
    lines: lines.map((one) => (one === null ? null : one - middle)),
    peak: read.at(-1)! - middle,
  };
}
