import type { Spectrum } from '../spectrum';
import { ILLUMINANTS, OBSERVERS, type IlluminantName, type ObserverName } from './tables';

/** Tristimulus values; Y of a perfect white is 100. */
export type Xyz = readonly [number, number, number];

/** Light and observer that something is looked at with. */
export interface Viewing {
  illuminant: IlluminantName;
  observer: ObserverName;
}

/** Daylight on a large patch: what Lab means here, where nothing else is said. */
export const DAYLIGHT: Viewing = { illuminant: 'D65', observer: '10°' };

/** What each band adds to X, Y and Z, and the white that all of them make together. */
export interface Weights {
  x: Float64Array;
  y: Float64Array;
  z: Float64Array;
  /** Of a reflectance of 1 in every band: the sum, not CIE's own white point. */
  white: Xyz;
}

const made = new Map<string, Weights>();

/**
 * Weights of the 31-band sum from 400 to 700 nm: k = 100 / sum of S·y, so that white has a Y of exactly 100.
 * Source: CIE 15, sum in place of the integral.
 */
export function weightsOf({ illuminant, observer }: Viewing): Weights {
  const key = `${illuminant} ${observer}`;
  const known = made.get(key);
  if (known) return known;
  const power = ILLUMINANTS[illuminant];
  const { x, y, z } = OBSERVERS[observer];
  const k = 100 / power.reduce((sum, s, i) => sum + s * (y[i] ?? 0), 0);
  const weigh = (matching: readonly number[]): Float64Array =>
    Float64Array.from(power, (s, i) => k * s * (matching[i] ?? 0));
  const sum = (weights: Float64Array): number => weights.reduce((all, one) => all + one, 0);
  const [wx, wy, wz] = [weigh(x), weigh(y), weigh(z)];
  const weights: Weights = { x: wx, y: wy, z: wz, white: [sum(wx), sum(wy), sum(wz)] };
  made.set(key, weights);
  return weights;
}

/** Tristimulus values of a reflectance. @param spectrum 31 bands */
export function xyzOf(spectrum: Spectrum | Float64Array, viewing: Viewing = DAYLIGHT): Xyz {
  const weights = weightsOf(viewing);
  let [x, y, z] = [0, 0, 0];
  for (let i = 0; i < spectrum.length; i += 1) {
    const r = spectrum[i] ?? 0;
    x += r * (weights.x[i] ?? 0);
    y += r * (weights.y[i] ?? 0);
    z += r * (weights.z[i] ?? 0);
  }
  return [x, y, z];
}

/**
 * CIE's own white points, for tristimulus values that come from elsewhere. They are never mixed with the white of the sum.
 * Source: CIE 15.
 */
export const CIE_WHITES: Readonly<Record<string, Xyz>> = {
  'D65 2°': [95.047, 100, 108.883],
  'D65 10°': [94.811, 100, 107.304],
  'A 2°': [109.85, 100, 35.585],
};
