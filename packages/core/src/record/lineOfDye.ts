import { depthOfShade } from '../amounts/dyeMass';
import { passShare } from '../method';
import { lineShare } from '../recipe/entryContext';
import type { DyeLine, Pass } from '../recipe/recipe';

/** The line that dye of a pass belongs to: the planned one it names, or for an unplanned one the first of the same dye. */
export const lineOfDye = (pass: Pass, line: string, dyeId: string): DyeLine | undefined =>
  line === ''
    ? pass.dyes.find((candidate) => candidate.dyeId === dyeId)
    : pass.dyes.find((candidate) => candidate.id === line);

/** Depth of a mass of standard dye on the goods that its line of the pass is for, %. */
export function depthOnLine(
  pass: Pass,
  line: Pick<DyeLine, 'sectionId'>,
  standardGrams: number,
  wogGrams: number,
): number {
  return depthOfShade(standardGrams, wogGrams * lineShare(pass, line, passShare(pass.method)), 1);
}
