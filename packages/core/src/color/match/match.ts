import { affinityOf, modelsOn, type Calibration } from '../calibrate/calibrate';
import { reflectanceOfColor } from '../calibrate/firstGuess';
import { DOSE_NOISE, lossAt } from '../calibrate/problem';
import { labOfTarget, type Target } from '../calibrate/observe';
import { ciede2000 } from '../difference/ciede2000';
import type { DyeModel } from '../dye/dyeModel';
import { absorptionOf } from '../dye/layer';
import type { Lab } from '../lab';
import { metamerism } from '../metamerism';
import { expected, surely, type DyeAt } from '../predict';
import type { Spectrum } from '../spectrum';
import { DyesFor, type Limits } from './dyesFor';
import { FirstDoses } from './firstDoses';
import { metricAt, squaredIn } from '../difference/metric';

/** What a match may be made of. */
export interface MatchWish {
  baseId: string;
  target: Target;
  maxDyes: number;
  mustUse: readonly string[];
  mustNotUse: readonly string[];
  /** Most of all dyes together, %. */
  maxDosPercent: number;
  /** Most of single dyes, %, by their ids. */
  deepest?: Readonly<Record<string, number>>;
  /** What a gram of each dye costs, by its id; and the most that a kilogram of goods may cost in dye. */
  prices?: Readonly<Record<string, number>>;
  mostCostPerKg?: number;
  /** How many are wanted. */
  top: number;
  /** Error of each dose, of itself. */
  pouring?: number;
  /** The share of all choices that is searched, by its number from 0 and how many there are: several may search at once. */
  share?: { part: number; of: number };
}

/** One way to a color. */
export interface Candidate {
  dyes: DyeAt[];
  lab: Lab;
  deltaE00: number;
  /** What the usual pouring error makes of it: ΔE00, root of the mean square. */
  pouringDeltaE00: number;
  metamerism: { A: number; F11: number };
  spreadDE00: number;
  /** What the dye for a kilogram of goods costs; null where the price of one is not known. */
  costPerKg: number | null;
}

/** How far a search is, and the best so far. */
export interface MatchProgress {
  candidates: Candidate[];
  done: number;
  combinations: number;
}

/** Least of a dye that is of use, % (common practice, no source). */
export const LEAST_DOSE = 0.002;
/** Differences below this are equal: nobody sees them. */
const EQUAL = 0.3;
/**
 * What counts beside the difference, in ΔE00: how far it may well come out from that, pouring error, metamerism, each dye
 * more, twice the cost. A way whose dyes are well known is better than one that is nearer on paper.
 */
const COUNTS = { spread: 1, pouring: 0.25, metamerism: 0.08, dye: 0.12, twiceTheCost: 0.1 };
/** Square of ΔE00 that a search is content with; the best are looked for closely afterwards. */
const ROUGHLY = 1e-3;
/** Combinations that are kept to be looked at closely. */
const KEPT = 48;
/** Combinations that are tried before it says how far it is. */
const AT_A_TIME = 10_000;
/** And before it says so for the first time. */
const FIRST = 200;

/** The ground that dyes of a base go onto. */
export const groundOf = (calibration: Calibration, baseId: string) => ({
  absorption: calibration.problem.bases[calibration.baseIds.indexOf(baseId)] as Float64Array,
  affinity: affinityOf(calibration, baseId),
  loss: calibration.numbers[lossAt(calibration.problem)] ?? 0,
});

/** Every choice of dyes that is asked for, few dyes first, by their places. */
export function* choices(
  dyeIds: readonly string[],
  { maxDyes, mustUse, mustNotUse }: Pick<MatchWish, 'maxDyes' | 'mustUse' | 'mustNotUse'>,
): Generator<number[]> {
  const must = mustUse.map((id) => dyeIds.indexOf(id));
  const free = dyeIds.flatMap((id, i) => (must.includes(i) || mustNotUse.includes(id) ? [] : [i]));
  for (let count = Math.max(1, must.length); count <= maxDyes; count += 1)
    for (const more of picked(free, count - must.length)) yield must.length === 0 ? more : [...must, ...more];
}

/** Every choice of so many out of a list, in its order. */
function* picked(from: readonly number[], count: number): Generator<number[]> {
  const at = Array.from({ length: count }, (_, i) => i);
  while (count <= from.length) {
    yield at.map((i) => from[i] as number);
    // The last that can still move on does, and all behind it follow close.
    let last = count - 1;
    while (last >= 0 && at[last] === from.length - count + last) last -= 1;
    if (last < 0) return;
    at[last] = (at[last] as number) + 1;
    for (let i = last + 1; i < count; i += 1) at[i] = (at[i - 1] as number) + 1;
  }
}

