import { pureAcidGrams } from '../acid/acidDose';
import { ACIDS, type AcidMaterial } from '../materials/acids';
import { figure, type Figure } from '../figure/figure';
import type { PotAddition } from './additions';

/** All acid of a bath, as grams of the acid most of it came from. */
export interface ActualAcid {
  material: AcidMaterial;
  strengthPercent: number;
  grams: Figure;
}

/** All acid as grams of the acid most of it came from, other acids by equal equivalents. */
export function acidTotal(additions: readonly PotAddition[]): ActualAcid | null {
  const doses = additions.flatMap(({ material, amount }) => {
    if (material.kind !== 'acid') return [];
    const pure = pureAcidGrams(amount, material.strengthPercent);
    return [
      {
        material: material.acid,
        strengthPercent: material.strengthPercent,
        equivalents: (pure * ACIDS[material.acid].protons) / ACIDS[material.acid].molarMass,
      },
    ];
  });
  const main = doses.toSorted((a, b) => b.equivalents - a.equivalents)[0];
  if (!main) return null;
  const facts = ACIDS[main.material];
  const grams = (doses.reduce((sum, dose) => sum + dose.equivalents, 0) * facts.molarMass) / facts.protons;
  const mixed = doses.some((dose) => dose.material !== main.material);
  return {
    material: main.material,
    strengthPercent: main.strengthPercent,
    grams: figure(
      grams,
      'g',
      () => (mixed ? 'two acids, added up by equal equivalents' : `sum of ${doses.length} additions`),
      mixed ? 'estimate' : 'exact',
    ),
  };
}
