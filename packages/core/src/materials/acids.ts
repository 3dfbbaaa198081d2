import type { WeakAcidName } from './weakAcidNames';

/** An acid as a dyer buys it, with all there is to know of it: one entry makes it known everywhere. */
export interface AcidFacts {
  label: string;
  short: string;
  /** The pure acid in it, in words. */
  acid: string;
  /** The same as chemistry knows it. */
  substance: WeakAcidName;
  /** Liquids are poured in mL, crystals weighed in g. */
  unit: 'mL' | 'g';
  /** Of the pure acid, g/mol. */
  molarMass: number;
  protons: number;
  /** Liquids: g of pure acid per 100 mL; crystals: % of pure acid. */
  usualStrength: number;
  /** Pure acid in a liter of bath that a dose starts from, g (common practice, no source). */
  usualGPerL: number;
  /** Pure acid that a liter of water holds at most, g. */
  mostGPerL: number;
  /** The acid it is held against, for the same pH and for as many protons. */
  besides: 'vinegar' | 'citric';
}

const ACETIC = {
  acid: 'acetic acid',
  substance: 'acetic',
  molarMass: 60.052,
  protons: 1,
  usualGPerL: 1,
  mostGPerL: 1049,
} as const;
const CITRIC = {
  acid: 'citric acid',
  substance: 'citric',
  molarMass: 192.124,
  protons: 3,
  usualGPerL: 1,
  mostGPerL: 750,
} as const;
const FORMIC = {
  acid: 'formic acid',
  substance: 'formic',
  molarMass: 46.026,
  protons: 1,
  usualGPerL: 0.5,
  mostGPerL: 1220,
} as const;

/**
 * The acids of the trade. Molar masses: CRC Handbook of Chemistry and Physics (acetic 60.052, citric anhydrous 192.124,
 * its monohydrate 210.139, formic 46.026 g/mol). What a liter of water holds at most: acetic and formic acid by their
 * density, citric acid saturated at 20 °C (from memory).
 */
export const ACIDS = {
  vinegar: {
    label: 'white vinegar',
    short: 'vinegar',
    unit: 'mL',
    usualStrength: 5,
    besides: 'citric',
    ...ACETIC,
  },
  citric: {
    label: 'citric acid crystals',
    short: 'citric',
    unit: 'g',
    usualStrength: 100,
    besides: 'vinegar',
    ...CITRIC,
  },
  'citric solution': {
    label: 'citric acid solution',
    short: 'citric solution',
    unit: 'mL',
    usualStrength: 10,
    besides: 'vinegar',
    ...CITRIC,
  },
  'citric monohydrate': {
    label: 'citric acid monohydrate crystals',
    short: 'citric monohydrate',
    unit: 'g',
    // 192.124 ÷ 210.139: the rest is water of crystallization.
    usualStrength: 91.43,
    besides: 'vinegar',
    ...CITRIC,
  },
  formic: {
    label: 'formic acid, diluted',
    short: 'formic',
    unit: 'mL',
    usualStrength: 10,
    besides: 'vinegar',
    ...FORMIC,
  },
} as const satisfies Record<string, AcidFacts>;

export type AcidMaterial = keyof typeof ACIDS;
export const ACID_MATERIALS = Object.keys(ACIDS) as [AcidMaterial, ...AcidMaterial[]];

/** Facts of an acid under their general type. */
export const acidFacts = (material: AcidMaterial): AcidFacts => ACIDS[material];

const FIRST_OF = new Map<WeakAcidName, AcidMaterial>(
  ACID_MATERIALS.toReversed().map((material) => [ACIDS[material].substance, material]),
);

/** A bottle that a substance may come from: the first that is known. */
export const materialOf = (substance: WeakAcidName): AcidMaterial => FIRST_OF.get(substance) ?? 'vinegar';
