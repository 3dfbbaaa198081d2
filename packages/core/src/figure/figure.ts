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
  readonly value: number;
  readonly unit: Unit;
  readonly sureness: Sureness;
  /** The formula with this recipe's own numbers in it. */
  readonly because: string;
  /** Where the formula or constant comes from, when it is more than arithmetic. */
  readonly source?: string | undefined;
  /** Where it is measured out: as what, and how it was said. Not part of what is written down. */
  readonly measure?: Measure | undefined;
}

/** How an amount is measured out, for saying it in the dyer's own measure. */
export interface Measure {
  as: 'pour' | 'water' | 'goods' | 'heat';
  /** What was typed for it, or for the whole it is a part of; null where nobody said it in words. */
  said: string | null;
  /** Grams of a level teaspoon, where it is a powder that goes by the spoon. */
  gramsPerTeaspoon?: number | undefined;
}

/** A reason, or how to put it in words: most are never read, and writing one out takes longer than the arithmetic. */
export type Because = string | (() => string);

/** A figure that puts its reason in words when it is first asked. */
class Reasoned implements Figure {
  constructor(
    readonly value: number,
    readonly unit: Unit,
    readonly sureness: Sureness,
    private reason: Because,
    readonly source: string | undefined,
    readonly measure?: Measure,
  ) {}

  /** The same figure, with its reason still unwritten. */
  measured(measure: Measure): Figure {
    return new Reasoned(this.value, this.unit, this.sureness, this.reason, this.source, measure);
  }

  get because(): string {
    if (typeof this.reason === 'function') this.reason = this.reason();
    return this.reason;
  }

  /** As it is written down. */
  toJSON(): Figure {
    const { value, unit, sureness, because, source } = this;
    return source === undefined
      ? { value, unit, sureness, because }
      : { value, unit, sureness, because, source };
  }
}

/**
 * Builds a figure and refuses a value that is not a finite number, so that no screen can ever show NaN.
 * @param because the reason; as a function where it has numbers in it, so that it is written when somebody asks
 * @throws RangeError when `value` is NaN or infinite.
 */
export function figure(
  value: number,
  unit: Unit,
  because: Because,
  sureness: Sureness = 'exact',
  source?: string,
): Figure {
  if (!Number.isFinite(value))
    throw new RangeError(
      `A figure in ${unit} came out as ${value}: ${typeof because === 'function' ? because() : because}`,
    );
  return new Reasoned(value, unit, sureness, because, source);
}

/** A figure that is measured out, so that it can be said in the dyer's own measure. */
export const measuredOut = (of: Figure, measure: Measure | null): Figure =>
  measure === null ? of : of instanceof Reasoned ? of.measured(measure) : { ...of, measure };
