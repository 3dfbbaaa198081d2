import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';

/** What one level teaspoon of a powder holds, g, when so many of them were weighed together. @param spoons more than zero */
export const weighedSpoon = (grams: number, spoons: number): Figure =>
  figure(
    grams / spoons,
    'g',
    () =>
      `${plainNumber(grams)} g ÷ ${plainNumber(spoons)} level teaspoons = ${plainNumber(grams / spoons)} g`,
  );
