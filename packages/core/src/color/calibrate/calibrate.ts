import { ciede2000 } from '../difference/ciede2000';
import { DYE_NUMBERS, type DyeModel } from '../dye/dyeModel';
import { absorptionOf } from '../dye/layer';
import { labOf } from '../lab';
import { labOfScreen, SCREEN } from '../screen';
import type { Spectrum } from '../spectrum';
import { factorOf, type Factor } from './cholesky';
import { firstGuess } from './firstGuess';
import { labOfTarget, type MeasuredColor } from './observe';
import {
  affinityAt,
  fitted,
  gathered,
  modelsOf,
  predicted,
  sizeOf,
  type Observation,
  type Problem,
} from './problem';

/** Goods as they are before any dye. */
export interface MeasuredBase {
  id: string;
  reflectance: Spectrum;
}

/** One dye alone on a base. */
export interface MeasuredSample {
  dyeId: string;
  baseId: string;
  dosPercent: number;
  color: MeasuredColor;
}

/** Several dyes from one bath. */
export interface MeasuredMixture {
  baseId: string;
  dyes: readonly { id: string; dosPercent: number }[];
  color: MeasuredColor;
}

/** All that was measured. */
export interface MeasuredShelf {
  bases: readonly MeasuredBase[];
  dyes: readonly string[];
  samples: readonly MeasuredSample[];
  mixtures: readonly MeasuredMixture[];
}

/** What dyes and bases are found to be, and how sure that is. */
export interface Calibration {
  problem: Problem;
  dyeIds: readonly string[];
  baseIds: readonly string[];
  numbers: Float64Array;
  models: readonly DyeModel[];
  /** Factor of the precision of the numbers: what a prediction's spread is read from. */
  factor: Factor;
  /** Measured samples of each dye. */
  samples: readonly number[];
}

/** Rounds of fitting a dye by itself, and all of them together. */
const ALONE = 40;
const TOGETHER = 6;

/**
 * Fits everything that was measured at once: each dye to all its samples on all bases, then dyes, bases and mixtures
 * together. Robust: a sample that nothing fits counts for little.
 * Source: joint least squares on Kubelka-Munk single constant, docs/how-it-computes.md.
 */
export function calibrate(shelf: MeasuredShelf): Calibration {
  const baseIds = shelf.bases.map(({ id }) => id);
  const bases = shelf.bases.map(({ reflectance }) => absorptionOf(reflectance));
  const counts = baseIds.map((id) => shelf.samples.filter(({ baseId }) => baseId === id).length);
  const measure = counts.indexOf(Math.max(...counts));
  const placed = { dyeIds: shelf.dyes, baseIds };
  const alone = shelf.samples.map(({ dyeId, dosPercent, ...sample }) =>
    observationOf(placed, { ...sample, dyes: [{ id: dyeId, dosPercent }] }),
  );
  const mixed = shelf.mixtures.map((mixture) => observationOf(placed, mixture));
  const problem: Problem = {
    dyes: shelf.dyes.length,
    bases,
    measure,
    observations: [...alone, ...mixed],
  };
  let numbers: Float64Array = new Float64Array(sizeOf(problem));
  shelf.dyes.forEach((_, dye) => {
    const mine = alone.filter(({ doses }) => doses[0]?.dye === dye);
    numbers.set(dyeAlone(mine, { bases, measure }), dye * DYE_NUMBERS);
  });
  if (bases.length > 1 || mixed.length > 0) numbers = fitted(problem, numbers, TOGETHER);
  return settled(problem, numbers, shelf.dyes, baseIds);
}

/** A measured dyeing with its dyes and base by their places. */
const observationOf = (
  { dyeIds, baseIds }: Pick<Calibration, 'dyeIds' | 'baseIds'>,
  { baseId, dyes, color }: MeasuredMixture,
): Observation => ({
  base: baseIds.indexOf(baseId),
  doses: dyes.map(({ id, dosPercent }) => ({ dye: dyeIds.indexOf(id), dosPercent })),
  color,
});

