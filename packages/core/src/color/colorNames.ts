import { lchOf, type Lab } from './lab';

/** Chroma below which a color is a gray (common practice, no source). */
const GRAY_CHROMA = 5;
const NEARLY_GRAY = 12;

/** Hue angles in CIELAB up to which a name is said (common practice, no source). */
const HUES: readonly (readonly [number, string])[] = [
  [15, 'pink'],
  [42, 'red'],
  [62, 'orange'],
  [82, 'yellow-orange'],
  [104, 'yellow'],
  [125, 'yellow-green'],
  [165, 'green'],
  [205, 'blue-green'],
  [245, 'turquoise'],
  [285, 'blue'],
  [315, 'violet'],
  [345, 'purple'],
  [360, 'pink'],
];

const hueName = (hue: number, lightness: number): string => {
  const name = HUES.find(([to]) => hue < to)?.[1] ?? 'pink';
  // A dark orange is what is called brown, a light red pink, and a deep pink a red or a purple.
  if (lightness < 50 && (name === 'orange' || name === 'yellow-orange')) return 'brown';
  if (lightness < 45 && name === 'yellow') return 'olive';
  if (lightness < 50 && name === 'yellow-green') return 'olive green';
  if (lightness > 68 && name === 'red') return 'pink';
  if (lightness < 42 && name === 'pink') return hue > 180 ? 'purple' : 'red';
  return name;
};

const depthName = (lightness: number): string =>
  lightness > 85
    ? 'very pale '
    : lightness > 70
      ? 'pale '
      : lightness < 22
        ? 'very dark '
        : lightness < 38
          ? 'dark '
          : '';

/** A plain name for a color, for finding it again: `dark blue`, `pale grayish green`. An estimate: names have no borders. */
export function colorName(lab: Lab): string {
  const [lightness, chroma, hue] = lchOf(lab);
  if (chroma < GRAY_CHROMA)
    return lightness > 92 ? 'white' : lightness < 18 ? 'black' : `${depthName(lightness)}gray`;
  const grayish = chroma < NEARLY_GRAY ? 'grayish ' : '';
  return `${depthName(lightness)}${grayish}${hueName(hue, lightness)}`;
}
