import { UNKNOWN_BEHAVIOR } from './behavior';
import type { Dye } from './dye';

/** A dye of which nothing is known but that it is there. */
export const BLANK_DYE: Omit<Dye, 'id'> = {
  code: '',
  name: '',
  dyeClass: 'unknown',
  gramsPerTeaspoon: null,
  swatchHex: '#808080',
  swatchDosPercent: 1,
  lotStrength: 1,
  jarPriceCents: null,
  jarGrams: null,
  madeOf: [],
  behavior: UNKNOWN_BEHAVIOR,
  note: '',
  retired: false,
};
