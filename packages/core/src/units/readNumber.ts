const GLYPHS: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Spreads out fraction glyphs so that `1½` reads as `1 1/2`. */
export function spellFractions(text: string): string {
  return text.replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (glyph) => ` ${GLYPHS[glyph] ?? ''}`).replace(/⁄/g, '/');
}

/** A number at the start of a text, and what follows it. */
export interface LeadingNumber {
  value: number;
  rest: string;
}

/**
 * Reads `7.5`, `0,5`, `1/8`, `1 1/2` or `3` from the start of a text.
 * A comma is a decimal comma. `1,000` could mean either one or a thousand, so it is not guessed.
 * @returns undefined when no number stands there, `'ambiguous'` for `1,000`.
 */
export function leadingNumber(text: string): LeadingNumber | 'ambiguous' | undefined {
  const mixed = /^(\d+)\s+(\d+)\s*\/\s*(\d+)(?![\d.,])/.exec(text);
  if (mixed) return fraction(text, mixed[0], Number(mixed[1]), Number(mixed[2]), Number(mixed[3]));
  const simple = /^(\d+)\s*\/\s*(\d+)(?![\d.,])/.exec(text);
  if (simple) return fraction(text, simple[0], 0, Number(simple[1]), Number(simple[2]));
  const plain = /^(\d+(?:[.,]\d+)?|[.,]\d+)(?!\d)/.exec(text);
  if (!plain) return undefined;
  if (/^[1-9]\d{0,2},\d{3}$/.test(plain[0])) return 'ambiguous';
  return { value: Number(plain[0].replace(',', '.')), rest: text.slice(plain[0].length) };
}

function fraction(
  text: string,
  matched: string,
  whole: number,
  over: number,
  under: number,
): LeadingNumber | undefined {
  if (under === 0) return undefined;
  return { value: whole + over / under, rest: text.slice(matched.length) };
}
