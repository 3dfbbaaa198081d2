import { pureAcidGrams } from '../acid/acidDose';
import type { AcidsInBath, GoodsInBath } from '../acid/expectedPh';
import { phWindow } from '../acid/expectedPh';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../figure/plainNumber';
import { riseFigure } from '../heat/planHeat';
import { formatAmount } from '../units/formatQuantity';
import { keepsBath, METHODS, methodFacts, panArea, passShare } from './methods';
import { acidDue, bathAcid, planAcids, planTopUp } from './planAcids';
import { methodFigures } from './methodFigures';
import { passParts } from './passParts';
import { passSentence } from './passSentence';
import { dyesOfPass, planPour, pouredMl, type PassGoods } from './planPours';
import type { PlannedHeat, PlannedPart, PlannedPass, PourLine } from './planTypes';
import { ACIDS } from '../materials/acids';
import type { AcidDose, AcidTime, Formulation, Pass } from './recipe';

/** Density of wool-like fiber, g/mL: Handbook of Textile Fibre Structure, wool 1.31. */
const FIBER_G_PER_ML = 1.31;

/** What an earlier pass leaves in the pot. */
export interface BathLeft {
  liquidMl: number;
  temperatureC: number;
  acids: AcidsInBath;
}

/** What a pass is planned from. */
export interface PassInputs {
  pass: Pass;
  index: number;
  formulation: Formulation;
  goods: PassGoods;
  goodsInBath: readonly GoodsInBath[];
  left: BathLeft | null;
}

export interface PassOutcome {
  planned: PlannedPass;
  left: BathLeft;
}

/** Ids of the first pass's steps stand bare, as in records made before there were several passes. */
export const stepPrefix = (pass: Pass, index: number): string => (index === 0 ? '' : `${pass.id}-`);

/** One pass: goods it reaches, pours, bath, acid, heat, and what only its method needs. */
export function planPass(inputs: PassInputs): PassOutcome {
  const { pass, index, formulation, goods } = inputs;
  const reached = passShare(pass.method);
  const prefix = stepPrefix(pass, index);
  const passGrams = goods.wogGrams * reached;
  const pours = pass.dyes.map((line, d) =>
    planPour(pass, line, `recipe.passes.${index}.dyes.${d}`, formulation, goods, reached, prefix),
  );
  const poured = pours.reduce((sum, pour) => sum + pouredMl(pour), 0);
  const kept = keepsBath(pass) ? inputs.left : null;
  const bath = bathFigure(pass, passGrams, kept, poured);
  const liters = Math.max(bath.value, 1) / 1000;
  const acidBath = {
    liters,
    wogGrams: passGrams,
    goods: inputs.goodsInBath.map((line) => ({ ...line, grams: line.grams * reached })),
    water: formulation.water,
    before: kept?.acids ?? [],
    idPrefix: prefix,
  };
  const { acids, inBath } = planAcids(withCut(pass, pours), acidBath);
  const inBathAcid = bathAcid(inBath, acidBath, acids.at(-1)?.pH);
  const already = kept?.liquidMl ?? 0;
  const parts = passParts(pass, pours, goods.wogGrams);
  const fillUp = paintToFillUp(parts, pours);
  const liquidAcid = acids.reduce(
    (sum, { amount, when }) =>
      sum + (amount.unit === 'mL' && (fillUp === null || IN_PAINT.includes(when)) ? amount.value : 0),
    0,
  );
  const waterMl = kept ? 0 : Math.max(0, (fillUp ?? bath.value - poured) - liquidAcid);
  const water = figure(
    waterMl,
    'mL',
    kept
      ? `the bath of the pass before stays in the pot, ${formatAmount(already, 'mL')}`
      : fillUp !== null
        ? `${formatAmount(fillUp, 'mL')} to fill the painted sections up − ${formatAmount(liquidAcid, 'mL')} liquid acid`
        : `${formatAmount(bath.value, 'mL')} bath − ${formatAmount(poured, 'mL')} stock − ${formatAmount(liquidAcid, 'mL')} liquid acid`,
  );
  const startC = kept?.temperatureC ?? formulation.place.tapC;
  const heat = planHeat(pass, startC, bath.value, goods.wogGrams, formulation);
  const dye = doseOnGoods(pours, passGrams, goods.wogGrams);
  const gPerL = inBathAcid?.gPerL.value ?? 0;
  const melt = pass.method.kind === 'ice' ? pass.method.iceGrams : 0;
  const lastDose = pass.acids.findLast(({ value }) => value > 0);
  const meltAcid = lastDose ? acidDue(lastDose, gPerL, melt) : null;
  const planned: PlannedPass = {
    id: pass.id,
    kind: pass.method.kind,
    title: METHODS[pass.method.kind].label,
    sentence: '',
    goods: figure(passGrams, 'g', `${plainNumber(goods.wogGrams)} g × ${plainNumber(100 * reached)} %`),
    parts,
    pours,
    bath,
    liquorRatio: figure(
      bath.value / passGrams,
      'mL/g',
      `${formatAmount(bath.value, 'mL')} ÷ ${formatAmount(passGrams, 'g')}`,
    ),
    water,
    acids,
    acidsBefore: acidBath.before,
    phWindow: phWindow(dyesOfPass(pass, formulation.dyes).map((one) => one.dyeClass)),
    bathAcid: inBathAcid,
    topUp: planTopUp(pass.topUpMl, pass.acids, gPerL),
    meltAcid,
    figures: methodFigures(pass.method, passGrams, bath, gPerL, meltAcid),
    heat,
    dos: dye.onReached,
    dosOnAllGoods: dye.onAll,
  };
  planned.sentence = passSentence(pass, planned);
  return {
    planned,
    left: {
      liquidMl: bath.value + melt + (meltAcid?.amount.unit === 'mL' ? meltAcid.amount.value : 0),
      temperatureC:
        pass.heat?.temperatureC ?? (pass.method.kind === 'cool bath' ? pass.method.temperatureC : startC),
      acids: meltAcid
        ? [
            ...inBath,
            {
              material: meltAcid.material,
              pureGrams: pureAcidGrams(meltAcid.amount.value, meltAcid.strengthPercent),
            },
          ]
        : inBath,
    },
  };
}

