import { z } from 'zod';
import { codeSchema, hexSchema, idSchema, nameSchema, noteSchema } from './common';
import { CLEARS, STRIKES, UNKNOWN_BEHAVIOR } from './behavior';
import { DYE_CLASSES } from './dyeClasses';
import { quantity } from './quantitySchema';

/** How a dye behaves, as its dyer knows it. */
const behaviorSchema = z.strictObject({
  strikes: z
    .enum(STRIKES, { error: `How a dye strikes must be one of ${STRIKES.join(', ')}.` })
    .default(UNKNOWN_BEHAVIOR.strikes),
  clears: z
    .enum(CLEARS, { error: `How a dye clears must be one of ${CLEARS.join(', ')}.` })
    .default(UNKNOWN_BEHAVIOR.clears),
  clearsMinutes: quantity('minutes').nullable().default(null),
  clearsAtC: quantity('temperature').nullable().default(null),
  bleeds: z.boolean({ error: 'Bleeding is yes or no.' }).default(false),
  breaks: z.boolean({ error: 'Breaking into its parts is yes or no.' }).default(false),
  littleGoesFar: z.boolean({ error: 'Going far is yes or no.' }).default(false),
  deepestPercent: quantity('dos').nullable().default(null),
});

/** A dye powder. */
export const dyeSchema = z.strictObject({
  id: idSchema,
  code: codeSchema.default(''),
  name: nameSchema,
  dyeClass: z
    .enum(DYE_CLASSES, { error: `A dye class must be one of ${DYE_CLASSES.join(', ')}.` })
    .default('unknown'),
  /** Grams of one level teaspoon, weighed on the studio's scale; null until it has been. */
  gramsPerTeaspoon: quantity('dyeMass').nullable().default(null),
  /** The dye's color on undyed wool at `swatchDosPercent`, for drawing only. */
  swatchHex: hexSchema,
  swatchDosPercent: quantity('dos').default(1),
  /** Strength of the jar in use against standard; 1 is standard. */
  lotStrength: z
    .number({ error: 'Lot strength must be a number; standard is 1.' })
    .gt(0, { error: 'Lot strength must be more than zero; standard is 1.' })
    .lte(5, { error: 'Lot strength cannot be over 5; standard is 1.' })
    .default(1),
  /** What a jar of powder cost, in cents of the studio's currency; null when not known. */
  jarPriceCents: z
    .int({ error: 'A price must be whole cents.' })
    .min(0, { error: 'A price cannot be negative.' })
    .nullable()
    .default(null),
  jarGrams: quantity('dyeMass').nullable().default(null),
  /** For a premix: the powders in it, in parts by mass; empty for a single dye. A premix may hold premixes. */
  madeOf: z
    .array(z.strictObject({ dyeId: idSchema, parts: quantity('parts') }))
    .max(12, { error: 'A premix can have at most 12 powders.' })
    .default([]),
  behavior: behaviorSchema.default(UNKNOWN_BEHAVIOR),
  note: noteSchema.default(''),
  retired: z.boolean().default(false),
});

export type Dye = z.infer<typeof dyeSchema>;
