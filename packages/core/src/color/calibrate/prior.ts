import { DYE_NUMBERS, POWER, SATURATION } from '../dye/dyeModel';
import { COEFFICIENTS } from '../dye/spline';
import { inverseOf } from './matrix';
import { believe, believeTogether, type Belief, type Gathered, type JointBelief } from './gathered';

/*
 * What is believed of any dye before it is measured (from memory, yields to samples).
 */
const LEVEL: Belief = { value: 0.5, spread: 4 };
export const POWER_OF: Belief = { value: 1, spread: 0.08 };
export const SATURATION_OF: Belief = { value: Math.log(0.06), spread: 0.8 };
/** How much more of every dye another base shows, as a logarithm; the base that most samples are on is the measure. */
export const AFFINITY: Belief = { value: 0, spread: 0.2 };
export const MEASURE_AFFINITY: Belief = { value: 0, spread: 1e-3 };
/** How much more of one dye a base shows, beside what it shows of all. */
export const OF_ONE_DYE: Belief = { value: 0, spread: 0.12 };
/** How much of a dye the others in its bath keep away. */
export const LOSS: Belief = { value: 0, spread: 0.03 };

/** What is believed of the coefficients of a dye's curve. */
export type CurveBelief = JointBelief;

const DIFFERENCES = [1, -2, 1] as const;

/**
 * A smooth curve that is believed to be near another.
 * @param mean its coefficients @param spread how far each of them may well be off
 * @param bend how much the slope of what it is off by may well change from one coefficient to the next
 */
function smoothNear(mean: Float64Array, spread: number, bend: number): CurveBelief {
  const n = COEFFICIENTS;
  const precision = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) precision[i * n + i] = 1 / (spread * spread);
  for (let first = 0; first + 2 < n; first += 1)
    DIFFERENCES.forEach((of, i) => {
      DIFFERENCES.forEach((other, j) => {
        const cell = (first + i) * n + first + j;
        precision[cell] = (precision[cell] as number) + (of * other) / (bend * bend);
      });
    });
  return { mean, precision };
}

/** The curve of a dye of which nothing is known but that it is smooth. */
export const ANY_CURVE: CurveBelief = smoothNear(
  new Float64Array(COEFFICIENTS).fill(LEVEL.value),
  LEVEL.spread,
  1.2,
);

/** How far a dye may well be off from the few bands that come nearest to it. */
const OFF_BANDS = { spread: 0.4, bend: 0.4 };

/**
 * The curve of a dye that has few bands, as far as those are known.
 * @param mean coefficients of the curve that the bands make
 * @param along how the coefficients move as each number of the bands goes as far as it may well be off
 */
export function nearBands(mean: Float64Array, along: readonly Float64Array[]): CurveBelief {
  const n = COEFFICIENTS;
  const covariance = inverseOf(smoothNear(mean, OFF_BANDS.spread, OFF_BANDS.bend).precision, n);
  for (const one of along)
    for (let i = 0; i < n; i += 1)
      for (let j = 0; j < n; j += 1)
        covariance[i * n + j] = (covariance[i * n + j] as number) + (one[i] as number) * (one[j] as number);
  return { mean, precision: inverseOf(covariance, n) };
}

/** The numbers of a dye of which nothing is known. */
export function unknownDye(): Float64Array {
  const numbers = new Float64Array(DYE_NUMBERS);
  numbers.set(ANY_CURVE.mean);
  numbers[POWER] = POWER_OF.value;
  numbers[SATURATION] = SATURATION_OF.value;
  return numbers;
}

/** Adds what is believed of a dye. @param at where its numbers begin */
export function believeDye(
  into: Gathered,
  at: number,
  numbers: Float64Array,
  curve: CurveBelief = ANY_CURVE,
): void {
  believeTogether(into, at, numbers, curve);
  believe(into, at + POWER, numbers[at + POWER] as number, POWER_OF);
  believe(into, at + SATURATION, numbers[at + SATURATION] as number, SATURATION_OF);
}
