import { EigenvalueDecomposition, type Matrix } from 'ml-matrix';
import { chiSquareOf, normals, seededRandom } from '../random.ts';
import type { Network } from './network.ts';

/** Draws that shares and joint intervals rest on. Source: methods.md 9. */
export const DRAWS = 10_000;
/** Share of the draws that a joint interval covers. */
const LEVEL = 0.95;

/** Joint draws of what every node truly adds, about its estimate: row d of `count` begins at d · nodes. */
export interface Draws {
  network: Network;
  count: number;
  values: Float64Array;
}

/** A matrix whose product with its own transpose is `m`, symmetric without a negative direction. */
function factorOf(m: Matrix): Matrix {
  const eigen = new EigenvalueDecomposition(m, { assumeSymmetric: true });
  const V = eigen.eigenvectorMatrix;
  for (const [j, value] of eigen.realEigenvalues.entries()) V.mulColumn(j, Math.sqrt(Math.max(0, value)));
  return V;
}

/** The rows of a factor without what is nothing: a thing shares no errors with those of another island. */
function compact(factor: Matrix): { rows: Float64Array[]; used: Int32Array[] } {
  const all = factor.to2DArray();
  const least = 1e-12 * Math.max(...all.flatMap((row) => row.map(Math.abs)), 0);
  const used = all.map((row) =>
    Int32Array.from(row.flatMap((value, j) => (Math.abs(value) > least ? [j] : []))),
  );
  return { rows: all.map((row, i) => Float64Array.from(used[i]!, (j) => row[j]!)), used };
}

/**
 * Seeded draws from the joint t of a network: the errors of whole heads and of half-heads apart, each with its own
 * uncertain spread, both wider where the trials of an island disagree. Source: methods.md 7 and 9.
 */
export function drawsOf(network: Network, seed = 1, count = DRAWS): Draws {
  const { nodes, estimate, agreement, island } = network;
  const n = nodes.length;
  const parts = network.parts();
  const random = seededRandom(seed);
  const normal = normals(random);
  const values = new Float64Array(count * n);
  const kinds = [
    { factor: n > 0 ? factorOf(parts.whole) : null, freedom: network.whole?.freedom ?? 0 },
    { factor: n > 0 ? factorOf(parts.half) : null, freedom: network.half?.freedom ?? 0 },
  ].flatMap(({ factor, freedom }) =>
    // Numbers in plain rows: ten thousand draws read them.
    factor && freedom > 0 ? [{ ...compact(factor), freedom }] : [],
  );
  const wider = island.map((at) => agreement[at]!.inflation);
  const z = new Float64Array(n);
  for (let d = 0; d < count; d++) {
    const from = d * n;
    values.set(estimate, from);
    for (const { rows, used, freedom } of kinds) {
      for (let j = 0; j < n; j++) z[j] = normal();
      const by = Math.sqrt(freedom / chiSquareOf(normal, freedom, random.unit));
      for (let i = 0; i < n; i++) {
        const [row, at] = [rows[i]!, used[i]!];
        let sum = 0;
        for (let k = 0; k < row.length; k++) sum += row[k]! * z[at[k]!]!;
        values[from + i]! += wider[i]! * by * sum;
      }
    }
  }
  return { network, count, values };
}

/** Two nodes and how far the one lies over the other, as it holds together with all other pairs in view. */
export interface JointPair {
  node: string;
  from: string;
  value: number;
  low: number;
  high: number;
}

/**
 * Intervals of all pairs in view that hold together at 95 %: each as many of its own standard errors wide as the largest
 * |t| of any pair in the draws. Pairs of two islands, and those without an interval of their own, are left out; empty where
 * there is none. Source: methods.md 7.
 */
export function jointPairs({ network, count, values }: Draws, shown: readonly string[]): JointPair[] {
  const { nodes, estimate } = network;
  const n = nodes.length;
  const pairs = shown.flatMap((node, a) =>
    shown.slice(a + 1).flatMap((from) => {
      const effect = network.between(node, from);
      return effect?.interval
        ? [{ node, from, i: nodes.indexOf(node), j: nodes.indexOf(from), value: effect.value, se: effect.se }]
        : [];
    }),
  );
  if (pairs.length === 0) return [];
  const most = new Float64Array(count);
  // Plain rows of numbers: ten thousand draws go through some thousand pairs.
  const first = Int32Array.from(pairs, ({ i }) => i);
  const second = Int32Array.from(pairs, ({ j }) => j);
  const perError = Float64Array.from(pairs, ({ se }) => 1 / se);
  const off = new Float64Array(n);
  for (let d = 0; d < count; d++) {
    for (let i = 0; i < n; i++) off[i] = values[d * n + i]! - estimate[i]!;
    let largest = 0;
    for (let p = 0; p < perError.length; p++) {
      const t = Math.abs(off[first[p]!]! - off[second[p]!]!) * perError[p]!;
      if (t > largest) largest = t;
    }
    most[d] = largest;
  }
  most.sort();
  const q = most[Math.min(count - 1, Math.ceil(LEVEL * count) - 1)]!;
  return pairs.map(({ node, from, value, se }) => ({
    node,
    from,
    value,
    low: value - q * se,
    high: value + q * se,
  }));
}

/** The share of the draws in which each node in view is first of its island, `wanted` higher or lower. Source: methods.md 9. */
export function sharesFirst(
  { network, count, values }: Draws,
  shown: readonly string[],
  wanted: 'higher' | 'lower',
): Map<string, number> {
  const { nodes, island } = network;
  const n = nodes.length;
  const sign = wanted === 'higher' ? 1 : -1;
  const found = new Map<string, number>();
  for (const at of new Set(island)) {
    const own = Int32Array.from(
      shown.flatMap((node) => {
        const i = nodes.indexOf(node);
        return i >= 0 && island[i] === at ? [i] : [];
      }),
    );
    const times = new Int32Array(own.length);
    for (let d = 0; d < count; d++) {
      let best = -1;
      let most = Number.NEGATIVE_INFINITY;
      for (let k = 0; k < own.length; k++) {
        const value = sign * values[d * n + own[k]!]!;
        if (value > most) {
          best = k;
          most = value;
        }
      }
      if (best >= 0) times[best]!++;
    }
    for (const [k, i] of own.entries()) found.set(nodes[i]!, times[k]! / count);
  }
  return found;
}

/** How firm it is that one is first: of so many draws. Source: methods.md 9, judged there. */
export const FIRM = 0.975;
export const LEANING = 0.8;
export type Firmness = 'firm' | 'leaning' | 'open';
export const firmness = (share: number): Firmness =>
  share >= FIRM ? 'firm' : share >= LEANING ? 'leaning' : 'open';
