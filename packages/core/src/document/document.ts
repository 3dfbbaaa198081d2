import { z } from 'zod';
import { batchSchema } from '../record/batch';
import { cupRecordSchema } from '../record/cup/cupRecordSchema';
import { colorwaySchema } from '../recipe/recipe';
import { baseSchema } from '../shelf/base';
import { dyeSchema } from '../shelf/dye';
import { potSchema } from '../shelf/pot';
import { sampleSchema } from '../shelf/sample';
import { soughtSchema } from '../shelf/sought';
import { stockSchema } from '../shelf/stock';
import { patternSchema } from '../recipe/pattern';
import { studioSchema } from '../shelf/studio';
import { toolSchema } from '../shelf/tool';
import { idSchema } from '../shelf/common';

/** Version that is written. Older ones are brought to it by the server, which knows how they were planned. */
export const DOCUMENT_VERSION = 3;

/** The one open document: what the application exports and imports, and what `plan` reads. */
export const documentSchema = z.strictObject({
  format: z.literal('ythrion', { error: 'The field “format” must be "ythrion".' }),
  version: z.literal(DOCUMENT_VERSION, {
    error: `This application reads documents of version 1 to ${DOCUMENT_VERSION}.`,
  }),
  studio: studioSchema.optional(),
  bases: z.array(baseSchema).default([]),
  dyes: z.array(dyeSchema).default([]),
  stocks: z.array(stockSchema).default([]),
  pots: z.array(potSchema).default([]),
  tools: z.array(toolSchema).default([]),
  patterns: z.array(patternSchema).default([]),
  soughts: z.array(soughtSchema).default([]),
  /** Measured colors: of bases as they come, of dyes on them, of mixtures. */
  samples: z.array(sampleSchema).default([]),
  /** One item per saved version; versions of one colorway share its id. */
  colorways: z.array(colorwaySchema).default([]),
  batches: z.array(batchSchema).default([]),
  /** Mixing cups, each with its record. */
  cups: z.array(cupRecordSchema).default([]),
  /** Batches that could not be read when this was written, named so that nobody misses them unawares. */
  leftOut: z
    .array(z.strictObject({ id: idSchema, code: z.string(), name: z.string(), why: z.string() }))
    .optional(),
});

export type StudioDocument = z.infer<typeof documentSchema>;

/** The JSON Schema of the document as it is written, generated from the same source that checks it. */
export function documentJsonSchema(): unknown {
  return z.toJSONSchema(documentSchema, { io: 'input', target: 'draft-2020-12' });
}
