import { lateAcids } from './heat';
import { inSections, touched } from './looks';
import type { Method } from './method';
import { IN_SECTIONS, laidOut, paintedSections, paintWater, paintWords } from './painted';
import type { MethodOf } from './settings';

type Settings = MethodOf<'painting'>;

export const painting: Method<Settings> = {
  ...IN_SECTIONS,
  kind: 'painting',
  label: 'section painting',
  gives: 'Solution worked into sections of the hank, the lightest color first.',
  usual: {
    kind: 'painting',
    layout: 'around',
    sections: [
      { id: 'a', name: 'Section A', sharePercent: 50, pickUpMlPerG: null },
      { id: 'b', name: 'Section B', sharePercent: 50, pickUpMlPerG: null },
    ],
    pickUpMlPerG: 1,
    order: 'once',
    backPercent: 0,
  },
  acts: (scene) => [
    laidOut(scene),
    ...paintWater(scene),
    ...paintedSections(
      scene,
      scene.settings.layout === 'across' ? 'along' : 'around',
      scene.settings.backPercent,
    ),
    ...lateAcids(scene),
  ],
  look: ({ sections, layout, order }, drawn) =>
    layout === 'touches'
      ? { coats: [touched(sections, drawn)], tonal: 0.15 }
      : {
          coats: [inSections(sections, layout === 'across' ? 'along' : 'around', drawn, order)],
          tonal: 0.08,
        },
  words: paintWords('hank', ({ sections }: Settings) => sections),
};
