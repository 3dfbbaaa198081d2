import { dot, factorOf } from './calibrate/matrix';
import { metricAt } from './difference/metric';
import type { Lab } from './lab';
import type { LabSpread } from './spread';

/** The middle of each fifth of a normal distribution, in standard deviations: one dyeing of five lies around each. */
const FIFTHS = [-1.2816, -0.5244, 0, 0.5244, 1.2816] as const;

/** Rounds of finding the widest way: each brings it nearer by the ratio of the widest to the next. */
const ROUNDS = 60;

/**
 * Five dyeings of one recipe, pale to deep: as they may come out along the way in which they differ most to the eye.
 * @param lab what is expected, which is the one in the middle
 */
export function fiveDyeings(lab: Lab, spread: LabSpread): Lab[] {
  const way = widest(lab, spread);
  const deeper = way[0] <= 0 ? 1 : -1;
  return FIFTHS.map((far): Lab => {
    const by = far * deeper;
    return [lab[0] + by * way[0], lab[1] + by * way[1], lab[2] + by * way[2]];
  });
}

/** One standard deviation along the way of a spread that is the widest to the eye. */
function widest(lab: Lab, spread: LabSpread): Lab {
  const factor = factorOf(spread, 3);
  if (!factor) return [0, 0, 0];
  const { rows } = factor;
  const metric = metricAt(lab);
  /** Of a place among standard normal ones, what it is in Lab. */
  const inLab = (u: Float64Array): Float64Array =>
    Float64Array.from({ length: 3 }, (_, i) => dot(rows.subarray(3 * i, 3 * i + 3), u));
  let u = Float64Array.of(1, 0.9, 0.8);
  for (let round = 0; round < ROUNDS; round += 1) {
    const way = inLab(u);
    const weighed = Float64Array.from({ length: 3 }, (_, i) => dot(metric.subarray(3 * i, 3 * i + 3), way));
    const back = Float64Array.from({ length: 3 }, (_, j) =>
      [0, 1, 2].reduce((sum, i) => sum + (rows[3 * i + j] as number) * (weighed[i] as number), 0),
    );
    const long = Math.sqrt(dot(back, back));
    if (!(long > 0)) return [0, 0, 0];
    u = back.map((value) => value / long);
  }
  const [l = 0, a = 0, b = 0] = inLab(u);
  return [l, a, b];
}
