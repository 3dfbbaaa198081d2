/**
 * One spot on goods that are drawn. All are shares from 0 to 1.
 * For a hank: `round` runs once round the ring from its top, `end` is the way from its foot up either leg.
 * For a piece with two ends both are the way from its lower end.
 */
export interface Spot {
  round: number;
  end: number;
  /** Across the goods: from the inner strand to the outer, or from edge to edge. */
  across: number;
  /** Which layer of a pile, from its top; the same as `across` where there is no pile. */
  layer: number;
}

/** What of a value is over the last whole number, from 0 up to 1: the place on a ring that was gone round several times. */
export const overWhole = (value: number): number => value - Math.floor(value);

/** Goods that hang as a ring, or lie with two ends. */
export type Ends = 'ring' | 'two ends';

/** @param way round the ring, or from the lower end; 0 to 1 */
export const spotAt = (ends: Ends, way: number, across: number, layer = across): Spot => ({
  round: way,
  end: ends === 'ring' ? Math.abs(1 - 2 * way) : way,
  across,
  layer,
});
