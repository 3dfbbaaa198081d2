import { z } from 'zod';
import { codeSchema, hexSchema, idSchema, nameSchema, noteSchema } from './common';
import { FIBER_NAMES } from './fibers';
import { FORMS } from './forms';
import { quantity } from './quantitySchema';

const fiberShareSchema = z.strictObject({
  fiber: z.enum(FIBER_NAMES, { error: `A fiber must be one of ${FIBER_NAMES.join(', ')}.` }),
  percent: quantity('fiberPercent'),
});

/** A yarn base: what the studio buys undyed. */
export const baseSchema = z.strictObject({
  id: idSchema,
  code: codeSchema.default(''),
  name: nameSchema,
  fibers: z
    .array(fiberShareSchema)
    .min(1, { error: 'A base needs at least one fiber.' })
    .refine((shares) => Math.abs(shares.reduce((sum, share) => sum + share.percent, 0) - 100) < 0.01, {
      error: (issue) => {
        const total = (issue.input as { percent: number }[]).reduce((sum, share) => sum + share.percent, 0);
        return `The fibers must add up to 100 %; these add up to ${Number(total.toFixed(2))} %.`;
      },
    }),
  superwash: z.boolean().default(false),
  form: z.enum(FORMS, { error: `A form must be one of ${FORMS.join(', ')}.` }).default('skein'),
  putUpGrams: quantity('fiberMass'),
  /** Color of the undyed goods on screen. */
  hex: hexSchema.default('#efe9dc'),
  note: noteSchema.default(''),
  retired: z.boolean().default(false),
});

export type FiberShare = z.infer<typeof fiberShareSchema>;
export type Base = z.infer<typeof baseSchema>;
