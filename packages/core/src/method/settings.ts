import { z } from 'zod';
import { idSchema, nameSchema } from '../shelf/common';
import { quantity } from '../shelf/quantitySchema';
import { ownStepSchema } from './ownStep';

/** One section of a painted hank or one stripe of a painted blank. */
const sectionSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** Share of the goods, %. */
  sharePercent: quantity('sharePercent'),
});

const sectionsSchema = z
  .array(sectionSchema)
  .min(1, { error: 'Painting needs at least one section.' })
  .max(12, { error: 'Painting can have at most 12 sections.' })
  .refine((sections) => sections.reduce((sum, section) => sum + section.sharePercent, 0) < 100.01, {
    error: 'The sections come to more than 100 % of the goods.',
  });

const panSchema = z.discriminatedUnion('shape', [
  z.strictObject({
    shape: z.literal('rectangular'),
    lengthCm: quantity('length'),
    widthCm: quantity('length'),
  }),
  z.strictObject({ shape: z.literal('round'), diameterCm: quantity('length') }),
]);

const immersionSettings = z.strictObject({ kind: z.literal('immersion') });

const lowImmersionSettings = z.strictObject({
  kind: z.literal('low immersion'),
  pan: panSchema,
  /** Height of the pan's wall, cm. */
  wallCm: quantity('length'),
  /** How high the liquid stands with the goods in it, cm. */
  depthCm: quantity('length'),
  turns: quantity('steps'),
});

const coolBathSettings = z.strictObject({
  kind: z.literal('cool bath'),
  minutes: quantity('minutes'),
  temperatureC: quantity('roomTemperature'),
});

const glazeSettings = z.strictObject({ kind: z.literal('glaze'), minutes: quantity('minutes') });

const repeatedSettings = z.strictObject({
  kind: z.literal('repeated'),
  repeats: quantity('steps'),
  /** Between one dose and the next, min. */
  minutes: quantity('minutes'),
});

const dipSettings = z.strictObject({
  kind: z.literal('dip'),
  sharePercent: quantity('sharePercent'),
  steps: quantity('steps'),
  minutes: quantity('minutes'),
});

const paintingSettings = z.strictObject({
  kind: z.literal('painting'),
  layout: z.enum(['across', 'around', 'touches'], {
    error: 'Sections lie across, around, or as touches.',
  }),
  sections: sectionsSchema,
  pickUpMlPerG: quantity('pickUp'),
});

const sprinkleSettings = z.strictObject({
  kind: z.literal('sprinkle'),
  citricPerGram: quantity('citricPerGram'),
  coverPercent: quantity('sharePercent'),
  settleMinutes: quantity('minutes'),
});

const iceSettings = z.strictObject({
  kind: z.literal('ice'),
  iceGrams: quantity('iceMass'),
  meltMinutes: quantity('minutes'),
});

const paintedStackSettings = z.strictObject({
  kind: z.literal('painted stack'),
  layers: quantity('steps'),
  /** Share of what a layer is given that drains to the one below, %. */
  drainPercent: quantity('drainPercent'),
  pickUpMlPerG: quantity('pickUp'),
});

const blankPaintingSettings = z.strictObject({
  kind: z.literal('blank painting'),
  sections: sectionsSchema,
  pickUpMlPerG: quantity('pickUp'),
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

export type Section = z.infer<typeof sectionSchema>;
export type Pan = z.infer<typeof panSchema>;
