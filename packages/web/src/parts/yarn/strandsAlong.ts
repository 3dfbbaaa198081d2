import { rgbBytes, type Colored, type Rgb, type Strand } from '@ythrion/core';
import type { Drawing } from './drawing';
import type { Point } from './points';

/** How far the shadow of a strand reaches beyond it on both sides together, px. */
const SHADOW = 0.8;
/** Part of its thickness that a strand is drawn with. */
const DRAWN = 0.86;

/**
 * Strands along their ways, each over its own shadow so that one is told from the next: however many colors there are,
 * it takes as long.
 * @param wayOf the way of a strand, with a point more than there are steps
 */
export function strandsAlong(
  drawing: Drawing,
  strands: readonly Strand[],
  { lights, at, steps }: Colored,
  thickness: number,
  wayOf: (strand: Strand) => readonly Point[],
): void {
  strands.forEach((strand, s) => {
    const way = wayOf(strand);
    for (const isShadow of [true, false])
      for (let step = 0; step < steps; step += 1) {
        const [from, to] = [way[step], way[step + 1]];
        if (!from || !to) continue;
        if (isShadow) drawing.stretch(from, to, thickness + SHADOW, null);
        else
          drawing.stretch(
            from,
            to,
            thickness * DRAWN,
            rgbBytes(lights[at[s * steps + step] ?? 0] as Rgb, strand.shade),
          );
      }
  });
}
