import type { PlannedAcid } from './planTypes';
import type { AcidDose } from '../recipe/recipe';
import { ACIDS, type AcidMaterial } from '../materials/acids';
import { equalEquivalents } from '../acid/acidDose';

/**
 * A dose in another acid. From vinegar to citric and back it is the dose that brings this bath to the same pH; for other
 * pairs, and where no amount of the other gets there, the one with as many protons; between crystals and solution of one acid the grams stay.
 * @param planned the dose as it was planned; null when it is nothing yet, then its number stays
 * @param liters bath, L, > 0
 */
export function swapAcid(
  dose: AcidDose,
  to: AcidMaterial,
  planned: PlannedAcid | null,
  liters: number,
): AcidDose {
  const strengthPercent = ACIDS[to].usualStrength;
  if (!planned || to === dose.material)
    return {
      ...dose,
      material: to,
      strengthPercent: to === dose.material ? dose.strengthPercent : strengthPercent,
    };
  const grams = gramsInstead(dose.material, to, planned);
  return {
    ...dose,
    material: to,
    strengthPercent,
    basis: 'gPerL',
    value: Number((grams / liters).toPrecision(3)),
  };
}

/** Pure acid of the other kind that stands for a dose, g. */
function gramsInstead(from: AcidMaterial, to: AcidMaterial, planned: PlannedAcid): number {
  const pure = planned.pureGrams.value;
  if (ACIDS[to].substance === ACIDS[from].substance) return pure;
  const { besides, molarMass, protons } = ACIDS[from];
  const { samePh } = planned.instead;
  if (samePh && ACIDS[besides].substance === ACIDS[to].substance)
    return (samePh.value * ACIDS[besides].usualStrength) / 100;
  return equalEquivalents((1000 * pure * protons) / molarMass, to, 100);
}
