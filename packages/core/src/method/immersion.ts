import { dyebath } from './bath';
import { goodsIn } from './goodsIn';
import { ledHot } from './heat';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import type { MethodOf } from './settings';

type Settings = MethodOf<'immersion'>;

export const immersion: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'immersion',
  label: 'immersion',
  gives: 'A full pot, stirred: solids and semisolids.',
  usual: { kind: 'immersion' },
  liquid: 'water',
  hot: true,
  needs: 'pot',
  acts: (scene) => [...dyebath(scene), goodsIn(scene), ...ledHot(scene)],
  look: allOver(0),
  words: USUAL_WORDS,
};
