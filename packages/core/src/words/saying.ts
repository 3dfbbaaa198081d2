import { celsiusToFahrenheit, INCH_CM, OUNCE_G, spoonMl } from '../units/conversions';
import type { Figure } from '../figure/figure';
import { inSpoons, type SpoonSet } from '../units/inSpoons';
import { parseQuantity, type ParseContext } from '../units/parseQuantity';
import type { QuantityKindName } from '../units/quantityKinds';
import type { OwnMeasures } from '../units/measures';
import { saidBySpoon, saidInFahrenheit, saidInInches, saidInOunces } from '../units/saidBy';
import { threeFigures } from '../units/threeFigures';
import { METRIC, spoonSetOf, USUAL_HABITS, type Shown } from '../shelf/habits';
import type { Studio } from '../shelf/studio';

/** How a studio says amounts: what its spoons are, and in which measures it reads. */
export interface Measures {
  spoons: SpoonSet;
  /** What its own pinch, splash and the like hold. */
  own: OwnMeasures;
  shown: Shown;
}

/**
 * A figure in the dyer's own measure: spoons and cups for what is poured and run, ounces for goods, Fahrenheit for heat.
 * @returns null where it is not measured out, or metric is all that is of use
 */
export function ownMeasure({ value, unit, measure }: Figure, measures: Measures): BySpoon | null {
  const said = measure?.said ?? null;
  if (unit === '°C') return exactly(inFahrenheit(value, said, measures));
  if (unit === 'cm') return exactly(inInches(value, said, measures));
  if (!measure || !(value > 0)) return null;
  if (unit === 'mL') return volumeBySpoon(value, said, measure.as === 'water' ? 'water' : 'pours', measures);
  if (unit !== 'g') return null;
  if (measure.as === 'goods') return exactly(goodsInOunces(value, said, measures));
  return measure.gramsPerTeaspoon === undefined
    ? null
    : powderBySpoon(value, measure.gramsPerTeaspoon, said, measures);
}

const exactly = (words: string | null): BySpoon | null =>
  words === null ? null : { words, offPercent: 0, first: true };

/** A studio that has said nothing. */
export const USUAL_MEASURES: Measures = {
  spoons: { system: 'US', spoons: USUAL_HABITS.spoons },
  own: {},
  shown: METRIC,
};

export const measuresOf = (studio: Pick<Studio, 'spoons' | 'habits'>): Measures => ({
  spoons: spoonSetOf(studio),
  own: studio.habits.own,
  shown: studio.habits.shown,
});

/** An amount in spoons or cups. */
export interface BySpoon {
  words: string;
  /** How far those words are off, %; 0 where they are what was said. */
  offPercent: number;
  /** True where they are read before the metric amount: it was said so, or the studio reads so. */
  first: boolean;
}

/** Words this near say the amount, %. */
const SAME_PERCENT = 0.05;
/** Spoons farther off than this are no way to measure what is read in metric, %. */
const OF_USE_PERCENT = 5;

const sameAs = (text: string, kind: QuantityKindName, context: ParseContext, value: number): boolean => {
  const read = parseQuantity(text, kind, context);
  return read.ok && Math.abs(read.value - value) <= (SAME_PERCENT / 100) * value;
};

/**
 * A volume in the studio's spoons, or as it was said.
 * @param text how it, or the whole it is a part of, was said; null where nobody said it in words
 * @param by whether the studio reads it as a pour or as water
 */
export function volumeBySpoon(
  ml: number,
  text: string | null,
  by: 'pours' | 'water',
  { spoons, shown, own }: Measures,
): BySpoon | null {
  const spoken = text !== null && saidBySpoon(text);
  if (spoken && sameAs(text, 'volume', { spoons: spoons.system, own }, ml)) return asSaid(text);
  return spooned(ml, spoons, spoken || (!text && (shown[by] === 'spoons' || shown[by] === 'cups')));
}

/**
 * A powder in level spoons, or as it was said.
 * @param gramsPerTeaspoon what a level teaspoon of it weighs
 */
export const powderBySpoon = (
  grams: number,
  gramsPerTeaspoon: number,
  text: string | null,
  measures: Measures,
): BySpoon | null =>
  volumeBySpoon((grams / gramsPerTeaspoon) * spoonMl('tsp', measures.spoons.system), text, 'pours', measures);

const asSaid = (words: string): BySpoon => ({ words, offPercent: 0, first: true });

function spooned(ml: number, spoons: SpoonSet, first: boolean): BySpoon | null {
  const said = inSpoons(ml, spoons);
  if (!said || (!first && Math.abs(said.offPercent) > OF_USE_PERCENT)) return null;
  return { words: said.words, offPercent: said.offPercent, first };
}

/** How far spoons are off, in words: `1.3 % over`; empty where nobody could see it on a level spoon. */
export function offWords(offPercent: number): string {
  const off = Math.abs(offPercent);
  return off < 0.5 ? '' : `${Number(off.toPrecision(2))} % ${offPercent > 0 ? 'over' : 'under'}`;
}

/** A mass of goods in ounces, where it was said so or the studio reads so; null in grams. */
export function goodsInOunces(grams: number, text: string | null, { shown }: Measures): string | null {
  const spoken = text !== null && saidInOunces(text);
  if (spoken && sameAs(text, 'fiberMass', {}, grams)) return text;
  return spoken || (!text && shown.mass === 'oz') ? `${threeFigures(grams / OUNCE_G)} oz` : null;
}

/** A temperature in Fahrenheit, where it was said so or the studio reads so; null in Celsius. */
export const inFahrenheit = (celsius: number, text: string | null, { shown }: Measures): string | null =>
  (text ? saidInFahrenheit(text) : shown.temperature === '°F')
    ? `${Math.round(celsiusToFahrenheit(celsius))} °F`
    : null;

/** A length in inches, where it was said so or the studio reads so; null in centimeters. */
export const inInches = (cm: number, text: string | null, { shown }: Measures): string | null =>
  (text ? saidInInches(text) : shown.length === 'in') ? `${threeFigures(cm / INCH_CM)} in` : null;
