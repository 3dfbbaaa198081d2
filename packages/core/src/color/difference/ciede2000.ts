import type { Lab } from '../lab';

const DEGREE = Math.PI / 180;
const FULL = 2 * Math.PI;
/** 25 to the seventh. */
const TO_THE_7TH = 6103515625;

/**
 * Color difference CIEDE2000, all factors 1.
 * Source: G. Sharma, W. Wu, E. N. Dalal, Color Res. Appl. 30, 21 (2005); ISO/CIE 11664-6.
 * @returns ΔE00, 0 and more; about 1 is just seen beside each other
 */
export function ciede2000([l1, a1, b1]: Lab, [l2, a2, b2]: Lab): number {
  const c1 = Math.sqrt(a1 * a1 + b1 * b1);
  const c2 = Math.sqrt(a2 * a2 + b2 * b2);
  const middle7 = seventh((c1 + c2) / 2);
  const stretch = 1.5 - 0.5 * Math.sqrt(middle7 / (middle7 + TO_THE_7TH));
  const [x1, x2] = [a1 * stretch, a2 * stretch];
  const chroma1 = Math.sqrt(x1 * x1 + b1 * b1);
  const chroma2 = Math.sqrt(x2 * x2 + b2 * b2);
  const [hue1, hue2] = [hueOf(x1, b1), hueOf(x2, b2)];
  const colored = chroma1 * chroma2 !== 0;

  const dL = l2 - l1;
  const dC = chroma2 - chroma1;
  const apart = colored ? nearest(hue2 - hue1) : 0;
  const dH = 2 * Math.sqrt(chroma1 * chroma2) * Math.sin(apart / 2);

  const light = (l1 + l2) / 2;
  const chroma = (chroma1 + chroma2) / 2;
  const hue = colored ? middleHue(hue1, hue2) : hue1 + hue2;
  const turn =
    1 -
    0.17 * Math.cos(hue - 30 * DEGREE) +
    0.24 * Math.cos(2 * hue) +
    0.32 * Math.cos(3 * hue + 6 * DEGREE) -
    0.2 * Math.cos(4 * hue - 63 * DEGREE);
  const fromMiddle = (light - 50) * (light - 50);
  const sL = 1 + (0.015 * fromMiddle) / Math.sqrt(20 + fromMiddle);
  const sC = 1 + 0.045 * chroma;
  const sH = 1 + 0.015 * chroma * turn;
  const blueness = (hue / DEGREE - 275) / 25;
  const chroma7 = seventh(chroma);
  const rotation =
    -2 * Math.sqrt(chroma7 / (chroma7 + TO_THE_7TH)) * Math.sin(60 * DEGREE * Math.exp(-blueness * blueness));
  const [l, c, h] = [dL / sL, dC / sC, dH / sH];
  return Math.sqrt(l * l + c * c + h * h + rotation * c * h);
}

function seventh(x: number): number {
  const third = x * x * x;
  return third * third * x;
}

/** Hue angle, 0 up to a full turn; 0 for gray. */
function hueOf(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const hue = Math.atan2(b, a);
  return hue < 0 ? hue + FULL : hue;
}

/** The shorter way round. */
const nearest = (apart: number): number =>
  apart > Math.PI ? apart - FULL : apart < -Math.PI ? apart + FULL : apart;

function middleHue(one: number, other: number): number {
  const sum = one + other;
  if (Math.abs(one - other) <= Math.PI) return sum / 2;
  return sum < FULL ? (sum + FULL) / 2 : (sum - FULL) / 2;
}
