import { linearRgb, rgbHex } from '../color/srgb';

/** One strand of a drawn hank: where it lies across the hank, and its shade. */
export interface Strand {
  /** Position across the hank, 0 at one edge to 1 at the other. */
  across: number;
  /** How far it wanders from its place, -1 to 1. */
  wander: number;
  /** How much lighter or deeper than its neighbors, 1 is neither. */
  shade: number;
}

/** A small repeatable stream of numbers in 0..1 (mulberry32, public domain): the same recipe always draws the same hank. */
export function seededStream(seed: string): () => number {
  let state = 2166136261;
  for (let i = 0; i < seed.length; i += 1) state = Math.imul(state ^ seed.charCodeAt(i), 16777619);
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * Strands side by side, each a little lighter or deeper than the next as dyed yarn is.
 * @param count strands to draw, 1 to 200
 * @param unevenness spread of depth, 0 (level) to 1 (strongly tonal)
 * @param seed any text; equal seeds draw equal strands
 */
export function strands(count: number, unevenness: number, seed: string): Strand[] {
  const next = seededStream(seed);
  return Array.from({ length: count }, (_, i) => ({
    across: count === 1 ? 0.5 : i / (count - 1),
    shade: 1 + (next() + next() - 1) * (0.1 + 0.5 * unevenness),
    wander: next() * 2 - 1,
  }));
}

/** A color made lighter or deeper. @param by 1 leaves it as it is */
export function shaded(hex: string, by: number): string {
  const [r, g, b] = linearRgb(hex);
  return rgbHex([r * by, g * by, b * by]);
}
