import { contoursAt } from './contour.ts';
import { emptyMask, type Mask, type Plane, type Point } from './plane.ts';
import { fillRows } from './polygon.ts';

/** The pixels that lie in any of some areas, whose corners are shares of the picture's width and height. */
export function maskOfAreas(areas: readonly (readonly Point[])[], width: number, height: number): Mask {
  const mask = emptyMask(width, height);
  for (const area of areas) {
    const corners = area.map(({ x, y }) => ({ x: x * width - 0.5, y: y * height - 0.5 }));
    fillRows(corners, height, (y, from, to) => {
      const [a, b] = [Math.max(0, Math.ceil(from)), Math.min(width - 1, Math.floor(to))];
      if (b >= a) mask.data.fill(1, y * width + a, y * width + b + 1);
    });
  }
  return mask;
}

/** What a mask covers, as areas of at most so many corners each, in shares of its width and height. */
export function areasOf({ width, height, data }: Mask, corners = 120): Point[][] {
  // A row and a column beyond each side, so that what touches the side is closed there.
  const wide: Plane = {
    width: width + 2,
    height: height + 2,
    data: new Float32Array((width + 2) * (height + 2)),
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) wide.data[(y + 1) * wide.width + x + 1] = data[y * width + x]!;
  return contoursAt(wide, 0.5)
    .filter((line) => line.length > 20)
    .map((line) => {
      const every = Math.ceil(line.length / corners);
      return line
        .filter((_, i) => i % every === 0)
        .map(({ x, y }) => ({
          x: Math.min(1, Math.max(0, (x - 0.5) / width)),
          y: Math.min(1, Math.max(0, (y - 0.5) / height)),
        }));
    });
}
