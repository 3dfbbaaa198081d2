import { z } from 'zod';
import { acidMaterialSchema } from '../materials/acidSchema';
import { actSchema, roleSchema } from '../process/act';
import { CAUTION_NAMES } from '../materials/cautionNames';
import { METHOD_KINDS } from '../method';
import { idSchema } from '../shelf/common';
import { CARD_VERSION } from './cardVersion';

/** One act of the card: what was to be done, with what, and what it was meant to come to. No sentences. */
export const cardActSchema = z.strictObject({
  /** From the act's role in the recipe; events name it, nobody takes it apart. */
  id: roleSchema,
  act: actSchema,
  /** An act that goes without saying: no line of its own, done with the one it stands beside. */
  quiet: z.boolean(),
  /** What it is measured with. */
  tool: z.strictObject({ name: z.string().max(80), fills: z.int().min(1).max(10_000) }).nullable(),
  /** For a working dilution: what the vessel is made up to, mL, and the tool for that. */
  madeUp: z.strictObject({ ml: z.number().gt(0), tool: z.string().max(80) }).nullable(),
  /** Grams of powder the recipe asked for here, before any rounding to a tool. */
  askedGrams: z.number().gte(0).nullable(),
  /** True where the minutes are a model's guess, not a decision. */
  estimated: z.boolean(),
  /** Which of how many equal doses this is. */
  dose: z.strictObject({ nth: z.int().min(1), of: z.int().min(1) }).nullable(),
  cautions: z.array(z.enum(CAUTION_NAMES)),
});

/** A pass as it was planned when the batch began. */
export const cardPassSchema = z.strictObject({
  id: idSchema,
  kind: z.enum(METHOD_KINDS),
  /** Dry goods it reaches, g. */
  goodsGrams: z.number().gt(0),
  /** The finished bath, mL. */
  bathMl: z.number().gte(0),
  /** True when it goes on in the bath of the pass before. */
  keepsBath: z.boolean(),
  /** Part of the bath of the pass before that goes on into it, mL. */
  takesOverMl: z.number().gte(0).default(0),
  /** Pure acid that such a bath brings along. */
  acidsBefore: z.array(
    z.strictObject({
      material: acidMaterialSchema,
      pureGrams: z.number().gte(0),
    }),
  ),
  /** pH usual for its dyes, low and high. */
  phWindow: z.tuple([z.number(), z.number()]),
});

/**
 * The card of a batch: its steps as they stood when it began, as acts. It never changes, and nothing of a record is
 * planned anew: what a newer Ythrion would plan differently leaves it as it is.
 */
export const cardSchema = z.strictObject({
  version: z.literal(CARD_VERSION, { error: `A card must be of version ${CARD_VERSION}.` }),
  acts: z.array(cardActSchema).max(4000),
  passes: z.array(cardPassSchema).max(12),
  /** True for a batch that was put down from memory or from an old notebook: its figures are no measurements. */
  remembered: z.boolean().default(false),
});

export type CardAct = z.infer<typeof cardActSchema>;
export type CardPass = z.infer<typeof cardPassSchema>;
export type Card = z.infer<typeof cardSchema>;
