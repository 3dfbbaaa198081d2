import { z } from 'zod';
import { idSchema, nameSchema } from '../shelf/common';
import { quantity } from '../shelf/quantitySchema';

/** One section of a painted hank or one stripe of a painted blank. */
export const sectionSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** Share of the goods, %. */
  sharePercent: quantity('sharePercent'),
});

export const sectionsSchema = z
  .array(sectionSchema)
  .min(1, { error: 'Painting needs at least one section.' })
  .max(12, { error: 'Painting can have at most 12 sections.' })
  .refine((sections) => sections.reduce((sum, section) => sum + section.sharePercent, 0) < 100.01, {
    error: 'The sections come to more than 100 % of the goods.',
  });

export const panSchema = z.discriminatedUnion('shape', [
  z.strictObject({
    shape: z.literal('rectangular'),
    lengthCm: quantity('length'),
    widthCm: quantity('length'),
  }),
  z.strictObject({ shape: z.literal('round'), diameterCm: quantity('length') }),
]);

export type Section = z.infer<typeof sectionSchema>;
export type Pan = z.infer<typeof panSchema>;

/** Base of a pan, cm². */
export const panArea = (pan: Pan): number =>
  pan.shape === 'round' ? (Math.PI * pan.diameterCm ** 2) / 4 : pan.lengthCm * pan.widthCm;
