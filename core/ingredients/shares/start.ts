import type { Bounds, Shares } from './intervals.ts';

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
