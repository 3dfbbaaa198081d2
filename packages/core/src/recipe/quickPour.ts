import type { Base } from '../shelf/base';
import type { Dye } from '../shelf/dye';
import type { Stock } from '../shelf/stock';
import type { Fiber } from '../shelf/fibers';
import { DEFAULT_PLACE, DEFAULT_WATER } from '../shelf/water';
import type { Studio } from '../shelf/studio';
import { usualSet } from './usualSet';
import type { AcidDose, Formulation, HeatSet, Recipe } from './recipe';

/** A pour with no set-up: what a newcomer knows before anything is on the shelf. */
export interface QuickPour {
  fiber: Extract<Fiber, 'wool' | 'nylon' | 'silk'>;
  grams: number;
  dyes: { id: string; name: string; swatchHex: string; dosPercent: number }[];
  strengthPercent: number;
  liquorRatio: number;
  acid: AcidDose | null;
  set: HeatSet;
}

const GROUNDS: Record<QuickPour['fiber'], string> = { wool: '#efe9dc', nylon: '#f1f0ec', silk: '#f3eee2' };

/** The acid a newcomer starts from: vinegar at 1 g acetic acid per liter of bath (common practice, no source). */
export const QUICK_ACIDS: Record<'vinegar' | 'citric', AcidDose> = {
  vinegar: { id: 'acid1', material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' },
  citric: { id: 'acid1', material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 1, when: 'start' },
};

/**
 * A formulation from a quick pour, so that it is planned by the same function as everything else.
 * @param newId makes an id for each thing the pour brings into being
 */
export function quickFormulation(
  quick: QuickPour,
  newId: (what: string) => string,
  studio?: Pick<Studio, 'water' | 'place' | 'spoons'>,
): Formulation {
  const base: Base = {
    id: newId('base'),
    code: '',
    name: `Undyed ${quick.fiber}`,
    fibers: [{ fiber: quick.fiber, percent: 100 }],
    superwash: false,
    form: 'skein',
    putUpGrams: quick.grams,
    hex: GROUNDS[quick.fiber],
    note: '',
    retired: false,
  };
  const dyes = quick.dyes.map((line): Dye => ({
    id: newId(`dye-${line.id}`),
    code: '',
    name: line.name,
    dyeClass: 'unknown',
    gramsPerTeaspoon: null,
    swatchHex: line.swatchHex,
    swatchDosPercent: 1,
    lotStrength: 1,
    jarPriceCents: null,
    jarGrams: null,
    madeOf: [],
    note: '',
    retired: false,
  }));
  const stocks = dyes.map((dye, i): Stock => ({
    id: newId(`stock-${quick.dyes[i]?.id ?? i}`),
    code: '',
    dyeId: dye.id,
    strengthPercent: quick.strengthPercent,
    volumeMl: Math.max(1000, (quick.grams * (quick.dyes[i]?.dosPercent ?? 0)) / quick.strengthPercent),
    madeOn: null,
    lot: '',
    weighedGrams: null,
    note: 'From a quick pour',
    retired: false,
  }));
  const recipe: Recipe = {
    goods: [
      {
        id: 'g1',
        baseId: base.id,
        count: 1,
        gramsEach: quick.grams,
        weighedGrams: null,
        form: null,
        dyedOverHex: null,
        catchUp: false,
      },
    ],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method: { kind: 'immersion' },
        goodsGoIn: 'wet',
        arrangement: { kind: 'open', count: 1 },
        partsDepthPercent: 1,
        printDepthPercent: 1,
        topUpMl: 0,
        heat: null,
        dyes: quick.dyes.map((line, i) => ({
          id: line.id,
          dyeId: dyes[i]?.id ?? '',
          entry: { school: 'depth', percent: line.dosPercent },
          stockId: stocks[i]?.id ?? null,
          sectionId: null,
        })),
        water: { basis: 'ratio', value: quick.liquorRatio },
        acids: quick.acid ? [quick.acid] : [],
      },
    ],
    potId: null,
    // What a browser kept from an earlier version takes what is usual for what has come since.
    set: { ...usualSet(quick.set.method), ...quick.set },
  };
  return {
    name: 'Quick pour',
    recipe,
    bases: [base],
    dyes,
    stocks,
    pot: null,
    tools: [],
    spoons: studio?.spoons ?? 'US',
    water: studio?.water ?? DEFAULT_WATER,
    place: studio?.place ?? DEFAULT_PLACE,
  };
}
