import { emptyPlane, type Plane } from './plane.ts';

/** Which source pixels fall into each new one along a line, and with what share of themselves. */
function sharesOf(from: number, to: number) {
  const step = from / to;
  return Array.from({ length: to }, (_, i) => {
    const [low, high] = [i * step, Math.min((i + 1) * step, from)];
    const first = Math.floor(low);
    const last = Math.min(Math.ceil(high) - 1, from - 1);
    const weights = Array.from({ length: last - first + 1 }, (_, k) => {
      const at = first + k;
      return (Math.min(high, at + 1) - Math.max(low, at)) / (high - low);
    });
    return { first, weights };
  });
}

/**
 * A plane on a coarser grid, each new pixel the mean of the area it covers. `scale` (0 < scale ≤ 1) is new pixels per old
 * one; sizes are rounded, so what each new pixel stands for is `width / new width` old ones across.
 */
export function shrunk(plane: Plane, scale: number): Plane {
  const { width, height, data } = plane;
  const to = {
    width: Math.max(1, Math.round(width * scale)),
    height: Math.max(1, Math.round(height * scale)),
  };
  if (to.width >= width && to.height >= height) return plane;
  const columns = sharesOf(width, to.width);
  const rows = sharesOf(height, to.height);
  const line = new Float64Array(width);
  const out = emptyPlane(to.width, to.height);
  for (let y = 0; y < to.height; y++) {
    line.fill(0);
    const { first, weights } = rows[y]!;
    for (let k = 0; k < weights.length; k++) {
      const row = (first + k) * width;
      const weight = weights[k]!;
      for (let x = 0; x < width; x++) line[x]! += weight * data[row + x]!;
    }
    for (let x = 0; x < to.width; x++) {
      const { first: left, weights: across } = columns[x]!;
      let sum = 0;
      for (let k = 0; k < across.length; k++) sum += across[k]! * line[left + k]!;
      out.data[y * to.width + x] = sum;
    }
  }
  return out;
}
