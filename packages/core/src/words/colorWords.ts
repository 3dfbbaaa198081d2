import { differenceWords } from '../color/differenceWords';
import { measuredDyes, type ShelfColors } from '../color/shelfColors';
import { figure, type Figure } from '../figure/figure';
import type { ExpectedColor } from '../recipe/expectedColor';
import type { Dye } from '../shelf/dye';
import { measuredDyesOf } from '../skein/bySamples';
import type { YarnLook } from '../skein/yarnLook';

/** What stands where nothing of a dye was measured. */
const PICKED = 'Colors from picked swatches, for recognizing only.';

/**
 * What the colors of some goods rest on, in a sentence.
 * @param colors of the shelf; null where nothing was measured
 * @param dyes for their names
 */
export function colorsRestOn(
  looks: readonly Pick<YarnLook, 'coats'>[],
  colors: ShelfColors | null,
  dyes: readonly Pick<Dye, 'id' | 'name'>[],
): string {
  if (!colors) return PICKED;
  const dyed = looks.filter(({ coats }) => coats.length > 0);
  const resting = dyed.map((look) => measuredDyesOf(look, colors));
  const measured = resting.filter((one) => one !== null);
  if (measured.length === 0) return PICKED;
  const ids = new Set(measured.flat());
  const { samples, invented } = counted(colors, ids);
  const picked = [...ids].filter((id) => colors.dyes[id]?.samples === 0);
  return [
    `Colors from ${sampleCount(samples)}${inventedWords(invented, samples)}`,
    ...(picked.length > 0 ? [`${namesOf(picked, dyes)} by picked swatch, a guess`] : []),
    ...(measured.length < dyed.length ? ['the rest from picked swatches, for recognizing only'] : []),
  ]
    .join('; ')
    .concat('. An estimate.');
}

/** Samples of some single dyes, and how many of them were made up. */
const counted = ({ dyes }: ShelfColors, ids: Iterable<string>): { samples: number; invented: number } => {
  const known = [...ids].flatMap((id) => dyes[id] ?? []);
  const sum = (of: 'samples' | 'invented'): number => known.reduce((all, dye) => all + dye[of], 0);
  return { samples: sum('samples'), invented: sum('invented') };
};

const sampleCount = (samples: number): string =>
  `${samples} measured ${samples === 1 ? 'sample' : 'samples'}`;

const inventedWords = (invented: number, samples: number): string =>
  invented === 0 ? '' : invented === samples ? ', all invented' : `, ${invented} of them invented`;

const namesOf = (ids: readonly string[], dyes: readonly Pick<Dye, 'id' | 'name'>[]): string =>
  ids.map((id) => dyes.find((dye) => dye.id === id)?.name ?? id).join(', ');

/** How far apart colors are that differ by so much, in words: up to which ΔE00 each is said (common practice, no source). */
const APART: readonly (readonly [number, string])[] = [
  [1, 'hardly to be told apart'],
  [2, 'seen side by side only'],
  [4, 'seen at a glance'],
  [Number.POSITIVE_INFINITY, 'a guess'],
];

/** How sure an expected color is: the ΔE00 around it that holds four dyeings of five, and what that looks like. */
export const spreadWords = (spreadDE00: number): string =>
  APART.find(([to]) => spreadDE00 <= to)?.[1] ?? 'a guess';

/** How five dyeings of one recipe may differ from the likeliest, to both sides: `a little paler to a trace deeper`. */
export function fiveWords({ five }: Pick<ExpectedColor, 'five'>): string {
  const middle = five[five.length >> 1];
  const sides = [five[0], five.at(-1)].flatMap((side) =>
    side && middle ? [differenceWords(middle.lab, side.lab)] : [],
  );
  const [pale, deep] = sides;
  return pale === deep ? (pale ?? '') : sides.join(' to ');
}

/** How sure a color is as a figure, with how it is come by. */
export const spreadFigure = ({
  spreadDE00,
  samples,
}: Pick<ExpectedColor, 'spreadDE00' | 'samples'>): Figure =>
  figure(
    Number(spreadDE00.toFixed(1)),
    '',
    () =>
      `from ${sampleCount(samples)} of its dyes and an error of 3 % in each dose: four dyeings of five lie within ΔE00 ${spreadDE00.toFixed(1)} of what is expected`,
    'estimate',
    'Kubelka-Munk single constant fitted to all samples at once, Laplace’s approximation; CIEDE2000',
  );

/** Samples of a dye, in words; null where it was never measured. */
export function samplesWords(colors: ShelfColors | null | undefined, dyeId: string): string | null {
  if (!colors) return null;
  const { samples, invented } = counted(colors, measuredDyes(colors, [dyeId]) ?? []);
  if (samples === 0) return null;
  const of = colors.premixes[dyeId] ? ' of its powders' : '';
  return `${sampleCount(samples)}${of}${inventedWords(invented, samples)}`;
}
