import { z } from 'zod';
import { LONGEST_SAID } from '../units/parseQuantity';
import { codeSchema, hexSchema, idSchema, nameSchema, noteSchema } from '../shelf/common';
import { acidMaterialSchema } from '../materials/acidSchema';
import { quantity } from '../shelf/quantitySchema';
import { baseSchema } from '../shelf/base';
import { FORMS } from '../shelf/forms';
import { dyeSchema } from '../shelf/dye';
import { potSchema } from '../shelf/pot';
import { stockSchema } from '../shelf/stock';
import { studioPlaceSchema, studioWaterSchema } from '../shelf/studio';
import { toolSchema } from '../shelf/tool';
import { DEFAULT_PLACE, DEFAULT_WATER } from '../shelf/water';
import { SET_METHOD_NAMES, USUAL_RISE_C_PER_MIN } from '../heat/setMethods';
import { dyeEntrySchema } from './dyeEntrySchema';
import { passMethodSchema } from '../method/settings';
import { withAcidIds, withWrittenByAcid } from './acidIds';
import { ACID_TIMES } from '../method/acidTimes';
import { LIES } from '../process/terms';

/** Goods of one base: a count of put-ups, each of a mass. */
export const goodsLineSchema = z.strictObject({
  id: idSchema,
  baseId: idSchema,
  count: quantity('count'),
  gramsEach: quantity('fiberMass'),
  /** The whole line as the scale showed it, dry; goes before count × nominal. Null until it is weighed. */
  weighedGrams: quantity('fiberMass').nullable().default(null),
  /** What these goods are, where that differs from the base's own form. */
  form: z
    .enum(FORMS, { error: `A form must be one of ${FORMS.join(', ')}.` })
    .nullable()
    .default(null),
  /** Color of goods that are dyed already and are dyed over; null for undyed. */
  dyedOverHex: hexSchema.nullable().default(null),
  /** A spare that goes in last to catch what is left; its mass carries no dye in the reckoning. */
  catchUp: z.boolean({ error: 'A catch-up skein is yes or no.' }).default(false),
});

/** One dye in a pass: how much, in whichever school, and the jar it is poured from (null: weighed as powder). */
export const dyeLineSchema = z.strictObject({
  id: idSchema,
  dyeId: idSchema,
  entry: dyeEntrySchema,
  stockId: idSchema.nullable().default(null),
  /** The painted section it is for; null is the first. */
  sectionId: idSchema.nullable().default(null),
});

