import { weightsOf, type Viewing } from './cie/tristimulus';
import { perRoot, root, type Lab } from './lab';

/** CIELAB of a reading, with what each band adds to it. */
export interface LabWithSlope {
  lab: Lab;
  /** How L, a and b grow with the reading of each band: three rows of bands. */
  perBand: readonly [Float64Array, Float64Array, Float64Array];
}

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
  const [tx, ty, tz] = [sx / white[0], sy / white[1], sz / white[2]];
  const [fx, fy, fz] = [root(tx), root(ty), root(tz)];
  const [dx, dy, dz] = [perRoot(tx, fx) / white[0], perRoot(ty, fy) / white[1], perRoot(tz, fz) / white[2]];
  const [l, a, b] = [new Float64Array(bands), new Float64Array(bands), new Float64Array(bands)];
  for (let i = 0; i < bands; i += 1) {
    const [px, py, pz] = [dx * (x[i] as number), dy * (y[i] as number), dz * (z[i] as number)];
    l[i] = 116 * py;
    a[i] = 500 * (px - py);
    b[i] = 200 * (py - pz);
  }
  return {
    lab: [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)],
    perBand: [l, a, b],
  };
}
