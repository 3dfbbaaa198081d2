import { z } from 'zod';
import { codeSchema, idSchema, instantSchema, nameSchema } from '../shelf/common';
import { formulationSchema, recipeSchema } from '../recipe/recipe';
import { begunPassSchema } from './alter/alterationSchema';
import { cardSchema } from './card';
import { eventSchema } from './event';
import { loadSchema } from './loadSchema';

/** What a batch was begun from. A pass that got no dye, or that nobody planned, has none. */
export const begunFromSchema = formulationSchema.extend({
  recipe: recipeSchema.extend({
    passes: z.array(begunPassSchema).max(12, { error: 'A batch can have at most 12 passes.' }),
  }),
});

/** A batch: what was decided, the card as it stood when the dyeing began, and everything that happened since. */
export const batchSchema = z.strictObject({
  id: idSchema,
  code: codeSchema.default(''),
  name: nameSchema,
  colorwayId: idSchema.nullable().default(null),
  colorwayVersion: z.int().min(1).nullable().default(null),
  /** The batch this one repeats. */
  againOf: idSchema.nullable().default(null),
  /** Which load of an order it is; null for a batch by itself. */
  loadOf: loadSchema.nullable().default(null),
  startedAt: instantSchema,
  formulation: begunFromSchema,
  card: cardSchema,
  events: z.array(eventSchema).default([]),
});

export type Batch = z.infer<typeof batchSchema>;
/** A batch without its events: what is known of it from the moment it begins. */
export type BegunBatch = Omit<Batch, 'events'>;
