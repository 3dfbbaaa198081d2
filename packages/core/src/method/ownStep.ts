import { z } from 'zod';
import { idSchema } from '../shelf/common';
import { quantity } from '../shelf/quantitySchema';

/** One step of an own way. It names lines and shares, never grams, so that it can be scaled. */
export const ownStepSchema = z.discriminatedUnion(
  'do',
  [
    /** A part of the water of the pass. */
    z.strictObject({ do: z.literal('water'), sharePercent: quantity('sharePercent') }),
    /** A dose of one dye line, or of each: a line goes in in as many equal doses as there are steps for it. */
    z.strictObject({ do: z.literal('dye'), lineId: idSchema.nullable() }),
    /** An acid dose of the pass; several steps share it equally. */
    z.strictObject({ do: z.literal('acid'), acidId: idSchema }),
    /** Goods in, all of them or a part of their length. */
    z.strictObject({ do: z.literal('goods in'), sharePercent: quantity('sharePercent') }),
    z.strictObject({ do: z.literal('lift') }),
    z.strictObject({ do: z.literal('turn') }),
    z.strictObject({ do: z.literal('re-tie') }),
    z.strictObject({ do: z.literal('rinse') }),
    z.strictObject({ do: z.literal('heat'), temperatureC: quantity('temperature') }),
    z.strictObject({ do: z.literal('hold'), minutes: quantity('minutes'), untilClear: z.boolean() }),
    z.strictObject({ do: z.literal('stand'), minutes: quantity('minutes'), untilClear: z.boolean() }),
  ],
  { error: 'A step of an own way must say what to do, such as { "do": "lift" }.' },
);
export type OwnStep = z.infer<typeof ownStepSchema>;
export type OwnStepKind = OwnStep['do'];
