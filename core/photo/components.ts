import { asPartOf, boxOf, partOf, withRoom } from './box.ts';
import { emptyMask, type Mask } from './plane.ts';
import { type Runs, runsOf } from './runs.ts';

/** Connected pieces of a mask: its runs, which piece each is of (from 1 on), and how many pixels each piece has. */
export interface Pieces {
  runs: Runs;
  piece: Int32Array;
  /** Pixels of piece n at n; of the piece 0, which is none, nothing. */
  sizes: number[];
}

/**
 * The connected pieces of the pixels that are `own`, over edges (4) or corners too (8): each line's runs of pixels, joined with
 * those they touch in the line above. Source: union–find with path halving; He, Chao & Suzuki (2008), IEEE Trans. Image Processing 17, 749–756.
 */
export function piecesOf(mask: Mask, over: 4 | 8 = 8, own: 0 | 1 = 1): Pieces {
  const reach = over === 8 ? 1 : 0;
  const runs = runsOf(mask, own);
  const { from, to, lines } = runs;
  const root = Int32Array.from(from, (_, run) => run);
  const rootOf = (run: number) => {
    let at = run;
    while (root[at] !== at) {
      root[at] = root[root[at]!]!;
      at = root[at]!;
    }
    return at;
  };
  for (let y = 1; y < mask.height; y++) {
    let above = lines[y - 1]!;
    const end = lines[y]!;
    for (let run = end; run < lines[y + 1]!; run++) {
      // Runs above that end before this one begins touch nothing that follows.
      while (above < end && to[above]! + reach <= from[run]!) above++;
      for (let k = above; k < end && from[k]! < to[run]! + reach; k++) {
        const [a, b] = [rootOf(k), rootOf(run)];
        if (a < b) root[b] = a;
        else root[a] = b;
      }
    }
  }
  const sizes = [0];
  const piece = new Int32Array(from.length);
  for (let run = 0; run < from.length; run++) {
    const first = rootOf(run);
    // The first run of a piece is its root: pieces are numbered in the order they are met.
    if (first === run) {
      piece[run] = sizes.length;
      sizes.push(0);
    } else piece[run] = piece[first]!;
    sizes[piece[run]!]! += to[run]! - from[run]!;
  }
  return { runs, piece, sizes };
}

/** Sets the pixels of the pieces that are `taken`. */
function paint(
  { width, height, data }: Mask,
  { runs, piece }: Pieces,
  taken: (piece: number) => boolean,
): void {
  const { from, to, lines } = runs;
  for (let y = 0; y < height; y++)
    for (let run = lines[y]!; run < lines[y + 1]!; run++)
      if (taken(piece[run]!)) data.fill(1, y * width + from[run]!, y * width + to[run]!);
}

/** The largest connected piece alone; empty where nothing belongs. */
export function largestPiece(mask: Mask): Mask {
  const pieces = piecesOf(mask);
  const { sizes } = pieces;
  const best = sizes.reduce((best, size, i) => (size > sizes[best]! ? i : best), 0);
  const out = emptyMask(mask.width, mask.height);
  paint(out, pieces, (piece) => piece === best);
  return out;
}

/** With the holes filled: what does not belong and cannot reach the picture's edge. */
export function filled(mask: Mask): Mask {
  const box = boxOf(mask);
  if (!box) return emptyMask(mask.width, mask.height);
  // Within a pixel of room, whatever is no hole comes to the part's edge.
  const at = withRoom(box, 1, mask);
  const part = partOf(mask, at);
  const pieces = piecesOf(part, 4, 0);
  const { runs, piece, sizes } = pieces;
  const open = new Uint8Array(sizes.length);
  for (let y = 0; y < at.height; y++)
    for (let run = runs.lines[y]!; run < runs.lines[y + 1]!; run++)
      if (y === 0 || y === at.height - 1 || runs.from[run] === 0 || runs.to[run] === at.width)
        open[piece[run]!] = 1;
  paint(part, pieces, (piece) => !open[piece]);
  return asPartOf(part, at, mask);
}
