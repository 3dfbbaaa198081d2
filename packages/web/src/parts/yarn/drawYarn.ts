import type { Painting, YarnLook } from '@ythrion/core';
import { drawCloth } from './drawCloth';
import { Drawing } from './drawing';
import { drawLength } from './drawLength';
import { drawRing } from './drawRing';
import { drawTwisted } from './drawTwisted';
import { noDots, type Dots } from './pixels';

/** How a hank is shown: as a loop, or twisted up and finished. Goods that are no hank are shown as they are. */
export type Shown = 'open' | 'twisted';

/** What goods are drawn from; equal values always draw the same picture. */
export interface YarnPicture {
  look: YarnLook;
  seed: string;
  shown: Shown;
}

/** Strands that goods of this width are drawn with. */
const strandCount = (width: number): number => Math.max(10, Math.min(34, Math.round(width / 4)));

/**
 * Goods drawn into a box: hanks strand by strand, tops and socks along their length, cloth loop by loop.
 * @param width of the box, px; as its height
 * @param scale dots to a pixel
 * @param painting how its colors are told
 */
export function drawYarn(
  width: number,
  height: number,
  scale: number,
  picture: YarnPicture,
  painting: Painting,
): Dots {
  const { look, seed, shown } = picture;
  const dots = noDots(Math.round(width * scale), Math.round(height * scale));
  const drawing = new Drawing(
    dots,
    scale,
    width,
    height,
    strandCount(Math.min(width, height)),
    look,
    seed,
    painting,
  );
  switch (look.form) {
    case 'top':
    case 'finished piece':
      drawLength(drawing);
      break;
    case 'blank':
    case 'flat piece':
      drawCloth(drawing);
      break;
    case 'skein':
    case 'mini':
      (shown === 'open' ? drawRing : drawTwisted)(drawing);
  }
  return dots;
}
