import { convertEntry, readEntry, SCHOOLS, type EntryContext } from './dyeEntry';
import type { School } from './dyeEntrySchema';
import type { DyeLine, Pass } from './recipe';

/** The changes to a pass that say one of its lines in another school. */
export type ConvertedPass = Pick<Pass, 'dyes' | 'partsDepthPercent' | 'printDepthPercent'>;

/** Sum of the parts in a pass. */
export const partsIn = (dyes: readonly Pick<DyeLine, 'entry'>[]): number =>
  dyes.reduce((sum, line) => sum + (line.entry.school === 'parts' ? line.entry.parts : 0), 0);

/**
 * Says one dye of a pass in another school. No depth changes: a line that joins the parts raises the depth they make
 * together, one that leaves them takes its depth along, and a print value over 100 % raises what 100 % stands for.
 * @returns null where the school cannot say it, such as stock without a jar
 */
export function convertLine(
  pass: Pass,
  lineId: string,
  to: School,
  context: EntryContext,
): ConvertedPass | null {
  const line = pass.dyes.find((candidate) => candidate.id === lineId);
  if (!line || (SCHOOLS[to].needsJar && !context.stock)) return null;
  const from = line.entry.school;
  let { partsDepthPercent, printDepthPercent } = pass;
  if (from === to) return { dyes: pass.dyes, partsDepthPercent, printDepthPercent };
  const { dosPercent } = readEntry(line.entry, context);
  const converted = convertEntry(line.entry, to, context);
  if (!converted) return null;
  let entry = converted;
  const others = partsIn(pass.dyes) - (line.entry.school === 'parts' ? line.entry.parts : 0);
  if (from === 'parts' && others > 0) partsDepthPercent -= dosPercent;
  if (to === 'parts') {
    entry = { school: 'parts', parts: others > 0 ? (others * dosPercent) / partsDepthPercent : 1 };
    partsDepthPercent = others > 0 ? partsDepthPercent + dosPercent : dosPercent;
  }
  let dyes = pass.dyes;
  if (to === 'print' && dosPercent > printDepthPercent) {
    const ratio = printDepthPercent / dosPercent;
    dyes = dyes.map((other) =>
      other.entry.school === 'print'
        ? { ...other, entry: { school: 'print', inkPercent: other.entry.inkPercent * ratio } }
        : other,
    );
    printDepthPercent = dosPercent;
    entry = { school: 'print', inkPercent: 100 };
  }
  return {
    dyes: dyes.map((other) => (other.id === lineId ? { ...other, entry } : other)),
    partsDepthPercent,
    printDepthPercent,
  };
}
