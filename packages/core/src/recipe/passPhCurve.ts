import { phCurve, type PhPoint } from '../acid/phCurve';
import { goodsInBath } from './goodsInBath';
import type { PlannedAcid, PlannedPass } from './planTypes';
import type { Formulation, Pass } from './recipe';

/** Expected pH of one pass's bath against the amount of one of its acid doses, everything else left as it is. */
export function passPhCurve(
  formulation: Formulation,
  pass: Pass,
  planned: PlannedPass,
  acid: PlannedAcid,
): PhPoint[] {
  const others = planned.acids
    .filter((other) => other.stepId !== acid.stepId)
    .map((other) => ({ material: other.material, pureGrams: other.pureGrams.value }));
  return phCurve(
    acid.material,
    acid.strengthPercent,
    acid.amount.value,
    [...planned.acidsBefore, ...others],
    Math.max(planned.bath.value, 1) / 1000,
    goodsInBath(formulation, pass),
    formulation.water,
  );
}
