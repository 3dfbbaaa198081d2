/** sRGB transfer functions, IEC 61966-2-1. Channels run 0 to 1. */
export const toLinear = (encoded: number): number =>
  encoded <= 0.04045 ? encoded / 12.92 : ((encoded + 0.055) / 1.055) ** 2.4;
export const toEncoded = (linear: number): number =>
  linear <= 0.0031308 ? linear * 12.92 : 1.055 * linear ** (1 / 2.4) - 0.055;

export type Rgb = readonly [number, number, number];

/** The 256 channel values a screen knows, once. */
const LINEAR = Array.from({ length: 256 }, (_, value) => toLinear(value / 255));

/** Linear-light channels of `#rrggbb`. */
export function linearRgb(hex: string): Rgb {
  const all = Number.parseInt(hex.slice(1), 16);
  return [LINEAR[(all >> 16) & 255] ?? 0, LINEAR[(all >> 8) & 255] ?? 0, LINEAR[all & 255] ?? 0];
}

/** Where a channel value begins: half a step below it. One more at the end, that nothing reaches. */
const BEGINS = Float64Array.from({ length: 257 }, (_, value) =>
  value === 256 ? 2 : toLinear((value - 0.5) / 255),
);
/** A value near that of so many parts of the light, from which the right one is a step or two away. */
const NEAR = Uint8Array.from({ length: 1025 }, (_, part) => Math.round(255 * toEncoded(part / 1024)));
const DIGITS = Array.from({ length: 256 }, (_, value) => value.toString(16).padStart(2, '0'));

/** The channel value of linear light, as rounding its encoding gives it. */
function channelOf(linear: number): number {
  const bounded = linear > 0 ? Math.min(1, linear) : 0;
  let value = NEAR[Math.round(bounded * 1024)] ?? 0;
  while (bounded >= (BEGINS[value + 1] ?? 2)) value += 1;
  while (value > 0 && bounded < (BEGINS[value] ?? 0)) value -= 1;
  return value;
}

/** `#rrggbb` of linear-light channels, clamped to the screen's gamut. */
export const rgbHex = ([r, g, b]: Rgb): string =>
  `#${DIGITS[channelOf(r)] ?? ''}${DIGITS[channelOf(g)] ?? ''}${DIGITS[channelOf(b)] ?? ''}`;

/** Channels of linear light as a screen takes them, 0 to 255, clamped to its gamut. @param by 1 leaves it as it is, less is deeper */
export const rgbBytes = ([r, g, b]: Rgb, by = 1): Rgb => [
  channelOf(r * by),
  channelOf(g * by),
  channelOf(b * by),
];

/** `#rrggbb` of the channels of a screen. @param bytes each 0 to 255, not whole */
export const bytesHex = (bytes: Rgb): string =>
  `#${bytes.map((value) => DIGITS[Math.round(value)] ?? '').join('')}`;
