import { mostHeldMmol } from '../acid/fiberUptake';
import { lineGrams } from '../recipe/lineGrams';
import { named } from '../recipe/materials';
import { passShare } from '../method';
import type { Formulation, Pass } from '../recipe/recipe';

/**
 * Protons that the goods a pass reaches hold at most, as its bath takes acid up, mmol; a catch-up skein is not in it yet.
 * An estimate.
 */
export function fiberInBath({ recipe, bases }: Formulation, pass: Pass): number {
  const share = passShare(pass.method);
  return recipe.goods.reduce(
    (sum, line) =>
      line.catchUp
        ? sum
        : sum +
          mostHeldMmol(
            lineGrams(line) * share,
            named(bases, line.baseId, 'recipe.goods', 'yarn base').fibers,
          ),
    0,
  );
}
