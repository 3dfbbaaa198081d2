import type { Calibration } from './calibrate/calibrate';
import { ciede2000 } from './difference/ciede2000';
import { predict, type DyeAt } from './predict';

/** One step of a fade. */
export interface FadeStep {
  dyes: DyeAt[];
  lab: readonly [number, number, number];
}

/** Points on the way that its length is measured at. */
const POINTS = 65;

/**
 * A fade from one recipe to another in so many steps, each as far from the next as it looks: equal in ΔE00 along the way.
 * @param steps 2 and more, both ends among them
 */
export function fade(
  calibration: Calibration,
  baseId: string,
  from: readonly DyeAt[],
  to: readonly DyeAt[],
  steps: number,
): FadeStep[] {
  const ids = [...new Set([...from, ...to].map(({ id }) => id))];
  const of = (recipe: readonly DyeAt[], id: string): number =>
    recipe.reduce((sum, dye) => (dye.id === id ? sum + dye.dosPercent : sum), 0);
  const at = (t: number): FadeStep => {
    const dyes = ids
      .map((id) => ({ id, dosPercent: of(from, id) * (1 - t) + of(to, id) * t }))
      .filter(({ dosPercent }) => dosPercent > 0);
    return { dyes, lab: predict(calibration, baseId, dyes).lab };
  };
  const way = Array.from({ length: POINTS }, (_, i) => ({ t: i / (POINTS - 1), ...at(i / (POINTS - 1)) }));
  const far = [0];
  for (let i = 1; i < way.length; i += 1) {
    const [one, other] = [way[i - 1], way[i]];
    far.push((far[i - 1] ?? 0) + (one && other ? ciede2000(one.lab, other.lab) : 0));
  }
  const whole = far.at(-1) ?? 0;
  return Array.from({ length: steps }, (_, step) => {
    const due = (whole * step) / (steps - 1);
    const after = Math.max(
      1,
      far.findIndex((value) => value >= due - 1e-12),
    );
    const [low, high] = [far[after - 1] ?? 0, far[after] ?? 0];
    const part = high > low ? (due - low) / (high - low) : 0;
    return at((after - 1 + part) / (POINTS - 1));
  });
}
