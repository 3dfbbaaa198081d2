import { z } from 'zod';
import { idSchema } from '../shelf/common';
import { quantity } from '../shelf/quantitySchema';

const evenRecipeSchema = z.strictObject({
  baseId: idSchema,
  dyes: z
    .array(
      z.strictObject({
        dyeId: idSchema,
        dosPercent: quantity('dos'),
        pass: z.int({ error: 'A pass is a whole number.' }).min(0),
      }),
    )
    .min(1, { error: 'Name at least one dye.' })
    .max(100, { error: 'At most 100 dyes.' }),
});

/** GET /api/colors/expected: an even recipe as JSON text. */
export const expectedQuerySchema = z.object({
  recipe: z
    .string({ error: 'The recipe is JSON text.' })
    .transform((text, context): unknown => {
      try {
        return JSON.parse(text) as unknown;
      } catch {
        context.addIssue({ code: 'custom', message: 'The recipe is no JSON.' });
        return z.NEVER;
      }
    })
    .pipe(evenRecipeSchema),
});
