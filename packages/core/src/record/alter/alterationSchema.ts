import { z } from 'zod';
import { roleSchema } from '../../process/act';
import { dyeLineSchema, goodsLineSchema, heatSetSchema, passSchema } from '../../recipe/recipe';
import { baseSchema } from '../../shelf/base';
import { idSchema } from '../../shelf/common';
import { dyeSchema } from '../../shelf/dye';
import { potSchema } from '../../shelf/pot';
import { stockSchema } from '../../shelf/stock';
import { cardActSchema, cardPassSchema } from '../card';
import { ALTERED_FOR } from './alteredFor';

/** A pass of a batch; one that got no dye, or that nobody planned, has none. */
export const begunPassSchema = passSchema.extend({
  dyes: z.array(dyeLineSchema).max(24, { error: 'A pass can have at most 24 dyes.' }),
});

const lines = z.array(cardActSchema).max(4000);

/**
 * A change of the acts that are still to come. Complete in itself: what leaves is told in full, so that the record can be
 * read without the card it was made from.
 */
export const alterationSchema = z.strictObject({
  why: z.enum(ALTERED_FOR, { error: `A card is changed for one of ${ALTERED_FOR.join(', ')}.` }),
  /** What it is about: the line, pass, goods or vessel, in the words of whoever made it; empty where the lines say it. */
  about: z.string().max(200),
  /** By how much a wait was made longer; null for any other change. */
  minutes: z.number().gt(0, { error: 'A wait is made longer by more than no time.' }).max(100_000).nullable(),
  /** Lines that are not to be done. */
  out: lines,
  /** Lines that are to be done otherwise, under the ids they have. */
  instead: lines,
  /** Lines that come in, in order; one that is on the card moves here. */
  lines,
  /** The line they come before; null: after all. */
  before: roleSchema.nullable(),
  /** Passes that come in, each before another one; null: after all. */
  passes: z
    .array(z.strictObject({ pass: begunPassSchema, card: cardPassSchema, before: idSchema.nullable() }))
    .max(12),
  /** Goods that come in, with their bases. */
  goods: z.array(goodsLineSchema).max(24),
  bases: z.array(baseSchema).max(24),
  dyes: z.array(dyeSchema).max(48),
  stocks: z.array(stockSchema).max(48),
  /** The vessel on the shelf that it goes on in; null: as before. */
  pot: potSchema.nullable(),
  /** How it is set from now on; null: as before. */
  set: heatSetSchema.nullable(),
});

export type Alteration = z.infer<typeof alterationSchema>;
