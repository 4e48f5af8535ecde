/**
 * The x ≥ 0 of length n that makes ½·xᵀGx − cᵀx least; `gram` is G, n × n, positive semi-definite, row after row. Active
 * sets: one place after the other is let free while that helps, and held at 0 again where it would go under. Source: Lawson &
 * Hanson (1974), Solving Least Squares Problems, ch. 23.
 */
export function nonNegative(gram: Float64Array, c: ArrayLike<number>, n: number): Float64Array {
  const x = new Float64Array(n);
  const free: number[] = [];
  for (let round = 0; round < 3 * n + 10; round++) {
    // Steepest way down among those held at 0.
    let [best, steepest] = [-1, 1e-10];
    for (let j = 0; j < n; j++) {
      if (x[j]! > 0 || free.includes(j)) continue;
      let slope = c[j]!;
      for (const k of free) slope -= gram[j * n + k]! * x[k]!;
      if (slope > steepest) [best, steepest] = [j, slope];
    }
    if (best < 0) break;
    free.push(best);
    for (;;) {
      const z = solvedFor(gram, c, n, free);
      let step = 1;
      for (const [i, j] of free.entries())
        if (z[i]! <= 0 && x[j]! - z[i]! > 0) step = Math.min(step, x[j]! / (x[j]! - z[i]!));
      for (const [i, j] of free.entries()) x[j]! += step * (z[i]! - x[j]!);
      if (step === 1 && z.every((value) => value > 0)) break;
      for (let i = free.length - 1; i >= 0; i--)
        if (x[free[i]!]! <= 1e-14) {
          x[free[i]!] = 0;
          free.splice(i, 1);
        }
      if (free.length === 0) break;
    }
  }
  return x;
}

/** A little on the diagonal, so that places no datum tells apart share what they have. */
const RIDGE = 1e-11;

/** The plain solution for the free places alone, by elimination along the diagonal. */
function solvedFor(gram: Float64Array, c: ArrayLike<number>, n: number, free: readonly number[]): number[] {
  const m = free.length;
  const rows = free.map((j) => [...free.map((k) => gram[j * n + k]! + (j === k ? RIDGE : 0)), c[j]!]);
  for (let column = 0; column < m; column++) {
    const head = rows[column]!;
    for (let i = column + 1; i < m; i++) {
      const factor = rows[i]![column]! / head[column]!;
      if (factor !== 0) for (let k = column; k <= m; k++) rows[i]![k]! -= factor * head[k]!;
    }
  }
  const z = new Array<number>(m).fill(0);
  for (let i = m - 1; i >= 0; i--) {
    let value = rows[i]![m]!;
    for (let k = i + 1; k < m; k++) value -= rows[i]![k]! * z[k]!;
    z[i] = value / rows[i]![i]!;
  }
  return z;
}
