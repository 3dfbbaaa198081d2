import { z } from 'zod';

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
const labSchema = z
  .tuple(
    [
      number('L must be a number.')
        .min(0, { error: 'L is from 0 to 100.' })
        .max(100, { error: 'L is from 0 to 100.' }),
      number('a must be a number.').min(-200).max(200),
      number('b must be a number.').min(-200).max(200),
    ],
    { error: 'Lab is three numbers: L, a and b.' },
  )
  .describe('CIELAB under D65, 10°');
const byte = number('A channel of sRGB must be a number from 0 to 255.')
  .min(0, { error: 'A channel of sRGB is from 0 to 255.' })
  .max(255, { error: 'A channel of sRGB is from 0 to 255.' });
const srgbSchema = z.tuple([byte, byte, byte], { error: 'sRGB is three numbers from 0 to 255.' });

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
  ],
  { error: 'A request is one of predict, match, correct, depth.' },
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
      .array(z.strictObject({ id: idSchema, samples: z.array(sampleSchema).max(200) }))
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
