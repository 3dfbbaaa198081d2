import { z } from 'zod';
import { OUTCOMES, STANDINGS } from '../record/words';
import { idSchema, instantSchema } from '../shelf/common';

/** What the Book can be put in order by. */
export const BOOK_ORDERS = ['startedAt', 'name', 'wogGrams', 'dosPercent', 'outcome', 'standing'] as const;
export type BookOrder = (typeof BOOK_ORDERS)[number];

const count = (name: string) => z.coerce.number({ error: `${name} must be a number.` });
const part = (name: string) =>
  count(name)
    .min(0, { error: `${name} cannot be negative.` })
    .max(1e6, { error: `${name} cannot be over 1,000,000.` });

const searchSchema = z
  .string({ error: 'A search is one text.' })
  .max(200, { error: 'A search has at most 200 characters.' })
  .default('');

/** GET /api/find */
export const findQuerySchema = z.object({ q: searchSchema });

/** What the Book is narrowed to; all that is given must hold. Masses in g, depths in % on weight of goods, ends counted in. */
export const bookFilterSchema = z.object({
  /** Words, each found at the beginning of a word of name, code, goods, dyes, verdict or its note. */
  q: searchSchema,
  /** Begun at this moment or later. */
  from: instantSchema.optional(),
  /** Begun before this moment. */
  before: instantSchema.optional(),
  colorway: idSchema.optional(),
  base: idSchema.optional(),
  /** A dye that went in. */
  dye: idSchema.optional(),
  /** How it came out; `wet` for those not closed yet. */
  verdict: z
    .enum([...OUTCOMES, 'wet'], { error: `verdict must be one of ${OUTCOMES.join(', ')} or wet.` })
    .optional(),
  standing: z.enum(STANDINGS, { error: `standing must be one of ${STANDINGS.join(', ')}.` }).optional(),
  massFrom: part('massFrom').optional(),
  massTo: part('massTo').optional(),
  depthFrom: part('depthFrom').optional(),
  depthTo: part('depthTo').optional(),
});
export type BookFilter = z.infer<typeof bookFilterSchema>;

/** GET /api/batches */
export const bookQuerySchema = bookFilterSchema.extend({
  order: z
    .enum(BOOK_ORDERS, { error: `order must be one of ${BOOK_ORDERS.join(', ')}.` })
    .default('startedAt'),
  way: z.enum(['up', 'down'], { error: 'way must be up or down.' }).default('down'),
  offset: count('offset').int().min(0, { error: 'offset cannot be negative.' }).default(0),
  limit: count('limit')
    .int()
    .min(1, { error: 'limit must be at least 1.' })
    .max(200, { error: 'limit cannot be over 200.' })
    .default(60),
});
export type BookQuery = z.infer<typeof bookQuerySchema>;
