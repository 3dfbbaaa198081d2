import type { CautionName } from '../materials/cautionNames';
import type { Figure } from '../figure/figure';
import type { Act } from '../process/act';
import type { State } from '../process/state';

/** One act of a plan, with what it is measured with and minded by. */
export interface Line {
  /** From the act’s role in the recipe; events name it, nobody takes it apart. */
  id: string;
  act: Act;
  /** An act that goes without saying: no line of its own, done with the one it stands beside. */
  quiet: boolean;
  /** What it is measured with. */
  tool: { name: string; fills: number } | null;
  /** For a working dilution or a cup of paint: what it is made up to, mL, and the tool for that. */
  madeUp: { ml: number; tool: string } | null;
  /** Grams of powder the recipe asked for here, before any rounding to a tool. */
  askedGrams: number | null;
  /** True where the minutes are a model’s guess, not a decision. */
  estimated: boolean;
  /** Which of how many equal doses this is. */
  dose: { nth: number; of: number } | null;
  cautions: CautionName[];
  /** Minutes of the dyer’s own hands; an estimate (common practice, no source). */
  hands: number;
  /** Where the minutes or the amount come from, when that is more than a decision. */
  because: Figure | null;
}

/** An act as a way writes it; what it leaves out takes the usual value. */
export type Written = Pick<Line, 'id' | 'act'> & Partial<Line>;

/** A step of a way: an act, or acts that hang on what is there when their turn comes. */
export type WayStep = Written | ((state: State) => readonly Written[]);

/**
 * A line in full, some of it said otherwise than it was written. Field by field, so that every line is of one shape and
 * quick to make.
 */
export function lineWith(written: Written, more: Partial<Line>): Line {
  const quiet = more.quiet ?? written.quiet ?? false;
  return {
    id: more.id ?? written.id,
    act: more.act ?? written.act,
    quiet,
    tool: more.tool ?? written.tool ?? null,
    madeUp: more.madeUp ?? written.madeUp ?? null,
    askedGrams: more.askedGrams ?? written.askedGrams ?? null,
    estimated: more.estimated ?? written.estimated ?? false,
    dose: more.dose ?? written.dose ?? null,
    cautions: more.cautions ?? written.cautions ?? NO_CAUTIONS,
    hands: more.hands ?? written.hands ?? (quiet ? 0 : 2),
    because: more.because ?? written.because ?? null,
  };
}

const NO_CAUTIONS: CautionName[] = [];
