/**
 * Cholesky's factor of a symmetric, positive matrix, in its lower half, row by row.
 * Written out: it stands in the innermost loops of fitting and matching, where a package's matrices take longer to make
 * than to reckon with.
 */
export interface Factor {
  n: number;
  rows: Float64Array;
}

/** @param matrix n × n, row by row @returns null where it is not positive */
export function factorOf(matrix: Float64Array, n: number): Factor | null {
  const rows = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    const at = i * n;
    for (let j = 0; j <= i; j += 1) {
      const other = j * n;
      let sum = matrix[at + j] as number;
      for (let k = 0; k < j; k += 1) sum -= (rows[at + k] as number) * (rows[other + k] as number);
      if (i !== j) rows[at + j] = sum / (rows[other + j] as number);
      else if (sum > 0) rows[at + i] = Math.sqrt(sum);
      else return null;
    }
  }
  return { n, rows };
}

/** Solves L x = b: what is left of b once the factor is taken off it. */
export function whitened({ n, rows }: Factor, b: Float64Array): Float64Array {
  const x = new Float64Array(n);
  for (let i = 0; i < n; i += 1) {
    let sum = b[i] as number;
    for (let k = 0; k < i; k += 1) sum -= (rows[i * n + k] as number) * (x[k] as number);
    x[i] = sum / (rows[i * n + i] as number);
  }
  return x;
}

/** Solves (L Lᵀ) x = b. */
export function solvedWith(factor: Factor, b: Float64Array): Float64Array {
  const { n, rows } = factor;
  const x = whitened(factor, b);
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = x[i] as number;
    for (let k = i + 1; k < n; k += 1) sum -= (rows[k * n + i] as number) * (x[k] as number);
    x[i] = sum / (rows[i * n + i] as number);
  }
  return x;
}
