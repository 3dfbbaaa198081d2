import { Matrix, solve } from 'ml-matrix';
import { DAYLIGHT, weightsOf, type Viewing } from './cie/tristimulus';
import type { Xyz } from './cie/weights';
import type { Spectrum } from './spectrum';
import { BANDS } from '../units/bands';

/** Rounds after which what does not come near has no such reflectance. */
const MOST_ROUNDS = 200;
/** How near the tristimulus values are to be, of 100. */
const NEAR = 1e-9;

/**
 * The smoothest reflectance between 0 and 1 with given tristimulus values.
 * Source: S. A. Burns, Color Res. Appl. 45, 8 (2020): least slope squared of a hyperbolic tangent, by Newton's method.
 * @returns null where no reflectance has them: a color that no surface can be
 */
export function smoothestReflectance(xyz: Xyz, viewing: Viewing = DAYLIGHT): Spectrum | null {
  const weights = weightsOf(viewing);
  const white = weights.white[1];
  const rows = [weights.x, weights.y, weights.z];
  const z = new Float64Array(BANDS);
  const pull = new Float64Array(3);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const jacobian = Matrix.zeros(BANDS + 3, BANDS + 3);
    const off = new Float64Array(BANDS + 3);
    const r = new Float64Array(BANDS);
    for (let i = 0; i < BANDS; i += 1) {
      const t = Math.tanh(z[i] ?? 0);
      r[i] = (t + 1) / 2;
      const slope = (1 - t * t) / 2;
      const bend = -t * (1 - t * t);
      const drawn = rows.reduce((sum, row, k) => sum + ((pull[k] ?? 0) * (row[i] ?? 0)) / white, 0);
      // Slope squared: twice the difference to both neighbors, once to the only one at an end.
      const [before, after] = [i > 0 ? 2 : 0, i < BANDS - 1 ? 2 : 0];
      off[i] =
        before * ((z[i] ?? 0) - (z[i - 1] ?? 0)) + after * ((z[i] ?? 0) - (z[i + 1] ?? 0)) + slope * drawn;
      jacobian.set(i, i, before + after + bend * drawn);
      if (i > 0) jacobian.set(i, i - 1, -2);
      if (i < BANDS - 1) jacobian.set(i, i + 1, -2);
      for (const [k, row] of rows.entries()) {
        const of = (slope * (row[i] ?? 0)) / white;
        jacobian.set(i, BANDS + k, of);
        jacobian.set(BANDS + k, i, of);
      }
    }
    for (const [k, row] of rows.entries())
      off[BANDS + k] = (r.reduce((sum, value, i) => sum + value * (row[i] ?? 0), 0) - (xyz[k] ?? 0)) / white;
    const isNear = rows.every((_, k) => Math.abs(off[BANDS + k] ?? 0) * white < NEAR);
    const isFlat = off.subarray(0, BANDS).every((value) => Math.abs(value) < NEAR);
    if (isNear && isFlat) return [...r];
    const step = solved(jacobian, off);
    if (!step) return null;
    // Far from the end a whole step can leave everything behind.
    const far = Math.max(...step.subarray(0, BANDS).map(Math.abs));
    const part = Math.min(1, LONGEST / far);
    for (let i = 0; i < BANDS; i += 1) z[i] = (z[i] ?? 0) - part * (step[i] ?? 0);
    for (let k = 0; k < 3; k += 1) pull[k] = (pull[k] ?? 0) - part * (step[BANDS + k] ?? 0);
  }
  return null;
}

/** Longest step of one band at once. */
const LONGEST = 2;

function solved(jacobian: Matrix, off: Float64Array): Float64Array | null {
  try {
    const step = Float64Array.from(solve(jacobian, Matrix.columnVector(off)).to1DArray());
    return step.every(Number.isFinite) ? step : null;
  } catch {
    return null;
  }
}
