import { z } from 'zod';
import { nameSchema } from './common';
import { quantity } from './quantitySchema';
import { DEFAULT_PLACE, DEFAULT_WATER } from './water';

/** The water a studio dyes in, and how its pH is reckoned. */
export const studioWaterSchema = z.strictObject({
  /** Alkalinity as the water supplier states it, mg/L as calcium carbonate. */
  alkalinityMgPerL: quantity('alkalinity').default(DEFAULT_WATER.alkalinityMgPerL),
  /** Whether the acid that the goods take up is counted; an estimate. */
  countFiberUptake: z
    .boolean({ error: 'Counting the fiber’s uptake is yes or no.' })
    .default(DEFAULT_WATER.countFiberUptake),
});

/** Where the studio stands: decides boiling point, time to heat and time to cool. */
export const studioPlaceSchema = z.strictObject({
  /** Above sea level, m. */
  altitudeM: quantity('altitude').default(DEFAULT_PLACE.altitudeM),
  /** Water as it comes from the tap, °C. */
  tapC: quantity('roomTemperature').default(DEFAULT_PLACE.tapC),
  /** The room, °C. */
  roomC: quantity('roomTemperature').default(DEFAULT_PLACE.roomC),
});

/** What holds for the whole studio. */
export const studioSchema = z.strictObject({
  name: nameSchema.default('My studio'),
  /** Which spoons and cups a bare `tsp` or `cup` means. */
  spoons: z.enum(['US', 'metric', 'AU'], { error: 'Spoons must be US, metric or AU.' }).default('US'),
  /** ISO 4217 code, for costs. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, { error: 'A currency must be three capital letters, such as USD or EUR.' })
    .default('USD'),
  water: studioWaterSchema.default(DEFAULT_WATER),
  place: studioPlaceSchema.default(DEFAULT_PLACE),
  /** Grams of one level teaspoon of its citric acid crystals; null until they were weighed. */
  citricGramsPerTeaspoon: quantity('dyeMass').nullable().default(null),
});

export type Studio = z.infer<typeof studioSchema>;
