import { acidAmounts, type AcidAmounts } from '../acid/acidDose';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { topUpAcid } from '../acid/topUp';
import { ACIDS } from '../materials/acids';
import { methodFacts, type PassMethod } from '../method';
import { pickUpOf } from '../method/painted';
import { stretchesOf } from '../method/stretches';
import type { AcidWhen, SceneAcid, SceneDye, ScenePart } from '../method/scene';
import { formatAmount } from '../units/formatQuantity';
import type { AcidDose, Pass } from '../recipe/recipe';
import { stockPouredMl } from './pours';
import type { PourLine } from './planTypes';

/** Water that goods are soaked in, mL per gram: enough to cover them (common practice, no source). */
export const SOAK_ML_PER_GRAM = 15;

/** Of a bath that is to hold acid by the liter, the part that may be acid itself; more than this and no bottle does it. */
const MOST_ACID_SHARE = 0.9;

/** When a dose of a pass can really go in: no soak, no acid in it; no powder strewn, none with it. */
export function whenOf(dose: AcidDose, pass: Pass, soaks: boolean): AcidWhen {
  if (dose.when === 'soak' && !soaks) return 'start';
  return methodFacts(pass.method.kind).acidTimes.includes(dose.when) ? dose.when : 'start';
}

/** One acid dose of a pass in every basis, and when it goes in. */
export interface ResolvedAcid {
  dose: AcidDose;
  /** Its place in the list of the pass, from 1; 0 for citric that powder is cut with. */
  nth: number;
  when: AcidWhen;
  /** What it is reckoned on: the bath, or the soak. */
  liters: number;
  amounts: AcidAmounts;
}

/**
 * The acid doses of a pass as amounts. A dose in the soak is for the liters of the soak, every other for the bath.
 * @param wanted which of them
 */
export function resolveAcids(
  pass: Pass,
  soaks: boolean,
  { bathMl, soakMl, goodsGrams }: { bathMl: number; soakMl: number; goodsGrams: number },
  wanted: (when: AcidWhen) => boolean,
): ResolvedAcid[] {
  const resolved: ResolvedAcid[] = [];
  for (const [i, dose] of pass.acids.entries()) {
    const when = whenOf(dose, pass, soaks);
    if (dose.value <= 0 || !wanted(when)) continue;
    const liters = Math.max(1, when === 'soak' ? soakMl : bathMl) / 1000;
    const amounts = acidAmounts(
      dose.material,
      dose.strengthPercent,
      dose.basis,
      dose.value,
      liters,
      goodsGrams,
    );
    resolved.push({ dose, nth: i + 1, when, liters, amounts });
  }
  return resolved;
}

/** Citric that the powder of a pass is cut with: acid of the bath too. */
export function cutOf(pours: readonly PourLine[], bathMl: number, goodsGrams: number): ResolvedAcid[] {
  const grams = pours.reduce((sum, pour) => sum + (pour.cut?.value ?? 0), 0);
  if (grams === 0) return [];
  const dose: AcidDose = {
    id: 'cut',
    material: 'citric',
    strengthPercent: 100,
    basis: 'amount',
    value: grams,
    when: 'with powder',
  };
  return [
    {
      dose,
      nth: 0,
      when: 'cut',
      liters: Math.max(1, bathMl) / 1000,
      amounts: acidAmounts('citric', 100, 'amount', grams, Math.max(1, bathMl) / 1000, goodsGrams),
    },
  ];
}

export const sceneAcid = ({ dose, when, amounts }: ResolvedAcid): SceneAcid => ({
  id: dose.id,
  when,
  material: dose.material,
  strengthPercent: dose.strengthPercent,
  amount: amounts.amount,
});

/** A line of a pass as it is measured; nothing for a line of nothing, as a print value of 0 % is. */
export function sceneDyes(pours: readonly PourLine[]): SceneDye[] {
  const dyes: SceneDye[] = [];
  for (const pour of pours) {
    const { dilution, measured } = pour;
    const amount = dilution?.pour ?? measured?.reading ?? pour.each;
    if (amount.value > 0)
      dyes.push({
        lineId: pour.lineId,
        placeId: pour.sectionId,
        dyeId: pour.dyeId,
        stockId: pour.stockId,
        strengthPercent: pour.strengthPercent,
        lotStrength: pour.lotStrength,
        askedGrams: pour.grams.value * (pour.each.value / (pour.volume ?? pour.grams).value),
        amount: amount.value,
        unit: pour.volume ? 'mL' : 'g',
        tool: dilution
          ? dilution.pourWith
          : measured
            ? { name: measured.toolName, fills: measured.fills }
            : null,
        dilution: dilution && {
          takeMl: dilution.take.value,
          takeWith: dilution.takeWith,
          makeUpMl: dilution.makeUp.value,
          makeUpWith: dilution.makeUpWith,
          strengthPercent: dilution.strengthPercent,
        },
        later: pour.later.map(({ times, amount: { value }, tool }) => ({ times, amount: value, tool })),
      });
  }
  return dyes;
}

/** Liquid that the doses of a pass bring, mL. */
export const liquidAcidMl = (acids: readonly ResolvedAcid[]): number =>
  acids.reduce((sum, { amounts }) => sum + (amounts.unit === 'mL' ? amounts.amount : 0), 0);

