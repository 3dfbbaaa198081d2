import { plainNumber } from '../units/plainNumber';
import { figure, type Figure } from '../figure/figure';
import { heatCapacityJPerK, heatUpMinutes, ledUpMinutes, type HeatingVessel } from './heatUp';
import type { Pot } from '../shelf/pot';

const PRACTICE = 'common practice, no source';

/** A bath that is to be heated. */
export interface BathToHeat {
  waterMl: number;
  fiberGrams: number;
  pot: Pot | null;
  roomC: number;
}

const onRing = ({ efficiencyPercent, vesselJPerK, lossWPerK }: Pot, powerWatts: number): HeatingVessel => ({
  powerWatts,
  efficiencyPercent,
  vesselJPerK,
  lossWPerK,
});

/**
 * Minutes from one temperature to another: the decided rise for as long as the ring keeps up with it, then as fast as
 * the ring can. An estimate.
 * @param rampCPerMin decided rise, °C per minute, > 0
 */
export function riseFigure(bath: BathToHeat, fromC: number, toC: number, rampCPerMin: number): Figure {
  const { pot, waterMl, fiberGrams, roomC } = bath;
  const gentle = Math.max(0, (toC - fromC) / rampCPerMin);
  const led =
    pot && pot.powerWatts !== null
      ? ledUpMinutes(
          onRing(pot, pot.powerWatts),
          heatCapacityJPerK(waterMl, fiberGrams, pot.vesselJPerK),
          fromC,
          toC,
          roomC,
          rampCPerMin,
        )
      : gentle;
  if (pot && Number.isFinite(led) && led > gentle + 1e-9)
    return figure(
      led,
      'min',
      () =>
        `from ${fromC.toFixed(0)} to ${plainNumber(toC)} °C at ${plainNumber(rampCPerMin)} °C/min while ${pot.name} keeps up: ${heatCapacityJPerK(waterMl, fiberGrams, pot.vesselJPerK).toFixed(0)} J/K on ${pot.powerWatts} W at ${pot.efficiencyPercent} %, losing ${pot.lossWPerK} W/K`,
      'estimate',
      'heat balance; vessel data as entered',
    );
  return figure(
    gentle,
    'min',
    () =>
      `(${plainNumber(toC)} °C − ${fromC.toFixed(0)} °C) ÷ ${plainNumber(rampCPerMin)} °C/min = ${gentle.toFixed(0)} min`,
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
  return heatUpMinutes(onRing(pot, pot.powerWatts), capacity, fromC, toC, roomC);
}
