import type { Calibration } from './calibrate/calibrate';
import { OF_ONE_DYE } from './calibrate/prior';
import { columnsOf, DOSE_NOISE, predicted, type Columns, type Observation } from './calibrate/problem';
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

/** A color that is expected, and how L, a and b grow with all that it hangs on. */
export interface Expected extends Columns {
  lab: Lab;
  reflectance: Float64Array;
  dyeing: Dyeing;
}

/** The same with how sure it is. */
export interface Prediction extends Expected, OnScreen {
  /** The ΔE00 around it that holds 80 % of results. */
  spreadDE00: number;
  spread: LabSpread;
  /** Measured samples that it rests on. */
  samples: number;
}

/** The color of dyes on a base, without how sure that is: a search asks for it by the thousand. */
export function expected(calibration: Calibration, baseId: string, dyes: readonly DyeAt[]): Expected {
  const { problem, numbers, models } = calibration;
  const recipe = recipeOf(calibration, baseId, dyes);
  const dyeing = predicted(problem, numbers, models, recipe);
  const { lab, perBand } = labWithSlope(dyeing.reading, DAYLIGHT);
  return {
    lab,
    reflectance: dyeing.reading,
    dyeing,
    ...columnsOf(problem, recipe, dyeing, perBand),
  };
}

const recipeOf = (
  { baseIds, dyeIds }: Pick<Calibration, 'baseIds' | 'dyeIds'>,
  baseId: string,
  dyes: readonly DyeAt[],
): Pick<Observation, 'base' | 'doses'> => ({
  base: baseIds.indexOf(baseId),
  doses: dyes.map(({ id, ...dose }) => ({ ...dose, dye: dyeIds.indexOf(id) })),
});

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
  return surely(calibration, expected(calibration, baseId, dyes), dyes, pouring);
}

/** An expected color with how sure it is. */
export function surely(
  { factor, samples, dyeIds }: Calibration,
  known: Expected,
  dyes: readonly DyeAt[],
  pouring: number,
): Prediction {
  const spread = leastSpread();
  for (const along of known.perDose) spreadAlong(spread, along, pouring);
  for (const along of known.untried) spreadAlong(spread, along, OF_ONE_DYE.spread);
  spreadOfNumbers(spread, factor, known.places, known.columns);
  return {
    ...known,
    ...screenOf(known.reflectance),
    spread,
    spreadDE00: differenceHolding(known.lab, spread),
    samples: dyes.reduce((sum, { id }) => sum + (samples[dyeIds.indexOf(id)] ?? 0), 0),
  };
}
