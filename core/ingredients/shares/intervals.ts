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
  // A least share over 1 % keeps the line behind it, so in front of a line that fits every item's least is `floor`
  // whatever the line's place, and its most is `capped`; behind it they are its own least and at most 1.
  const floor = new Float64Array(n);
  const capped = new Float64Array(n);
  for (let i = 0; i < n; i++) capped[i] = Math.min(chain[i]!.high, i > 0 ? capped[i - 1]! : Infinity);
  for (let i = n - 1; i >= 0; i--) floor[i] = Math.max(chain[i]!.low, i + 1 < n ? floor[i + 1]! : 1);
  // Sums of the first i items, before and behind the line.
  const sumFloor = new Float64Array(n + 1);
  const sumCapped = new Float64Array(n + 1);
  const sumLow = new Float64Array(n + 1);
  const sumHigh = new Float64Array(n + 1);
  let fitsBefore = n;
  let fitsFrom = 0;
  for (let i = 0; i < n; i++) {
    const { low, high } = chain[i]!;
    const most = Math.min(1, high);
    sumFloor[i + 1] = sumFloor[i]! + floor[i]!;
    sumCapped[i + 1] = sumCapped[i]! + capped[i]!;
    sumLow[i + 1] = sumLow[i]! + low;
    sumHigh[i + 1] = sumHigh[i]! + most;
    if (floor[i]! > capped[i]! + SLACK) fitsBefore = Math.min(fitsBefore, i);
    if (low > most + SLACK) fitsFrom = i + 1;
  }
  /** Least and most of the first i items together when the line lies behind the k-th. */
  const headL = (k: number, i: number) => (i <= k ? sumFloor[i]! : sumFloor[k]! + sumLow[i]! - sumLow[k]!);
  const headU = (k: number, i: number) =>
    i <= k ? sumCapped[i]! : sumCapped[k]! + sumHigh[i]! - sumHigh[k]!;

  let a = -1;
  let b = -1;
  for (let k = fitsFrom; k <= fitsBefore; k++)
    if (headL(k, n) + offLow <= total + SLACK && headU(k, n) + offHigh >= total - SLACK) {
      if (a < 0) a = k;
      b = k;
    }
  if (a < 0 || off.some(({ low, high }) => low > high + SLACK)) return conflict(chain, off, total, capped);

  const allL = headL(a, n) + offLow;
  const allU = headU(b, n) + offHigh;
  const highest = (j: number): number => {
    const { low, high } = chain[j - 1]!;
    if (b < j) return Math.min(1, high, total - (allL - low));
    const k = Math.max(j, a);
    const behind = headL(k, n) + offLow - sumFloor[j]!;
    let most = capped[j - 1]!;
    for (let r = 0; r < j; r++) most = Math.min(most, (total - sumFloor[j - 1 - r]! - behind) / (r + 1));
    return most;
  };
  const lowest = (j: number): number => {
    const { low, high } = chain[j - 1]!;
    if (a < j) return Math.max(low, total - (headU(Math.min(b, j - 1), n) + offHigh - Math.min(1, high)));
    let least = floor[j - 1]!;
    for (let r = 0; r <= b - j; r++)
      least = Math.max(least, (total - sumCapped[j - 1]! - (allU - sumCapped[j + r]!)) / (r + 1));
    return least;
  };
  return {
    feasible: true,
    chain: chain.map((_, i) => ({ low: lowest(i + 1), high: highest(i + 1) })),
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
