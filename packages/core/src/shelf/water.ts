/** The water a studio dyes in, and how its pH is reckoned. */
export interface StudioWater {
  /** Alkalinity as the water supplier states it, mg/L as calcium carbonate. */
  alkalinityMgPerL: number;
  /** Whether the acid that the goods take up is counted; an estimate. */
  countFiberUptake: boolean;
}

/** Middling tap water, until the studio says otherwise (common practice, no source). */
export const DEFAULT_WATER: StudioWater = { alkalinityMgPerL: 100, countFiberUptake: true };
