import { ACIDS, type AcidMaterial } from '../materials/acids';
import { singleDyes } from '../amounts/premix';
import { dyeableShare } from '../amounts/dyeableShare';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../figure/plainNumber';
import { riseFigure } from '../heat/planHeat';
import type { Base } from '../shelf/base';
import { fiberFacts } from '../shelf/fibers';
import { averageHex, plainLook, type YarnLook } from '../skein/yarnLook';
import { formatAmount } from '../units/formatQuantity';
import { cautionsOf } from './cautions';
import { lineGrams } from './lineGrams';
import { named } from './materials';
import { methodFacts } from './methods';
import { noticesFor, type PlanContext } from './notices';
import { lookAfter, type LineDepth } from './passLook';
import { acidStep, passSteps, waitsForSet, type PassStepInputs } from './passSteps';
import { planPass, stepPrefix, type BathLeft } from './planPass';
import { planSet } from './planSet';
import type { Plan, PlannedGoods, PlannedPass } from './planTypes';
import type { Formulation, GoodsLine } from './recipe';
import { setSteps } from './setSteps';
import { makeStep, PRACTICE, type Step } from './steps';

/**
 * The full plan of a formulation: what to weigh, pour, heat and wait for, and why. Pure; every screen, sheet
 * and command shows parts of this one result.
 * @param context what jars still hold and what day it is; a jar not named is taken as full
 * @throws FieldError when an id is unknown or an amount is impossible
 */
export function planFormulation(asDecided: Formulation, context: PlanContext = {}): Plan {
  const formulation = withoutIdleHeat(asDecided);
  const { recipe } = formulation;
  const bases = recipe.goods.map((line, i) =>
    named(formulation.bases, line.baseId, `recipe.goods.${i}.baseId`, 'yarn base'),
  );
  const wog = sumGoods(recipe.goods);
  const dyeable = dyeableMass(recipe.goods, bases);
  const goodsInBath = recipe.goods.flatMap((line, i) =>
    line.catchUp ? [] : [{ grams: lineGrams(line), fibers: bases[i]?.fibers ?? [] }],
  );
  const passes: PlannedPass[] = [];
  let left: BathLeft | null = null;
  recipe.passes.forEach((pass, index) => {
    const outcome = planPass({
      pass,
      index,
      formulation,
      goods: { wogGrams: wog.value, dyeableGrams: dyeable.value },
      goodsInBath,
      left,
    });
    passes.push(outcome.planned);
    left = outcome.left;
  });
  const canFelt = bases.some(
    (base) => !base.superwash && base.fibers.some(({ fiber }) => fiberFacts(fiber).felts),
  );
  const steps = allSteps(formulation, bases, passes, left, wog.value, canFelt);
  const plan: Omit<Plan, 'notices'> = {
    name: formulation.name,
    goods: planGoods(formulation, bases, passes),
    wog,
    dyeable,
    dyeablePercent: figure(
      (100 * dyeable.value) / wog.value,
      '%',
      `${formatAmount(dyeable.value, 'g')} dyeable ÷ ${formatAmount(wog.value, 'g')} goods`,
    ),
    passes,
    set: planSet(formulation, passes.at(-1)?.bath.value ?? 0, wog.value, bathC(left, formulation)),
    totals: totals(formulation, passes, steps),
    singleDyes: takenApart(formulation, passes),
    steps,
    cautions: cautionsOf(steps),
  };
  return { ...plan, notices: noticesFor(plan, formulation, bases, context) };
}

/** Heat decided for a pass of a way that stands cold is no heat: its acid “when warm” goes in when it will be warm. */
const withoutIdleHeat = (formulation: Formulation): Formulation => ({
  ...formulation,
  recipe: {
    ...formulation.recipe,
    passes: formulation.recipe.passes.map((pass) =>
      pass.heat !== null && !methodFacts(pass.method.kind).hot ? { ...pass, heat: null } : pass,
    ),
  },
});

const lineWords = (line: GoodsLine): string =>
  line.weighedGrams === null
    ? `${line.count} × ${plainNumber(line.gramsEach)} g`
    : `${plainNumber(line.weighedGrams)} g as weighed`;

/** Temperature that the last pass leaves the bath at; tap water when there is none. */
const bathC = (left: BathLeft | null, { place }: Formulation): number => left?.temperatureC ?? place.tapC;

