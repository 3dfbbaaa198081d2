import type { FiberShare } from '../shelf/base';
import { FIBERS } from '../shelf/fibers';

/**
 * Share of a yarn that takes acid dye, from its fiber content: protein fibers and nylon do, plant fiber,
 * polyester, acrylic and metal filament do not.
 * @returns a fraction, 0 to 1. Exact on the label's content.
 */
export function dyeableShare(fibers: readonly FiberShare[]): number {
  const dyeable = fibers
    .filter((share) => FIBERS[share.fiber].takesAcidDye)
    .reduce((sum, share) => sum + share.percent, 0);
  return Math.min(1, dyeable / 100);
}
