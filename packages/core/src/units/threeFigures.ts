import { plainNumber } from './plainNumber';

/** Figures that somebody types; a number with more of them was computed. */
const TYPED_FIGURES = 5;

/**
 * A number as it is read: what was typed stays as typed, what was computed has three figures, from 100 up all that stands
 * before the point. Never in powers of ten.
 */
export function threeFigures(value: number): string {
  const size = Math.abs(value);
  if (Number.isInteger(value) || Number(value.toPrecision(TYPED_FIGURES)) === value)
    return plainNumber(value);
  return size >= 100 ? String(Math.round(value)) : plainNumber(Number(value.toPrecision(3)));
}
