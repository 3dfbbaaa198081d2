import type { GoodsLine, Recipe } from '../recipe/recipe';
import type { Base } from '../shelf/base';
import type { Plan } from './planTypes';
import { resizeRecipe } from './resize';

/** Grams of a piece of some goods if they were of another base: its put-up, where a piece was the put-up of its own. */
export function gramsEachOn(
  { baseId: own, gramsEach }: GoodsLine,
  baseId: string,
  bases: readonly Base[],
): number {
  const putUp = (of: string): number | undefined => bases.find(({ id }) => id === of)?.putUpGrams;
  return (gramsEach === putUp(own) ? putUp(baseId) : undefined) ?? gramsEach;
}

/** A recipe whose first goods are of another base, as many of them and at the same depth. */
export function onBase(recipe: Recipe, baseId: string | null, bases: readonly Base[], plan: Plan): Recipe {
  const [first, ...others] = recipe.goods;
  if (baseId === null || !first || baseId === first.baseId) return recipe;
  const gramsEach = gramsEachOn(first, baseId, bases);
  const goods = [{ ...first, baseId, gramsEach, weighedGrams: null }, ...others];
  return resizeRecipe(recipe, { kind: 'same depth', goods }, plan);
}
