import { dot, factorOf, whitened } from './matrix';

/** Everything that speaks for some numbers and against them, as a quadratic form: its matrix, its slope, its value. */
export interface Gathered {
  n: number;
  precision: Float64Array;
  slope: Float64Array;
  cost: number;
}

export const nothingGathered = (n: number): Gathered => ({
  n,
  precision: new Float64Array(n * n),
  slope: new Float64Array(n),
  cost: 0,
});

/** What is believed of a number before anything is measured: a value, and how far off it may well be. */
export interface Belief {
  value: number;
  spread: number;
}

/** Adds that one number is believed to be near a value. */
export function believe(into: Gathered, at: number, number: number, { value, spread }: Belief): void {
  const weight = 1 / (spread * spread);
  into.precision[at * into.n + at] = (into.precision[at * into.n + at] as number) + weight;
  into.slope[at] = (into.slope[at] as number) + weight * (number - value);
  into.cost += 0.5 * weight * (number - value) ** 2;
}

/** What is believed of some numbers together. */
export interface JointBelief {
  mean: Float64Array;
  /** Inverse of their covariance, row by row. */
  precision: Float64Array;
}

/** Adds what is believed of some numbers together. @param at where they begin */
export function believeTogether(
  into: Gathered,
  at: number,
  numbers: Float64Array,
  { mean, precision }: JointBelief,
): void {
  const many = mean.length;
  const off = mean.map((value, i) => (numbers[at + i] as number) - value);
  for (let i = 0; i < many; i += 1) {
    const row = precision.subarray(i * many, (i + 1) * many);
    const pull = dot(row, off);
    into.cost += 0.5 * pull * (off[i] as number);
    into.slope[at + i] = (into.slope[at + i] as number) + pull;
    const begins = (at + i) * into.n + at;
    for (let j = 0; j < many; j += 1)
      into.precision[begins + j] = (into.precision[begins + j] as number) + (row[j] as number);
  }
}

/** What a measured dyeing is off from its prediction, and how that hangs on what is to be found; each part has the noise 1. */
export interface Rows {
  off: Float64Array;
  /** Places of the numbers that it hangs on. */
  places: readonly number[];
  /** For each of those, how every part of `off` grows with it. */
  columns: readonly Float64Array[];
  /** How many times further than usual it may be off before it is believed the less. */
  trust: number;
}

/**
 * The same with errors beside those of the reading taken into account.
 * @param along how each part grows with each error @param size of each error
 */
export function freeOf(
  along: readonly Float64Array[],
  size: number,
  off: Float64Array,
  columns: readonly Float64Array[],
): Pick<Rows, 'off' | 'columns'> {
  const parts = off.length;
  const noise = new Float64Array(parts * parts);
  for (let i = 0; i < parts; i += 1) noise[i * parts + i] = 1;
  for (const one of along)
    for (let i = 0; i < parts; i += 1)
      for (let j = 0; j <= i; j += 1) {
        const more = size ** 2 * (one[i] as number) * (one[j] as number);
        noise[i * parts + j] = (noise[i * parts + j] as number) + more;
      }
  const factor = factorOf(noise, parts);
  if (!factor) return { off, columns };
  return { off: whitened(factor, off), columns: columns.map((column) => whitened(factor, column)) };
}

/** A measurement that is off by more than this many times its noise is believed the less. */
const OUTLIER = 3;

/** Adds a measurement; one that nothing fits is weighed down (Cauchy's loss). */
export function addRows(into: Gathered, { off, places, columns, trust }: Rows): void {
  const { n, precision, slope } = into;
  const most = off.length * (OUTLIER * trust) ** 2;
  const far = dot(off, off);
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
