export type Point = readonly [number, number];

/** How far two points are from each other. Not by Math.hypot, which guards against what no picture has and takes ten times as long. */
export const far = (from: Point, to: Point): number =>
  Math.sqrt((to[0] - from[0]) ** 2 + (to[1] - from[1]) ** 2);

/** Points of a cubic curve, its start left out. */
export function curve(from: Point, a: Point, b: Point, to: Point, steps: number): Point[] {
  return Array.from({ length: steps }, (_, i): Point => {
    const t = (i + 1) / steps;
    const u = 1 - t;
    const [first, second, third, last] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
    return [
      first * from[0] + second * a[0] + third * b[0] + last * to[0],
      first * from[1] + second * a[1] + third * b[1] + last * to[1],
    ];
  });
}

/** The same way in so many steps of equal length, so that a share of the steps is a share of the way. */
export function evenly(points: readonly Point[], steps: number): Point[] {
  const ends = [0];
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    ends.push((ends[i - 1] ?? 0) + far(a, b));
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
