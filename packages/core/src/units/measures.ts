import {
  fahrenheitToCelsius,
  INCH_CM,
  OUNCE_G,
  POUND_G,
  spoonMl,
  US_ML,
  type SpoonSystem,
} from './conversions';
import type { Dimension, QuantityKind } from './quantityKinds';

/** A measure as it was said. */
export interface Measure {
  dimension: Dimension;
  /** To what the dimension is reckoned in: g, mL, min, °C, cm, W, %, g/L, mL/g, or the number itself. */
  toCanonical: (value: number) => number;
  /** What is guessed where somebody says it. */
  guess?: string;
  /** True of what can be poured only: no powder comes by the drop. */
  poured?: boolean;
  /** True of what needs no number before it. */
  alone?: boolean;
}

/** Spellings, one word each and in small letters, of what is so many of the canonical unit. */
const MEASURES: [spellings: string, Dimension, factor: number][] = [
  ['kg kilo kilogram', 'mass', 1000],
  ['g gram gramme gr gm', 'mass', 1],
  ['mg milligram', 'mass', 0.001],
  ['oz ounce', 'mass', OUNCE_G],
  ['lb pound', 'mass', POUND_G],
  ['ml milliliter millilitre cc', 'volume', 1],
  ['l liter litre ltr', 'volume', 1000],
  ['dl deciliter decilitre', 'volume', 100],
  ['cl centiliter centilitre', 'volume', 10],
  ['floz', 'volume', US_ML['fl oz']],
  ['pt pint', 'volume', US_ML.pt],
  ['qt quart', 'volume', US_ML.qt],
  ['gal gallon', 'volume', US_ML.gal],
  ['cm centimeter centimetre', 'length', 1],
  ['mm millimeter millimetre', 'length', 0.1],
  ['m meter metre', 'length', 100],
  ['in inch inche ”', 'length', INCH_CM],
  ['ft foot feet', 'length', 12 * INCH_CM],
  ['w watt', 'power', 1],
  ['kw kilowatt', 'power', 1000],
  ['% percent pct', 'percent', 1],
  ['c celsius °', 'temperature', 1],
  ['s sec second', 'time', 1 / 60],
  ['m min minute', 'time', 1],
  ['h hr hour', 'time', 60],
  ['d day', 'time', 24 * 60],
  ['week', 'time', 7 * 24 * 60],
  ['g/l', 'concentration', 1],
  ['ml/g', 'ratio', 1],
];

const SPOONS = new Map<string, 'tsp' | 'tbsp' | 'cup'>(
  Object.entries({
    T: 'tbsp',
    tablespoon: 'tbsp',
    tablespoonful: 'tbsp',
    tbsp: 'tbsp',
    tb: 'tbsp',
    tbl: 'tbsp',
    tbls: 'tbsp',
    tblsp: 'tbsp',
    t: 'tsp',
    teaspoon: 'tsp',
    teaspoonful: 'tsp',
    tsp: 'tsp',
    cup: 'cup',
    cupful: 'cup',
    // A spoon that is not said to be a small one is the large one (common practice, no source).
    spoon: 'tbsp',
    spoonful: 'tbsp',
    c: 'cup',
  }),
);

/** Teaspoons of what nobody measured: guesses until the studio has measured its own. From memory. */
const PINCHES = new Map<string, [teaspoons: number, said: string]>([
  ['pinch', [1 / 16, '1/16 tsp']],
  ['dash', [1 / 8, '1/8 tsp']],
  ['smidgen', [1 / 32, '1/32 tsp']],
]);
/** Milliliters of the same. From memory. */
const POURED = new Map([
  ['drop', 0.05],
  ['splash', 15],
]);
/** What nobody measures with a spoon or a cup, until a studio has measured what its own hold. */
export const BY_EYE = ['pinch', 'dash', 'smidgen', 'splash', 'drop'] as const;
/** What the pinch, the dash and the like of a studio hold, mL; a guess stands for what is null or left out. */
export type OwnMeasures = Partial<Record<(typeof BY_EYE)[number], number | null>>;

/** A good splash is a splash: how much it is, nobody measured either way. */
const BY_EYE_ANYWAY = new RegExp(
  `^(?:good|generous|big|large|little|small|tiny|fair)\\s+(?=(?:${BY_EYE.join('|')}))`,
  'i',
);

/** Hours that a night is taken for. */
const NIGHT_H = 12;

const named = new Map<string, Measure[]>();
for (const [spellings, dimension, factor] of MEASURES)
  for (const word of spellings.split(' '))
    named.set(word, [...(named.get(word) ?? []), { dimension, toCanonical: (value) => value * factor }]);
for (const word of ['f', 'fahrenheit'])
  named.set(word, [{ dimension: 'temperature', toCanonical: fahrenheitToCelsius }]);

