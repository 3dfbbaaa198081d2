import { immersion } from '../method/immersion';
import type { Base } from '../shelf/base';
import { BLANK_DYE } from '../shelf/blankDye';
import type { Dye } from '../shelf/dye';
import type { Stock } from '../shelf/stock';
import type { Fiber } from '../shelf/fibers';
import { DEFAULT_PLACE, DEFAULT_WATER } from '../shelf/water';
import type { Studio } from '../shelf/studio';
import { stockMl } from '../amounts/stock';
import { partsIn } from './convertLine';
import { gramsOf, mediumEntry } from './dyeEntry';
import { QUICK_ACIDS } from './usualDose';
import { usualSet } from './usualSet';
import type { DyeEntry } from './dyeEntrySchema';
import type { AcidDose, Formulation, HeatSet, Recipe } from './recipe';
import type { GivenWater } from './waterSaid';

/** A pour with no set-up: what a newcomer knows before anything is on the shelf. */
export interface QuickPour {
  fiber: Extract<Fiber, 'wool' | 'nylon' | 'silk'>;
  count: number;
  /** Dry, each. */
  grams: number;
  /** Each in whichever measure it was said: depth, mL or spoons of stock, spoons of powder, parts. */
  dyes: { id: string; name: string; swatchHex: string; entry: DyeEntry }[];
  /** Depth that all parts make together, %. */
  partsDepthPercent: number;
  strengthPercent: number;
  water: GivenWater;
  acid: AcidDose | null;
  set: HeatSet;
  /** What was typed, by the paths of a colorway. */
  written: Record<string, string>;
}

/** The schools a quick pour can be said in. */
export const QUICK_SCHOOLS = ['depth', 'stock', 'stock spoons', 'grams', 'powder spoons', 'parts'] as const;

const GROUNDS: Record<QuickPour['fiber'], string> = { wool: '#efe9dc', nylon: '#f1f0ec', silk: '#f3eee2' };

/** A jar of stock as it is usually made up, mL (common practice, no source). */
const USUAL_JAR_ML = 1000;

/** What a newcomer finds. */
export const FIRST_POUR: QuickPour = {
  fiber: 'wool',
  count: 1,
  grams: 100,
  strengthPercent: 1,
  partsDepthPercent: 1,
  water: { basis: 'ratio', value: 30 },
  acid: QUICK_ACIDS.vinegar,
  set: usualSet('simmer'),
  dyes: [{ id: 'q1', name: 'First dye', swatchHex: '#2c4f8f', entry: { school: 'depth', percent: 0.5 } }],
  written: {},
};

/** Another dye in a pour, said as the last one is. */
export const anotherQuickDye = (
  { dyes }: QuickPour,
  id: string,
  swatchHex: string,
): QuickPour['dyes'][number] => ({
  id,
  name: `Dye ${dyes.length + 1}`,
  swatchHex,
  entry: mediumEntry(dyes.at(-1)?.entry.school ?? 'depth'),
});

/** A pour as an earlier version kept it in a browser. */
interface OlderPour extends Partial<Omit<QuickPour, 'dyes'>> {
  dyes?: { id: string; name: string; swatchHex: string; entry?: DyeEntry; dosPercent?: number }[];
  liquorRatio?: number;
}

/** A pour that a browser kept, whichever version kept it: what has come since takes what is usual. */
export function keptPour(kept: OlderPour): QuickPour {
  const { dyes, liquorRatio, ...rest } = kept;
  const older = liquorRatio !== undefined;
  return {
    ...FIRST_POUR,
    ...rest,
    ...(older && { water: { basis: 'ratio', value: liquorRatio }, written: {} }),
    dyes:
      dyes?.map(({ dosPercent, entry, ...line }) => ({
        ...line,
        entry: entry ?? { school: 'depth', percent: dosPercent ?? 0.5 },
      })) ?? FIRST_POUR.dyes,
    set: { ...usualSet(kept.set?.method ?? 'simmer'), ...kept.set },
  };
}

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
    ...BLANK_DYE,
    id: newId(`dye-${line.id}`),
    name: line.name,
    swatchHex: line.swatchHex,
  }));
  const spoons = studio?.spoons ?? 'US';
  const stocks = dyes.map((dye, i): Stock => {
    const jar: Stock = {
      id: newId(`stock-${quick.dyes[i]?.id ?? i}`),
      code: '',
      dyeId: dye.id,
      strengthPercent: quick.strengthPercent,
      volumeMl: USUAL_JAR_ML,
      madeOn: null,
      lot: '',
      weighedGrams: null,
      note: 'From a quick pour',
      retired: false,
    };
    // Nobody said how much there is: as much as is poured of it, at least.
    const grams = gramsOf(quick.dyes[i]?.entry ?? { school: 'grams', grams: 0 }, {
      wogGrams: quick.count * quick.grams,
      dye,
      stock: jar,
      spoons,
      partsInPass: partsIn(quick.dyes),
      partsDepthPercent: quick.partsDepthPercent,
      printDepthPercent: 1,
    }).grams;
    return { ...jar, volumeMl: Math.max(USUAL_JAR_ML, stockMl(grams, jar.strengthPercent)) };
  });
  const recipe: Recipe = {
    goods: [
      {
        id: 'g1',
        baseId: base.id,
        count: quick.count,
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
        method: immersion.usual,
        goodsGoIn: 'wet',
        arrangement: { kind: 'open', count: 1 },
        partsDepthPercent: quick.partsDepthPercent,
        printDepthPercent: 1,
        topUpMl: 0,
        topUpWithAcid: true,
        potId: null,
        takesOverMl: 0,
        heat: null,
        dyes: quick.dyes.map((line, i) => ({
          id: line.id,
          dyeId: dyes[i]?.id ?? '',
          entry: line.entry,
          stockId: stocks[i]?.id ?? null,
          sectionId: null,
        })),
        water: quick.water,
        acids: quick.acid ? [quick.acid] : [],
      },
    ],
    potId: null,
    set: quick.set,
  };
  return {
    name: 'Quick pour',
    recipe,
    bases: [base],
    dyes,
    stocks,
    pot: null,
    passPots: [],
    tools: [],
    spoons,
    water: studio?.water ?? DEFAULT_WATER,
    place: studio?.place ?? DEFAULT_PLACE,
    asWritten: quick.written,
  };
}
