import { z } from 'zod';
import { idSchema, nameSchema } from '../shelf/common';
import { MOST_BASES, type OrderLine } from './load';

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
    bases: z
      .strictObject({
        here: idSchema,
        lines: z
          .array(z.strictObject({ baseId: idSchema, pieces: whole('The pieces of an order on one base') }))
          .min(1)
          .max(MOST_BASES, { error: `An order can be on at most ${MOST_BASES} bases.` }),
      })
      .optional(),
  })
  .refine(({ count, pieces }) => count <= pieces, {
    path: ['count'],
    error: 'A load cannot have more pieces than its order.',
  })
  .refine(({ bases, pieces }) => !bases || sumOf(bases.lines) === pieces, {
    path: ['bases'],
    error: 'The pieces by their bases must come to those of the order.',
  })
  .refine(({ bases }) => !bases || isEachOnce(bases.lines), {
    path: ['bases'],
    error: 'A base can stand in an order only once.',
  })
  .refine(
    ({ bases, count }) =>
      !bases || bases.lines.some((one) => one.baseId === bases.here && count <= one.pieces),
    {
      path: ['bases'],
      error: 'A load is on one of the bases of its order, and has no more pieces than were asked of it.',
    },
  );

const sumOf = (lines: readonly OrderLine[]): number => lines.reduce((sum, { pieces }) => sum + pieces, 0);

const isEachOnce = (lines: readonly OrderLine[]): boolean =>
  new Set(lines.map(({ baseId }) => baseId)).size === lines.length;
