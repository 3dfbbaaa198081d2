import { DYE_NUMBERS, dyeModel, type DyeModel } from '../dye/dyeModel';
import type { Rgb } from '../srgb';
import { fewBandsOf, type SampleAlone } from './fewBands';
import { coefficientsOf, firstGuess } from './firstGuess';
import { NO_PAIRS } from './pairs';
import { ANY_CURVE, nearBands, type CurveBelief } from './prior';
import { fitted, sizeOf, type Observation, type Problem } from './problem';

/** A dye that was found by itself. */
export interface DyeAlone {
  numbers: Float64Array;
  /** What was believed of its curve. */
  curve: CurveBelief;
}

/** Rounds of fitting a dye. */
const ROUNDS = 40;

/** A dye fitted to its own samples, whatever bases they are on. */
export function dyeAlone(
  mine: readonly Observation[],
  { bases, measure }: Pick<Problem, 'bases' | 'measure'>,
): DyeAlone {
  const { first, curve } = beforeFitting(
    mine.map(({ base, doses, color }) => ({
      base: bases[base] as Float64Array,
      dosPercent: doses[0]?.dosPercent ?? 0,
      color,
    })),
  );
  const problem: Problem = {
    dyes: 1,
    bases,
    measure,
    observations: mine.map((one) => ({
      ...one,
      doses: one.doses.map((dose) => ({ ...dose, dye: 0 })),
    })),
    // Of one dye alone, the affinity of a base says all that there is to say.
    pairs: NO_PAIRS,
    curves: [curve],
  };
  const from = new Float64Array(sizeOf(problem));
  from.set(first);
  return { numbers: fitted(problem, from, ROUNDS).slice(0, DYE_NUMBERS), curve };
}

/** Samples that are read as three numbers say something of a dye's bands from so many on. */
const FEWEST_FOR_BANDS = 2;

/** Where fitting begins, and what is believed meanwhile: bands where spectra were not measured, a smooth curve where they were. */
function beforeFitting(samples: readonly SampleAlone[]): { first: Float64Array; curve: CurveBelief } {
  // On one base: how much more another shows of the dye is not known yet.
  const together = mostOnOneBase(samples);
  const byThree = samples.every(({ color }) => color.kind === 'lab' || color.kind === 'srgb');
  if (!byThree || together.length < FEWEST_FOR_BANDS) return { first: firstGuess(samples), curve: ANY_CURVE };
  const { curve, along, power, saturation } = fewBandsOf(together);
  const mean = coefficientsOf(curve);
  const first = Float64Array.from([...mean, power, saturation]);
  return { first, curve: nearBands(mean, along.map(coefficientsOf)) };
}

const mostOnOneBase = (samples: readonly SampleAlone[]): SampleAlone[] =>
  samples
    .map(({ base }) => samples.filter((one) => one.base === base))
    .reduce((most, some) => (some.length > most.length ? some : most), []);

/**
 * A dye that was never measured, by its picked swatch and what is usual for a dye: of low confidence.
 * @param ground absorption over scattering of what the swatch was picked on, band by band @param srgb 0 to 255
 */
export const dyeOfSwatch = (ground: Float64Array, srgb: Rgb, dosPercent: number): DyeModel =>
  dyeModel(
    dyeAlone([{ base: 0, doses: [{ dye: 0, dosPercent }], color: { kind: 'swatch', srgb } }], {
      bases: [ground],
      measure: 0,
    }).numbers,
  );
