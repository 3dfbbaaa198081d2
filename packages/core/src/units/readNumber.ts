const GLYPHS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Spreads out fraction glyphs so that `1½` reads as `1 1/2`; a masculine ordinal is a degree typed on the key beside it. */
export function spellFractions(text: string): string {
  return text
    .replace(/º/g, '°')
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (glyph) => ` ${GLYPHS[glyph] ?? ''}`)
    .replace(/⁄/g, '/');
}

/** A number at the start of a text, and what follows it. */
export interface LeadingNumber {
  value: number;
  rest: string;
  /** A part said as a word, such as `a half`: after an amount it is a part of that amount's measure. */
  part?: boolean;
}

const COUNTS = 'zero one two three four five six seven eight nine ten eleven twelve'.split(' ');
const MORE = new Map<string, number>(
  Object.entries({
    a: 1,
    an: 1,
    fifteen: 15,
    twenty: 20,
    thirty: 30,
    forty: 40,
    sixty: 60,
    ninety: 90,
    hundred: 100,
    dozen: 12,
  }),
);
const PARTS = new Map<string, number>(
  Object.entries({
    half: 1 / 2,
    halves: 1 / 2,
    third: 1 / 3,
    quarter: 1 / 4,
    fourth: 1 / 4,
    eighth: 1 / 8,
    sixteenth: 1 / 16,
  }),
);

/**
 * Reads a number from the start of a text as it is written or said: `7.5`, `0,5`, `60.`, `1/8`, `1 1/2`, `1-1/2`, `3`; `two`,
 * `half a`, `a quarter`, `three quarters of a`, `one and a half`, `a couple of`, `half of 1/8`, `2 x 1/4`.
 * A comma is a decimal comma. `1,000` could mean either one or a thousand, so it is not guessed; nor is `15-20`.
 * @returns undefined when no number stands there, `'ambiguous'` for `1,000`, `'range'` for `15-20`
 */
export function leadingNumber(text: string): LeadingNumber | 'ambiguous' | 'range' | undefined {
  const first = written(text) ?? said(text);
  if (!first || first === 'ambiguous') return first;
  if (/^\s*(?:-|–|to\b)\s*[\d.,]/.test(first.rest)) return 'range';
  const more = AND_A_PART.exec(first.rest);
  const mixed = more && !first.part ? leadingPart(first.rest.slice(more[0].length)) : undefined;
  if (mixed) return { value: first.value + mixed.value, rest: mixed.rest };
  const times = /^\s*(?:[x×*]|times\b|of\b)\s*/i.exec(first.rest);
  if (!times) return first;
  const next = leadingNumber(first.rest.slice(times[0].length));
  return typeof next === 'object' ? { value: first.value * next.value, rest: next.rest } : first;
}

const AND_A_PART =
  /^\s+and\s+(?=(?:an?\s+|one\s+)?(?:half|third|quarter|fourth|eighth)|(?:two|three)\s+\w|\d+\s*\/)/i;

/** A part after `and`: `a half`, `three quarters`, `1/2`. */
const leadingPart = (text: string): LeadingNumber | undefined => {
  const part = written(text) ?? said(text);
  return typeof part === 'object' && part.value < 1 ? { value: part.value, rest: part.rest } : undefined;
};

function written(text: string): LeadingNumber | 'ambiguous' | undefined {
  const mixed = /^(\d+)(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+)(?![\d.,])/.exec(text);
  if (mixed) return fraction(text, mixed[0], Number(mixed[1]), Number(mixed[2]), Number(mixed[3]));
  const simple = /^(\d+)\s*\/\s*(\d+)(?![\d.,])/.exec(text);
  if (simple) return fraction(text, simple[0], 0, Number(simple[1]), Number(simple[2]));
  const plain = /^(\d+(?:[.,]\d+)?|[.,]\d+)(?!\d)/.exec(text);
  if (!plain) return undefined;
  if (/^[1-9]\d{0,2},\d{3}$/.test(plain[0])) return 'ambiguous';
  // A point that nothing follows is a number half typed.
  return {
    value: Number(plain[0].replace(',', '.')),
    rest: text.slice(plain[0].length).replace(/^[.,](?!\d)(?=\s|$|[a-zA-Z%°])/, ''),
  };
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

/** A number in words. */
function said(text: string): LeadingNumber | undefined {
  const couple = /^a\s+(?:couple|pair)(?:\s+of)?(?=\s|$)/i.exec(text);
  if (couple) return { value: 2, rest: text.slice(couple[0].length) };
  const first = /^([a-z]+)(?![a-z])/i.exec(text);
  const word = (first?.[1] ?? '').toLowerCase();
  const rest = text.slice(word.length);
  const part = partOf(word);
  if (part !== undefined)
    return { value: part, rest: rest.replace(/^\s+(?:of\s+)?an?(?=\s)/i, ''), part: true };
  const count = COUNTS.includes(word) ? COUNTS.indexOf(word) : MORE.get(word);
  if (count === undefined) return undefined;
  const second = /^[\s-]+([a-z]+)(?![a-z])(?:\s+of\s+an?(?=\s)|\s+of(?=\s+[a-z]))?/i.exec(rest);
  const after = (second?.[1] ?? '').toLowerCase();
  const ofIt = partOf(after);
  const past = second ? rest.slice(second[0].length) : rest;
  if (ofIt !== undefined) return { value: count * ofIt, rest: past, part: true };
  const ones = count >= 20 && count < 100 ? COUNTS.indexOf(after) : -1;
  if (ones > 0 && ones < 10) return { value: count + ones, rest: past };
  const many = MORE.get(after) ?? 0;
  if (count === 1 && many > 1) return { value: many, rest: past };
  return { value: count, rest };
}

const partOf = (word: string): number | undefined => PARTS.get(word) ?? PARTS.get(word.replace(/s$/, ''));
