import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { gramsInStock, makeUpMl, stockStrength } from './stock';

/** How to make a jar of stock. */
export interface StockPlan {
  /** Powder for the strength and volume that were wished. */
  powder: Figure;
}

/** What a jar becomes once the powder has really been weighed. */
export interface WeighedStock {
  /** Make up to this volume and the label's strength holds. */
  makeUpTo: Figure;
  /** Or keep to the wished volume, and this is the true strength. */
  trueStrength: Figure;
}

/** Powder to weigh for a jar. @param strengthPercent % w/v, above 0 to 10 @param volumeMl > 0 */
export function planStock(strengthPercent: number, volumeMl: number): StockPlan {
  const grams = gramsInStock(volumeMl, strengthPercent);
  return {
    powder: figure(
      grams,
      'g',
      () =>
        `${plainNumber(volumeMl)} mL × ${plainNumber(strengthPercent)} % w/v ÷ 100 = ${plainNumber(grams)} g`,
    ),
  };
}

/**
 * What to do with what the scale really showed: more or less water for the strength on the label, or the true strength
 * for the volume that was wished. Exact.
 * @param weighedGrams powder as weighed, > 0
 */
export function weighedStock(weighedGrams: number, strengthPercent: number, volumeMl: number): WeighedStock {
  const makeUp = makeUpMl(weighedGrams, strengthPercent);
  const strength = stockStrength(weighedGrams, volumeMl);
  return {
    makeUpTo: figure(
      makeUp,
      'mL',
      () =>
        `100 × ${plainNumber(weighedGrams)} g ÷ ${plainNumber(strengthPercent)} % w/v = ${plainNumber(makeUp)} mL`,
    ),
    trueStrength: figure(
      strength,
      '% w/v',
      () =>
        `100 × ${plainNumber(weighedGrams)} g ÷ ${plainNumber(volumeMl)} mL = ${plainNumber(strength)} % w/v`,
    ),
  };
}

/** A jar made by the spoon: its strength is as good as the spoon. An estimate. */
export function spoonStock(teaspoons: number, gramsPerTeaspoon: number, waterMl: number): Figure {
  const grams = teaspoons * gramsPerTeaspoon;
  return figure(
    stockStrength(grams, waterMl),
    '% w/v',
    () =>
      `100 × ${plainNumber(teaspoons)} tsp × ${plainNumber(gramsPerTeaspoon)} g ÷ ${plainNumber(waterMl)} mL`,
    'estimate',
    'grams per level teaspoon',
  );
}
