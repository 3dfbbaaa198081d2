import { figure, type Figure } from '../figure/figure';
import { heatCapacityJPerK, heatUpMinutes } from './heatUp';
import type { Pot } from '../shelf/pot';

const PRACTICE = 'common practice, no source';

/** A bath that is to be heated. */
export interface BathToHeat {
  waterMl: number;
  fiberGrams: number;
  pot: Pot | null;
  roomC: number;
}

/**
 * Minutes from one temperature to another: as slow as the rise that was decided, or as the ring can, whichever is
 * slower. An estimate.
 * @param rampCPerMin decided rise, °C per minute, > 0
 */
export function riseFigure(bath: BathToHeat, fromC: number, toC: number, rampCPerMin: number): Figure {
  const gentle = Math.max(0, (toC - fromC) / rampCPerMin);
  const slow = ringMinutes(bath, fromC, toC);
  if (slow !== null && Number.isFinite(slow) && slow > gentle)
    return figure(
      slow,
      'min',
      `${bath.pot?.name ?? 'the ring'}: ${heatCapacityJPerK(bath.waterMl, bath.fiberGrams, bath.pot?.vesselJPerK ?? 0).toFixed(0)} J/K from ${fromC.toFixed(0)} to ${toC} °C on ${bath.pot?.powerWatts ?? 0} W at ${bath.pot?.efficiencyPercent ?? 0} %; slower than ${rampCPerMin} °C/min`,
      'estimate',
      'heat balance; vessel data as entered',
    );
  return figure(
    gentle,
    'min',
    `(${toC} °C − ${fromC.toFixed(0)} °C) ÷ ${rampCPerMin} °C/min = ${gentle.toFixed(0)} min`,
    'estimate',
    PRACTICE,
  );
}

/** Minutes the pot's ring needs; null when its power is not known, Infinity when it cannot. */
export function ringMinutes(
  { waterMl, fiberGrams, pot, roomC }: BathToHeat,
  fromC: number,
  toC: number,
): number | null {
  if (pot?.powerWatts === null || pot?.powerWatts === undefined) return null;
  const capacity = heatCapacityJPerK(waterMl, fiberGrams, pot.vesselJPerK);
  return heatUpMinutes({ ...pot, powerWatts: pot.powerWatts }, capacity, fromC, toC, roomC);
}
