import { DAYLIGHT, weightsOf } from '../cie/tristimulus';
import { buildUp, dyeModel } from '../dye/dyeModel';
import { absorptionOf } from '../dye/layer';
import { COEFFICIENTS, curveOf, SPLINE } from '../dye/spline';
import { xyzOfLab } from '../lab';
import { smoothestReflectance } from '../reconstruct';
import { labOfScreen } from '../screen';
import type { Spectrum } from '../spectrum';
import { BANDS } from '../../units/bands';
import { factorOf, solvedWith } from './matrix';
import type { SampleAlone } from './fewBands';
import type { MeasuredColor } from './observe';
import { believe, nothingGathered, type Gathered } from './gathered';
import { believeDye, unknownDye } from './prior';

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
export function firstGuess(samples: readonly SampleAlone[]): Float64Array {
  const numbers = unknownDye();
  const model = dyeModel(numbers);
  const into = nothingGathered(numbers.length);
  believeDye(into, 0, numbers);
  const weight = 1 / GUESS_SPREAD ** 2;
  for (const { base, dosPercent, color } of samples) {
    const reflectance = reflectanceOfColor(color);
    const built = buildUp(model, dosPercent).value;
    if (!reflectance || built === 0) continue;
    const absorption = absorptionOf(reflectance);
    const own = absorption.map((value, band) =>
      Math.log(Math.max(LEAST, (value - (base[band] as number)) / built)),
    );
    addCurve(into, numbers, own, weight);
  }
  return solved(into, numbers);
}

/** The coefficients whose curve comes nearest to another. @param curve band by band */
export function coefficientsOf(curve: Float64Array): Float64Array {
  const numbers = new Float64Array(COEFFICIENTS);
  const into = nothingGathered(COEFFICIENTS);
  numbers.forEach((value, i) => believe(into, i, value, ANYTHING));
  addCurve(into, numbers, curve, 1);
  return solved(into, numbers);
}

/** Hardly a belief: what no band pins stays a number. */
const ANYTHING = { value: 0, spread: 1e3 };

/** Adds that the curve of some coefficients is to be near another. */
function addCurve(into: Gathered, numbers: Float64Array, curve: Float64Array, weight: number): void {
  const { n, slope, precision } = into;
  const there = curveOf(numbers);
  for (let band = 0; band < BANDS; band += 1) {
    const off = (there[band] as number) - (curve[band] as number);
    const at = band * COEFFICIENTS;
    for (let i = 0; i < COEFFICIENTS; i += 1) {
      const row = weight * (SPLINE[at + i] as number);
      slope[i] = (slope[i] as number) + row * off;
      for (let j = 0; j < COEFFICIENTS; j += 1)
        precision[i * n + j] = (precision[i * n + j] as number) + row * (SPLINE[at + j] as number);
    }
  }
}

function solved({ precision, slope, n }: Gathered, numbers: Float64Array): Float64Array {
  const factor = factorOf(precision, n);
  if (!factor) return numbers;
  const step = solvedWith(factor, slope);
  return numbers.map((value, i) => value - (step[i] as number));
}
