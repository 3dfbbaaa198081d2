import { ciede2000 } from '../src/color/difference/ciede2000';
import { labOfScreen, linearOf } from '../src/color/screen';
import type { ShelfColors } from '../src/color/shelfColors';
import { linearRgb, rgbBytes, rgbHex } from '../src/color/srgb';
import { colorsOfShelf, type SampledShelf } from '../src/recipe/colorsOfShelf';
import type { Sample } from '../src/shelf/sample';
import { bySamples } from '../src/skein/bySamples';
import type { Part } from '../src/skein/coat';
import { evenHex } from '../src/skein/painting';
import { coated, plainLook, type YarnLook } from '../src/skein/yarnLook';
import { Dyehouse } from './dyehouse/dyehouse';

/*
 * A shelf of the dyes of a simulated dyehouse: two of them with ladders on one base, one with a single sample, the rest by
 * their swatches.
 */
const there = <T>(value: T | undefined): T => {
  if (value === undefined) throw new Error('The house does not have that.');
  return value;
};

export const house = new Dyehouse({ seed: 11, bases: 2 });
export const base = there(house.bases[0]);
export const BASE = base.id;
export const bytes = (hex: string) => rgbBytes(linearRgb(hex));
export const hexOf = (reflectance: readonly number[]): string => rgbHex(linearOf(reflectance));
export const apart = (one: string, other: string): number =>
  ciede2000(labOfScreen(bytes(one)), labOfScreen(bytes(other)));
export const clean = (dyes: { id: string; dosPercent: number }[], of = BASE): string =>
  hexOf(house.dye(of, dyes, true).reflectance);

export const sample = (
  id: string,
  dyes: Sample['dyes'],
  reflectance: readonly number[],
  baseId = BASE,
): Sample => ({
  id,
  baseId,
  dyes,
  color: { kind: 'reflectance', reflectance: [...reflectance] },
  invented: false,
  note: '',
  retired: false,
});
export const ladder = (dyeId: string, baseId = BASE, depths = [0.05, 0.12, 0.3, 0.6, 1.2, 2.4]): Sample[] =>
  depths.map((dosPercent) =>
    sample(
      `${dyeId}-${baseId}-${dosPercent}`,
      [{ dyeId, dosPercent }],
      house.dye(baseId, [{ id: dyeId, dosPercent }]).reflectance,
      baseId,
    ),
  );
export const undyed = (id: string): Sample =>
  sample(`${id}-undyed`, [], there(house.bases.find((one) => one.id === id)).white, id);

/** A shelf of the dyes of the house, each with a swatch as it would be picked. */
export const shelf = (samples: readonly Sample[]): SampledShelf => ({
  bases: house.bases.map(({ id, white }) => ({ id, hex: hexOf(white) })),
  dyes: house.dyes.map(({ id }) => ({
    id,
    name: `Dye ${id}`,
    swatchHex: clean([{ id, dosPercent: 1 }]),
    swatchDosPercent: 1,
    madeOf: [],
  })),
  samples,
});
export const DYES = house.dyes.map(({ id }) => id);
export const [A, B, C] = [there(DYES[0]), there(DYES[1]), there(DYES[2])] as const;
export const measured = shelf([undyed(BASE), ...ladder(A), ...ladder(B), there(ladder(C)[0])]);
export const colors = there(colorsOfShelf(measured) ?? undefined);

export const swatchOf = (id: string): { swatchHex: string; swatchDosPercent: number } =>
  there(measured.dyes.find((dye) => dye.id === id));
export const laid = (dyeId: string, dosPercent: number) => ({ dyeId, ...swatchOf(dyeId), dosPercent });
export const GROUND = plainLook(there(measured.bases[0]).hex, 'skein', BASE);
export const evenly = (dyes: Part['dyes'], ground: YarnLook = GROUND, by: ShelfColors = colors): string =>
  evenHex(ground, dyes, bySamples(by));
export const pass = (look: YarnLook, dyes: Part['dyes']): YarnLook =>
  coated(look, { parts: [{ where: { kind: 'all' }, dyes }], lying: { kind: 'open', count: 0 } });
