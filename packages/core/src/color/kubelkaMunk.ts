/**
 * Absorption over scattering of an opaque layer that reflects so much of the light.
 * Source: P. Kubelka, J. Opt. Soc. Am. 38, 448 (1948).
 * @param r above 0 to 1
 */
export const kOverS = (r: number): number => ((1 - r) * (1 - r)) / (2 * r);

/** And back: what a layer of so much absorption over scattering reflects. @param q 0 and more */
export const reflectanceOf = (q: number): number => 1 / (1 + q + Math.sqrt(q * (q + 2)));

/** Light that the surface of yarn throws back before any dye can take of it (from memory: about 1 %; yields to a fit). */
export const SURFACE = 0.01;

/** What an instrument reads of a layer: the surface throws its part back, the rest goes in. */
export const withSurface = (inside: number, surface = SURFACE): number => surface + (1 - surface) * inside;

/** And back: what the layer itself reflects; never less than a trace. */
export const withoutSurface = (read: number, surface = SURFACE): number =>
  Math.max(DARKEST, (read - surface) / (1 - surface));

/** Darker than this no dyeing is; a reading below it is noise. */
const DARKEST = 1e-4;