/** How many those are. */
export function countOf(
  dyeIds: readonly string[],
  wish: Pick<MatchWish, 'maxDyes' | 'mustUse' | 'mustNotUse'>,
): number {
  const must = wish.mustUse.length;
  const free = dyeIds.filter((id) => !wish.mustUse.includes(id) && !wish.mustNotUse.includes(id)).length;
  let sum = 0;
  for (let count = Math.max(1, must); count <= wish.maxDyes; count += 1) {
    let ways = 1;
    for (let i = 0; i < count - must; i += 1) ways = (ways * (free - i)) / (i + 1);
    sum += Math.round(Math.max(0, ways));
  }
  return sum;
}

/** A choice of dyes that was tried; looked at closely once it stands among the best. */
interface Rough {
  which: number[];
  doses: number[];
  deltaE00: number;
  closely?: Candidate;
}

/**
 * Searches every choice of dyes for a color, and tells how far it is as it goes: whoever asks for no more has stopped it.
 * It runs wherever it is called, a worker of a browser or of a server alike.
 */
export function* matching(calibration: Calibration, wish: MatchWish): Generator<MatchProgress> {
  const target = labOfTarget(wish.target);
  const smooth = reflectanceOfColor(wish.target);
  const ground = groundOf(calibration, wish.baseId);
  const limits: Limits = { least: LEAST_DOSE, most: wish.maxDosPercent };
  const solver = new DyesFor(ground, target, limits);
  const shown = modelsOn(calibration, wish.baseId);
  const first = new FirstDoses(
    shown,
    smooth ? absorptionOf(smooth) : ground.absorption,
    ground.absorption,
    Math.exp(ground.affinity),
  );
  const { part, of } = wish.share ?? { part: 0, of: 1 };
  const combinations = Math.ceil(Math.max(0, countOf(calibration.dyeIds, wish) - part) / of);
  const deepest = calibration.dyeIds.map((id) => wish.deepest?.[id] ?? Number.POSITIVE_INFINITY);
  const most = wish.mostCostPerKg ?? Number.POSITIVE_INFINITY;
  const affordable = (which: readonly number[], doses: readonly number[]): boolean =>
    most === Number.POSITIVE_INFINITY || (costOf(dyesOf(calibration, which, doses), wish) ?? 0) <= most;
  let kept: Rough[] = [];
  // What is farther away than the last of the best is not kept any more.
  let worst = Number.POSITIVE_INFINITY;
  let [done, passed] = [0, -1];
  for (const which of choices(calibration.dyeIds, wish)) {
    passed += 1;
    if (passed % of !== part) continue;
    const models = which.map((dye) => shown[dye] as DyeModel);
    const few = which.length === Math.max(1, wish.mustUse.length);
    const found = solver.nearest(
      models,
      first.of(which),
      [],
      { near: ROUGHLY, useless: worst * worst, allNeeded: !few },
      which.map((dye) => deepest[dye] as number),
    );
    done += 1;
    // Where one of them is hardly there, fewer dyes have been tried already.
    const deltaE00 = ciede2000(target, found.lab);
    if ((few || !found.atLeast) && deltaE00 <= worst && affordable(which, found.doses))
      kept.push({ which, doses: found.doses, deltaE00 });
    if (kept.length > 3 * KEPT) {
      kept = best(kept);
      worst = Math.max(EQUAL, kept.at(-1)?.deltaE00 ?? worst);
    }
    if (done === FIRST || done % AT_A_TIME === 0) {
      kept = best(kept);
      yield { candidates: ranked(calibration, wish, target, smooth, kept), done, combinations };
    }
  }
  yield { candidates: ranked(calibration, wish, target, smooth, best(kept)), done, combinations };
}

const best = (rough: readonly Rough[]): Rough[] =>
  rough.toSorted((one, other) => one.deltaE00 - other.deltaE00).slice(0, KEPT);

/** The same as an asynchronous iterator, for whoever waits between its steps. */
export async function* matches(
  calibration: Calibration,
  wish: MatchWish,
): AsyncGenerator<MatchProgress, void, undefined> {
  yield* matching(calibration, wish);
}

