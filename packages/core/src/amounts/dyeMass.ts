import { FieldError } from '../figure/fieldError';

/**
 * Dye powder for a depth of shade.
 * @param wogGrams dry mass of the goods, g, > 0
 * @param dosPercent depth of shade, % on weight of fiber, 0 to 12
 * @param lotStrength strength of this jar of powder against standard, 1 = standard, > 0
 * @returns grams of powder. Exact: g = WOG × DOS / 100 / lot strength.
 * @throws FieldError when an argument is outside its range
 */
export function dyeGrams(wogGrams: number, dosPercent: number, lotStrength = 1): number {
  if (!(wogGrams > 0)) throw new FieldError('goods', 'The goods must weigh more than zero grams.');
  if (!(dosPercent >= 0 && dosPercent <= 12))
    throw new FieldError('dosPercent', 'Depth of shade must be from 0 to 12 %.');
  if (!(lotStrength > 0))
    throw new FieldError('lotStrength', 'Lot strength must be more than zero; standard is 1.');
  return (wogGrams * dosPercent) / 100 / lotStrength;
}

/**
 * Depth of shade that a mass of dye gives on these goods; the inverse of `dyeGrams`.
 * @returns % on weight of fiber
 */
export function depthOfShade(grams: number, wogGrams: number, lotStrength = 1): number {
  if (!(wogGrams > 0)) throw new FieldError('goods', 'The goods must weigh more than zero grams.');
  return (100 * grams * lotStrength) / wogGrams;
}
