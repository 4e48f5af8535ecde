/** Bounds of one item's share in %. */
export interface Bounds {
  low: number;
  high: number;
}

export type Shares =
  | { feasible: true; chain: Bounds[]; off: Bounds[]; line: { first: number; last: number } }
  | { feasible: false; why: 'order' | 'too much' | 'too little'; items: number[] };

const SLACK = 1e-9;

/**
 * The possible share of every ingredient of a list, in % (methods.md 2). `chain` are the items in descending order down
 * to a 1 % line whose place is unknown, `off` those that may stand anywhere behind (colourants, actives). The set is a
 * union over the line's place k, and each share's projection is one interval. O(n²). Infeasible bounds name the chain
 * items (by place) that contradict each other; off-chain items count on from the chain's length.
 */
export function shareIntervals(chain: readonly Bounds[], off: readonly Bounds[] = [], total = 100): Shares {
  const n = chain.length;
  let [offLow, offHigh] = [0, 0];
  for (const { low, high } of off) {
    offLow += low;
    offHigh += high;
  }
  const capped = new Float64Array(n);
  for (let i = 0; i < n; i++)
    capped[i] = Math.min(chain[i]!.high, i > 0 ? capped[i - 1]! : Number.POSITIVE_INFINITY);

  // For one place k of the line: least and most of every item, and the sums of the first i of them.
  const L = new Float64Array(n);
  const U = new Float64Array(n);
  const headL = new Float64Array(n + 1);
  const headU = new Float64Array(n + 1);
  let now = -1;
  const lineAt = (k: number): boolean => {
    if (now === k) return true;
    now = k;
    let floor = 1;
    let fits = true;
    for (let i = n - 1; i >= 0; i--) {
      const { low, high } = chain[i]!;
      if (i < k) {
        if (low > floor) floor = low;
        L[i] = floor;
        U[i] = capped[i]!;
      } else {
        L[i] = low;
        U[i] = Math.min(1, high);
      }
      if (L[i]! > U[i]! + SLACK) fits = false;
    }
    for (let i = 0; i < n; i++) {
      headL[i + 1] = headL[i]! + L[i]!;
      headU[i + 1] = headU[i]! + U[i]!;
    }
    return fits && headL[n]! + offLow <= total + SLACK && headU[n]! + offHigh >= total - SLACK;
  };

  let a = -1;
  let b = -1;
  for (let k = 0; k <= n; k++)
    if (lineAt(k)) {
      if (a < 0) a = k;
      b = k;
    }
  if (a < 0 || off.some(({ low, high }) => low > high + SLACK)) return conflict(chain, off, total, capped);

  const highest = (j: number): number => {
    if (b < j) {
      lineAt(a);
      return Math.min(U[j - 1]!, total - (headL[n]! + offLow - L[j - 1]!));
    }
    lineAt(Math.max(j, a));
    const behind = headL[n]! + offLow - headL[j]!;
    let most = U[j - 1]!;
    for (let r = 0; r < j; r++) most = Math.min(most, (total - headL[j - 1 - r]! - behind) / (r + 1));
    return most;
  };
  const lowest = (j: number): number => {
    if (a < j) {
      lineAt(Math.min(b, j - 1));
      return Math.max(L[j - 1]!, total - (headU[n]! + offHigh - U[j - 1]!));
    }
    lineAt(b);
    let least = L[j - 1]!;
    for (let r = 0; r <= b - j; r++)
      least = Math.max(least, (total - headU[j - 1]! - (headU[n]! + offHigh - headU[j + r]!)) / (r + 1));
    return least;
  };
  // Asked for in runs of the same line, so that each place of it is worked out once.
  const highs = chain.map((_, i) => highest(i + 1));
  const lows = chain.map((_, i) => lowest(i + 1));
  lineAt(b);
  const allU = headU[n]! + offHigh;
  lineAt(a);
  const allL = headL[n]! + offLow;
  return {
    feasible: true,
    chain: chain.map((_, i) => ({ low: lows[i]!, high: highs[i]! })),
    off: off.map(({ low, high }) => ({
      low: Math.max(low, total - (allU - high)),
      high: Math.min(high, total - (allL - low)),
    })),
    line: { first: a, last: b },
  };
}

/** Which items make a list impossible. */
function conflict(
  chain: readonly Bounds[],
  off: readonly Bounds[],
  total: number,
  capped: ArrayLike<number>,
): Shares {
  const all = [...chain, ...off];
  for (let i = 0; i < chain.length; i++) {
    const later = chain[i]!;
    const over = Math.max(1, capped[i] ?? 0);
    if (later.low > over + SLACK) {
      const capper = chain.findIndex(({ high }, j) => j <= i && high < later.low && high <= over + SLACK);
      return { feasible: false, why: 'order', items: [...new Set([capper < 0 ? i : capper, i])] };
    }
  }
  const crossed = all.findIndex(({ low, high }) => low > high + SLACK);
  if (crossed >= 0) return { feasible: false, why: 'order', items: [crossed] };
  const needed = all.reduce((sum, { low }) => sum + low, 0);
  if (needed > total)
    return { feasible: false, why: 'too much', items: all.flatMap(({ low }, i) => (low > 0 ? [i] : [])) };
  // A stated share raises what stands before it too.
  const firm = chain.flatMap(({ low }, i) => (low > 1 ? [i] : []));
  const raised = chain
    .map((_, i) => Math.max(0, ...chain.slice(i).map(({ low }) => (low > 1 ? low : 0))))
    .reduce((x, y) => x + y, 0);
  if (raised > total) return { feasible: false, why: 'too much', items: firm };
  return {
    feasible: false,
    why: 'too little',
    items: all.flatMap(({ high }, i) => (high < total ? [i] : [])),
  };
}
