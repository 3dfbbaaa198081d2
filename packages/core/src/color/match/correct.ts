import { onlyOf, withMixtures, type Calibration } from '../calibrate/calibrate';
import { labOfTarget, type Target } from '../calibrate/observe';
import { reflectanceOfColor } from '../calibrate/firstGuess';
import { DOSE_NOISE } from '../calibrate/problem';
import { ciede2000 } from '../difference/ciede2000';
import { differenceWords } from '../differenceWords';
import type { DyeModel } from '../dye/dyeModel';
import { absorptionOf } from '../dye/layer';
import type { Lab } from '../lab';
import { predict, type DyeAt } from '../predict';
import { DyesFor } from './dyesFor';
import { FirstDoses } from './firstDoses';
import { groundOf, LEAST_DOSE } from './match';

/** A recipe that was dyed, and how it came out. */
export interface Tried {
  dyes: readonly DyeAt[];
  lab: Lab;
}

export interface CorrectionWish {
  baseId: string;
  target: Target;
  /** First to last; the last is what is corrected. */
  tried: readonly Tried[];
  /** True for a pot that is still hot: dye can only be added. */
  addOnly: boolean;
  pouring?: number;
}

/** What to do next. */
export interface Correction {
  /** The next recipe, or what is to be added. */
  dyes: DyeAt[];
  lab: Lab;
  deltaE00: number;
  spreadDE00: number;
  reachable: boolean;
  words: string;
}

/** Nearer than this a color counts as reached, ΔE00 (common practice, no source). */
export const REACHED = 1;
/** Most of all dyes together in a corrected recipe, %. */
const MOST_DOS = 8;

/**
 * The next recipe after some that were measured: dyes, base and losses are fitted to what came out, then the same dyes
 * are matched anew; or only what is to be added, for a pot that is still hot.
 */
export function correct(calibration: Calibration, wish: CorrectionWish): Correction {
  const { baseId, tried, addOnly, pouring = DOSE_NOISE } = wish;
  const target = labOfTarget(wish.target);
  const learned = withMixtures(
    onlyOf(
      calibration,
      tried.flatMap(({ dyes }) => dyes.map(({ id }) => id)),
    ),
    tried.map(({ dyes, lab }) => ({ baseId, dyes, color: { kind: 'lab', lab } })),
  );
  const last = tried.at(-1);
  const before = last?.dyes ?? [];
  const which = before.map(({ id }) => learned.dyeIds.indexOf(id));
  const models = which.map((dye) => learned.models[dye] as DyeModel);
  const ground = groundOf(learned, baseId);
  const away = last ? unexplained(learned, baseId, last) : NOTHING;
  // What the fit does not explain of the last attempt will be there again: it is aimed beside the target by as much.
  const aim = shifted(target, away, -1);
  const solver = new DyesFor(ground, aim, { least: LEAST_DOSE, most: MOST_DOS });
  const there = before.map(({ dosPercent }) => dosPercent);
  const starts = addOnly
    ? [there.map(() => LEAST_DOSE), there.map((dose) => 0.1 * dose), there.map((dose) => dose)]
    : [there, firstOf(wish.target, models, ground.absorption, Math.exp(ground.affinity)) ?? there];
  const found = starts
    .map((start) => solver.nearest(models, start, addOnly ? there : []))
    .toSorted((one, other) => ciede2000(aim, one.lab) - ciede2000(aim, other.lab))[0];
  const doses = (found?.doses ?? there).map((dose, i) =>
    addOnly ? hardlyNone(dose - (there[i] ?? 0)) : dose,
  );
  const whole = before.map((dye, i) => ({
    ...dye,
    dosPercent: addOnly ? (there[i] ?? 0) + (doses[i] ?? 0) : (doses[i] ?? 0),
  }));
  const { lab: predicted, spreadDE00 } = predict(learned, baseId, whole, pouring);
  const lab = shifted(predicted, away, 1);
  const deltaE00 = ciede2000(target, lab);
  const reachable = deltaE00 <= REACHED;
  return {
    dyes: before.map((dye, i) => ({ ...dye, dosPercent: doses[i] ?? 0 })),
    lab,
    deltaE00,
    spreadDE00,
    reachable,
    words: said(target, last?.lab ?? lab, { addOnly, reachable, deltaE00, lab }),
  };
}

const NOTHING: Lab = [0, 0, 0];

/** A result that is off by this much is as likely chance as not, CIELAB (common practice, no source). */
const CHANCE = 1;

/** What a fit leaves unexplained of an attempt: nearly none of a small rest, which is chance, nearly all of a large one. */
function unexplained(learned: Calibration, baseId: string, { dyes, lab }: Tried): Lab {
  const now = predict(learned, baseId, dyes).lab;
  const [l, a, b] = [lab[0] - now[0], lab[1] - now[1], lab[2] - now[2]];
  const square = l * l + a * a + b * b;
  const part = square / (square + CHANCE * CHANCE);
  return [part * l, part * a, part * b];
}

const shifted = (lab: Lab, by: Lab, times: 1 | -1): Lab => [
  lab[0] + times * by[0],
  lab[1] + times * by[1],
  lab[2] + times * by[2],
];

/** What is added at the least that can be poured need not be added. */
const hardlyNone = (dose: number): number => (dose <= 1.01 * LEAST_DOSE ? 0 : dose);

function firstOf(
  target: Target,
  models: readonly DyeModel[],
  ground: Float64Array,
  times: number,
): number[] | null {
  const smooth = reflectanceOfColor(target);
  return smooth
    ? new FirstDoses(models, absorptionOf(smooth), ground, times).of(models.map((_, i) => i))
    : null;
}

function said(
  target: Lab,
  measured: Lab,
  now: { addOnly: boolean; reachable: boolean; deltaE00: number; lab: Lab },
): string {
  const came = `Beside the target it came out: ${differenceWords(target, measured)}.`;
  if (now.reachable) return came;
  return `${came} ${
    now.addOnly ? 'Adding dye alone cannot get there' : 'These dyes cannot get there'
  }: the nearest is ΔE00 ${now.deltaE00.toFixed(1)}, ${differenceWords(target, now.lab)}.`;
}
