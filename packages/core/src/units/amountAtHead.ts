import { parseQuantity, saysWhatOf, type ParseContext } from './parseQuantity';
import type { QuantityKindName } from './quantityKinds';

/** An amount at the head of some words, and what it is of. */
export interface AmountAtHead {
  /** As it was written: `half of 1/8 tsp`. */
  much: string;
  /** The rest, without the “of” before it. */
  what: string;
}

/** More words than this are no amount. */
const MOST_WORDS = 12;
/** What can be measured out in a note. */
const KINDS: readonly QuantityKindName[] = ['volume', 'teaspoons', 'fiberMass', 'dyeMass'];

/**
 * Finds the amount that some words begin with, by the one reader: as many of the words as it reads, with a measure among them.
 * @returns null where they begin with none
 */
export function amountAtHead(text: string, context: ParseContext = {}): AmountAtHead | null {
  const words = text.trim().split(/\s+/);
  for (let count = Math.min(words.length, MOST_WORDS); count > 0; count -= 1) {
    const much = words.slice(0, count).join(' ').replace(/[,;]$/, '');
    // A bare number says nothing of what it counts.
    if (!/[a-z]/i.test(much) || /\bof$/i.test(much) || saysWhatOf(much)) continue;
    if (!KINDS.some((kind) => parseQuantity(much, kind, context).ok)) continue;
    return {
      much,
      what: words
        .slice(count)
        .join(' ')
        .replace(/^of\s+/i, ''),
    };
  }
  return null;
}

/**
 * Finds an amount of one kind anywhere in some words: as many words together as the reader takes, with a measure among them.
 * @returns as it was written; null where there is none
 */
export function amountWithin(
  text: string,
  kind: QuantityKindName,
  context: ParseContext = {},
): string | null {
  const words = text.trim().split(/\s+/);
  for (let count = Math.min(words.length, MOST_WORDS); count > 0; count -= 1)
    for (let from = 0; from + count <= words.length; from += 1) {
      const much = words
        .slice(from, from + count)
        .join(' ')
        .replace(/[,;.]$/, '');
      if (/[a-z°]/i.test(much) && parseQuantity(much, kind, context).ok) return much;
    }
  return null;
}
