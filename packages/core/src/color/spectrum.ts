import { FieldError } from '../figure/fieldError';
import { BANDS, FIRST_NM, LAST_NM, STEP_NM } from '../units/bands';

/** Wavelengths of the bands, nm. */
export const WAVELENGTHS: readonly number[] = Array.from({ length: BANDS }, (_, i) => FIRST_NM + i * STEP_NM);

/** A reflectance or transmittance, one value from 0 to 1 a band. */
export type Spectrum = readonly number[];

/** A spectrum in bands, with what had to be done for it; in words of no language: the caller says them. */
export interface Banded {
  spectrum: Spectrum;
  /** The interval it came in, nm; null where it came in bands. */
  resampledFrom: number | null;
}

/** How far over 1 or under 0 a reading may lie: what an instrument's noise makes of black and white. */
const READING_SLACK = 0.02;

/**
 * Readings in even steps as a spectrum of 31 bands: those from 400 to 700 nm in other steps are drawn on a straight line
 * from reading to reading.
 * @param readings from 400 to 700 nm, 0 to 1; a little over is taken as 0 or 1
 * @throws FieldError naming the reading that cannot be, or how many there should be
 */
export function bandedSpectrum(readings: readonly number[], field: string): Banded {
  readings.forEach((value, i) => {
    if (!Number.isFinite(value))
      throw new FieldError(`${field}.${i}`, 'A reflectance must be a number from 0 to 1.');
    if (value < -READING_SLACK || value > 1 + READING_SLACK)
      throw new FieldError(
        `${field}.${i}`,
        `A reflectance must be from 0 to 1; ${value} is not. Readings in percent are divided by 100 first.`,
      );
  });
  const steps = readings.length - 1;
  const interval = (LAST_NM - FIRST_NM) / steps;
  if (steps < LEAST_STEPS || !Number.isInteger(interval))
    throw new FieldError(
      field,
      `A reflectance has ${BANDS} values, from ${FIRST_NM} to ${LAST_NM} nm in steps of ${STEP_NM}; these are ${readings.length}. Steps of 5, 12, 15, 20 or 25 nm over the same range are read as well.`,
    );
  const bounded = readings.map((value) => Math.min(1, Math.max(0, value)));
  return {
    spectrum:
      interval === STEP_NM ? bounded : WAVELENGTHS.map((nm) => between(bounded, (nm - FIRST_NM) / interval)),
    resampledFrom: interval === STEP_NM ? null : interval,
  };
}

/** Fewer steps than that tell a color, not a spectrum. */
const LEAST_STEPS = 12;

function between(values: readonly number[], at: number): number {
  const below = Math.min(values.length - 2, Math.floor(at));
  const part = at - below;
  return (values[below] ?? 0) * (1 - part) + (values[below + 1] ?? 0) * part;
}
