import { FieldError } from '../figure/fieldError';
import { ACIDS, type AcidMaterial } from '../materials/acids';

export type AcidBasis = 'gPerL' | 'percentOfGoods' | 'amount';

/** An acid dose as every school states it, at once. */
export interface AcidAmounts {
  /** Grams of pure acid. */
  pureGrams: number;
  /** mL of vinegar or solution, or g of crystals: what is measured at the bench. */
  amount: number;
  unit: 'mL' | 'g';
  /** Pure acid per liter of bath, g/L. */
  gPerL: number;
  /** Pure acid on weight of goods, %. */
  percentOfGoods: number;
  /** Milliequivalents if every proton counted. */
  milliequivalents: number;
}

/** Grams of pure acid in a measured amount. @param strengthPercent % w/v of a liquid, % by mass of crystals */
export function pureAcidGrams(amount: number, strengthPercent: number): number {
  return (amount * strengthPercent) / 100;
}

/**
 * One acid dose in every basis. Exact.
 * @param material what is in the bottle
 * @param strengthPercent vinegar and solution: g acid per 100 mL; crystals: % pure (monohydrate is 91.4)
 * @param basis how `value` is meant: pure acid per liter of bath, pure acid on weight of goods, or the measured amount
 * @param bathLiters finished bath, L, > 0
 * @param wogGrams dry goods, g, > 0
 * @throws FieldError when strength, bath or goods are not positive
 */
export function acidAmounts(
  material: AcidMaterial,
  strengthPercent: number,
  basis: AcidBasis,
  value: number,
  bathLiters: number,
  wogGrams: number,
): AcidAmounts {
  if (!(strengthPercent > 0 && strengthPercent <= 100))
    throw new FieldError('acid.strengthPercent', 'Acid strength must be more than 0 and at most 100 %.');
  if (!(bathLiters > 0)) throw new FieldError('water', 'The bath must hold more than zero liters.');
  if (!(wogGrams > 0)) throw new FieldError('goods', 'The goods must weigh more than zero grams.');
  const pureGrams =
    basis === 'gPerL'
      ? value * bathLiters
      : basis === 'percentOfGoods'
        ? (value * wogGrams) / 100
        : pureAcidGrams(value, strengthPercent);
  const facts = ACIDS[material];
  return {
    pureGrams,
    amount: (100 * pureGrams) / strengthPercent,
    unit: facts.unit,
    gPerL: pureGrams / bathLiters,
    percentOfGoods: (100 * pureGrams) / wogGrams,
    milliequivalents: (1000 * pureGrams * facts.protons) / facts.molarMass,
  };
}

/**
 * The dose of another acid that carries as many protons: the plain equal-equivalents figure. Citric acid gives
 * up its third proton only near pH 6.4, so this is a first figure, not an equal pH.
 * @returns mL or g of the other material
 */
export function equalEquivalents(
  milliequivalents: number,
  other: AcidMaterial,
  otherStrengthPercent: number,
): number {
  const facts = ACIDS[other];
  const pureGrams = (milliequivalents * facts.molarMass) / facts.protons / 1000;
  return (100 * pureGrams) / otherStrengthPercent;
}
