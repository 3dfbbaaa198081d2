import { dyeableShare } from '../amounts/dyeableShare';
import { FieldError } from '../figure/fieldError';
import type { FiberShare } from '../shelf/base';
import { named, type Shelf } from './materials';
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
  goods.reduce((sum, line) => sum + line.count * line.gramsEach, 0);

/**
 * A recipe for other goods. Depths, liquor ratio and acid rates carry over; water and acid given as plain
 * amounts grow with the goods. Linear in the mass of goods.
 * @throws FieldError when a base is unknown, or the new goods take no dye while depth is asked on the dyeable part
 */
export function rescaleRecipe(recipe: Recipe, to: Rescale, shelf: Pick<Shelf, 'bases'>): Recipe {
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
    passes: recipe.passes.map((pass) => rescalePass(pass, ratio, depth, to)),
  };
}

function rescalePass(pass: Pass, ratio: number, depth: number, to: Rescale): Pass {
  return {
    ...pass,
    dyes: pass.dyes.map((line): DyeLine => {
      const jar = to.stockFor?.[line.dyeId];
      return {
        ...line,
        dosPercent: line.dosPercent * depth,
        stockId: jar === undefined ? line.stockId : jar,
      };
    }),
    water: pass.water.basis === 'volume' ? { basis: 'volume', value: pass.water.value * ratio } : pass.water,
    acid:
      pass.acid && pass.acid.basis === 'amount'
        ? { ...pass.acid, value: pass.acid.value * ratio }
        : pass.acid,
  };
}

/** Dyeable share of mixed goods, 0 to 1. */
function shareOf(goods: readonly GoodsLine[], shelf: Pick<Shelf, 'bases'>, total: number): number {
  const fibersOf = (line: GoodsLine): readonly FiberShare[] =>
    named(shelf.bases, line.baseId, 'recipe.goods', 'yarn base').fibers;
  return (
    goods.reduce((sum, line) => sum + line.count * line.gramsEach * dyeableShare(fibersOf(line)), 0) / total
  );
}
