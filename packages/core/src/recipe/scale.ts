import { gramsInStock } from '../amounts/stock';
import { spoonMl } from '../units/conversions';
import { named, type Shelf } from './materials';
import { lineGrams } from './lineGrams';
import { entryAmount, entryIn } from './dyeEntry';
import type { DyeEntry } from './dyeEntrySchema';
import type { DyeLine, GoodsLine, Pass } from './recipe';

/** Total dry mass of goods lines, g. */
export const goodsGrams = (goods: readonly GoodsLine[]): number =>
  goods.reduce((sum, line) => sum + (line.catchUp ? 0 : lineGrams(line)), 0);

/** A line poured from another jar, or weighed as powder: an amount of stock becomes as much dye of the new one. */
export function pourFrom(
  line: DyeLine,
  stockId: string | null,
  shelf: Pick<Shelf, 'stocks' | 'studio'>,
): DyeLine {
  const { entry } = line;
  if (stockId === line.stockId || (entry.school !== 'stock' && entry.school !== 'stock spoons'))
    return { ...line, stockId };
  const strength = (id: string | null): number =>
    id === null ? 0 : named(shelf.stocks, id, 'stockId', 'stock jar').strengthPercent;
  if (stockId !== null)
    return {
      ...line,
      stockId,
      entry: entryIn(entry.school, (entryAmount(entry) * strength(line.stockId)) / strength(stockId)),
    };
  const ml =
    entry.school === 'stock'
      ? entry.milliliters
      : entry.teaspoons * spoonMl('tsp', shelf.studio?.spoons ?? 'US');
  return { ...line, stockId, entry: { school: 'grams', grams: gramsInStock(ml, strength(line.stockId)) } };
}

/** A pass for `ratio` times the goods at `depth` times the depth: dye, and what was given as plain amounts. */
export function enlargePass(pass: Pass, depth: number, ratio: number): Pass {
  return {
    ...deepenPass(pass, depth, ratio),
    water: pass.water.basis === 'volume' ? { basis: 'volume', value: pass.water.value * ratio } : pass.water,
    topUpMl: pass.topUpMl * ratio,
    takesOverMl: pass.takesOverMl * ratio,
    acids: pass.acids.map((dose) =>
      dose.basis === 'amount' ? { ...dose, value: dose.value * ratio } : dose,
    ),
  };
}

/** An entry for `depth` times the depth on `ratio` times the goods. Parts and print values scale with their pass. */
export function scaleEntry(entry: DyeEntry, depth: number, ratio: number): DyeEntry {
  if (entry.school === 'parts' || entry.school === 'print') return entry;
  return entryIn(entry.school, entryAmount(entry) * (entry.school === 'depth' ? depth : depth * ratio));
}

/** A pass at `depth` times its depth on `ratio` times the goods; only its dyes change. */
export function deepenPass(pass: Pass, depth: number, ratio = 1): Pass {
  return {
    ...pass,
    dyes: pass.dyes.map((line) => ({ ...line, entry: scaleEntry(line.entry, depth, ratio) })),
    partsDepthPercent: pass.partsDepthPercent * depth,
    printDepthPercent: pass.printDepthPercent * depth,
  };
}
