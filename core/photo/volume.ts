import type { Outline } from './silhouette.ts';

/** Heights at which a shape's width is kept, mm apart, and how many at most. */
export const WIDTH_STEP = 5;
const MOST = 120;

/** Mean width of a shape in each band of 5 mm from its top down, mm. */
export function widthsDown({ core, scale }: Pick<Outline, 'core' | 'scale'>): number[] {
  const rows: number[] = [];
  for (let y = 0; y < core.height; y++) {
    let n = 0;
    for (let x = 0; x < core.width; x++) n += core.data[y * core.width + x]!;
    if (n > 0 || rows.length > 0) rows.push(n / scale);
  }
  while (rows.at(-1) === 0) rows.pop();
  const rowsAStep = WIDTH_STEP * scale;
  const bands = Math.min(MOST, Math.ceil(rows.length / rowsAStep));
  return Array.from({ length: bands }, (_, i) => {
    const band = rows.slice(Math.round(i * rowsAStep), Math.max(1, Math.round((i + 1) * rowsAStep)));
    // A last band that is not full ends where the shape does.
    return band.reduce((a, b) => a + b, 0) / rowsAStep;
  });
}

/**
 * From the top of the hair to the chin, mm: about an adult's head from crown to chin (some 220 mm in surveys of body
 * measures; value from memory). Fixed, so that one head's pictures are read alike.
 */
export const CROWN_TO_CHIN = 220;

/**
 * Volume index of a head of hair from its widths seen from the front (or the back) and from a side, mm³: as if every
 * height from the top of the hair down to `down` mm were an ellipse. For comparisons of one wearer only: the head is in it,
 * and drops out. Source: methods.md 4.
 */
export function volumeIndex(front: readonly number[], side: readonly number[], down = CROWN_TO_CHIN): number {
  let sum = 0;
  for (let i = 0; i * WIDTH_STEP < down; i++) {
    const height = Math.min(WIDTH_STEP, down - i * WIDTH_STEP);
    sum += (Math.PI / 4) * (front[i] ?? 0) * (side[i] ?? 0) * height;
  }
  return sum;
}
