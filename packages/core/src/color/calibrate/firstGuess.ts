import { DAYLIGHT, weightsOf } from '../cie/tristimulus';
import { buildUp, dyeModel } from '../dye/dyeModel';
import { absorptionOf } from '../dye/layer';
import { COEFFICIENTS, SPLINE } from '../dye/spline';
import { xyzOfLab } from '../lab';
import { smoothestReflectance } from '../reconstruct';
import { labOfScreen } from '../screen';
import { BANDS, type Spectrum } from '../spectrum';
import { factorOf, solvedWith } from './cholesky';
import type { MeasuredColor } from './observe';
import { believeDye, unknownDye, type Gathered } from './prior';

/** A reflectance that a measured color may be of: its own, or the smoothest; null where no surface has it. */
export function reflectanceOfColor(color: MeasuredColor): Spectrum | null {
  if (color.kind === 'reflectance') return color.reflectance;
  const lab = color.kind === 'lab' ? color.lab : labOfScreen(color.srgb);
  return smoothestReflectance(xyzOfLab(lab, weightsOf(DAYLIGHT).white));
}

/** How far a reconstructed absorption may well be off, as a logarithm. */
const GUESS_SPREAD = 0.5;
/** Less absorption than that cannot be told from none. */
const LEAST = 2e-3;

/** Numbers to begin with: the curve through what each sample shows by itself, beside what is believed of any dye. */
export function firstGuess(
  samples: readonly { base: Float64Array; dosPercent: number; color: MeasuredColor }[],
): Float64Array {
  const numbers = unknownDye();
  const model = dyeModel(numbers);
  const into: Gathered = {
    n: numbers.length,
    precision: new Float64Array(numbers.length ** 2),
    slope: new Float64Array(numbers.length),
    cost: 0,
  };
  believeDye(into, 0, numbers);
  const weight = 1 / GUESS_SPREAD ** 2;
  for (const { base, dosPercent, color } of samples) {
    const reflectance = reflectanceOfColor(color);
    const built = buildUp(model, dosPercent).value;
    if (!reflectance || built === 0) continue;
    const absorption = absorptionOf(reflectance);
    for (let band = 0; band < BANDS; band += 1) {
      const own = Math.max(LEAST, ((absorption[band] as number) - (base[band] as number)) / built);
      const at = band * COEFFICIENTS;
      let curve = 0;
      for (let i = 0; i < COEFFICIENTS; i += 1) curve += (SPLINE[at + i] as number) * (numbers[i] as number);
      for (let i = 0; i < COEFFICIENTS; i += 1) {
        const row = weight * (SPLINE[at + i] as number);
        into.slope[i] = (into.slope[i] as number) + row * (curve - Math.log(own));
        for (let j = 0; j < COEFFICIENTS; j += 1)
          into.precision[i * into.n + j] =
            (into.precision[i * into.n + j] as number) + row * (SPLINE[at + j] as number);
      }
    }
  }
  const factor = factorOf(into.precision, into.n);
  if (!factor) return numbers;
  const step = solvedWith(factor, into.slope);
  return numbers.map((value, i) => value - (step[i] as number));
}
