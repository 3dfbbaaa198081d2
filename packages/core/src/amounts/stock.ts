import { threeFigures } from '../units/threeFigures';
import { FieldError } from '../figure/fieldError';

const checkStrength = (strengthPercent: number): void => {
  if (!(strengthPercent > 0 && strengthPercent <= 10))
    throw new FieldError('strengthPercent', 'Stock strength must be more than 0 and at most 10 % w/v.');
};

/**
 * Volume of stock solution that holds a mass of dye. Exact: mL = 100 × g / c.
 * @param grams dye, g
 * @param strengthPercent c, % w/v (g per 100 mL), above 0 to 10
 * @throws FieldError when the strength is outside its range
 */
export function stockMl(grams: number, strengthPercent: number): number {
  checkStrength(strengthPercent);
  return (100 * grams) / strengthPercent;
}

/** Grams of dye in a volume of stock; the inverse of `stockMl`. */
export function gramsInStock(volumeMl: number, strengthPercent: number): number {
  checkStrength(strengthPercent);
  return (volumeMl * strengthPercent) / 100;
}

/** Strength in % w/v of a mass of powder made up to a volume. Exact. */
export function stockStrength(grams: number, volumeMl: number): number {
  if (!(volumeMl > 0)) throw new FieldError('volumeMl', 'The stock must have a volume of more than zero.');
  return (100 * grams) / volumeMl;
}

/**
 * Volume to make up to, when the scale landed off target and the strength on the label should hold.
 * 2.13 g at 1 % needs 213 mL.
 */
export function makeUpMl(weighedGrams: number, targetStrengthPercent: number): number {
  return stockMl(weighedGrams, targetStrengthPercent);
}

/**
 * Working dilution, c1 V1 = c2 V2.
 * @returns mL of the stronger stock to take for `volumeMl` of `toPercent`
 * @throws FieldError when the dilution would have to be stronger than its stock
 */
export function takeForDilution(fromPercent: number, toPercent: number, volumeMl: number): number {
  checkStrength(fromPercent);
  if (toPercent > fromPercent)
    throw new FieldError(
      'strengthPercent',
      `A dilution cannot be stronger (${threeFigures(toPercent)} %) than the stock it is made from (${threeFigures(fromPercent)} %).`,
    );
  return (volumeMl * toPercent) / fromPercent;
}
