import { z } from 'zod';
import { codeSchema, idSchema, instantSchema, nameSchema } from '../shelf/common';
import { formulationSchema } from '../recipe/recipe';
import { entrySchema } from './entry';

/** A batch: the formulation as it stood when the dyeing began, and everything that happened since. */
export const batchSchema = z.strictObject({
  id: idSchema,
  code: codeSchema.default(''),
  name: nameSchema,
  colorwayId: idSchema.nullable().default(null),
  colorwayVersion: z.int().min(1).nullable().default(null),
  /** The batch this one repeats. */
  againOf: idSchema.nullable().default(null),
  startedAt: instantSchema,
  formulation: formulationSchema,
  entries: z.array(entrySchema).default([]),
});

export type Batch = z.infer<typeof batchSchema>;
