import { rgbHex, type Rgb } from '../color/srgb';
import type { Form } from '../shelf/forms';
import { laid, type Coat } from './coat';
import { byBands, type Painting } from './painting';
import { overWhole, spotAt, type Ends, type Spot } from './spot';
import { seededStream } from './strands';

/** How goods look at a moment: their own color, and what went over it, first to last. For drawing only. */
export interface YarnLook {
  form: Form;
  /** Their picked color before any dye. */
  ground: string;
  /** The base as it comes; left out for goods that had a color of their own before, and where it is not known. */
  undyedBaseId?: string;
  coats: readonly Coat[];
  /** Spread of depth from strand to strand, 0 level to 1 strongly tonal. */
  unevenness: number;
}

/** Undyed and evenly dyed goods are a little tonal all the same (common practice, no source). */
export const PLAIN_UNEVENNESS = 0.12;

/** Goods that nothing went over. */
export const plainLook = (hex: string, form: Form = 'skein', undyedBaseId?: string): YarnLook => ({
  form,
  ground: hex,
  ...(undyedBaseId !== undefined && { undyedBaseId }),
  coats: [],
  unevenness: PLAIN_UNEVENNESS,
});

/** The same goods with one more coat. */
export const coated = (look: YarnLook, coat: Coat): YarnLook => ({ ...look, coats: [...look.coats, coat] });

/** Goods strand by strand and step by step: `at` holds which of the lights strand × steps + step throws back. */
export interface Colored {
  /** Linear light, red, green and blue. */
  lights: readonly Rgb[];
  at: Uint16Array;
  strands: number;
  steps: number;
}

export interface Grid {
  ends: Ends;
  strands: number;
  /** Steps on the way: once round a ring, or from the lower end to the upper. */
  steps: number;
  /** Any text; equal seeds lay equal islands. */
  seed: string;
  /** How far the edge of a color wanders from strand to strand, part of the length. */
  ragged?: number;
  /** The layer of a pile that is drawn, 0 to 1; null: what lies across counts for it. */
  layer?: number | null;
}

/** Depths of one part that are told apart, to the color of its nominal depth. */
const LEVELS = 8;
const MOST_LEVEL = 4 * LEVELS;

/**
 * The colors of goods, spot by spot: where each coat lies, and how much of it the inside of a bundle gets.
 * An estimate for drawing; the same for the same look and seed.
 */
export function colorsOf(look: YarnLook, grid: Grid, painting: Painting = byBands): Colored {
  const { strands, steps } = grid;
  const painter = painting(look);
  const at = new Uint16Array(strands * steps);
  const spots = spotsOf(grid);
  look.coats.forEach((coat, c) => {
    const { partAt, takenAt } = laid(coat, `${grid.seed}:${c}`);
    const known = new Map<number, number>();
    // Spots beside each other are mostly alike.
    let [lastKey, place] = [-1, 0];
    for (let cell = 0; cell < spots.length; cell += 1) {
      const spot = spots[cell] as Spot;
      const part = partAt(spot);
      const dyed = coat.parts[part];
      if (!dyed || dyed.dyes.length === 0) continue;
      const level = Math.min(MOST_LEVEL, Math.round(LEVELS * takenAt(spot, part)));
      const before = at[cell] ?? 0;
      const key = (before * coat.parts.length + part) * (MOST_LEVEL + 1) + level;
      if (key !== lastKey) {
        place = known.get(key) ?? painter.over(before, dyed, level / LEVELS);
        known.set(key, place);
        lastKey = key;
      }
      at[cell] = place;
    }
  });
  return { lights: painter.lights, at, strands, steps };
}

function spotsOf({ ends, strands, steps, seed, ragged = 0, layer = null }: Grid): Spot[] {
  const next = seededStream(`${seed}:edges`);
  const spots: Spot[] = [];
  for (let strand = 0; strand < strands; strand += 1) {
    const shift = (2 * next() - 1) * ragged;
    const across = (strand + 0.5) / strands;
    for (let step = 0; step < steps; step += 1) {
      const way = (step + 0.5) / steps + shift;
      const inside = ends === 'ring' ? overWhole(way) : Math.min(1, Math.max(0, way));
      spots.push(spotAt(ends, inside, across, layer ?? across));
    }
  }
  return spots;
}

/** Fine enough to tell the share of each color to about a part in a hundred. */
const AVERAGED = { ends: 'ring', strands: 12, steps: 48, seed: '' } as const;

/** One color for the whole: the light that all of it throws back together. */
export function averageHex(look: YarnLook, painting: Painting = byBands): string {
  return meanHex(colorsOf(look, AVERAGED, painting));
}

/** The light that all spots throw back together. */
export function meanHex({ lights, at }: Pick<Colored, 'lights' | 'at'>): string {
  const counts = new Uint32Array(lights.length);
  for (const place of at) counts[place] = (counts[place] ?? 0) + 1;
  const sum = [0, 0, 0];
  lights.forEach((light, place) =>
    light.forEach((channel, i) => (sum[i] = (sum[i] ?? 0) + (channel * (counts[place] ?? 0)) / at.length)),
  );
  return rgbHex([sum[0] ?? 0, sum[1] ?? 0, sum[2] ?? 0]);
}
