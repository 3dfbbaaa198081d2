import { celsiusToFahrenheit, INCH_CM, OUNCE_G } from '../units/conversions';
import { editText } from '../units/formatQuantity';
import type { QuantityKindName } from '../units/quantityKinds';
import type { Shown } from '../shelf/habits';

/** A unit that a studio reads in, where the field keeps another. */
export interface StudioUnit {
  /** As it is written behind the number. */
  unit: '°F' | 'in' | 'oz';
  /** How a value in the unit of the field reads in it: `190.4 °F`. */
  say: (value: number) => string;
}

const FAHRENHEIT = unitOf('°F', celsiusToFahrenheit, 1);
const INCHES = unitOf('in', (cm) => cm / INCH_CM, 2);
const OUNCES = unitOf('oz', (grams) => grams / OUNCE_G, 2);

/**
 * In which unit a bare number of a field stands, and a value that nobody said in words is shown.
 * @returns null where that is the unit the field keeps
 */
export function studioUnit(kind: QuantityKindName, shown: Shown): StudioUnit | null {
  if (kind === 'temperature' || kind === 'roomTemperature')
    return shown.temperature === '°F' ? FAHRENHEIT : null;
  if (kind === 'length') return shown.length === 'in' ? INCHES : null;
  if (kind === 'fiberMass') return shown.mass === 'oz' ? OUNCES : null;
  return null;
}

const NUMBER = /^[\d.,/\s½⅓⅔¼¾⅛⅜⅝⅞]*\d[\d.,/\s]*$|^\s*[½⅓⅔¼¾⅛⅜⅝⅞]\s*$/;

/** What was typed with the unit it stands in, where it is a bare number; as typed where it says its own. */
export const withUnit = (text: string, unit: StudioUnit | null): string =>
  unit !== null && NUMBER.test(text) ? `${text.trim()} ${unit.unit}` : text;

function unitOf(unit: StudioUnit['unit'], from: (value: number) => number, places: number): StudioUnit {
  return { unit, say: (value) => `${editText(Number(from(value).toFixed(places)))} ${unit}` };
}
