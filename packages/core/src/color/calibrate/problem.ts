import { dyeingOf, perAbsorption, slopesOf, type Dyeing } from '../dye/dyeing';
import { DYE_NUMBERS, dyeModel, type DyeModel } from '../dye/dyeModel';
import { perCoefficient } from '../dye/spline';
import { descended } from './descent';
import { addRows, believe, freeOf, nothingGathered, type Gathered, type Rows } from './gathered';
import { observed, type MeasuredColor } from './observe';
import { pairOf, pairsIn, type Pairs } from './pairs';
import { AFFINITY, believeDye, LOSS, MEASURE_AFFINITY, OF_ONE_DYE, type CurveBelief } from './prior';

/** A dyeing that was measured. Dyes and the base are named by their places in the problem. */
export interface Observation {
  base: number;
  doses: readonly { dye: number; dosPercent: number; bath?: number }[];
  color: MeasuredColor;
  /** How many times further than usual it may be off before it is believed the less; 1 where it is left out. */
  trust?: number;
}

/**
 * What is to be found: the numbers of some dyes, one dye after the other, then the affinity of each base, then the loss
 * in mixed baths, then what single dyes show on single bases beside that.
 */
export interface Problem {
  dyes: number;
  /** Absorption of each base before. */
  bases: readonly Float64Array[];
  /** The base that others are measured by. */
  measure: number;
  observations: readonly Observation[];
  pairs: Pairs;
  /** What is believed of the curve of each dye, in their order. */
  curves: readonly CurveBelief[];
}

/** Where the numbers of a problem stand. */
type Layout = Pick<Problem, 'dyes' | 'bases' | 'measure' | 'pairs'>;

export const affinityAt = ({ dyes }: Pick<Problem, 'dyes'>, base: number): number =>
  dyes * DYE_NUMBERS + base;
export const lossAt = ({ dyes, bases }: Pick<Problem, 'dyes' | 'bases'>): number =>
  dyes * DYE_NUMBERS + bases.length;
const pairsAt = (problem: Layout): number => lossAt(problem) + 1;
export const sizeOf = (problem: Layout): number => pairsAt(problem) + problem.pairs.size;

/** Logarithm of how much more of one dye a base shows, beside what it shows of all; 0 where that was not measured. */
export function affinityOfDye(problem: Layout, numbers: Float64Array, dye: number, base: number): number {
  const pair = pairOf(problem, dye, base);
  return pair === null ? 0 : (numbers[pairsAt(problem) + pair] as number);
}

export const modelsOf = (problem: Pick<Problem, 'dyes'>, numbers: Float64Array): DyeModel[] =>
  Array.from({ length: problem.dyes }, (_, i) =>
    dyeModel(numbers.slice(i * DYE_NUMBERS, (i + 1) * DYE_NUMBERS)),
  );

/** A dose is so far off what was meant, of itself (common practice, no source). */
export const DOSE_NOISE = 0.03;

export function predicted(
  problem: Layout,
  numbers: Float64Array,
  models: readonly DyeModel[],
  { base, doses }: Pick<Observation, 'base' | 'doses'>,
): Dyeing {
  return dyeingOf(
    {
      absorption: problem.bases[base] as Float64Array,
      affinity: numbers[affinityAt(problem, base)] as number,
      loss: numbers[lossAt(problem)] as number,
    },
    doses.map(({ dye, ...dose }) => ({
      ...dose,
      dye: models[dye] as DyeModel,
      affinity: affinityOfDye(problem, numbers, dye, base),
    })),
  );
}

/** How some things that are read of a dyeing grow with what is to be found. */
export interface Columns {
  /** Places of the numbers that they hang on. */
  places: number[];
  /** For each of those, how they grow with it. */
  columns: Float64Array[];
  /** How they grow with the logarithm of each dose. */
  perDose: Float64Array[];
  /** The same of the dyes that nothing is known of on this base: more or less of them may show. */
  untried: Float64Array[];
}

