import { depthOfShade, dyeGrams } from '../amounts/dyeMass';
import { gramsInStock, stockMl } from '../amounts/stock';
import { FieldError } from '../figure/fieldError';
import type { Because, Sureness } from '../figure/figure';
import { dyeSpoon } from '../materials/spoonWeight';
import { plainNumber } from '../units/plainNumber';
import type { Dye } from '../shelf/dye';
import type { Stock } from '../shelf/stock';
import { spoonMl, type SpoonSystem } from '../units/conversions';
import type { QuantityKindName } from '../units/quantityKinds';
import type { DyeEntry, School } from './dyeEntrySchema';

/** A school of measuring: its name on screen and the amount its field holds. */
export interface SchoolFacts {
  label: string;
  /** How it reads after the amount, in a sentence. */
  said: string;
  kind: QuantityKindName;
  /** True when it needs a jar to pour from. */
  needsJar: boolean;
}

export const SCHOOLS: Record<School, SchoolFacts> = {
  depth: { label: '% depth', said: 'depth', kind: 'dos', needsJar: false },
  grams: { label: 'grams of dye', said: 'of dye', kind: 'dyeMass', needsJar: false },
  stock: { label: 'mL of stock', said: 'of stock', kind: 'volume', needsJar: true },
  'stock spoons': { label: 'spoons of stock', said: 'of stock', kind: 'teaspoons', needsJar: true },
  'powder spoons': { label: 'spoons of powder', said: 'of powder', kind: 'teaspoons', needsJar: false },
  parts: { label: 'parts', said: 'parts', kind: 'parts', needsJar: false },
  print: { label: 'print value', said: 'of ink', kind: 'inkPercent', needsJar: false },
};
export const SCHOOL_NAMES = Object.keys(SCHOOLS) as [School, ...School[]];

/** The one number in an entry, in the unit of its school. */
export function entryAmount(entry: DyeEntry): number {
  switch (entry.school) {
    case 'depth':
      return entry.percent;
    case 'grams':
      return entry.grams;
    case 'stock':
      return entry.milliliters;
    case 'stock spoons':
    case 'powder spoons':
      return entry.teaspoons;
    case 'parts':
      return entry.parts;
    case 'print':
      return entry.inkPercent;
  }
}

/** An entry of a school with its number. */
export function entryIn(school: School, amount: number): DyeEntry {
  switch (school) {
    case 'depth':
      return { school, percent: amount };
    case 'grams':
      return { school, grams: amount };
    case 'stock':
      return { school, milliliters: amount };
    case 'stock spoons':
    case 'powder spoons':
      return { school, teaspoons: amount };
    case 'parts':
      return { school, parts: amount };
    case 'print':
      return { school, inkPercent: amount };
  }
}

/** What a new row begins with in each school: a medium amount, in that school's own measure. */
const MEDIUM: Record<School, number> = {
  depth: 0.5,
  grams: 0.5,
  stock: 50,
  'stock spoons': 3,
  'powder spoons': 0.125,
  parts: 1,
  print: 50,
};

/** A medium amount of dye in a school. */
export const mediumEntry = (school: School): DyeEntry => entryIn(school, MEDIUM[school]);

/** The path under which what was typed for a dye in a school is kept with a colorway. */
export const dyePath = (lineId: string, school: School): string =>
  `dyes.${lineId}.${school === 'depth' ? 'dosPercent' : school}`;

/** What an entry is read against. */
export interface EntryContext {
  /** Dry goods this dye is for, g. */
  wogGrams: number;
  dye: Dye;
  stock: Stock | null;
  spoons: SpoonSystem;
  /** Sum of the parts in the pass. */
  partsInPass: number;
  /** Depth that all parts together make, %. */
  partsDepthPercent: number;
  /** Depth that 100 % of a print value stands for, %. */
  printDepthPercent: number;
}

/** An entry as grams of powder and depth of shade. */
export interface ReadEntry {
  grams: number;
  dosPercent: number;
  sureness: Sureness;
  because: Because;
}

/**
 * Reads an entry of any school as grams and % depth of shade.
 * @throws FieldError when stock is asked for and there is no jar, or the depth would be over 12 %
 */
export function readEntry(entry: DyeEntry, context: EntryContext, field = 'dyes'): ReadEntry {
  const { wogGrams, dye } = context;
  const read = gramsOf(entry, context, field);
  const dosPercent =
    entry.school === 'depth' ? entry.percent : depthOfShade(read.grams, wogGrams, dye.lotStrength);
  if (dosPercent > 12)
    throw new FieldError(
      `${field}.entry`,
      `${dye.name} comes to ${dosPercent.toFixed(1)} % on ${plainNumber(wogGrams)} g of goods. Depth of shade cannot be over 12 %.`,
    );
  return { grams: read.grams, sureness: read.sureness, because: read.because, dosPercent };
}

