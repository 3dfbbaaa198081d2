import { z } from 'zod';
import { idSchema, instantSchema, noteSchema } from '../shelf/common';
import { quantity } from '../shelf/quantitySchema';
import { CAUTION_NAMES } from '../recipe/cautionNames';
import { OUTCOMES, STANDINGS } from './words';

const stepIdSchema = z
  .string({ error: 'A step id must be text.' })
  .min(1, { error: 'A step id cannot be empty.' })
  .max(80);
const amountSchema = z
  .number({ error: 'An amount must be a number.' })
  .gt(0, { error: 'An amount poured must be more than zero.' })
  .lte(1e10, { error: 'An amount poured cannot be that large.' });
const unitSchema = z.enum(['mL', 'g'], { error: 'An amount is in mL or g.' });
const asWrittenSchema = z.string().max(100).default('');
const stamp = { id: idSchema, at: instantSchema };

/** What was added beyond the plan. */
const addedMaterialSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('dye'),
    dyeId: idSchema,
    stockId: idSchema.nullable(),
    strengthPercent: quantity('stockStrength').nullable(),
  }),
  z.strictObject({
    kind: z.literal('acid'),
    material: z.enum(['vinegar', 'citric', 'citric solution']),
    strengthPercent: z
      .number()
      .gt(0, { error: 'Acid strength must be more than 0 %.' })
      .lte(100, { error: 'Acid strength cannot be over 100 %.' }),
  }),
  z.strictObject({ kind: z.literal('water') }),
]);

/**
 * One thing that happened to a batch. Entries are only ever added; taking one back is an entry too.
 */
export const entrySchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...stamp, kind: z.literal('begun'), stepId: stepIdSchema }),
  z.strictObject({ ...stamp, kind: z.literal('done'), stepId: stepIdSchema }),
  z.strictObject({
    ...stamp,
    kind: z.literal('poured'),
    stepId: stepIdSchema,
    amount: amountSchema,
    unit: unitSchema,
    asWritten: asWrittenSchema,
  }),
  z.strictObject({
    ...stamp,
    kind: z.literal('added'),
    material: addedMaterialSchema,
    amount: amountSchema,
    unit: unitSchema,
    asWritten: asWrittenSchema,
    note: noteSchema.default(''),
  }),
  z.strictObject({ ...stamp, kind: z.literal('struck'), entryId: idSchema, why: noteSchema.default('') }),
  z.strictObject({
    ...stamp,
    kind: z.literal('checked'),
    of: z.enum(['bath', 'goods', 'rinse', 'dry'], {
      error: 'A check is of the bath, goods, rinse or dry yarn.',
    }),
    reading: z
      .string({ error: 'A reading must be text.' })
      .min(1, { error: 'A check needs a reading.' })
      .max(200),
    temperatureC: quantity('temperature').nullable().default(null),
    ph: quantity('ph').nullable().default(null),
  }),
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
  z.strictObject({
    ...stamp,
    kind: z.literal('closed'),
    outcome: z.enum(OUTCOMES, { error: `An outcome must be one of ${OUTCOMES.join(', ')}.` }),
    standing: z.enum(STANDINGS, { error: `A standing must be one of ${STANDINGS.join(', ')}.` }),
    note: noteSchema.default(''),
  }),
]);

export type Entry = z.infer<typeof entrySchema>;
export type EntryOf<K extends Entry['kind']> = Extract<Entry, { kind: K }>;
export type AddedMaterial = z.infer<typeof addedMaterialSchema>;
