import { FieldError } from '../figure/fieldError';

/**
 * Root of a continuous function between two points of opposite sign: inverse quadratic interpolation where it is
 * safe, bisection where it is not, so that it always ends.
 * Source: T. R. Chandrupatla, Adv. Eng. Softw. 28, 145 (1997).
 * @param tolerance width at which the root is known well enough, > 0
 * @throws FieldError when both ends have the same sign
 */
export function bracketedRoot(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
): number {
  let a = high;
  let b = low;
  let fa = f(a);
  let fb = f(b);
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (fa > 0 === fb > 0) throw new FieldError('root', `No change of sign between ${low} and ${high}.`);
  let c: number;
  let fc: number;
  let t = 0.5;
  for (let round = 0; round < 200; round += 1) {
    const x = a + t * (b - a);
    const fx = f(x);
    if (fx > 0 === fa > 0) {
      c = a;
      fc = fa;
    } else {
      c = b;
      b = a;
      fc = fb;
      fb = fa;
    }
    a = x;
    fa = fx;
    const best = Math.abs(fb) < Math.abs(fa) ? b : a;
    const least = tolerance / Math.abs(b - c);
    if (fa === 0 || fb === 0 || least > 0.5) return best;
    const xi = (a - b) / (c - b);
    const phi = (fa - fb) / (fc - fb);
    const safe = phi ** 2 < xi && (1 - phi) ** 2 < 1 - xi;
    t = safe
      ? (fa / (fb - fa)) * (fc / (fb - fc)) + ((c - a) / (b - a)) * (fa / (fc - fa)) * (fb / (fc - fb))
      : 0.5;
    t = Math.min(1 - least, Math.max(least, t));
  }
  return a;
}
