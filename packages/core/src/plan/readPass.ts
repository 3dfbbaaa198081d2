import { phWindow } from '../acid/expectedPh';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../figure/plainNumber';
import { methodFacts } from '../method';
import type { WayRead } from '../method/method';
import { ACIDS } from '../materials/acids';
import type { Formulation } from '../recipe/recipe';
import { formatAmount } from '../units/formatQuantity';
import { acidsIn, around, NO_BATH, together } from './liquids';
import { passParts } from './parts';
import { dyesOfPass, stockPouredMl } from './pours';
import type { PlannedHeat, PlannedPass, PlannedTopUp, PourLine } from './planTypes';
import { readAcids } from './readAcids';
import { liquidAcidMl, type ResolvedAcid } from './sceneOf';
import { broughtBy, type ToldPass } from './story';
import type { Told } from './tell';
import { risesTogether } from './vesselHeat';

/**
 * The figures of one pass, read from its acts and the states between them.
 * @param set acts that follow it, of which acid that waited for heat belongs to it; none but after the last pass
 */
export function readPass(
  told: ToldPass,
  set: readonly Told[],
  formulation: Formulation,
  wogGrams: number,
): PlannedPass {
  const { pass, pours, goodsGrams, decided, kept, end, lines } = told;
  const way = methodFacts(pass.method.kind);
  const owed = set.filter(({ act }) => act.pass === pass.id);
  const all = [...lines, ...owed];
  // Acid that goes in after the paint is on comes beside it; all other liquid is the bath.
  const isBath = ({ act }: Told): boolean =>
    way.liquid !== 'paint' || (act.purpose !== 'warm' && act.purpose !== 'late');
  const bathOnly = together(kept ?? NO_BATH, broughtBy(all, isBath));
  const inBath = together(around(end, told.scene.vessel), broughtBy(owed));
  const bath = bathFigure(way.liquid === 'pan' ? inBath.ml : bathOnly.ml, decided);
  const dye = doseOnGoods(pours, goodsGrams, wogGrams);
  const parts = passParts(told, wogGrams);
  const read: WayRead = wayRead(told, bath, parts, wogGrams, formulation);
  const { acids, bathAcid } = readAcids(told, all, { bath, bathOnly, inBath }, formulation);
  return {
    id: pass.id,
    kind: pass.method.kind,
    title: way.label,
    goods: figure(
      goodsGrams,
      'g',
      () => `${plainNumber(wogGrams)} g × ${plainNumber(100 * way.reach(pass.method))} %`,
    ),
    parts,
    pours,
    bath,
    liquorRatio: figure(
      bath.value / goodsGrams,
      'mL/g',
      () => `${formatAmount(bath.value, 'mL')} ÷ ${formatAmount(goodsGrams, 'g')}`,
    ),
    water: waterFigure(told, bath),
    acids,
    acidsBefore: acidsIn(kept ?? NO_BATH),
    inBath,
    phWindow: phWindow(dyesOfPass(pass, formulation.dyes).map((one) => one.dyeClass)),
    bathAcid,
    topUp: topUpFigure(told),
    figures: way.figures(pass.method, read),
    heat: heatFigure(told),
    dos: dye.onReached,
    dosOnAllGoods: dye.onAll,
  };
}

/** What the way of a pass reads its own figures and notices from. */
export function wayRead(
  {
    pass,
    pours,
    goodsGrams,
    acids,
  }: Pick<ToldPass, 'pass' | 'pours' | 'goodsGrams'> & {
    acids: readonly Pick<ResolvedAcid, 'dose' | 'nth'>[];
  },
  bath: Figure,
  parts: PlannedPass['parts'],
  allGrams: number,
  { dyes }: Formulation,
): WayRead {
  const classes = dyesOfPass(pass, dyes).map(({ dyeClass }) => dyeClass);
  return {
    goodsGrams,
    allGrams,
    bath,
    dyes: pours.map((pour, i) => ({
      lineId: pour.lineId,
      name: pour.dyeName,
      dyeClass: classes[i] ?? 'unknown',
      placeId: pour.sectionId,
      volumeMl: pour.volume?.value ?? 0,
    })),
    acids: acids
      .filter(({ nth }) => nth > 0)
      .map(({ nth, dose }) => ({ nth, name: `Acid ${nth}, ${ACIDS[dose.material].label},` })),
    parts: parts.map(({ id, name, paint }) => ({ id, name, paintMl: paint?.value ?? 0 })),
  };
}

