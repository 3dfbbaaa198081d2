import { phCurve, type PhPoint } from '../acid/phCurve';
import type { Formulation, Pass } from '../recipe/recipe';
import { fiberInBath } from './fiberInBath';
import { acidsIn, litersOf, together, waterOf } from './liquids';
import { ACIDS } from '../materials/acids';
import type { PlannedAcid, PlannedPass } from './planTypes';

/** Expected pH of one pass's bath against the amount of one of its acid doses, everything else left as it is. */
export function passPhCurve(
  formulation: Formulation,
  pass: Pass,
  planned: PlannedPass,
  acid: PlannedAcid,
): PhPoint[] {
  const bath = planned.inBath;
  const others = together(
    bath,
    {
      ml: 0,
      alkalinityMeq: 0,
      takenMeq: 0,
      acids: { [ACIDS[acid.material].substance]: acid.pureGrams.value },
    },
    -1,
  );
  return phCurve(
    acid.material,
    acid.strengthPercent,
    acid.amount.value,
    acidsIn(others),
    litersOf(bath),
    fiberInBath(formulation, pass),
    waterOf(bath, formulation.water),
    bath.takenMeq,
  );
}
