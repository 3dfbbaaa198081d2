import { threeFigures } from '../units/threeFigures';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import type { DyeClass } from '../shelf/dyeClasses';
import type { StudioWater } from '../shelf/water';
import { ACIDS, type AcidMaterial } from '../materials/acids';
import { acidForPh, bathPh, type BathContents } from './bathPh';
import type { WeakAcidName } from '../materials/weakAcidNames';

/** Milligrams of calcium carbonate that carry one milliequivalent of alkalinity. */
export const MG_CACO3_PER_MEQ = 50.04;

/** pH that suits a dye class in the bath; textbook ranges, from memory. */
const WINDOWS: Record<DyeClass, readonly [number, number]> = {
  unknown: [3.5, 5],
  leveling: [2.5, 4],
  'half-milling': [4, 5],
  milling: [4.5, 6],
  'super-milling': [5.5, 7],
  'metal complex': [5, 6.5],
};

/** Pure acids in a bath, g each. */
export type AcidsInBath = readonly { material: AcidMaterial; pureGrams: number }[];

/** The weak acid in a bottle, as chemistry names it. */
export const acidName = (material: AcidMaterial): WeakAcidName => ACIDS[material].substance;

/**
 * Total carbonate per equivalent of alkalinity in tap water near pH 7.5: 1 + 10^(6.352 − 7.5). Fresh from the tap it
 * is still in the bath; heat drives it off.
 */
const CARBONATE_PER_ALKALINITY = 1 + 10 ** (6.352 - 7.5);

/** CO2 that air at 420 ppm keeps dissolved at 25 °C, mol/L: Henry's constant 0.034 mol/(L atm), CRC Handbook. */
export const AIR_CO2_MOLAR = 0.034 * 420e-6;

/** Alkalinity in mg/L as calcium carbonate as mol of strong base per L. */
export const alkalinityMolar = (mgPerL: number): number => mgPerL / MG_CACO3_PER_MEQ / 1000;

/** The weak acids dissolved in a bath, mol/L: what is more than it can hold lies on its floor. */
export const molarAcids = (acids: AcidsInBath, liters: number): BathContents['acids'] =>
  acids.map(({ material, pureGrams }) => ({
    name: acidName(material),
    molar: Math.min(pureGrams / liters, ACIDS[material].mostGPerL) / ACIDS[material].molarMass,
  }));

/** Less than this is not spoken of, meq. */
const LEAST_TAKEN_MEQ = 0.005;

/** What a pH was reckoned from. @param takenMeq acid that fiber took out of the bath; below zero: brought into it */
const reckonedFrom = (
  acids: AcidsInBath,
  weak: BathContents['acids'],
  water: StudioWater,
  takenMeq: number,
): string =>
  `${acids
    .map(({ material }, i) => `${(1000 * (weak[i]?.molar ?? 0)).toFixed(1)} mmol/L ${ACIDS[material].acid}`)
    .join(' + ')} in water of ${plainNumber(water.alkalinityMgPerL)} mg/L alkalinity${
    Math.abs(takenMeq) < LEAST_TAKEN_MEQ
      ? ''
      : takenMeq > 0
        ? `, less ${threeFigures(takenMeq)} meq of acid that fiber took along`
        : `, with ${threeFigures(-takenMeq)} meq of acid that fiber brought`
  }, charge balance with Davies activities`;

/**
 * Expected pH of a dyebath at 25 °C from its acids, the water's alkalinity and what the goods take up.
 * With what the fiber takes up it is an estimate; without, the model is established. A measured pH is worth more than either.
 * @param acids pure acids in the bath, g
 * @param liters finished bath, L
 * @param fiberMmol protons that the goods in it hold at most, mmol
 * @param takenMeq acid that fiber took out of it, less what fiber brought into it, meq
 */
export function expectedPh(
  acids: AcidsInBath,
  liters: number,
  fiberMmol: number,
  water: StudioWater,
  takenMeq = 0,
): Figure {
  const weak = molarAcids(acids, liters);
  const { countFiberUptake } = water;
  const pH = bathPh({
    acids: weak,
    strongBase: alkalinityMolar(water.alkalinityMgPerL),
    taken: takenMeq / 1000 / liters,
    airCo2: AIR_CO2_MOLAR,
    fiberHolds: countFiberUptake ? fiberMmol / 1000 / liters : 0,
  });
  const said = (): string => `${reckonedFrom(acids, weak, water, takenMeq)}, carbonate driven off by heat`;
  return countFiberUptake
    ? figure(
        pH,
        'pH',
        () => `${said()}, less what the fiber takes up`,
        'estimate',
        'wool after Steinhardt and Harris 1940, from memory',
      )
    : figure(pH, 'pH', said, 'established', 'pKa: CRC Handbook');
}

/**
 * The same bath, cold and without what the fiber takes up: what a meter shows before the goods go in. Established.
 * @param acids pure acids in the bath, g
 * @param liters finished bath, L
 */
export function phBeforeGoods(acids: AcidsInBath, liters: number, water: StudioWater, takenMeq = 0): Figure {
  const strongBase = alkalinityMolar(water.alkalinityMgPerL);
  const weak = molarAcids(acids, liters);
  return figure(
    bathPh({
      acids: [...weak, { name: 'carbonic', molar: strongBase * CARBONATE_PER_ALKALINITY }],
      strongBase,
      taken: takenMeq / 1000 / liters,
    }),
    'pH',
    () => `${reckonedFrom(acids, weak, water, takenMeq)}, carbonate of the tap still in it`,
    'established',
    'pKa: CRC Handbook',
  );
}

/**
 * Grams of a pure acid that bring a bath to a pH when it is the only acid in it; the inverse of `expectedPh`.
 * @returns a figure in g, as sure as the pH it is for
 */
export function acidGramsForPh(
  material: AcidMaterial,
  pH: Figure,
  liters: number,
  fiberMmol: number,
  water: StudioWater,
  takenMeq = 0,
): Figure {
  const without: BathContents = {
    acids: [],
    airCo2: AIR_CO2_MOLAR,
    strongBase: alkalinityMolar(water.alkalinityMgPerL),
    taken: takenMeq / 1000 / liters,
    fiberHolds: water.countFiberUptake ? fiberMmol / 1000 / liters : 0,
  };
  return figure(
    acidForPh(acidName(material), pH.value, without) * liters * ACIDS[material].molarMass,
    'g',
    () => `as much ${ACIDS[material].acid} as brings this bath to pH ${pH.value.toFixed(2)}`,
    pH.sureness,
    pH.source,
  );
}

/** Narrowest window worth stating; the expected pH is no better known. */
const NARROWEST = 0.5;

/**
 * The pH that suits every dye in a bath: where their windows overlap. Where they hardly do, half a unit to either side
 * of the middle between them.
 */
export function phWindow(classes: readonly DyeClass[]): readonly [number, number] {
  const windows = (classes.length === 0 ? (['unknown'] as const) : classes).map((name) => WINDOWS[name]);
  const low = Math.max(...windows.map(([from]) => from));
  const high = Math.min(...windows.map(([, to]) => to));
  if (high - low >= NARROWEST) return [low, high];
  const middle = (low + high) / 2;
  return [middle - 0.5, middle + 0.5];
}
