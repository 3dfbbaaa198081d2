import type { ActOf, Purpose } from '../process/act';
import type { Written } from './line';
import { idIn, of, type AnyScene } from './scene';

/** Goods into their vessel. @param reach null: all of them; `none`: above the liquid */
export const goodsIn = (
  scene: AnyScene,
  reach: ActOf<'place'>['reach'] = null,
  purpose: Purpose | null = null,
): Written => ({
  id: idIn(scene, 'place.goods'),
  hands: 5,
  act: {
    kind: 'place',
    ...of(scene, purpose),
    goods: [],
    vessel: scene.vessel,
    reach,
    lies: scene.lies,
    wet: scene.wet,
  },
});

/** From the end of the goods up to a share of their length. @param to 0 to 1 */
export const along = (to: number): ActOf<'place'>['reach'] => ({
  axis: 'along',
  from: 0,
  to: Math.min(1, to),
});
