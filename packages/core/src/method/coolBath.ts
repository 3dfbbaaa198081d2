import { formatAmount } from '../units/formatQuantity';
import { dyebath } from './bath';
import { goodsIn } from './goodsIn';
import { lateAcids, stands } from './heat';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import type { MethodOf } from './settings';

type Settings = MethodOf<'cool bath'>;

export const coolBath: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'cool bath',
  label: 'cool bath',
  gives: 'No heat for hours, then a set; tonal when the goods are dry or twisted.',
  usual: { kind: 'cool bath', minutes: 720, temperatureC: 20 },
  liquid: 'water',
  hot: false,
  needs: 'pot',
  acts: (scene) => [
    ...dyebath(scene, scene.settings.temperatureC),
    goodsIn(scene),
    ...stands(scene, 'rest', scene.settings.minutes),
    ...lateAcids(scene),
  ],
  look: allOver(0.05),
  words: {
    ...USUAL_WORDS,
    title: (_, { act }) => (act.purpose === 'rest' ? 'Leave it in the cool bath, no heat' : null),
    unheated: ({ minutes }) => `${formatAmount(minutes, 'min')} cold`,
  },
};
