import { studentQuantile } from '../inference/student-t.ts';

/** One head's answer: how far one product lies over another on it, with its standard error. */
export interface OnHead {
  value: number;
  se: number;
}

/** Several heads' answers put together. */
export interface OverHeads {
  /** Null with two heads, which are listed. */
  mean: { value: number; se: number; low: number; high: number } | null;
  /** Where the next such head may lie; from five heads. */
  next: { low: number; high: number } | null;
  /** Variance between heads, beyond their own errors. */
  tau2: number;
  heads: number;
}

/** Fewest heads for a mean, and for a prediction. Source: methods.md 7. */
export const FOR_MEAN = 3;
export const FOR_NEXT = 5;
const ROUNDS = 200;

/** Variance between heads by restricted maximum likelihood (Fisher scoring). Source: Viechtbauer (2005), J. Educ. Behav. Stat. 30. */
export function remlVariance(heads: readonly OnHead[]): number {
  let tau2 = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const w = heads.map(({ se }) => 1 / (se ** 2 + tau2));
    const sum = w.reduce((a, b) => a + b, 0);
    const mean = heads.reduce((at, { value }, i) => at + w[i]! * value, 0) / sum;
    const square = w.reduce((a, b) => a + b * b, 0);
    const step =
      heads.reduce((at, { value, se }, i) => at + w[i]! ** 2 * ((value - mean) ** 2 - se ** 2), 0) / square +
      1 / sum;
    const next = Math.max(0, step);
    if (Math.abs(next - tau2) < 1e-12 * Math.max(1, tau2)) return next;
    tau2 = next;
  }
  return tau2;
}

/**
 * One comparison over several heads: REML, Knapp and Hartung's standard error with its factor never under 1, an interval on
 * k − 1 degrees of freedom; the next head's place by t(k − 2)·√(τ² + SE²) from five heads. Three or four heads: the mean
 * alone; two: nothing. Source: methods.md 7; Knapp & Hartung (2003), Statistics in Medicine 22; Higgins & al. (2009).
 */
export function overHeads(heads: readonly OnHead[]): OverHeads {
  const k = heads.length;
  if (k < FOR_MEAN) return { mean: null, next: null, tau2: 0, heads: k };
  const tau2 = remlVariance(heads);
  const w = heads.map(({ se }) => 1 / (se ** 2 + tau2));
  const sum = w.reduce((a, b) => a + b, 0);
  const value = heads.reduce((at, head, i) => at + w[i]! * head.value, 0) / sum;
  const q = heads.reduce((at, head, i) => at + w[i]! * (head.value - value) ** 2, 0) / (k - 1);
  const se = Math.sqrt(Math.max(1, q) / sum);
  const reach = studentQuantile(0.975, k - 1) * se;
  const far = k >= FOR_NEXT ? studentQuantile(0.975, k - 2) * Math.sqrt(tau2 + se ** 2) : null;
  return {
    mean: { value, se, low: value - reach, high: value + reach },
    next: far === null ? null : { low: value - far, high: value + far },
    tau2,
    heads: k,
  };
}
