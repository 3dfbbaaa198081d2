import { dyebath } from './bath';
import { goodsIn } from './goodsIn';
import { liesWords } from './arranged';
import { holdUntilClear, ledHot, rise } from './heat';
import { allOver } from './looks';
import { lineWith } from './line';
import { isWet, USUAL_WAY, USUAL_WORDS, type Method } from './method';
import type { MethodOf } from './settings';

type Settings = MethodOf<'immersion'>;

/** Water as it comes out of the kettle and over the way to the pot, °C (common practice, no source). */
const BOILING_C = 95;

export const immersion: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'immersion',
  label: 'immersion',
  gives: 'A full pot, stirred: solids and semisolids.',
  usual: { kind: 'immersion', start: 'cold' },
  liquid: 'water',
  hot: true,
  needs: 'pot',
  acts(scene) {
    switch (scene.settings.start) {
      case 'cold':
        return [...dyebath(scene), goodsIn(scene), ...ledHot(scene)];
      case 'kettle':
        return [...dyebath(scene, BOILING_C), goodsIn(scene), ...ledHot(scene)];
      case 'hot':
        return [
          ...dyebath(scene),
          ...rise(scene),
          lineWith(goodsIn(scene), { cautions: ['scald'] }),
          ...holdUntilClear(scene),
        ];
    }
  },
  look: allOver(0),
  words: {
    ...USUAL_WORDS,
    goodsIn({ start }, { act }) {
      const lies = act.kind === 'place' ? act.lies : null;
      const how = lies === null ? null : liesWords(lies);
      const wet = isWet(act) ? '' : 'dry ';
      const where = start === 'hot' ? 'into the hot bath' : 'in';
      if (how !== null) return `Lower the ${wet}goods ${where}, ${how}; do not stir`;
      return isWet(act) ? `Lift the goods ${where}, open, and stir` : `Lay the dry goods ${where}`;
    },
    title: ({ start }, { act }) =>
      start === 'kettle' && act.kind === 'run' && act.purpose === 'bath'
        ? 'Run boiling water into the pot, from the kettle'
        : null,
  },
};
