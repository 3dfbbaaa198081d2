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

/**
 * The same for a b that is nothing in most places, as the slopes of one color are among the numbers of a whole shelf: parts
 * of x that come out as nothing are not gone through again.
 */
export function whitenedFew({ n, rows }: Factor, b: Float64Array): Float64Array {
  const x = new Float64Array(n);
  const some = new Int32Array(n);
  let count = 0;
  for (let i = 0; i < n; i += 1) {
    const at = i * n;
    let sum = b[i] as number;
    for (let c = 0; c < count; c += 1) {
      const k = some[c] as number;
      sum -= (rows[at + k] as number) * (x[k] as number);
    }
    if (sum === 0) continue;
    x[i] = sum / (rows[at + i] as number);
    some[count] = i;
    count += 1;
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

/** The inverse of a symmetric, positive matrix. @param matrix n × n, row by row */
export function inverseOf(matrix: Float64Array, n: number): Float64Array {
  const factor = factorOf(matrix, n);
  if (!factor) throw new Error('Only a positive matrix has an inverse here.');
  const inverse = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    const one = new Float64Array(n);
    one[i] = 1;
    inverse.set(solvedWith(factor, one), i * n);
  }
  return inverse;
}

/** The sum of the products of two lists of one length. */
export function dot(one: Float64Array, other: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < one.length; i += 1) sum += (one[i] as number) * (other[i] as number);
  return sum;
}

/** A factor with more numbers that hang on none of the others. @param n how many there are then @param each factor of each of them */
export function widened({ n: before, rows }: Factor, n: number, each: number): Factor {
  const wide = new Float64Array(n * n);
  for (let i = 0; i < before; i += 1) wide.set(rows.subarray(i * before, (i + 1) * before), i * n);
  for (let i = before; i < n; i += 1) wide[i * n + i] = each;
  return { n, rows: wide };
}