/** All of a search at once. */
export function match(calibration: Calibration, wish: MatchWish): MatchProgress {
  let last: MatchProgress = { candidates: [], done: 0, combinations: 0 };
  for (const progress of matching(calibration, wish)) last = progress;
  return last;
}

function ranked(
  calibration: Calibration,
  wish: MatchWish,
  target: Lab,
  smooth: Spectrum | null,
  rough: readonly Rough[],
): Candidate[] {
  const pouring = wish.pouring ?? DOSE_NOISE;
  const beside: Beside = { target, smooth, metric: metricAt(target), pouring };
  const all = rough.map((one) => {
    one.closely ??= closely(calibration, wish, one, beside);
    return one.closely;
  });
  return inRank(all).slice(0, wish.top);
}

interface Beside {
  target: Lab;
  smooth: Spectrum | null;
  metric: Float64Array;
  pouring: number;
}

/** A choice of dyes with all that it is ranked by. */
function closely(
  calibration: Calibration,
  wish: MatchWish,
  { which, doses }: Rough,
  { target, smooth, metric, pouring }: Beside,
): Candidate {
  const dyes = dyesOf(calibration, which, doses);
  const known = expected(calibration, wish.baseId, dyes);
  const squared = known.perDose.reduce((sum, along) => {
    const [l, a, b] = [along[0] as number, along[1] as number, along[2] as number];
    return sum + squaredIn(metric, pouring * l, pouring * a, pouring * b);
  }, 0);
  const under = (light: 'A' | 'F11'): number => (smooth ? metamerism(smooth, known.reflectance, light) : 0);
  return {
    dyes,
    lab: known.lab,
    deltaE00: ciede2000(target, known.lab),
    pouringDeltaE00: Math.sqrt(Math.max(0, squared)),
    metamerism: { A: under('A'), F11: under('F11') },
    spreadDE00: surely(calibration, known, dyes, pouring).spreadDE00,
    costPerKg: costOf(dyes, wish),
  };
}

const dyesOf = (
  { dyeIds }: Pick<Calibration, 'dyeIds'>,
  which: readonly number[],
  doses: readonly number[],
): DyeAt[] => which.map((dye, i) => ({ id: dyeIds[dye] ?? '', dosPercent: doses[i] ?? 0 }));

/** Grams of dye on a kilogram of goods at 1 %. */
const GRAMS_PER_PERCENT = 10;

/** What dye for a kilogram of goods costs; null where the price of one is not known. */
function costOf(dyes: readonly DyeAt[], { prices = {} }: Pick<MatchWish, 'prices'>): number | null {
  let sum = 0;
  for (const { id, dosPercent } of dyes) {
    const price = prices[id];
    if (price === undefined) return null;
    sum += GRAMS_PER_PERCENT * dosPercent * price;
  }
  return sum;
}

/** Ways to a color, the best first. */
function inRank(ways: readonly Candidate[]): Candidate[] {
  const cheapest = Math.min(...ways.map(({ costPerKg }) => costPerKg || Number.POSITIVE_INFINITY));
  const rank = ({
    deltaE00,
    spreadDE00,
    pouringDeltaE00,
    metamerism: { A, F11 },
    dyes,
    costPerKg,
  }: Candidate): number =>
    Math.max(EQUAL, deltaE00) +
    COUNTS.spread * spreadDE00 +
    COUNTS.pouring * pouringDeltaE00 +
    (COUNTS.metamerism * (A + F11)) / 2 +
    COUNTS.dye * dyes.length +
    (costPerKg ? COUNTS.twiceTheCost * Math.log2(costPerKg / cheapest) : 0);
  return ways
    .map((way) => ({ way, rank: rank(way), smallest: smallest(way) }))
    .toSorted((one, other) => one.rank - other.rank || other.smallest - one.smallest)
    .map(({ way }) => way);
}

/** What several shares of a search have found, as one. @param top how many are wanted */
export const joinShares = (shares: readonly MatchProgress[], top: number): MatchProgress => ({
  candidates: inRank(shares.flatMap(({ candidates }) => candidates)).slice(0, top),
  done: shares.reduce((sum, { done }) => sum + done, 0),
  combinations: shares.reduce((sum, { combinations }) => sum + combinations, 0),
});

const smallest = ({ dyes }: Pick<Candidate, 'dyes'>): number =>
  Math.min(...dyes.map(({ dosPercent }) => dosPercent));
