import type { FiberShare } from '../shelf/base';
import { fiberFacts, FIBERS } from '../shelf/fibers';

/** The set temperatures that suit every dyeable fiber in the pot. */
export interface SetWindow {
  low: number;
  high: number;
  /** The fiber that asks for the lowest ceiling. */
  limitedBy: string;
}

/**
 * The heat-set window for everything in one pot: the lowest ceiling wins, and the floor never lies above it.
 * Windows are common practice, no source.
 * @returns undefined when nothing in the pot takes acid dye
 */
export function setWindow(fibers: readonly FiberShare[]): SetWindow | undefined {
  let window: SetWindow | undefined;
  for (const { fiber } of fibers) {
    const range = fiberFacts(fiber).setWindow;
    if (!range) continue;
    if (!window || range[1] < window.high)
      window = { low: range[0], high: range[1], limitedBy: FIBERS[fiber].label };
  }
  return window;
}
