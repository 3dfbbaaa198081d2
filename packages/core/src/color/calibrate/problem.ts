import { dyeingOf, perAbsorption, slopesOf, type Dyeing } from '../dye/dyeing';
import { DYE_NUMBERS, dyeModel, type DyeModel } from '../dye/dyeModel';
import { factorOf, solvedWith, whitened } from './cholesky';
import { observed, type MeasuredColor } from './observe';
import { AFFINITY, believe, believeDye, LOSS, MEASURE_AFFINITY, type Gathered } from './prior';

/** A dyeing that was measured. Dyes and the base are named by their places in the problem. */
export interface Observation {
  base: number;
  doses: readonly { dye: number; dosPercent: number; bath?: number }[];
  color: MeasuredColor;
}

/**
 * What is to be found: the numbers of some dyes, one dye after the other, then the affinity of each base, then the loss
 * in mixed baths.
 */
export interface Problem {
  dyes: number;
  /** Absorption of each base before. */
  bases: readonly Float64Array[];
  /** The base that others are measured by. */
  measure: number;
  observations: readonly Observation[];
}

export const sizeOf = ({ dyes, bases }: Pick<Problem, 'dyes' | 'bases'>): number =>
  dyes * DYE_NUMBERS + bases.length + 1;
export const affinityAt = ({ dyes }: Pick<Problem, 'dyes'>, base: number): number =>
  dyes * DYE_NUMBERS + base;
export const lossAt = (problem: Pick<Problem, 'dyes' | 'bases'>): number => sizeOf(problem) - 1;

export const modelsOf = (problem: Pick<Problem, 'dyes'>, numbers: Float64Array): DyeModel[] =>
  Array.from({ length: problem.dyes }, (_, i) =>
    dyeModel(numbers.slice(i * DYE_NUMBERS, (i + 1) * DYE_NUMBERS)),
  );

/** A dose is so far off what was meant, of itself (common practice, no source). */
export const DOSE_NOISE = 0.03;
/** A measurement that is off by more than this many times its noise is believed the less. */
const OUTLIER = 3;

/** What a measured dyeing is off from its prediction, and how that hangs on what is to be found; free of the noise of its doses. */
export interface Rows {
  off: Float64Array;
  /** Places of the numbers that it hangs on. */
  places: number[];
  /** For each of those, how every part of `off` grows with it. */
  columns: Float64Array[];
}

export function predicted(
  problem: Pick<Problem, 'dyes' | 'bases'>,
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
    doses.map(({ dye, ...dose }) => ({ ...dose, dye: models[dye] as DyeModel })),
  );
}

/** How some things that are read of a dyeing grow with what is to be found: places, and a column each. */
export function columnsOf(
  problem: Pick<Problem, 'dyes' | 'bases'>,
  { base, doses }: Pick<Observation, 'base' | 'doses'>,
  dyeing: Dyeing,
  perBand: readonly Float64Array[],
): { places: number[]; columns: Float64Array[]; perDose: Float64Array[] } {
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
    for (const numbers of slopes.numbers)
      for (const value of numbers) {
        (columns[at] as Float64Array)[part] = value;
        at += 1;
      }
    (columns[at] as Float64Array)[part] = slopes.affinity;
    (columns[at + 1] as Float64Array)[part] = slopes.loss;
    slopes.doses.forEach((value, i) => {
      (perDose[i] as Float64Array)[part] = value;
    });
  });
  return { places, columns, perDose };
}

/** @param models of the numbers */
export function rowsOf(
  problem: Problem,
  numbers: Float64Array,
  models: readonly DyeModel[],
  observation: Observation,
): Rows {
  const dyeing = predicted(problem, numbers, models, observation);
  const { off, perBand } = observed(observation.color, dyeing.reading);
  const { places, columns, perDose } = columnsOf(problem, observation, dyeing, perBand);
  const parts = off.length;
  const noise = new Float64Array(parts * parts);
  for (let i = 0; i < parts; i += 1) noise[i * parts + i] = 1;
  for (const along of perDose)
    for (let i = 0; i < parts; i += 1)
      for (let j = 0; j <= i; j += 1) {
        const more = DOSE_NOISE ** 2 * (along[i] as number) * (along[j] as number);
        noise[i * parts + j] = (noise[i * parts + j] as number) + more;
      }
  const factor = factorOf(noise, parts);
  if (!factor) return { off, places, columns };
  return { off: whitened(factor, off), places, columns: columns.map((column) => whitened(factor, column)) };
}

