import { parseQuantity } from '../units/parseQuantity';
import type { FiberShare } from './base';
import { FIBER_NAMES, FIBERS, type Fiber } from './fibers';
import { LONGEST_NAME } from './readName';

/** One line of a list, and what it was read as; `problem` says why it was not. */
export interface ListedDye {
  text: string;
  name: string;
  code: string;
  /** The strength of a jar that is said with it, % w/v; null where none is. */
  strengthPercent: number | null;
  /** A guess from its name, for drawing until it is chosen. */
  swatchHex: string;
  problem: string | null;
}

export interface ListedBase {
  text: string;
  name: string;
  code: string;
  fibers: FiberShare[];
  superwash: boolean;
  putUpGrams: number;
  /** What was not said and is taken as usual. */
  taken: string[];
  problem: string | null;
}

/** What colors are called, and how they are drawn until somebody chooses better. From memory. */
const COLOR_WORDS: [RegExp, string][] = [
  [/\b(?:black|ink|soot|coal|jet)\b/i, '#1c1c1e'],
  [/\b(?:turquoise|teal|verdigris|aqua|cyan|peacock)\b/i, '#1f8f8f'],
  [/\b(?:navy|midnight)\b/i, '#1d2a55'],
  [/\b(?:violet|purple|plum|grape|lilac|lavender)\b/i, '#5a2f7a'],
  [/\b(?:magenta|fuchsia|pink|rose|cerise)\b/i, '#b8286f'],
  [/\b(?:scarlet|crimson|red|ruby|cherry|brick|madder)\b/i, '#b0202c'],
  [/\b(?:orange|rust|copper|tangerine|apricot)\b/i, '#c8621e'],
  [/\b(?:yellow|gold|lemon|sun|amber|mustard|brass)\b/i, '#d9b020'],
  [/\b(?:lime|chartreuse)\b/i, '#9db82a'],
  [/\b(?:green|moss|fern|olive|emerald|sage|leaf)\b/i, '#3f7a3a'],
  [/\b(?:blue|azure|cobalt|sky|denim|sapphire)\b/i, '#2c4f9f'],
  [/\b(?:brown|walnut|chestnut|bark|coffee|chocolate|umber|tan)\b/i, '#6a4628'],
  [/\b(?:gray|grey|silver|slate|ash)\b/i, '#77777a'],
];
const NO_COLOR = '#8a8a8a';

const guessHex = (name: string): string => COLOR_WORDS.find(([word]) => word.test(name))?.[1] ?? NO_COLOR;

/** Lines of a list; the head of a table, which names its columns, is none. */
const linesOf = (text: string): string[] =>
  text
    .split(/\r?\n/)
    .map((line) => line.replace(/^[\s\-*•\d]*[.)]\s+|^\s*[-*•]\s+/, '').trim())
    .filter((line) => line !== '' && !/^"?(?:name|dye|base|yarn)s?"?\s*[,;\t]/i.test(line));

/** The cells of a line out of a table, or the one cell that it is. */
const cellsOf = (line: string): string[] =>
  (/\t/.test(line) ? line.split('\t') : /;/.test(line) ? line.split(';') : line.split(','))
    .map((cell) =>
      cell
        .trim()
        .replace(/^"(.*)"$/, '$1')
        .trim(),
    )
    .filter((cell) => cell !== '');

/** A short word with a figure in it, or in capitals with one: `R1`, `#401`, `AB-12`. */
const CODE = /^#?(?=[A-Za-z-]*\d)[A-Za-z0-9-]{1,8}$/;

function withoutTwice<T extends { name: string; problem: string | null }>(
  listed: readonly T[],
  known: readonly string[],
): T[] {
  const seen = new Set(known.map((name) => name.toLowerCase()));
  return listed.map((one) => {
    const name = one.name.toLowerCase();
    const twice = one.problem === null && seen.has(name);
    seen.add(name);
    return twice ? { ...one, problem: `“${one.name}” is on the shelf or in the list already.` } : one;
  });
}

/**
 * Dyes of a list, one a line, with or without code and strength: `Verdigris T1 1 %`, `Bell Red, R1, 4 %`, a column out of a
 * table. @param known names that are on the shelf already
 */
export const readDyeList = (text: string, known: readonly string[]): ListedDye[] =>
  withoutTwice(linesOf(text).map(readDye), known);

