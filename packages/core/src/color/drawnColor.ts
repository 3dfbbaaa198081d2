import { kOverS, reflectanceOf } from './kubelkaMunk';
import { linearRgb, rgbHex, type Rgb } from './srgb';

/** A dye at a depth, with the picked color that stands for it. */
export interface DrawnDye {
  /** The dye on the shelf; left out for a color that belongs to none. */
  dyeId?: string;
  /** Its color on undyed wool at `swatchDosPercent`. */
  swatchHex: string;
  swatchDosPercent: number;
  /** The depth to draw, % on weight of fiber. */
  dosPercent: number;
}

/** K/S of one broad band, kept away from the ends where a picked color says nothing. */
const ofBand = (r: number): number => kOverS(Math.min(0.995, Math.max(0.004, r)));

/** The undyed wool that dye swatches were picked on. */
export const SWATCH_GROUND = '#efe9dc';
const WOOL_K_OVER_S = linearRgb(SWATCH_GROUND).map(ofBand) as [number, number, number];

/**
 * What dyes take away from light in three broad bands (linear red, green, blue): their K/S over that of the wool their
 * swatches were picked on, in proportion to depth.
 */
export function absorbedBy(dyes: readonly DrawnDye[]): Rgb {
  const sum: [number, number, number] = [0, 0, 0];
  for (const { swatchHex, swatchDosPercent, dosPercent } of dyes) {
    const rgb = linearRgb(swatchHex);
    for (const i of BANDS)
      sum[i] += (dosPercent / swatchDosPercent) * Math.max(0, ofBand(rgb[i]) - WOOL_K_OVER_S[i]);
  }
  return sum;
}

const BANDS = [0, 1, 2] as const;

/** Light from goods once dyes lie on them. @param times of what the dyes take away at their own depth */
export const throughDye = (ground: Rgb, absorbed: Rgb, times = 1): Rgb => [
  reflectanceOf(ofBand(ground[0]) + times * absorbed[0]),
  reflectanceOf(ofBand(ground[1]) + times * absorbed[1]),
  reflectanceOf(ofBand(ground[2]) + times * absorbed[2]),
];

/**
 * The color to draw for goods after these dyes: single-constant Kubelka-Munk on three broad bands, K/S of the ground
 * plus that of each dye.
 * An estimate for drawing only: three picked numbers cannot tell two dyes with the same swatch apart.
 * Source of the K/S relation: P. Kubelka, J. Opt. Soc. Am. 38, 448 (1948).
 */
export const drawnColor = (groundHex: string, dyes: readonly DrawnDye[]): string =>
  rgbHex(throughDye(linearRgb(groundHex), absorbedBy(dyes)));

/**
 * The color to draw for a bath: light through 4 cm of water with the dyes in it (Beer-Lambert on three bands,
 * absorbance taken from each dye's swatch). An estimate for drawing only.
 * @param gramsPerLiter dye in the bath, per dye
 */
export function drawnBathColor(
  dyes: readonly { swatchHex: string; swatchDosPercent: number; gramsPerLiter: number }[],
): string {
  const water: Rgb = [0.82, 0.82, 0.82];
  const through = (i: 0 | 1 | 2): number =>
    dyes.reduce(
      (light, dye) =>
        light *
        Math.max(0.01, linearRgb(dye.swatchHex)[i]) ** ((2.2 * dye.gramsPerLiter) / dye.swatchDosPercent),
      water[i],
    );
  return rgbHex([through(0), through(1), through(2)]);
}
