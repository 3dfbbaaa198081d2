/** Least number that is written out; anything smaller is said to be under it. */
const LEAST = 1e-6;

/**
 * A number as it stands in an explanation: six figures, enough to check the arithmetic by hand, all of what stands before
 * the point, no trailing zeros and no powers of ten.
 */
export function plainNumber(value: number): string {
  const size = Math.abs(value);
  if (Number.isInteger(value) || size >= 1e5) return String(Math.round(value));
  return size < LEAST ? 'under 0.000001' : String(Number(value.toPrecision(6)));
}
