import { colorsOf, rgbBytes, strands, type Rgb } from '@ythrion/core';
import type { Drawing } from './drawing';

/** A finished hank, twisted on itself: two plies that pass over and under each other. */
export function drawTwisted(drawing: Drawing): void {
  const { width, height, count, look, seed } = drawing;
  const middle = width / 2;
  const swing = Math.min(width * 0.15, height * 0.12);
  const body = swing * 1.12;
  const turns = Math.max(1.25, height / (swing * 8.4));
  const steps = Math.round(height / 2.5);
  const drawn = strands(count, look.unevenness, seed);
  const { lights, at } = colorsOf(
    look,
    {
      ends: 'ring',
      strands: count,
      steps: 2 * steps,
      seed,
      ragged: 0.012,
    },
    drawing.painting,
  );
  const taper = (t: number): number =>
    Math.min(1, Math.sin(Math.PI * Math.min(0.5, Math.min(t, 1 - t) * 3.2)) * 0.75 + 0.3);
  const across = (strand: (typeof drawn)[number], phase: number, t: number): number =>
    middle + taper(t) * (swing * Math.sin(phase) + (strand.across * 2 - 1) * body) + strand.wander * 0.4;
  const thickness = ((2 * body) / count) * 1.5;
  for (let k = 0; k < steps; k += 1) {
    const t = k / steps;
    const plies = [0, 1]
      .map((ply) => ({ ply, phase: 2 * Math.PI * turns * t + ply * Math.PI }))
      .toSorted((a, b) => Math.cos(a.phase) - Math.cos(b.phase));
    for (const { ply, phase } of plies) {
      const depth = 0.82 + 0.18 * Math.cos(phase);
      // One leg of the loop is a ply, from its top to its foot; the other comes back up.
      const step = ply === 0 ? k : 2 * steps - 1 - k;
      drawn.forEach((strand, s) => {
        const round = Math.sqrt(Math.max(0, 1 - (strand.across * 2 - 1) ** 2));
        const light = lights[at[s * 2 * steps + step] ?? 0] as Rgb;
        const after = t + 1.7 / steps;
        const later = phase + (2 * Math.PI * turns * 1.7) / steps;
        drawing.stretch(
          [across(strand, phase, t), 4 + t * (height - 8)],
          [across(strand, later, after), 4 + after * (height - 8)],
          thickness,
          rgbBytes(light, strand.shade * depth * (0.22 + 0.78 * round)),
        );
      });
    }
  }
}
