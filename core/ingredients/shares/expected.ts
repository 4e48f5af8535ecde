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

/**
 * One draw between two bounds: even where nothing is typical, else Laplace on the log scale about the typical share,
 * cut to the bounds (its inverse is in closed form).
 */
function draw(low: number, high: number, typical: Typical | null, u: number): number {
  if (high - low < 1e-12) return low;
  if (typical === null) return low + u * (high - low);
  const mu = Math.log(typical.share);
  const scale = Math.log(typical.times);
  const cdf = (x: number) => {
    const z = (Math.log(Math.max(x, least)) - mu) / scale;
    return z < 0 ? 0.5 * Math.exp(z) : 1 - 0.5 * Math.exp(-z);
  };
  const [a, b] = [cdf(low), cdf(high)];
  if (b - a < 1e-12)
    return typical.share < low
      ? low + u * Math.min(high - low, low * 0.05)
      : high - u * Math.min(high - low, high * 0.05);
  const p = a + u * (b - a);
  const z = p < 0.5 ? Math.log(2 * p) : -Math.log(2 * (1 - p));
  return Math.min(high, Math.max(low, Math.exp(mu + scale * z)));
}

export interface Sampling {
  /** Rounds over all items. */
  rounds: number;
  seed: number;
  /** Share in % at and under which order no longer counts; 0 keeps the order to the end. */
  line?: number;
}

/**
 * Expected shares in %, chain first, then off-chain: the mean of seeded Gibbs sampling over the whole feasible set
 * (every place of the 1 % line at once), with typical shares as the prior and the first item taking what is left
 * (methods.md 2). With `typical` null throughout and no line it is the broken stick, (100/n)·Σ_{i≥j} 1/i. `start` must
 * be a feasible formula.
 */
export function expectedShares(
  start: readonly number[],
  chain: readonly Bounds[],
  off: readonly Bounds[],
  typical: readonly (Typical | null)[],
  { rounds, seed, line = 1 }: Sampling,
): number[] {
  const random = stream(seed);
  const n = chain.length;
  const bounds = [...chain, ...off];
  const x = [...start];
  const sums = new Array<number>(x.length).fill(0);
  const skip = Math.floor(rounds / 5);
  for (let round = 0; round < rounds; round++) {
    for (let i = 1; i < x.length; i++) {
      let { low, high } = bounds[i]!;
      const chained = i < n;
      // Largest item behind the line's reach decides how low this one and the first may go.
      let behind = 0;
      if (chained) {
        for (let j = 0; j < i; j++) {
          const cap = Math.max(line, x[j]!);
          if (j > 0 && cap < high) high = cap;
        }
        for (let j = i + 1; j < n; j++) if (x[j]! > behind) behind = x[j]!;
        if (behind > line && behind > low) low = behind;
      }
      let others = 0;
      for (let j = 1; j < n; j++) if (j !== i && x[j]! > others) others = x[j]!;
      const pot = x[0]! + x[i]!;
      // The first item takes what is left: within its own bounds, and over every other that is over the line.
      const first = chain[0]!;
      low = Math.max(low, pot - first.high);
      high = Math.min(high, pot - Math.max(first.low, others > line ? others : 0));
      if (chained && high > line)
        high = Math.min(high, Math.max(line, pot / 2), pot - Math.max(first.low, others > line ? others : 0));
      if (high < low) continue;
      const next = draw(low, high, typical[i] ?? null, random());
      x[0] = pot - next;
      x[i] = next;
    }
    if (round >= skip) for (let i = 0; i < x.length; i++) sums[i]! += x[i]!;
  }
  return sums.map((sum) => sum / (rounds - skip));
}
