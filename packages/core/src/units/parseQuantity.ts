import { spoonMl, type SpoonSystem } from './conversions';
import { capital, howSaid, judge, refuse, type ParsedQuantity, type RefusedQuantity } from './judge';
import { formatAmount } from './formatQuantity';
import { leadingMeasure, type Measure, type OwnMeasures } from './measures';
import { quantityKind, type QuantityKind, type QuantityKindName } from './quantityKinds';
import { leadingNumber, spellFractions } from './readNumber';

/** What the studio must supply for some spellings to be readable. */
export interface ParseContext {
  spoons?: SpoonSystem;
  /** What the studio's own pinch, splash and the like hold. */
  own?: OwnMeasures | undefined;
  /** Grams of one level teaspoon of this material; makes `1/8 tsp` readable in a field kept in grams. */
  gramsPerTeaspoon?: number;
  /** True where that is only what is usual. */
  unweighed?: boolean;
}

/** Characters that an amount is said in at most: eleven additions one after the other, and room to spare. */
export const LONGEST_SAID = 300;

/**
 * Reads what a dyer writes or says: `2 tbsp + 1 tsp`, `1/8 tsp`, `1 1/2 cup`, `4 oz`, `7.5`, `0,5 %`, `200F`, `1:30`;
 * `half a cup`, `4+1 tbsp`, `2 x 1/4 tsp`, `a pinch`, `3 days`, `overnight`, `about 20 min`, `2 skeins`; a strength as what
 * is in how much: `2 g in 200 mL`, `1 tsp per cup`, `1:100`.
 * Terms joined by `+`, `and` or a space are added. A bare number is in the unit of the field.
 * @param text what was typed
 * @param kindName which amount the field holds; gives unit and limits
 */
export function parseQuantity(
  text: string,
  kindName: QuantityKindName,
  context: ParseContext = {},
): ParsedQuantity | RefusedQuantity {
  const kind = quantityKind(kindName);
  const spelled = spellFractions(text).trim();
  if (spelled.length > LONGEST_SAID)
    return refuse(`${capital(kind.noun)} is said in ${LONGEST_SAID} characters at most.`);
  if (spelled === '') return refuse(`${capital(kind.noun)} is empty. ${howSaid(kind)}`);
  const below = /^[-−–]/.test(spelled);
  if (below && kind.possible[0] >= 0)
    return refuse(`${capital(kind.noun)} cannot be negative. ${howSaid(kind)}`);
  const unsigned = (below ? spelled.slice(1).trim() : spelled)
    .replace(ABOUT, '')
    .replace(OR_SO, '')
    .replace(kindName === 'ph' ? /^pH\s*/i : kindName === 'price' ? /^[€$£]\s*/ : '', '');
  const uneven = NOT_LEVEL.exec(unsigned)?.[0].toLowerCase();
  if (uneven !== undefined)
    return refuse(
      `No two people’s ${uneven} spoons are alike; say how many level ones it is. ${howSaid(kind)}`,
    );
  if (unsigned === '') return refuse(`“${spelled}” is not an amount. ${howSaid(kind)}`);
  const read = inOneField(unsigned, kind, context);
  if (typeof read === 'string') return refuse(`${read} ${howSaid(kind)}`);
  const judged = judge(below ? -read.value : read.value, kindName);
  if (!judged.ok || read.guess === undefined) return judged;
  return { ...judged, remark: [read.guess, judged.remark].filter(Boolean).join(' ') };
}

/** Said of what nobody held a clock or a scale to; it is kept with what was typed. */
const ABOUT = /^(?:(?:about|around|roughly|just|only|maybe|approx(?:imately)?\.?|ca\.?)(?![a-z])|~)\s*/i;
const OR_SO = /\s+(?:or so|more or less|give or take|in all|in total|total)\.?$/i;
const JOINT = /^(?:\+|,|&|(?:and|plus)\b)\s*/i;
/** What is taken away again: `1 cup minus 1 tbsp`. */
const LESS = /^(?:minus|less)\s+(?=\S)/i;
/** What an amount is of, where somebody says it though the field holds nothing else. */
const OF_IT =
  'of\\s+(?:the\\s+)?(?:stock|water|liquid|liquor|bath|dye|powder|acid|vinegar|citric|ice|yarn|wool|fiber|silk|it)(?![a-z])';
const OF_IT_NEXT = new RegExp(`^${OF_IT}\\s*`, 'i');
const OF_IT_LAST = new RegExp(`${OF_IT}$`, 'i');

/** True of a text that ends in what the amount is of: `a splash of vinegar`. */
export const saysWhatOf = (text: string): boolean => OF_IT_LAST.test(text.trim());

/** Spoons that nobody fills alike. */
const NOT_LEVEL = /\b(?:heap(?:ed|ing)|round(?:ed|ing)|scant)(?![a-z])/i;

interface Sum {
  value: number;
  guess?: string;
}

/** Two amounts that stand for one: `1:30` of a liquor ratio, `1:30` of a time, `2 g in 200 mL`. Everything else is a sum. */
function inOneField(text: string, kind: QuantityKind, context: ParseContext): Sum | string {
  const ratio = kind.dimension === 'ratio' ? /^1\s*:\s*(.+)$|^(.+?)\s*:\s*1$/.exec(text) : null;
  if (ratio) return sumOf(ratio[1] ?? ratio[2] ?? '', kind, context);
  const clock = kind.dimension === 'time' ? /^(\d{1,3}):([0-5]\d)(?:\s*h)?$/.exec(text) : null;
  if (clock) return { value: 60 * Number(clock[1]) + Number(clock[2]) };
  const within = kind.dissolved === true ? WITHIN.exec(text) : null;
  if (within)
    return strengthOf(text.slice(0, within.index), text.slice(within.index + within[0].length), context);
  return sumOf(text, kind, context);
}

