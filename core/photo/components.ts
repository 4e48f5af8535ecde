import type { Mask } from './plane.ts';

/** Connected pieces of a mask: a number from 1 on for each pixel that belongs, and how many pixels each piece has. */
export interface Pieces {
  labels: Int32Array;
  /** Pixels of piece n at n; of the piece 0, which is none, nothing. */
  sizes: number[];
}

/**
 * The connected pieces of a mask, over edges (4) or corners too (8): each line's runs of pixels, joined with those they touch
 * in the line above. Source: union–find with path halving; He, Chao & Suzuki (2008), IEEE Trans. Image Processing 17, 749–756.
 */
export function piecesOf({ width, height, data }: Mask, over: 4 | 8 = 8): Pieces {
  const reach = over === 8 ? 1 : 0;
  // Where runs begin and end (past their last pixel), and which runs a line has.
  const from: number[] = [];
  const to: number[] = [];
  const root: number[] = [];
  const lines = new Int32Array(height + 1);
  const rootOf = (run: number) => {
    let at = run;
    while (root[at] !== at) {
      root[at] = root[root[at]!]!;
      at = root[at]!;
    }
    return at;
  };
  for (let y = 0; y < height; y++) {
    const row = y * width;
    let above = y > 0 ? lines[y - 1]! : 0;
    lines[y] = from.length;
    const end = lines[y]!;
    for (let x = 0; x < width; x++) {
      if (!data[row + x]) continue;
      const start = x;
      while (x < width && data[row + x]) x++;
      const run = from.length;
      from.push(start);
      to.push(x);
      root.push(run);
      // Runs above that end before this one begins touch nothing that follows.
      while (above < end && to[above]! + reach <= start) above++;
      for (let k = above; k < end && from[k]! < x + reach; k++) {
        const [a, b] = [rootOf(k), rootOf(run)];
        if (a < b) root[b] = a;
        else root[a] = b;
      }
    }
  }
  lines[height] = from.length;
  const labels = new Int32Array(data.length);
  const sizes = [0];
  const known = new Int32Array(from.length);
  for (let y = 0; y < height; y++)
    for (let run = lines[y]!; run < lines[y + 1]!; run++) {
      const own = rootOf(run);
      // The first run of a piece is its root: pieces are numbered in the order they are met.
      if (own === run) {
        known[run] = sizes.length;
        sizes.push(0);
      }
      const label = known[own]!;
      labels.fill(label, y * width + from[run]!, y * width + to[run]!);
      sizes[label]! += to[run]! - from[run]!;
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
