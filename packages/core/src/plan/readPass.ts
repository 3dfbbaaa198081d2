import { phWindow } from '../acid/expectedPh';
import { figure, measuredOut, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { methodFacts } from '../method';
import type { WayRead } from '../method/method';
import { ACIDS } from '../materials/acids';
import type { ActOf } from '../process/act';
import { ownPot } from '../recipe/materials';
import type { Formulation, Pass } from '../recipe/recipe';
import { formatAmount } from '../units/formatQuantity';
import { acidsIn, around, NO_BATH, together } from './liquids';
import { passParts } from './parts';
import { dyesOfPass, stockPouredMl } from './pours';
import type { AcidDue, PlannedHeat, PlannedPass, PlannedTopUp, PourLine } from './planTypes';
import { readAcids } from './readAcids';
import { liquidAcidMl } from './sceneOf';
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
  const { pass, pours, goodsGrams, decided, end, lines } = told;
  const before = told.kept ?? told.takenOver ?? NO_BATH;
  const way = methodFacts(pass.method.kind);
  const owed = set.filter(({ act }) => act.pass === pass.id);
  const all = [...lines, ...owed];
  // Acid that goes in after the paint is on comes beside it; all other liquid is the bath.
  const isBath = ({ act }: Told): boolean =>
    way.liquid !== 'paint' || (act.purpose !== 'warm' && act.purpose !== 'late');
  const bathOnly = together(before, broughtBy(all, isBath));
  const withGoods = together(around(end, told.scene.vessel), broughtBy(owed));
  // What the pass does not reach keeps the acid that it came with.
  const inBath = {
    ...withGoods,
    takenMeq: withGoods.takenMeq + told.boundMeqBefore * (1 - way.reach(pass.method)),
  };
  const bath = bathFigure(way.liquid === 'pan' ? inBath.ml : bathOnly.ml, decided);
  const dye = doseOnGoods(pours, goodsGrams, wogGrams);
  const parts = passParts(told, wogGrams);
  const read = wayRead(told, bath, parts, wogGrams, formulation);
  const { acids, bathAcid } = readAcids(told, all, { bath, bathOnly, inBath }, formulation);
  return {
    id: pass.id,
    kind: pass.method.kind,
    title: way.label,
    vessel: ownPot(pass, formulation)?.name ?? null,
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
    water: measuredOut(waterFigure(told, bath), { as: 'water', said: written(pass, 'water', formulation) }),
    acids,
    takenOver: takenOverFigure(told, written(pass, 'takesOverMl', formulation)),
    acidsBefore: acidsIn(before),
    inBath,
    decidedMl: decided.value,
    said: way.notices(pass.method, read),
    phWindow: phWindow(dyesOfPass(pass, formulation.dyes).map((one) => one.dyeClass)),
    bathAcid,
    topUp: topUpFigure(all, decided, written(pass, 'topUpMl', formulation)),
    figures: way.figures(pass.method, read),
    heat: heatFigure(told, written(pass, 'heat.temperatureC', formulation)),
    dos: dye.onReached,
    dosOnAllGoods: dye.onAll,
  };
}

/** What the way of a pass reads its own figures and notices from. */
function wayRead(
  { pass, pours, goodsGrams, acids }: ToldPass,
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
      .map(({ nth, dose }) => ({ id: dose.id, name: `Acid ${nth}, ${ACIDS[dose.material].label},` })),
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

/** A part of the bath before; less than was asked for where there was no more. */
function takenOverFigure({ pass, takenOver }: ToldPass, said: string | null): Figure | null {
  if (!takenOver) return null;
  const asked = pass.takesOverMl;
  return measuredOut(
    figure(takenOver.ml, 'mL', () =>
      takenOver.ml < asked
        ? `all that is left in the vessel of the pass before; ${formatAmount(asked, 'mL')} were decided`
        : 'as decided',
    ),
    { as: 'water', said },
  );
}

function waterFigure({ lines, pours, acids, kept, takenOver, scene }: ToldPass, bath: Figure): Figure {
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
  const before = takenOver?.ml ?? 0;
  const wet = whole - stock - acid - before - ml;
  return figure(
    Math.max(0, ml),
    'mL',
    () =>
      `${formatAmount(whole, 'mL')} ${scene.fillTo ? 'bath' : 'paint'} − ${formatAmount(stock, 'mL')} stock − ${formatAmount(acid, 'mL')} liquid acid${before > 0 ? ` − ${formatAmount(before, 'mL')} of the bath before` : ''}${wet > 0.5 ? ` − ${formatAmount(wet, 'mL')} in the wet goods` : ''}`,
  );
}

/** What was typed for a setting of a pass; null where the plain number was. */
const written = (pass: Pass, setting: string, { asWritten = {} }: Formulation): string | null =>
  asWritten[`passes.${pass.id}.${setting}`] ?? null;

function heatFigure({ pass, lines }: ToldPass, said: string | null): PlannedHeat | null {
  if (!pass.heat || !methodFacts(pass.method.kind).hot) return null;
  return {
    rise: risesTogether(lines),
    temperature: measuredOut(figure(pass.heat.temperatureC, '°C', 'as decided'), { as: 'heat', said }),
    hold: methodFacts(pass.method.kind).waitsItself
      ? heldInAll(lines)
      : figure(pass.heat.minutes, 'min', 'as decided'),
  };
}

/** What the waits of a way come to. */
function heldInAll(lines: readonly Told[]): Figure {
  const waits = lines.flatMap(({ act }) => (act.kind === 'hold' ? (act.minutes ?? []) : []));
  return figure(
    waits.reduce((sum, minutes) => sum + minutes, 0),
    'min',
    () => waits.map(plainNumber).join(' + '),
  );
}

function topUpFigure(lines: readonly Told[], decided: Figure, said: string | null): PlannedTopUp | null {
  let [waterMl, liquidMl] = [0, 0];
  let due: ActOf<'put'> | null = null;
  for (const { act } of lines) {
    if (act.purpose !== 'top up') continue;
    if (act.kind === 'run') waterMl += act.ml ?? 0;
    if (act.kind === 'put') due = act;
  }
  if (due?.material.kind === 'acid' && due.unit === 'mL') liquidMl = due.amount ?? 0;
  const wholeMl = waterMl + liquidMl;
  if (wholeMl <= 0) return null;
  return {
    water: measuredOut(
      figure(
        waterMl,
        'mL',
        () => `${formatAmount(wholeMl, 'mL')} topped up${liquidMl > 0 ? ' less the liquid acid' : ''}`,
      ),
      { as: 'water', said },
    ),
    acid: due && acidDue(due, wholeMl, decided),
  };
}

function acidDue({ material, amount, unit }: ActOf<'put'>, wholeMl: number, decided: Figure): AcidDue | null {
  if (material.kind !== 'acid' || amount === null) return null;
  const { acid, strengthPercent } = material;
  return {
    material: acid,
    label: ACIDS[acid].label,
    strengthPercent,
    amount: figure(
      amount,
      unit,
      () =>
        `${plainNumber((10 * amount * strengthPercent) / wholeMl)} g/L of the ${formatAmount(decided.value, 'mL')} × ${formatAmount(wholeMl, 'mL')} ÷ ${plainNumber(strengthPercent)} %: the bath keeps its acid per liter`,
    ),
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
