import {
  fahrenheitToCelsius,
  INCH_CM,
  OUNCE_G,
  POUND_G,
  spoonMl,
  US_ML,
  type SpoonSystem,
} from './conversions';
import { quantityKind, type Dimension, type QuantityKindName } from './quantityKinds';
import { leadingNumber, spellFractions } from './readNumber';
import { formatAmount } from './formatQuantity';

/** What the studio must supply for some spellings to be readable. */
export interface ParseContext {
  spoons?: SpoonSystem;
  /** Grams of one level teaspoon of this material; makes `1/8 tsp` readable in a field kept in grams. */
  gramsPerTeaspoon?: number;
}

export interface ParsedQuantity {
  ok: true;
  /** In the unit of the field. */
  value: number;
  /** Set when the value is possible but seldom met: a sentence to show, not a reason to stop. */
  remark?: string;
}

export interface RefusedQuantity {
  ok: false;
  /** What is wrong and what would be right. */
  problem: string;
}

/** Factor to the canonical unit of the dimension, or a way to get there. */
interface UnitReading {
  dimension: Dimension;
  toCanonical: (value: number) => number;
}

const times = (dimension: Dimension, factor: number): UnitReading => ({
  dimension,
  toCanonical: (value) => value * factor,
});

const FIXED_UNITS: [RegExp, UnitReading][] = [
  [/^(?:kg|kilos?)(?![a-z])/i, times('mass', 1000)],
  [/^mg(?![a-z])/i, times('mass', 0.001)],
  [/^g\s*\/\s*l(?![a-z])/i, times('concentration', 1)],
  [/^(?:grams?|gr|g)(?![a-z])/i, times('mass', 1)],
  [/^(?:fl\.?\s*oz|fluid ounces?)(?![a-z])/i, times('volume', US_ML['fl oz'])],
  [/^(?:ounces?|oz)(?![a-z])/i, times('mass', OUNCE_G)],
  [/^(?:pounds?|lbs?)(?![a-z])/i, times('mass', POUND_G)],
  [/^(?:milliliters?|millilitres?|ml|cc)(?![a-z])/i, times('volume', 1)],
  [/^(?:liters?|litres?|l)(?![a-z])/i, times('volume', 1000)],
  [/^(?:quarts?|qt)(?![a-z])/i, times('volume', US_ML.qt)],
  [/^(?:gallons?|gal)(?![a-z])/i, times('volume', US_ML.gal)],
  [/^(?:pints?|pt)(?![a-z])/i, times('volume', US_ML.pt)],
  [/^(?:centimeters?|centimetres?|cm)(?![a-z])/i, times('length', 1)],
  [/^(?:millimeters?|millimetres?|mm)(?![a-z])/i, times('length', 0.1)],
  [/^(?:inches|inch|in|")(?![a-z])/i, times('length', INCH_CM)],
  [/^(?:feet|foot|ft)(?![a-z])/i, times('length', 12 * INCH_CM)],
  [/^(?:kilowatts?|kw)(?![a-z])/i, times('power', 1000)],
  [/^(?:watts?|w)(?![a-z])/i, times('power', 1)],
  [/^(?:%|percent|pct)/i, times('percent', 1)],
  [/^(?:°\s*c|c|celsius)(?![a-z])/i, times('temperature', 1)],
  [/^(?:°\s*f|f|fahrenheit)(?![a-z])/i, { dimension: 'temperature', toCanonical: fahrenheitToCelsius }],
  [/^(?:hours?|hrs?|h)(?![a-z])/i, times('time', 60)],
  [/^(?:minutes?|mins?|min|m)(?![a-z])/i, times('time', 1)],
  [/^(?:seconds?|secs?|s)(?![a-z])/i, times('time', 1 / 60)],
];

const SPOONS: [RegExp, 'tsp' | 'tbsp' | 'cup'][] = [
  [/^(?:tablespoons?|tbsps?|tbs|T(?![a-zA-Z]))/, 'tbsp'],
  [/^(?:teaspoons?|tsps?|t(?![a-zA-Z]))/, 'tsp'],
  [/^cups?/i, 'cup'],
];

/**
 * Reads what a dyer writes: `2 tbsp + 1 tsp`, `1/8 tsp`, `1 1/2 cup`, `4 oz`, `7.5`, `0,5 %`, `200F`, `1:30`.
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
  const noun = capital(kind.noun);
  const spelled = kind.unit === 'tsp' ? bareSpoons(spellFractions(text).trim()) : spellFractions(text).trim();
  if (spelled === '') return refuse(`${noun} is empty. ${example(kindName)}`);
  if (/^[-−–]/.test(spelled) && kind.possible[0] >= 0)
    return refuse(`${noun} cannot be negative. ${example(kindName)}`);
  const asRatio = kind.dimension === 'ratio' ? /^1\s*:\s*(.+)$|^(.+?)\s*:\s*1$/.exec(spelled) : null;
  const below = kind.possible[0] < 0 && /^[-−–]/.test(spelled);
  const unsigned = below ? spelled.slice(1).trim() : spelled;
  const meters = kind.unit === 'm' ? unsigned.replace(/(\d)\s*m(?:eters?|etres?)?$/i, '$1') : unsigned;
  const sum = addTerms(asRatio ? (asRatio[1] ?? asRatio[2] ?? '') : meters, kind.dimension, context);
  if (typeof sum === 'string') return refuse(`${sum} ${example(kindName)}`);
  const inUnit = sum / canonicalPer(kind.unit, meters, context);
  return judge(below ? -inUnit : inUnit, kindName);
}

/** A bare number in a field of spoons is spoons, as a length in a field of meters is meters. */
const bareSpoons = (text: string): string => (/^[\d.,/\s]+$/.test(text) ? `${text} tsp` : text);

/** How many canonical units (mL, cm) make one unit of the field, for the fields that hold larger ones. */
function canonicalPer(unit: string, text: string, context: ParseContext): number {
  if (unit === 'tsp') return spoonMl('tsp', context.spoons ?? 'US');
  return unit === 'm' && /[a-z"]/i.test(text) ? 100 : 1;
}

/**
 * Holds a value against the limits of its kind.
 * @param value in the canonical unit of the kind
 */
export function judge(value: number, kindName: QuantityKindName): ParsedQuantity | RefusedQuantity {
  const kind = quantityKind(kindName);
  const noun = capital(kind.noun);
  const shown = formatAmount(value, kind.unit);
  const [least, most] = kind.possible;
  if (!Number.isFinite(value)) return refuse(`${noun} is not a number.`);
  if (kind.whole && !Number.isInteger(value)) return refuse(`${noun} must be a whole number, not ${value}.`);
  if (kind.aboveZero && value <= 0) return refuse(`${noun} must be more than zero.`);
  if (value < least)
    return refuse(`${noun} cannot be under ${formatAmount(least, kind.unit)}; this reads as ${shown}.`);
  if (value > most)
    return refuse(`${noun} cannot be over ${formatAmount(most, kind.unit)}; this reads as ${shown}.`);
  if (value > kind.usual[1]) return { ok: true, value, remark: `That is a lot: ${shown}.` };
  if (value < kind.usual[0] && value > 0)
    return { ok: true, value, remark: `That is very little: ${shown}.` };
  return { ok: true, value };
}

/** Adds the terms of a spelling, or says in a sentence why it cannot be read. */
function addTerms(text: string, dimension: Dimension, context: ParseContext): number | string {
  let rest = text;
  let sum = 0;
  let terms = 0;
  while (rest !== '') {
    const number = leadingNumber(rest);
    if (number === 'ambiguous')
      return `“${text}” could be read two ways. Write 1000 or 1.5, without a thousands comma.`;
    if (!number) return `“${text}” is not an amount.`;
    const unit = leadingUnit(number.rest.trimStart(), context);
    const value = unit.reading ? inDimension(unit.reading, number.value, dimension, context) : number.value;
    if (typeof value === 'string') return value;
    if (!unit.reading && terms > 0) return `“${text}” is missing a unit.`;
    if (!unit.reading && unit.rest !== '') return `“${text}” has a unit that is not known here.`;
    sum += value;
    terms += 1;
    rest = unit.rest
      .trim()
      .replace(/^(?:\+|and\b|plus\b|&|,)\s*/i, '')
      .trim();
    if (unit.rest.trim() !== '' && rest === '') return `“${text}” stops after a joining word.`;
  }
  return sum;
}

function leadingUnit(text: string, context: ParseContext): { reading?: UnitReading; rest: string } {
  const named = /^(us|metric|au)\s+/i.exec(text);
  const spoonText = named ? text.slice(named[0].length) : text;
  for (const [pattern, measure] of SPOONS) {
    const found = pattern.exec(spoonText);
    if (found) {
      const system = named ? spoonSystem(named[1] ?? '') : (context.spoons ?? 'US');
      return { reading: times('volume', spoonMl(measure, system)), rest: spoonText.slice(found[0].length) };
    }
  }
  for (const [pattern, reading] of FIXED_UNITS) {
    const found = pattern.exec(text);
    if (found) return { reading, rest: text.slice(found[0].length) };
  }
  return { rest: text };
}

function spoonSystem(word: string): SpoonSystem {
  const lower = word.toLowerCase();
  return lower === 'us' ? 'US' : lower === 'au' ? 'AU' : 'metric';
}

function inDimension(
  reading: UnitReading,
  value: number,
  wanted: Dimension,
  context: ParseContext,
): number | string {
  const canonical = reading.toCanonical(value);
  if (reading.dimension === wanted) return canonical;
  if (wanted === 'mass' && reading.dimension === 'volume') {
    if (context.gramsPerTeaspoon === undefined)
      return 'A spoon is a mass only once its grams per level teaspoon are known.';
    return (canonical / spoonMl('tsp', context.spoons ?? 'US')) * context.gramsPerTeaspoon;
  }
  return `That is a ${reading.dimension}, and this field holds a ${wanted}.`;
}

const EXAMPLES: Record<Dimension, string> = {
  mass: 'Try 100 g or 4 oz.',
  volume: 'Try 250 mL or 2 tbsp + 1 tsp.',
  percent: 'Try 0.5 %.',
  temperature: 'Try 85 °C or 185 F.',
  time: 'Try 30 min or 1 h 15 min.',
  ratio: 'Try 30 (mL per gram) or 1:30.',
  concentration: 'Try 1.5 g/L.',
  length: 'Try 30 cm or 12 in.',
  power: 'Try 1500 W.',
  number: 'Try 3.',
};

const example = (name: QuantityKindName): string => EXAMPLES[quantityKind(name).dimension];
const refuse = (problem: string): RefusedQuantity => ({ ok: false, problem });
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
