import { DYE_NUMBERS, POWER, SATURATION } from '../dye/dyeModel';
import { COEFFICIENTS } from '../dye/spline';

/** What is believed of any dye before it is measured: a value, and how far off it may well be (from memory, yields to samples). */
interface Belief {
  value: number;
  spread: number;
}

const LEVEL: Belief = { value: 0.5, spread: 4 };
const POWER_OF: Belief = { value: 1, spread: 0.08 };
const SATURATION_OF: Belief = { value: Math.log(0.06), spread: 0.8 };
/** How much more of every dye another base shows, as a logarithm; the base that most samples are on is the measure. */
export const AFFINITY: Belief = { value: 0, spread: 0.2 };
export const MEASURE_AFFINITY: Belief = { value: 0, spread: 1e-3 };
/** How much of a dye the others in its bath keep away. */
export const LOSS: Belief = { value: 0, spread: 0.03 };

/** The numbers of a dye of which nothing is known. */
export function unknownDye(): Float64Array {
  const numbers = new Float64Array(DYE_NUMBERS).fill(LEVEL.value);
  numbers[POWER] = POWER_OF.value;
  numbers[SATURATION] = SATURATION_OF.value;
  return numbers;
}

/** A quadratic form that is gathered: its matrix, its slope, its value. */
export interface Gathered {
  n: number;
  precision: Float64Array;
  slope: Float64Array;
  cost: number;
}

/** Adds that one number is believed to be near a value. */
export function believe(into: Gathered, at: number, number: number, { value, spread }: Belief): void {
  const weight = 1 / (spread * spread);
  into.precision[at * into.n + at] = (into.precision[at * into.n + at] as number) + weight;
  into.slope[at] = (into.slope[at] as number) + weight * (number - value);
  into.cost += 0.5 * weight * (number - value) ** 2;
}

/** How much the slope of a curve of absorption changes from one coefficient to the next. */
const BEND = 1.2;
const DIFFERENCES = [1, -2, 1] as const;

/** Adds what is believed of a dye. @param at where its numbers begin */
export function believeDye(into: Gathered, at: number, numbers: Float64Array): void {
  const { n, precision, slope } = into;
  for (let i = 0; i < COEFFICIENTS; i += 1) believe(into, at + i, numbers[at + i] as number, LEVEL);
  believe(into, at + POWER, numbers[at + POWER] as number, POWER_OF);
  believe(into, at + SATURATION, numbers[at + SATURATION] as number, SATURATION_OF);
  const weight = 1 / (BEND * BEND);
  for (let first = at; first + 2 < at + COEFFICIENTS; first += 1) {
    const bend = DIFFERENCES.reduce((sum, of, i) => sum + of * (numbers[first + i] as number), 0);
    DIFFERENCES.forEach((of, i) => {
      slope[first + i] = (slope[first + i] as number) + weight * of * bend;
      DIFFERENCES.forEach((other, j) => {
        const cell = (first + i) * n + first + j;
        precision[cell] = (precision[cell] as number) + weight * of * other;
      });
    });
    into.cost += 0.5 * weight * bend * bend;
  }
}
