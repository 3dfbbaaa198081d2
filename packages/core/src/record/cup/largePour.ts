import type { CupTap } from './fillCup';

/** A pour that is asked for with a held tap, on a wet glass: so much stock or powder in one go (common practice, no source). */
const LARGE = { mL: 50, g: 5 } as const;

/** Whether something is large enough that a slip of a wet finger would cost a pot. */
export const isLargePour = ({ unit, amount, material }: CupTap): boolean =>
  material.kind === 'dye' && amount !== null && amount >= LARGE[unit];
