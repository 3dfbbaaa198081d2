import type { PlannedAcid } from '../recipe/planTypes';
import type { AcidDose } from '../recipe/recipe';
import { ACIDS, type AcidMaterial } from './acidDose';

/**
 * A dose in another acid. From vinegar to citric and back it is the dose that brings this bath to the same pH, or where
 * no amount of the other does, the one with as many protons; between crystals and solution of one acid the grams stay.
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
  const sameAcid = ACIDS[to].acid === ACIDS[dose.material].acid;
  const other: AcidMaterial = dose.material === 'vinegar' ? 'citric' : 'vinegar';
  const { samePh, sameProtons } = planned.instead;
  const grams = sameAcid
    ? planned.pureGrams.value
    : ((samePh ?? sameProtons).value * ACIDS[other].usualStrength) / 100;
  return {
    ...dose,
    material: to,
    strengthPercent,
    basis: 'gPerL',
    value: Number((grams / liters).toPrecision(3)),
  };
}
