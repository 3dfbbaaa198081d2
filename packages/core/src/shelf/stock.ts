import { z } from 'zod';
import { codeSchema, daySchema, idSchema, noteSchema } from './common';
import { quantity } from './quantitySchema';

/** A jar of stock solution: one dye at one strength. */
export const stockSchema = z.strictObject({
  id: idSchema,
  code: codeSchema.default(''),
  dyeId: idSchema,
  strengthPercent: quantity('stockStrength'),
  /** What the jar held when it was made, mL. */
  volumeMl: quantity('volume'),
  madeOn: daySchema.nullable().default(null),
  /** The lot of powder it was made from. */
  lot: codeSchema.default(''),
  /** What the scale settled on when it was made, g; null when nobody noted it. */
  weighedGrams: quantity('dyeMass').nullable().default(null),
  note: noteSchema.default(''),
  retired: z.boolean().default(false),
});

export type Stock = z.infer<typeof stockSchema>;
