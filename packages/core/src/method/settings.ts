import { z } from 'zod';
import { idSchema, nameSchema } from '../shelf/common';
import { quantity } from '../shelf/quantitySchema';
import { LIES } from '../process/terms';
import { panSchema } from '../shelf/pan';
import { ownStepSchema } from './ownStep';
import { BATH_STARTS, ICED_ON, SECTION_ORDERS, STREWN_BY, STREWN_ON, ZONE_SHAPES } from './choices';

/** A place on the goods that dye can be for. */
const placed = {
  id: idSchema,
  name: nameSchema,
  /** Share of the goods, %. */
  sharePercent: quantity('sharePercent'),
};

/** One section of a painted hank or one stripe of a painted blank. */
const sectionSchema = z.strictObject({
  ...placed,
  /** Paint that this section takes, where it is not as much as the others, mL/g. */
  pickUpMlPerG: quantity('pickUp').nullable().default(null),
});

/** One zone of a pan, as color is poured on it. */
const zoneSchema = z.strictObject({
  ...placed,
  shape: z.enum(ZONE_SHAPES, { error: `A zone is one of ${ZONE_SHAPES.join(', ')}.` }).default('band'),
});

const withinAll = (places: readonly { sharePercent: number }[]): boolean =>
  places.reduce((sum, { sharePercent }) => sum + sharePercent, 0) < 100.01;
const tooMuch = (what: string) => ({
  error: (issue: { input?: unknown }) => {
    const all = (issue.input as { sharePercent: number }[]).reduce((sum, one) => sum + one.sharePercent, 0);
    return `The ${what} come to ${Number(all.toFixed(1))} % of the goods: make them smaller until they come to 100 % at most.`;
  },
});

const sectionsSchema = z
  .array(sectionSchema)
  .min(1, { error: 'Painting needs at least one section.' })
  .max(12, { error: 'Painting can have at most 12 sections.' })
  .refine(withinAll, tooMuch('sections'));

/** In which order sections lie: as they are written, backwards, all of them twice, or there and back. */
const orderSchema = z
  .enum(SECTION_ORDERS, { error: `Sections lie ${SECTION_ORDERS.join(', ')}.` })
  .default('once');

/** What the other side gets of a color, % of what the first side got. */
const backSchema = quantity('backPercent').default(0);

const immersionSettings = z.strictObject({
  kind: z.literal('immersion'),
  /** Into a cold bath that is heated with the goods, into a hot one, or into water from the kettle. */
  start: z.enum(BATH_STARTS, { error: `A bath starts ${BATH_STARTS.join(', ')}.` }).default('cold'),
});

const lowImmersionSettings = z.strictObject({
  kind: z.literal('low immersion'),
  pan: panSchema,
  /** Height of the pan's wall, cm. */
  wallCm: quantity('length'),
  /** How high the liquid stands with the goods in it, cm. */
  depthCm: quantity('length'),
  /** Liquid that was measured instead, by the cup; null: as high as it is said to stand. */
  liquidMl: quantity('volume').nullable().default(null),
  turns: quantity('steps'),
  /** Zones that color is poured on; none: it is poured all over. What they leave stays white. */
  sections: z
    .array(zoneSchema)
    .max(12, { error: 'A pan can have at most 12 zones.' })
    .refine(withinAll, tooMuch('zones'))
    .default([]),
  backPercent: backSchema,
  /** Before the goods are turned for their back, min. */
  frontMinutes: quantity('minutes').default(7),
});

const coolBathSettings = z.strictObject({
  kind: z.literal('cool bath'),
  minutes: quantity('minutes'),
  temperatureC: quantity('roomTemperature'),
});

const glazeSettings = z.strictObject({
  kind: z.literal('glaze'),
  minutes: quantity('minutes'),
  /** The ring on from cold under it, up to so many °C; null: it stays cold. */
  heatToC: quantity('temperature').nullable().default(null),
});

/** One dose of a repeated pass, with how the goods are tied for it. */
const doseSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** A dose reaches all of the goods. */
  sharePercent: quantity('sharePercent').default(100),
  minutes: quantity('minutes'),
  lies: z.strictObject({
    kind: z.enum(LIES, { error: `Goods lie ${LIES.join(', ')}.` }),
    count: quantity('steps').default(1),
  }),
});

const repeatedSettings = z.strictObject({
  kind: z.literal('repeated'),
  repeats: quantity('steps'),
  /** Between one dose and the next, min. */
  minutes: quantity('minutes'),
  /** Doses that are not alike, each with dyes of its own; none: equal ones. */
  sections: z
    .array(doseSchema)
    .max(12, { error: 'A pass can have at most 12 doses of its own.' })
    .default([]),
});

