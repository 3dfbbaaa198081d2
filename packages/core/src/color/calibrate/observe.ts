import { DAYLIGHT, type Viewing } from '../cie/tristimulus';
import { labOf, type Lab } from '../lab';
import { labWithSlope } from '../labSlope';
import { labOfScreen, SCREEN } from '../screen';
import type { Spectrum } from '../spectrum';
import type { Rgb } from '../srgb';

/**
 * A color as it was measured: read by an instrument, said as Lab (D65, 10°), or picked from a screen beside the yarn; or
 * the swatch that somebody picked for a dye, measured by nobody.
 */
export type MeasuredColor =
  | { kind: 'reflectance'; reflectance: Spectrum }
  | { kind: 'lab'; lab: Lab }
  | { kind: 'srgb'; srgb: Rgb }
  | { kind: 'swatch'; srgb: Rgb };

/** A color that is wanted: a reflectance, or Lab alone. */
export type Target = Extract<MeasuredColor, { kind: 'reflectance' | 'lab' }>;

export const labOfTarget = (target: Target): Lab =>
  target.kind === 'lab' ? target.lab : labOf(target.reflectance);

/** What a prediction is off from a measurement, each part in units of how well it was measured. */
export interface Observed {
  off: Float64Array;
  /** How each part grows with the reading of each band. */
  perBand: readonly Float64Array[];
}

/** How well a color is measured (from memory: a good instrument, a reading of Lab, a color picked beside the yarn, a swatch). */
const NOISE = { lab: 0.35, srgb: 2.5, swatch: 8, reading: 0.002, ofReading: 0.01 };

/** @param reading what is predicted, 31 bands */
export function observed(color: MeasuredColor, reading: Float64Array): Observed {
  switch (color.kind) {
    case 'reflectance':
      return readBand(color.reflectance, reading);
    case 'lab':
      return asLab(color.lab, reading, DAYLIGHT, NOISE.lab);
    case 'srgb':
    case 'swatch':
      return asLab(labOfScreen(color.srgb), reading, SCREEN, NOISE[color.kind]);
  }
}

function asLab(measured: Lab, reading: Float64Array, viewing: Viewing, noise: number): Observed {
  const { lab, perBand } = labWithSlope(reading, viewing);
  const off = new Float64Array(3);
  for (let i = 0; i < 3; i += 1) off[i] = ((lab[i] as number) - (measured[i] as number)) / noise;
  for (const slope of perBand)
    for (let band = 0; band < slope.length; band += 1) slope[band] = (slope[band] as number) / noise;
  return { off, perBand };
}

function readBand(measured: Spectrum, reading: Float64Array): Observed {
  const noise = measured.map((r) => NOISE.reading + NOISE.ofReading * r);
  return {
    off: reading.map((value, band) => (value - (measured[band] as number)) / (noise[band] as number)),
    perBand: noise.map((one, band) => {
      const slope = new Float64Array(reading.length);
      slope[band] = 1 / one;
      return slope;
    }),
  };
}
