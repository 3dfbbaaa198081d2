import { z } from 'zod';
import { quantity } from '../shelf/quantitySchema';

/** How much dye, in the terms of the school it was said in. */
export const dyeEntrySchema = z.discriminatedUnion(
  'school',
  [
    z.strictObject({ school: z.literal('depth'), percent: quantity('dos') }),
    z.strictObject({ school: z.literal('grams'), grams: quantity('dyeMass') }),
    z.strictObject({ school: z.literal('stock'), milliliters: quantity('volume') }),
    z.strictObject({ school: z.literal('stock spoons'), teaspoons: quantity('teaspoons') }),
    z.strictObject({ school: z.literal('powder spoons'), teaspoons: quantity('teaspoons') }),
    z.strictObject({ school: z.literal('parts'), parts: quantity('parts') }),
    z.strictObject({ school: z.literal('print'), inkPercent: quantity('inkPercent') }),
  ],
  { error: 'How much dye must be a depth, grams, stock, stock spoons, powder spoons, parts or print.' },
);

export type DyeEntry = z.infer<typeof dyeEntrySchema>;
export type School = DyeEntry['school'];
