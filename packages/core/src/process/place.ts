import { z } from 'zod';
import { idSchema } from '../shelf/common';

/** The directions in which goods have places. On one axis places overlap by their intervals; axes are independent. */
export const AXES = ['around', 'along', 'layer'] as const;

const share = z
  .number({ error: 'A place is a share from 0 to 1.' })
  .min(0, { error: 'A place cannot begin before 0.' })
  .max(1, { error: 'A place cannot end after 1.' });

const stretch = {
  axis: z.enum(AXES, { error: `A place lies ${AXES.join(', ')}.` }),
  from: share,
  to: share,
};
const inOrder = ({ from, to }: { from: number; to: number }): boolean => from < to;
const IN_ORDER = { path: ['to'], error: 'A place must end after it begins.' };

/** A stretch of an axis, as shares of its whole. */
export const intervalSchema = z.strictObject(stretch).refine(inOrder, IN_ORDER);

/** A place on the goods. `piece` null: the same stretch of every piece. */
export const placeSchema = z
  .strictObject({ piece: idSchema.nullable(), ...stretch })
  .refine(inOrder, IN_ORDER);

export type Place = z.infer<typeof placeSchema>;
