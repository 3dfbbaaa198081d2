import { figure, type Figure } from '../figure/figure';
import type { FiberShare } from '../shelf/base';
import type { DyeClass } from '../shelf/dyeClasses';
import type { StudioWater } from '../shelf/water';
import { ACIDS, type AcidMaterial } from './acidDose';
import { acidForPh, bathPh, type BathContents } from './bathPh';

/** Milligrams of calcium carbonate that carry one milliequivalent of alkalinity. */
const MG_CACO3_PER_MEQ = 50.04;

/** pH that suits a dye class in the bath; textbook ranges, from memory. */
const WINDOWS: Record<DyeClass, readonly [number, number]> = {
  unknown: [3.5, 5],
  leveling: [2.5, 4],
  'half-milling': [4, 5],
  milling: [4.5, 6],
  'super-milling': [5.5, 7],
  'metal complex': [5, 6.5],
};

/** Goods in the bath, by their mass and content. */
export interface GoodsInBath {
  grams: number;
  fibers: readonly FiberShare[];
}

/** What is expected of a bath's pH. */
export interface ExpectedPh {
  pH: Figure;
  /** The same bath without what the fiber takes up: what a meter shows before the goods go in. */
  beforeGoods: Figure;
  /** Grams of the other pure acid that would bring this bath to the same pH. */
  otherPureGrams: Figure;
}

const acidName = (material: AcidMaterial): 'acetic' | 'citric' =>
  material === 'vinegar' ? 'acetic' : 'citric';

/**
 * Expected pH of a dyebath at 25 °C from its acid, the water's alkalinity and what the goods take up.
 * With the goods it is an estimate; without them the model is established. A measured pH is worth more than either.
 * @param pureGrams pure acid in the bath, g
 * @param liters finished bath, L
 */
export function expectedPh(
  material: AcidMaterial,
  pureGrams: number,
  liters: number,
  goods: readonly GoodsInBath[],
  water: StudioWater,
): ExpectedPh {
  const molar = pureGrams / ACIDS[material].molarMass / liters;
  const strongBase = water.alkalinityMgPerL / MG_CACO3_PER_MEQ / 1000;
  const contents: BathContents = {
    acids: [{ name: acidName(material), molar }],
    strongBase,
  };
  const fiber = goods.flatMap((line) =>
    line.fibers.map((share) => ({
      fiber: share.fiber,
      gramsPerLiter: (line.grams * share.percent) / 100 / liters,
    })),
  );
  const said = `${(1000 * molar).toFixed(1)} mmol/L ${ACIDS[material].acid} in water of ${water.alkalinityMgPerL} mg/L alkalinity, charge balance with Davies activities`;
  const beforeGoods = figure(
    bathPh(contents),
    'pH',
    said,
    'established',
    'pKa: CRC Handbook; CO2 driven off by heat',
  );
  const pH = water.countFiberUptake
    ? figure(
        bathPh({ ...contents, fiber }),
        'pH',
        `${said}, less what the fiber takes up`,
        'estimate',
        'wool after Steinhardt and Harris 1940, from memory',
      )
    : beforeGoods;
  const other: AcidMaterial = material === 'vinegar' ? 'citric' : 'vinegar';
  const without: BathContents = { acids: [], strongBase, ...(water.countFiberUptake && { fiber }) };
  const otherGrams = acidForPh(acidName(other), pH.value, without) * liters * ACIDS[other].molarMass;
  return {
    pH,
    beforeGoods,
    otherPureGrams: figure(
      otherGrams,
      'g',
      `as much ${ACIDS[other].acid} as brings this bath to pH ${pH.value.toFixed(2)}`,
      pH.sureness,
      pH.source,
    ),
  };
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