const dipSettings = z.strictObject({
  kind: z.literal('dip'),
  sharePercent: quantity('sharePercent'),
  steps: quantity('steps'),
  minutes: quantity('minutes'),
  /** Lowered deeper step by step, the end first; or put in full and lifted. */
  lowered: z.boolean({ error: 'Lowered is yes or no.' }).default(false),
  /** Both ends, each in a bath of its own; none: one end. */
  sections: z
    .array(z.strictObject(placed))
    .refine((ends) => ends.length === 0 || ends.length === 2, {
      error: 'Goods have two ends to dip, or one.',
    })
    .refine(withinAll, tooMuch('ends'))
    .default([]),
});

const paintingSettings = z.strictObject({
  kind: z.literal('painting'),
  layout: z.enum(['across', 'around', 'touches'], {
    error: 'Sections lie across, around, or as touches.',
  }),
  sections: sectionsSchema,
  pickUpMlPerG: quantity('pickUp'),
  order: orderSchema,
  backPercent: backSchema,
});

const sprinkleSettings = z.strictObject({
  kind: z.literal('sprinkle'),
  citricPerGram: quantity('citricPerGram'),
  coverPercent: quantity('sharePercent'),
  settleMinutes: quantity('minutes'),
  /** On goods in a bath, or on damp ones on a tray. */
  on: z
    .enum(STREWN_ON, { error: `Powder is strewn on goods ${STREWN_ON.join(' or ')}.` })
    .default('in a bath'),
  by: z.enum(STREWN_BY, { error: `Powder is strewn by ${STREWN_BY.join(', ')}.` }).default('fingers'),
  /** Turned, and strewn again on the other side. */
  bothSides: z.boolean({ error: 'Both sides is yes or no.' }).default(false),
});

const iceSettings = z.strictObject({
  kind: z.literal('ice'),
  iceGrams: quantity('iceMass'),
  meltMinutes: quantity('minutes'),
  on: z.enum(ICED_ON, { error: `Iced goods lie ${ICED_ON.join(' or ')}.` }).default('a rack'),
  /** What the acid is left for once the ice is gone, min. */
  acidMinutes: quantity('minutes').default(0),
});

const paintedStackSettings = z.strictObject({
  kind: z.literal('painted stack'),
  layers: quantity('steps'),
  /** Share of what a layer is given that drains to the one below, %. */
  drainPercent: quantity('drainPercent'),
  pickUpMlPerG: quantity('pickUp'),
  /** The same zones on every layer, one color each; none: one color all over. */
  sections: z
    .array(sectionSchema)
    .max(12, { error: 'A stack can have at most 12 zones.' })
    .refine(withinAll, tooMuch('zones'))
    .default([]),
  /** How often each layer gets its color, a part each time. */
  rounds: quantity('steps').default(1),
  flip: z.boolean({ error: 'Flipping the pile is yes or no.' }).default(false),
});

const blankPaintingSettings = z.strictObject({
  kind: z.literal('blank painting'),
  sections: sectionsSchema,
  pickUpMlPerG: quantity('pickUp'),
  order: orderSchema,
  backPercent: backSchema,
});

/** A step from before acid doses had ids of their own named one by its place. */
function withAcidNamed(steps: unknown): unknown {
  if (!Array.isArray(steps)) return steps;
  return steps.map((step: unknown) => {
    if (typeof step !== 'object' || step === null || !('nth' in step)) return step;
    const { nth, ...rest } = step;
    return { ...rest, acidId: `acid${String(nth)}` };
  });
}

const ownWaySettings = z.strictObject({
  kind: z.literal('own way'),
  steps: z.preprocess(
    withAcidNamed,
    z
      .array(ownStepSchema)
      .min(1, { error: 'An own way needs at least one step.' })
      .max(60, { error: 'An own way can have at most 60 steps.' }),
  ),
});

/** How a pass brings dye and goods together, with just what that way needs. */
export const passMethodSchema = z.discriminatedUnion(
  'kind',
  [
    immersionSettings,
    lowImmersionSettings,
    coolBathSettings,
    glazeSettings,
    repeatedSettings,
    dipSettings,
    paintingSettings,
    sprinkleSettings,
    iceSettings,
    paintedStackSettings,
    blankPaintingSettings,
    ownWaySettings,
  ],
  { error: 'A pass must name its method, such as { "kind": "immersion" }.' },
);

export type PassMethod = z.infer<typeof passMethodSchema>;
export type MethodKind = PassMethod['kind'];
export type MethodOf<K extends MethodKind> = Extract<PassMethod, { kind: K }>;

/** A place that dye of a pass can be for. */
export interface Section {
  id: string;
  name: string;
  sharePercent: number;
}
export type PaintedSection = z.infer<typeof sectionSchema>;
export type Zone = z.infer<typeof zoneSchema>;
export type Dose = z.infer<typeof doseSchema>;
