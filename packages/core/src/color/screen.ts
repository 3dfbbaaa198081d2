import { D65, OBSERVER_2 } from './cie/tables';
import type { Viewing } from './cie/tristimulus';
import { weigh, type Xyz } from './cie/weights';
import { labOfXyz, xyzOfLab, type Lab } from './lab';
import type { Spectrum } from './spectrum';
import { toEncoded, toLinear, type Rgb } from './srgb';

/** What a screen is meant to be looked at with. */
export const SCREEN: Viewing = { illuminant: 'D65', observer: '2°' };

/** Linear light of sRGB from tristimulus values over 100, and back. Source: IEC 61966-2-1, in the digits of CSS Color 4. */
const TO_RGB = [
  [3.2409699419045226, -1.537383177570094, -0.4986107602930034],
  [-0.9692436362808796, 1.8759675015077202, 0.04155505740717559],
  [0.05563007969699366, -0.20397695888897652, 1.0569715142428786],
] as const;
const TO_XYZ = [
  [0.41239079926595934, 0.357584339383878, 0.1804807884018343],
  [0.21263900587151027, 0.715168678767756, 0.07219231536073371],
  [0.01933081871559182, 0.11919477979462598, 0.9505321522496607],
] as const;

/** The white that the three lights of a screen make together: D65, in the digits of its own standard. */
const WHITE: Xyz = [0, 1, 2].map(
  (row) => 100 * (TO_XYZ[row] ?? []).reduce((sum, one) => sum + one, 0),
) as unknown as Xyz;

const times = (rows: readonly (readonly [number, number, number])[], [a, b, c]: Rgb): Rgb => {
  const row = (i: number): number => {
    const [x, y, z] = rows[i] ?? [0, 0, 0];
    return x * a + y * b + z * c;
  };
  return [row(0), row(1), row(2)];
};

/** A color on a screen, and whether the screen has it. */
export interface OnScreen {
  /** 0 to 255, cut off at what a screen has. */
  srgb: Rgb;
  inGamut: boolean;
}

/** How far outside a channel may lie and still be a rounding, of 1. */
const ROUNDING = 1e-4;

/** Tristimulus values under D65, 2°, white 100, on a screen. */
export const screenOfXyz = (xyz: Xyz): OnScreen =>
  onScreen(times(TO_RGB, [xyz[0] / 100, xyz[1] / 100, xyz[2] / 100]));

function onScreen(linear: Rgb): OnScreen {
  const bounded = linear.map((channel) => 255 * toEncoded(Math.min(1, Math.max(0, channel))));
  return {
    srgb: [bounded[0] ?? 0, bounded[1] ?? 0, bounded[2] ?? 0],
    inGamut: linear.every((channel) => channel >= -ROUNDING && channel <= 1 + ROUNDING),
  };
}

/** What each band adds to the linear light of a screen: what is white in the sum is the white of the screen. */
const LIGHTS = (() => {
  const { x, y, z, white } = weigh(D65, OBSERVER_2);
  const channel = (k: 0 | 1 | 2): Float64Array =>
    x.map((wx, band) => {
      const row = TO_RGB[k];
      return (
        ((row[0] * wx * WHITE[0]) / white[0] +
          (row[1] * (y[band] ?? 0) * WHITE[1]) / white[1] +
          (row[2] * (z[band] ?? 0) * WHITE[2]) / white[2]) /
        100
      );
    });
  return [channel(0), channel(1), channel(2)] as const;
})();

/** Linear light of a reflectance on a screen, red, green and blue; what the screen does not have is below 0 or over 1. */
export function linearOf(spectrum: Spectrum | Float64Array): Rgb {
  const [red, green, blue] = LIGHTS;
  let [r, g, b] = [0, 0, 0];
  for (let band = 0; band < spectrum.length; band += 1) {
    const part = spectrum[band] as number;
    r += part * (red[band] as number);
    g += part * (green[band] as number);
    b += part * (blue[band] as number);
  }
  return [r, g, b];
}

/** A reflectance on a screen. */
export const screenOf = (spectrum: Spectrum | Float64Array): OnScreen => onScreen(linearOf(spectrum));

/** Tristimulus values under D65, 2°, of a color on a screen. @param srgb 0 to 255 */
export function xyzOfScreen([r, g, b]: Rgb): Xyz {
  const xyz = times(TO_XYZ, [toLinear(r / 255), toLinear(g / 255), toLinear(b / 255)]);
  return [100 * xyz[0], 100 * xyz[1], 100 * xyz[2]];
}

/** CIELAB under D65, 2°, of a color on a screen, and back. */
export const labOfScreen = (srgb: Rgb): Lab => labOfXyz(xyzOfScreen(srgb), WHITE);
export const screenOfLab = (lab: Lab): OnScreen => screenOfXyz(xyzOfLab(lab, WHITE));
