import type { FiberShare } from '../shelf/base';
import { FIBERS, type Fiber } from '../shelf/fibers';

/** How much acid a fiber can take up, and how that depends on pH. From memory; an estimate. */
interface UptakeFacts {
  /** Millimoles of protons per gram of fiber when it holds all it can. */
  mostMmolPerGram: number;
}

/** Wool after Steinhardt and Harris, 1940 (from memory); nylon and silk from memory. */
const WOOL: UptakeFacts = { mostMmolPerGram: 0.82 };
const UPTAKE: Partial<Record<Fiber, UptakeFacts>> = {
  nylon: { mostMmolPerGram: 0.04 },
  silk: { mostMmolPerGram: 0.2 },
};

/** pH at which half is bound without added salt, and the steepness that leaves only a little above pH 5 (from memory). */
const HALF_BOUND_PH = 2.45;
const STEEPNESS = 0.6;

/** Millimoles of protons that a gram of fiber holds at most; none for fiber that takes no acid dye. An estimate. */
export const mostMmolPerGram = (fiber: Fiber): number =>
  FIBERS[fiber].takesAcidDye ? (UPTAKE[fiber] ?? WOOL).mostMmolPerGram : 0;

/** Protons that goods hold at most, mmol; their fibers differ in how much they hold, not in how it depends on pH. An estimate. */
export const mostHeldMmol = (grams: number, fibers: readonly FiberShare[]): number =>
  fibers.reduce((sum, { fiber, percent }) => sum + (grams * percent * mostMmolPerGram(fiber)) / 100, 0);

/** Share of that which is held at a pH, 1 to 0; never grows with pH. An estimate. */
export const shareHeld = (pH: number): number =>
  1 / (1 + Math.exp(Math.LN10 * STEEPNESS * (pH - HALF_BOUND_PH)));

/** How fast that share falls with pH, per unit of ln 10: its own derivative is −ln 10 times this. @param held the share */
export const shareSpread = (held: number): number => STEEPNESS * held * (1 - held);

/**
 * Protons a mass of fiber holds at a pH. An estimate; a pH measured in the pot is worth more.
 * @param grams dry fiber, g
 * @returns millimoles; never grows with pH
 */
export const acidHeldMmol = (fiber: Fiber, grams: number, pH: number): number =>
  grams * mostMmolPerGram(fiber) * shareHeld(pH);
