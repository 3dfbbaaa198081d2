import { BANDS } from '../units/bands';
import { dyeingOf, type Dose } from './dye/dyeing';
import { absorptionOf } from './dye/layer';
import { linearRgb } from './srgb';

/** What a dye is found to be: enough to reckon its color at any depth, not how sure that is. */
export interface DyeColor {
  /** Absorption over scattering at a build-up of 1, band by band. */
  k: readonly number[];
  power: number;
  /** Per % of depth. */
  saturation: number;
  /** Measured samples that it rests on; 0: the swatch that was picked for it, and what is usual for a dye. */
  samples: number;
  /** Samples among those that were made up. */
  invented: number;
}

/** Goods before any dye. */
export interface BaseColor {
  /** Reflectance, band by band. */
  reflectance: readonly number[];
  /** Logarithm of how much more of every dye shows on it. */
  affinity: number;
  /** The same of single dyes, beside that; of those that were measured on it. */
  ofDye: Readonly<Record<string, number>>;
  /** False: made from its picked color. */
  measured: boolean;
}

/** A powder of a premix, as its share of the whole. */
export interface PremixPart {
  dyeId: string;
  share: number;
}

/** The colors of a shelf, as they are found from its samples; by the ids of what they are of. */
export interface ShelfColors {
  dyes: Readonly<Record<string, DyeColor>>;
  /** Premixes that were not measured themselves, as single dyes. */
  premixes: Readonly<Record<string, readonly PremixPart[]>>;
  bases: Readonly<Record<string, BaseColor>>;
  /** How much of a dye the others in its bath keep away. */
  loss: number;
  /** Spectra of a screen’s lights, red, green and blue: of what surfaces of picked colors are taken to be made. */
  lights: readonly (readonly number[])[];
}

/** A dye on goods, by its id on the shelf. */
export interface DyeLaid {
  dyeId: string;
  /** % on weight of fiber. */
  dosPercent: number;
}

/** The dyes that a dye goes on as: itself, or the powders of a premix. */
export const singlesOf = ({ premixes }: ShelfColors, dyeId: string): readonly PremixPart[] =>
  premixes[dyeId] ?? [{ dyeId, share: 1 }];

/** Nothing of yarn is blacker than that before it is dyed, nor whiter. */
const [BLACKEST, WHITEST] = [0.01, 0.99];

/** Absorption over scattering of goods that are known by a picked color alone. @param hex `#rrggbb` */
export function absorptionOfPicked({ lights }: Pick<ShelfColors, 'lights'>, hex: string): Float64Array {
  const channels = linearRgb(hex);
  const bands = lights[0]?.length ?? 0;
  return absorptionOf(
    Float64Array.from({ length: bands }, (_, band) =>
      Math.min(
        WHITEST,
        Math.max(
          BLACKEST,
          channels.reduce((sum, channel, k) => sum + channel * (lights[k]?.[band] ?? 0), 0),
        ),
      ),
    ),
  );
}

/**
 * Absorption over scattering that dyes from one bath add to what is there, band by band.
 * @param base of the goods; one that is not known takes dyes as the base does that most samples are on
 */
export function absorptionOfDyes(
  colors: ShelfColors,
  base: Pick<BaseColor, 'affinity' | 'ofDye'> | undefined,
  dyes: readonly DyeLaid[],
): Float64Array {
  const { absorption } = dyeingOf(
    { absorption: new Float64Array(BANDS), affinity: base?.affinity ?? 0, loss: colors.loss },
    dyes.flatMap(({ dyeId, dosPercent }) =>
      singlesOf(colors, dyeId).flatMap(({ dyeId: single, share }): Dose[] => {
        const dye = colors.dyes[single];
        return dye ? [{ dye, dosPercent: dosPercent * share, affinity: base?.ofDye[single] ?? 0 }] : [];
      }),
    ),
  );
  return absorption;
}

/**
 * The single dyes that the color of some dyes comes from; null where none of them was measured, or one is not on the
 * shelf: then picked colors must do.
 */
export function measuredDyes(colors: ShelfColors, dyeIds: readonly string[]): readonly string[] | null {
  const all = [...new Set(dyeIds.flatMap((id) => singlesOf(colors, id).map(({ dyeId }) => dyeId)))];
  const known = all.map((id) => colors.dyes[id]);
  return known.every((dye) => dye !== undefined) && known.some(({ samples }) => samples > 0) ? all : null;
}
