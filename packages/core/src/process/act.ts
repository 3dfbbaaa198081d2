import { z } from 'zod';
import { idSchema, nameSchema } from '../shelf/common';
import { materialSchema } from './material';
import { intervalSchema, placeSchema } from './place';
import { LIES, PURPOSES, VESSEL_ROLES } from './terms';

/** Names an act or a vessel by its role, never by its position. Compared, never taken apart. */
export const roleSchema = z
  .string({ error: 'A role must be text.' })
  .regex(/^[A-Za-z0-9][A-Za-z0-9_.:-]{0,159}$/, {
    error: 'A role holds 1 to 160 letters, digits, dots, colons, dashes or underscores.',
  });

const liesSchema = z.strictObject({
  kind: z.enum(LIES, { error: `Goods lie ${LIES.join(', ')}.` }),
  count: z.int().min(0).max(1000),
});

/** Amounts of a record reach far beyond what a bench holds, so that no slip of long ago becomes unreadable. */
const most = 1e10;
const positive = (what: string) =>
  z
    .number({ error: `${what} must be a number.` })
    .gt(0, { error: `${what} must be more than zero.` })
    .lte(most, { error: `${what} cannot be that large.` });
const notNegative = (what: string) =>
  z
    .number({ error: `${what} must be a number.` })
    .gte(0, { error: `${what} cannot be negative.` })
    .lte(most, { error: `${what} cannot be that large.` });
const celsius = z
  .number({ error: 'A temperature must be a number in °C.' })
  .min(-50, { error: 'A temperature cannot be under -50 °C.' })
  .max(300, { error: 'A temperature cannot be over 300 °C.' })
  .nullable();
const minutes = notNegative('Minutes').nullable();
const shareSchema = z
  .number({ error: 'A share must be a number from 0 to 1.' })
  .gt(0, { error: 'A share must be more than zero.' })
  .lte(1, { error: 'A share cannot be over 1.' });
const unitSchema = z.enum(['mL', 'g'], { error: 'An amount is in mL or g.' });

/** What every act carries: the pass it belongs to (null for the set and the finish), its line, its purpose. */
const common = {
  pass: idSchema.nullable(),
  line: idSchema.nullable(),
  purpose: z.enum(PURPOSES, { error: 'That is no purpose of an act.' }).nullable(),
};
/** Goods lines an act is about; empty for all that are there. */
const goods = z.array(idSchema).max(24);
const vessel = roleSchema.nullable();

const thingSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('goods'),
    name: nameSchema,
    baseId: idSchema,
    form: z.string().max(40),
    count: z.int().min(1).max(1_000_000),
    /** The whole line, dry. */
    grams: positive('Goods'),
    /** Part that takes acid dye, 0 to 1. */
    dyeableShare: z.number().min(0).max(1),
    /** Acid that its fiber holds at most, milliequivalents; an estimate, none where it is not counted. */
    holdsMeq: notNegative('Acid that fiber holds').default(0),
    catchUp: z.boolean(),
    /** Earlier batch these goods come from. */
    from: idSchema.nullable(),
  }),
  z.strictObject({
    kind: z.literal('vessel'),
    vessel: roleSchema,
    role: z.enum(VESSEL_ROLES),
    name: z.string().max(80),
    /** The thing on the shelf; null where none was chosen. */
    shelfId: idSchema.nullable(),
    capacityMl: positive('Capacity').nullable(),
  }),
  z.strictObject({
    kind: z.literal('liquid'),
    vessel: roleSchema,
    ml: positive('Liquid'),
    celsius,
    /** Strong base that its tap water brought, and acid that fiber took out of it, milliequivalents (an estimate). */
    alkalinityMeq: z.number().default(0),
    takenMeq: z.number().default(0),
    acids: z.array(z.strictObject({ acid: z.string().max(40), pureGrams: notNegative('Acid') })).max(12),
    dyes: z
      .array(z.strictObject({ dyeId: idSchema, standardGrams: notNegative('Dye'), act: roleSchema }))
      .max(200),
    /** The batch it leaves, and the event it left by. */
    from: z.strictObject({ batch: idSchema, event: idSchema }),
  }),
]);

/** Where liquid comes from or goes to: a vessel, or a place on the goods. */
const endSchema = z.union([z.strictObject({ vessel: roleSchema }), z.strictObject({ place: placeSchema })]);

/**
 * One thing done to goods, liquids and vessels: the closed union of them all. SI: mL, g, °C, minutes, shares from 0
 * to 1. An amount of null was never measured (“a splash”): what was said stands beside it in the event.
 */
