import { AIR_CO2_MOLAR, molarAcids } from '../acid/expectedPh';
import { bathPh } from '../acid/bathPh';
import { shareHeld } from '../acid/fiberUptake';
import { liquidWith } from './change';
import { shareIn } from './exposure';
import { bottled, divided } from './liquid';
import type { Liquid, There } from './state';

/** The acid that fiber in a vessel has taken up. An estimate. */
export interface Bound {
  /** Of all the goods in its liquid, milliequivalents. */
  meq: number;
  /** Part of what it holds at most, 0 to 1. */
  share: number;
}

const NONE: Bound = { meq: 0, share: 0 };

/**
 * What the fiber in a vessel has bound at the pH that its liquid comes to with it; nothing where there is no acid.
 * While goods lie in a liquid all acid is the liquid’s; what is bound is told apart when one of them leaves.
 */
export function boundIn(there: There, vesselId: string): Bound {
  const liquid = there.vessels.get(vesselId)?.liquid;
  if (!liquid || liquid.ml <= 0 || (liquid.takenMeq >= 0 && Object.keys(liquid.acids).length === 0))
    return NONE;
  let holds = 0;
  for (const piece of there.pieces.values()) holds += piece.holdsMeq * shareIn(piece, vesselId);
  if (holds === 0) return NONE;
  if (known.liquid !== liquid) known = { liquid, share: shareHeld(pHWith(liquid, holds)) };
  return { meq: holds * known.share, share: known.share };
}

/** The share found last, as goods leave one by one: goods that lie in a liquid never change without it. */
let known: { liquid: Liquid | null; share: number } = { liquid: null, share: 0 };

/** A liquid that some goods have left, with what they held of it: what the others have bound stays as it was. */
export function stillBound(liquid: Liquid, { share }: Bound): Liquid {
  known = { liquid, share };
  return liquid;
}

function pHWith({ ml, acids, alkalinityMeq, takenMeq }: Liquid, holdsMeq: number): number {
  return bathPh({
    acids: molarAcids(bottled(acids), ml / 1000),
    strongBase: alkalinityMeq / ml,
    taken: takenMeq / ml,
    airCo2: AIR_CO2_MOLAR,
    fiberHolds: holdsMeq / ml,
  });
}

/** A share of a liquid and what stays with the goods in it: what those have bound stays with them. @param share 0 to 1 */
export function dividedBeside(
  liquid: Liquid,
  share: number,
  { meq }: Bound,
): { taken: Liquid; left: Liquid } {
  if (meq === 0) return divided(liquid, share);
  const { taken, left } = divided(liquidWith(liquid, { takenMeq: liquid.takenMeq + meq }), share);
  return { taken, left: liquidWith(left, { takenMeq: left.takenMeq - meq }) };
}
