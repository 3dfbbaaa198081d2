import { absorptionOf, readingOf } from '../color/dye/layer';
import { linearOf } from '../color/screen';
import {
  absorptionOfPicked,
  absorptionOfDyes,
  measuredDyes,
  type BaseColor,
  type ShelfColors,
} from '../color/shelfColors';
import type { Rgb } from '../color/srgb';
import type { Part } from './coat';
import { byBands, type Painting } from './painting';
import type { YarnLook } from './yarnLook';

/** The single dyes that the colors of goods come from; null where none was measured, and picked colors must do. */
export function measuredDyesOf(
  { coats }: Pick<YarnLook, 'coats'>,
  colors: ShelfColors,
): readonly string[] | null {
  const ids = coats.flatMap(({ parts }) => parts.flatMap(({ dyes }) => dyes.map(({ dyeId }) => dyeId)));
  const known = ids.filter((id) => id !== undefined);
  return known.length < ids.length ? null : measuredDyes(colors, known);
}

/** The undyed goods of a look: as its base was measured, or as their own picked color says. */
function groundOf({ ground, undyedBaseId }: YarnLook, colors: ShelfColors): Float64Array {
  const base = baseOf(colors, undyedBaseId);
  return base ? absorptionOf(base.reflectance) : absorptionOfPicked(colors, ground);
}

const baseOf = ({ bases }: ShelfColors, id: string | undefined): BaseColor | undefined =>
  id === undefined ? undefined : bases[id];

const isDyed = ({ coats }: YarnLook): boolean =>
  coats.some(({ parts }) => parts.some(({ dyes }) => dyes.length > 0));

/**
 * By what was measured of the dyes, over the 31 bands of light; goods of which nothing was measured, by picked colors. An estimate: single-constant Kubelka-Munk with fitted dyes.
 */
export const bySamples =
  (colors: ShelfColors): Painting =>
  (look) => {
    const base = baseOf(colors, look.undyedBaseId);
    const measured = isDyed(look) ? measuredDyesOf(look, colors) : base?.measured;
    if (!measured) return byBands(look);
    const ground = groundOf(look, colors);
    const absorptions = [ground];
    const lights: Rgb[] = [linearOf(readingOf(ground))];
    const added = new Map<Part, Map<number, Float64Array>>();
    /** What a part adds, so many times over: the same for all that it comes over. */
    const addedBy = (part: Part, times: number): Float64Array => {
      const ofPart = added.get(part) ?? new Map<number, Float64Array>();
      added.set(part, ofPart);
      const known = ofPart.get(times);
      if (known) return known;
      const laid = part.dyes.flatMap(({ dyeId, dosPercent }) =>
        dyeId === undefined ? [] : [{ dyeId, dosPercent: dosPercent * times }],
      );
      const own = absorptionOfDyes(colors, base, laid);
      ofPart.set(times, own);
      return own;
    };
    return {
      lights,
      over(before, part, times) {
        const absorption = Float64Array.from(absorptions[before] ?? ground);
        const own = addedBy(part, times);
        for (let band = 0; band < absorption.length; band += 1)
          absorption[band] = (absorption[band] as number) + (own[band] as number);
        absorptions.push(absorption);
        return lights.push(linearOf(readingOf(absorption))) - 1;
      },
    };
  };
