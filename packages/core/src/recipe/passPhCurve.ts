import { phCurve, type PhPoint } from '../acid/phCurve';
import { passShare } from './methods';
import { lineGrams } from './lineGrams';
import { named } from './materials';
import type { PlannedAcid, PlannedPass } from './planTypes';
import type { Formulation, Pass } from './recipe';

/** Expected pH of one pass's bath against the amount of one of its acid doses, everything else left as it is. */
export function passPhCurve(
  formulation: Formulation,
  pass: Pass,
  planned: PlannedPass,
  acid: PlannedAcid,
): PhPoint[] {
  const share = passShare(pass.method);
  const goods = formulation.recipe.goods
    .filter((line) => !line.catchUp)
    .map((line) => ({
      grams: lineGrams(line) * share,
      fibers: named(formulation.bases, line.baseId, 'recipe.goods', 'yarn base').fibers,
    }));
  const others = planned.acids
    .filter((other) => other.stepId !== acid.stepId)
    .map((other) => ({ material: other.material, pureGrams: other.pureGrams.value }));
  return phCurve(
    acid.material,
    acid.strengthPercent,
    acid.amount.value,
    [...planned.acidsBefore, ...others],
    Math.max(planned.bath.value, 1) / 1000,
    goods,
    formulation.water,
  );
}
