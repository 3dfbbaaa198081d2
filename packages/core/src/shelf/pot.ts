import { z } from 'zod';
import { idSchema, nameSchema, noteSchema } from './common';
import { panSchema } from './pan';
import { quantity } from './quantitySchema';

export const POT_KINDS = [
  'pot',
  'slow cooker',
  'pan',
  'steamer',
  'tray',
  'tub',
  'rack',
  'oven',
  'microwave',
] as const;

/** A vessel for dyeing; never goes back to food. */
export const potSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(POT_KINDS, { error: `A vessel must be one of ${POT_KINDS.join(', ')}.` }).default('pot'),
  capacityMl: quantity('volume'),
  /** Power of its ring or element, W; null when not known. */
  powerWatts: quantity('power').nullable().default(null),
  /** Share of that power that reaches the bath, %. */
  efficiencyPercent: quantity('sharePercent').default(60),
  /** Heat the empty vessel takes up, J per kelvin. */
  vesselJPerK: z
    .number({ error: 'Vessel heat must be a number in J/K.' })
    .gte(0, { error: 'Vessel heat cannot be negative.' })
    .lte(50_000, { error: 'Vessel heat cannot be over 50000 J/K.' })
    .default(900),
  /** Heat lost per kelvin above the room, W/K. */
  lossWPerK: z
    .number({ error: 'Heat loss must be a number in W/K.' })
    .gte(0, { error: 'Heat loss cannot be negative.' })
    .lte(100, { error: 'Heat loss cannot be over 100 W/K.' })
    .default(5),
  /** Its floor and the height of its wall, for liquid that is said by height. */
  floor: panSchema.nullable().default(null),
  wallCm: quantity('length').nullable().default(null),
  /** Bundles that it has room for, as a steamer has; null where nobody counted. */
  places: quantity('count').nullable().default(null),
  note: noteSchema.default(''),
  retired: z.boolean().default(false),
});

export type Pot = z.infer<typeof potSchema>;
