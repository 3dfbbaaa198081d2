import { drawnColor } from '../color/drawnColor';
import type { Dye } from '../shelf/dye';
import { singleDyes } from '../amounts/premix';

/** Undyed wool, on which a swatch is drawn. */
const GROUND_HEX = '#efe9dc';

/** The color of a premix at 1 %, from the powders in it. An estimate, for drawing. @throws FieldError as `singleDyes` */
export function premixSwatch(premix: Pick<Dye, 'id' | 'name' | 'madeOf'>, dyes: readonly Dye[]): string {
  const parts = singleDyes(premix.id, 1, [...dyes.filter(({ id }) => id !== premix.id), premix]);
  return drawnColor(
    GROUND_HEX,
    parts.flatMap(({ dyeId, grams }) => {
      const dye = dyes.find(({ id }) => id === dyeId);
      return dye
        ? [{ swatchHex: dye.swatchHex, swatchDosPercent: dye.swatchDosPercent, dosPercent: grams }]
        : [];
    }),
  );
}
