import type { Mask } from './plane.ts';

/** Connected pieces of a mask: a number from 1 on for each pixel that belongs, and how many pixels each piece has. */
export interface Pieces {
  labels: Int32Array;
  /** Pixels of piece n at n; of the piece 0, which is none, nothing. */
  sizes: number[];
}

/**
 * The connected pieces of a mask, over edges (4) or corners too (8), by filling from each pixel in turn.
 */
export function piecesOf({ width, height, data }: Mask, over: 4 | 8 = 8): Pieces {
  const labels = new Int32Array(data.length);
  const sizes = [0];
  const queue = new Int32Array(data.length);
  const corners = over === 8;
  for (let start = 0; start < data.length; start++) {
    if (!data[start] || labels[start]) continue;
    const label = sizes.length;
    let [head, tail] = [0, 0];
    queue[tail++] = start;
    labels[start] = label;
    while (head < tail) {
      const i = queue[head++]!;
      const x = i % width;
      const y = (i - x) / width;
      for (let dy = y > 0 ? -1 : 0; dy <= (y < height - 1 ? 1 : 0); dy++)
        for (let dx = x > 0 ? -1 : 0; dx <= (x < width - 1 ? 1 : 0); dx++) {
          if (!corners && dx !== 0 && dy !== 0) continue;
          const j = i + dy * width + dx;
          if (data[j] && !labels[j]) {
            labels[j] = label;
            queue[tail++] = j;
          }
        }
    }
    sizes.push(tail);
  }
  return { labels, sizes };
}

/** The largest connected piece alone; empty where nothing belongs. */
export function largestPiece(mask: Mask): Mask {
  const { labels, sizes } = piecesOf(mask);
  const best = sizes.reduce((best, size, i) => (size > sizes[best]! ? i : best), 0);
  const data = new Uint8Array(mask.data.length);
  if (best > 0) for (let i = 0; i < data.length; i++) data[i] = labels[i] === best ? 1 : 0;
  return { width: mask.width, height: mask.height, data };
}

/** With the holes filled: what does not belong and cannot reach the picture's edge. */
export function filled({ width, height, data }: Mask): Mask {
  const outside = new Uint8Array(data.length);
  for (let i = 0; i < data.length; i++) outside[i] = data[i] ? 0 : 1;
  const { labels, sizes } = piecesOf({ width, height, data: outside }, 4);
  const open = new Uint8Array(sizes.length);
  const see = (i: number) => {
    open[labels[i]!] = 1;
  };
  for (let x = 0; x < width; x++) {
    see(x);
    see((height - 1) * width + x);
  }
  for (let y = 0; y < height; y++) {
    see(y * width);
    see(y * width + width - 1);
  }
  const out = new Uint8Array(data.length);
  for (let i = 0; i < out.length; i++) out[i] = data[i] || !open[labels[i]!] ? 1 : 0;
  return { width, height, data: out };
}
