import { fiveDyeings } from '../color/fiveDyeings';
import type { Lab } from '../color/lab';
import { predict, type Prediction } from '../color/predict';
import { labOfScreen, screenOfLab } from '../color/screen';
import { singlesOf, type DyeLaid } from '../color/shelfColors';
import { bytesHex } from '../color/srgb';
import type { FoundColors } from './colorsOfShelf';

/** A dye on goods, and the pass it goes in. */
export interface DyeInPass extends DyeLaid {
  pass: number;
}

/** A color that is expected, and how sure that is. */
export interface ExpectedColor {
  lab: Lab;
  /** The ΔE00 around it that holds four dyeings of five. */
  spreadDE00: number;
  /** Measured samples that it rests on. */
  samples: number;
  /** Five dyeings of it as they may come out, pale to deep; the one in the middle is the likeliest. */
  five: readonly ShownColor[];
}

/** A color, and how a screen shows it. */
export interface ShownColor {
  lab: Lab;
  hex: string;
}

/**
 * The color of some dyes on a base, all over and through.
 * @returns null where one of them was never measured, or the base is not on the shelf
 */
export function expectedColor(
  { colors, calibration }: FoundColors,
  baseId: string,
  dyes: readonly DyeInPass[],
): ExpectedColor | null {
  const doses = new Map<string, { id: string; dosPercent: number; bath: number }>();
  for (const { dyeId, dosPercent, pass } of dyes)
    for (const { dyeId: id, share } of singlesOf(colors, dyeId)) {
      const key = `${pass} ${id}`;
      const before = doses.get(key)?.dosPercent ?? 0;
      doses.set(key, { id, dosPercent: before + dosPercent * share, bath: pass });
    }
  const all = [...doses.values()].filter(({ dosPercent }) => dosPercent > 0);
  if (all.length === 0 || !calibration.baseIds.includes(baseId)) return null;
  if (all.some(({ id }) => (colors.dyes[id]?.samples ?? 0) === 0)) return null;
  const { lab, spreadDE00, samples, ...shown } = predict(calibration, baseId, all);
  return { lab, spreadDE00, samples, five: fiveShown({ lab, ...shown }) };
}

/** The one in the middle is shown by its reflectance, as goods are drawn; the others by how they differ from it. */
function fiveShown({ lab, spread, srgb }: Pick<Prediction, 'lab' | 'spread' | 'srgb'>): ShownColor[] {
  const middle = labOfScreen(srgb);
  return fiveDyeings(lab, spread).map((one) => {
    const by = (i: 0 | 1 | 2): number => middle[i] + one[i] - lab[i];
    return { lab: one, hex: bytesHex(screenOfLab([by(0), by(1), by(2)]).srgb) };
  });
}
