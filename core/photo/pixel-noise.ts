import type { Plane } from './plane.ts';

/**
 * Noise of single pixels about their neighbours where the picture is flat, as a share of `level`: the mean size of the
 * difference of Laplacians. Source: Immerkær (1996), Computer Vision and Image Understanding 64, 300–302.
 */
export function pixelNoise(light: Plane, flat: (x: number, y: number) => boolean, level: number): number {
  const { width, height, data } = light;
  let [sum, count] = [0, 0];
  for (let y = 1; y < height - 1; y += 2)
    for (let x = 1; x < width - 1; x += 2) {
      if (!flat(x, y)) continue;
      const i = y * width + x;
      const corners =
        data[i - width - 1]! + data[i - width + 1]! + data[i + width - 1]! + data[i + width + 1]!;
      const sides = data[i - 1]! + data[i + 1]! + data[i - width]! + data[i + width]!;
      sum += Math.abs(corners - 2 * sides + 4 * data[i]!);
      count++;
    }
  return count === 0 ? Number.NaN : (Math.sqrt(Math.PI / 2) * sum) / (6 * count) / level;
}
