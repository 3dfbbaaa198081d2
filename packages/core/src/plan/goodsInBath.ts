import type { GoodsInBath } from '../acid/expectedPh';
import { lineGrams } from '../recipe/lineGrams';
import { named } from '../recipe/materials';
import { passShare } from '../method';
import type { Formulation, Pass } from '../recipe/recipe';

/** The goods that a pass reaches, by mass and content, as its bath takes acid up; a catch-up skein is not in it yet. */
export function goodsInBath({ recipe, bases }: Formulation, pass: Pass): GoodsInBath[] {
  const share = passShare(pass.method);
  return recipe.goods
    .filter((line) => !line.catchUp)
    .map((line) => ({
      grams: lineGrams(line) * share,
      fibers: named(bases, line.baseId, 'recipe.goods', 'yarn base').fibers,
    }));
}
