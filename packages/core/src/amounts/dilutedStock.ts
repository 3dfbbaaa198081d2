import { figure, measuredOut, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { spoonMl, type SpoonSystem } from '../units/conversions';
import { formatAmount } from '../units/formatQuantity';
import { gramsInStock, stockStrength } from './stock';

/** A stock with more water in it, or some of it made up with water. */
export interface DilutedStock {
  strength: Figure;
  volume: Figure;
  /** Dye in a level tablespoon of it. */
  perTablespoon: Figure;
}

/**
 * A jar with more water in it: `another cup of water into this jar`. Volumes add. Exact.
 * @param leftMl what is in the jar, above 0 @param addedMl water, above 0
 */
export function wateredStock(
  leftMl: number,
  strengthPercent: number,
  addedMl: number,
  spoons: SpoonSystem,
): DilutedStock {
  return diluted(leftMl, strengthPercent, leftMl + addedMl, spoons);
}

/**
 * Some of a jar made up with water: `2 tbsp made up to 1 cup`. Exact.
 * @param takenMl above 0, at most `wholeMl`
 */
export function madeUpStock(
  takenMl: number,
  strengthPercent: number,
  wholeMl: number,
  spoons: SpoonSystem,
): DilutedStock {
  return diluted(takenMl, strengthPercent, wholeMl, spoons);
}

function diluted(ml: number, strengthPercent: number, wholeMl: number, spoons: SpoonSystem): DilutedStock {
  const grams = gramsInStock(ml, strengthPercent);
  const strength = stockStrength(grams, wholeMl);
  const tablespoon = spoonMl('tbsp', spoons);
  return {
    strength: figure(
      strength,
      '% w/v',
      () =>
        `${formatAmount(ml, 'mL')} × ${plainNumber(strengthPercent)} % w/v ÷ ${formatAmount(wholeMl, 'mL')} = ${plainNumber(strength)} % w/v`,
    ),
    volume: measuredOut(
      figure(
        wholeMl,
        'mL',
        () => `${formatAmount(ml, 'mL')} of stock + ${formatAmount(wholeMl - ml, 'mL')} water`,
      ),
      { as: 'pour', said: null },
    ),
    perTablespoon: figure(
      gramsInStock(tablespoon, strength),
      'g',
      () => `${formatAmount(tablespoon, 'mL')} × ${plainNumber(strength)} % w/v ÷ 100`,
    ),
  };
}
