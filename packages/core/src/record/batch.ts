import { z } from 'zod';
import { codeSchema, idSchema, instantSchema, nameSchema } from '../shelf/common';
import { formulationSchema } from '../recipe/recipe';
import { cardSchema } from './card';
import { eventSchema } from './event';

/** A batch: what was decided, the card as it stood when the dyeing began, and everything that happened since. */
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
  card: cardSchema,
  events: z.array(eventSchema).default([]),
});

export type Batch = z.infer<typeof batchSchema>;
/** A batch without its events: what is known of it from the moment it begins. */
export type BegunBatch = Omit<Batch, 'events'>;
