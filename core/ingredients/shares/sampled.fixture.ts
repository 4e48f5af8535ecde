import type { Bounds } from './intervals.ts';
import type { Typical } from './typical.ts';

/** A fast seeded stream in (0, 1): mulberry32. Sampling needs millions; nothing that is drawn by lot uses it. */
function stream(seed: number): () => number {
  let a = seed | 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return (((t ^ (t >>> 14)) >>> 0) + 0.5) / 2 ** 32;
  };
}

const least = 1e-6;

/** Rounds over which every item's draws are spread evenly, in an order of its own. */
const BLOCK = 16;

export interface Sampling {
  /** Rounds over all items. */
  rounds: number;
  seed: number;
  /** Share in % at and under which order no longer counts; 0 keeps the order to the end. */
  line?: number;
}

/**
 * Expected shares in %, chain first, then off-chain: the mean of seeded sampling over the whole feasible set (every place
 * of the 1 % line at once), with typical shares as the prior and the first item taking what is left (methods.md 2).
 * Gibbs draws by inverse distribution; over a block of rounds each item's draws take every sixteenth of the unit interval
 * once, in random order (stratified), which halves the error at a given cost. The prior is Laplace on the log scale;
 * where nothing is typical a draw is even. With no prior at all and no line this is the broken stick,
 * (100/n)·Σ_{i≥j} 1/i. `start` must be feasible.
 */
export function sampledShares(
  start: readonly number[],
  chain: readonly Bounds[],
  off: readonly Bounds[],
  typical: readonly (Typical | null)[],
  { rounds, seed, line = 1 }: Sampling,
): number[] {
  const random = stream(seed);
  const n = chain.length;
  const size = n + off.length;
  const first = chain[0]!;
  const x = Float64Array.from(start);
  const lows = new Float64Array(size);
  const highs = new Float64Array(size);
  const mu = new Float64Array(size);
  const scale = new Float64Array(size);
  const strata = new Uint8Array(size * BLOCK);
  const shuffle = () => {
    for (let i = 1; i < size; i++) {
      const from = i * BLOCK;
      for (let k = 0; k < BLOCK; k++) strata[from + k] = k;
      for (let k = BLOCK - 1; k > 0; k--) {
        const other = from + Math.floor(random() * (k + 1));
        const kept = strata[from + k]!;
        strata[from + k] = strata[other]!;
        strata[other] = kept;
      }
    }
  };
  /** The prior's mass under the line, where most items end. */
  const underLine = new Float64Array(size);
  const mass = (i: number, share: number): number => {
    if (share <= least) return 0;
    const z = (Math.log(share) - mu[i]!) / scale[i]!;
    return z < 0 ? 0.5 * Math.exp(z) : 1 - 0.5 * Math.exp(-z);
  };
  for (let i = 0; i < size; i++) {
    const bound = i < n ? chain[i]! : off[i - n]!;
    lows[i] = bound.low;
    highs[i] = bound.high;
    const usual = typical[i];
    if (!usual) continue;
    mu[i] = Math.log(usual.share);
    scale[i] = Math.log(usual.times);
    underLine[i] = mass(i, line);
  }
  const sums = new Float64Array(size);
  const skip = rounds > 40 ? Math.floor(rounds / 8) : 2;
  for (let round = 0; round < rounds; round++) {
    const counted = round - skip;
    if (counted >= 0 && counted % BLOCK === 0) shuffle();
    for (let i = 1; i < size; i++) {
      let low = lows[i]!;
      let high = highs[i]!;
      // Items over the line stand in descending order and all before those under it, so the neighbours tell everything.
      if (i < n) {
        if (i > 1 && high > x[i - 1]!) high = Math.min(high, Math.max(line, x[i - 1]!));
        const behind = i + 1 < n ? x[i + 1]! : 0;
        if (behind > line && behind > low) low = behind;
      }
      // The first item takes what is left: within its own bounds, and over every other that is over the line.
      const other = i === 1 ? (n > 2 ? x[2]! : 0) : n > 1 ? x[1]! : 0;
      const pot = x[0]! + x[i]!;
      const most = pot - (other > line && other > first.low ? other : first.low);
      if (low < pot - first.high) low = pot - first.high;
      if (high > most) high = most;
      if (i < n && high > line) high = Math.min(high, Math.max(line, pot / 2));
      if (high <= low) continue;
      const u = counted < 0 ? random() : (strata[i * BLOCK + (counted % BLOCK)]! + random()) / BLOCK;
      let next: number;
      if (scale[i] === 0) next = low + u * (high - low);
      else {
        const a = mass(i, low);
        const b = high === line ? underLine[i]! : mass(i, high);
        if (b - a < 1e-12)
          next =
            mu[i]! < Math.log(Math.max(low, least))
              ? low + u * Math.min(high - low, low * 0.05)
              : high - u * Math.min(high - low, high * 0.05);
        else {
          const p = a + u * (b - a);
          const z = p < 0.5 ? Math.log(2 * p) : -Math.log(2 * (1 - p));
          next = Math.min(high, Math.max(low, Math.exp(mu[i]! + scale[i]! * z)));
        }
      }
      x[0] = pot - next;
      x[i] = next;
    }
    if (counted >= 0) for (let i = 0; i < size; i++) sums[i]! += x[i]!;
  }
  return Array.from(sums, (sum) => sum / (rounds - skip));
}
