import { learnedBy, modelsOn, onlyOf, withMixtures, type Calibration } from '../calibrate/calibrate';
import { labOfTarget, type Target } from '../calibrate/observe';
import { reflectanceOfColor } from '../calibrate/firstGuess';
import { DOSE_NOISE } from '../calibrate/problem';
import { ciede2000 } from '../difference/ciede2000';
import { differenceWords } from '../differenceWords';
import type { DyeModel } from '../dye/dyeModel';
import { absorptionOf } from '../dye/layer';
import type { Lab } from '../lab';
import { predict, type DyeAt } from '../predict';
import { DyesFor, MOST_DYES } from './dyesFor';
import { FirstDoses } from './firstDoses';
import { groundOf, LEAST_DOSE, match } from './match';

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

/** What attempts taught: everything that a next recipe is reckoned with. */
interface Learned {
  /** All dyes of the shelf, those that were tried as they turned out to be. */
  all: Calibration;
  target: Lab;
  /** The last attempt; its dyes are in the pot. */
  last: Tried | undefined;
  /** What the fit leaves unexplained of it. */
  away: Lab;
}

/**
 * The next recipe after some that were measured: dyes, base and losses are fitted to what came out, then the same dyes
 * are matched anew, and others where those cannot get there; or what is to be added for a pot that is still hot, a dye
 * more where those in it do not do.
 */
export function correct(calibration: Calibration, wish: CorrectionWish): Correction {
  const { baseId, tried, addOnly } = wish;
  const own = withMixtures(
    onlyOf(
      calibration,
      tried.flatMap(({ dyes }) => dyes.map(({ id }) => id)),
    ),
    tried.map(({ dyes, lab }) => ({ baseId, dyes, color: { kind: 'lab', lab } })),
    TRUST,
  );
  const last = tried.at(-1);
  const learned: Learned = {
    all: learnedBy(calibration, own),
    target: labOfTarget(wish.target),
    last,
    away: last ? unexplained(own, baseId, last) : NOTHING,
  };
  const same = withDyes(learned, wish, own, last?.dyes ?? []);
  const other = same.deltaE00 <= NEARLY ? null : addOnly ? oneMore(learned, wish) : others(learned, wish);
  const next = other && other.deltaE00 + GAIN < same.deltaE00 ? other : same;
  const reachable = next.deltaE00 <= REACHED;
  return { ...next, reachable, words: said(learned, next, same, addOnly) };
}

/** An attempt is believed though it lies far from what its samples say: it is what stands in the pot. */
const TRUST = 10;
/** As near as this, no other dyes are looked for, ΔE00. */
const NEARLY = 0.8;
/** Other dyes come nearer by at least this much, ΔE00. */
const GAIN = 0.5;

/** What to do, before it is put in words. */
type Step = Omit<Correction, 'reachable' | 'words'>;

/** The nearest that some dyes come: a recipe anew, or what is to be added of them. @param by what it is reckoned with */
function withDyes(
  { target, last, away }: Learned,
  { baseId, target: wanted, addOnly, pouring = DOSE_NOISE }: CorrectionWish,
  by: Calibration,
  dyes: readonly DyeAt[],
): Step {
  const shown = modelsOn(by, baseId);
  const models = dyes.map(({ id }) => shown[by.dyeIds.indexOf(id)] as DyeModel);
  const ground = groundOf(by, baseId);
  // What the fit does not explain of the last attempt will be there again: it is aimed beside the target by as much.
  const aim = shifted(target, away, -1);
  const solver = new DyesFor(ground, aim, { least: LEAST_DOSE, most: MOST_DOS });
  const there = dyes.map(({ id }) => last?.dyes.find((dye) => dye.id === id)?.dosPercent ?? 0);
  const starts = addOnly
    ? [there.map(() => LEAST_DOSE), there.map((dose) => 0.1 * dose), there.map((dose) => dose)]
    : [there, firstOf(wanted, models, ground.absorption, Math.exp(ground.affinity)) ?? there];
  const found = starts
    .map((start) => solver.nearest(models, start, addOnly ? there : []))
    .toSorted((one, other) => ciede2000(aim, one.lab) - ciede2000(aim, other.lab))[0];
  const put = (found?.doses ?? there).map((dose, i) => (addOnly ? hardlyNone(dose - (there[i] ?? 0)) : dose));
  const whole = dyes.map((dye, i) => ({
    ...dye,
    dosPercent: addOnly ? (there[i] ?? 0) + (put[i] ?? 0) : (put[i] ?? 0),
  }));
  const { lab: predicted, spreadDE00 } = predict(by, baseId, whole, pouring);
  const lab = shifted(predicted, away, 1);
  return {
    dyes: dyes.map((dye, i) => ({ ...dye, dosPercent: put[i] ?? 0 })),
    lab,
    deltaE00: ciede2000(target, lab),
    spreadDE00,
  };
}

/** The best of all other choices of dyes. */
function others({ all }: Learned, { baseId, target, pouring = DOSE_NOISE }: CorrectionWish): Step | null {
  const [best] = match(all, {
    baseId,
    target,
    maxDyes: MOST_OTHERS,
    mustUse: [],
    mustNotUse: [],
    maxDosPercent: MOST_DOS,
    top: 1,
    pouring,
  }).candidates;
  return best
    ? { dyes: best.dyes, lab: best.lab, deltaE00: best.deltaE00, spreadDE00: best.spreadDE00 }
    : null;
}

/** Most dyes of a recipe that is looked for anew: more are hardly ever needed, and take long to go through (common practice, no source). */
const MOST_OTHERS = 3;

/** The best of what is in the pot and one dye more. */
function oneMore(learned: Learned, wish: CorrectionWish): Step | null {
  const there = learned.last?.dyes ?? [];
  if (there.length >= MOST_DYES) return null;
  const more = learned.all.dyeIds.filter((id) => !there.some((dye) => dye.id === id));
  const steps = more.map((id) => withDyes(learned, wish, learned.all, [...there, { id, dosPercent: 0 }]));
  return steps.toSorted((one, other) => one.deltaE00 - other.deltaE00)[0] ?? null;
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

/** What is to be said of a step. @param same the nearest that the dyes of the last attempt come by themselves */
function said({ target, last }: Learned, next: Step, same: Step, addOnly: boolean): string {
  const came = `Beside the target it came out: ${differenceWords(target, last?.lab ?? next.lab)}.`;
  const nearest = (step: Step): string =>
    `the nearest is ΔE00 ${step.deltaE00.toFixed(1)}, ${differenceWords(target, step.lab)}`;
  const gone = next.deltaE00 > REACHED;
  if (next !== same) {
    const without = `These dyes alone cannot get there: ${nearest(same)}.`;
    const nearer = addOnly ? 'One dye more comes nearer' : 'Others come nearer';
    const there = addOnly ? 'One dye more can.' : 'Others can.';
    return `${came} ${without} ${gone ? `${nearer}: ${nearest(next)}.` : there}`;
  }
  if (!gone) return came;
  return `${came} ${addOnly ? 'Adding dye alone cannot get there' : 'These dyes cannot get there'}: ${nearest(next)}.`;
}
