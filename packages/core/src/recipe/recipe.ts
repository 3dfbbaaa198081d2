import { z } from 'zod';
import { codeSchema, idSchema, nameSchema, noteSchema } from '../shelf/common';
import { quantity } from '../shelf/quantitySchema';
import { baseSchema } from '../shelf/base';
import { dyeSchema } from '../shelf/dye';
import { potSchema } from '../shelf/pot';
import { stockSchema } from '../shelf/stock';
import { studioWaterSchema } from '../shelf/studio';
import { DEFAULT_WATER } from '../shelf/water';
import { SET_METHOD_NAMES } from '../heat/setMethods';

/** Goods of one base: a count of put-ups, each of a mass. */
export const goodsLineSchema = z.strictObject({
  id: idSchema,
  baseId: idSchema,
  count: quantity('count'),
  gramsEach: quantity('fiberMass'),
});

/** One dye in a pass: a depth, and the jar it is poured from (null: weighed as powder). */
export const dyeLineSchema = z.strictObject({
  id: idSchema,
  dyeId: idSchema,
  dosPercent: quantity('dos'),
  stockId: idSchema.nullable().default(null),
});

export const ACID_TIMES = ['soak', 'start', 'warm', 'last'] as const;

/** An acid dose, in the basis it was given. */
export const acidDoseSchema = z.strictObject({
  material: z.enum(['vinegar', 'citric', 'citric solution'], {
    error: 'An acid must be vinegar, citric or citric solution.',
  }),
  /** Liquids: g per 100 mL; crystals: % pure. */
  strengthPercent: z
    .number({ error: 'Acid strength must be a number in %.' })
    .gt(0, { error: 'Acid strength must be more than 0 %.' })
    .lte(100, { error: 'Acid strength cannot be over 100 %.' }),
  basis: z.enum(['gPerL', 'percentOfGoods', 'amount'], {
    error: 'An acid dose must be per liter, on goods or an amount.',
  }),
  value: z
    .number({ error: 'An acid dose must be a number.' })
    .gte(0, { error: 'An acid dose cannot be negative.' })
    .lte(20_000, { error: 'An acid dose cannot be over 20000.' }),
  when: z.enum(ACID_TIMES, { error: `Acid goes in at one of ${ACID_TIMES.join(', ')}.` }).default('start'),
});

/** Water of a pass: by liquor ratio (mL per g of goods) or as a volume (mL). */
export const waterSchema = z.discriminatedUnion('basis', [
  z.strictObject({ basis: z.literal('ratio'), value: quantity('liquorRatio') }),
  z.strictObject({ basis: z.literal('volume'), value: quantity('volume') }),
]);

/** An immersion pass: a full pot, stirred. */
export const passSchema = z.strictObject({
  id: idSchema,
  method: z.literal('immersion', { error: 'A pass must be an immersion pass.' }),
  dyes: z
    .array(dyeLineSchema)
    .min(1, { error: 'A pass needs at least one dye; this recipe is empty.' })
    .max(24, { error: 'A pass can have at most 24 dyes.' }),
  water: waterSchema,
  acid: acidDoseSchema.nullable(),
});

/** The heat set and the cool-down after it. */
export const heatSetSchema = z.strictObject({
  method: z.enum(SET_METHOD_NAMES, { error: `A set must be one of ${SET_METHOD_NAMES.join(', ')}.` }),
  temperatureC: quantity('temperature'),
  minutes: quantity('minutes'),
  coolMinutes: quantity('minutes'),
});

/** How the goods go in: wetted for some minutes, or dry on purpose when zero. */
export const recipeSchema = z.strictObject({
  goods: z
    .array(goodsLineSchema)
    .min(1, { error: 'A recipe needs at least one line of goods.' })
    .max(24, { error: 'A recipe can have at most 24 lines of goods.' }),
  wettingMinutes: quantity('minutes'),
  passes: z
    .array(passSchema)
    .min(1, { error: 'A recipe needs a pass.' })
    .max(1, { error: 'This version reads recipes of one pass.' }),
  set: heatSetSchema,
});

/** A colorway: a recipe with a name. A saved version never changes. */
export const colorwaySchema = z.strictObject({
  id: idSchema,
  code: codeSchema.default(''),
  name: nameSchema,
  note: noteSchema.default(''),
  version: z
    .int({ error: 'A version must be a whole number.' })
    .min(1, { error: 'Versions start at 1.' })
    .default(1),
  recipe: recipeSchema,
  /** What was typed into a field, by the field's path in the recipe, where it differs from the plain number. */
  asWritten: z.record(z.string().max(200), z.string().max(100)).default({}),
  retired: z.boolean().default(false),
});

/** A recipe together with everything it names: enough to plan from, with no other data at hand. */
export const formulationSchema = z.strictObject({
  name: nameSchema,
  recipe: recipeSchema,
  bases: z.array(baseSchema),
  dyes: z.array(dyeSchema),
  stocks: z.array(stockSchema),
  pot: potSchema.nullable().default(null),
  water: studioWaterSchema.default(DEFAULT_WATER),
});

export type GoodsLine = z.infer<typeof goodsLineSchema>;
export type DyeLine = z.infer<typeof dyeLineSchema>;
export type AcidDose = z.infer<typeof acidDoseSchema>;
export type AcidTime = AcidDose['when'];
export type Water = z.infer<typeof waterSchema>;
export type Pass = z.infer<typeof passSchema>;
export type HeatSet = z.infer<typeof heatSetSchema>;
export type Recipe = z.infer<typeof recipeSchema>;
export type Colorway = z.infer<typeof colorwaySchema>;
export type Formulation = z.infer<typeof formulationSchema>;
