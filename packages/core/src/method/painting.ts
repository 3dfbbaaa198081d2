import { z } from 'zod';
import { quantity } from '../shelf/quantitySchema';
import { lateAcids } from './heat';
import { inSections } from './looks';
import { USUAL_WAY, type Method } from './method';
import { laidOut, paintedSections, paintMl, paintNotices, paintWater, paintWords } from './painted';
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
  ...USUAL_WAY,
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
  liquid: 'paint',
  hot: false,
  soaked: 'damp',
  leaves: 'as they lie',
  needs: 'wrap',
  places: ({ sections }) => sections,
  reach: ({ sections }) =>
    Math.min(1, sections.reduce((sum, section) => sum + section.sharePercent, 0) / 100),
  bath: ({ pickUpMlPerG }, grams) => paintMl(pickUpMlPerG, grams),
  acts: (scene) => [
    laidOut(scene),
    ...paintWater(scene),
    ...paintedSections(scene, scene.settings.layout === 'across' ? 'along' : 'around'),
    ...lateAcids(scene),
  ],
  figures: (_, { bath }) => [{ name: 'Paint in all', figure: bath }],
  look: ({ sections, layout }, before, dyeing) =>
    inSections(sections, before, dyeing, {
      across: layout === 'across',
      extra: layout === 'touches' ? 0.3 : 0.08,
    }),
  notices: ({ pickUpMlPerG, sections }, read) => paintNotices(pickUpMlPerG, sections, read),
  words: paintWords('hank', ({ sections }: Settings) => sections),
};
