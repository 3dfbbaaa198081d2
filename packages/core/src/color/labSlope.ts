import { weightsOf, type Viewing } from './cie/tristimulus';
import type { Lab } from './lab';

/** CIELAB of a reading, with what each band adds to it. */
export interface LabWithSlope {
  lab: Lab;
  /** How L, a and b grow with the reading of each band: three rows of bands. */
  perBand: readonly [Float64Array, Float64Array, Float64Array];
}

/** (6/29)³, and the slope of the straight part below it, of 1/116. Source: ISO/CIE 11664-4. */
const LOW = 216 / 24389;
const STRAIGHT = 24389 / 27 / 116;

/**
 * CIELAB of a reading, and its slope: what small changes of the reading make of it.
 * @param reading 31 bands
 */
export function labWithSlope(reading: Float64Array, viewing: Viewing): LabWithSlope {
  const { x, y, z, white } = weightsOf(viewing);
  const bands = reading.length;
  let [sx, sy, sz] = [0, 0, 0];
  for (let i = 0; i < bands; i += 1) {
    const r = reading[i] as number;
    sx += r * (x[i] as number);
    sy += r * (y[i] as number);
    sz += r * (z[i] as number);
  }
  const [fx, fy, fz] = [rooted(sx / white[0]), rooted(sy / white[1]), rooted(sz / white[2])];
  const [dx, dy, dz] = [fx.slope / white[0], fy.slope / white[1], fz.slope / white[2]];
  const [l, a, b] = [new Float64Array(bands), new Float64Array(bands), new Float64Array(bands)];
  for (let i = 0; i < bands; i += 1) {
    const [px, py, pz] = [dx * (x[i] as number), dy * (y[i] as number), dz * (z[i] as number)];
    l[i] = 116 * py;
    a[i] = 500 * (px - py);
    b[i] = 200 * (py - pz);
  }
  return {
    lab: [116 * fy.value - 16, 500 * (fx.value - fy.value), 200 * (fy.value - fz.value)],
    perBand: [l, a, b],
  };
}

function rooted(t: number): { value: number; slope: number } {
  if (t > LOW) {
    const value = Math.cbrt(t);
    return { value, slope: 1 / (3 * value * value) };
  }
  return { value: STRAIGHT * t + 16 / 116, slope: STRAIGHT };
}