export function columnsOf(
  problem: Layout,
  { base, doses }: Pick<Observation, 'base' | 'doses'>,
  dyeing: Dyeing,
  perBand: readonly Float64Array[],
): Columns {
  const parts = perBand.length;
  const places = [
    ...doses.flatMap(({ dye }) => Array.from({ length: DYE_NUMBERS }, (_, i) => dye * DYE_NUMBERS + i)),
    affinityAt(problem, base),
    lossAt(problem),
  ];
  const columns = places.map(() => new Float64Array(parts));
  const perDose = doses.map(() => new Float64Array(parts));
  perAbsorption(dyeing, perBand).forEach((slope, part) => {
    const slopes = slopesOf(dyeing, slope);
    let at = 0;
    for (const { curve, power, saturation } of slopes.dyes)
      for (const value of [...perCoefficient(curve), power, saturation]) {
        (columns[at] as Float64Array)[part] = value;
        at += 1;
      }
    (columns[at] as Float64Array)[part] = slopes.affinity;
    (columns[at + 1] as Float64Array)[part] = slopes.loss;
    slopes.doses.forEach((value, i) => {
      (perDose[i] as Float64Array)[part] = value;
    });
  });
  const untried: Float64Array[] = [];
  // More of a dye that shows is more of it in the bath.
  perDose.forEach((perLog, i) => {
    const pair = pairOf(problem, doses[i]?.dye ?? 0, base);
    if (pair !== null) {
      places.push(pairsAt(problem) + pair);
      columns.push(perLog);
    } else if (base !== problem.measure) untried.push(perLog);
  });
  return { places, columns, perDose, untried };
}

/** What is off in a measured dyeing, and how that hangs on what is to be found. @param models of the numbers */
function rowsOf(
  problem: Problem,
  numbers: Float64Array,
  models: readonly DyeModel[],
  observation: Observation,
): Rows {
  const dyeing = predicted(problem, numbers, models, observation);
  const { off, perBand } = observed(observation.color, dyeing.reading);
  const { places, columns, perDose } = columnsOf(problem, observation, dyeing, perBand);
  return { ...freeOf(perDose, DOSE_NOISE, off, columns), places, trust: observation.trust ?? 1 };
}

/** Everything that speaks for some numbers and against them: what is believed, and what was measured. */
export function gathered(problem: Problem, numbers: Float64Array): Gathered {
  const into = nothingGathered(sizeOf(problem));
  for (let dye = 0; dye < problem.dyes; dye += 1)
    believeDye(into, dye * DYE_NUMBERS, numbers, problem.curves[dye]);
  problem.bases.forEach((_, base) => {
    const at = affinityAt(problem, base);
    believe(into, at, numbers[at] as number, base === problem.measure ? MEASURE_AFFINITY : AFFINITY);
  });
  believe(into, lossAt(problem), numbers[lossAt(problem)] as number, LOSS);
  for (let at = pairsAt(problem); at < sizeOf(problem); at += 1)
    believe(into, at, numbers[at] as number, OF_ONE_DYE);
  const models = modelsOf(problem, numbers);
  for (const observation of problem.observations)
    addRows(into, rowsOf(problem, numbers, models, observation));
  return into;
}

/** The numbers that fit best, found from where they are given. @param rounds at most */
export const fitted = (problem: Problem, from: Float64Array, rounds: number): Float64Array =>
  descended((numbers) => gathered(problem, numbers), from, rounds).numbers;

/**
 * Lays what was found for one problem onto the numbers of another.
 * @param dyes the place in the other of each dye; -1 where it is not in it
 */
export function carry(
  from: Layout,
  numbers: Float64Array,
  to: Layout,
  onto: Float64Array,
  dyes: readonly number[],
): void {
  dyes.forEach((there, dye) => {
    if (there < 0) return;
    onto.set(numbers.subarray(dye * DYE_NUMBERS, (dye + 1) * DYE_NUMBERS), there * DYE_NUMBERS);
  });
  onto.set(numbers.subarray(affinityAt(from, 0), pairsAt(from)), affinityAt(to, 0));
  pairsIn(from).forEach(({ dye, base }, i) => {
    const there = dyes[dye] ?? -1;
    const pair = there < 0 ? null : pairOf(to, there, base);
    if (pair !== null) onto[pairsAt(to) + pair] = numbers[pairsAt(from) + i] as number;
  });
}
