import { BANDS } from '../spectrum';
import { COEFFICIENTS, curveOf } from './spline';

/**
 * What is known of a dye, as numbers that are fitted: the curve of the logarithm of its absorption over scattering at
 * 1 % on weight of fiber; the power of its build-up; the logarithm of how soon that saturates.
 */
export type DyeNumbers = Float64Array;

export const POWER = COEFFICIENTS;
export const SATURATION = COEFFICIENTS + 1;
/** How many numbers a dye has. */
export const DYE_NUMBERS = COEFFICIENTS + 2;

/** A dye made ready to be reckoned with. */
export interface DyeModel {
  numbers: DyeNumbers;
  /** Absorption over scattering at a build-up of 1, band by band. */
  k: Float64Array;
  power: number;
  /** Per % of depth. */
  saturation: number;
}

export function dyeModel(numbers: DyeNumbers): DyeModel {
  const k = curveOf(numbers);
  for (let band = 0; band < BANDS; band += 1) k[band] = Math.exp(k[band] as number);
  return {
    numbers,
    k,
    power: numbers[POWER] as number,
    saturation: Math.exp(numbers[SATURATION] as number),
  };
}

/**
 * How much color a depth gives, and how it grows with the depth.
 * @param depth % that the fiber really takes, 0 and more
 */
export function buildUp(
  { power, saturation }: Pick<DyeModel, 'power' | 'saturation'>,
  depth: number,
): { value: number; perDepth: number } {
  if (depth <= 0) return { value: 0, perDepth: 0 };
  const grown = depth ** power;
  const full = 1 + saturation * depth;
  const value = grown / full;
  return { value, perDepth: (value * power) / depth - (value * saturation) / full };
}
