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

/** `#rrggbb` of linear-light channels, clamped to the screen's gamut. */
export function rgbHex(rgb: Rgb): string {
  const channel = (linear: number): string =>
    Math.round(255 * toEncoded(Math.min(1, Math.max(0, linear))))
      .toString(16)
      .padStart(2, '0');
  return `#${rgb.map(channel).join('')}`;
}
