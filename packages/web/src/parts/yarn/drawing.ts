import type { Painting, Rgb, YarnLook } from '@ythrion/core';
import { band, disc, type Dots } from './pixels';
import type { Point } from './points';

/** What goods are drawn with, and into how large a box. All lengths are pixels of the page. */
export class Drawing {
  constructor(
    readonly dots: Dots,
    /** Dots to a pixel of the page. */
    private readonly scale: number,
    readonly width: number,
    readonly height: number,
    /** Strands to draw. */
    readonly count: number,
    readonly look: YarnLook,
    /** Equal seeds draw equal pictures. */
    readonly seed: string,
    readonly painting: Painting,
  ) {}

  /** A stretch of yarn. @param color 0 to 255; null darkens what is there, as a shadow does */
  stretch(from: Point, to: Point, thickness: number, color: Rgb | null): void {
    band(this.dots, this.at(from), this.at(to), (this.scale * thickness) / 2, color);
  }

  /** A short piece of yarn with round ends. */
  piece(from: Point, to: Point, thickness: number, color: Rgb): void {
    this.stretch(from, to, thickness, color);
    for (const end of [from, to]) disc(this.dots, this.at(end), (this.scale * thickness) / 2, color);
  }

  private at([x, y]: Point): Point {
    return [x * this.scale, y * this.scale];
  }
}
