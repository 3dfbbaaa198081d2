/** The water a studio dyes in, and how its pH is reckoned. */
export interface StudioWater {
  /** Alkalinity as the water supplier states it, mg/L as calcium carbonate. */
  alkalinityMgPerL: number;
  /** Whether the acid that the goods take up is counted; an estimate. */
  countFiberUptake: boolean;
}

/** Middling tap water, until the studio says otherwise (common practice, no source). */
export const DEFAULT_WATER: StudioWater = { alkalinityMgPerL: 100, countFiberUptake: true };

/** Where a studio stands: altitude in m, tap water and room in °C. */
export interface StudioPlace {
  altitudeM: number;
  tapC: number;
  roomC: number;
}

/** Sea level and a usual room, until the studio says otherwise (common practice, no source). */
export const DEFAULT_PLACE: StudioPlace = { altitudeM: 0, tapC: 20, roomC: 20 };
