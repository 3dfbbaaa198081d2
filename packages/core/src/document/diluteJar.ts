import { madeUpStock, wateredStock, type DilutedStock } from '../amounts/dilutedStock';
import type { Stock } from '../shelf/stock';
import type { SpoonSystem } from '../units/conversions';
import { formatAmount } from '../units/formatQuantity';

/** A jar diluted, in one of two ways. */
export type Dilution =
  /** More water into the jar itself: it becomes another jar. */
  | { kind: 'water'; addedMl: number }
  /** Some of it made up with water in a jar of its own. */
  | { kind: 'made up'; takenMl: number; wholeMl: number };

/** What a dilution comes to, or why it cannot be. @param leftMl what is in the jar */
export function planDilution(
  { strengthPercent }: Pick<Stock, 'strengthPercent'>,
  leftMl: number,
  dilution: Dilution,
  spoons: SpoonSystem,
): DilutedStock | string {
  if (dilution.kind === 'water')
    return leftMl > 0
      ? wateredStock(leftMl, strengthPercent, dilution.addedMl, spoons)
      : 'This jar is empty.';
  const { takenMl, wholeMl } = dilution;
  if (takenMl > leftMl + 1e-9) return `The jar holds ${formatAmount(leftMl, 'mL')}, less than that.`;
  return takenMl > wholeMl
    ? 'Made up to less than was taken: say how much it is to be in the end.'
    : madeUpStock(takenMl, strengthPercent, wholeMl, spoons);
}

/**
 * The jars as they stand once one was diluted. A jar keeps the strength that records and recipes know it by: with more water
 * in it, it is another jar, and the one before is retired.
 * @param leftMl what was in the jar @param strengthPercent of the new jar, % w/v @param today `2026-11-26`
 */
export function diluteJar(
  jar: Stock,
  leftMl: number,
  dilution: Dilution,
  strengthPercent: number,
  { id, today }: { id: string; today: string },
): { before: Stock; made: Stock } {
  const taken = dilution.kind === 'water' ? leftMl : dilution.takenMl;
  const made: Stock = {
    ...jar,
    id,
    strengthPercent,
    volumeMl: dilution.kind === 'water' ? leftMl + dilution.addedMl : dilution.wholeMl,
    madeOn: today,
    weighedGrams: null,
    note: `Diluted from ${jar.strengthPercent} %`,
    retired: false,
  };
  return {
    made,
    before: {
      ...jar,
      // What went into another jar was never poured: as if less had been made.
      volumeMl: Math.max(0.01, jar.volumeMl - taken),
      retired: dilution.kind === 'water' || jar.retired,
    },
  };
}
