import {
  affinitiesOn,
  affinityOf,
  residuals,
  type Calibration,
  type MeasuredShelf,
} from '../color/calibrate/calibrate';
import { lossAt } from '../color/calibrate/problem';
import type { Note } from './colorShelf';

/** Farther than that from what all the others say, a sample counts for little, ΔE00. */
const OUTLIER = 4;

/** What answers rest on: how far each sample lies from what is said of it, and what was found of dyes and bases. */
export function colorEvidence(
  calibration: Calibration,
  { samples, mixtures }: Pick<MeasuredShelf, 'samples' | 'mixtures'>,
  note: Note,
): Record<string, unknown> {
  const off = residuals(calibration);
  samples.forEach(({ dyeId, baseId, dosPercent }, i) => {
    if ((off[i] ?? 0) > OUTLIER)
      note(
        `The sample of “${dyeId}” at ${dosPercent} % on “${baseId}” lies ΔE00 ${(off[i] ?? 0).toFixed(1)} from what the others say; it counts for little.`,
      );
  });
  return {
    dyes: calibration.dyeIds.map((id, d) => ({
      id,
      samples: calibration.samples[d] ?? 0,
      power: calibration.models[d]?.power,
      saturation: calibration.models[d]?.saturation,
      deltaE00: off.filter((_, i) => samples[i]?.dyeId === id),
    })),
    bases: calibration.baseIds.map((id) => ({
      id,
      affinity: Math.exp(affinityOf(calibration, id)),
      // Beside that, of single dyes that were measured on it.
      dyes: Object.entries(affinitiesOn(calibration, id)).map(([dyeId, more]) => ({
        id: dyeId,
        affinity: Math.exp(more),
      })),
    })),
    mixtures: mixtures.map((_, m) => ({ deltaE00: off[samples.length + m] })),
    loss: calibration.numbers[lossAt(calibration.problem)],
  };
}
