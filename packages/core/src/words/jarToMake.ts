import { gramsInStock } from '../amounts/stock';
import type { Act } from '../process/act';
import type { Stock } from '../shelf/stock';
import { threeFigures } from '../units/threeFigures';

/** Stock is made up in steps that every measuring jug shows, mL. */
const STEP_ML = 100;

/**
 * How the stock of a pour is made, for whoever has none yet; null where its jar is dated, which is to say made.
 * @param act a step of a card
 * @param stocks the jars that were planned with
 */
export function jarToMake(act: Act, stocks: readonly Stock[]): string | null {
  if (act.kind !== 'put' || act.material.kind !== 'dye' || act.unit !== 'mL' || act.amount === null)
    return null;
  const { stockId, strengthPercent } = act.material;
  const jar = stocks.find(({ id }) => id === stockId);
  if (strengthPercent === null || jar === undefined || jar.madeOn !== null || jar.weighedGrams !== null)
    return null;
  const ml = STEP_ML * Math.max(1, Math.ceil(act.amount / STEP_ML));
  const grams = threeFigures(gramsInStock(ml, strengthPercent));
  return `This jar has no date. Still to be made: mask, gloves and eye cover on, dissolve ${grams} g of powder in hot water and fill up to ${ml} mL; follow the dye maker’s safety sheet.`;
}
