import { z } from 'zod';
import { idSchema, nameSchema } from '../shelf/common';

const whole = (what: string) =>
  z
    .int({ error: `${what} is a whole number.` })
    .min(1, { error: `${what} is at least 1.` })
    .max(100_000, { error: `${what} cannot be over 100000.` });

/** Which load of an order a batch is. */
export const loadSchema = z
  .strictObject({
    order: idSchema,
    name: nameSchema,
    pieces: whole('The size of an order'),
    count: whole('The size of a load'),
    load: whole('The number of a load'),
  })
  .refine(({ count, pieces }) => count <= pieces, {
    path: ['count'],
    error: 'A load cannot have more pieces than its order.',
  });