/** With how sure it all is. */
function settled(
  problem: Problem,
  numbers: Float64Array,
  dyeIds: readonly string[],
  baseIds: readonly string[],
): Calibration {
  const { precision, n } = gathered(problem, numbers);
  const factor = factorOf(precision, n);
  if (!factor) throw new Error('The precision of a calibration is not positive: beliefs alone make it so.');
  return {
    problem,
    dyeIds,
    baseIds,
    numbers,
    models: modelsOf(problem, numbers),
    factor,
    samples: dyeIds.map(
      (_, dye) =>
        problem.observations.filter(({ doses }) => doses.length === 1 && doses[0]?.dye === dye).length,
    ),
  };
}

/** A dye fitted to its own samples, whatever bases they are on. */
function dyeAlone(
  mine: readonly Observation[],
  { bases, measure }: Pick<Problem, 'bases' | 'measure'>,
): Float64Array {
  const first = firstGuess(
    mine.map(({ base, doses, color }) => ({
      base: bases[base] as Float64Array,
      dosPercent: doses[0]?.dosPercent ?? 0,
      color,
    })),
  );
  const problem: Problem = {
    dyes: 1,
    bases,
    measure,
    observations: mine.map((one) => ({
      ...one,
      doses: one.doses.map((dose) => ({ ...dose, dye: 0 })),
    })),
  };
  const from = new Float64Array(sizeOf(problem));
  from.set(first);
  return fitted(problem, from, ALONE).slice(0, DYE_NUMBERS);
}

/** Some dyes of a calibration by themselves, with all that was measured of nothing but them: quick to fit anew. */
export function onlyOf(calibration: Calibration, ids: readonly string[]): Calibration {
  const { problem, dyeIds, baseIds, numbers } = calibration;
  const kept = dyeIds.flatMap((id, i) => (ids.includes(id) ? [i] : []));
  const observations = problem.observations.flatMap((one): Observation[] =>
    one.doses.every(({ dye }) => kept.includes(dye))
      ? [{ ...one, doses: one.doses.map((dose) => ({ ...dose, dye: kept.indexOf(dose.dye) })) }]
      : [],
  );
  const next: Problem = { ...problem, dyes: kept.length, observations };
  const own = new Float64Array(sizeOf(next));
  kept.forEach((dye, i) => {
    own.set(numbers.subarray(dye * DYE_NUMBERS, (dye + 1) * DYE_NUMBERS), i * DYE_NUMBERS);
  });
  own.set(numbers.subarray(problem.dyes * DYE_NUMBERS), kept.length * DYE_NUMBERS);
  return settled(
    next,
    own,
    kept.map((dye) => dyeIds[dye] as string),
    baseIds,
  );
}

/** The same calibration with more mixtures measured. */
export function withMixtures(calibration: Calibration, mixtures: readonly MeasuredMixture[]): Calibration {
  const { problem, dyeIds, baseIds, numbers } = calibration;
  const more = mixtures.map((mixture) => observationOf(calibration, mixture));
  const next: Problem = { ...problem, observations: [...problem.observations, ...more] };
  return settled(next, fitted(next, numbers, TOGETHER), dyeIds, baseIds);
}

/** How far each sample lies from what is predicted for it, ΔE00. */
export function residuals({ problem, numbers, models }: Calibration): number[] {
  return problem.observations.map((observation) => {
    const { reading } = predicted(problem, numbers, models, observation);
    const { color } = observation;
    return color.kind === 'srgb'
      ? ciede2000(labOf(reading, SCREEN), labOfScreen(color.srgb))
      : ciede2000(labOf(reading), labOfTarget(color));
  });
}

/** Logarithm of how much more of every dye a base shows than the base that most samples are on. */
export const affinityOf = ({ problem, numbers, baseIds }: Calibration, baseId: string): number =>
  numbers[affinityAt(problem, baseIds.indexOf(baseId))] ?? 0;
