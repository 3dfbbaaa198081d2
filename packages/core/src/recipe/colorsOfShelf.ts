import { singleDyes } from '../amounts/premix';
import {
  affinitiesOn,
  affinityOf,
  calibrate,
  type Calibration,
  type MeasuredBase,
} from '../color/calibrate/calibrate';
import { dyeOfSwatch } from '../color/calibrate/dyeAlone';
import { reflectanceOfColor } from '../color/calibrate/firstGuess';
import type { Building } from '../color/dye/dyeModel';
import { absorptionOf } from '../color/dye/layer';
import { lossAt } from '../color/calibrate/problem';
import { SWATCH_GROUND } from '../color/drawnColor';
import type { BaseColor, DyeColor, PremixPart, ShelfColors } from '../color/shelfColors';
import { smoothLights } from '../color/smoothLights';
import { WAVELENGTHS, type Spectrum } from '../color/spectrum';
import { linearRgb, rgbBytes, type Rgb } from '../color/srgb';
import type { Base } from '../shelf/base';
import type { Dye } from '../shelf/dye';
import type { Sample } from '../shelf/sample';

/** What colors are found from. */
export interface SampledShelf {
  bases: readonly Pick<Base, 'id' | 'hex'>[];
  dyes: readonly Pick<Dye, 'id' | 'name' | 'swatchHex' | 'swatchDosPercent' | 'madeOf'>[];
  samples: readonly Sample[];
}

/** Figures of a color that are told: more than any measurement has. */
const FIGURES = 5;
const toldOne = (value: number): number => Number(value.toPrecision(FIGURES));
const told = (values: Iterable<number>): number[] => Array.from(values, toldOne);

/** The color of a screen as it is picked, channels 0 to 255. */
const bytesOf = (hex: string): Rgb => rgbBytes(linearRgb(hex));

/** Reflectance of goods by a picked color: the smoothest; gray where no surface has it, as black and the purest white. */
function ofPicked(hex: string): Spectrum {
  const smooth = reflectanceOfColor({ kind: 'srgb', srgb: bytesOf(hex) });
  return smooth ?? WAVELENGTHS.map(() => Math.min(0.99, Math.max(0.01, linearRgb(hex)[1])));
}

/** Reflectance of a base: the mean of its own samples. */
function ofSamples(samples: readonly Sample[]): Spectrum | null {
  const read = samples.flatMap(({ color }) => {
    const one = reflectanceOfColor(color);
    return one ? [one] : [];
  });
  return read.length === 0
    ? null
    : WAVELENGTHS.map((_, band) => read.reduce((sum, one) => sum + (one[band] ?? 0), 0) / read.length);
}

/** What was found of a shelf: its colors, and what they come from, by which it is known how sure they are. */
export interface FoundColors {
  colors: ShelfColors;
  calibration: Calibration;
}

/** The colors of everything on a shelf, alone. @returns null where no dye was measured */
export const colorsOfShelf = (shelf: SampledShelf): ShelfColors | null => findColors(shelf)?.colors ?? null;

/**
 * Finds the colors of everything on a shelf: what was measured fitted together, the rest by its picked colors.
 * @returns null where no dye was measured
 */
export function findColors({ bases, dyes, samples }: SampledShelf): FoundColors | null {
  const counting = samples.filter(({ retired }) => !retired);
  const dyed = counting.filter((sample) => sample.dyes.length > 0);
  if (dyed.length === 0) return null;
  const undyed = bases.map(({ id, hex }) => {
    const measured = ofSamples(counting.filter((one) => one.baseId === id && one.dyes.length === 0));
    return { id, reflectance: measured ?? ofPicked(hex), measured: measured !== null };
  });
  const fit = fitOf(undyed, dyes, dyed);
  const samplesOf = (id: string): Sample[] =>
    dyed.filter((one) => one.dyes.length === 1 && one.dyes[0]?.dyeId === id);
  const swatchGround = absorptionOf(ofPicked(SWATCH_GROUND));
  const colorOf = (dye: Pick<Dye, 'id' | 'swatchHex' | 'swatchDosPercent'>): DyeColor => {
    const own = samplesOf(dye.id);
    const found = fit.models[fit.dyeIds.indexOf(dye.id)];
    return {
      ...saidOf(found ?? dyeOfSwatch(swatchGround, bytesOf(dye.swatchHex), dye.swatchDosPercent)),
      samples: own.length,
      invented: own.filter(({ invented }) => invented).length,
    };
  };
  const colors: ShelfColors = {
    dyes: Object.fromEntries(dyes.map((dye) => [dye.id, colorOf(dye)])),
    premixes: Object.fromEntries(
      dyes
        .filter(({ id, madeOf }) => madeOf.length > 0 && samplesOf(id).length === 0)
        .map(({ id }): [string, PremixPart[]] => [
          id,
          singleDyes(id, 1, dyes).map(({ dyeId, grams }) => ({ dyeId, share: grams })),
        ]),
    ),
    bases: Object.fromEntries(
      undyed.map(({ id, reflectance, measured }): [string, BaseColor] => [
        id,
        {
          reflectance: told(reflectance),
          affinity: toldOne(affinityOf(fit, id)),
          ofDye: Object.fromEntries(
            Object.entries(affinitiesOn(fit, id)).map(([dyeId, more]) => [dyeId, toldOne(more)]),
          ),
          measured,
        },
      ]),
    ),
    loss: toldOne(fit.numbers[lossAt(fit.problem)] ?? 0),
    lights: smoothLights().map(told),
  };
  return { colors, calibration: fit };
}

const saidOf = ({ k, power, saturation }: Building): Pick<DyeColor, 'k' | 'power' | 'saturation'> => ({
  k: told(k),
  power: toldOne(power),
  saturation: toldOne(saturation),
});

/** Everything that was measured, fitted together; a dye that was measured in mixtures alone begins at its swatch. */
function fitOf(
  bases: readonly MeasuredBase[],
  dyes: SampledShelf['dyes'],
  dyed: readonly Sample[],
): Calibration {
  const inIt = dyes.filter(({ id }) => dyed.some((sample) => sample.dyes.some(({ dyeId }) => dyeId === id)));
  const alone = dyed.filter((sample) => sample.dyes.length === 1);
  return calibrate({
    bases,
    dyes: inIt.map(({ id }) => id),
    samples: [
      ...alone.flatMap(({ baseId, color, dyes: [dye] }) =>
        dye ? [{ dyeId: dye.dyeId, dosPercent: dye.dosPercent, baseId, color }] : [],
      ),
      ...inIt
        .filter(({ id }) => !alone.some((sample) => sample.dyes[0]?.dyeId === id))
        .map(({ id, swatchHex, swatchDosPercent }) => ({
          dyeId: id,
          dosPercent: swatchDosPercent,
          baseId: bases[0]?.id ?? '',
          color: { kind: 'swatch', srgb: bytesOf(swatchHex) } as const,
        })),
    ],
    mixtures: dyed
      .filter((sample) => sample.dyes.length > 1)
      .map(({ baseId, color, dyes: together }) => ({
        baseId,
        color,
        dyes: together.map(({ dyeId, dosPercent }) => ({ id: dyeId, dosPercent })),
      })),
  });
}
