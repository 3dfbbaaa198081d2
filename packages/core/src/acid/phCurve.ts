import type { AcidMaterial } from '../materials/acids';
import { expectedPh, phBeforeGoods, type AcidsInBath } from './expectedPh';
import type { StudioWater } from '../shelf/water';

/** Expected pH at one amount of acid. */
export interface PhPoint {
  /** mL of a liquid, g of crystals. */
  amount: number;
  pH: number;
  /** Before the goods go in. */
  beforeGoods: number;
}

const POINTS = 33;

/**
 * Expected pH against the amount of one acid in this bath, the other acids in it left as they are: from none to twice
 * today's dose. Falls steadily.
 * @param amount today's dose, mL or g, > 0
 * @param others pure acids in the bath beside this dose, g
 * @param fiberMmol protons that the goods in it hold at most, mmol
 * @param takenMeq acid that fiber took out of it, less what fiber brought into it, meq
 */
export function phCurve(
  material: AcidMaterial,
  strengthPercent: number,
  amount: number,
  others: AcidsInBath,
  liters: number,
  fiberMmol: number,
  water: StudioWater,
  takenMeq = 0,
): PhPoint[] {
  return Array.from({ length: POINTS }, (_, i) => {
    const dose = (2 * amount * i) / (POINTS - 1);
    const acids = [...others, { material, pureGrams: (dose * strengthPercent) / 100 }];
    return {
      amount: dose,
      pH: expectedPh(acids, liters, fiberMmol, water, takenMeq).value,
      beforeGoods: phBeforeGoods(acids, liters, water, takenMeq).value,
    };
  });
}
