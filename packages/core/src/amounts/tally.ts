import { gramsInStock } from './stock';

/** One addition to the pot, with the unit it was measured in. */
export interface Addition {
  unit: 'mL' | 'g';
  amount: number;
  /** Strength of the stock, % w/v; needed when the unit is mL. */
  strengthPercent?: number;
}

/** Grams of dye in one addition of stock or of dry powder. */
export function additionGrams(addition: Addition): number {
  if (addition.unit === 'g') return addition.amount;
  return gramsInStock(addition.amount, addition.strengthPercent ?? 0);
}

/** The recipe is the sum of what went in: grams over any number of additions, in any mix of units. */
export function tallyGrams(additions: readonly Addition[]): number {
  return additions.reduce((sum, addition) => sum + additionGrams(addition), 0);
}
