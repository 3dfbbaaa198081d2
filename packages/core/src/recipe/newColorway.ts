import type { Base } from '../shelf/base';
import type { Shelf } from './materials';
import { QUICK_ACIDS } from './quickPour';
import type { Colorway, DyeLine, GoodsLine } from './recipe';
import { setMethodFacts, type SetMethod } from '../heat/setMethods';
import type { HeatSet } from './recipe';

const onShelf = <T extends { retired: boolean }>(things: readonly T[]): T[] =>
  things.filter((thing) => !thing.retired);

/** What must be on the shelf before a colorway can be begun; null when nothing is missing. */
export function missingForColorway(shelf: Shelf): 'base' | 'dye' | null {
  if (onShelf(shelf.bases).length === 0) return 'base';
  return onShelf(shelf.dyes).length === 0 ? 'dye' : null;
}

/** Goods of one base at its own put-up. */
export const newGoodsLine = (id: string, base: Base): GoodsLine => ({
  id,
  baseId: base.id,
  count: 1,
  gramsEach: base.putUpGrams,
});

/** A dye at a medium depth, from its first jar; the first dye not yet used, or the first at all. */
export function newDyeLine(id: string, shelf: Shelf, used: readonly string[]): DyeLine {
  const dyes = onShelf(shelf.dyes);
  const dye = dyes.find((candidate) => !used.includes(candidate.id)) ?? dyes[0];
  return { id, dyeId: dye?.id ?? '', dosPercent: 0.5, stockId: dye ? jarFor(shelf, dye.id) : null };
}

/** The first jar of a dye still in use; null for weighing the powder. */
export function jarFor(shelf: Shelf, dyeId: string): string | null {
  return onShelf(shelf.stocks).find((stock) => stock.dyeId === dyeId)?.id ?? null;
}

/** What is usual for a way of setting. */
export function usualSet(method: SetMethod): HeatSet {
  const facts = setMethodFacts(method);
  return {
    method,
    temperatureC: facts.usualC,
    minutes: facts.usualMinutes,
    coolMinutes: facts.usualCoolMinutes,
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
      passes: [
        {
          id: newId(),
          method: 'immersion',
          dyes: [newDyeLine(newId(), shelf, [])],
          water: { basis: 'ratio', value: 30 },
          acid: QUICK_ACIDS.vinegar,
        },
      ],
      set: usualSet('simmer'),
    },
  };
}
