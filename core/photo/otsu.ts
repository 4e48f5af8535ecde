/** The greatest threshold between two groups of values (Otsu 1979), over 128 bins between the extremes. */
export function otsu(values: Float32Array): number {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const value of values) {
    if (value < low) low = value;
    if (value > high) high = value;
  }
  const BINS = 128;
  const bins = new Float64Array(BINS);
  const width = (high - low) / BINS || 1;
  for (const value of values) bins[Math.min(BINS - 1, Math.floor((value - low) / width))]! += 1;
  const total = values.length;
  const sum = bins.reduce((all, n, i) => all + n * i, 0);
  let [below, sumBelow, best, at] = [0, 0, -1, 0];
  for (let i = 0; i < BINS; i++) {
    below += bins[i]!;
    sumBelow += bins[i]! * i;
    const above = total - below;
    if (below === 0 || above === 0) continue;
    const between = below * above * (sumBelow / below - (sum - sumBelow) / above) ** 2;
    if (between > best) [best, at] = [between, i];
  }
  return low + (at + 1) * width;
}
