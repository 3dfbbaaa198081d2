import { z } from 'zod';
import { idSchema, nameSchema, noteSchema } from '../shelf/common';
import { passSchema } from './recipe';

/** A pass kept to be used again in other colorways. */
export const patternSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  pass: passSchema,
  note: noteSchema.default(''),
  retired: z.boolean().default(false),
});

export type Pattern = z.infer<typeof patternSchema>;
