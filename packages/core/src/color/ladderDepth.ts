import type { Calibration } from './calibrate/calibrate';
import { dot } from './calibrate/matrix';
import { DOSE_NOISE } from './calibrate/problem';
import { ciede2000 } from './difference/ciede2000';
import { squaredIn, metricAt } from './difference/metric';
import { labOfTarget, type Target } from './calibrate/observe';
import { predict } from './predict';

/** The depth of a dye that a patch has, with where it most likely lies. */
export interface LadderDepth {
  dosPercent: number;
  /** Four times in five the depth lies between these. */
  low: number;
  high: number;
  /** How far the patch is from the dye at that depth, ΔE00. */
  deltaE00: number;
}

/** Depths that are looked between, %. */
const [PALEST, DEEPEST] = [0.001, 10];
/** Half of a normal spread's four fifths, in its own units. */
const FOUR_FIFTHS = 1.2816;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Reads the depth of a patch off the ladder of one dye on a base. */
export function ladderDepth(
  calibration: Calibration,
  baseId: string,
  dyeId: string,
  target: Target,
): LadderDepth {
  const lab = labOfTarget(target);
  const at = (log: number) =>
    predict(calibration, baseId, [{ id: dyeId, dosPercent: Math.exp(log) }], DOSE_NOISE);
  const off = (log: number): number => ciede2000(lab, at(log).lab);
  const [first, last] = [Math.log(PALEST), Math.log(DEEPEST)];
  // The nearest of a few rungs, then between its neighbors.
  const rungs = Array.from({ length: 30 }, (_, i) => first + ((last - first) * i) / 29);
  const nearest = rungs.reduce((best, rung) => (off(rung) < off(best) ? rung : best));
  let [low, high] = [Math.max(first, nearest - 0.4), Math.min(last, nearest + 0.4)];
  for (let round = 0; round < 40; round += 1) {
    const [one, other] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (off(one) < off(other)) high = other;
    else low = one;
  }
  const log = (low + high) / 2;
  const { spread, perDose, lab: expected } = at(log);
  const along = perDose[0] ?? new Float64Array(3);
  // What the spread comes to along the way that the color takes with the depth.
  const metric = metricAt(expected);
  const reach = squaredIn(metric, along[0] as number, along[1] as number, along[2] as number);
  const weighted = Float64Array.from([0, 1, 2], (i) => dot(rowOf(metric, i), along));
  const across = weighted.reduce((sum, weight, i) => sum + weight * dot(rowOf(spread, i), weighted), 0);
  const sd = reach > 0 ? Math.sqrt(across) / reach : Number.POSITIVE_INFINITY;
  const half = Math.min(FOUR_FIFTHS * sd, last - first);
  return {
    dosPercent: Math.exp(log),
    low: Math.max(PALEST, Math.exp(log - half)),
    high: Math.min(DEEPEST, Math.exp(log + half)),
    deltaE00: off(log),
  };
}

/** A row of three by three numbers. */
const rowOf = (matrix: Float64Array, i: number): Float64Array => matrix.subarray(3 * i, 3 * i + 3);
