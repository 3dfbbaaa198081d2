import { ciede2000 } from '../difference/ciede2000';
import { DYE_NUMBERS, showingMore, type DyeModel } from '../dye/dyeModel';
import { absorptionOf } from '../dye/layer';
import { labOf } from '../lab';
import { labOfScreen, SCREEN } from '../screen';
import type { Spectrum } from '../spectrum';
import { factorOf, widened, type Factor } from './matrix';
import { dyeAlone } from './dyeAlone';
import { labOfTarget, type MeasuredColor } from './observe';
import { NO_PAIRS, pairOf, pairsDyed, pairsIn, pairsWith } from './pairs';
import { ANY_CURVE, OF_ONE_DYE } from './prior';
import {
  affinityAt,
  affinityOfDye,
  carry,
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

/** Rounds of fitting all dyes together. */
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
  const found = shelf.dyes.map((_, dye) =>
    dyeAlone(
      alone.filter(({ doses }) => doses[0]?.dye === dye),
      { bases, measure },
    ),
  );
  const problem: Problem = {
    dyes: shelf.dyes.length,
    bases,
    measure,
    observations: [...alone, ...mixed],
    pairs: pairsWith({ bases, measure, pairs: NO_PAIRS }, pairsDyed([...alone, ...mixed])),
    curves: found.map(({ curve }) => curve),
  };
  let numbers: Float64Array = new Float64Array(sizeOf(problem));
  found.forEach((dye, i) => numbers.set(dye.numbers, i * DYE_NUMBERS));
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
        problem.observations.filter(
          ({ doses, color }) => color.kind !== 'swatch' && doses.length === 1 && doses[0]?.dye === dye,
        ).length,
    ),
  };
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
  const curves = kept.map((dye) => problem.curves[dye] ?? ANY_CURVE);
  const pairs = pairsWith({ ...problem, pairs: NO_PAIRS }, pairsDyed(observations));
  const next: Problem = { ...problem, dyes: kept.length, observations, curves, pairs };
  const own = new Float64Array(sizeOf(next));
  carry(
    problem,
    numbers,
    next,
    own,
    dyeIds.map((_, dye) => kept.indexOf(dye)),
  );
  return settled(
    next,
    own,
    kept.map((dye) => dyeIds[dye] as string),
    baseIds,
  );
}

/** A calibration with what some of its dyes, bases and losses were found to be by another; how sure it is stays as it was. */
export function learnedBy(calibration: Calibration, learned: Calibration): Calibration {
  const { problem, dyeIds } = calibration;
  const places = learned.dyeIds.map((id) => dyeIds.indexOf(id));
  const theirs = pairsIn(learned.problem).map(({ dye, base }) => ({ dye: places[dye] as number, base }));
  const next: Problem = { ...problem, pairs: pairsWith(problem, theirs) };
  const numbers = grown(calibration.numbers, next);
  carry(learned.problem, learned.numbers, next, numbers, places);
  return {
    ...calibration,
    problem: next,
    numbers,
    models: modelsOf(next, numbers),
    factor: widened(calibration.factor, sizeOf(next), 1 / OF_ONE_DYE.spread),
  };
}

/** The numbers of a problem with room for pairs that came to it. */
function grown(numbers: Float64Array, next: Problem): Float64Array {
  const more = new Float64Array(sizeOf(next));
  more.set(numbers);
  return more;
}

/**
 * The same calibration with more mixtures measured.
 * @param trust how many times further than usual they may be off before they are believed the less
 */
export function withMixtures(
  calibration: Calibration,
  mixtures: readonly MeasuredMixture[],
  trust = 1,
): Calibration {
  const { problem, dyeIds, baseIds, numbers } = calibration;
  const more = mixtures.map((mixture) => ({ ...observationOf(calibration, mixture), trust }));
  const next: Problem = {
    ...problem,
    observations: [...problem.observations, ...more],
    pairs: pairsWith(problem, pairsDyed(more)),
  };
  return settled(next, fitted(next, grown(numbers, next), TOGETHER), dyeIds, baseIds);
}

/** How far each sample lies from what is predicted for it, ΔE00. */
export function residuals({ problem, numbers, models }: Calibration): number[] {
  return problem.observations.map((observation) => {
    const { reading } = predicted(problem, numbers, models, observation);
    const { color } = observation;
    return color.kind === 'srgb' || color.kind === 'swatch'
      ? ciede2000(labOf(reading, SCREEN), labOfScreen(color.srgb))
      : ciede2000(labOf(reading), labOfTarget(color));
  });
}

/** Logarithm of how much more of every dye a base shows than the base that most samples are on. */
export const affinityOf = ({ problem, numbers, baseIds }: Calibration, baseId: string): number =>
  numbers[affinityAt(problem, baseIds.indexOf(baseId))] ?? 0;

/** How much more of single dyes a base shows, as logarithms beside its own affinity; of those that were measured on it. */
export function affinitiesOn(
  { problem, numbers, dyeIds, baseIds }: Calibration,
  baseId: string,
): Record<string, number> {
  const base = baseIds.indexOf(baseId);
  return Object.fromEntries(
    dyeIds.flatMap((id, dye) =>
      pairOf(problem, dye, base) === null ? [] : [[id, affinityOfDye(problem, numbers, dye, base)]],
    ),
  );
}

/** The dyes as they show on a base, beside what that does to all of them. */
export function modelsOn({ problem, numbers, models, baseIds }: Calibration, baseId: string): DyeModel[] {
  const base = baseIds.indexOf(baseId);
  return models.map((dye, i) => {
    const more = affinityOfDye(problem, numbers, i, base);
    return more === 0 ? dye : showingMore(dye, Math.exp(more));
  });
}