/** The bath as it is; with its own arithmetic while that comes to the same. */
const bathFigure = (ml: number, decided: Figure): Figure =>
  Math.abs(ml - decided.value) <= 1e-9 * Math.max(1, ml)
    ? figure(ml, decided.unit, () => decided.because, decided.sureness, decided.source)
    : figure(
        ml,
        'mL',
        () => `all that is poured, more than the ${formatAmount(decided.value, 'mL')} decided`,
      );

const isWater = ({ act }: Told): boolean =>
  act.kind === 'run' && (act.purpose === 'bath' || act.purpose === 'paint');

function waterFigure({ lines, pours, acids, kept, scene }: ToldPass, bath: Figure): Figure {
  const { ml } = broughtBy(lines, isWater);
  if (kept)
    return figure(
      0,
      'mL',
      () => `the bath of the pass before stays in the pot, ${formatAmount(kept.ml, 'mL')}`,
    );
  if (methodFacts(scene.settings.kind).liquid === 'ice')
    return figure(0, 'mL', 'the ice is all the water there is');
  const stock = stockPouredMl(pours);
  const acid = liquidAcidMl(
    acids.filter(({ when }) => when !== 'soak' && (scene.fillTo !== null || when === 'start')),
  );
  const whole = scene.fillTo ? bath.value : ml + stock + acid;
  const wet = whole - stock - acid - ml;
  return figure(
    Math.max(0, ml),
    'mL',
    () =>
      `${formatAmount(whole, 'mL')} ${scene.fillTo ? 'bath' : 'paint'} − ${formatAmount(stock, 'mL')} stock − ${formatAmount(acid, 'mL')} liquid acid${wet > 0.5 ? ` − ${formatAmount(wet, 'mL')} in the wet goods` : ''}`,
  );
}

function heatFigure({ pass, lines }: ToldPass): PlannedHeat | null {
  if (!pass.heat || !methodFacts(pass.method.kind).hot) return null;
  return {
    rise: risesTogether(lines),
    temperature: figure(pass.heat.temperatureC, '°C', 'as decided'),
    hold: figure(pass.heat.minutes, 'min', 'as decided'),
  };
}

function topUpFigure({ pass, scene, decided }: ToldPass): PlannedTopUp | null {
  if (pass.topUpMl <= 0) return null;
  const acid = scene.topUpAcid;
  if (!acid) return { water: figure(pass.topUpMl, 'mL', 'as decided'), acid: null };
  const { unit, label } = ACIDS[acid.material];
  const gPerL = (10 * acid.amount * acid.strengthPercent) / pass.topUpMl;
  return {
    water: figure(
      Math.max(0, pass.topUpMl - (unit === 'mL' ? acid.amount : 0)),
      'mL',
      () => `${formatAmount(pass.topUpMl, 'mL')} topped up${unit === 'mL' ? ' less the liquid acid' : ''}`,
    ),
    acid: {
      material: acid.material,
      label,
      strengthPercent: acid.strengthPercent,
      amount: figure(
        acid.amount,
        unit,
        () =>
          `${plainNumber(gPerL)} g/L of the ${formatAmount(decided.value, 'mL')} × ${formatAmount(pass.topUpMl, 'mL')} ÷ ${plainNumber(acid.strengthPercent)} %: the bath keeps its acid per liter`,
      ),
    },
  };
}

/** Depth of the pass on the goods it reaches, and on all of them. */
function doseOnGoods(
  pours: readonly PourLine[],
  passGrams: number,
  wogGrams: number,
): { onReached: Figure; onAll: Figure } {
  const strong = pours.reduce((sum, pour) => sum + pour.grams.value * pour.lotStrength, 0);
  const said = (): string => pours.map((pour) => plainNumber(pour.dos.value)).join(' + ') || '0';
  const split = pours.some((pour) => pour.sectionId !== null) || passGrams < wogGrams;
  const direct = pours.reduce((sum, pour) => sum + pour.dos.value, 0);
  const sureness = pours.some((pour) => pour.dos.sureness === 'estimate') ? 'estimate' : 'exact';
  const on = (grams: number): Figure =>
    split
      ? figure(
          (100 * strong) / grams,
          '%',
          () => `all dye of the pass on ${formatAmount(grams, 'g')}`,
          sureness,
        )
      : figure(direct, '%', () => `${said()} %`, sureness);
  return { onReached: on(passGrams), onAll: on(wogGrams) };
}