function readDye(text: string): ListedDye {
  const cells = cellsOf(text);
  let strengthPercent: number | null = null;
  let code = '';
  const words = cells.flatMap((cell) => cell.split(/\s+/));
  const name: string[] = [];
  for (let i = 0; i < words.length; i += 1) {
    const word = words[i] ?? '';
    const percent = word.endsWith('%') ? word : words[i + 1] === '%' ? `${word} %` : null;
    const strength = percent === null ? null : parseQuantity(percent, 'stockStrength', {});
    if (strength?.ok) {
      strengthPercent = strength.value;
      if (!word.endsWith('%')) i += 1;
    } else if (i > 0 && code === '' && CODE.test(word)) code = word;
    else name.push(word);
  }
  const said = name.join(' ');
  return {
    text,
    name: said,
    code: code.slice(0, 16),
    strengthPercent,
    swatchHex: guessHex(said),
    problem:
      said === '' || said.length > LONGEST_NAME
        ? `“${text.slice(0, 40)}” has no name: write one dye a line, such as “Bell Red R1”.`
        : null,
  };
}

const FIBER_WORDS: [Fiber, RegExp][] = [
  ...FIBER_NAMES.map((fiber): [Fiber, RegExp] => [fiber, new RegExp(`\\b${FIBERS[fiber].label}\\b`, 'i')]),
  ['nylon', /\b(?:polyamide|pa)\b/i],
  ['metallic', /\b(?:metallic|lurex|stellina|sparkle|glitter)\b/i],
  ['viscose', /\b(?:rayon|bamboo|tencel|lyocell)\b/i],
];

/** A hank as it is mostly put up, g (common practice, no source). */
const USUAL_PUT_UP_G = 100;

/**
 * Yarn bases of a list, one a line, with their fibers: `Ratchet Sock 75% merino 25% nylon superwash 100 g`. What is not said
 * is taken as usual and named. @param known names that are on the shelf already
 */
export const readBaseList = (text: string, known: readonly string[]): ListedBase[] =>
  withoutTwice(linesOf(text).map(readBase), known);

function readBase(text: string): ListedBase {
  let rest = cellsOf(text).join(' ');
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(rest);
    if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`;
    return found;
  };
  const washed = take(/\b(non[\s-]*)?(?:superwash|sw)\b/i);
  const putUp = take(/\b\d+(?:[.,]\d+)?\s*(?:g|gr|grams?|oz|ounces?)\b/i);
  const fibers: FiberShare[] = [];
  for (;;) {
    const found = take(/(\d+(?:[.,]\d+)?)\s*(?:%|percent)\s*(?:of\s+)?(?:superfine\s+|fine\s+)?([\p{L}]+)/iu);
    if (!found) break;
    const fiber = FIBER_WORDS.find(([, word]) => word.test(found[2] ?? ''))?.[0];
    if (!fiber)
      return failed(text, `“${found[2]}” is no fiber known here. Known are ${FIBER_NAMES.join(', ')}.`);
    fibers.push({ fiber, percent: Number((found[1] ?? '').replace(',', '.')) });
  }
  const taken: string[] = [];
  if (fibers.length === 0) {
    const [fiber, word] = FIBER_WORDS.find(([, named]) => named.test(rest)) ?? ['wool', null];
    if (word === null) taken.push('100 % wool');
    fibers.push({ fiber, percent: 100 });
  }
  const total = fibers.reduce((sum, { percent }) => sum + percent, 0);
  const grams = putUp ? parseQuantity(putUp[0], 'fiberMass', {}) : null;
  if (!grams) taken.push(`${USUAL_PUT_UP_G} g a piece`);
  const words = rest
    .replace(/[/,;]+/g, ' ')
    .split(/\s+/)
    .filter((word) => word !== '');
  const code = words.length > 1 ? words.slice(1).find((word) => CODE.test(word)) : undefined;
  const name = words.filter((word) => word !== code).join(' ');
  if (name === '' || name.length > LONGEST_NAME)
    return failed(
      text,
      `“${text.slice(0, 40)}” has no name: write one base a line, such as “Tower Wool 100% wool 100 g”.`,
    );
  if (Math.abs(total - 100) >= 0.01)
    return failed(text, `The fibers of “${name}” add up to ${Number(total.toFixed(2))} %, not 100 %.`);
  if (grams && !grams.ok) return failed(text, `“${name}”: ${grams.problem}`);
  return {
    text,
    name,
    code: (code ?? '').slice(0, 16),
    fibers,
    superwash: washed !== null && washed[1] === undefined,
    putUpGrams: grams?.ok ? grams.value : USUAL_PUT_UP_G,
    taken,
    problem: null,
  };
}

const failed = (text: string, problem: string): ListedBase => ({
  text,
  name: text,
  code: '',
  fibers: [],
  superwash: false,
  putUpGrams: 0,
  taken: [],
  problem,
});