function sumGoods(goods: readonly GoodsLine[]): Figure {
  const counted = goods.filter((line) => !line.catchUp);
  const value = counted.reduce((sum, line) => sum + lineGrams(line), 0);
  return figure(value, 'g', `${counted.map(lineWords).join(' + ')} = ${plainNumber(value)} g`);
}

function dyeableMass(goods: readonly GoodsLine[], bases: readonly Base[]): Figure {
  const parts = goods.flatMap((line, i) =>
    line.catchUp ? [] : [{ mass: lineGrams(line), share: dyeableShare(bases[i]?.fibers ?? []) }],
  );
  return figure(
    parts.reduce((sum, part) => sum + part.mass * part.share, 0),
    'g',
    parts.map((part) => `${plainNumber(part.mass)} g × ${plainNumber(100 * part.share)} %`).join(' + '),
  );
}

function allSteps(
  formulation: Formulation,
  bases: readonly Base[],
  passes: readonly PlannedPass[],
  left: BathLeft | null,
  wogGrams: number,
  canFelt: boolean,
): Step[] {
  const { recipe, pot, place } = formulation;
  const inputs = recipe.passes.flatMap((pass, index): PassStepInputs[] => {
    const planned = passes[index];
    return planned
      ? [
          {
            pass,
            planned,
            index,
            last: index === recipe.passes.length - 1,
            prefix: stepPrefix(pass, index),
            wettingMinutes: recipe.wettingMinutes,
            canFelt,
          },
        ]
      : [];
  });
  const last = inputs.at(-1);
  const waiting =
    last && waitsForSet(last.pass, true)
      ? (when: string): Step[] =>
          last.planned.acids.filter((acid) => acid.when === when).map((acid) => acidStep(last, acid))
      : (): Step[] => [];
  const spare = recipe.goods.flatMap((line, i) =>
    line.catchUp ? [bases[i]?.name ?? 'the spare goods'] : [],
  );
  return [
    ...inputs.flatMap((one) => [...passSteps(one), ...(one.last ? [] : topUpSteps(one))]),
    ...setSteps({
      set: recipe.set,
      fromC: bathC(left, formulation),
      rise: (fromC, toC) =>
        riseFigure(
          { waterMl: last?.planned.bath.value ?? 0, fiberGrams: wogGrams, pot, roomC: place.roomC },
          fromC,
          toC,
          recipe.set.rampCPerMin,
        ),
      atWarm: waiting('warm'),
      atLast: waiting('last'),
      topUpSteps: last ? topUpSteps(last) : [],
      canFelt,
      catchUp: spare.length === 0 ? null : spare.join(' and '),
    }),
  ];
}

function topUpSteps({ pass, planned, prefix }: PassStepInputs): Step[] {
  const { topUp } = planned;
  if (!topUp) return [];
  const { acid } = topUp;
  return [
    // A bath so acid that its liquid acid is all there is to pour takes no plain water.
    ...(topUp.water.value > 0
      ? [
          makeStep({
            id: `${prefix}top-up`,
            kind: 'water',
            passId: pass.id,
            title: 'Top the bath up with water',
            measure: { amount: topUp.water, unit: 'mL', material: { kind: 'water' } },
          }),
        ]
      : []),
    ...(acid
      ? [
          makeStep({
            id: `${prefix}top-up-acid`,
            kind: 'acid',
            passId: pass.id,
            title: `Add ${acid.label} for the water topped up`,
            measure: {
              amount: acid.amount,
              unit: ACIDS[acid.material].unit,
              material: { kind: 'acid', material: acid.material, strengthPercent: acid.strengthPercent },
            },
            cautions: ['acid'],
          }),
        ]
      : []),
  ];
}

function planGoods(
  formulation: Formulation,
  bases: readonly Base[],
  passes: readonly PlannedPass[],
): PlannedGoods[] {
  const { recipe, dyes } = formulation;
  return recipe.goods.map((line, i) => {
    const base = bases[i];
    const ground = line.dyedOverHex ?? base?.hex ?? '#efe9dc';
    const looks: YarnLook[] = [plainLook(ground)];
    if (!line.catchUp)
      recipe.passes.forEach((pass, p) => {
        const planned = passes[p];
        const before = looks.at(-1) ?? plainLook(ground);
        looks.push(planned ? lookAfter(before, pass, depthsIn(planned), dyes) : before);
      });
    return {
      lineId: line.id,
      baseName: base?.name ?? '',
      form: line.form ?? base?.form ?? 'skein',
      count: line.count,
      grams: figure(lineGrams(line), 'g', lineWords(line)),
      catchUp: line.catchUp,
      undyedHex: ground,
      dyedHex: averageHex(looks.at(-1) ?? plainLook(ground)),
      looks,
    };
  });
}

