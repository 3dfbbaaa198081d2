import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { EVERYWHERE } from '../process/everywhere';
import { formatAmount } from '../units/formatQuantity';
import { acidsAt, dyes } from './bath';
import { goodsIn } from './goodsIn';
import { lateAcids, stands } from './heat';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import type { Written } from './line';
import { iceOf, idIn, of, type Scene } from './scene';
import type { MethodOf } from './settings';

type Settings = MethodOf<'ice'>;

/** Spare goods under the rack, for what drips. */
const goodsBelow = (scene: Scene<Settings>): Written[] =>
  scene.catchUp.length > 0 && scene.settings.on === 'a rack'
    ? [
        {
          id: idIn(scene, 'place.below'),
          hands: 3,
          act: {
            kind: 'place',
            ...of(scene, 'catch up'),
            goods: [...scene.catchUp],
            vessel: scene.vessel,
            reach: null,
            lies: null,
            wet: true,
          },
        },
      ]
    : [];

export const ice: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'ice',
  label: 'ice or snow',
  gives: 'Powder on ice over damp goods on a rack; what melts carries it in.',
  usual: { kind: 'ice', iceGrams: 1500, meltMinutes: 480, on: 'a rack', acidMinutes: 20 },
  liquid: 'ice',
  onGoods: () => true,
  dry: true,
  hot: false,
  // What melts carries none.
  acidUsually: 'last',
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
      ...goodsBelow(scene),
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
      ...(scene.settings.acidMinutes > 0 && lateAcids(scene).length > 0
        ? stands(scene, 'rest', scene.settings.acidMinutes)
        : []),
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
    goodsIn: ({ on }, { act }) =>
      act.kind === 'place' && act.reach === 'none'
        ? on === 'a rack'
          ? 'Lay the damp goods on a rack over a tray'
          : 'Spread the damp goods out on a tray'
        : 'Lay the goods in',
    title: (_, { act }) =>
      act.kind === 'place' && act.purpose === 'catch up'
        ? 'Lay the spare goods under the rack, for what drips'
        : act.kind !== 'stand'
          ? null
          : act.purpose === 'melt'
            ? 'Let it melt, away from children and animals'
            : act.purpose === 'rest'
              ? 'Leave the acid to work in'
              : null,
    detail: (_, { act }) =>
      act.kind === 'put' && (act.purpose === 'late' || act.purpose === 'warm')
        ? 'What melted carries none: turn the goods and pour it over them.'
        : null,
    unheated: ({ meltMinutes }) => `melts in ${formatAmount(meltMinutes, 'min')}`,
  },
};
