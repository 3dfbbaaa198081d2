import { spoonMl, type SpoonSystem } from './conversions';
import { plainNumber } from './plainNumber';

type Measure = 'cup' | 'tbsp' | 'tsp';
interface SpoonFacts {
  of: Measure;
  /** In the measure it is a part of. */
  size: number;
}

/** Every spoon and cup a studio may have, the largest first. */
export const SPOONS = {
  cup: { of: 'cup', size: 1 },
  '1/2 cup': { of: 'cup', size: 1 / 2 },
  '1/4 cup': { of: 'cup', size: 1 / 4 },
  tbsp: { of: 'tbsp', size: 1 },
  '1/2 tbsp': { of: 'tbsp', size: 1 / 2 },
  tsp: { of: 'tsp', size: 1 },
  '1/2 tsp': { of: 'tsp', size: 1 / 2 },
  '1/4 tsp': { of: 'tsp', size: 1 / 4 },
  '1/8 tsp': { of: 'tsp', size: 1 / 8 },
  '1/16 tsp': { of: 'tsp', size: 1 / 16 },
  '1/32 tsp': { of: 'tsp', size: 1 / 32 },
} as const satisfies Record<string, SpoonFacts>;

export type Spoon = keyof typeof SPOONS;
export const SPOON_NAMES = Object.keys(SPOONS) as [Spoon, ...Spoon[]];

/** What hangs on the ring in most kitchens (common practice, no source). */
export const USUAL_SPOONS: readonly Spoon[] = [
  'cup',
  '1/2 cup',
  '1/4 cup',
  'tbsp',
  'tsp',
  '1/2 tsp',
  '1/4 tsp',
  '1/8 tsp',
];

/** The spoons that a studio measures with. */
export interface SpoonSet {
  system: SpoonSystem;
  spoons: readonly Spoon[];
}

/** An amount said in spoons. */
export interface InSpoons {
  /** As it is read on a card: `5 tbsp + 2 tsp`. */
  words: string;
  /** What those spoons really hold, mL. */
  ml: number;
  /** How far that is off, % of the amount; above zero where it is more. */
  offPercent: number;
}

/** As far off as nobody can see on a level spoon, %. */
const NEAR_PERCENT = 0.5;
/** Farther off than this, spoons say nothing of the amount, %. */
const FAR_PERCENT = 25;

/**
 * A volume in the spoons a studio has: as few of them as come near, as near as the smallest allows.
 * @param ml above zero
 * @param nearPercent how near is near enough for fewer spoons, %
 * @returns null where even the smallest spoon is far more or the amount is no amount
 */
export function inSpoons(
  ml: number,
  { system, spoons }: SpoonSet,
  nearPercent = NEAR_PERCENT,
): InSpoons | null {
  if (!(ml > 0) || !Number.isFinite(ml)) return null;
  const holds = (spoon: Spoon): number => SPOONS[spoon].size * spoonMl(SPOONS[spoon].of, system);
  const cup = spoonMl('cup', system);
  // Cups are said from a cup on: below it tablespoons are.
  const set = [...spoons]
    .filter((spoon) => SPOONS[spoon].of !== 'cup' || ml >= cup * (1 - NEAR_PERCENT / 100))
    .sort((a, b) => holds(b) - holds(a));
  let best: InSpoons | null = null;
  for (let last = 0; last < set.length; last += 1) {
    const said = measuredWith(ml, set.slice(0, last + 1), holds);
    if (said && (!best || Math.abs(said.offPercent) < Math.abs(best.offPercent) - 1e-9)) best = said;
    if (best && Math.abs(best.offPercent) <= nearPercent) break;
  }
  return best && Math.abs(best.offPercent) <= FAR_PERCENT ? best : null;
}

/** So many of each spoon, the largest first, and of the last as comes nearest; parts of one measure are said together. */
function measuredWith(ml: number, set: readonly Spoon[], holds: (spoon: Spoon) => number): InSpoons | null {
  const of: Record<Measure, number> = { cup: 0, tbsp: 0, tsp: 0 };
  let left = ml;
  for (const [i, spoon] of set.entries()) {
    const size = holds(spoon);
    const count = i === set.length - 1 ? Math.round(left / size) : Math.floor(left / size + 1e-9);
    of[SPOONS[spoon].of] += count * SPOONS[spoon].size;
    left -= count * size;
  }
  const said = ml - left;
  if (said <= 0) return null;
  const words = (['cup', 'tbsp', 'tsp'] as const)
    .filter((measure) => of[measure] > 0)
    .map((measure) => `${mixed(of[measure])} ${measure === 'cup' && of.cup > 1 ? 'cups' : measure}`)
    .join(' + ');
  return { words, ml: said, offPercent: (said / ml - 1) * 100 };
}

/** A number of spoons as it is said: `2 3/4`, `1/8`. @param value a multiple of 1/32 */
function mixed(value: number): string {
  const whole = Math.floor(value + 1e-9);
  let [over, under] = [Math.round((value - whole) * 32), 32];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  if (over === 0) return plainNumber(whole);
  return whole === 0 ? `${over}/${under}` : `${plainNumber(whole)} ${over}/${under}`;
}
