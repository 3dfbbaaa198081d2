import type { Sample } from '../shelf/sample';
import { named, type Shelf } from './materials';

/** Whether a sample is of a base and of dyes that are on the shelf. @throws FieldError naming the one that is not */
export function checkSample(sample: Sample, { bases, dyes }: Pick<Shelf, 'bases' | 'dyes'>): void {
  named(bases, sample.baseId, 'baseId', 'base');
  sample.dyes.forEach(({ dyeId }, i) => named(dyes, dyeId, `dyes.${i}.dyeId`, 'dye'));
}
