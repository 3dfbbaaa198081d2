import { formatAmount } from '../units/formatQuantity';
import { dyebath } from './bath';
import { goodsIn } from './goodsIn';
import { lateAcids, stands } from './heat';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import type { MethodOf } from './settings';

type Settings = MethodOf<'glaze'>;

/** Classes that strike too slowly cold. */
const SLOW = ['milling', 'super-milling', 'metal complex'];

export const glaze: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'glaze',
  label: 'glaze',
  gives: 'Cold, strongly acid, left untouched: a thin surface color. Fast-striking dyes only.',
  usual: { kind: 'glaze', minutes: 30 },
  liquid: 'water',
  hot: false,
  needs: 'pot',
  acts: (scene) => [
    ...dyebath(scene),
    goodsIn(scene),
    ...stands(scene, 'rest', scene.settings.minutes),
    ...lateAcids(scene),
  ],
  look: allOver(0.2),
  notices: (_, { dyes: poured }) =>
    poured
      .filter(({ dyeClass }) => SLOW.includes(dyeClass))
      .map(({ name, dyeClass }) => ({ code: 'slow dye', values: { name, dyeClass } })),
  words: {
    ...USUAL_WORDS,
    goodsIn: () => 'Lay the goods in and leave them untouched',
    title: (_, { act }) => (act.purpose === 'rest' ? 'Leave the glaze untouched' : null),
    unheated: ({ minutes }) => `${formatAmount(minutes, 'min')} cold`,
    notice: ({ values: { name, dyeClass } }) =>
      `${name} is a ${dyeClass} dye: it strikes slowly cold. A glaze wants fast-striking dyes.`,
  },
};
