/** Most words of a search that are looked up; the rest narrow nothing anybody could tell. */
const MOST_WORDS = 20;

/**
 * What was typed, as a full-text query: every word of it must begin some word of the text. Case, accents and signs
 * between letters do not count, as they do not in the text.
 * @returns null where nothing was typed that a word could begin with
 */
export function anyWordBeginning(typed: string): string | null {
  const words = typed.match(/[\p{L}\p{N}\p{M}\p{Co}]+/gu) ?? [];
  return words.length === 0
    ? null
    : words
        .slice(0, MOST_WORDS)
        .map((word) => `"${word}"*`)
        .join(' ');
}
