import type { DrawnDye } from '../color/drawnColor';
import { takenBy, type Lying } from './bundle';
import { scatter } from './scatter';
import { overWhole, type Spot } from './spot';

/** Where color goes on goods. A stretch says which; the others say how much of the goods they are. */
export type Where =
  | { kind: 'all' }
  /** A stretch of the ring, from its top. */
  | { kind: 'around'; from: number; to: number }
  /** A stretch of the length, from the end up: on a hank it runs over both legs. */
  | { kind: 'along'; from: number; to: number }
  /** Layers of a pile, from its top. */
  | { kind: 'layer'; from: number; to: number }
  /** Both sides of a pan: the left leg and the right one. */
  | { kind: 'sides'; share: number }
  /** To and fro across the goods, so that no two rows of a fabric meet their colors in one place. */
  | { kind: 'zigzag'; share: number }
  | { kind: 'patches'; share: number }
  | { kind: 'touches'; share: number }
  | { kind: 'specks'; share: number }
  /** As melting ice carries it: everywhere, here much and there little. */
  | { kind: 'drips' };

/** Color for one place. */
export interface Part {
  where: Where;
  dyes: readonly DrawnDye[];
}

/** What one pass, or one step of it, lays on goods. Of its parts the first that covers a spot has it. */
export interface Coat {
  parts: readonly Part[];
  lying: Lying;
}

/** How often a zigzag runs across and back on the length of the goods. */
const SLANTS = 3.5;
const ISLANDS = {
  patches: { long: 15, wide: 4 },
  touches: { long: 34, wide: 7 },
  specks: { long: 90, wide: 26 },
};
/** Unevenness of a drip: from nearly none to nearly twice. */
const LEAST_DRIP = 0.15;

/** Share of the goods that a place is, 0 to 1. */
const shareOf = (where: Where): number => {
  switch (where.kind) {
    case 'all':
    case 'drips':
      return 1;
    case 'around':
    case 'along':
    case 'layer':
      return where.to - where.from;
    default:
      return where.share;
  }
};

/** How far across a spot lies from the line that runs to and fro over the goods, 0 to 1. */
const fromLine = ({ end, across }: Spot): number =>
  Math.abs(Math.abs(2 * overWhole(SLANTS * end) - 1) - across);

/** Whether a place covers a spot. @param part share of what the places before have left, 0 to 1 */
function covers(where: Where, part: number, seed: string): (spot: Spot) => boolean {
  switch (where.kind) {
    case 'all':
    case 'drips':
      return () => true;
    case 'around':
      return within(where, ({ round }) => round);
    case 'along':
      return within(where, ({ end }) => end);
    case 'layer':
      return within(where, ({ layer }) => layer);
    case 'sides':
      return ({ end }) => Math.abs(2 * end - 1) < part;
    case 'zigzag': {
      // The share of spots that lie nearer a line across than d is 2 d - d².
      const near = 1 - Math.sqrt(1 - part);
      return (spot) => fromLine(spot) < near;
    }
    case 'patches':
    case 'touches':
    case 'specks': {
      const islands = scatter(ISLANDS[where.kind].long, ISLANDS[where.kind].wide, seed);
      return ({ round, across }) => islands.rankAt(round, across) < part;
    }
  }
}

const within =
  ({ from, to }: { from: number; to: number }, of: (spot: Spot) => number) =>
  (spot: Spot): boolean => {
    const at = of(spot);
    return at >= from && (at < to || (to >= 1 && at >= 1));
  };

/** A coat made ready to be asked spot by spot. */
export interface LaidCoat {
  /** The part that covers a spot, by its place in the list; -1 where the goods stay as they were. */
  partAt(spot: Spot): number;
  /** Dye that a spot takes, beside what it would take lying open and evenly poured, 0 and more. */
  takenAt(spot: Spot, part: number): number;
}

/** @param seed any text; equal seeds lay equal islands */
export function laid({ parts, lying }: Coat, seed: string): LaidCoat {
  let left = 1;
  const tests = parts.map(({ where }, i) => {
    const part = left <= 0 ? 0 : Math.min(1, shareOf(where) / left);
    left -= shareOf(where);
    return covers(where, part, `${where.kind}:${seed}:${i}`);
  });
  const taken = takenBy(lying);
  const drips = parts.some(({ where }) => where.kind === 'drips') ? scatter(11, 3, `drips:${seed}`) : null;
  return {
    partAt(spot) {
      for (let i = 0; i < tests.length; i += 1) if (tests[i]?.(spot)) return i;
      return -1;
    },
    takenAt: (spot, part) =>
      taken(spot) *
      (drips && parts[part]?.where.kind === 'drips'
        ? LEAST_DRIP + (2 - 2 * LEAST_DRIP) * drips.rankAt(spot.round, spot.across)
        : 1),
  };
}

/** Part of the goods that a coat covers, 0 to 1. */
export const covered = ({ parts }: Coat): number =>
  Math.min(
    1,
    parts.reduce((sum, { where }) => sum + shareOf(where), 0),
  );