export const actSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('bring'), ...common, thing: thingSchema }),
    z.strictObject({
      kind: z.literal('run'),
      ...common,
      vessel: roleSchema,
      ml: positive('Water').nullable(),
      celsius,
    }),
    z.strictObject({
      kind: z.literal('put'),
      ...common,
      material: materialSchema,
      amount: positive('An amount').nullable(),
      unit: unitSchema,
      into: endSchema,
    }),
    z
      .strictObject({
        kind: z.literal('move'),
        ...common,
        from: endSchema,
        /** Null: down the drain. */
        to: endSchema.nullable(),
        /** Liquid by volume or by share; dry powder by share only. */
        ml: positive('A volume').nullable(),
        share: shareSchema.nullable(),
        /** What the liquid was, as whoever poured it knew; null where the vessel alone tells. */
        holds: materialSchema.nullable(),
      })
      .refine(({ ml, share }) => (ml === null) !== (share === null), {
        path: ['ml'],
        error: 'A move is by volume or by share, one of them.',
      }),
    z.strictObject({
      kind: z.literal('place'),
      ...common,
      goods,
      vessel: roleSchema,
      /** Null: all of them; `none`: on a rack or in steam, above the liquid; or a stretch. */
      reach: z.union([intervalSchema, z.literal('none')]).nullable(),
      lies: liesSchema.nullable(),
      wet: z.boolean(),
    }),
    z.strictObject({
      kind: z.literal('split'),
      ...common,
      goods,
      count: z.int().min(1).nullable(),
      grams: positive('Goods').nullable(),
      into: idSchema,
    }),
    z.strictObject({
      kind: z.literal('lift'),
      ...common,
      goods,
      /** Liquid that stays in them, mL per gram; null where nobody squeezed. */
      keepsMlPerGram: notNegative('Liquid kept').nullable(),
    }),
    z.strictObject({
      kind: z.literal('handle'),
      ...common,
      goods,
      what: z.enum(['turn', 're-tie', 'press', 'blot', 'wrap', 'unwrap', 'braid']),
      lies: liesSchema.nullable(),
    }),
    z.strictObject({
      kind: z.literal('heat'),
      ...common,
      vessel: roleSchema,
      toC: celsius,
      /** The rise that was decided, °C per minute. */
      rampCPerMin: notNegative('A rise').nullable(),
      minutes,
    }),
    z.strictObject({
      kind: z.literal('hold'),
      ...common,
      vessel: roleSchema,
      atC: celsius,
      minutes,
      untilClear: z.boolean(),
      /** Share of the dye left in the liquid afterwards; null: not said. */
      leaves: z.number().min(0).max(1).nullable(),
      onHeat: z.boolean(),
    }),
    z.strictObject({
      kind: z.literal('stand'),
      ...common,
      vessel: roleSchema,
      minutes,
      leaves: z.number().min(0).max(1).nullable(),
    }),
    z.strictObject({ kind: z.literal('cool'), ...common, vessel: roleSchema, toC: celsius, minutes }),
    z.strictObject({
      kind: z.literal('look'),
      ...common,
      of: z.enum(['bath', 'goods', 'core', 'rinse', 'dry', 'cup', 'towel'], {
        error: 'A look is at the bath, goods, core, rinse, dry yarn, a cup or a towel.',
      }),
      vessel,
      answer: z
        .string({ error: 'An answer must be text.' })
        .min(1, { error: 'A look needs an answer.' })
        .max(200),
      reading: z
        .strictObject({
          ph: z
            .number({ error: 'pH must be a number.' })
            .min(0, { error: 'pH cannot be under 0.' })
            .max(14, { error: 'pH cannot be over 14.' })
            .nullable(),
          celsius,
          levelMl: notNegative('A level').nullable(),
        })
        .nullable(),
    }),
    z.strictObject({ kind: z.literal('rinse'), ...common, goods, soap: z.boolean() }),
    z.strictObject({ kind: z.literal('wring'), ...common, goods }),
    z.strictObject({ kind: z.literal('dry'), ...common, goods }),
  ],
  { error: 'An act must name its kind, such as { "kind": "run" }.' },
);

export type Act = z.infer<typeof actSchema>;
export type ActKind = Act['kind'];
/** What a look is at. */
export type LookedAt = Extract<Act, { kind: 'look' }>['of'];
export type ActOf<K extends ActKind> = Extract<Act, { kind: K }>;
export type Purpose = (typeof PURPOSES)[number];
export type VesselRole = (typeof VESSEL_ROLES)[number];
export type Thing = z.infer<typeof thingSchema>;
export type End = z.infer<typeof endSchema>;
