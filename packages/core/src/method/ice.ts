import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { EVERYWHERE } from '../process/everywhere';
import { formatAmount } from '../units/formatQuantity';
import { acidsAt, dyes } from './bath';
import { goodsIn } from './goodsIn';
import { lateAcids } from './heat';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import { iceOf, idIn, of } from './scene';
import type { MethodOf } from './settings';

type Settings = MethodOf<'ice'>;

export const ice: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'ice',
  label: 'ice or snow',
  gives: 'Powder on ice over damp goods on a rack; what melts carries it in.',
  usual: { kind: 'ice', iceGrams: 1500, meltMinutes: 480 },
  liquid: 'ice',
  dry: true,
  hot: false,
  soaked: 'damp',
  leaves: 'dripping',
  needs: 'tray',
  bath: ({ iceGrams }) =>
    figure(
      iceGrams,
      'mL',
      () => `${plainNumber(iceGrams)} g of ice is as many mL of water, and there is no other`,
    ),
  acts(scene) {
    const vessel = iceOf(scene);
    return [
      goodsIn(scene, 'none'),
      ...acidsAt(scene, ['start'], { place: EVERYWHERE }),
      {
        id: idIn(scene, 'put.ice'),
        hands: 5,
        act: {
          kind: 'put',
          ...of(scene, null),
          material: { kind: 'ice' },
          amount: scene.settings.iceGrams,
          unit: 'g',
          into: { vessel },
        },
      },
      ...dyes(scene, () => ({ vessel })),
      {
        id: idIn(scene, 'stand.melt'),
        hands: 1,
        act: {
          kind: 'stand',
          ...of(scene, 'melt'),
          vessel,
          minutes: scene.settings.meltMinutes,
          leaves: null,
        },
      },
      ...lateAcids(scene),
    ];
  },
  figures: ({ iceGrams }) => [
    {
      name: 'Melt water',
      figure: figure(iceGrams, 'mL', () => `${plainNumber(iceGrams)} g of ice is as many mL of water`),
    },
  ],
  look: (_, drawn) => ({
    coats: drawn(null).map((dye) => [{ where: { kind: 'drips' }, dyes: [dye] }]),
    tonal: 0.2,
  }),
  words: {
    ...USUAL_WORDS,
    goodsIn: (_, { act }) =>
      act.kind === 'place' && act.reach === 'none'
        ? 'Lay the damp goods on a rack over a tray'
        : 'Lay the goods in',
    title: (_, { act }) =>
      act.kind === 'stand' && act.purpose === 'melt' ? 'Let it melt, away from children and animals' : null,
    unheated: ({ meltMinutes }) => `melts in ${formatAmount(meltMinutes, 'min')}`,
  },
};
