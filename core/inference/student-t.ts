import { logGamma } from './chi-square.ts';

/** Regularised incomplete beta I_x(a, b) by its continued fraction (modified Lentz); `y` is 1 − x, given for its digits. */
export function incompleteBeta(x: number, y: number, a: number, b: number): number {
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
