import { z } from 'zod';
import { quantity } from './quantitySchema';

/** The floor of a vessel. */
export const panSchema = z.discriminatedUnion(
  'shape',
  [
    z.strictObject({
      shape: z.literal('rectangular'),
      lengthCm: quantity('length'),
      widthCm: quantity('length'),
    }),
    z.strictObject({ shape: z.literal('round'), diameterCm: quantity('length') }),
  ],
  { error: 'A floor is rectangular or round.' },
);

export type Pan = z.infer<typeof panSchema>;
