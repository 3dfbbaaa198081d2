import { ciede2000 } from './difference/ciede2000';
import { lchOf, type Lab } from './lab';

/** How large a difference is, in words: up to which of its parts each is said (common practice, no source). */
const SIZES: readonly (readonly [number, string])[] = [
  [1, 'a trace'],
  [2.5, 'a little'],
  [5, 'clearly'],
  [Number.POSITIVE_INFINITY, 'much'],
];
const sizeOf = (difference: number): string =>
  SIZES.find(([to]) => Math.abs(difference) <= to)?.[1] ?? 'much';

/** Below this a part is not spoken of, in CIELAB units. */
const LEAST = 0.5;
/** Below this nobody sees a difference beside each other (common practice, no source). */
const SAME = 0.8;

/** Which way a hue has turned: towards what, straight across its chroma. @param hue degrees @param by which way round */
function turned(hue: number, by: number): string {
  const [da, db] = [-by * Math.sin((hue * Math.PI) / 180), by * Math.cos((hue * Math.PI) / 180)];
  return Math.abs(da) > Math.abs(db) ? (da > 0 ? 'redder' : 'greener') : db > 0 ? 'yellower' : 'bluer';
}

/**
 * How a color differs from another, as it is said beside it: `a little deeper, clearly redder`.
 * @param from the target @param to what came out
 */
export function differenceWords(from: Lab, to: Lab): string {
  if (ciede2000(from, to) < SAME) return 'no difference to be seen';
  const [[l1, c1, h1], [l2, c2, h2]] = [lchOf(from), lchOf(to)];
  const dL = l2 - l1;
  const dC = c2 - c1;
  const apart = ((h2 - h1 + 540) % 360) - 180;
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin((apart * Math.PI) / 360);
  const parts: { size: number; words: string }[] = [
    { size: dL, words: dL < 0 ? 'deeper' : 'paler' },
    { size: dH, words: turned(h1, dH) },
    { size: dC, words: dC < 0 ? 'duller' : 'brighter' },
  ];
  const said = parts
    .filter(({ size }) => Math.abs(size) >= LEAST)
    .toSorted((one, other) => Math.abs(other.size) - Math.abs(one.size))
    .map(({ size, words }) => `${sizeOf(size)} ${words}`);
  return said.length === 0 ? 'hardly different' : said.join(', ');
}
