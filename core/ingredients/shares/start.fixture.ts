import type { Bounds, Shares } from './intervals.ts';
import type { Typical } from './typical.ts';

/**
 * A likely formula: every item at its typical share as far as its bounds and the order let it, the first taking what is
 * left. Null where that does not fit, and {@link feasibleStart} must do.
 */
export function typicalStart(
  chain: readonly Bounds[],
  off: readonly Bounds[],
  typical: readonly Typical[],
  total = 100,
): number[] | null {
  const n = chain.length;
  const x = [...chain, ...off].map(({ low, high }, i) => Math.min(high, Math.max(low, typical[i]!.share)));
  for (let i = 2; i < n; i++) x[i] = Math.min(x[i]!, Math.max(1, x[i - 1]!));
  let rest = total;
  for (let i = 1; i < x.length; i++) rest -= x[i]!;
  x[0] = rest;
  const first = chain[0]!;
  if (rest < first.low || rest > first.high || (n > 1 && x[1]! > 1 && x[1]! > rest)) return null;
  for (let i = 1; i < n; i++)
    if (x[i]! < chain[i]!.low || (x[i]! > 1 && i > 1 && x[i]! > x[i - 1]!)) return null;
  return x;
}

/**
 * A feasible formula to begin sampling from: for the first place of the 1 % line that fits, every item at its least,
 * then raised from the front as far as order and bounds allow until the shares add up.
 */
export function feasibleStart(
  chain: readonly Bounds[],
  off: readonly Bounds[],
  shares: Extract<Shares, { feasible: true }>,
  total = 100,
): number[] {
  const k = shares.line.last;
  const x = chain.map(({ low }, i) => (i < k ? Math.max(1, low) : low));
  for (let i = k - 2; i >= 0; i--) x[i] = Math.max(x[i]!, x[i + 1]!);
  const all = [...x, ...off.map(({ low }) => low)];
  let cap = Number.POSITIVE_INFINITY;
  const highs = [
    ...chain.map(({ high }, i) => {
      cap = Math.min(cap, high);
      return i < k ? cap : Math.min(1, high);
    }),
    ...off.map(({ high }) => high),
  ];
  let rest = total - all.reduce((sum, share) => sum + share, 0);
  for (let i = 0; i < all.length && rest > 0; i++) {
    const add = Math.min(rest, highs[i]! - all[i]!);
    all[i]! += add;
    rest -= add;
  }
  return all;
}
