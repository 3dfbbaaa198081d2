import type { Stock } from '../shelf/stock';
import { entryIn } from './dyeEntry';
import type { DyeEntry } from './dyeEntrySchema';
import { spoonMl } from '../units/conversions';
import { inSpoons, type InSpoons, type SpoonSet } from '../units/inSpoons';
import type { Primaries } from '../shelf/habits';
import type { Dye } from '../shelf/dye';
import { linearRgb, toEncoded } from '../color/srgb';

/** Print values of a color, %, 0 to 100 each. */
export interface PrintValues {
  cyan: number;
  magenta: number;
  yellow: number;
  black: number;
}

/**
 * Print values of a screen color by plain gray replacement, without any press behind them. Exact arithmetic, a rough
 * guide to a color: the starting point of four primaries, no match.
 * @param hex `#rrggbb`
 */
export function printOfScreen(hex: string): PrintValues {
  const [r, g, b] = linearRgb(hex).map(toEncoded) as [number, number, number];
  const black = 1 - Math.max(r, g, b);
  const ink = (channel: number): number => (black >= 1 ? 0 : (100 * (1 - channel - black)) / (1 - black));
  return { cyan: ink(r), magenta: ink(g), yellow: ink(b), black: 100 * black };
}

/** Print values as a dyer reads them, without the inks that are nothing. */
export const inksOf = (values: PrintValues): (keyof PrintValues)[] =>
  (['cyan', 'magenta', 'yellow', 'black'] as const).filter((ink) => values[ink] >= 0.5);

/** Screen colors the four inks stand for. */
const INK_HEX: Record<keyof PrintValues, string> = {
  cyan: '#0090c0',
  magenta: '#c0207a',
  yellow: '#e8c400',
  black: '#1a1a1c',
};

/** The single dyes on the shelf whose swatches come nearest to the four inks; a guess the dyer may change. */
export function likelyPrimaries(dyes: readonly Dye[]): Primaries {
  const nearest = (hex: string): string | null => {
    const target = linearRgb(hex).map(toEncoded);
    const far = (dye: Dye): number =>
      linearRgb(dye.swatchHex)
        .map(toEncoded)
        .reduce((sum, channel, i) => sum + (channel - (target[i] ?? 0)) ** 2, 0);
    return (
      dyes.filter((dye) => !dye.retired && dye.madeOf.length === 0).toSorted((a, b) => far(a) - far(b))[0]
        ?.id ?? null
    );
  };
  return {
    cyan: nearest(INK_HEX.cyan),
    magenta: nearest(INK_HEX.magenta),
    yellow: nearest(INK_HEX.yellow),
    black: nearest(INK_HEX.black),
  };
}

/** Print values round coarsely: as near as this, fewer spoons say the same, %. */
const COARSE_PERCENT = 5;

/** One ink in spoons of stock. */
export interface InkInSpoons {
  /** What the value comes to, tsp. */
  teaspoons: number;
  tablespoons: number;
  /** The same in the spoons of the studio; null where even the smallest is far more. */
  said: InSpoons | null;
  /** Those spoons of stock as a dye goes in; null with them. */
  entry: DyeEntry | null;
}

/**
 * A print value in spoons of stock: 77 % of 4 tbsp is 3.08 tbsp, said as 3 tbsp.
 * @param fullTeaspoons what 100 % is, tsp
 */
export function inkInSpoons(percent: number, fullTeaspoons: number, spoons: SpoonSet): InkInSpoons {
  const teaspoons = (percent / 100) * fullTeaspoons;
  const teaspoon = spoonMl('tsp', spoons.system);
  const said = inSpoons(teaspoons * teaspoon, spoons, COARSE_PERCENT);
  return {
    teaspoons,
    tablespoons: (teaspoons * teaspoon) / spoonMl('tbsp', spoons.system),
    said,
    entry: said && entryIn('stock spoons', said.ml / teaspoon),
  };
}

/** Strength that primaries are made up at in most studios, % w/v (common practice, no source). */
const PRIMARY_PERCENT = 1;

/**
 * The jar an ink is spooned from: so many spoons of one ink are only as much as of another where both jars are as strong, so
 * that of several the one nearest to 1 % is taken. @returns null where the dye has no jar
 */
export const jarForInk = ({ stocks }: { stocks: readonly Stock[] }, dyeId: string): Stock | null =>
  stocks
    .filter((stock) => stock.dyeId === dyeId && !stock.retired)
    .toSorted(
      (a, b) =>
        Math.abs(Math.log(a.strengthPercent / PRIMARY_PERCENT)) -
        Math.abs(Math.log(b.strengthPercent / PRIMARY_PERCENT)),
    )[0] ?? null;

/** The dyes that stand for the inks: those that the studio keeps for it, or the likeliest on the shelf. */
export function primariesOf(dyes: readonly Dye[], kept: Primaries): Primaries {
  const likely = likelyPrimaries(dyes);
  const there = (id: string | null): boolean => dyes.some((dye) => dye.id === id && !dye.retired);
  const of = (ink: keyof Primaries): string | null => (there(kept[ink]) ? kept[ink] : likely[ink]);
  return { cyan: of('cyan'), magenta: of('magenta'), yellow: of('yellow'), black: of('black') };
}
