import { z } from 'zod';
import { ACID_MATERIALS } from '../materials/acids';
import { SPOON_NAMES, USUAL_SPOONS } from '../units/inSpoons';
import { nameSchema } from './common';
import { METRIC, SHOWN_CHOICES, USUAL_HABITS } from './habits';
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

const oneOf = <const T extends readonly [string, ...string[]]>(names: T, what: string) =>
  z.enum(names, { error: `${what} must be one of: ${names.join(', ')}.` });
const ownSchema = quantity('volume').nullable().default(null);
const primarySchema = z.string({ error: 'A primary is a dye, or none.' }).nullable().default(null);

/** What a studio measures with, how it reads amounts, and what it takes as a rule. */
export const habitsSchema = z.strictObject({
  spoons: z
    .array(oneOf(SPOON_NAMES, 'A spoon'))
    .refine((spoons) => spoons.includes('tsp'), {
      error: 'The spoon set needs a teaspoon: the others are counted by it.',
    })
    .default([...USUAL_SPOONS]),
  own: z
    .strictObject({
      pinch: ownSchema,
      dash: ownSchema,
      smidgen: ownSchema,
      splash: ownSchema,
      drop: ownSchema,
    })
    .default(USUAL_HABITS.own),
  shown: z
    .strictObject({
      pours: oneOf(SHOWN_CHOICES.pours, 'Pours').default(METRIC.pours),
      water: oneOf(SHOWN_CHOICES.water, 'Water').default(METRIC.water),
      mass: oneOf(SHOWN_CHOICES.mass, 'Masses').default(METRIC.mass),
      temperature: oneOf(SHOWN_CHOICES.temperature, 'Temperatures').default(METRIC.temperature),
      length: oneOf(SHOWN_CHOICES.length, 'Lengths').default(METRIC.length),
    })
    .default(METRIC),
  usualAcid: oneOf(ACID_MATERIALS, 'The usual acid').default(USUAL_HABITS.usualAcid),
  primaries: z
    .strictObject({
      cyan: primarySchema,
      magenta: primarySchema,
      yellow: primarySchema,
      black: primarySchema,
    })
    .default(USUAL_HABITS.primaries),
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
  habits: habitsSchema.default(USUAL_HABITS),
});

export type Studio = z.infer<typeof studioSchema>;
