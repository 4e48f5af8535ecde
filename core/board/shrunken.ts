import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { FEWEST_POOLED } from './columns.ts';

/** Points of the grid over the spread between products, and how far it goes, in spreads of the estimates. */
const GRID = 200;
const FARTHEST = 5;

/** Estimates drawn towards their middle. */
export interface Shrunken {
  values: Float64Array;
  /** Standard deviations about them. */
  sds: Float64Array;
  /** The likeliest spread between products, averaged over the grid. */
  omega: number;
}

/**
 * Estimates drawn towards their middle: products of one role are taken as random about a mean of their own, the errors as
 * known, and the spread ω between products is averaged over a grid with a flat prior. `precision` is the inverse of the
 * estimates' covariance (without their common level, where only differences are known). Null under five products.
 * Source: methods.md 7; Gelman & al., Bayesian Data Analysis, section 5.5 (eight schools).
 */
export function towardsMiddle(estimates: ArrayLike<number>, precision: Matrix): Shrunken | null {
  const n = estimates.length;
  if (n < FEWEST_POOLED) return null;
  const y = Matrix.columnVector(Array.from(estimates));
  const b = precision.mmul(y);
  const yMy = y.transpose().mmul(b).get(0, 0);
  const middle = Array.from(estimates).reduce((sum, value) => sum + value, 0) / n;
  const apart = Math.sqrt(
    Array.from(estimates).reduce((sum, value) => sum + (value - middle) ** 2, 0) / (n - 1),
  );
  const centred = Matrix.sub(Matrix.eye(n), Matrix.ones(n, n).mul(1 / n));
  const found: { log: number; omega: number; mean: Float64Array; square: Float64Array }[] = [];
  for (let g = 0; g < GRID; g++) {
    const omega = ((g + 0.5) / GRID) * FARTHEST * Math.max(apart, 1e-9);
    const P = Matrix.add(precision, Matrix.mul(centred, 1 / omega ** 2));
    const eigen = new EigenvalueDecomposition(P, { assumeSymmetric: true });
    const values = eigen.realEigenvalues;
    const least = 1e-10 * Math.max(...values);
    const V = eigen.eigenvectorMatrix;
    const inverse = V.mmul(Matrix.diag(values.map((value) => (value > least ? 1 / value : 0)))).mmul(
      V.transpose(),
    );
    const at = inverse.mmul(b);
    const fit = b.transpose().mmul(at).get(0, 0);
    const logs = values.reduce((sum, value) => (value > least ? sum + Math.log(value) : sum), 0);
    found.push({
      log: -(n - 1) * Math.log(omega) - logs / 2 - (yMy - fit) / 2,
      omega,
      mean: Float64Array.from(at.to1DArray()),
      square: Float64Array.from({ length: n }, (_, i) => inverse.get(i, i) + at.get(i, 0) ** 2),
    });
  }
  const most = Math.max(...found.map(({ log }) => log));
  const weights = found.map(({ log }) => Math.exp(log - most));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const over = (of: (one: (typeof found)[number]) => number) =>
    found.reduce((sum, one, g) => sum + (weights[g]! / total) * of(one), 0);
  const values = Float64Array.from({ length: n }, (_, i) => over(({ mean }) => mean[i]!));
  return {
    values,
    sds: values.map((value, i) => Math.sqrt(Math.max(0, over(({ square }) => square[i]!) - value ** 2))),
    omega: over(({ omega }) => omega),
  };
}
