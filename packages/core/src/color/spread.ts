import { factorOf, whitenedFew, type Factor } from './calibrate/matrix';
import { ciede2000 } from './difference/ciede2000';
import type { Lab } from './lab';

/** A spread of Lab as a symmetric matrix, row by row. */
export type LabSpread = Float64Array;

/** What is not known of a color whose numbers are known: the model is a model, and it is read by an instrument. */
const AT_LEAST = 0.25;
/** By how much a fit is surer of itself than it should be: its square, for what no model of a dye has (from the simulated dyehouse). */
const TOO_SURE = 2.3;

/** A spread of nothing but what is always there. */
export function leastSpread(): LabSpread {
  const spread = new Float64Array(9);
  for (let i = 0; i < 3; i += 1) spread[4 * i] = AT_LEAST ** 2;
  return spread;
}

/** Adds what an error along one direction of Lab makes of it. @param size of the error, in the units of the direction */
export function spreadAlong(spread: LabSpread, along: Float64Array, size: number): void {
  for (let i = 0; i < 3; i += 1)
    for (let j = 0; j < 3; j += 1)
      spread[3 * i + j] =
        (spread[3 * i + j] as number) + size * size * (along[i] as number) * (along[j] as number);
}

/**
 * Adds what is not sure of the numbers behind a color (Laplace's approximation).
 * @param factor of the precision of all numbers
 * @param places of the numbers that the color hangs on @param columns how L, a and b grow with each
 */
export function spreadOfNumbers(
  spread: LabSpread,
  factor: Factor,
  places: readonly number[],
  columns: readonly Float64Array[],
): void {
  const rows = [0, 1, 2].map((part) => {
    const row = new Float64Array(factor.n);
    places.forEach((place, i) => {
      row[place] = (row[place] as number) + ((columns[i] as Float64Array)[part] as number);
    });
    return whitenedFew(factor, row);
  });
  for (let i = 0; i < 3; i += 1)
    for (let j = 0; j < 3; j += 1) {
      const [one, other] = [rows[i] as Float64Array, rows[j] as Float64Array];
      let sum = 0;
      for (let k = 0; k < factor.n; k += 1) sum += (one[k] as number) * (other[k] as number);
      spread[3 * i + j] = (spread[3 * i + j] as number) + TOO_SURE * sum;
    }
}

/** Points of a spread that are tried: enough to tell its 80 % to a few percent. */
const POINTS = 160;

/** Standard normal points in three directions, always the same: van der Corput's in three bases, by Box and Muller. */
const NORMAL: readonly (readonly [number, number, number])[] = Array.from({ length: POINTS }, (_, i) => {
  const at = (base: number): number => {
    let [value, part] = [0, 1 / base];
    for (let n = i + 1; n > 0; n = Math.floor(n / base)) {
      value += (n % base) * part;
      part /= base;
    }
    return value;
  };
  const [u, v, w, t] = [at(2), at(3), at(5), at(7)];
  const [far, other] = [Math.sqrt(-2 * Math.log(u)), Math.sqrt(-2 * Math.log(w))];
  return [
    far * Math.cos(2 * Math.PI * v),
    far * Math.sin(2 * Math.PI * v),
    other * Math.cos(2 * Math.PI * t),
  ];
});

/** The ΔE00 around a color that holds a part of a spread. @param part 0 to 1 */
export function differenceHolding(lab: Lab, spread: LabSpread, part = 0.8): number {
  const factor = factorOf(spread, 3);
  if (!factor) return 0;
  const { rows } = factor;
  const far = NORMAL.map(([x, y, z]) =>
    ciede2000(lab, [
      lab[0] + (rows[0] as number) * x,
      lab[1] + (rows[3] as number) * x + (rows[4] as number) * y,
      lab[2] + (rows[6] as number) * x + (rows[7] as number) * y + (rows[8] as number) * z,
    ]),
  ).toSorted((one, other) => one - other);
  return far[Math.min(POINTS - 1, Math.floor(part * POINTS))] ?? 0;
}
