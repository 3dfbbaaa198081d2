import { overWhole } from './spot';
import { seededStream } from './strands';

/**
 * Islands strewn over goods: a grid of cells, each with its rank among them, so that a share of all cells is a share
 * of the goods to the cell. Its own for each seed, and the same every time.
 */
export interface Scatter {
  cells: number;
  /** Rank of the cell at a spot, above 0 and below 1. */
  rankAt(way: number, across: number): number;
}

const KNOWN = new Map<string, Scatter>();
/** Cells along the goods whose ranks are spread evenly. */
const STRETCH = 3;
/** More patterns than that are on no screen at once. */
const MOST_KNOWN = 200;

/**
 * @param long cells along the goods
 * @param wide cells across them
 */
export function scatter(long: number, wide: number, seed: string): Scatter {
  const key = `${long}:${wide}:${seed}`;
  const known = KNOWN.get(key);
  if (known) return known;
  const made = strewn(long, wide, seed);
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(key, made);
  return made;
}

/** Out and back between shore and shore, a quarter of a cell at most. */
const wobble = (at: number): number => Math.abs(overWhole(at) - 0.5) - 0.25;

function strewn(long: number, wide: number, seed: string): Scatter {
  const next = seededStream(seed);
  const cells = long * wide;
  const ranks = new Float64Array(cells);
  // Ranked stretch by stretch, so that a part of the goods has as many islands as another.
  for (let from = 0; from < long; from += STRETCH) {
    const stretch = Math.min(STRETCH, long - from);
    Array.from({ length: stretch * wide }, (_, i) => ({ i, by: next() }))
      .toSorted((a, b) => a.by - b.by)
      .forEach(({ i }, rank) => {
        const cell = Math.floor(i / stretch) * long + from + (i % stretch);
        ranks[cell] = (rank + next()) / (stretch * wide);
      });
  }
  return {
    cells,
    rankAt(way, across) {
      // Shores wander, so that no island is a box.
      const out = across * wide + wobble(way * long * 0.65);
      const row = Math.min(wide - 1, Math.max(0, Math.floor(out)));
      const along = way * long + (row % 2) / 2 + wobble(out * 0.75);
      const column = (Math.floor(along) + long) % long;
      return ranks[row * long + column] ?? 0;
    },
  };
}
