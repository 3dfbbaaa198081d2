import { shaded } from '@ythrion/core';

export type Point = readonly [number, number];

/** Shades of a color that can be told apart from strand to strand. */
const SHADES = 24;
const MOST_KNOWN = 20_000;
const known = new Map<string, string>();

/** A color lighter or deeper, as `shaded` makes it; each made once. */
export function shade(hex: string, by: number): string {
  const level = Math.max(0, Math.round(by * SHADES));
  const key = `${hex}${level}`;
  let made = known.get(key);
  if (made === undefined) {
    made = shaded(hex, level / SHADES);
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, made);
  }
  return made;
}

/** A line from point to point, to be stroked. */
export function trace(
  pen: CanvasRenderingContext2D,
  points: readonly Point[],
  from: number,
  to: number,
): void {
  const first = points[from];
  if (!first || to <= from) return;
  pen.moveTo(first[0], first[1]);
  for (let i = from + 1; i <= to; i += 1) {
    const point = points[i];
    if (point) pen.lineTo(point[0], point[1]);
  }
}

/** One stroke along points. */
export function strokePath(pen: CanvasRenderingContext2D, points: readonly Point[]): void {
  pen.beginPath();
  trace(pen, points, 0, points.length - 1);
  pen.stroke();
}

/** Points of a cubic curve, its start left out. */
export function curve(from: Point, a: Point, b: Point, to: Point, steps: number): Point[] {
  return Array.from({ length: steps }, (_, i): Point => {
    const t = (i + 1) / steps;
    const u = 1 - t;
    const at = (k: 0 | 1): number =>
      u ** 3 * from[k] + 3 * u * u * t * a[k] + 3 * u * t * t * b[k] + t ** 3 * to[k];
    return [at(0), at(1)];
  });
}

/** The same way in so many steps of equal length, so that a share of the steps is a share of the way. */
export function evenly(points: readonly Point[], steps: number): Point[] {
  const ends = [0];
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1] ?? [0, 0], points[i] ?? [0, 0]];
    ends.push((ends[i - 1] ?? 0) + Math.hypot(b[0] - a[0], b[1] - a[1]));
  }
  const whole = ends.at(-1) ?? 0;
  let i = 0;
  return Array.from({ length: steps + 1 }, (_, step): Point => {
    const at = (whole * step) / steps;
    while (i < points.length - 2 && (ends[i + 1] ?? 0) < at) i += 1;
    const [a, b] = [points[i] ?? [0, 0], points[i + 1] ?? points[i] ?? [0, 0]];
    const [start, end] = [ends[i] ?? 0, ends[i + 1] ?? 0];
    const t = end > start ? (at - start) / (end - start) : 0;
    return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
  });
}
