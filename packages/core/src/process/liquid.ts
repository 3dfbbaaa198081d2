import type { AcidsInBath } from '../acid/expectedPh';
import { heatCapacityJPerK } from '../heat/heatUp';
import { materialOf, type AcidMaterial } from '../materials/acids';
import { parcelWith } from './change';
import type { Acids, AcidSubstance, Liquid, Parcel } from './state';
import { emptyLiquid } from './state';

/** Dry goods that share the heat of a liquid they lie in, g: with the first liquid, and with the second. */
export interface FiberWith {
  here?: number;
  there?: number;
}

/** Both liquids in one: volumes, solutes and heats add. */
export function joined(liquid: Liquid, other: Liquid, fiber: FiberWith = {}): Liquid {
  return {
    ml: liquid.ml + other.ml,
    celsius: mixedC(liquid, other, fiber),
    alkalinityMeq: liquid.alkalinityMeq + other.alkalinityMeq,
    takenMeq: liquid.takenMeq + other.takenMeq,
    acids: acidsTogether(liquid.acids, other.acids),
    parcels: parcelsTogether(liquid.parcels, other.parcels),
  };
}

/** Temperature of two liquids and the goods in them once they are one, °C. */
function mixedC(liquid: Liquid, other: Liquid, { here = 0, there = 0 }: FiberWith): number {
  const first = heatCapacityJPerK(liquid.ml, here, 0);
  const second = heatCapacityJPerK(other.ml, there, 0);
  if (first + second === 0) return liquid.celsius;
  return (first * liquid.celsius + second * other.celsius) / (first + second);
}

/** Dye of one addition that comes together again is one parcel again, or a list would grow with every lifting. */
function parcelsTogether(some: readonly Parcel[], more: readonly Parcel[]): readonly Parcel[] {
  if (more.length === 0) return some;
  if (some.length === 0) return more;
  const together = [...some];
  for (const parcel of more) {
    const same = together.findIndex(
      (one) =>
        one.act === parcel.act &&
        one.since === parcel.since &&
        one.dyeId === parcel.dyeId &&
        one.pass === parcel.pass &&
        one.left === parcel.left,
    );
    const before = together[same];
    if (before)
      together[same] = parcelWith(before, { standardGrams: before.standardGrams + parcel.standardGrams });
    else together.push(parcel);
  }
  return together;
}

/** Grams of each acid of two liquids. @param times how often the second one counts; −1 takes it away, never below none */
export function acidsTogether(some: Acids, more: Acids, times = 1): Acids {
  const names = Object.keys(more) as AcidSubstance[];
  if (names.length === 0) return some;
  const sum: Partial<Record<AcidSubstance, number>> = { ...some };
  for (const name of names) sum[name] = Math.max(0, (sum[name] ?? 0) + times * (more[name] ?? 0));
  return sum;
}

/** Acids as the bottles they may come from. */
export function bottled(acids: Acids): AcidsInBath {
  const found: { material: AcidMaterial; pureGrams: number }[] = [];
  for (const name of Object.keys(acids) as AcidSubstance[]) {
    const pureGrams = acids[name] ?? 0;
    if (pureGrams > 0) found.push({ material: materialOf(name), pureGrams });
  }
  return found;
}

/** A share of a liquid and what stays, everything in it in proportion; waiting dye goes along. @param share 0 to 1 */
export function divided(liquid: Liquid, share: number): { taken: Liquid; left: Liquid } {
  if (share <= 0) return { taken: emptyLiquid(liquid.celsius), left: liquid };
  if (share >= 1) return { taken: liquid, left: emptyLiquid(liquid.celsius) };
  return { taken: scaled(liquid, share), left: scaled(liquid, 1 - share) };
}

function acidsTimes(acids: Acids, factor: number): Acids {
  const times: Partial<Record<AcidSubstance, number>> = {};
  for (const name of Object.keys(acids) as AcidSubstance[]) times[name] = (acids[name] ?? 0) * factor;
  return times;
}

function scaled(liquid: Liquid, factor: number): Liquid {
  return {
    ml: liquid.ml * factor,
    celsius: liquid.celsius,
    alkalinityMeq: liquid.alkalinityMeq * factor,
    takenMeq: liquid.takenMeq * factor,
    acids: acidsTimes(liquid.acids, factor),
    parcels: liquid.parcels.map((parcel) =>
      parcelWith(parcel, { standardGrams: parcel.standardGrams * factor }),
    ),
  };
}
