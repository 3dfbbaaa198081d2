import { drawYarn, type YarnPicture } from './drawYarn';

interface Size {
  width: number;
  height: number;
  /** Pixels of the screen to one of the page. */
  scale: number;
}

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
): HTMLCanvasElement {
  const key = `${width}×${height}×${scale} ${asText}`;
  const known = kept.get(key);
  if (known) return known;
  const canvas = document.createElement('canvas');
  canvas.width = width * scale;
  canvas.height = height * scale;
  const pen = canvas.getContext('2d');
  if (pen) {
    pen.setTransform(scale, 0, 0, scale, 0, 0);
    drawYarn(pen, width, height, picture);
  }
  const oldest = kept.keys().next();
  if (kept.size >= MOST_KEPT && !oldest.done) kept.delete(oldest.value);
  kept.set(key, canvas);
  return canvas;
}
