import { stockMl } from '../amounts/stock';
import type { Base } from '../shelf/base';
import { BLANK_DYE } from '../shelf/blankDye';
import type { Dye } from '../shelf/dye';
import type { Pot } from '../shelf/pot';
import type { ListedBase, ListedDye } from '../shelf/readLists';
import type { Stock } from '../shelf/stock';
import type { StudioDocument } from './document';

/** What a studio begins with, as it was said in lists. */
export interface StudioStart {
  dyes: readonly ListedDye[];
  bases: readonly ListedBase[];
  pots: readonly Pick<Pot, 'name' | 'kind' | 'capacityMl' | 'powerWatts'>[];
  /** Jars for all the dyes: their strength where a line says none, and what each holds; null for no jars. */
  jars: { strengthPercent: number; volumeMl: number } | null;
}

/** Powder that a jar is made from where nobody says how large it is, g (common practice, no source). */
const USUAL_POWDER_G = 5;

/**
 * Everything a studio begins with, as one document: what could not be read is left out.
 * @param today the day the jars were made, `2026-11-26`
 */
export function startStudio(
  { dyes, bases, pots, jars }: StudioStart,
  newId: () => string,
  today: string,
): StudioDocument {
  const listed = dyes.filter(({ problem }) => problem === null);
  const made = listed.map(({ name, code, swatchHex }): Dye => ({
    ...BLANK_DYE,
    id: newId(),
    code,
    name,
    swatchHex,
  }));
  const stocks = listed.flatMap(({ strengthPercent }, i): Stock[] => {
    const dye = made[i];
    const strength = strengthPercent ?? jars?.strengthPercent;
    if (!dye || strength === undefined) return [];
    return [
      {
        id: newId(),
        code: dye.code,
        dyeId: dye.id,
        strengthPercent: strength,
        volumeMl: jars?.volumeMl ?? stockMl(USUAL_POWDER_G, strength),
        madeOn: today,
        lot: '',
        weighedGrams: null,
        note: '',
        retired: false,
      },
    ];
  });
  return {
    format: 'ythrion',
    version: 3,
    dyes: made,
    stocks,
    bases: bases
      .filter(({ problem }) => problem === null)
      .map(({ name, code, fibers, superwash, putUpGrams }): Base => ({
        id: newId(),
        code,
        name,
        fibers,
        superwash,
        form: 'skein',
        putUpGrams,
        hex: '#efe9dc',
        note: '',
        retired: false,
      })),
    pots: pots.map((pot): Pot => ({
      ...pot,
      id: newId(),
      efficiencyPercent: 60,
      vesselJPerK: 900,
      lossWPerK: 5,
      floor: null,
      wallCm: null,
      places: null,
      note: '',
      retired: false,
    })),
    tools: [],
    patterns: [],
    soughts: [],
    samples: [],
    cups: [],
    colorways: [],
    batches: [],
  };
}
