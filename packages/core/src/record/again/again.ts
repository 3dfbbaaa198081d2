import { z } from 'zod';
import { idSchema } from '../../shelf/common';
import { quantity } from '../../shelf/quantitySchema';

/** One line of goods of a record, as it is to be there now. A line that is not named is left out. */
export const goodsAgainSchema = z.strictObject({
  /** The line of the record. */
  line: idSchema,
  baseId: idSchema,
  count: quantity('count'),
  gramsEach: quantity('fiberMass'),
  /** The whole line as the scale showed it; goes before count × nominal. */
  weighedGrams: quantity('fiberMass').nullable().default(null),
});

/** How a record is to be dyed again. */
export const againSchema = z.strictObject({
  goods: z
    .array(goodsAgainSchema)
    .min(1, { error: 'Dye again at least one line of the goods.' })
    .max(24, { error: 'A batch can have at most 24 lines of goods.' }),
  /** Jar to pour each dye from, by dye id; null is powder, a dye that is not named keeps its jar. */
  stockFor: z.record(idSchema, idSchema.nullable()).default({}),
  /** `dyeable`: the same depth on the part that takes dye; `goods`: the same % on all of them. */
  depthOn: z.enum(['dyeable', 'goods'], { error: 'Keep the depth on goods or dyeable.' }).default('dyeable'),
  /** All dye as a share of what it was, %; nothing else changes. */
  dyePercent: quantity('dyePercent').default(100),
  /** The vessel on the shelf that is dyed in; null where none is named. */
  potId: idSchema.nullable().default(null),
});

export type GoodsAgain = z.infer<typeof goodsAgainSchema>;
export type Again = z.infer<typeof againSchema>;
