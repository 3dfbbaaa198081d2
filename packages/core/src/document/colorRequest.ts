import { z } from 'zod';
import { labSchema, srgbSchema } from '../shelf/colorSchema';

/** A name of the asker's own. */
const idSchema = z
  .string({ error: 'An id is a text.' })
  .min(1, { error: 'An id has at least one character.' })
  .max(200, { error: 'An id has at most 200 characters.' });

/** Numbers of a document: no NaN, no infinity. */
const number = (error: string) => z.number({ error });

const reflectanceSchema = z
  .array(number('A reflectance must be a number from 0 to 1.'), {
    error: 'A reflectance is a list of numbers from 0 to 1.',
  })
  .min(1)
  .max(1000)
  .describe('31 values from 400 to 700 nm by 10 nm, 0 to 1; other even steps over that range are resampled');
const dosSchema = number('A depth must be a number, % on weight of fiber.')
  .gt(0, { error: 'A depth must be more than 0 %.' })
  .max(100, { error: 'A depth cannot be over 100 %.' });
const dyesSchema = z
  .array(z.strictObject({ id: idSchema, dosPercent: dosSchema }))
  .min(1, { error: 'Name at least one dye.' })
  .max(12, { error: 'At most 12 dyes in one recipe.' })
  .refine((dyes) => new Set(dyes.map(({ id }) => id)).size === dyes.length, {
    error: 'A dye is named twice; add its depths up.',
  });

/** A color that was measured: exactly one way of saying it. */
const exactlyOne =
  (names: readonly string[]) =>
  (value: object): boolean =>
    names.filter((name) => (value as Record<string, unknown>)[name] !== undefined).length === 1;

const said = (names: readonly string[]): { error: string } => ({
  error: `A color is said as exactly one of ${names.join(', ')}.`,
});

const TWO = ['lab', 'reflectance'] as const;
const THREE = ['reflectance', 'lab', 'srgb'] as const;

const targetSchema = z
  .strictObject({ lab: labSchema.optional(), reflectance: reflectanceSchema.optional() })
  .refine(exactlyOne(TWO), said(TWO));

const sampleSchema = z
  .strictObject({
    baseId: idSchema,
    dosPercent: dosSchema,
    reflectance: reflectanceSchema.optional(),
    lab: labSchema.optional(),
    srgb: srgbSchema.optional(),
  })
  .refine(exactlyOne(THREE), said(THREE));

/** A color that somebody picked for a dye that was never measured. */
const swatchSchema = z
  .strictObject({ baseId: idSchema, dosPercent: dosSchema, srgb: srgbSchema })
  .describe('stands for a dye without samples; of low confidence');

const priceSchema = number('A price must be a number.').gt(0, { error: 'A price must be more than 0.' });

const mixtureSchema = z
  .strictObject({
    baseId: idSchema,
    dyes: dyesSchema,
    lab: labSchema.optional(),
    reflectance: reflectanceSchema.optional(),
  })
  .refine(exactlyOne(TWO), said(TWO));

const ids = z.array(idSchema).max(60).default([]);
const pouringSchema = number('The pouring error must be a number in %.')
  .min(0, { error: 'A pouring error is from 0 to 50 %.' })
  .max(50, { error: 'A pouring error is from 0 to 50 %.' })
  .default(3);

const oneRequestSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({
      kind: z.literal('predict'),
      baseId: idSchema,
      dyes: dyesSchema,
      pouringPercent: pouringSchema,
    }),
    z.strictObject({
      kind: z.literal('match'),
      baseId: idSchema,
      target: targetSchema,
      maxDyes: z
        .int({ error: 'The most dyes are a whole number.' })
        .min(1)
        .max(4, { error: 'At most 4 dyes.' })
        .default(3),
      mustUse: ids,
      mustNotUse: ids,
      maxDosPercent: dosSchema.default(4).describe('most of all dyes together'),
      deepest: z
        .array(z.strictObject({ id: idSchema, dosPercent: dosSchema }))
        .max(60)
        .default([])
        .describe('most of single dyes'),
      maxCostPerKg: priceSchema
        .optional()
        .describe('most that the dye for a kilogram of goods may cost, in the currency of the prices'),
      top: z.int().min(1).max(100).default(5),
      pouringPercent: pouringSchema,
    }),
    z.strictObject({
      kind: z.literal('correct'),
      baseId: idSchema,
      target: targetSchema,
      tried: z
        .array(z.strictObject({ dyes: dyesSchema, lab: labSchema }))
        .min(1, { error: 'A correction needs at least one attempt that was measured.' })
        .max(50),
      addOnly: z.boolean({ error: 'Adding only is true or false.' }).default(false),
      pouringPercent: pouringSchema,
    }),
    z.strictObject({ kind: z.literal('depth'), baseId: idSchema, dyeId: idSchema, target: targetSchema }),
    z.strictObject({ kind: z.literal('evidence') }),
  ],
  { error: 'A request is one of predict, match, correct, depth, evidence.' },
);

/** What the color command is asked: everything that was measured, and what is wanted of it. */
export const colorRequestSchema = z.strictObject({
  shelf: z.strictObject({
    bases: z
      .array(
        z
          .strictObject({
            id: idSchema,
            reflectance: reflectanceSchema.optional(),
            lab: labSchema.optional(),
          })
          .refine(exactlyOne(TWO), said(TWO)),
      )
      .min(1, { error: 'The shelf has no base: name at least one, with its color before any dye.' })
      .max(40),
    dyes: z
      .array(
        z.strictObject({
          id: idSchema,
          samples: z.array(sampleSchema).max(200),
          swatch: swatchSchema.optional(),
          pricePerGram: priceSchema.optional(),
        }),
      )
      .min(1, { error: 'The shelf has no dye: name at least one, with samples.' })
      .max(60, { error: 'At most 60 dyes at once.' }),
    mixtures: z.array(mixtureSchema).max(2000).default([]),
  }),
  requests: z.array(oneRequestSchema).max(10_000),
});

export type ColorRequest = z.infer<typeof colorRequestSchema>;
export type OneColorRequest = ColorRequest['requests'][number];

/** The JSON Schema of a request to the color command. */
export const colorRequestJsonSchema = (): object =>
  z.toJSONSchema(colorRequestSchema, { io: 'input', target: 'draft-2020-12' });
