import { solved } from './solve.ts';

/** A surface a + bx + cy + dx² + exy + fy² over a grid whose longer side runs from −1 to 1. */
export interface Surface {
  coefficients: readonly number[];
  /** Its values on a grid of another fineness over the same picture, row by row. */
  over: (width: number, height: number) => Float32Array;
}

/**
 * The quadratic surface nearest to `values` at the pixels where `take` is set (least squares); `width` and `height` are
 * the grid's. Throws a RangeError where too few pixels are taken, or they lie on one line.
 */
export function quadraticThrough(
  values: Float32Array | Float64Array,
  take: Uint8Array,
  width: number,
  height: number,
): Surface {
  const scale = 2 / Math.max(width, height, 2);
  // Sums of u^i v^j up to the fourth order, and of those up to the second with the values.
  const powers = new Float64Array(25);
  const weighed = new Float64Array(9);
  for (let y = 0; y < height; y++) {
    const v = (y + 0.5 - height / 2) * scale;
    for (let x = 0, i = y * width; x < width; x++, i++) {
      if (!take[i]) continue;
      const u = (x + 0.5 - width / 2) * scale;
      const value = values[i]!;
      let un = 1;
      for (let a = 0; a <= 4; a++) {
        let both = un;
        for (let b = 0; b <= 4 - a; b++) {
          powers[5 * a + b]! += both;
          if (a + b <= 2) weighed[3 * a + b]! += both * value;
          both *= v;
        }
        un *= u;
      }
    }
  }
  const taken = powers[0]!;
  if (taken < 12) throw new RangeError('Too few pixels for a surface.');
  const terms = [
    [0, 0],
    [1, 0],
    [0, 1],
    [2, 0],
    [1, 1],
    [0, 2],
  ] as const;
  const coefficients = solved(
    terms.map(([a, b]) => terms.map(([c, d]) => powers[5 * (a + c) + b + d]! / taken)),
    terms.map(([a, b]) => weighed[3 * a + b]! / taken),
  );
  const [c0, c1, c2, c3, c4, c5] = coefficients as [number, number, number, number, number, number];
  return {
    coefficients,
    over: (columns, rows) => {
      const out = new Float32Array(columns * rows);
      // Sides of both grids are rounded: each direction is scaled by itself.
      for (let y = 0; y < rows; y++) {
        const v = ((y + 0.5) / rows - 0.5) * height * scale;
        for (let x = 0, i = y * columns; x < columns; x++, i++) {
          const u = ((x + 0.5) / columns - 0.5) * width * scale;
          out[i] = c0 + u * (c1 + c3 * u + c4 * v) + v * (c2 + c5 * v);
        }
      }
      return out;
    },
  };
}
