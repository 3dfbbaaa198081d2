import type { BegunBatch } from './batch';
import { goodsOf } from './cardGoods';

/** What is written on a tag before the goods are wet. */
export interface TagCode {
  /** `26-014`, or `26-014-A` where there is more than one line of goods. */
  code: string;
  /** What carries it: `3 × Ratchet Sock`. */
  goods: string;
  /** Codes of its pieces one by one, `26-014-A1`; none where there is one piece. */
  pieces: string[];
}

/** More pieces than this are not told one by one. */
const MOST_PIECES = 30;

const letter = (i: number): string => String.fromCharCode(65 + i);

/** The codes of a batch, by its goods; each opens its card and its record. */
export function tagCodes({ code, card }: Pick<BegunBatch, 'code' | 'card'>): TagCode[] {
  const goods = goodsOf(card);
  return goods.map(({ count, name }, i) => {
    const own = goods.length === 1 ? code : `${code}-${letter(i)}`;
    const each = goods.length === 1 ? `${code}-` : own;
    return {
      code: own,
      goods: `${count} × ${name}`,
      pieces:
        count > 1 && count <= MOST_PIECES ? Array.from({ length: count }, (_, n) => `${each}${n + 1}`) : [],
    };
  });
}

/** The code of a batch from that of a piece: `26-014-A2` is `26-014`. Any other text stays as it is. */
export const codeOfTag = (text: string): string =>
  /^\s*(\d{2}-\d{3,})-[A-Za-z]?\d{0,3}\s*$/.exec(text)?.[1] ?? text;
