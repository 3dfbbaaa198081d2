import { weightsOf, xyzOf, DAYLIGHT, type Viewing } from './cie/tristimulus';
import type { Xyz } from './cie/weights';
import type { Spectrum } from './spectrum';

/** CIELAB: lightness 0 to 100, red against green, yellow against blue. */
export type Lab = readonly [number, number, number];

/** The same as lightness, chroma and hue, degrees from 0 up to 360. */
export type Lch = readonly [number, number, number];

/** (6/29)³ and the slope below it. Source: ISO/CIE 11664-4. */
const LOW = 216 / 24389;
const SLOPE = 24389 / 27;

/** What Lab makes of a share of white: its cube root, straight near black. */
export const root = (t: number): number => (t > LOW ? Math.cbrt(t) : (SLOPE * t + 16) / 116);

/** How that grows with the share. @param rooted of the same share */
export const perRoot = (t: number, rooted: number): number =>
  t > LOW ? 1 / (3 * rooted * rooted) : SLOPE / 116;

const unroot = (f: number): number => (f ** 3 > LOW ? f ** 3 : (116 * f - 16) / SLOPE);

/** CIELAB of tristimulus values. Source: ISO/CIE 11664-4. @param white of the same scale and light */
export function labOfXyz([x, y, z]: Xyz, white: Xyz): Lab {
  const [fx, fy, fz] = [root(x / white[0]), root(y / white[1]), root(z / white[2])];
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

/** And back. */
export function xyzOfLab([l, a, b]: Lab, white: Xyz): Xyz {
  const fy = (l + 16) / 116;
  return [unroot(fy + a / 500) * white[0], unroot(fy) * white[1], unroot(fy - b / 200) * white[2]];
}

/** CIELAB of a reflectance, beside the white of the same sum. */
export const labOf = (spectrum: Spectrum | Float64Array, viewing: Viewing = DAYLIGHT): Lab =>
  labOfXyz(xyzOf(spectrum, viewing), weightsOf(viewing).white);

/** Lightness, chroma, hue. */
export function lchOf([l, a, b]: Lab): Lch {
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  return [l, Math.sqrt(a * a + b * b), hue < 0 ? hue + 360 : hue];
}

/** And back. */
export const labOfLch = ([l, c, h]: Lch): Lab => [
  l,
  c * Math.cos((h * Math.PI) / 180),
  c * Math.sin((h * Math.PI) / 180),
];
