import { z } from 'zod';
import { againSchema } from '../record/again/again';
import { eventSchema } from '../record/event';
import { formulationSchema, recipeSchema } from '../recipe/recipe';
import { idSchema, nameSchema } from '../shelf/common';
import { batchSchema } from '../record/batch';

/** POST /api/batches: begin a batch. The server gives the code and writes the card. */
export const beginBatchSchema = batchSchema
  .omit({ events: true, code: true, card: true })
  .extend({ formulation: formulationSchema });
export type BeginBatch = z.infer<typeof beginBatchSchema>;

/** POST /api/batches/:id/again: dye the record of a batch again. The server maps its acts. */
export const dyeAgainSchema = batchSchema
  .pick({ id: true, name: true, startedAt: true })
  .extend({ to: againSchema });
export type DyeAgainRequest = z.infer<typeof dyeAgainSchema>;

/** POST /api/batches/open: begin a batch without a plan, with goods and a vessel. */
export const openBatchSchema = batchSchema.pick({ id: true, startedAt: true }).extend({
  name: nameSchema.default('Not named yet'),
  goods: recipeSchema.shape.goods,
  potId: idSchema.nullable().default(null),
  /** The earlier batch that goods come from, by their line. */
  from: z.record(idSchema, idSchema).default({}),
  /** True for one that is put down from an old notebook. */
  remembered: z.boolean().default(false),
  /** A running batch whose bath it is begun in, and the event by which that leaves it. */
  liquidFrom: z.strictObject({ batch: idSchema, event: eventSchema }).nullable().default(null),
});
export type OpenBatchRequest = z.infer<typeof openBatchSchema>;

/** POST /api/instruments/scale/hand: what the simulated hand lays on the scale, or null to clear it. */
export const handSchema = z.object({
  grams: z
    .number({ error: 'A hand lays grams on the scale.' })
    .min(-200, { error: 'A hand takes at most 200 g off at once.' })
    .max(200, { error: 'A hand lays at most 200 g on at once.' })
    .nullable(),
});
