import { scatter } from './scatter';
import { overWhole, type Spot } from './spot';

/** How goods lie in the dye, and how often: turns of a twist, knots, ties. */
export interface Lying {
  kind: 'open' | 'twisted' | 'twisted tight' | 'knotted' | 'laid flat' | 'tied sections';
  count: number;
}

/** What dye reaches of a bundle, for drawing. */
interface Bundle {
  /** Share of the strands, over the whole length, that the liquid gets to. */
  reached(count: number): number;
  /** Whether it gets to a spot. */
  isReached(spot: Spot, count: number): boolean;
  /** Part of its dye that what is not reached gets all the same, 0 to 1. */
  seeps: number;
}

/** Of a loose twist, the strands that lie outward somewhere; inside, dye comes late and thin. */
const LOOSE_TWIST = 0.72;
/** Of a tight one, how much of each turn lies outward, and the part of the strands that is its core. */
const TIGHT_TURN = 0.7;
const TIGHT_CORE = 0.26;
/** A knot is so much of the length, but all knots together no more than this; within, only its skin is reached. */
const KNOT = 0.085;
const MOST_KNOTS = 0.6;
const IN_KNOT = 0.92;
/** A tie keeps so much of the length white, all ties together no more than that. */
const TIE = 0.035;
const MOST_TIES = 0.5;
/** Folds of flat goods on the floor of a pan. */
const FOLDS = 0.12;

/** Which way a strand faces in a twist of so many turns, 0 (outward) to 1 (inward). */
const inward = ({ round, across }: Spot, turns: number): number =>
  Math.abs(2 * overWhole(across + 2 * turns * round) - 1);

const isCore = ({ across }: Spot): boolean => Math.abs(2 * across - 1) < TIGHT_CORE;

/** How far from the middle of the nearest of so many places round the goods, in halves of its width. */
const fromMiddle = (round: number, places: number, width: number): number =>
  Math.abs(overWhole(round * places) - 0.5) / (places * (width / 2));

const widthOf = (each: number, most: number, count: number): number => Math.min(each, most / count);

/** One way of lying each: all of them estimates, for drawing (common practice, no source). */
const BUNDLES: Record<Lying['kind'], Bundle> = {
  open: { reached: () => 1, isReached: () => true, seeps: 1 },
  twisted: {
    reached: () => LOOSE_TWIST,
    isReached: (spot, turns) => inward(spot, turns) < LOOSE_TWIST,
    seeps: 0.22,
  },
  'twisted tight': {
    reached: () => TIGHT_TURN * (1 - TIGHT_CORE),
    isReached: (spot, turns) => !isCore(spot) && inward(spot, turns) < TIGHT_TURN,
    seeps: 0.06,
  },
  knotted: {
    // The pale inside of a knot is an oval: its skin takes dye all round.
    reached: (knots) => 1 - (Math.PI / 4) * IN_KNOT * knots * widthOf(KNOT, MOST_KNOTS, knots),
    isReached: ({ round, across }, knots) =>
      fromMiddle(round, knots, widthOf(KNOT, MOST_KNOTS, knots)) ** 2 + ((2 * across - 1) / IN_KNOT) ** 2 >=
      1,
    seeps: 0.08,
  },
  'laid flat': {
    reached: () => 1 - FOLDS,
    isReached: ({ round, across }) => scatter(14, 5, 'folds').rankAt(round, across) > FOLDS,
    seeps: 0.15,
  },
  'tied sections': {
    reached: (ties) => 1 - ties * widthOf(TIE, MOST_TIES, ties),
    isReached: ({ round }, ties) => fromMiddle(round, ties, widthOf(TIE, MOST_TIES, ties)) >= 1,
    seeps: 0,
  },
};

const counted = ({ count }: Lying): number => Math.max(1, Math.round(count));

/** Share of the strands that dye gets to with goods lying so, above 0 to 1. An estimate, for drawing. */
export const strandsReached = (lying: Lying): number => BUNDLES[lying.kind].reached(counted(lying));

/**
 * How much of the dye a spot takes beside what it would take lying open, 0 and more. Over all of the goods this comes
 * to 1: what the inside does not get, the outside has. An estimate, for drawing.
 */
export function takenBy(lying: Lying): (spot: Spot) => number {
  const { reached, isReached, seeps } = BUNDLES[lying.kind];
  const n = counted(lying);
  const share = reached(n);
  const outside = 1 / (share + (1 - share) * seeps);
  return (spot) => (isReached(spot, n) ? outside : seeps * outside);
}
