/**
 * Unit factors. Volumes: NIST Handbook 44 (2024), Appendix C, US customary liquid measure; metric spoons and
 * the Australian tablespoon are legal metric sizes. Masses: international avoirdupois pound, exact since 1959.
 */

/** Milliliters in one of each US customary measure. */
export const US_ML = {
  tsp: 4.92892159375,
  tbsp: 14.78676478125,
  'fl oz': 29.5735295625,
  cup: 236.5882365,
  pt: 473.176473,
  qt: 946.352946,
  gal: 3785.411784,
} as const;

/** Milliliters in metric kitchen measures. */
export const METRIC_ML = { tsp: 5, tbsp: 15, cup: 250 } as const;

/** The Australian tablespoon is four teaspoons of 5 mL. */
export const AU_ML = { tsp: 5, tbsp: 20, cup: 250 } as const;

/** Grams in an avoirdupois ounce and pound. */
export const OUNCE_G = 28.349523125;
export const POUND_G = 453.59237;

/** Centimeters in an inch, exact since 1959. */
export const INCH_CM = 2.54;

/** Which spoons and cups a bare `tsp`, `tbsp` or `cup` means in this studio. */
export type SpoonSystem = 'US' | 'metric' | 'AU';

/** Milliliters of one spoon or cup in a spoon system. */
export function spoonMl(measure: 'tsp' | 'tbsp' | 'cup', system: SpoonSystem): number {
  return system === 'US' ? US_ML[measure] : system === 'metric' ? METRIC_ML[measure] : AU_ML[measure];
}

/** Degrees Fahrenheit to Celsius, exact. */
export const fahrenheitToCelsius = (f: number): number => ((f - 32) * 5) / 9;

/** Degrees Celsius to Fahrenheit, exact. */
export const celsiusToFahrenheit = (c: number): number => (c * 9) / 5 + 32;
