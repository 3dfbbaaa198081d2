import type { Stock } from '../shelf/stock';

/** A jar diluted, in one of two ways. */
export type Dilution =
  /** More water into the jar itself: it becomes another jar. */
  | { kind: 'water'; addedMl: number }
  /** Some of it made up with water in a jar of its own. */
  | { kind: 'made up'; takenMl: number; wholeMl: number };

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