/** What stands between a powder and the liquid it is in; a slash only after a measure, as `1/8` is a number. */
const WITHIN = /\s*:\s*|\s+(?:in|per|to)\s+|(?<=[a-z])\s*\/\s*/i;

/** A strength, w/v %, from the powder and the liquid it is made up to; a bare number is in grams or mL. */
function strengthOf(powder: string, liquid: string, context: ParseContext): Sum | string {
  const grams = sumOf(powder, quantityKind('dyeMass'), context);
  if (typeof grams === 'string') return grams;
  const whole = sumOf(liquid.replace(/^(?:an?\s+)?(?=[a-z])/i, '1 '), quantityKind('volume'), context);
  if (typeof whole === 'string') return whole;
  return whole.value > 0
    ? { ...grams, value: (100 * grams.value) / whole.value }
    : `“${liquid}” is no liquid to be in.`;
}

/** Adds the terms of a spelling, in the unit of the field; or says in a sentence why it cannot be read. */
function sumOf(text: string, kind: QuantityKind, context: ParseContext): Sum | string {
  let rest = text;
  let sum = 0;
  let guess: string | undefined;
  /** What stands before a joint without a measure takes the one that comes. */
  let bare: number[] = [];
  let sign = 1;
  let last: Measure | null = null;
  while (rest !== '') {
    const alone = leadingMeasure(rest, kind, context.spoons ?? 'US', context.own ?? {});
    const number = alone?.measure.alone ? { value: 1, rest } : leadingNumber(rest);
    if (number === 'ambiguous')
      return `“${text}” could be read two ways. Write 1000 or 1.5, without a thousands comma.`;
    if (number === 'range') return `“${text}” is a range; say one amount.`;
    if (!number)
      return rest === text ? `“${text}” is not an amount.` : `“${rest}” in “${text}” is not an amount.`;
    const after = number.rest.trimStart();
    const said = leadingMeasure(after, kind, context.spoons ?? 'US', context.own ?? {});
    const part: boolean = 'part' in number && number.part === true && last !== null && after === '';
    const measure: Measure | null = said?.measure ?? (part ? last : null);
    if (!measure) {
      const unknown = /^[^\d\s+,&]+/.exec(after)?.[0];
      if (unknown !== undefined && !JOINT.test(after))
        return `“${unknown}” in “${text}” is no measure known here.`;
      const times = /^([a-z]+)\s+(\d+\s*\/\s*\d+)/i.exec(rest);
      if (times)
        return `“${text}” could be read two ways. Write ${number.value} x ${times[2]} or ${number.value} ${times[2]}.`;
      if (/^[\d.]/.test(after)) return `“${text}” is two numbers with nothing between.`;
      if (/^an?$/i.test(rest)) return `“${text}” is not an amount.`;
      bare.push(number.value);
      rest = after;
    } else {
      for (const value of [...bare, number.value]) {
        const amount = inField(measure, value, kind, context);
        if (typeof amount === 'string') return amount;
        sum += sign * amount;
      }
      bare = [];
      last = measure;
      guess ??= measure.guess ?? guessedWeight(measure, kind, context);
      rest = (said ? said.rest : after).trimStart().replace(OF_IT_NEXT, '');
    }
    const less = last ? LESS.exec(rest) : null;
    if (bare.length === 0) sign = less ? -1 : 1;
    const joint = less ?? JOINT.exec(rest);
    if (joint && joint[0].length === rest.length) return `“${text}” stops after a joining word.`;
    rest = rest.slice(joint?.[0].length ?? 0);
  }
  // After hours a bare number is minutes.
  const minutes = kind.dimension === 'time' && last?.toCanonical(1) === 60;
  if (bare.length > 0 && last && !minutes) return `“${text}” is missing a unit.`;
  return {
    value: sum + sign * bare.reduce((all, value) => all + value, 0),
    ...(guess !== undefined && { guess }),
  };
}

/** An amount in the unit of the field, or why it cannot be that. */
function inField(
  measure: Measure,
  value: number,
  kind: QuantityKind,
  context: ParseContext,
): number | string {
  const canonical = measure.toCanonical(value);
  const teaspoon = spoonMl('tsp', context.spoons ?? 'US');
  if (measure.dimension === kind.dimension)
    return kind.unit === 'tsp' ? canonical / teaspoon : kind.unit === 'm' ? canonical / 100 : canonical;
  if (kind.dimension === 'mass' && measure.dimension === 'volume' && measure.poured !== true) {
    const grams = context.gramsPerTeaspoon ?? kind.gramsPerTeaspoon;
    return grams === undefined
      ? 'A spoon is a mass only once its grams per level teaspoon are known.'
      : (canonical / teaspoon) * grams;
  }
  return `That is a ${measure.dimension}.`;
}

/** What a spoon of a powder is taken to weigh, where nobody has weighed it. */
function guessedWeight(measure: Measure, kind: QuantityKind, context: ParseContext): string | undefined {
  if (kind.dimension !== 'mass' || measure.dimension !== 'volume') return undefined;
  const { gramsPerTeaspoon, unweighed } = context;
  if (gramsPerTeaspoon === undefined || unweighed !== true) return undefined;
  return `A tsp is taken as ${formatAmount(gramsPerTeaspoon, 'g')}, not weighed.`;
}
