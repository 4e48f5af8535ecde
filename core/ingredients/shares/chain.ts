import { CELLS, EDGES, LINE_CELL, MIDDLES } from './grid.ts';
import type { Bounds } from './intervals.ts';
import type { Typical } from './typical.ts';

/** How likely each cell of the grid is for one item, and what it stands for there, in %. */
export interface Density {
  mass: Float64Array;
  at: Float64Array;
}

/** What a Laplace on the log scale has under a share. */
function under(share: number, { share: usual, times }: Typical): number {
  if (share <= 0) return 0;
  const z = Math.log(share / usual) / Math.log(times);
  return z < 0 ? 0.5 * Math.exp(z) : 1 - 0.5 * Math.exp(-z);
}

/** A prior's mass in every whole cell, and what it has under every edge. */
interface Prior {
  under: Float64Array;
  cells: Float64Array;
}
const priors = new WeakMap<Typical, Prior>();
function priorOf(typical: Typical): Prior {
  let found = priors.get(typical);
  if (!found) {
    const edges = EDGES.map((edge) => under(edge, typical));
    found = {
      under: edges,
      cells: Float64Array.from({ length: CELLS }, (_, g) => edges[g + 1]! - edges[g]!),
    };
    priors.set(typical, found);
  }
  return found;
}

/** The cell a share lies in. */
function cellOf(share: number): number {
  let [low, high] = [0, CELLS - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (EDGES[middle + 1]! <= share) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A density that is even within bounds. */
function flat(low: number, high: number): Density {
  const mass = new Float64Array(CELLS);
  const at = MIDDLES.slice();
  for (let g = cellOf(low); g < CELLS && EDGES[g]! <= high; g++) {
    const from = Math.max(low, EDGES[g]!);
    const to = Math.min(high, EDGES[g + 1]!);
    mass[g] = Math.max(to - from, 1e-9);
    at[g] = (from + to) / 2;
  }
  return { mass, at };
}

/**
 * An item's prior within its bounds: Laplace on the log scale about what is typical, or flat in the share where nothing is,
 * or where the bounds lie far out on its tail. Bounds narrower than a cell stand for their middle.
 */
export function densityOf({ low, high }: Bounds, typical: Typical | null): Density {
  if (!typical) return flat(low, high);
  const prior = priorOf(typical);
  const first = cellOf(low);
  const top = cellOf(high);
  const last = Math.max(first, top - (EDGES[top]! >= high ? 1 : 0));
  const mass = new Float64Array(CELLS);
  for (let g = first; g <= last; g++) mass[g] = prior.cells[g]!;
  const from = Math.max(low, EDGES[first]!);
  const to = Math.min(high, EDGES[last + 1]!);
  const before = from === EDGES[first] ? prior.under[first]! : under(from, typical);
  const after = to === EDGES[last + 1] ? prior.under[last + 1]! : under(to, typical);
  if (after - before < 1e-12) return flat(low, high);
  if (first === last) mass[first] = after - before;
  else {
    mass[first] = prior.under[first + 1]! - before;
    mass[last] = after - prior.under[last]!;
  }
  if (from === EDGES[first] && to === EDGES[last + 1]) return { mass, at: MIDDLES };
  const at = MIDDLES.slice();
  const middle = (a: number, b: number) => (a > 0 ? Math.sqrt(a * b) : b / 2);
  at[first] = middle(from, first === last ? to : EDGES[first + 1]!);
  if (last > first) at[last] = middle(EDGES[last]!, to);
  return { mass, at };
}

/**
 * Expected shares of items in order, exactly on the grid: over the 1 % line each is at most its forerunner, under it any
 * order goes, and none comes back over it. Every place of the line counts at once. Each density is tilted by
 * exp(θ·share), which conditions the chain on its sum. Forward and backward sums, as for a hidden Markov
 * chain. `line` is the cell from which order counts; 0 keeps it throughout.
 */
export function chainMeans(densities: readonly Density[], theta = 0, line = LINE_CELL): number[] {
  const n = densities.length;
  // Most cells stand for their middle: one tilt for all items, and their own only at their bounds.
  const usual = new Float64Array(CELLS);
  if (theta !== 0) for (let g = 0; g < CELLS; g++) usual[g] = Math.exp(theta * MIDDLES[g]!);
  const tilted = densities.map(({ mass, at }) => {
    if (theta === 0) return mass;
    const out = new Float64Array(CELLS);
    for (let g = 0; g < CELLS; g++)
      if (mass[g]! > 0) out[g] = mass[g]! * (at[g] === MIDDLES[g] ? usual[g]! : Math.exp(theta * at[g]!));
    return out;
  });
  const forward = new Array<Float64Array>(n);
  for (let i = 0; i < n; i++) {
    const own = tilted[i]!;
    const here = new Float64Array(CELLS);
    const before = forward[i - 1];
    let scale = 0;
    let above = 0;
    for (let g = CELLS - 1; g >= 0; g--) {
      if (!before) here[g] = own[g]!;
      else if (g >= line) {
        // In one cell half of the pairs stand the right way round.
        here[g] = own[g]! * (above + before[g]! / 2);
        above += before[g]!;
      } else {
        if (g === line - 1) for (let h = 0; h < line; h++) above += before[h]!;
        here[g] = own[g]! * above;
      }
      scale += here[g]!;
    }
    if (scale > 0) for (let g = 0; g < CELLS; g++) here[g]! /= scale;
    forward[i] = here;
  }
  const means = new Array<number>(n);
  const behind = new Float64Array(CELLS).fill(1);
  for (let i = n - 1; i >= 0; i--) {
    let [total, first] = [0, 0];
    const { at } = densities[i]!;
    const here = forward[i]!;
    for (let g = 0; g < CELLS; g++) {
      const p = here[g]! * behind[g]!;
      total += p;
      first += p * at[g]!;
    }
    means[i] = total > 0 ? first / total : 0;
    if (i === 0) break;
    const own = tilted[i]!;
    let below = 0;
    for (let g = 0; g < line; g++) below += own[g]! * behind[g]!;
    const low = below;
    for (let g = line; g < CELLS; g++) {
      const here = own[g]! * behind[g]!;
      behind[g] = below + here / 2;
      below += here;
    }
    for (let g = 0; g < line; g++) behind[g] = low;
    const most = Math.max(behind[CELLS - 1]!, low);
    if (most > 0) for (let g = 0; g < CELLS; g++) behind[g]! /= most;
  }
  return means;
}