/** What is written as several words or with a stroke, as one word. */
const AS_ONE: [RegExp, string][] = [
  [/^fl(?:uid)?\.?\s*(?:oz|ounces?)(?![a-z])\.?/i, 'floz'],
  [/^per cent(?![a-z])/i, '%'],
  [/^(?:g|grams?)\s*(?:\/|per)\s*(?:l|liter|litre)(?![a-z])/i, 'g/l'],
  [/^(?:ml|cc)\s*(?:\/|per)\s*(?:g|gram)(?![a-z])/i, 'ml/g'],
  [/^(?:mg\s*(?:\/|per)\s*(?:l|liter|litre)|ppm)(?![a-z])/i, 'mg/l'],
  [/^g\s*(?:\/|per)\s*(?:g|gram)(?![a-z])/i, 'g/g'],
  [/^(?:°|deg(?:rees?)?\b)?\s*(?:c\s*)?(?:\/|per\b|a\b)\s*min(?:ute)?(?![a-z])/i, 'c/min'],
  [/^(?:°|deg(?:rees?)?\b)?\s*f\s*(?:\/|per\b|a\b)\s*min(?:ute)?(?![a-z])/i, 'f/min'],
  [/^(?:°|deg(?:rees?)?\b)\s*f(?:ahrenheit)?(?![a-z])/i, 'f'],
  [/^(?:°|deg(?:rees?)?\b)\s*(?:c(?:elsius)?(?![a-z]))?/i, '°'],
];

/**
 * A measure at the start of a text, and what follows it; where a word could be several, the one that fits the field.
 * @returns null where no measure known here stands there
 */
export function leadingMeasure(
  text: string,
  kind: QuantityKind,
  spoons: SpoonSystem,
  own: OwnMeasures,
): { measure: Measure; rest: string } | null {
  const whose = /^(?:(us|metric|au)|level)\s+(?=[a-z])/i.exec(text);
  const from = text.slice(whose?.[0].length ?? 0).replace(BY_EYE_ANYWAY, '');
  const one = AS_ONE.map(([pattern, as]) => ({ as, match: pattern.exec(from)?.[0] })).find(
    ({ match }) => match,
  );
  const word = one?.match ?? /^(?:[a-z]+\.?|[%"”€$£])/i.exec(from)?.[0];
  if (!word) return null;
  const all = measuresOf(
    one?.as ?? word.replace(/\.$/, '').replace('"', '”'),
    kind,
    system(whose?.[1], spoons),
    own,
  );
  const measure = all.find(({ dimension }) => dimension === kind.dimension) ?? all[0];
  return measure ? { measure, rest: from.slice(word.length) } : null;
}

function measuresOf(word: string, kind: QuantityKind, spoons: SpoonSystem, own: OwnMeasures): Measure[] {
  const low = word.toLowerCase();
  const single = low.length > 2 ? low.replace(/(ch|sh)es$|s$/, '$1') : low;
  if (kind.words?.split(' ').some((own) => own === low || own === single)) {
    const factor = low === 'f/min' ? 5 / 9 : 1;
    return [{ dimension: kind.dimension, toCanonical: (value) => value * factor }];
  }
  // One letter is a tablespoon as a capital and a teaspoon as a small one.
  const spoon =
    SPOONS.get(word) ??
    SPOONS.get(low.length > 1 || low === 'c' ? low : '') ??
    SPOONS.get(low.length > 1 ? single : '');
  const teaspoons = PINCHES.get(single);
  const ml = POURED.get(single);
  const known = BY_EYE.find((eye) => eye === single);
  const held = known === undefined ? null : (own[known] ?? null);
  return [
    ...(named.get(low) ?? named.get(single) ?? []),
    ...(spoon
      ? [
          {
            ...inMl(spoonMl(spoon, spoons)),
            ...(single.startsWith('spoon') && { guess: guessed(single, '1 tbsp') }),
          },
        ]
      : []),
    ...(teaspoons
      ? [
          {
            ...inMl(held ?? teaspoons[0] * spoonMl('tsp', spoons)),
            alone: true,
            ...(held === null && { guess: guessed(single, teaspoons[1]) }),
          },
        ]
      : []),
    ...(ml
      ? [
          {
            ...inMl(held ?? ml),
            alone: true,
            poured: true,
            ...(held === null && { guess: guessed(single, `${ml} mL`) }),
          },
        ]
      : []),
    ...(low === 'overnight'
      ? [
          {
            dimension: 'time' as const,
            toCanonical: (value: number) => value * NIGHT_H * 60,
            alone: true,
          },
        ]
      : []),
  ];
}

const inMl = (factor: number): Measure => ({ dimension: 'volume', toCanonical: (value) => value * factor });
const guessed = (word: string, as: string): string => `A ${word} is taken as ${as}.`;

function system(word: string | undefined, studio: SpoonSystem): SpoonSystem {
  const low = word?.toLowerCase();
  return low === 'us' ? 'US' : low === 'au' ? 'AU' : low === 'metric' ? 'metric' : studio;
}
