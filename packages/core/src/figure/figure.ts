/**
 * How sure a number is. `exact` is arithmetic on what was entered, `established` a published model with
 * published constants, `estimate` a model whose parameters are uncertain and yields to a measurement.
 */
export type Sureness = 'exact' | 'established' | 'estimate';

/** The units figures are kept in: SI inside, conversion only at the edge. */
export type Unit =
  | 'g'
  | 'mL'
  | 'tsp'
  | '%'
  | '% w/v'
  | 'g/L'
  | 'mL/g'
  | '°C'
  | '°C/min'
  | 'min'
  | 'cents'
  | 'meq'
  | 'pH'
  | 'kPa'
  | 'cm'
  | 'parts'
  | '';

/** One number on a screen or a sheet, with everything needed to defend it. */
export interface Figure {
  /** The value, finite always. */
  value: number;
  unit: Unit;
  sureness: Sureness;
  /** The formula with this recipe's own numbers in it. */
  because: string;
  /** Where the formula or constant comes from, when it is more than arithmetic. */
  source?: string;
}

/**
 * Builds a figure and refuses a value that is not a finite number, so that no screen can ever show NaN.
 * @throws RangeError when `value` is NaN or infinite.
 */
export function figure(
  value: number,
  unit: Unit,
  because: string,
  sureness: Sureness = 'exact',
  source?: string,
): Figure {
  if (!Number.isFinite(value)) throw new RangeError(`A figure in ${unit} came out as ${value}: ${because}`);
  return source === undefined
    ? { value, unit, sureness, because }
    : { value, unit, sureness, because, source };
}
