import { methodFacts, sectionsOf } from '../method';
import { partsIn } from './convertLine';
import type { EntryContext } from './dyeEntry';
import { named } from './materials';
import type { DyeLine, Formulation, Pass } from './recipe';

/** The goods that one dye line is for: its section's share of the goods, or all that the pass reaches. */
export function lineShare(pass: Pass, line: Pick<DyeLine, 'sectionId'>, reached: number): number {
  const sections = sectionsOf(pass.method);
  if (sections.length === 0) return reached;
  const section = sections.find((candidate) => candidate.id === line.sectionId) ?? sections[0];
  return (section?.sharePercent ?? 100) / 100;
}

/** What an entry of this line is read against. @param wogGrams all the goods of the recipe, g */
export function entryContext(
  pass: Pass,
  line: DyeLine,
  wogGrams: number,
  reached: number,
  from: Pick<Formulation, 'dyes' | 'stocks' | 'spoons'>,
  field = 'dyes',
): EntryContext {
  const stock =
    line.stockId === null ? null : named(from.stocks, line.stockId, `${field}.stockId`, 'stock jar');
  return {
    wogGrams: wogGrams * lineShare(pass, line, reached),
    dye: named(from.dyes, line.dyeId, `${field}.dyeId`, 'dye'),
    stock: methodFacts(pass.method.kind).dry ? null : stock,
    spoons: from.spoons,
    partsInPass: partsIn(pass.dyes),
    partsDepthPercent: pass.partsDepthPercent,
    printDepthPercent: pass.printDepthPercent,
  };
}

/** The section a line's dye is for; null where the pass has none. */
export function sectionOfLine(pass: Pass, line: Pick<DyeLine, 'sectionId'>): string | null {
  const sections = sectionsOf(pass.method);
  if (sections.length === 0) return null;
  return (sections.find((section) => section.id === line.sectionId) ?? sections[0])?.id ?? null;
}
