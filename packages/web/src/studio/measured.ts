import { bySamples, colorsRestOn, type ColorsResponse, type ShelfColors } from '@ythrion/core';
import { paintYarn } from '../parts/yarn/painting';
import type { ColorsRestOnProps } from './ColorsRestOn';

/** What only screens need that show measured colors; they load it with the first. */

let by: ShelfColors | null = null;

/** From now on yarn is painted by what was measured. */
export function paintBySamples(colors: ShelfColors): void {
  if (colors === by) return;
  by = colors;
  paintYarn(bySamples(colors));
}

/** What the colors of some goods rest on, as a sentence. */
export const RestingWords = ({ looks, shelf, colors }: ColorsRestOnProps & { colors: ColorsResponse }) =>
  colorsRestOn(looks, colors, shelf.dyes);