/** Everything that speaks for some numbers and against them: what is believed, and what was measured. */
export function gathered(problem: Problem, numbers: Float64Array): Gathered {
  const n = sizeOf(problem);
  const into: Gathered = {
    n,
    precision: new Float64Array(n * n),
    slope: new Float64Array(n),
    cost: 0,
  };
  for (let dye = 0; dye < problem.dyes; dye += 1) believeDye(into, dye * DYE_NUMBERS, numbers);
  problem.bases.forEach((_, base) => {
    const at = affinityAt(problem, base);
    believe(into, at, numbers[at] as number, base === problem.measure ? MEASURE_AFFINITY : AFFINITY);
  });
  believe(into, lossAt(problem), numbers[lossAt(problem)] as number, LOSS);
  const models = modelsOf(problem, numbers);
  for (const observation of problem.observations) add(into, rowsOf(problem, numbers, models, observation));
  return into;
}

/** Adds a measurement; one that nothing fits is weighed down (Cauchy's loss). */
function add(into: Gathered, { off, places, columns }: Rows): void {
  const { n, precision, slope } = into;
  const most = off.length * OUTLIER * OUTLIER;
  const far = off.reduce((sum, value) => sum + value * value, 0);
  const weight = 1 / (1 + far / most);
  into.cost += 0.5 * most * Math.log1p(far / most);
  for (let i = 0; i < places.length; i += 1) {
    const [at, column] = [places[i] as number, columns[i] as Float64Array];
    slope[at] = (slope[at] as number) + weight * dot(column, off);
    for (let j = 0; j < places.length; j += 1) {
      const other = places[j] as number;
      if (other > at) continue;
      const more = weight * dot(column, columns[j] as Float64Array);
      precision[at * n + other] = (precision[at * n + other] as number) + more;
      if (other !== at) precision[other * n + at] = precision[at * n + other] as number;
    }
  }
}

function dot(one: Float64Array, other: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < one.length; i += 1) sum += (one[i] as number) * (other[i] as number);
  return sum;
}

/** Nearer than that nothing changes that anybody sees. */
const STILL = 1e-6;

/**
 * The numbers that fit best: Levenberg and Marquardt's way from where they are given.
 * Source: D. W. Marquardt, J. Soc. Ind. Appl. Math. 11, 431 (1963).
 */
export function fitted(problem: Problem, from: Float64Array, mostRounds: number): Float64Array {
  const n = sizeOf(problem);
  let numbers = from;
  let there = gathered(problem, numbers);
  let damped = 1e-2;
  for (let round = 0; round < mostRounds; round += 1) {
    const matrix = Float64Array.from(there.precision);
    for (let i = 0; i < n; i += 1) matrix[i * n + i] = (matrix[i * n + i] as number) * (1 + damped);
    const factor = factorOf(matrix, n);
    if (!factor) {
      damped *= 10;
      continue;
    }
    const step = solvedWith(factor, there.slope);
    const next = numbers.map((value, i) => value - bounded(step[i] as number));
    const then = gathered(problem, next);
    if (Number.isFinite(then.cost) && then.cost < there.cost) {
      const gained = there.cost - then.cost;
      [numbers, there] = [next, then];
      damped = Math.max(1e-7, damped / 5);
      if (gained < STILL * (1 + there.cost)) break;
    } else {
      damped *= 6;
      if (damped > 1e8) break;
    }
  }
  return numbers;
}

/** No number jumps further at once than a curve of absorption can bear. */
const bounded = (step: number): number => Math.max(-2, Math.min(2, step));
