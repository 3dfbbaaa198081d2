import type { AcidsInBath, GoodsInBath } from '../acid/expectedPh';
import { phWindow } from '../acid/expectedPh';
import { topUpAcid } from '../acid/topUp';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../figure/plainNumber';
import { riseFigure } from '../heat/planHeat';
import { formatAmount } from '../units/formatQuantity';
import { METHODS, methodFacts, panArea, passShare, sectionsOf } from './methods';
import type { PassMethod } from './methodSchema';
import { bathAcid, planAcids, planTopUp } from './planAcids';
import { dyesOfPass, planPour, type PassGoods } from './planPours';
import type { NamedFigure, PlannedHeat, PlannedPart, PlannedPass, PourLine } from './planTypes';
import type { Formulation, Pass } from './recipe';

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
  const kept = pass.water.basis === 'kept' ? inputs.left : null;
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
  const liquidAcid = acids.reduce(
    (sum, acid) => sum + (acid.amount.unit === 'mL' ? acid.amount.value : 0),
    0,
  );
  const already = kept?.liquidMl ?? 0;
  const waterMl = kept ? 0 : Math.max(0, bath.value - poured - liquidAcid);
  const water = figure(
    waterMl,
    'mL',
    kept
      ? `the bath of the pass before stays in the pot, ${formatAmount(already, 'mL')}`
      : `${formatAmount(bath.value, 'mL')} bath − ${formatAmount(poured, 'mL')} stock − ${formatAmount(liquidAcid, 'mL')} liquid acid`,
  );
  const startC = kept?.temperatureC ?? formulation.place.tapC;
  const heat = planHeat(pass, startC, bath.value, goods.wogGrams, formulation);
  const dye = doseOnGoods(pours, passGrams, goods.wogGrams);
  const planned: PlannedPass = {
    id: pass.id,
    kind: pass.method.kind,
    title: METHODS[pass.method.kind].label,
    sentence: '',
    goods: figure(passGrams, 'g', `${plainNumber(goods.wogGrams)} g × ${plainNumber(100 * reached)} %`),
    parts: partsOf(pass, pours, goods.wogGrams),
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
    topUp: planTopUp(pass.topUpMl, pass.acids, inBathAcid?.gPerL.value ?? 0),
    figures: methodFigures(pass.method, passGrams, bath, inBathAcid?.gPerL.value ?? 0, pass),
    heat,
    dos: dye.onReached,
    dosOnAllGoods: dye.onAll,
  };
  planned.sentence = sentenceOf(pass, planned);
  const melt = pass.method.kind === 'ice' ? pass.method.iceGrams : 0;
  return {
    planned,
    left: {
      liquidMl: bath.value + melt,
      temperatureC:
        pass.heat?.temperatureC ?? (pass.method.kind === 'cool bath' ? pass.method.temperatureC : startC),
      acids: inBath,
    },
  };
}

/** What a line brings into the pot as liquid, mL. */
const pouredMl = (pour: PourLine): number =>
  pour.dilution
    ? pour.dilution.pour.value * pour.doses
    : pour.volume
      ? (pour.measured?.reading.value ?? pour.each.value) * pour.doses
      : 0;

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
  if (kept)
    return figure(
      kept.liquidMl + poured,
      'mL',
      `${formatAmount(kept.liquidMl, 'mL')} in the pot + ${formatAmount(poured, 'mL')} stock`,
    );
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

function partsOf(pass: Pass, pours: readonly PourLine[], wogGrams: number): PlannedPart[] {
  const { method } = pass;
  if (method.kind === 'painted stack') return layersOf(method, pours, wogGrams);
  const pickUp = method.kind === 'painting' || method.kind === 'blank painting' ? method.pickUpMlPerG : 0;
  return sectionsOf(method).map((section) => {
    const grams = (wogGrams * section.sharePercent) / 100;
    const mine = pours.filter((pour) => pour.sectionId === section.id);
    const paint = pickUp * grams;
    const stock = mine.reduce((sum, pour) => sum + pouredMl(pour), 0);
    return {
      id: section.id,
      name: section.name,
      goods: figure(grams, 'g', `${plainNumber(section.sharePercent)} % × ${plainNumber(wogGrams)} g`),
      paint: figure(
        paint,
        'mL',
        `${plainNumber(pickUp)} mL/g × ${plainNumber(grams)} g`,
        'estimate',
        'wet pick-up: from memory, yields to your own',
      ),
      fillUp: figure(
        Math.max(0, paint - stock),
        'mL',
        `${formatAmount(paint, 'mL')} paint − ${formatAmount(stock, 'mL')} stock`,
      ),
      dos: figure(
        mine.reduce((sum, pour) => sum + pour.dos.value, 0),
        '%',
        `${mine.map((pour) => plainNumber(pour.dos.value)).join(' + ') || '0'} % on this section`,
      ),
    };
  });
}

/**
 * Layers of a stack, top first: each keeps what does not drain, the lowest keeps all that reaches it, so that the dye
 * adds up. An estimate: the drained share is the dyer's own.
 */
