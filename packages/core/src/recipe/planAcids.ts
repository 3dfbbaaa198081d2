import { acidAmounts, equalEquivalents } from '../acid/acidDose';
import { ACIDS, type AcidMaterial } from '../materials/acids';
import { acidGramsForPh, expectedPh, type AcidsInBath, type GoodsInBath } from '../acid/expectedPh';
import { topUpAcid } from '../acid/topUp';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../figure/plainNumber';
import { formatAmount } from '../units/formatQuantity';
import type { StudioWater } from '../shelf/water';
import type { AcidDue, PlannedAcid, PlannedPass } from './planTypes';
import type { AcidDose } from './recipe';

const HANDBOOK = 'molar masses: CRC Handbook of Chemistry and Physics';

/** The bath that acid goes into. */
export interface AcidBath {
  liters: number;
  wogGrams: number;
  goods: readonly GoodsInBath[];
  water: StudioWater;
  /** Pure acids that are in it already, g. */
  before: AcidsInBath;
  idPrefix: string;
}

/** Every acid dose of a pass in order, each with the pH it brings the bath to. */
export function planAcids(
  doses: readonly AcidDose[],
  bath: AcidBath,
): { acids: PlannedAcid[]; inBath: AcidsInBath } {
  let inBath = bath.before;
  const acids = doses
    .filter((dose) => dose.value > 0)
    .map((dose, i) => {
      const all = acidAmounts(
        dose.material,
        dose.strengthPercent,
        dose.basis,
        dose.value,
        bath.liters,
        bath.wogGrams,
      );
      inBath = [...inBath, { material: dose.material, pureGrams: all.pureGrams }];
      return planAcid(dose, all, bath, inBath, `${bath.idPrefix}acid${i === 0 ? '' : `-${i + 1}`}`);
    });
  return { acids, inBath };
}

function planAcid(
  dose: AcidDose,
  all: ReturnType<typeof acidAmounts>,
  bath: AcidBath,
  inBath: AcidsInBath,
  stepId: string,
): PlannedAcid {
  const facts = ACIDS[dose.material];
  const other = ACIDS[dose.material].besides;
  const expected = expectedPh(inBath, bath.liters, bath.goods, bath.water);
  const liters = formatAmount(1000 * bath.liters, 'mL');
  const goods = formatAmount(bath.wogGrams, 'g');
  const pure = formatAmount(all.pureGrams, 'g');
  const stated =
    dose.basis === 'gPerL'
      ? `${plainNumber(dose.value)} g/L × ${liters}`
      : dose.basis === 'percentOfGoods'
        ? `${plainNumber(dose.value)} % × ${goods}`
        : `${plainNumber(dose.value)} ${facts.unit} × ${plainNumber(dose.strengthPercent)} %`;
  const alone =
    inBath.length === 1
      ? expected.pH
      : expectedPh(
          [{ material: dose.material, pureGrams: all.pureGrams }],
          bath.liters,
          bath.goods,
          bath.water,
        ).pH;
  const samePh = acidGramsForPh(other, alone, bath.liters, bath.goods, bath.water);
  const otherAmount = (100 * samePh.value) / ACIDS[other].usualStrength;
  return {
    material: dose.material,
    label: facts.label,
    strengthPercent: dose.strengthPercent,
    when: dose.when,
    stepId,
    amount: figure(
      all.amount,
      all.unit,
      `100 × ${pure} ${facts.acid} ÷ ${plainNumber(dose.strengthPercent)} %`,
    ),
    pureGrams: figure(all.pureGrams, 'g', `${stated} = ${pure} ${facts.acid}`),
    gPerL: figure(all.gPerL, 'g/L', `${pure} ÷ ${liters}`),
    percentOfGoods: figure(all.percentOfGoods, '%', `100 × ${pure} ÷ ${goods}`),
    pH: expected.pH,
    phBeforeGoods: expected.beforeGoods,
    instead: {
      label: ACIDS[other].short,
      samePh: goesIn(other, otherAmount, bath.liters)
        ? figure(otherAmount, ACIDS[other].unit, samePh.because, samePh.sureness, samePh.source)
        : null,
      sameProtons: figure(
        equalEquivalents(all.milliequivalents, other, ACIDS[other].usualStrength),
        ACIDS[other].unit,
        `the same ${all.milliequivalents.toFixed(0)} meq; equal protons, not equal pH`,
        'exact',
        HANDBOOK,
      ),
    },
  };
}

/** Whether a bath can hold so much of an acid: a liquid is a part of the bath, crystals must dissolve in it. */
const goesIn = (material: AcidMaterial, amount: number, liters: number): boolean =>
  ACIDS[material].unit === 'mL' ? amount <= 1000 * liters : amount <= ACIDS[material].mostGPerL * liters;

/** All acid of a bath together. @returns null when there is none */
export function bathAcid(inBath: AcidsInBath, bath: AcidBath, known?: Figure): PlannedPass['bathAcid'] {
  const grams = inBath.reduce((sum, { pureGrams }) => sum + pureGrams, 0);
  if (grams === 0) return null;
  return {
    gPerL: figure(
      grams / bath.liters,
      'g/L',
      `${formatAmount(grams, 'g')} of acid ÷ ${formatAmount(1000 * bath.liters, 'mL')}`,
    ),
    pH: known ?? expectedPh(inBath, bath.liters, bath.goods, bath.water).pH,
  };
}

/** Water topped up with the acid that keeps the bath as acid as it was, in the acid poured last. */
export function planTopUp(topUpMl: number, doses: readonly AcidDose[], gPerL: number): PlannedPass['topUp'] {
  if (topUpMl <= 0) return null;
  const last = doses.findLast((dose) => dose.value > 0);
  if (!last || gPerL === 0) return { water: figure(topUpMl, 'mL', 'as decided'), acid: null };
  const { unit } = ACIDS[last.material];
  const { waterMl } = topUpAcid(gPerL, topUpMl, last.strengthPercent, unit);
  return {
    water: figure(
      waterMl,
      'mL',
      `${formatAmount(topUpMl, 'mL')} topped up${unit === 'mL' ? ' less the liquid acid' : ''}`,
    ),
    acid: acidDue(last, gPerL, topUpMl),
  };
}

/** Acid for water that joins a bath, so that it keeps its grams per liter; null where that is none. */
export function acidDue(dose: AcidDose, gPerL: number, waterMl: number): AcidDue | null {
  const { unit, label } = ACIDS[dose.material];
  const { amount } = topUpAcid(gPerL, waterMl, dose.strengthPercent, unit);
  if (amount === 0) return null;
  return {
    material: dose.material,
    label,
    strengthPercent: dose.strengthPercent,
    amount: figure(
      amount,
      unit,
      `${plainNumber(gPerL)} g/L × ${formatAmount(waterMl, 'mL')} ÷ ${plainNumber(dose.strengthPercent)} %: the bath keeps its acid per liter`,
    ),
  };
}
