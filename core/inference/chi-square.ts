/** ln Γ(x) for x > 0 (Lanczos, g = 7, nine terms). */
export function logGamma(x: number): number {
  const c = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const y = x - 1;
  const t = y + 7.5;
  const sum = c.slice(1).reduce((total, ci, i) => total + ci / (y + i + 1), c[0]!);
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** P(X ≤ x) of chi-square with `df` > 0 degrees of freedom: the regularised incomplete gamma by series or continued fraction. Source: Abramowitz & Stegun 26.4, 6.5. */
export function chiSquareCdf(x: number, df: number): number {
  if (!(df > 0)) throw new RangeError('Degrees of freedom must be more than 0.');
  if (x <= 0) return 0;
  const a = df / 2;
  const y = x / 2;
  const front = Math.exp(-y + a * Math.log(y) - logGamma(a));
  if (y < a + 1) {
    let term = 1 / a;
    let sum = term;
    for (let n = 1; n < 1000 && term > sum * 1e-15; n++) {
      term *= y / (a + n);
      sum += term;
    }
    return front * sum;
  }
  let b = y + 1 - a;
  let c = 1e300;
  let d = 1 / b;
  let h = d;
  for (let i = 1; i < 1000; i++) {
    const an = -i * (i - a);
    b += 2;
    d = 1 / (an * d + b || 1e-300);
    c = b + an / c || 1e-300;
    h *= d * c;
    if (Math.abs(d * c - 1) < 1e-15) break;
  }
  return 1 - front * h;
}

/** The x that leaves a share `p` (0…1, exclusive) under it: {@link chiSquareCdf} inverted by bisection. */
export function chiSquareQuantile(p: number, df: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError('A share must lie between 0 and 1.');
  let [low, high] = [0, 1];
  while (chiSquareCdf(high, df) < p) high *= 2;
  for (let i = 0; i < 200 && high - low > 1e-12 * high; i++) {
    const middle = (low + high) / 2;
    if (chiSquareCdf(middle, df) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
