import { absorbedBy, throughDye } from '../color/drawnColor';
import { linearRgb, rgbHex, type Rgb } from '../color/srgb';
import type { Part } from './coat';
import type { YarnLook } from './yarnLook';

/** Lays dye over dye and keeps the light of all that comes of it. */
export interface Painter {
  /** Linear light, red, green and blue; the first is that of the goods before any dye. */
  lights: readonly Rgb[];
  /**
   * Lays the dyes of a part over what is there. @returns the place of its light in the list
   * @param before place of what is there @param times of the dye that the part says
   */
  over(before: number, part: Part, times: number): number;
}

/** A way to tell the colors of goods. */
export type Painting = (look: YarnLook) => Painter;

const BLACK: Rgb = [0, 0, 0];

/** The color of goods that some dyes lie on evenly. */
export function evenHex(ground: YarnLook, dyes: Part['dyes'], painting: Painting): string {
  const part: Part = { where: { kind: 'all' }, dyes };
  const painter = painting({ ...ground, coats: [{ parts: [part], lying: { kind: 'open', count: 0 } }] });
  return rgbHex(painter.lights[painter.over(0, part, 1)] ?? BLACK);
}

/** By the picked colors of dyes, in three broad bands: for recognizing only. */
export const byBands: Painting = ({ ground }) => {
  const lights: Rgb[] = [linearRgb(ground)];
  const absorbed = new Map<Part, Rgb>();
  return {
    lights,
    over(before, part, times) {
      const dye = absorbed.get(part) ?? absorbedBy(part.dyes);
      absorbed.set(part, dye);
      return lights.push(throughDye(lights[before] ?? BLACK, dye, times)) - 1;
    },
  };
};
