import { z } from 'zod';
import { BANDS, FIRST_NM, LAST_NM, STEP_NM } from '../units/bands';
import { labSchema, srgbSchema } from './colorSchema';
import { idSchema, noteSchema } from './common';
import { quantity } from './quantitySchema';

const partOfLight = z
  .number({ error: 'A reflectance must be a number from 0 to 1.' })
  .min(0, { error: 'A reflectance is from 0 to 1.' })
  .max(1, { error: 'A reflectance is from 0 to 1; readings in percent are divided by 100 first.' });

/** A color as it was measured: read by an instrument, said as Lab (D65, 10°), or picked from a screen. */
const measuredColorSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({
      kind: z.literal('reflectance'),
      reflectance: z
        .array(partOfLight, { error: 'A reflectance is a list of numbers from 0 to 1.' })
        .length(BANDS, {
          error: `A reflectance has ${BANDS} values, from ${FIRST_NM} to ${LAST_NM} nm in steps of ${STEP_NM}.`,
        }),
    }),
    z.strictObject({ kind: z.literal('lab'), lab: labSchema }),
    z.strictObject({ kind: z.literal('srgb'), srgb: srgbSchema }),
  ],
  { error: 'A measured color is one of reflectance, lab, srgb.' },
);

/** A piece of a base that was dyed, or not, and measured: what the colors of dyes are found from. */
export const sampleSchema = z.strictObject({
  id: idSchema,
  baseId: idSchema,
  /** What it was dyed with, from one bath; nothing for the base as it comes. */
  dyes: z
    .array(z.strictObject({ dyeId: idSchema, dosPercent: quantity('dos') }))
    .max(12, { error: 'A sample can have at most 12 dyes.' })
    .refine((dyes) => new Set(dyes.map(({ dyeId }) => dyeId)).size === dyes.length, {
      error: 'A dye is named twice; add its depths up.',
    })
    .default([]),
  color: measuredColorSchema,
  /** True where nobody dyed it: it was made up, to show what samples are good for. */
  invented: z.boolean({ error: 'Invented is true or false.' }).default(false),
  note: noteSchema.default(''),
  retired: z.boolean().default(false),
});

export type Sample = z.infer<typeof sampleSchema>;
