import { z } from 'zod';
import { idSchema } from '../../shelf/common';
import { eventSchema } from '../event';

/** A mixing cup with its record. */
export const cupRecordSchema = z
  .strictObject({ id: idSchema, events: z.array(eventSchema).min(1, { error: 'A cup has a record.' }) })
  .refine(({ id, events }) => events.every(({ of }) => of.kind === 'vessel' && of.id === id), {
    path: ['events'],
    error: 'The record of a cup holds its own events only.',
  });
