/** ln Γ(x) for x > 0 (Lanczos, g = 7, nine terms). */
function logGamma(x: number): number {
  const c = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const y = x - 1;
  const t = y + 7.5;
  const sum = c.slice(1).reduce((total, ci, i) => total + ci / (y + i + 1), c[0]!);
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** Regularised incomplete beta I_x(a, b) by its continued fraction (modified Lentz); `y` is 1 − x, given for its digits. */
function incompleteBeta(x: number, y: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (y <= 0) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(y, x, b, a);
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(y)) / a;
  const tiny = 1e-300;
  let c = 1;
  let d = 1 / (1 - ((a + b) * x) / (a + 1) || tiny);
  let h = d;
  for (let m = 1; m <= 300; m++) {
    for (const step of [
      (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)),
      (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1)),
    ]) {
      d = 1 / (1 + step * d || tiny);
      c = 1 + step / c || tiny;
      h *= c * d;
    }
    if (Math.abs(c * d - 1) < 1e-14) break;
  }
  return front * h;
}

/** P(T ≤ t) for Student’s t with `df` > 0 degrees of freedom. Source: any handbook, e.g. Abramowitz & Stegun 26.7. */
export function studentCdf(t: number, df: number): number {
  if (!(df > 0)) throw new RangeError('Degrees of freedom must be more than 0.');
  const tail = incompleteBeta(df / (df + t * t), (t * t) / (df + t * t), df / 2, 0.5) / 2;
  return t < 0 ? tail : 1 - tail;
}

/** The t that leaves a share `p` (0…1, exclusive) under it: {@link studentCdf} inverted by bisection. */
export function studentQuantile(p: number, df: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError('A share must lie between 0 and 1.');
  let [low, high] = [-1, 1];
  while (studentCdf(low, df) > p) low *= 2;
  while (studentCdf(high, df) < p) high *= 2;
  for (let i = 0; i < 200 && high - low > 1e-12 * Math.max(1, Math.abs(low)); i++) {
    const middle = (low + high) / 2;
    if (studentCdf(middle, df) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