function layersOf(
  { layers, drainPercent, pickUpMlPerG }: Extract<PassMethod, { kind: 'painted stack' }>,
  pours: readonly PourLine[],
  wogGrams: number,
): PlannedPart[] {
  const mean = pours.reduce((sum, pour) => sum + pour.dos.value, 0);
  const drains = drainPercent / 100;
  const grams = wogGrams / layers;
  let fromAbove = 0;
  return Array.from({ length: layers }, (_, i) => {
    const given = mean + fromAbove;
    const lowest = i === layers - 1;
    fromAbove = lowest ? 0 : given * drains;
    return {
      id: `layer-${i + 1}`,
      name: i === 0 ? 'Top layer' : lowest ? 'Lowest layer' : `Layer ${i + 1}`,
      goods: figure(grams, 'g', `${plainNumber(wogGrams)} g ÷ ${layers} layers`),
      paint: figure(
        pickUpMlPerG * grams,
        'mL',
        `${plainNumber(pickUpMlPerG)} mL/g × ${plainNumber(grams)} g`,
        'estimate',
        'wet pick-up: from memory, yields to your own',
      ),
      fillUp: null,
      dos: figure(
        given - fromAbove,
        '%',
        `${plainNumber(given)} % reaches it${lowest ? ' and stays' : `, ${plainNumber(drainPercent)} % of it drains on`}`,
        'estimate',
        'mass balance on the drained share',
      ),
    };
  });
}

/** What only one method needs to know. */
function methodFigures(
  method: PassMethod,
  passGrams: number,
  bath: Figure,
  gPerL: number,
  pass: Pass,
): NamedFigure[] {
  const named = (name: string, value: Figure): NamedFigure => ({ name, figure: value });
  switch (method.kind) {
    case 'low immersion': {
      const area = panArea(method.pan);
      const room = area * method.wallCm;
      return [
        named(
          'Pan holds to the rim',
          figure(room, 'mL', `${area.toFixed(0)} cm² × ${plainNumber(method.wallCm)} cm`),
        ),
        named(
          'Goods per area',
          figure(
            (100 * passGrams) / area,
            'g',
            `${plainNumber(passGrams)} g on ${area.toFixed(0)} cm², per 100 cm²`,
          ),
        ),
      ];
    }
    case 'dip':
      return [
        named(
          'Goods in the bath',
          figure(passGrams, 'g', `${plainNumber(method.sharePercent)} % of the length`),
        ),
        named(
          'Time in the bath per step',
          figure(
            method.minutes / method.steps,
            'min',
            `${plainNumber(method.minutes)} min ÷ ${method.steps} steps`,
          ),
        ),
      ];
    case 'ice': {
      const melt = method.iceGrams;
      const diluted = (gPerL * bath.value) / (bath.value + melt);
      const dose = pass.acids.findLast((candidate) => candidate.value > 0);
      const due = dose
        ? topUpAcid(gPerL, melt, dose.strengthPercent, dose.material === 'citric' ? 'g' : 'mL').amount
        : 0;
      return [
        named('Melt water', figure(melt, 'mL', `${plainNumber(melt)} g of ice is as many mL of water`)),
        named(
          'Acid per liter once melted',
          figure(
            diluted,
            'g/L',
            `${plainNumber(gPerL)} g/L × ${formatAmount(bath.value, 'mL')} ÷ ${formatAmount(bath.value + melt, 'mL')}`,
          ),
        ),
        named(
          'Acid for the melt water',
          figure(
            due,
            dose?.material === 'citric' ? 'g' : 'mL',
            `${plainNumber(gPerL)} g/L × ${formatAmount(melt, 'mL')}: due before the set`,
          ),
        ),
      ];
    }
    case 'repeated':
      return [
        named(
          'Time between the first dose and the last',
          figure(
            method.minutes * method.repeats,
            'min',
            `${method.repeats} × ${plainNumber(method.minutes)} min`,
          ),
        ),
      ];
    case 'painted stack':
    case 'painting':
    case 'blank painting':
      return [named('Paint in all', bath)];
    default:
      return [];
  }
}

const WHEN = {
  soak: 'in the soak',
  start: 'at the start',
  warm: 'when warm',
  last: 'late',
  'with powder': 'with the powder',
} as const;

function sentenceOf(pass: Pass, planned: PlannedPass): string {
  const dyes = pass.dyes.length === 1 ? (planned.pours[0]?.dyeName ?? '1 dye') : `${pass.dyes.length} dyes`;
  const { kind, count } = pass.arrangement;
  const lies = kind === 'open' ? [] : [kind === 'laid flat' ? kind : `${kind} ${count}×`];
  const acid =
    planned.acids.length === 0
      ? 'no acid'
      : `acid ${[...new Set(planned.acids.map((one) => WHEN[one.when]))].join(' and ')}`;
  const heat = planned.heat
    ? `${formatAmount(planned.heat.hold.value, 'min')} at ${planned.heat.temperature.value} °C`
    : pass.method.kind === 'cool bath' || pass.method.kind === 'glaze'
      ? `${formatAmount(pass.method.minutes, 'min')} cold`
      : pass.method.kind === 'ice'
        ? `melts in ${formatAmount(pass.method.meltMinutes, 'min')}`
        : 'no heat before the set';
  return [
    dyes,
    formatAmount(planned.dos.value, '%'),
    methodFacts(pass.method.kind).label,
    ...lies,
    ...(pass.goodsGoIn === 'dry' ? ['goods dry'] : []),
    acid,
    heat,
  ].join(', ');
}
