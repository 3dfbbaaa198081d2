import { drawnColor, type DrawnDye } from '../color/drawnColor';
import { linearRgb, rgbHex } from '../color/srgb';

/** A stretch of the loop in one color. */
export interface Band {
  /** Share of the loop, above 0 to 1. */
  share: number;
  hex: string;
}

/** How goods look at a moment: colors along the loop, how tonal they are, and what lies on top. For drawing only. */
export interface YarnLook {
  /** In order along the loop; shares add up to 1. */
  bands: readonly Band[];
  /** True when the bands lie across the hank, so that each strand passes through all of them side by side. */
  across: boolean;
  /** Spread of depth, 0 level to 1 strongly tonal. */
  unevenness: number;
  speckles: readonly { hex: string; cover: number }[];
}

/** Dye that reaches a stretch of the loop. */
export interface Stretch {
  from: number;
  to: number;
  dyes: readonly DrawnDye[];
}

/** Undyed and evenly dyed goods are a little tonal all the same (common practice, no source). */
export const PLAIN_UNEVENNESS = 0.12;

/** Goods in one color. */
export const plainLook = (hex: string): YarnLook => ({
  bands: [{ share: 1, hex }],
  across: false,
  unevenness: PLAIN_UNEVENNESS,
  speckles: [],
});

/** Most bands a hank is drawn with; more cannot be told apart at the size of a hank. */
const MOST_BANDS = 48;

/** Lays dye over stretches of the loop; what lies outside every stretch keeps its color. */
export function dyeStretches(look: YarnLook, stretches: readonly Stretch[]): YarnLook {
  const [whole] = stretches;
  if (whole && stretches.length === 1 && whole.from <= 0 && whole.to >= 1)
    return {
      ...look,
      bands: look.bands.map(({ share, hex }) => ({ share, hex: drawnColor(hex, whole.dyes) })),
    };
  const cuts = new Set<number>([0, 1]);
  let at = 0;
  for (const band of look.bands) {
    at += band.share;
    cuts.add(Math.min(1, at));
  }
  for (const { from, to } of stretches) {
    cuts.add(Math.max(0, Math.min(1, from)));
    cuts.add(Math.max(0, Math.min(1, to)));
  }
  const edges = [...cuts].toSorted((a, b) => a - b);
  const bands: Band[] = [];
  edges.slice(1).forEach((end, i) => {
    const start = edges[i] ?? 0;
    const share = end - start;
    if (share < 1e-6 || bands.length >= MOST_BANDS) return;
    const middle = (start + end) / 2;
    const dyes = stretches.filter(({ from, to }) => middle > from && middle < to).flatMap((one) => one.dyes);
    const ground = colorAt(look, middle);
    bands.push({ share, hex: dyes.length === 0 ? ground : drawnColor(ground, dyes) });
  });
  return { ...look, bands };
}

/** Color at a place along the loop, 0 to 1. */
export function colorAt(look: YarnLook, place: number): string {
  let end = 0;
  for (const band of look.bands) {
    end += band.share;
    if (place <= end + 1e-9) return band.hex;
  }
  return look.bands.at(-1)?.hex ?? '#efe9dc';
}

/** One color for the whole, speckles counted by how much they cover. */
export function averageHex(look: YarnLook): string {
  const sum = [0, 0, 0];
  const add = (hex: string, weight: number): void =>
    linearRgb(hex).forEach((channel, i) => (sum[i] = (sum[i] ?? 0) + channel * weight));
  const covered = Math.min(
    0.9,
    look.speckles.reduce((total, speckle) => total + speckle.cover, 0),
  );
  const total = look.speckles.reduce((all, speckle) => all + speckle.cover, 0) || 1;
  for (const band of look.bands) add(band.hex, band.share * (1 - covered));
  for (const speckle of look.speckles) add(speckle.hex, (covered * speckle.cover) / total);
  return rgbHex([sum[0] ?? 0, sum[1] ?? 0, sum[2] ?? 0]);
}
