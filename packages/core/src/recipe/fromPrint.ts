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