const depthsIn = (planned: PlannedPass): LineDepth[] =>
  planned.pours.map(({ dyeId, sectionId, dos }) => ({ dyeId, sectionId, dosPercent: dos.value }));

function takenApart({ dyes }: Formulation, passes: readonly PlannedPass[]): Plan['singleDyes'] {
  const sums = new Map<string, number>();
  for (const pour of passes.flatMap((pass) => pass.pours))
    for (const { dyeId, grams } of singleDyes(pour.dyeId, pour.grams.value, dyes))
      sums.set(dyeId, (sums.get(dyeId) ?? 0) + grams);
  return [...sums].map(([dyeId, grams]) => ({
    dyeId,
    name: named(dyes, dyeId, 'dyeId', 'dye').name,
    grams: figure(grams, 'g', 'every line of every pass, premixes taken apart by their parts'),
  }));
}

function totals(
  { recipe }: Formulation,
  passes: readonly PlannedPass[],
  steps: readonly Step[],
): Plan['totals'] {
  const pours = passes.flatMap((pass) => pass.pours);
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  const waited = (step: Step): number => step.wait?.value ?? 0;
  const heated = sum(steps.filter((step) => step.onHeat).map(waited));
  const hands = sum(steps.map((step) => step.handsOnMinutes));
  const waits = sum(steps.map(waited));
  const priced = pours.flatMap((pour) => (pour.cost ? [pour.cost.value] : []));
  const unsure = pours.some((pour) => pour.grams.sureness === 'estimate') ? 'estimate' : 'exact';
  return {
    dye: figure(
      sum(pours.map((pour) => pour.grams.value)),
      'g',
      `${pours.map((pour) => plainNumber(pour.grams.value)).join(' + ') || '0'} g`,
      unsure,
    ),
    dos: figure(
      sum(passes.map((pass) => pass.dosOnAllGoods.value)),
      '%',
      `${passes.map((pass) => plainNumber(pass.dosOnAllGoods.value)).join(' + ')} % on all the goods`,
      unsure,
    ),
    water: figure(
      sum(passes.map((pass) => pass.water.value)),
      'mL',
      passes.map((pass) => formatAmount(pass.water.value, 'mL')).join(' + '),
    ),
    acids: acidTotals(passes),
    onHeat: figure(heated, 'min', 'rise and hold of every step on heat', 'estimate', PRACTICE),
    handsOn: figure(hands, 'min', `usual hands-on minutes of ${steps.length} steps`, 'estimate', PRACTICE),
    elapsed: figure(
      waits + hands,
      'min',
      `${waits.toFixed(0)} min of waits + ${hands.toFixed(0)} min of hands, ${recipe.passes.length} ${recipe.passes.length === 1 ? 'pass' : 'passes'}`,
      'estimate',
      PRACTICE,
    ),
    cost:
      priced.length === pours.length && pours.length > 0
        ? figure(sum(priced), 'cents', 'dye powder of every line, at the price of its jar', unsure)
        : null,
  };
}

/** Acid to have at hand, each kind by itself, for melt water and top-ups too. */
function acidTotals(passes: readonly PlannedPass[]): Plan['totals']['acids'] {
  const doses = passes.flatMap((pass) => [
    ...pass.acids.map((acid) => ({ material: acid.material, amount: acid.amount })),
    ...[pass.meltAcid, pass.topUp?.acid].flatMap((due) => due ?? []),
  ]);
  const materials = [...new Set(doses.map((dose) => dose.material))] as AcidMaterial[];
  return materials.map((material) => {
    const mine = doses.filter((dose) => dose.material === material);
    const { label, unit } = ACIDS[material];
    return {
      label,
      amount: figure(
        mine.reduce((sum, dose) => sum + dose.amount.value, 0),
        unit,
        mine.map((dose) => formatAmount(dose.amount.value, unit)).join(' + '),
      ),
    };
  });
}
