import { quantityKind } from '../units/quantityKinds';
import type { Plan } from './planTypes';
import type { GoodsLine, Recipe } from '../recipe/recipe';
import { deepenPass, enlargePass, goodsGrams } from '../recipe/scale';

/** The ways a dyer changes the size or depth of a colorway. */
export type Resize =
  /** The dye of today spread over other goods: paler on more of them. */
  | { kind: 'same dye'; goods: GoodsLine[] }
  /** The depth of today on other goods. */
  | { kind: 'same depth'; goods: GoodsLine[] }
  /** The next rung of the ladder of depths, on the same goods. */
  | { kind: 'deeper' }
  | { kind: 'paler' };

/** The rung above or below a depth on the ladder that the depth field steps along, %. */
export function nextDepth(dosPercent: number, direction: 'deeper' | 'paler'): number {
  const { ladder } = quantityKind('dos');
  const next =
    direction === 'deeper'
      ? ladder.find((rung) => rung > dosPercent * 1.001)
      : ladder.findLast((rung) => rung < dosPercent * 0.999);
  return next ?? (direction === 'deeper' ? dosPercent * 1.25 : dosPercent / 2);
}

/**
 * A recipe at another depth: only its dyes change, each keeping its part. One without dye has no depth, and stays as it is.
 * @param dosPercent depth of shade in all, % @param plan of the recipe as it is
 */
export function atDepth(recipe: Recipe, dosPercent: number, { totals }: Pick<Plan, 'totals'>): Recipe {
  const now = totals.dos.value;
  if (now === 0) return recipe;
  return { ...recipe, passes: recipe.passes.map((pass) => deepenPass(pass, dosPercent / now)) };
}

/**
 * A recipe on other goods or at another depth. Every dye keeps its part of the whole, so that only the depth moves
 * and not the hue.
 * @param plan of the recipe as it is, for its depth
 */
export function resizeRecipe(recipe: Recipe, change: Resize, plan: Pick<Plan, 'totals'>): Recipe {
  if (change.kind === 'deeper' || change.kind === 'paler')
    return atDepth(recipe, nextDepth(plan.totals.dos.value, change.kind), plan);
  const ratio = goodsGrams(change.goods) / goodsGrams(recipe.goods);
  const depth = change.kind === 'same dye' ? 1 / ratio : 1;
  return {
    ...recipe,
    goods: change.goods,
    passes: recipe.passes.map((pass) => enlargePass(pass, depth, ratio)),
  };
}
