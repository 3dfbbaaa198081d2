import { FIRST_NM } from '../units/bands';
import { dyeingOf } from './dye/dyeing';
import { absorptionOf } from './dye/layer';
import { WAVELENGTHS, type Spectrum } from './spectrum';

/** A band of absorption: a bell around a wavelength. */
export interface AbsorptionBand {
  nm: number;
  /** Standard deviation of the bell, nm. */
  width: number;
  /** Absorption over scattering at its middle, at 1 % on weight of fiber. */
  strength: number;
}

/** A dye that nobody ever saw, for showing what measured dyes are good for. */
export interface InventedDye {
  bands: readonly AbsorptionBand[];
  /** Absorption over scattering of all light alike, at 1 %. */
  everywhere: number;
  power: number;
  /** Per % of depth. */
  saturation: number;
}

/** Undyed yarn that nobody ever spun: what it reflects of red light, and how much less of blue. */
export interface InventedBase {
  /** Reflectance it nears at long waves, 0 to 1. */
  top: number;
  /** Part of that it lacks at 400 nm, 0 to 1. */
  drop: number;
  /** Over how many nm that fades to a third. */
  over: number;
}

/** Reflectance of an invented base, as an instrument would read it. */
export const inventedBase = ({ top, drop, over }: InventedBase): Spectrum =>
  WAVELENGTHS.map((nm) => top * (1 - drop * Math.exp(-(nm - FIRST_NM) / over)));

/**
 * Reflectance of an invented dye on a base, as an instrument would read it.
 * @param affinity logarithm of how much more of every dye the base shows
 */
export function inventedDyeing(
  { bands, everywhere, power, saturation }: InventedDye,
  base: Spectrum,
  affinity: number,
  dosPercent: number,
): Spectrum {
  const k = WAVELENGTHS.map((nm) =>
    bands.reduce(
      (sum, band) => sum + band.strength * Math.exp(-0.5 * ((nm - band.nm) / band.width) ** 2),
      everywhere,
    ),
  );
  const { reading } = dyeingOf({ absorption: absorptionOf(base), affinity, loss: 0 }, [
    { dye: { k, power, saturation }, dosPercent },
  ]);
  return [...reading];
}
