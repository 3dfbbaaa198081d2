import type { PlannedAcid } from './planTypes';
import type { AcidDose } from '../recipe/recipe';
import { ACIDS, type AcidMaterial } from '../materials/acids';

/**
 * A dose in another acid: what is usual of that one, from which the dyer goes on. Between bottles of one acid the grams stay,
 * and a dose of nothing stays nothing.
 * @param planned the dose as it was planned; null when it is nothing yet
 * @param liters bath, L, > 0
 */
export function swapAcid(
  dose: AcidDose,
  to: AcidMaterial,
  planned: PlannedAcid | null,
  liters: number,
): AcidDose {
  if (to === dose.material) return dose;
  const { usualStrength: strengthPercent, usualGPerL, substance } = ACIDS[to];
  if (!planned) return { ...dose, material: to, strengthPercent };
  const value =
    substance === ACIDS[dose.material].substance
      ? Number((planned.pureGrams.value / liters).toPrecision(3))
      : usualGPerL;
  return { ...dose, material: to, strengthPercent, basis: 'gPerL', value };
}
