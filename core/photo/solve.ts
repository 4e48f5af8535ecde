/** Solves A·x = b for a square A (rows), by elimination with the largest pivot. Throws where A is singular. */
export function solved(a: readonly (readonly number[])[], b: readonly number[]): number[] {
  const n = b.length;
  const rows = a.map((row, i) => [...row, b[i]!]);
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let i = column + 1; i < n; i++)
      if (Math.abs(rows[i]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = i;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const head = rows[column]!;
    if (!(Math.abs(head[column]!) > 1e-12)) throw new RangeError('These equations have no single solution.');
    for (let i = 0; i < n; i++) {
      if (i === column) continue;
      const row = rows[i]!;
      const factor = row[column]! / head[column]!;
      if (factor !== 0) for (let k = column; k <= n; k++) row[k]! -= factor * head[k]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}