/** What an entry is in grams of powder, whatever depth that comes to. @throws FieldError when stock is asked for and there is no jar */
export function gramsOf(
  entry: DyeEntry,
  context: EntryContext,
  field = 'dyes',
): Omit<ReadEntry, 'dosPercent'> {
  const { wogGrams, dye, spoons } = context;
  const lot = (): string => (dye.lotStrength === 1 ? '' : ` ÷ ${plainNumber(dye.lotStrength)} lot strength`);
  const ofDepth = (percent: number, said: () => string): Omit<ReadEntry, 'dosPercent'> => {
    const grams =
      dyeGrams(wogGrams, Math.min(12, percent), dye.lotStrength) * (percent > 12 ? percent / 12 : 1);
    return {
      grams,
      sureness: 'exact',
      because: () => `${plainNumber(wogGrams)} g × ${said()} ÷ 100${lot()} = ${plainNumber(grams)} g`,
    };
  };
  switch (entry.school) {
    case 'depth':
      return ofDepth(entry.percent, () => `${plainNumber(entry.percent)} %`);
    case 'parts': {
      const percent = (context.partsDepthPercent * entry.parts) / context.partsInPass;
      return ofDepth(
        percent,
        () =>
          `${plainNumber(context.partsDepthPercent)} % × ${plainNumber(entry.parts)} of ${plainNumber(context.partsInPass)} parts`,
      );
    }
    case 'print':
      return ofDepth(
        (context.printDepthPercent * entry.inkPercent) / 100,
        () => `${plainNumber(context.printDepthPercent)} % × ${plainNumber(entry.inkPercent)} % ink`,
      );
    case 'grams':
      return {
        grams: entry.grams,
        sureness: 'exact',
        because: () => `${plainNumber(entry.grams)} g as decided`,
      };
    case 'stock':
    case 'stock spoons': {
      const { stock } = context;
      if (!stock)
        throw new FieldError(
          `${field}.stockId`,
          `${dye.name} is measured as stock. Choose the jar it is poured from.`,
        );
      const ml = entry.school === 'stock' ? entry.milliliters : entry.teaspoons * spoonMl('tsp', spoons);
      const grams = gramsInStock(ml, stock.strengthPercent);
      const said = (): string =>
        entry.school === 'stock'
          ? `${plainNumber(ml)} mL`
          : `${plainNumber(entry.teaspoons)} tsp × ${plainNumber(spoonMl('tsp', spoons))} mL`;
      return {
        grams,
        sureness: 'exact',
        because: () =>
          `${said()} × ${plainNumber(stock.strengthPercent)} % w/v ÷ 100 = ${plainNumber(grams)} g`,
      };
    }
    case 'powder spoons': {
      const perTeaspoon = dyeSpoon(dye).grams;
      const grams = entry.teaspoons * perTeaspoon;
      return {
        grams,
        sureness: 'estimate',
        because: () =>
          `${plainNumber(entry.teaspoons)} tsp × ${plainNumber(perTeaspoon)} g per level teaspoon${dye.gramsPerTeaspoon === null ? ', not weighed' : ''} = ${plainNumber(grams)} g`,
      };
    }
  }
}

/**
 * The same dye said in another school; read back it gives the same grams. Parts and print values also hang on the
 * whole pass, see `convertLine`.
 * @returns null where that school cannot say it: stock without a jar
 */
export function convertEntry(entry: DyeEntry, to: School, context: EntryContext): DyeEntry | null {
  const { grams, dosPercent } = readEntry(entry, context);
  const { stock, spoons, dye } = context;
  if (SCHOOLS[to].needsJar && !stock) return null;
  const ml = stock ? stockMl(grams, stock.strengthPercent) : 0;
  switch (to) {
    case 'depth':
      return entryIn(to, dosPercent);
    case 'grams':
      return entryIn(to, grams);
    case 'stock':
      return entryIn(to, ml);
    case 'stock spoons':
      return entryIn(to, ml / spoonMl('tsp', spoons));
    case 'powder spoons':
      return entryIn(to, grams / dyeSpoon(dye).grams);
    case 'parts':
      return entryIn(to, entry.school === 'parts' ? entry.parts : 1);
    case 'print':
      return entryIn(to, (100 * dosPercent) / context.printDepthPercent);
  }
}
