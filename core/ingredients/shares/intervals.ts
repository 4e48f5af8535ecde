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
  const offLow = off.reduce((sum, { low }) => sum + low, 0);
  const offHigh = off.reduce((sum, { high }) => sum + high, 0);
  const capped: number[] = [];
  for (const { high } of chain) capped.push(Math.min(high, capped.at(-1) ?? Number.POSITIVE_INFINITY));

  const upper = (k: number) => chain.map(({ high }, i) => (i < k ? capped[i]! : Math.min(1, high)));
  const lower = (k: number) => {
    const out = chain.map(({ low }) => low);
    let floor = 1;
    for (let i = k - 1; i >= 0; i--) {
      floor = Math.max(floor, chain[i]!.low);
      out[i] = floor;
    }
    return out;
  };
  const sum = (values: readonly number[]) => values.reduce((all, x) => all + x, 0);
  const fits = (L: readonly number[], U: readonly number[]) =>
    L.every((low, i) => low <= U[i]! + SLACK) &&
    sum(L) + offLow <= total + SLACK &&
    sum(U) + offHigh >= total - SLACK;

  let a = -1;
  let b = -1;
  for (let k = 0; k <= n; k++)
    if (fits(lower(k), upper(k))) {
      if (a < 0) a = k;
      b = k;
    }
  if (a < 0 || off.some(({ low, high }) => low > high + SLACK)) return conflict(chain, off, total, capped);

  const bounds = new Map<
    number,
    { L: number[]; U: number[]; headL: number[]; headU: number[]; allL: number; allU: number }
  >();
  const at = (k: number) => {
    let found = bounds.get(k);
    if (!found) {
      const [L, U] = [lower(k), upper(k)];
      const head = (values: readonly number[]) => {
        const out = [0];
        for (const x of values) out.push(out.at(-1)! + x);
        return out;
      };
      found = { L, U, headL: head(L), headU: head(U), allL: sum(L) + offLow, allU: sum(U) + offHigh };
      bounds.set(k, found);
    }
    return found;
  };

  const highest = (j: number): number => {
    if (b < j) {
      const { L, U, allL } = at(a);
      return Math.min(U[j - 1]!, total - (allL - L[j - 1]!));
    }
    const { U, headL, allL } = at(Math.max(j, a));
    const behind = allL - headL[j]!;
    let most = U[j - 1]!;
    for (let r = 0; r < j; r++) most = Math.min(most, (total - headL[j - 1 - r]! - behind) / (r + 1));
    return most;
  };
  const lowest = (j: number): number => {
    if (a < j) {
      const { L, U, allU } = at(Math.min(b, j - 1));
      return Math.max(L[j - 1]!, total - (allU - U[j - 1]!));
    }
    const { L, headU, allU } = at(b);
    let least = L[j - 1]!;
    for (let r = 0; r <= b - j; r++)
      least = Math.max(least, (total - headU[j - 1]! - (allU - headU[j + r]!)) / (r + 1));
    return least;
  };
  return {
    feasible: true,
    chain: chain.map((_, i) => ({ low: lowest(i + 1), high: highest(i + 1) })),
    off: off.map(({ low, high }) => ({
      low: Math.max(low, total - (at(b).allU - high)),
      high: Math.min(high, total - (at(a).allL - low)),
    })),
    line: { first: a, last: b },
  };
}

/** Which items make a list impossible. */
function conflict(
  chain: readonly Bounds[],
  off: readonly Bounds[],
  total: number,
  capped: readonly number[],
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
