import { z } from 'zod';
import { ACID_MATERIALS } from './acids';

/** An acid by its name in a document. */
export const acidMaterialSchema = z.enum(ACID_MATERIALS, {
  error: `An acid must be one of ${ACID_MATERIALS.join(', ')}.`,
});
