import { drawYarn, type YarnPicture } from './drawYarn';
import type { YarnPainting } from './painting';
import { bytesOf } from './pixels';

interface Size {
  width: number;
  height: number;
  /** Pixels of the screen to one of the page. */
  scale: number;
}

/** Dots to a pixel of the page that goods are drawn in at least: where the screen has fewer, several become one. */
const LEAST_DOTS = 2;

/** Pictures that are kept: the longest-kept one goes when there is one more. */
const MOST_KEPT = 240;
const kept = new Map<string, HTMLCanvasElement>();

/**
 * A picture of goods, drawn once and kept for the next time it is shown.
 * @param asText the picture as text: what is equal there is the same picture
 */
export function drawnYarn(
  asText: string,
  picture: YarnPicture,
  { width, height, scale }: Size,
  { painting, number }: YarnPainting,
): HTMLCanvasElement {
  const key = `${number} ${width}×${height}×${scale} ${asText}`;
  const known = kept.get(key);
  if (known) return known;
  const canvas = canvasOf(width * scale, height * scale);
  const dots = drawYarn(width, height, Math.max(LEAST_DOTS, scale), picture, painting);
  const whole = canvasOf(dots.wide, dots.high);
  whole.getContext('2d')?.putImageData(new ImageData(bytesOf(dots), dots.wide, dots.high), 0, 0);
  canvas.getContext('2d')?.drawImage(whole, 0, 0, canvas.width, canvas.height);
  const oldest = kept.keys().next();
  if (kept.size >= MOST_KEPT && !oldest.done) kept.delete(oldest.value);
  kept.set(key, canvas);
  return canvas;
}

function canvasOf(width: number, height: number): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  return canvas;
}
