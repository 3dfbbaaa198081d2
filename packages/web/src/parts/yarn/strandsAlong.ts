import type { Colored, Strand } from '@ythrion/core';
import { shade, strokePath, trace, type Point } from './pen';

/** What a strand throws on those beside it. */
const SHADOW = '#00000052';

/**
 * Draws strands along their ways, each over its own shadow so that one is told from the next, in runs of one color.
 * @param wayOf the way of a strand, with a point more than there are steps
 */
export function strandsAlong(
  pen: CanvasRenderingContext2D,
  strands: readonly Strand[],
  { palette, at, steps }: Colored,
  thickness: number,
  wayOf: (strand: Strand) => readonly Point[],
): void {
  strands.forEach((strand, s) => {
    const way = wayOf(strand);
    pen.strokeStyle = SHADOW;
    pen.lineWidth = thickness + 0.8;
    strokePath(pen, way);
    pen.lineWidth = thickness * 0.86;
    for (const [place, runs] of runsOf(at.subarray(s * steps, (s + 1) * steps))) {
      pen.strokeStyle = shade(palette[place] ?? '#efe9dc', strand.shade);
      pen.beginPath();
      for (const [from, to] of runs) trace(pen, way, from, to);
      pen.stroke();
    }
  });
}

/** The stretches of each color on one strand, as their first step and the one after their last. */
function runsOf(row: Uint16Array): Map<number, [number, number][]> {
  const runs = new Map<number, [number, number][]>();
  let from = 0;
  for (let step = 1; step <= row.length; step += 1) {
    if (step < row.length && row[step] === row[from]) continue;
    const place = row[from] ?? 0;
    const known = runs.get(place);
    if (known) known.push([from, step]);
    else runs.set(place, [[from, step]]);
    from = step;
  }
  return runs;
}
