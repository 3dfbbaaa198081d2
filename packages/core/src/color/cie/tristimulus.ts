import type { Spectrum } from '../spectrum';
import { ILLUMINANTS, OBSERVERS, type IlluminantName, type ObserverName } from './tables';
import { weigh, type Weights, type Xyz } from './weights';

/** Light and observer that something is looked at with. */
export interface Viewing {
  illuminant: IlluminantName;
  observer: ObserverName;
}

/** Daylight on a large patch: what Lab means here, where nothing else is said. */
export const DAYLIGHT: Viewing = { illuminant: 'D65', observer: '10°' };

const made = new Map<string, Weights>();

/** Weights of the 31-band sum for a light and an observer, made once. */
export function weightsOf({ illuminant, observer }: Viewing): Weights {
  const key = `${illuminant} ${observer}`;
  const known = made.get(key);
  if (known) return known;
  const weights = weigh(ILLUMINANTS[illuminant], OBSERVERS[observer]);
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
