import { findColors, type FoundColors, type SampledShelf } from '@ythrion/core';
import { list } from '../shelf/store';
import { inTurn } from '../storage/inTurn';
import type { Storage } from '../storage/storage';

/** Finds the colors of a shelf from its samples. */
export type FindColors = (shelf: SampledShelf) => Promise<FoundColors | null>;

/** In this process. */
export const colorsHere: FindColors = (shelf) => Promise.resolve(findColors(shelf));

/**
 * Tells the colors of a studio. They are found anew only when something that they hang on was changed, one finding after
 * the other: while a ladder is written down sample by sample, those who ask meanwhile wait for the whole of it.
 */
export function colorsOfStudio(storage: Storage, find: FindColors): () => Promise<FoundColors | null> {
  const turn = inTurn();
  let known: { of: string; found: FoundColors | null } | null = null;
  return () =>
    turn(async () => {
      const shelf = await sampledShelf(storage);
      const of = JSON.stringify(shelf);
      if (known?.of !== of) known = { of, found: await find(shelf) };
      return known.found;
    });
}

/** Only what colors hang on: a note at a dye finds nothing anew. */
async function sampledShelf(storage: Storage): Promise<SampledShelf> {
  const [bases, dyes, samples] = await Promise.all([
    list(storage, 'bases'),
    list(storage, 'dyes'),
    list(storage, 'samples'),
  ]);
  return {
    bases: bases.map(({ id, hex }) => ({ id, hex })),
    dyes: dyes.map(({ id, name, swatchHex, swatchDosPercent, madeOf }) => ({
      id,
      name,
      swatchHex,
      swatchDosPercent,
      madeOf,
    })),
    samples,
  };
}
