import { colorsOf, strands } from '@ythrion/core';
import { curve, evenly, far, type Point } from './points';
import { strandsAlong } from './strandsAlong';
import type { Drawing } from './drawing';

/** Goods that lie along a way from their lower end to the upper, so many half-widths on either side of it. */
interface Length {
  way: readonly Point[];
  halfWidth: (along: number) => number;
}

/** A top laid in loops, to and fro. */
function topWay(width: number, height: number): Length {
  const rows = height > 60 ? 5 : 3;
  const gap = (height - 6) / rows;
  const [left, right] = [4 + gap * 0.85, width - 4 - gap * 0.85];
  const way: Point[] = [];
  for (let row = 0; row < rows; row += 1) {
    const y = height - 3 - gap * (row + 0.5);
    const [from, to] = row % 2 === 0 ? [left, right] : [right, left];
    if (row === 0) way.push([from, y]);
    way.push([to, y]);
    if (row < rows - 1) {
      const bulge = (to > from ? 1 : -1) * gap * 0.6;
      way.push(...curve([to, y], [to + bulge, y], [to + bulge, y - gap], [to, y - gap], 10));
    }
  }
  return { way, halfWidth: (along) => gap * 0.4 * Math.min(1, 0.5 + 12 * Math.min(along, 1 - along)) };
}

/** A finished sock, from its toe over heel and leg to the cuff. */
function sockWay(width: number, height: number): Length {
  const half = Math.min(width * 0.19, height * 0.15);
  const toe: Point = [half * 0.9, height - 4 - half];
  const heel: Point = [width - 4 - half * 1.15, height - 5 - half];
  const sole: Point = [heel[0] - half * 1.3, heel[1]];
  const ankle: Point = [width - 4 - half, heel[1] - half * 2.6];
  const cuff: Point = [width - 4 - half, 4];
  return {
    way: [
      toe,
      ...curve(toe, [toe[0] + half, toe[1]], [sole[0] - half, sole[1]], sole, 12),
      ...curve(sole, heel, [ankle[0], heel[1] - half * 0.9], ankle, 16),
      ...curve(ankle, [ankle[0], ankle[1] - half], [cuff[0], cuff[1] + half], cuff, 12),
    ],
    // The toe is round, all else a tube.
    halfWidth: (along) => half * Math.min(1, Math.sqrt(Math.min(1, along / 0.09 + 0.05))),
  };
}

/** Goods with two ends, strand by strand along them. */
export function drawLength(drawing: Drawing): void {
  const { width, height, count, look, seed } = drawing;
  const { way, halfWidth } = look.form === 'finished piece' ? sockWay(width, height) : topWay(width, height);
  const steps = height < 70 ? 60 : 120;
  const middle = evenly(way, steps);
  const widest = Math.max(...middle.map((_, step) => halfWidth(step / steps)));
  const colored = colorsOf(
    look,
    { ends: 'two ends', strands: count, steps, seed, ragged: 0.006 },
    drawing.painting,
  );
  const thickness = ((2 * widest) / count) * 1.35;
  strandsAlong(drawing, strands(count, look.unevenness, seed), colored, thickness, ({ across, wander }) =>
    middle.map(([x, y], step): Point => {
      const a = middle[Math.max(0, step - 1)] ?? ([x, y] as const);
      const b = middle[Math.min(steps, step + 1)] ?? ([x, y] as const);
      const long = far(a, b) || 1;
      const out = (2 * across - 1) * halfWidth(step / steps) * 0.9 + wander * 0.5;
      return [x + (out * (b[1] - a[1])) / long, y - (out * (b[0] - a[0])) / long];
    }),
  );
}
