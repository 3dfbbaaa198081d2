import { linearRgb, rgbHex, type Rgb } from './srgb';

/** A dye at a depth, with the picked color that stands for it. */
export interface DrawnDye {
  /** Its color on undyed wool at `swatchDosPercent`. */
  swatchHex: string;
  swatchDosPercent: number;
  /** The depth to draw, % on weight of fiber. */
  dosPercent: number;
}

const kOverS = (r: number): number => {
  const bounded = Math.min(0.995, Math.max(0.004, r));
  return (1 - bounded) ** 2 / (2 * bounded);
};
const reflectance = (q: number): number => 1 + q - Math.sqrt(q * q + 2 * q);

/** The undyed wool that dye swatches were picked on. */
export const SWATCH_GROUND = '#efe9dc';
const WOOL_K_OVER_S = linearRgb(SWATCH_GROUND).map(kOverS) as [number, number, number];

/**
 * The color to draw for goods after these dyes: single-constant Kubelka-Munk on three broad bands (linear
 * red, green, blue), K/S of the ground plus each dye's own K/S in proportion to depth.
 * An estimate for drawing only: three picked numbers cannot tell two dyes with the same swatch apart.
 * Source of the K/S relation: P. Kubelka, J. Opt. Soc. Am. 38, 448 (1948).
 */
export function drawnColor(groundHex: string, dyes: readonly DrawnDye[]): string {
  const ground = linearRgb(groundHex);
  const swatches = dyes.map((dye) => ({
    rgb: linearRgb(dye.swatchHex),
    ratio: dye.dosPercent / dye.swatchDosPercent,
  }));
  const band = (i: 0 | 1 | 2): number => {
    const dyed = swatches.reduce(
      (sum, { rgb, ratio }) => sum + ratio * Math.max(0, kOverS(rgb[i]) - WOOL_K_OVER_S[i]),
      0,
    );
    return reflectance(kOverS(ground[i]) + dyed);
  };
  return rgbHex([band(0), band(1), band(2)]);
}

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
