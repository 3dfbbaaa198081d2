import type { Rgb } from '@ythrion/core';
import { far, type Point } from './points';

/** A picture as dots, row by row: red, green, blue and how opaque, a byte each, in the order a canvas has them. */
export interface Dots {
  words: Uint32Array<ArrayBuffer>;
  wide: number;
  high: number;
}

export const noDots = (wide: number, high: number): Dots => ({
  words: new Uint32Array(wide * high),
  wide,
  high,
});

/** The same dots byte by byte, as a canvas takes them. */
export const bytesOf = ({ words }: Dots): Uint8ClampedArray<ArrayBuffer> =>
  new Uint8ClampedArray(words.buffer);

/** A word of one opaque color. @param rgb 0 to 255; the machines that browsers run on have the lowest byte first */
const wordOf = ([r, g, b]: Rgb): number => (OPAQUE | (b << 16) | (g << 8) | r) >>> 0;
const OPAQUE = 0xff000000;

/** Of the light on what is beside a strand its shadow leaves so many parts in 256. */
const LEFT = 174;
/** A shadow on nothing: black that hides as much. */
const SHADOW = ((256 - LEFT) << 24) >>> 0;

/** What is there, in the shadow of a strand. */
const darkened = (word: number): number =>
  word >>> 24 === 255
    ? (OPAQUE |
        (((((word >>> 16) & 255) * LEFT) & 0xff00) << 8) |
        ((((word >>> 8) & 255) * LEFT) & 0xff00) |
        (((word & 255) * LEFT) >>> 8)) >>>
      0
    : SHADOW;

/** So far stretches of a color reach beyond their ends, dots: nothing shows between them where the way bends. */
const OVERLAP = 0.5;

/**
 * A stretch of a strand from one point to the next: every dot whose middle lies in it.
 * @param halfWidth dots to either side
 * @param color 0 to 255; null darkens what is there, as a shadow does
 */
export function band(
  { words, wide, high }: Dots,
  from: Point,
  to: Point,
  halfWidth: number,
  color: Rgb | null,
): void {
  const long = far(from, to);
  if (long === 0) return;
  const [fromX, fromY, toX, toY] = [from[0], from[1], to[0], to[1]];
  // Along the stretch a dot lies at x·ux + y·uy, aside of it at x·uy − y·ux: each row is from where to where both hold.
  const [ux, uy] = [(toX - fromX) / long, (toY - fromY) / long];
  const [perUx, perUy] = [1 / leaning(ux), 1 / leaning(uy)];
  const beyond = color ? OVERLAP : 0;
  const [alongHalf, asideHalf] = [Math.abs((long / 2 + beyond) * perUx), Math.abs(halfWidth * perUy)];
  const out = halfWidth + beyond;
  const top = Math.max(0, Math.floor(Math.min(fromY, toY) - out));
  const bottom = Math.min(high - 1, Math.ceil(Math.max(fromY, toY) + out));
  const word = color ? wordOf(color) : 0;
  for (let y = top; y <= bottom; y += 1) {
    const down = y + 0.5 - fromY;
    const along = (long / 2 - down * uy) * perUx;
    const aside = down * ux * perUy;
    const left = Math.max(along - alongHalf, aside - asideHalf) + fromX - 0.5;
    const right = Math.min(along + alongHalf, aside + asideHalf) + fromX - 0.5;
    const first = y * wide + Math.max(0, Math.ceil(left));
    const last = y * wide + Math.min(wide - 1, Math.floor(right));
    // Rows are short: a loop is quicker than filling them.
    if (color) for (let at = first; at <= last; at += 1) words[at] = word;
    else for (let at = first; at <= last; at += 1) words[at] = darkened(words[at] as number);
  }
}

/** Leaning a little, so that no row has to ask whether a stretch lies level or upright. */
const leaning = (share: number): number =>
  Math.abs(share) > LEAST_LEAN ? share : share < 0 ? -LEAST_LEAN : LEAST_LEAN;
const LEAST_LEAN = 1e-9;

/** A round end of a strand. @param radius dots @param color 0 to 255 */
export function disc({ words, wide, high }: Dots, [x, y]: Point, radius: number, color: Rgb): void {
  const top = Math.max(0, Math.ceil(y - radius - 0.5));
  const bottom = Math.min(high - 1, Math.floor(y + radius - 0.5));
  for (let row = top; row <= bottom; row += 1) {
    const half = Math.sqrt(Math.max(0, radius ** 2 - (row + 0.5 - y) ** 2));
    const first = Math.max(0, Math.ceil(x - half - 0.5));
    const last = Math.min(wide - 1, Math.floor(x + half - 0.5));
    words.fill(wordOf(color), row * wide + first, Math.max(row * wide + first, row * wide + last + 1));
  }
}
