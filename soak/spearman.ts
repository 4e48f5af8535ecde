const ranks = (values: readonly number[]) => values.map((v) => values.filter((w) => w < v).length);
/** Rank correlation of values without ties. Source: Spearman (1904), Am. J. Psychol. 15, 72–101. */
export function spearman(a: readonly number[], b: readonly number[]): number {
  const [x, y] = [ranks(a), ranks(b)];
  const mean = (x.length - 1) / 2;
  const sum = (p: readonly number[], q: readonly number[]) =>
    p.reduce((all, v, i) => all + (v - mean) * (q[i]! - mean), 0);
  return sum(x, y) / Math.sqrt(sum(x, x) * sum(y, y));
}
