/** A number and its unit, kept apart so that a screen can set the unit smaller. */
export interface ShownAmount {
  number: string;
  unit: string;
}

/** Decimals that a bench can use for a value of this size: three figures, never more than three decimals. */
function decimals(value: number): number {
  const size = Math.abs(value);
  if (size === 0) return 0;
  if (size < 1) return 3;
  if (size < 10) return 2;
  if (size < 100) return 1;
  return 0;
}

const trimmed = (value: number, places: number): string => {
  const text = value.toFixed(places);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};

/**
 * A value in its canonical unit as a dyer reads it: large volumes in liters, long times in hours, money with cents.
 * No more figures than can be weighed or read.
 */
export function showAmount(value: number, unit: string): ShownAmount {
  if (unit === 'mL' && Math.abs(value) >= 1000) return { number: trimmed(value / 1000, 2), unit: 'L' };
  if (unit === 'mL')
    return { number: trimmed(value, Math.abs(value) < 1 ? 2 : Math.abs(value) < 100 ? 1 : 0), unit };
  if (unit === 'g' && Math.abs(value) >= 10_000) return { number: trimmed(value / 1000, 2), unit: 'kg' };
  if (unit === 'min' && value >= 60) return { number: hoursAndMinutes(value), unit: '' };
  if (unit === 'min') return { number: trimmed(value, value < 10 ? 1 : 0), unit };
  if (unit === 'pH') return { number: `pH ${value.toFixed(1)}`, unit: '' };
  if (unit === '°C') return { number: trimmed(value, 0), unit };
  if (unit === 'cents') return { number: (value / 100).toFixed(2), unit: '' };
  if (unit === 'mL/g')
    return { number: `1:${trimmed(value, value < 0.1 ? 3 : value < 1 ? 2 : value < 10 ? 1 : 0)}`, unit: '' };
  return { number: trimmed(value, decimals(value)), unit };
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
