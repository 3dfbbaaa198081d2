import type { DrawnDye } from '../color/drawnColor';
import { methodFacts } from '../method';
import { named } from '../recipe/materials';
import type { Arrangement, Pass } from '../recipe/recipe';
import type { Dye } from '../shelf/dye';
import { coated, type YarnLook } from '../skein/yarnLook';

/** How tonal each way of laying the goods comes out beside what it keeps pale, for drawing only. */
const ARRANGED: Record<Arrangement['kind'], number> = {
  open: 0,
  twisted: 0.12,
  'twisted tight': 0.15,
  knotted: 0.1,
  'laid flat': 0.05,
  'tied sections': 0.05,
};

/** Dye of one line of a pass: what it comes to on the goods it is for, and the section those are. */
export interface LineDepth {
  dyeId: string;
  sectionId: string | null;
  dosPercent: number;
}

/** The goods after one more pass. An estimate for drawing: where color goes, and how level. */
export function lookAfter(
  look: YarnLook,
  pass: Pass,
  depths: readonly LineDepth[],
  dyes: readonly Dye[],
): YarnLook {
  const drawn = (placeId: string | null): DrawnDye[] =>
    depths
      .filter((line) => placeId === null || line.sectionId === placeId)
      .map(({ dyeId, dosPercent }) => {
        const { swatchHex, swatchDosPercent } = named(dyes, dyeId, 'dyeId', 'dye');
        return { dyeId, swatchHex, swatchDosPercent, dosPercent };
      });
  const uneven = (extra: number): number =>
    Math.min(
      1,
      Math.max(look.unevenness * 0.8, 0.12) +
        extra +
        ARRANGED[pass.arrangement.kind] +
        (pass.goodsGoIn === 'dry' ? 0.15 : 0) +
        (pass.acids.some((dose) => dose.when === 'soak') ? 0.1 : 0),
    );
  const { coats, tonal, lying = [] } = methodFacts(pass.method.kind).look(pass.method, drawn);
  return coats.reduce<YarnLook>(
    (before, parts, i) => coated(before, { parts, lying: lying[i] ?? pass.arrangement }),
    {
      ...look,
      unevenness: uneven(tonal),
    },
  );
}
