import FFT from 'fft.js';

/** A square of numbers, `size` a side, row by row. */
export interface Square {
  size: number;
  data: Float64Array;
}

/** The smallest power of two that is not less. */
export const powerOfTwo = (n: number): number => 2 ** Math.ceil(Math.log2(Math.max(2, n)));

const plans = new Map<number, FFT>();

/**
 * Squared sizes of the discrete Fourier transform of a square whose side is a power of two, |Σ f(x, y) e^(−2πi(ux + vy)/n)|²,
 * frequency 0 first. Source: fft.js (radix 4), row by row and then column by column.
 */
export function powerOf({ size, data }: Square): Square {
  const fft = plans.get(size) ?? new FFT(size);
  plans.set(size, fft);
  const lines = Array.from({ length: size }, (_, y) => {
    const out = fft.createComplexArray();
    fft.realTransform(out, data.subarray(y * size, (y + 1) * size));
    return out;
  });
  const power = new Float64Array(size * size);
  const column = fft.createComplexArray();
  const out = fft.createComplexArray();
  // A real picture's transform is the same, mirrored, on its other half.
  for (let u = 0; u <= size / 2; u++) {
    for (let y = 0; y < size; y++) {
      column[2 * y] = lines[y]![2 * u]!;
      column[2 * y + 1] = lines[y]![2 * u + 1]!;
    }
    fft.transform(out, column);
    for (let v = 0; v < size; v++) {
      const value = out[2 * v]! ** 2 + out[2 * v + 1]! ** 2;
      power[v * size + u] = value;
      power[((size - v) % size) * size + ((size - u) % size)] = value;
    }
  }
  return { size, data: power };
}
