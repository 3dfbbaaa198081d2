import { z } from 'zod';
import { idSchema, nameSchema, noteSchema } from './common';
import { TOOL_KINDS } from './toolKinds';
import { quantity } from './quantitySchema';

/** Something to measure with. Capacity and graduation are in mL, a scale's in g. */
export const toolSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    kind: z.enum(TOOL_KINDS, { error: `A tool must be one of ${TOOL_KINDS.join(', ')}.` }).default('syringe'),
    capacity: quantity('toolCapacity'),
    /** The smallest step it can be read to; of a spoon, how closely a level spoon repeats. */
    graduation: quantity('graduation'),
    note: noteSchema.default(''),
    retired: z.boolean().default(false),
  })
  .refine((tool) => tool.graduation <= tool.capacity, {
    path: ['graduation'],
    error: 'The graduation cannot be larger than what the tool holds.',
  });

export type Tool = z.infer<typeof toolSchema>;
