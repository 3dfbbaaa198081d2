import { amountAtHead } from '../units/amountAtHead';

/** The parts of a note as they were written, each ready for its own field. */
export interface NoteText {
  powder: string;
  dyeName: string;
  water: string;
  poured: string;
  goods: string;
}

/**
 * Takes a written note apart: `1/8 tsp of X in 1/2 cup on 4 oz`, or `1/8 tsp X in 1/2 cup, used 1/4 cup on 4 oz`.
 * @returns null when it cannot be told what is what
 */
export function splitNote(text: string): NoteText | null {
  const found =
    /^\s*(?<head>.+?)\s+in(?:to)?\s+(?<water>.+?)(?:\s*(?:,|;)?\s*(?:used|poured|took)\s+(?<poured>.+?))?\s+(?:on|onto|for|over)\s+(?<goods>.+?)\s*$/i.exec(
      text,
    );
  const groups = found?.groups;
  const powder = groups ? amountAtHead(groups.head ?? '') : null;
  if (!groups || !powder) return null;
  return {
    powder: powder.much,
    dyeName: powder.what,
    water: (groups.water ?? '').trim(),
    poured: (groups.poured ?? '').trim(),
    goods: (groups.goods ?? '').trim(),
  };
}
