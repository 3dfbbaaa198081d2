import type { Base } from '../shelf/base';
import type { GoodsLine } from './recipe';

/** Goods of one base at its own put-up. */
export const newGoodsLine = (id: string, base: Pick<Base, 'id' | 'putUpGrams'>): GoodsLine => ({
  id,
  baseId: base.id,
  count: 1,
  gramsEach: base.putUpGrams,
  weighedGrams: null,
  form: null,
  dyedOverHex: null,
  catchUp: false,
});
