/**
 * Solve A x = b in place by Gaussian elimination with partial pivoting. `rows` are n rows of n + 1 numbers,
 * the last the right-hand side. Undefined when the matrix is singular.
 */
export function solveLinear(rows: Float64Array[]): Float64Array | undefined {
  const n = rows.length;
  for (let column = 0; column < n; column += 1) {
    let pivot = column;
    for (let i = column + 1; i < n; i += 1)
      if (Math.abs(rows[i]?.[column] ?? 0) > Math.abs(rows[pivot]?.[column] ?? 0)) pivot = i;
    const top = rows[pivot] as Float64Array;
    rows[pivot] = rows[column] as Float64Array;
    rows[column] = top;
    const lead = top[column] ?? 0;
    if (lead === 0) return undefined;
    for (let i = column + 1; i < n; i += 1) {
      const row = rows[i] as Float64Array;
      const factor = (row[column] ?? 0) / lead;
      if (factor === 0) continue;
      for (let j = column; j <= n; j += 1) row[j] = (row[j] as number) - factor * (top[j] as number);
    }
  }
  const x = new Float64Array(n);
  for (let i = n - 1; i >= 0; i -= 1) {
    const row = rows[i] as Float64Array;
    let sum = row[n] as number;
    for (let j = i + 1; j < n; j += 1) sum -= (row[j] as number) * (x[j] as number);
    x[i] = sum / (row[i] as number);
  }
  return x;
}
