import { ciede2000 } from './ciede2000';
import type { Lab } from '../lab';

/** How CIEDE2000 grows around a color: its square as a quadratic form, row by row. */
export type Metric = Float64Array;

/** Far enough to be told from rounding, near enough to be straight. */
const STEP = 0.05;

/** @param around the color that differences are counted from */
export function metricAt(around: Lab): Metric {
  const square = (...by: number[]): number =>
    ciede2000(around, [around[0] + (by[0] ?? 0), around[1] + (by[1] ?? 0), around[2] + (by[2] ?? 0)]) ** 2;
  const along = (i: number, j: number, sign: 1 | -1): number => {
    const by = [0, 0, 0];
    by[i] = (by[i] ?? 0) + STEP;
    by[j] = (by[j] ?? 0) + sign * STEP;
    return square(...by);
  };
  const metric = new Float64Array(9);
  for (let i = 0; i < 3; i += 1)
    for (let j = 0; j < 3; j += 1) metric[3 * i + j] = (along(i, j, 1) - along(i, j, -1)) / (4 * STEP * STEP);
  return metric;
}

/** The quadratic form of a small difference. */
export function squaredIn(metric: Metric, x: number, y: number, z: number): number {
  const m = (i: number): number => metric[i] as number;
  return m(0) * x * x + m(4) * y * y + m(8) * z * z + 2 * (m(1) * x * y + m(2) * x * z + m(5) * y * z);
}
