import { Matrix, solve } from 'ml-matrix';
import { BANDS } from '../units/bands';
import { linearOf } from './screen';
import type { Spectrum } from './spectrum';

/**
 * The three lights of a screen as smooth spectra: a surface that looks like a color of the screen reflects so much of each
 * as its channels say. Together they are white in every band; strong colors fall below 0 and are cut off there.
 * Source: S. A. Burns, Color Res. Appl. 45, 8 (2020): least slope squared, without bounds.
 * @returns red, green and blue, 31 bands each
 */
export function smoothLights(): readonly [Spectrum, Spectrum, Spectrum] {
  const system = Matrix.zeros(BANDS + 3, BANDS + 3);
  for (let i = 0; i < BANDS; i += 1) {
    system.set(i, i, i === 0 || i === BANDS - 1 ? 2 : 4);
    if (i > 0) system.set(i, i - 1, -2);
    if (i < BANDS - 1) system.set(i, i + 1, -2);
    const alone = new Float64Array(BANDS);
    alone[i] = 1;
    linearOf(alone).forEach((channel, k) => {
      system.set(BANDS + k, i, channel);
      system.set(i, BANDS + k, channel);
    });
  }
  const wanted = Matrix.zeros(BANDS + 3, 3);
  for (let k = 0; k < 3; k += 1) wanted.set(BANDS + k, k, 1);
  const found = solve(system, wanted);
  const light = (k: number): Spectrum => found.getColumn(k).slice(0, BANDS);
  return [light(0), light(1), light(2)];
}
