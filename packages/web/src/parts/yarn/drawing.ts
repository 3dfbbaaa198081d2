import type { YarnLook } from '@ythrion/core';

/** What goods are drawn with, and into how large a box, px. */
export interface Drawing {
  pen: CanvasRenderingContext2D;
  width: number;
  height: number;
  /** Strands to draw. */
  count: number;
  look: YarnLook;
  /** Equal seeds draw equal pictures. */
  seed: string;
}
