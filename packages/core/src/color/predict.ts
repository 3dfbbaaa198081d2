import type { Calibration } from './calibrate/calibrate';
import { columnsOf, DOSE_NOISE, predicted } from './calibrate/problem';
import { DAYLIGHT } from './cie/tristimulus';
import type { Dyeing } from './dye/dyeing';
import type { Lab } from './lab';
import { labWithSlope } from './labSlope';
import { screenOf, type OnScreen } from './screen';
import { differenceHolding, leastSpread, spreadAlong, spreadOfNumbers, type LabSpread } from './spread';

/** A dye and how much of it. */
export interface DyeAt {
  id: string;
  dosPercent: number;
  /** The pass it goes in; all in one bath where it is not said. */
  bath?: number;
}

/** A color that is expected, and how sure that is. */
export interface Prediction extends OnScreen {
  lab: Lab;
  reflectance: Float64Array;
  /** The ΔE00 around it that holds 80 % of results. */
  spreadDE00: number;
  spread: LabSpread;
  /** How L, a and b grow with the logarithm of each dose. */
  perDose: readonly Float64Array[];
  dyeing: Dyeing;
  /** Measured samples that it rests on. */
  samples: number;
}

/**
 * The color of dyes on a base. An estimate: single-constant Kubelka-Munk with fitted dyes.
 * @param pouring error of each dose, of itself
 */
export function predict(
  calibration: Calibration,
  baseId: string,
  dyes: readonly DyeAt[],
  pouring = DOSE_NOISE,
): Prediction {
  const { problem, numbers, models, factor, dyeIds, baseIds, samples } = calibration;
  const recipe = {
    base: baseIds.indexOf(baseId),
    doses: dyes.map(({ id, ...dose }) => ({ ...dose, dye: dyeIds.indexOf(id) })),
  };
  const dyeing = predicted(problem, numbers, models, recipe);
  const { lab, perBand } = labWithSlope(dyeing.reading, DAYLIGHT);
  const { places, columns, perDose } = columnsOf(problem, recipe, dyeing, perBand);
  const spread = leastSpread();
  for (const along of perDose) spreadAlong(spread, along, pouring);
  spreadOfNumbers(spread, factor, places, columns);
  return {
    lab,
    reflectance: dyeing.reading,
    ...screenOf(dyeing.reading),
    spread,
    spreadDE00: differenceHolding(lab, spread),
    perDose,
    dyeing,
    samples: recipe.doses.reduce((sum, { dye }) => sum + (samples[dye] ?? 0), 0),
  };
}