/**
 * Liquid acid for a bath that is there already, mL. A dose by the liter is for the bath with that acid in it, so that
 * it is a share of the whole.
 * @param thereMl everything else in the bath, mL
 * @param grams goods, g
 */
export function liquidAcidBesideMl(doses: readonly AcidDose[], thereMl: number, grams: number): number {
  let fixed = 0;
  let share = 0;
  for (const { material, basis, value, strengthPercent } of doses) {
    if (ACIDS[material].unit !== 'mL') continue;
    if (basis === 'amount') fixed += value;
    if (basis === 'percentOfGoods') fixed += (value * grams) / strengthPercent;
    // So many g per liter, of a bottle that holds ten times its percent in a liter.
    if (basis === 'gPerL') share += value / (10 * strengthPercent);
  }
  const whole = (thereMl + fixed) / (1 - Math.min(MOST_ACID_SHARE, share));
  return whole - thereMl;
}

/** What the finished bath of a pass is to hold, mL, before goods bring theirs. */
export function bathAsDecided(
  pass: Pass,
  {
    thereMl,
    pours,
    goodsGrams,
    paintedGrams,
    ownPaintMl,
    soaks,
  }: {
    /** What a bath that is kept holds; null for one that is not. */
    thereMl: number | null;
    pours: readonly PourLine[];
    goodsGrams: number;
    paintedGrams: number;
    /** Paint of all sections together where they do not take alike; null where they do. */
    ownPaintMl: number | null;
    soaks: boolean;
  },
): Figure {
  const { method, water } = pass;
  const facts = methodFacts(method.kind);
  const inBath = pass.acids.filter((dose) => whenOf(dose, pass, soaks) !== 'soak');
  if (ownPaintMl !== null)
    return figure(ownPaintMl, 'mL', 'the paint of its sections, each as much as it takes', 'estimate');
  const own = facts.bath(method, facts.liquid === 'paint' ? paintedGrams : goodsGrams);
  if (own && facts.liquid !== 'ice') return own;
  const poured = stockPouredMl(pours);
  if (own || thereMl !== null) {
    const there = (own?.value ?? thereMl ?? 0) + poured;
    const acid = liquidAcidBesideMl(inBath, there, goodsGrams);
    return figure(
      there + acid,
      'mL',
      () =>
        `${own ? own.because : `${formatAmount(thereMl ?? 0, 'mL')} in the pot`}${poured > 0 ? ` + ${formatAmount(poured, 'mL')} stock` : ''}${acid > 0 ? ` + ${formatAmount(acid, 'mL')} liquid acid` : ''}`,
    );
  }
  if (water.basis === 'ratio')
    return figure(
      water.value * goodsGrams,
      'mL',
      () => `${plainNumber(water.value)} mL/g × ${plainNumber(goodsGrams)} g`,
    );
  return figure(water.basis === 'volume' ? water.value : poured, 'mL', 'as decided');
}

/** The painted sections of a pass, where they lie, and what their cups are made up to. */
export function sceneParts(method: PassMethod, pours: readonly PourLine[], wogGrams: number): ScenePart[] {
  const way = methodFacts(method.kind);
  const places = way.places(method);
  const stretches = stretchesOf(places, 'order' in method ? method.order : 'once');
  return places.map((place) => {
    const paintMl = (pickUpOf(method, place) * wogGrams * place.sharePercent) / 100;
    const stock = stockPouredMl(pours.filter((pour) => pour.sectionId === place.id));
    return {
      id: place.id,
      share: place.sharePercent / 100,
      stretches: stretches.get(place.id) ?? [],
      paintMl,
      fillUpMl: Math.max(0, paintMl - stock),
    };
  });
}

/** When acid goes into the water that paint is filled up with. */
const isInPaint = ({ when }: ResolvedAcid): boolean => when === 'start';

/** Water that the paint of a pass is filled up with, mL. */
export function paintWaterMl(
  method: PassMethod,
  bathMl: number,
  parts: readonly ScenePart[],
  pours: readonly PourLine[],
  acids: readonly ResolvedAcid[],
): number {
  if (methodFacts(method.kind).liquid !== 'paint') return 0;
  const stock = stockPouredMl(pours);
  const painted = parts.filter(({ id }) =>
    pours.some((pour) => pour.sectionId === id && pour.grams.value > 0),
  );
  const fillUp =
    parts.length === 0 ? bathMl - stock : painted.reduce((sum, { fillUpMl }) => sum + fillUpMl, 0);
  return Math.max(0, fillUp - liquidAcidMl(acids.filter(isInPaint)));
}

/** What goes in with a top-up, in the acid decided last, so that the bath keeps its acid per liter. */
export function topUpAcidOf(pass: Pass, gPerL: number): SceneAcid | null {
  const dose = pass.acids.findLast(({ value }) => value > 0);
  if (!dose || pass.topUpMl <= 0 || !pass.topUpWithAcid) return null;
  const { amount } = topUpAcid(gPerL, pass.topUpMl, dose.strengthPercent, ACIDS[dose.material].unit);
  return amount > 0
    ? { id: dose.id, when: 'start', material: dose.material, strengthPercent: dose.strengthPercent, amount }
    : null;
}
