import type { Shelf } from './materials';
import { QUICK_ACIDS } from './quickPour';
import { newGoodsLine } from './newGoodsLine';
import type { Colorway, DyeLine, Pass } from './recipe';
import { usualSet } from './usualSet';
import { methodFacts, METHODS, sectionsOf } from '../method';
import type { MethodKind, PassMethod } from '../method';

const onShelf = <T extends { retired: boolean }>(things: readonly T[]): T[] =>
  things.filter((thing) => !thing.retired);

/** What must be on the shelf before a colorway can be begun; null when nothing is missing. */
export function missingForColorway(shelf: Shelf): 'base' | 'dye' | null {
  if (onShelf(shelf.bases).length === 0) return 'base';
  return onShelf(shelf.dyes).length === 0 ? 'dye' : null;
}

/** A dye at a medium depth, from its first jar; the first dye not yet used, or the first at all. */
export function newDyeLine(
  id: string,
  shelf: Shelf,
  used: readonly string[],
  sectionId: string | null = null,
): DyeLine {
  const dyes = onShelf(shelf.dyes);
  const dye = dyes.find((candidate) => !used.includes(candidate.id)) ?? dyes[0];
  return {
    id,
    dyeId: dye?.id ?? '',
    entry: { school: 'depth', percent: 0.5 },
    stockId: dye ? jarFor(shelf, dye.id) : null,
    sectionId,
  };
}

/** The dyes of a pass and one more: the first on the shelf that is not among them yet. */
export const withAnotherDye = (
  dyes: readonly DyeLine[],
  id: string,
  shelf: Shelf,
  sectionId: string | null,
): DyeLine[] => [
  ...dyes,
  newDyeLine(
    id,
    shelf,
    dyes.map((line) => line.dyeId),
    sectionId,
  ),
];

/** The first jar of a dye still in use; null for weighing the powder. */
export function jarFor(shelf: Shelf, dyeId: string): string | null {
  return onShelf(shelf.stocks).find((stock) => stock.dyeId === dyeId)?.id ?? null;
}

/** Acid a glaze starts from: strongly acid, cold (common practice, no source). */
const GLAZE_ACID = {
  id: 'acid1',
  material: 'citric',
  strengthPercent: 100,
  basis: 'gPerL',
  value: 6,
  when: 'start',
} as const;

/** A pass made in one way, with what is usual for it and one dye. */
export function newPass(id: string, kind: MethodKind, shelf: Shelf, newId: () => string): Pass {
  const { usual } = METHODS[kind];
  return {
    id,
    method: usual,
    goodsGoIn: 'wet',
    arrangement: {
      kind:
        kind === 'repeated'
          ? 'twisted'
          : kind === 'painted stack' || kind === 'blank painting'
            ? 'laid flat'
            : 'open',
      count: 2,
    },
    dyes: [newDyeLine(newId(), shelf, [], sectionsOf(usual)[0]?.id ?? null)],
    partsDepthPercent: 1,
    printDepthPercent: 1,
    water: { basis: 'ratio', value: kind === 'sprinkle' || kind === 'ice' ? 8 : 30 },
    acids: [kind === 'glaze' ? GLAZE_ACID : QUICK_ACIDS.vinegar],
    topUpMl: 0,
    heat: null,
  };
}

/**
 * A pass led in another way: dyes, acid and goods carry over, each method's own settings start from what is usual.
 * Lines of sections that are gone go to the first.
 */
export function changeMethod(pass: Pass, kind: MethodKind): Pass {
  if (pass.method.kind === kind) return pass;
  const method: PassMethod = METHODS[kind].usual;
  const sections = sectionsOf(method);
  return {
    ...pass,
    method,
    dyes: pass.dyes.map((line) => ({
      ...line,
      sectionId: sections.find((section) => section.id === line.sectionId)?.id ?? sections[0]?.id ?? null,
      ...(methodFacts(kind).dry &&
        (line.entry.school === 'stock' || line.entry.school === 'stock spoons') && {
          entry: { school: 'depth' as const, percent: 0.5 },
        }),
    })),
    heat: methodFacts(kind).hot ? pass.heat : null,
  };
}

/** A first version to start from: one pass, one dye, usual water, acid and set. Needs a base and a dye on the shelf. */
export function newColorway(id: string, shelf: Shelf, newId: () => string): Colorway {
  const base = onShelf(shelf.bases)[0];
  return {
    id,
    code: '',
    name: 'New colorway',
    note: '',
    version: 1,
    asWritten: {},
    retired: false,
    recipe: {
      goods: base ? [newGoodsLine(newId(), base)] : [],
      wettingMinutes: 30,
      passes: [newPass(newId(), 'immersion', shelf, newId)],
      potId: null,
      set: usualSet('simmer'),
    },
  };
}