/** Of a bath that is to hold acid by the liter, the part that may be acid itself; more than this and no bottle does it. */
const MOST_ACID_SHARE = 0.9;

/**
 * Liquid acid that goes into a bath that is there already, mL. A dose by the liter is for the bath with that acid in it,
 * so that it is a share of the whole.
 * @param thereMl everything else in the bath, mL
 * @param grams goods, g
 */
function liquidAcidMl(doses: readonly AcidDose[], thereMl: number, grams: number): number {
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

/** When acid goes into the water that paint is filled up with. */
const IN_PAINT: readonly AcidTime[] = ['start', 'with powder'];

/** Liquid that the painted sections take beside their stock, mL; null where a pass has no sections to fill. */
function paintToFillUp(parts: readonly PlannedPart[], pours: readonly PourLine[]): number | null {
  const painted = parts.filter(({ id }) => pours.some(({ sectionId }) => sectionId === id));
  if (painted.every(({ fillUp }) => fillUp === null)) return null;
  return painted.reduce((sum, { fillUp }) => sum + (fillUp?.value ?? 0), 0);
}

/** Citric that powder is cut with is acid in the bath too. */
function withCut(pass: Pass, pours: readonly PourLine[]): Pass['acids'] {
  const cut = pours.reduce((sum, pour) => sum + (pour.cut?.value ?? 0), 0);
  if (cut === 0) return pass.acids;
  return [
    ...pass.acids,
    { material: 'citric', strengthPercent: 100, basis: 'amount', value: cut, when: 'with powder' },
  ];
}

function bathFigure(pass: Pass, grams: number, kept: BathLeft | null, poured: number): Figure {
  const { method, water } = pass;
  if (method.kind === 'painting' || method.kind === 'blank painting' || method.kind === 'painted stack')
    return figure(
      method.pickUpMlPerG * grams,
      'mL',
      `${plainNumber(method.pickUpMlPerG)} mL picked up per gram × ${plainNumber(grams)} g`,
      'estimate',
      'wet pick-up: from memory, yields to your own',
    );
  if (method.kind === 'low immersion') {
    const area = panArea(method.pan);
    const volume = Math.max(0, area * method.depthCm - grams / FIBER_G_PER_ML);
    return figure(
      volume,
      'mL',
      `${area.toFixed(0)} cm² × ${plainNumber(method.depthCm)} cm − ${plainNumber(grams)} g of fiber ÷ ${FIBER_G_PER_ML} g/mL`,
      'exact',
      'density of wool: Morton and Hearle, Physical Properties of Textile Fibres, from memory',
    );
  }
  if (kept) {
    const acid = liquidAcidMl(pass.acids, kept.liquidMl + poured, grams);
    return figure(
      kept.liquidMl + poured + acid,
      'mL',
      `${formatAmount(kept.liquidMl, 'mL')} in the pot + ${formatAmount(poured, 'mL')} stock${acid > 0 ? ` + ${formatAmount(acid, 'mL')} liquid acid` : ''}`,
    );
  }
  if (water.basis === 'ratio')
    return figure(water.value * grams, 'mL', `${plainNumber(water.value)} mL/g × ${plainNumber(grams)} g`);
  return figure(water.basis === 'volume' ? water.value : poured, 'mL', 'as decided');
}

function planHeat(
  pass: Pass,
  startC: number,
  bathMl: number,
  fiberGrams: number,
  { pot, place }: Formulation,
): PlannedHeat | null {
  if (!pass.heat || !methodFacts(pass.method.kind).hot) return null;
  const { temperatureC, minutes, rampCPerMin } = pass.heat;
  return {
    rise: riseFigure(
      { waterMl: bathMl, fiberGrams, pot, roomC: place.roomC },
      startC,
      temperatureC,
      rampCPerMin,
    ),
    temperature: figure(temperatureC, '°C', 'as decided'),
    hold: figure(minutes, 'min', 'as decided'),
  };
}

/** Depth of the pass on the goods it reaches, and on all of them. */
function doseOnGoods(
  pours: readonly PourLine[],
  passGrams: number,
  wogGrams: number,
): { onReached: Figure; onAll: Figure } {
  const strong = pours.reduce((sum, pour) => sum + pour.grams.value * pour.lotStrength, 0);
  const said = pours.map((pour) => plainNumber(pour.dos.value)).join(' + ') || '0';
  const split = pours.some((pour) => pour.sectionId !== null) || passGrams < wogGrams;
  const direct = pours.reduce((sum, pour) => sum + pour.dos.value, 0);
  const sureness = pours.some((pour) => pour.dos.sureness === 'estimate') ? 'estimate' : 'exact';
  return {
    onReached: split
      ? figure(
          (100 * strong) / passGrams,
          '%',
          `all dye of the pass on ${formatAmount(passGrams, 'g')}`,
          sureness,
        )
      : figure(direct, '%', `${said} %`, sureness),
    onAll: split
      ? figure(
          (100 * strong) / wogGrams,
          '%',
          `all dye of the pass on ${formatAmount(wogGrams, 'g')}`,
          sureness,
        )
      : figure(direct, '%', `${said} %`, sureness),
  };
}
