import { gramsInStock } from '../amounts/stock';
import { dyeableShare } from '../amounts/dyeableShare';
import { FieldError } from '../figure/fieldError';
import type { FiberShare } from '../shelf/base';
import { spoonMl } from '../units/conversions';
import { named, type Shelf } from './materials';
import { lineGrams } from './lineGrams';
import { entryAmount, entryIn } from './dyeEntry';
import type { DyeEntry } from './dyeEntrySchema';
import type { DyeLine, GoodsLine, Pass, Recipe } from './recipe';

/** How a recipe is to be dyed again. */
export interface Rescale {
  goods: GoodsLine[];
  /** Jar to pour each dye from, by dye id; null is powder, a dye not named keeps its jar. */
  stockFor?: Readonly<Record<string, string | null>>;
  /**
   * `goods`: the same % on all goods. `dyeable`: the same depth on the part that takes dye, so that a yarn with
   * cotton in it gets less dye for the same color.
   */
  depthOn: 'goods' | 'dyeable';
}

/** Total dry mass of goods lines, g. */
export const goodsGrams = (goods: readonly GoodsLine[]): number =>
  goods.reduce((sum, line) => sum + (line.catchUp ? 0 : lineGrams(line)), 0);

/**
 * A recipe for other goods. Depths, liquor ratio and acid rates carry over; water and acid given as plain
 * amounts grow with the goods. Linear in the mass of goods.
 * @throws FieldError when a base is unknown, or the new goods take no dye while depth is asked on the dyeable part
 */
export function rescaleRecipe(
  recipe: Recipe,
  to: Rescale,
  shelf: Pick<Shelf, 'bases' | 'stocks' | 'studio'>,
): Recipe {
  const before = goodsGrams(recipe.goods);
  const after = goodsGrams(to.goods);
  if (!(after > 0)) throw new FieldError('recipe.goods', 'The goods must weigh more than zero grams.');
  const ratio = after / before;
  const depth =
    to.depthOn === 'goods' ? 1 : shareOf(to.goods, shelf, after) / shareOf(recipe.goods, shelf, before);
  if (!Number.isFinite(depth) || depth === 0)
    throw new FieldError('recipe.goods', 'Nothing in these goods takes acid dye.');
  return {
    ...recipe,
    goods: to.goods,
    passes: recipe.passes.map((pass) => rescalePass(pass, ratio, depth, to, shelf)),
  };
}

function rescalePass(
  pass: Pass,
  ratio: number,
  depth: number,
  to: Rescale,
  shelf: Pick<Shelf, 'stocks' | 'studio'>,
): Pass {
  const scaled = enlargePass(pass, depth, ratio);
  return {
    ...scaled,
    dyes: scaled.dyes.map((line): DyeLine => {
      const jar = to.stockFor?.[line.dyeId];
      return jar === undefined ? line : pourFrom(line, jar, shelf);
    }),
  };
}

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

/** Dyeable share of mixed goods, 0 to 1. */
function shareOf(goods: readonly GoodsLine[], shelf: Pick<Shelf, 'bases'>, total: number): number {
  const fibersOf = (line: GoodsLine): readonly FiberShare[] =>
    named(shelf.bases, line.baseId, 'recipe.goods', 'yarn base').fibers;
  return (
    goods.reduce(
      (sum, line) => sum + (line.catchUp ? 0 : lineGrams(line) * dyeableShare(fibersOf(line))),
      0,
    ) / total
  );
}
