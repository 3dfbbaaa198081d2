import type { Recipe } from '../recipe/recipe';
import type { PlanOrWhy } from './planOrWhy';
import { resizeRecipe } from './resize';

/** A recipe for so many pieces of its first goods, at the same depth. */
export function withCount(
  recipe: Recipe,
  count: number | null,
  { plan }: Extract<PlanOrWhy, { problem: null }>,
): Recipe {
  const [first, ...others] = recipe.goods;
  if (count === null || !first || count === first.count) return recipe;
  const goods = [{ ...first, count, weighedGrams: null }, ...others];
  return resizeRecipe(recipe, { kind: 'same depth', goods }, plan);
}
