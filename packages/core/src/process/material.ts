import { z } from 'zod';
import { acidMaterialSchema } from '../materials/acidSchema';
import { idSchema } from '../shelf/common';

/** Strength as a number that a label carries: above zero, at most 100. */
const strengthSchema = z
  .number({ error: 'A strength must be a number in %.' })
  .gt(0, { error: 'A strength must be more than 0 %.' })
  .lte(100, { error: 'A strength cannot be over 100 %.' });

/** What goes in, with everything its amount means: a record of it needs nothing else to be read. */
export const materialSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({
      kind: z.literal('dye'),
      dyeId: idSchema,
      /** The jar it comes from; null for powder, and for stock nobody keeps a jar of. */
      stockId: idSchema.nullable(),
      /** Of the liquid as it goes in, % w/v; null for powder. */
      strengthPercent: strengthSchema.nullable(),
      /** Strength of the powder against standard; 1 is standard. */
      lotStrength: z
        .number({ error: 'Lot strength must be a number; standard is 1.' })
        .gt(0, { error: 'Lot strength must be more than zero; standard is 1.' })
        .lte(5, { error: 'Lot strength cannot be over 5; standard is 1.' }),
    }),
    z.strictObject({
      kind: z.literal('acid'),
      acid: acidMaterialSchema,
      /** Liquids: g per 100 mL; crystals: % pure. */
      strengthPercent: strengthSchema,
    }),
    z.strictObject({ kind: z.literal('ice') }),
    z.strictObject({ kind: z.literal('wetting agent') }),
  ],
  { error: 'A material must be a dye, an acid, ice or a wetting agent.' },
);

export type Material = z.infer<typeof materialSchema>;
