import type { Observer } from './tables';

/** Tristimulus values; Y of a perfect white is 100. */
export type Xyz = readonly [number, number, number];

/** What each band adds to X, Y and Z, and the white that all of them make together. */
export interface Weights {
  x: Float64Array;
  y: Float64Array;
  z: Float64Array;
  /** Of a reflectance of 1 in every band: the sum, not CIE's own white point. */
  white: Xyz;
}

/**
 * Weights of the 31-band sum from 400 to 700 nm: k = 100 / sum of S·y, so that white has a Y of exactly 100.
 * Source: CIE 15, sum in place of the integral.
 * @param power of the light, one value a band
 */
export function weigh(power: readonly number[], { x, y, z }: Observer): Weights {
  const k = 100 / power.reduce((sum, s, i) => sum + s * (y[i] ?? 0), 0);
  const weighed = (matching: readonly number[]): Float64Array =>
    Float64Array.from(power, (s, i) => k * s * (matching[i] ?? 0));
  const sum = (weights: Float64Array): number => weights.reduce((all, one) => all + one, 0);
  const [wx, wy, wz] = [weighed(x), weighed(y), weighed(z)];
  return { x: wx, y: wy, z: wz, white: [sum(wx), sum(wy), sum(wz)] };
}
