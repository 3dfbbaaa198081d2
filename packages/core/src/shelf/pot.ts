import { z } from 'zod';
import { idSchema, nameSchema, noteSchema } from './common';
import { quantity } from './quantitySchema';

export const POT_KINDS = ['pot', 'slow cooker', 'pan', 'steamer'] as const;

/** A vessel for dyeing; never goes back to food. */
export const potSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(POT_KINDS, { error: `A vessel must be one of ${POT_KINDS.join(', ')}.` }).default('pot'),
  capacityMl: quantity('volume'),
  note: noteSchema.default(''),
  retired: z.boolean().default(false),
});

export type Pot = z.infer<typeof potSchema>;
