import type { DrawnDye } from '../color/drawnColor';
import { drawnColor } from '../color/drawnColor';
import type { Dye } from '../shelf/dye';
import { averageHex, dyeStretches, type YarnLook } from '../skein/yarnLook';
import { sectionsOf } from './methods';
import type { Arrangement, Pass } from './recipe';

/** How tonal each way of laying the goods comes out, for drawing only. */
const ARRANGED: Record<Arrangement['kind'], number> = {
  open: 0,
  twisted: 0.22,
  'twisted tight': 0.45,
  knotted: 0.4,
  'laid flat': 0.05,
  'tied sections': 0.35,
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
  const drawn = (sectionId: string | null, all = true): DrawnDye[] =>
    depths
      .filter((line) => all || line.sectionId === sectionId)
      .flatMap(({ dyeId, dosPercent }) => {
        const dye = dyes.find((candidate) => candidate.id === dyeId);
        return dye ? [{ swatchHex: dye.swatchHex, swatchDosPercent: dye.swatchDosPercent, dosPercent }] : [];
      });
  const { method } = pass;
  const sections = sectionsOf(method);
  const uneven = (extra: number): number =>
    Math.min(
      1,
      Math.max(look.unevenness * 0.8, 0.12) +
        extra +
        ARRANGED[pass.arrangement.kind] +
        (pass.goodsGoIn === 'dry' ? 0.15 : 0) +
        (pass.acids.some((dose) => dose.when === 'soak') ? 0.1 : 0),
    );
  if (sections.length > 0) {
    let at = 0;
    const stretches = sections.map((section) => {
      const from = at;
      at += section.sharePercent / 100;
      return { from, to: at, dyes: drawn(section.id, false) };
    });
    return {
      ...dyeStretches(look, stretches),
      across: method.kind === 'painting' && method.layout === 'across',
      unevenness: uneven(method.kind === 'painting' && method.layout === 'touches' ? 0.3 : 0.08),
    };
  }
  if (method.kind === 'dip') {
    // Each step leaves less of the hank in: the end has the whole of its dye, the edge of the dip the least.
    const share = method.sharePercent / 100;
    const stretches = Array.from({ length: method.steps }, (_, i) => ({
      from: (share * i) / method.steps,
      to: (share * (i + 1)) / method.steps,
      dyes: drawn(null).map((dye) => ({
        ...dye,
        dosPercent: (dye.dosPercent * 2 * (method.steps - i)) / (method.steps + 1),
      })),
    }));
    return { ...dyeStretches(look, stretches), unevenness: uneven(0) };
  }
  if (method.kind === 'sprinkle') {
    const cover = method.coverPercent / 100;
    const deeper = drawn(null).map((dye) => ({ ...dye, dosPercent: dye.dosPercent / Math.max(0.05, cover) }));
    const ground = averageHex({ ...look, speckles: [] });
    return {
      ...look,
      speckles: [
        ...look.speckles,
        ...deeper.map((dye) => ({ hex: drawnColor(ground, [dye]), cover: cover / deeper.length })),
      ],
    };
  }
  const extra = { 'low immersion': 0.3, 'cool bath': 0.05, glaze: 0.2, repeated: 0.3, ice: 0.5 }[
    method.kind as string
  ];
  return {
    ...dyeStretches(look, [{ from: 0, to: 1, dyes: drawn(null) }]),
    unevenness: uneven(extra ?? 0),
  };
}
