import { z } from 'zod';
import { LONGEST_SAID } from '../units/parseQuantity';
import { actSchema, roleSchema } from '../process/act';
import { CAUTION_NAMES } from '../materials/cautionNames';
import { dyeSchema } from '../shelf/dye';
import { stockSchema } from '../shelf/stock';
import { idSchema, instantSchema, nameSchema, noteSchema } from '../shelf/common';
import { alterationSchema } from './alter/alterationSchema';
import { EVENT_VERSION } from './eventVersion';
import { OUTCOMES, STANDINGS } from './words';

/** Whose record an event is part of: a batch, or a vessel that has none (a cup or jar that outlives batches). */
const ownerSchema = z.strictObject({
  kind: z.enum(['batch', 'vessel'], { error: 'An event belongs to a batch or to a vessel.' }),
  id: idSchema,
});

/** When, where and by whom an event was made. */
const stamp = {
  version: z.literal(EVENT_VERSION, { error: `An event must be of version ${EVENT_VERSION}.` }),
  id: idSchema,
  of: ownerSchema,
  /** The instant it counts by, corrected to the studio's clock. */
  at: instantSchema,
  /** The device's own clock, as it stood. */
  clockAt: instantSchema,
  device: idSchema,
  /** The device's own count of its events, from 1. */
  count: z.int({ error: 'A device counts its events in whole numbers.' }).min(1),
  person: z.string().trim().max(80).nullable(),
};

/** Places of a map along one side. */
const sideSchema = z
  .int({ error: 'A map has whole numbers of places.' })
  .min(1, { error: 'The places of a map are counted from 1.' })
  .max(12, { error: 'A map has at most 12 places along a side.' });

/** What was typed, as it was typed; empty where a key said it. */
const writtenSchema = z.string().max(LONGEST_SAID);
const cupShareSchema = z
  .number({ error: 'A share must be a number from 0 to 1.' })
  .gt(0, { error: 'A share must be more than nothing.' })
  .lte(1, { error: 'A share cannot be more than the whole cup.' });
const plannedSchema = roleSchema.nullable();

/**
 * One thing that happened, complete in itself: no plan is needed to read it. Events are only ever added; taking one
 * back is an event too.
 */
export const eventSchema = z.discriminatedUnion(
  'kind',
  [
    /** An act as it really was. `planned` names the act of the card that it does; null for what nobody planned. */
    z.strictObject({
      ...stamp,
      kind: z.literal('act'),
      planned: plannedSchema,
      act: actSchema,
      written: writtenSchema,
      note: noteSchema,
    }),
    /** The clock of a wait was started. The act itself follows as an event of its own when it is over. */
    z.strictObject({ ...stamp, kind: z.literal('begun'), planned: plannedSchema, act: actSchema }),
    z.strictObject({ ...stamp, kind: z.literal('struck'), event: idSchema, why: noteSchema }),
    z.strictObject({
      ...stamp,
      kind: z.literal('acknowledged'),
      caution: z.enum(CAUTION_NAMES, { error: `A caution must be one of ${CAUTION_NAMES.join(', ')}.` }),
    }),
    z.strictObject({
      ...stamp,
      kind: z.literal('noted'),
      text: noteSchema.min(1, { error: 'A note cannot be empty.' }),
    }),
    /** What is still to come was changed at the pot. */
    z.strictObject({ ...stamp, kind: z.literal('altered'), change: alterationSchema }),
    /** A share of a cup went somewhere: into a batch, whose own record says what that was, or down the drain. */
    z.strictObject({
      ...stamp,
      kind: z.literal('poured'),
      share: cupShareSchema,
      batch: idSchema.nullable(),
      /** Where to, in words. */
      into: z.string().max(200),
      /** The entries by which it came into the batch: they are taken back with this one. */
      entries: z.array(idSchema).max(60),
    }),
    /** A share of a cup was kept: as a jar, a powder, or both of one color. */
    z.strictObject({
      ...stamp,
      kind: z.literal('kept'),
      share: cupShareSchema,
      /** The powder it comes to; null where it is one that stands on the shelf already. */
      dye: dyeSchema.nullable(),
      /** Null for dry powder. */
      stock: stockSchema.nullable(),
    }),
    /** Who lies where in a pan or on a tray, as it was drawn. */
    z.strictObject({
      ...stamp,
      kind: z.literal('mapped'),
      columns: sideSchema,
      rows: sideSchema,
      cells: z.array(z.strictObject({ column: sideSchema, row: sideSchema, goods: idSchema })).max(144),
    }),
    /** How a line of goods came out, or the piece of it that lay on one place of the map. */
    z.strictObject({
      ...stamp,
      kind: z.literal('came out'),
      goods: idSchema,
      cell: z.strictObject({ column: sideSchema, row: sideSchema }).nullable(),
      outcome: z.enum(OUTCOMES, { error: `An outcome must be one of ${OUTCOMES.join(', ')}.` }),
      note: noteSchema,
    }),
    /** It is an attempt at a color that somebody looks for. */
    z.strictObject({ ...stamp, kind: z.literal('sought'), color: idSchema }),
    /** A batch that was begun without a name gets one, or another. */
    z.strictObject({ ...stamp, kind: z.literal('named'), name: nameSchema }),
    /** The answer to a question that the record asked. */
    z.strictObject({
      ...stamp,
      kind: z.literal('answered'),
      question: roleSchema,
      answer: z.string().min(1, { error: 'An answer cannot be empty.' }).max(200),
    }),
    z.strictObject({
      ...stamp,
      kind: z.literal('closed'),
      outcome: z.enum(OUTCOMES, { error: `An outcome must be one of ${OUTCOMES.join(', ')}.` }),
      standing: z.enum(STANDINGS, { error: `A standing must be one of ${STANDINGS.join(', ')}.` }),
      note: noteSchema,
    }),
  ],
  { error: 'An event must name its kind, such as { "kind": "noted" }.' },
);

export type Event = z.infer<typeof eventSchema>;
export type EventOf<K extends Event['kind']> = Extract<Event, { kind: K }>;
