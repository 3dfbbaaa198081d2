import { z } from 'zod';
import { quantity } from '../shelf/quantitySchema';
import { lateAcids } from './heat';
import { inSections } from './looks';
import type { Method } from './method';
import { IN_SECTIONS, laidOut, paintedSections, paintWater, paintWords } from './painted';
import { sectionsSchema } from './settings';

/** Its settings. */
export const paintingSettings = z.strictObject({
  kind: z.literal('painting'),
  layout: z.enum(['across', 'around', 'touches'], {
    error: 'Sections lie across, around, or as touches.',
  }),
  sections: sectionsSchema,
  pickUpMlPerG: quantity('pickUp'),
});
type Settings = z.infer<typeof paintingSettings>;

export const painting: Method<Settings> = {
  ...IN_SECTIONS,
  kind: 'painting',
  label: 'section painting',
  gives: 'Solution worked into sections of the hank, the lightest color first.',
  schema: paintingSettings,
  usual: {
    kind: 'painting',
    layout: 'around',
    sections: [
      { id: 'a', name: 'Section A', sharePercent: 50 },
      { id: 'b', name: 'Section B', sharePercent: 50 },
    ],
    pickUpMlPerG: 1,
  },
  acts: (scene) => [
    laidOut(scene),
    ...paintWater(scene),
    ...paintedSections(scene, scene.settings.layout === 'across' ? 'along' : 'around'),
    ...lateAcids(scene),
  ],
  look: ({ sections, layout }, before, dyeing) =>
    inSections(sections, before, dyeing, {
      across: layout === 'across',
      extra: layout === 'touches' ? 0.3 : 0.08,
    }),
  words: paintWords('hank', ({ sections }: Settings) => sections),
};
