/** Pairs of places in two sequences, in order; null on the side that has nothing there. */
export type Alignment = { a: number | null; b: number | null }[];

/**
 * The best global alignment of two sequences. `likeness` of two items: over 0 they may stand beside each other, and the
 * sum of it is made as large as can be; 0 or less keeps them apart. Source: Needleman & Wunsch (1970), J. Mol. Biol.
 * 48, 443–453, without gap costs. O(n·m).
 */
export function align<T>(
  first: readonly T[],
  second: readonly T[],
  likeness: (a: T, b: T) => number,
): Alignment {
  const [n, m] = [first.length, second.length];
  const best = Array.from({ length: n + 1 }, () => new Array<number>(m + 1).fill(0));
  const like = first.map((a) => second.map((b) => likeness(a, b)));
  for (let i = n - 1; i >= 0; i--)
    for (let j = m - 1; j >= 0; j--) {
      const together = like[i]![j]! > 0 ? like[i]![j]! + best[i + 1]![j + 1]! : 0;
      best[i]![j] = Math.max(best[i + 1]![j]!, best[i]![j + 1]!, together);
    }
  const pairs: Alignment = [];
  let [i, j] = [0, 0];
  while (i < n || j < m) {
    const here = best[i]?.[j] ?? 0;
    if (i < n && j < m && like[i]![j]! > 0 && here === like[i]![j]! + best[i + 1]![j + 1]!)
      pairs.push({ a: i++, b: j++ });
    else if (i < n && (j === m || here === best[i + 1]![j]!)) pairs.push({ a: i++, b: null });
    else pairs.push({ a: null, b: j++ });
  }
  return pairs;
}

/**
 * Items of a sequence of distinct numbers that must be moved to make it rise: those outside one longest rising
 * subsequence (patience sorting, Schensted 1961). O(n log n).
 */
export function outOfOrder(order: readonly number[]): Set<number> {
  const tails: number[] = [];
  const before = order.map(() => -1);
  order.forEach((value, i) => {
    let [low, high] = [0, tails.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (order[tails[middle]!]! < value) low = middle + 1;
      else high = middle;
    }
    before[i] = low > 0 ? tails[low - 1]! : -1;
    tails[low] = i;
  });
  const kept = new Set<number>();
  for (let i = tails.at(-1) ?? -1; i >= 0; i = before[i]!) kept.add(order[i]!);
  return new Set(order.filter((value) => !kept.has(value)));
}
