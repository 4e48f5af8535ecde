/**
 * Mean of the units' values per arm; units without a value are left out, an arm without any value gives NaN.
 * `values` and `allocation` run over the same units.
 */
export function armMeans(
  values: readonly (number | null)[],
  allocation: readonly number[],
  arms: number,
): number[] {
  const sums = new Array<number>(arms).fill(0);
  const counts = new Array<number>(arms).fill(0);
  for (let unit = 0; unit < values.length; unit++) {
    const value = values[unit];
    if (value === null || value === undefined) continue;
    const arm = allocation[unit]!;
    sums[arm]! += value;
    counts[arm]!++;
  }
  return sums.map((sum, arm) => sum / counts[arm]!);
}

/** The widest gap between any two arms' means; NaN when some arm has none. */
export function widestGap(
  values: readonly (number | null)[],
  allocation: readonly number[],
  arms: number,
): number {
  const means = armMeans(values, allocation, arms);
  return Math.max(...means) - Math.min(...means);
}

/** Signed mean of paired differences: a pair's sign is + for arm 0 and − for arm 1. */
export function signedMean(differences: readonly (number | null)[], allocation: readonly number[]): number {
  let sum = 0;
  let count = 0;
  differences.forEach((difference, pair) => {
    if (difference === null) return;
    sum += allocation[pair] === 0 ? difference : -difference;
    count++;
  });
  return sum / count;
}
