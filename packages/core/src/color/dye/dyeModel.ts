import { BANDS } from '../../units/bands';
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

/** How the color of a dye builds up. */
export interface Building {
  /** Absorption over scattering at a build-up of 1, band by band. */
  k: Float64Array | readonly number[];
  power: number;
  /** Per % of depth. */
  saturation: number;
}

/** A dye made ready to be reckoned with. */
export interface DyeModel extends Building {
  numbers: DyeNumbers;
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

/** A dye as it builds up where so many times more of it shows: all that can be told from its depth there. @param times above 0 */
export function showingMore(dye: DyeModel, times: number): DyeModel {
  const k = Float64Array.from(dye.k, (value) => value * times ** dye.power);
  return { ...dye, k, saturation: dye.saturation * times };
}

/**
 * How much color a depth gives, and how it grows with the depth.
 * @param depth % that the fiber really takes, 0 and more
 */
export function buildUp(
  { power, saturation }: Pick<Building, 'power' | 'saturation'>,
  depth: number,
): { value: number; perDepth: number } {
  if (depth <= 0) return { value: 0, perDepth: 0 };
  const grown = depth ** power;
  const full = 1 + saturation * depth;
  const value = grown / full;
  return { value, perDepth: (value * power) / depth - (value * saturation) / full };
}
