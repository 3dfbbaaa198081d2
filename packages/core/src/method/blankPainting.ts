import { lateAcids } from './heat';
import { inSections } from './looks';
import type { Method } from './method';
import { IN_SECTIONS, laidOut, paintedSections, paintWater, paintWords } from './painted';
import type { MethodOf } from './settings';

type Settings = MethodOf<'blank painting'>;

export const blankPainting: Method<Settings> = {
  ...IN_SECTIONS,
  kind: 'blank painting',
  label: 'blank painting',
  gives: 'A knitted blank painted in stripes, wrapped, coiled and steamed.',
  usual: {
    kind: 'blank painting',
    sections: [
      { id: 'a', name: 'Stripe 1', sharePercent: 34, pickUpMlPerG: null },
      { id: 'b', name: 'Stripe 2', sharePercent: 33, pickUpMlPerG: null },
      { id: 'c', name: 'Stripe 3', sharePercent: 33, pickUpMlPerG: null },
    ],
    pickUpMlPerG: 1,
    order: 'once',
    backPercent: 0,
  },
  acts: (scene) => [
    laidOut(scene),
    ...paintWater(scene),
    ...paintedSections(scene, 'along', scene.settings.backPercent),
    ...lateAcids(scene),
  ],
  look: ({ sections, order }, drawn) => ({
    coats: [inSections(sections, 'along', drawn, order)],
    tonal: 0.08,
  }),
  words: paintWords('blank', ({ sections }: Settings) => sections),
};
