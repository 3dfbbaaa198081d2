import { kOverS, reflectanceOf, SURFACE, withoutSurface, withSurface } from '../kubelkaMunk';
import type { Spectrum } from '../spectrum';
import { BANDS } from '../../units/bands';

/** Absorption over scattering of something that was measured, band by band. */
export const absorptionOf = (reflectance: Spectrum | Float64Array, surface = SURFACE): Float64Array =>
  Float64Array.from(reflectance, (r) => kOverS(withoutSurface(r, surface)));

/** What an instrument reads of a layer. */
export function readingOf(absorption: Float64Array, surface = SURFACE): Float64Array {
  const reading = new Float64Array(BANDS);
  for (let band = 0; band < BANDS; band += 1)
    reading[band] = withSurface(reflectanceOf(absorption[band] as number), surface);
  return reading;
}

/** How a reading falls as the absorption grows, band by band: below 0. */
export function readingPerAbsorption(absorption: Float64Array, surface = SURFACE): Float64Array {
  const falls = new Float64Array(BANDS);
  for (let band = 0; band < BANDS; band += 1) {
    const q = Math.max(LEAST, absorption[band] as number);
    falls[band] = (-(1 - surface) * reflectanceOf(q)) / Math.sqrt(q * (q + 2));
  }
  return falls;
}

/** White has no slope of its own: nothing here is whiter. */
const LEAST = 1e-6;
