import { plainNumber } from './plainNumber';
import { threeFigures } from './threeFigures';

/** A number and its unit, kept apart so that a screen can set the unit smaller. */
export interface ShownAmount {
  number: string;
  unit: string;
}

/** Grams below which a dyer reads milligrams. */
const LEAST_GRAMS = 0.01;

/** Minutes below which a clock reads seconds. */
const LEAST_MINUTES = 1;

/** Three figures, from 100 up all that stands before the point; no trailing zeros. */
const threeOf = (value: number): string =>
  Math.abs(value) >= 100 ? String(Math.round(value)) : plainNumber(Number(value.toPrecision(3)));

const trimmed = (value: number, places: number): string => {
  const text = value.toFixed(places);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};

/** Liters and kilograms, to the hundredth part as long as three figures leave it. */
const largeOf = (value: number): string => (Math.abs(value) >= 100 ? threeOf(value) : trimmed(value, 2));

/**
 * A value in its canonical unit as a dyer reads it, to three figures: large volumes in liters, small masses in milligrams,
 * long times in hours and short ones in seconds, money with cents.
 */
export function showAmount(value: number, unit: string): ShownAmount {
  const size = Math.abs(value);
  if (unit === 'mL' && size >= 1000) return { number: largeOf(value / 1000), unit: 'L' };
  if (unit === 'g' && size >= 10_000) return { number: largeOf(value / 1000), unit: 'kg' };
  if (unit === 'g' && size > 0 && size < LEAST_GRAMS) return { number: threeOf(1000 * value), unit: 'mg' };
  if (unit === 'min' && size > 0 && size < LEAST_MINUTES)
    return { number: String(Math.max(1, Math.round(60 * value))), unit: 's' };
  if (unit === 'min' && value >= 60) return { number: hoursAndMinutes(value), unit: '' };
  if (unit === 'min' && value >= 10) return { number: trimmed(value, 0), unit };
  if (unit === 'pH') return { number: `pH ${value.toFixed(1)}`, unit: '' };
  if (unit === '°C') return { number: threeFigures(value), unit };
  if (unit === 'cents') return { number: (value / 100).toFixed(2), unit: '' };
  if (unit === 'mL/g') return { number: `1:${threeOf(value)}`, unit: '' };
  return { number: threeOf(value), unit };
}

/** `showAmount` as one text. */
export function formatAmount(value: number, unit: string): string {
  const shown = showAmount(value, unit);
  return shown.unit === '' ? shown.number : `${shown.number} ${shown.unit}`;
}

/** The text to put into a field for a value: enough digits that reading it back gives the value, no unit. */
export function editText(value: number): string {
  return String(Number(value.toPrecision(6)));
}

function hoursAndMinutes(minutes: number): string {
  const rounded = Math.round(minutes);
  const hours = Math.floor(rounded / 60);
  const rest = rounded % 60;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}
