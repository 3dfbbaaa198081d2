import type { YarnLook } from '@ythrion/core';
import { drawCloth } from './drawCloth';
import { drawLength } from './drawLength';
import { drawRing } from './drawRing';
import { drawTwisted } from './drawTwisted';

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

/** Draws goods into a box: hanks strand by strand, tops and socks along their length, cloth loop by loop. */
export function drawYarn(
  pen: CanvasRenderingContext2D,
  width: number,
  height: number,
  { look, seed, shown }: YarnPicture,
): void {
  pen.clearRect(0, 0, width, height);
  pen.lineCap = 'round';
  const drawing = { pen, width, height, count: strandCount(Math.min(width, height)), look, seed };
  switch (look.form) {
    case 'top':
    case 'finished piece':
      return drawLength(drawing);
    case 'blank':
    case 'flat piece':
      return drawCloth(drawing);
    case 'skein':
    case 'mini':
      return (shown === 'open' ? drawRing : drawTwisted)(drawing);
  }
}
