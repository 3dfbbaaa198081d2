import type { Lab } from '../lab';

/** A step of a gray scale: its grade, and up to which CIELAB difference it is given. */
interface Step {
  grade: string;
  difference: number;
}

const GRADES = ['5', '4-5', '4', '3-4', '3', '2-3', '2', '1-2', '1'] as const;
const steps = (differences: readonly number[]): Step[] =>
  GRADES.map((grade, i) => ({ grade, difference: differences[i] ?? 0 }));

/** Differences of the steps of the gray scales, CIELAB (ISO 105-A02 and ISO 105-A03; from memory). */
const SCALES = {
  'change in color': steps([0, 0.8, 1.7, 2.5, 3.4, 4.8, 6.8, 9.6, 13.6]),
  staining: steps([0, 2.2, 4.3, 6, 8.5, 12, 16.9, 24, 34.1]),
} as const;

export type GrayScale = keyof typeof SCALES;

/** Straight distance in CIELAB. Source: ISO/CIE 11664-4. */
export const cielabDifference = ([l1, a1, b1]: Lab, [l2, a2, b2]: Lab): number =>
  Math.sqrt((l2 - l1) ** 2 + (a2 - a1) ** 2 + (b2 - b1) ** 2);

/** The gray-scale grade of a difference: that of the nearest step, the better one halfway. 5 is none. */
export function grayScaleGrade(difference: number, scale: GrayScale = 'change in color'): string {
  let best: Step | null = null;
  for (const step of SCALES[scale])
    if (best === null || Math.abs(step.difference - difference) < Math.abs(best.difference - difference))
      best = step;
  return best?.grade ?? '1';
}
