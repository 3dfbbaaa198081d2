import { z } from 'zod';
import { hexSchema, idSchema, nameSchema, noteSchema } from './common';

/** A color that somebody looks for: a colorway not yet found. Its attempts are the batches and cups that say so. */
export const soughtSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** What is looked for, in words. */
  words: noteSchema.default(''),
  /** The same as a picked color; null where nobody picked one. */
  hex: hexSchema.nullable().default(null),
  /** The colorway that it was found as; null while it is looked for. */
  foundAs: idSchema.nullable().default(null),
  retired: z.boolean().default(false),
});

export type Sought = z.infer<typeof soughtSchema>;
