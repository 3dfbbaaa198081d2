/** Specific heat of water, and of wool-like fiber, J per g and kelvin. */
const WATER_J_PER_G_K = 4.186;
const FIBER_J_PER_G_K = 1.36;

/** A vessel on its ring. */
export interface HeatingVessel {
  powerWatts: number;
  efficiencyPercent: number;
  vesselJPerK: number;
  lossWPerK: number;
}

/** Heat that bath, goods and vessel take up together, J/K. */
export function heatCapacityJPerK(waterMl: number, fiberGrams: number, vesselJPerK: number): number {
  return waterMl * WATER_J_PER_G_K + fiberGrams * FIBER_J_PER_G_K + vesselJPerK;
}

/**
 * Minutes to bring a bath from one temperature to another on a ring, losing heat to the room as it warms:
 * C dT/dt = P η − k (T − room). The model is established; the vessel's data are an estimate.
 * @param capacityJPerK of bath, goods and vessel
 * @returns minutes; Infinity when the ring cannot hold the pot that hot
 */
export function heatUpMinutes(
  vessel: HeatingVessel,
  capacityJPerK: number,
  fromC: number,
  toC: number,
  roomC: number,
): number {
  if (toC <= fromC) return 0;
  const watts = (vessel.powerWatts * vessel.efficiencyPercent) / 100;
  if (vessel.lossWPerK === 0) return (capacityJPerK * (toC - fromC)) / watts / 60;
  const left = watts - vessel.lossWPerK * (toC - roomC);
  if (left <= 0) return Number.POSITIVE_INFINITY;
  const atStart = watts - vessel.lossWPerK * (fromC - roomC);
  return ((capacityJPerK / vessel.lossWPerK) * Math.log(atStart / left)) / 60;
}

/**
 * Minutes to bring a bath from one temperature to another no faster than a decided rise, and no faster than the ring can:
 * the rise holds until the ring falls behind it, from there the ring. The integral of both, not the larger of the two.
 * @param rampCPerMin decided rise, °C per minute, > 0
 * @returns minutes; Infinity when the ring cannot hold the pot that hot
 */
export function ledUpMinutes(
  vessel: HeatingVessel,
  capacityJPerK: number,
  fromC: number,
  toC: number,
  roomC: number,
  rampCPerMin: number,
): number {
  if (toC <= fromC) return 0;
  const watts = (vessel.powerWatts * vessel.efficiencyPercent) / 100;
  const needed = (capacityJPerK * rampCPerMin) / 60;
  const keepsUpTo =
    vessel.lossWPerK === 0 ? (watts >= needed ? toC : fromC) : roomC + (watts - needed) / vessel.lossWPerK;
  const turn = Math.min(toC, Math.max(fromC, keepsUpTo));
  return (turn - fromC) / rampCPerMin + heatUpMinutes(vessel, capacityJPerK, turn, toC, roomC);
}

/**
 * Minutes for a pot taken off the heat to cool in place, by Newton's law: ln((T0 − room) / (T1 − room)) × C / k.
 * @returns minutes; Infinity when the room is no colder than the end, or nothing is lost
 */
export function coolDownMinutes(
  lossWPerK: number,
  capacityJPerK: number,
  fromC: number,
  toC: number,
  roomC: number,
): number {
  if (fromC <= toC) return 0;
  if (toC <= roomC || lossWPerK === 0) return Number.POSITIVE_INFINITY;
  return ((capacityJPerK / lossWPerK) * Math.log((fromC - roomC) / (toC - roomC))) / 60;
}
