import { weightsOf, DAYLIGHT } from '../cie/tristimulus';
import type { DyeModel } from '../dye/dyeModel';
import { readingPerAbsorption } from '../dye/layer';
import { BANDS } from '../../units/bands';

/**
 * Doses to begin a match with: the straight solution in K/S, each band weighed by what the eye makes of it.
 * Source: E. Allen, J. Opt. Soc. Am. 56, 1256 (1966), by least squares over all bands.
 */
export class FirstDoses {
  private readonly together: Float64Array;
  private readonly towards: Float64Array;
  private readonly n: number;

  /**
   * @param target absorption over scattering that is wanted
   * @param ground of the goods before
   */
  constructor(
    private readonly dyes: readonly DyeModel[],
    target: Float64Array,
    ground: Float64Array,
    private readonly times: number,
  ) {
    const n = dyes.length;
    this.n = n;
    const { x, y, z } = weightsOf(DAYLIGHT);
    const falls = readingPerAbsorption(target);
    const weight = Float64Array.from(falls, (fall, band) => {
      const [a, b, c] = [x[band] as number, y[band] as number, z[band] as number];
      return fall * fall * (a * a + b * b + c * c);
    });
    this.together = new Float64Array(n * n);
    this.towards = new Float64Array(n);
    for (let i = 0; i < n; i += 1) {
      const k = (dyes[i] as DyeModel).k;
      for (let j = 0; j <= i; j += 1) {
        const other = (dyes[j] as DyeModel).k;
        let sum = 0;
        for (let band = 0; band < BANDS; band += 1)
          sum += (weight[band] as number) * (k[band] as number) * (other[band] as number);
        this.together[i * n + j] = sum;
        this.together[j * n + i] = sum;
      }
      let sum = 0;
      for (let band = 0; band < BANDS; band += 1)
        sum +=
          (weight[band] as number) *
          (k[band] as number) *
          ((target[band] as number) - (ground[band] as number));
      this.towards[i] = sum;
    }
  }

  /** @param which dyes, by their places @returns %, above 0 */
  of(which: readonly number[]): number[] {
    const { together, towards, dyes, n, times } = this;
    const built = which.map(() => 0);
    // Coordinate by coordinate, none below nothing: quick, and near enough to begin with.
    for (let round = 0; round < ROUNDS; round += 1)
      for (let i = 0; i < which.length; i += 1) {
        const row = (which[i] as number) * n;
        let sum = towards[which[i] as number] as number;
        for (let j = 0; j < which.length; j += 1)
          if (j !== i) sum -= (together[row + (which[j] as number)] as number) * (built[j] as number);
        built[i] = Math.max(0, sum / (together[row + (which[i] as number)] as number));
      }
    for (let i = 0; i < which.length; i += 1) {
      const { saturation } = dyes[which[i] as number] as DyeModel;
      const value = built[i] as number;
      built[i] = Math.max(LEAST, (value * (1 + saturation * value)) / times);
    }
    return built;
  }
}

const ROUNDS = 8;
/** A dye that seems not to be wanted begins with this much all the same, %. */
const LEAST = 0.01;