/** An acid dose, in the basis it was given. */
export const acidDoseSchema = z.strictObject({
  id: idSchema,
  material: acidMaterialSchema,
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

/** Water of a pass: by liquor ratio (mL per g of goods), as a volume of bath (mL), or the bath that is in the pot. */
export const waterSchema = z.discriminatedUnion('basis', [
  z.strictObject({ basis: z.literal('ratio'), value: quantity('liquorRatio') }),
  z.strictObject({ basis: z.literal('volume'), value: quantity('volume') }),
  z.strictObject({ basis: z.literal('kept') }),
]);

/** How the goods lie in a pass: turns of a twist, knots or ties are counted. */
export const arrangementSchema = z.strictObject({
  kind: z.enum(LIES, { error: `Goods lie ${LIES.join(', ')}.` }),
  count: quantity('steps').default(1),
});

/** How a pass is led hot: rise, temperature, hold. */
export const heatProgramSchema = z.strictObject({
  rampCPerMin: quantity('rampRate').default(USUAL_RISE_C_PER_MIN),
  temperatureC: quantity('temperature'),
  minutes: quantity('minutes'),
});

/** One time that dye and goods meet. */
export const passSchema = z.strictObject({
  id: idSchema,
  method: passMethodSchema,
  /** Wet for evenness, dry on purpose for tonal change. */
  goodsGoIn: z.enum(['wet', 'dry'], { error: 'Goods go in wet or dry.' }).default('wet'),
  arrangement: arrangementSchema.default({ kind: 'open', count: 1 }),
  dyes: z.array(dyeLineSchema).max(24, { error: 'A pass can have at most 24 dyes.' }),
  /** Depth that all parts of the pass together make, %. */
  partsDepthPercent: quantity('dos').default(1),
  /** Depth that a print value of 100 % stands for, %. */
  printDepthPercent: quantity('dos').default(1),
  water: waterSchema,
  acids: z.preprocess(
    withAcidIds,
    z
      .array(acidDoseSchema)
      .max(6, { error: 'A pass can have at most 6 acid doses.' })
      .refine((doses) => new Set(doses.map(({ id }) => id)).size === doses.length, {
        error: 'Every acid dose of a pass needs an id of its own.',
      }),
  ),
  /** Water that will be topped up during the pass, mL. */
  topUpMl: quantity('topUp').default(0),
  /** True for what was poured off or lifted out, which took its acid along; false for what steamed away, which left it. */
  topUpWithAcid: z.boolean({ error: 'Acid with the top-up is yes or no.' }).default(true),
  heat: heatProgramSchema.nullable().default(null),
  /** A vessel of its own on the shelf; null: the one that the batch is dyed in. */
  potId: idSchema.nullable().default(null),
  /** Liquid of the pass before that goes on into this one, mL; a bath that is kept goes on whole. */
  takesOverMl: quantity('takenOver').default(0),
});

/** The heat set and the cool-down after it. */
export const heatSetSchema = z.strictObject({
  method: z.enum(SET_METHOD_NAMES, { error: `A set must be one of ${SET_METHOD_NAMES.join(', ')}.` }),
  temperatureC: quantity('temperature'),
  minutes: quantity('minutes'),
  coolMinutes: quantity('minutes'),
  rampCPerMin: quantity('rampRate').default(USUAL_RISE_C_PER_MIN),
  /** Thickness of the wrapped bundle in steam, oven or microwave, cm. */
  bundleCm: quantity('length').default(5),
  wrap: z
    .enum(['none', 'vented', 'sealed'], { error: 'A wrap is none, vented or sealed.' })
    .default('vented'),
  /** Goods are kept damp in a bag until others can be set with them. */
  waits: z.boolean({ error: 'Waiting for a set is yes or no.' }).default(false),
});

/** A whole way of dyeing: goods, the passes they go through, and the set. */
export const recipeSchema = z.strictObject({
  goods: z
    .array(goodsLineSchema)
    .min(1, { error: 'A recipe needs at least one line of goods.' })
    .max(24, { error: 'A recipe can have at most 24 lines of goods.' })
    .refine((goods) => goods.some((line) => !line.catchUp), {
      error: 'Something besides the catch-up skein must be dyed.',
    }),
  /** Soak before the first pass, minutes; zero for dry goods. */
  wettingMinutes: quantity('minutes'),
  passes: z
    .array(passSchema)
    .min(1, { error: 'A recipe needs a pass.' })
    .max(12, { error: 'A recipe can have at most 12 passes.' })
    .superRefine((passes, context) => {
      passes.forEach(({ dyes, method }, i) => {
        if (dyes.length === 0 && method.kind !== 'own way')
          context.addIssue({
            code: 'custom',
            path: [i, 'dyes'],
            message: 'A pass needs at least one dye; this recipe is empty.',
          });
      });
    })
    .refine((passes) => passes.some(({ dyes }) => dyes.length > 0), {
      error: 'A recipe needs at least one dye; this recipe is empty.',
    })
    .refine((passes) => passes[0]?.water.basis !== 'kept', {
      error: 'The first pass has no bath in the pot yet: give it water.',
    }),
  /** The vessel it is usually dyed in; decides time to heat. */
  potId: idSchema.nullable().default(null),
  set: heatSetSchema,
});

/** What was typed into a field, by the field's path in the recipe, where it differs from the plain number. */
const asWrittenSchema = z.preprocess(
  withWrittenByAcid,
  z.record(z.string().max(200), z.string().max(LONGEST_SAID)),
);

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
  asWritten: asWrittenSchema.default({}),
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
  /** Vessels that single passes have for themselves. */
  passPots: z.array(potSchema).default([]),
  tools: z.array(toolSchema).default([]),
  spoons: z.enum(['US', 'metric', 'AU']).default('US'),
  water: studioWaterSchema.default(DEFAULT_WATER),
  place: studioPlaceSchema.default(DEFAULT_PLACE),
  /** What was typed for its amounts, by the paths of the colorway. */
  asWritten: asWrittenSchema.optional(),
  /** Grams of a level teaspoon of the studio's citric crystals, where they were weighed. */
  citricGramsPerTeaspoon: quantity('dyeMass').optional(),
});

export type GoodsLine = z.infer<typeof goodsLineSchema>;
export type DyeLine = z.infer<typeof dyeLineSchema>;
export type AcidDose = z.infer<typeof acidDoseSchema>;
export type Water = z.infer<typeof waterSchema>;
export type Pass = z.infer<typeof passSchema>;
export type Arrangement = z.infer<typeof arrangementSchema>;
export type HeatProgram = z.infer<typeof heatProgramSchema>;
export type HeatSet = z.infer<typeof heatSetSchema>;
export type Recipe = z.infer<typeof recipeSchema>;
export type Colorway = z.infer<typeof colorwaySchema>;
export type Formulation = z.infer<typeof formulationSchema>;
