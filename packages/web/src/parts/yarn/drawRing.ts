import { meanHex, colorsOf, linearRgb, rgbBytes, strands, type Rgb } from '@ythrion/core';
import { curve, evenly, type Point } from './points';
import { strandsAlong } from './strandsAlong';
import type { Drawing } from './drawing';

const CURVE_STEPS = 16;

/** The way of one strand round an open loop, from the top and back to it. */
function loopPath(width: number, height: number, reach: number, outer: number, wander: number): Point[] {
  const middle = width / 2;
  const top = 3 + (outer - reach) * 0.55 + Math.abs(wander);
  const bottom = height - 3 - (outer - reach) * 0.45 + wander * 2;
  const side = height * 0.55;
  const start: Point = [middle, top];
  const right: Point = [middle + reach * 0.86 + wander, side];
  const foot: Point = [middle, bottom];
  const left: Point = [middle - reach * 0.86 + wander, side];
  return [
    start,
    ...curve(start, [middle + reach * 1.15, top], [middle + reach, height * 0.3], right, CURVE_STEPS),
    ...curve(right, [middle + reach * 0.7, bottom], [middle + reach * 0.3, bottom], foot, CURVE_STEPS),
    ...curve(foot, [middle - reach * 0.3, bottom], [middle - reach * 0.7, bottom], left, CURVE_STEPS),
    ...curve(left, [middle - reach, height * 0.3], [middle - reach * 1.15, top], start, CURVE_STEPS),
  ];
}

/** Steps round a ring of this height: enough that a share of them is a share of the ring. */
const stepsOf = (height: number): number => (height < 70 ? 48 : height < 240 ? 56 : 160);

/** An open loop, hung from above and held by two loose ties. */
export function drawRing(drawing: Drawing): void {
  const { width, height, count, look, seed } = drawing;
  const outer = Math.min(width * 0.46, height * 0.9);
  const inner = outer * (look.form === 'mini' ? 0.62 : 0.5);
  const thickness = ((outer - inner) / count) * 1.9;
  const steps = stepsOf(height);
  const colored = colorsOf(
    look,
    { ends: 'ring', strands: count, steps, seed, ragged: 0.012 },
    drawing.painting,
  );
  strandsAlong(drawing, strands(count, look.unevenness, seed), colored, thickness, ({ across, wander }) => {
    const reach = inner + (outer - inner) * across + wander * thickness * 0.7;
    return evenly(loopPath(width, height, reach, outer, wander), steps);
  });
  drawTies(drawing, inner, outer, rgbBytes(linearRgb(meanHex(colored)), TIE_SHADE));
}

/** How thick a tie is, px. */
const TIE = 1.6;
/** How much deeper than the goods it is. */
const TIE_SHADE = 0.32;

function drawTies(drawing: Drawing, inner: number, outer: number, color: Rgb): void {
  const middle = drawing.width / 2;
  for (const [side, at] of [
    [-1, 0.42],
    [1, 0.36],
  ] as const) {
    const y = drawing.height * at;
    const from: Point = [middle + side * (inner * 0.86), y - 2];
    const way = curve(
      from,
      [middle + side * (inner + outer) * 0.5, y + 5],
      [middle + side * (inner + outer) * 0.5, y - 7],
      [middle + side * (outer * 1.02), y + 2],
      11,
    );
    way.forEach((to, i) => drawing.piece(way[i - 1] ?? from, to, TIE, color));
  }
}
