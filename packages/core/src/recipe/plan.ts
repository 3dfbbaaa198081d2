import { ACIDS, acidAmounts, equalEquivalents, type AcidMaterial } from '../acid/acidDose';
import { expectedPh, phWindow, type GoodsInBath } from '../acid/expectedPh';
import { depthOfShade, dyeGrams } from '../amounts/dyeMass';
import { dyeableShare } from '../amounts/dyeableShare';
import { stockMl } from '../amounts/stock';
import { drawnColor } from '../color/drawnColor';
import { figure, type Figure } from '../figure/figure';
import type { SetMethod } from '../heat/setMethods';
import type { Base } from '../shelf/base';
import { formatAmount } from '../units/formatQuantity';
import { cautionsOf, type CautionName } from './cautions';
import { named } from './materials';
import { noticesFor, type Notice, type StockLeft } from './notices';
import type { AcidDose, DyeLine, Formulation, Pass } from './recipe';
import { immersionSteps, type Step } from './steps';

export interface PlannedGoods {
  lineId: string;
  baseName: string;
  count: number;
  grams: Figure;
  /** Undyed color and color after all passes, for drawing. */
  undyedHex: string;
  dyedHex: string;
}

/** What to pour or weigh for one dye line. */
export interface PourLine {
  lineId: string;
  stepId: string;
  dyeId: string;
  dyeName: string;
  stockId: string | null;
  stockCode: string;
  strengthPercent: number | null;
  lotStrength: number;
  grams: Figure;
  /** Stock to pour; null when the powder itself is weighed. */
  volume: Figure | null;
  dos: Figure;
  dosOnDyeable: Figure | null;
  cost: Figure | null;
}

/** One acid dose in the words of every school. */
export interface PlannedAcid {
  material: AcidMaterial;
  label: string;
  amount: Figure;
  pureGrams: Figure;
  gPerL: Figure;
  percentOfGoods: Figure;
  /** Expected pH of the bath with the goods in it, and before they go in. */
  pH: Figure;
  phBeforeGoods: Figure;
  /** pH usual for these dyes, low and high. */
  phWindow: readonly [number, number];
  /** The other acid: for the same pH in this bath, and for as many protons. */
  instead: { label: string; samePh: Figure; sameProtons: Figure };
}

export interface PlannedPass {
  id: string;
  pours: PourLine[];
  bath: Figure;
  liquorRatio: Figure;
  /** Water to run: the bath less everything poured into it. */
  water: Figure;
  acid: PlannedAcid | null;
  dos: Figure;
}

export interface Plan {
  name: string;
  goods: PlannedGoods[];
  wog: Figure;
  dyeable: Figure;
  dyeablePercent: Figure;
  passes: PlannedPass[];
  set: { method: SetMethod; temperature: Figure; hold: Figure; cool: Figure };
  totals: {
    dye: Figure;
    water: Figure;
    acid: Figure | null;
    onHeat: Figure;
    handsOn: Figure;
    elapsed: Figure;
    cost: Figure | null;
  };
  steps: Step[];
  cautions: CautionName[];
  notices: Notice[];
}

const PRACTICE = 'common practice, no source';
const HANDBOOK = 'molar masses: CRC Handbook of Chemistry and Physics';

/**
 * The full plan of a formulation: what to weigh, pour, heat and wait for, and why. Pure; every screen, sheet
 * and command shows parts of this one result.
 * @param left what each jar still holds, mL, by stock id; a jar not named is taken as full
 * @throws FieldError when an id is unknown or an amount is impossible
 */
export function planFormulation(formulation: Formulation, left: StockLeft = {}): Plan {
  const { recipe } = formulation;
  const bases = recipe.goods.map((line, i) =>
    named(formulation.bases, line.baseId, `recipe.goods.${i}.baseId`, 'yarn base'),
  );
  const wog = sumGoods(formulation);
  const dyeable = dyeableMass(formulation, bases);
  const dyeablePercent = figure(
    (100 * dyeable.value) / wog.value,
    '%',
    `${grams(dyeable.value)} dyeable ÷ ${grams(wog.value)} goods`,
  );
  const passes = recipe.passes.map((pass, i) => planPass(pass, i, formulation, wog.value, dyeable.value));
  const pass = passes[0];
  const source = recipe.passes[0];
  const steps =
    pass && source
      ? immersionSteps({
          wettingMinutes: recipe.wettingMinutes,
          waterMl: pass.water,
          pours: pass.pours,
          acid:
            pass.acid && source.acid
              ? { dose: source.acid, amount: pass.acid.amount, unit: ACIDS[source.acid.material].unit }
              : null,
          set: recipe.set,
          canFelt: bases.some(
            (base) => !base.superwash && base.fibers.some((share) => FELTING.has(share.fiber)),
          ),
        })
      : [];
  const plan: Omit<Plan, 'notices'> = {
    name: formulation.name,
    goods: planGoods(formulation, bases, passes),
    wog,
    dyeable,
    dyeablePercent,
    passes,
    set: {
      method: recipe.set.method,
      temperature: figure(recipe.set.temperatureC, '°C', 'as decided'),
      hold: figure(recipe.set.minutes, 'min', 'as decided'),
      cool: figure(recipe.set.coolMinutes, 'min', 'as decided'),
    },
    totals: totals(passes, steps),
    steps,
    cautions: cautionsOf(steps),
  };
  return { ...plan, notices: noticesFor(plan, formulation, bases, left) };
}

const FELTING = new Set(['wool', 'merino', 'alpaca', 'mohair', 'cashmere', 'yak']);
const grams = (value: number): string => formatAmount(value, 'g');
const exactly = (value: number): string => String(Number(value.toPrecision(9)));

function sumGoods({ recipe }: Formulation): Figure {
  const value = recipe.goods.reduce((sum, line) => sum + line.count * line.gramsEach, 0);
  return figure(
    value,
    'g',
    `${recipe.goods.map((line) => `${line.count} × ${exactly(line.gramsEach)} g`).join(' + ')} = ${exactly(value)} g`,
  );
}

function dyeableMass({ recipe }: Formulation, bases: readonly Base[]): Figure {
  const parts = recipe.goods.map((line, i) => ({
    mass: line.count * line.gramsEach,
    share: dyeableShare(bases[i]?.fibers ?? []),
  }));
  const value = parts.reduce((sum, part) => sum + part.mass * part.share, 0);
  return figure(
    value,
    'g',
    parts.map((part) => `${exactly(part.mass)} g × ${exactly(100 * part.share)} %`).join(' + '),
  );
}

function planPass(
  pass: Pass,
  index: number,
  formulation: Formulation,
  wog: number,
  dyeable: number,
): PlannedPass {
  const field = `recipe.passes.${index}`;
  const bathMl = pass.water.basis === 'ratio' ? pass.water.value * wog : pass.water.value;
  const bath =
    pass.water.basis === 'ratio'
      ? figure(bathMl, 'mL', `${exactly(pass.water.value)} mL/g × ${exactly(wog)} g`)
      : figure(bathMl, 'mL', 'as decided');
  const pours = pass.dyes.map((line, d) => planPour(line, `${field}.dyes.${d}`, formulation, wog, dyeable));
  const acid = pass.acid && pass.acid.value > 0 ? planAcid(pass.acid, bathMl, wog, formulation) : null;
  const poured = pours.reduce((sum, pour) => sum + (pour.volume?.value ?? 0), 0);
  const acidMl = acid?.amount.unit === 'mL' ? acid.amount.value : 0;
  const waterMl = Math.max(0, bathMl - poured - acidMl);
  const dye = pours.reduce((sum, pour) => sum + pour.dos.value, 0);
  return {
    id: pass.id,
    pours,
    bath,
    liquorRatio: figure(bathMl / wog, 'mL/g', `${formatAmount(bathMl, 'mL')} ÷ ${grams(wog)}`),
    water: figure(
      waterMl,
      'mL',
      `${formatAmount(bathMl, 'mL')} bath − ${formatAmount(poured, 'mL')} stock − ${formatAmount(acidMl, 'mL')} liquid acid`,
    ),
    acid,
    dos: figure(dye, '%', `${pours.map((pour) => exactly(pour.dos.value)).join(' + ') || '0'} %`),
  };
}

function planPour(
  line: DyeLine,
  field: string,
  formulation: Formulation,
  wog: number,
  dyeable: number,
): PourLine {
  const dye = named(formulation.dyes, line.dyeId, `${field}.dyeId`, 'dye');
  const stock =
    line.stockId === null ? null : named(formulation.stocks, line.stockId, `${field}.stockId`, 'stock jar');
  const mass = dyeGrams(wog, line.dosPercent, dye.lotStrength);
  const lot = dye.lotStrength === 1 ? '' : ` ÷ ${exactly(dye.lotStrength)} lot strength`;
  const perGram =
    dye.jarPriceCents !== null && dye.jarGrams !== null ? dye.jarPriceCents / dye.jarGrams : null;
  return {
    lineId: line.id,
    stepId: `dye-${line.id}`,
    dyeId: dye.id,
    dyeName: dye.name,
    stockId: stock?.id ?? null,
    stockCode: stock?.code ?? '',
    strengthPercent: stock?.strengthPercent ?? null,
    lotStrength: dye.lotStrength,
    grams: figure(
      mass,
      'g',
      `${exactly(wog)} g × ${exactly(line.dosPercent)} % ÷ 100${lot} = ${exactly(mass)} g`,
    ),
    volume: stock
      ? figure(
          stockMl(mass, stock.strengthPercent),
          'mL',
          `100 × ${exactly(mass)} g ÷ ${exactly(stock.strengthPercent)} % w/v = ${exactly(stockMl(mass, stock.strengthPercent))} mL`,
        )
      : null,
    dos: figure(line.dosPercent, '%', 'as decided, on all the goods'),
    dosOnDyeable:
      dyeable > 0 && dyeable < wog
        ? figure(
            depthOfShade(mass, dyeable, dye.lotStrength),
            '%',
            `100 × ${exactly(mass)} g ÷ ${exactly(dyeable)} g that takes dye`,
          )
        : null,
    cost:
      perGram === null
        ? null
        : figure(perGram * mass, 'cents', `${exactly(mass)} g × ${formatAmount(perGram, 'cents')} per gram`),
  };
}

function planAcid(dose: AcidDose, bathMl: number, wog: number, formulation: Formulation): PlannedAcid {
  const facts = ACIDS[dose.material];
  const all = acidAmounts(dose.material, dose.strengthPercent, dose.basis, dose.value, bathMl / 1000, wog);
  const other: AcidMaterial = dose.material === 'vinegar' ? 'citric' : 'vinegar';
  const swapped = equalEquivalents(all.milliequivalents, other, ACIDS[other].usualStrength);
  const expected = expectedPh(
    dose.material,
    all.pureGrams,
    bathMl / 1000,
    goodsInBath(formulation),
    formulation.water,
  );
  const liters = formatAmount(bathMl, 'mL');
  const stated =
    dose.basis === 'gPerL'
      ? `${exactly(dose.value)} g/L × ${liters}`
      : dose.basis === 'percentOfGoods'
        ? `${exactly(dose.value)} % × ${grams(wog)}`
        : `${exactly(dose.value)} ${facts.unit} × ${exactly(dose.strengthPercent)} %`;
  return {
    material: dose.material,
    label: facts.label,
    amount: figure(
      all.amount,
      all.unit,
      `100 × ${grams(all.pureGrams)} ${facts.acid} ÷ ${exactly(dose.strengthPercent)} %`,
    ),
    pureGrams: figure(all.pureGrams, 'g', `${stated} = ${grams(all.pureGrams)} ${facts.acid}`),
    gPerL: figure(all.gPerL, 'g/L', `${grams(all.pureGrams)} ÷ ${liters}`),
    percentOfGoods: figure(all.percentOfGoods, '%', `100 × ${grams(all.pureGrams)} ÷ ${grams(wog)}`),
    pH: expected.pH,
    phBeforeGoods: expected.beforeGoods,
    phWindow: phWindow(formulation.dyes.map((dye) => dye.dyeClass)),
    instead: {
      label: ACIDS[other].short,
      samePh: figure(
        (100 * expected.otherPureGrams.value) / ACIDS[other].usualStrength,
        ACIDS[other].unit,
        expected.otherPureGrams.because,
        expected.otherPureGrams.sureness,
        expected.otherPureGrams.source,
      ),
      sameProtons: figure(
        swapped,
        ACIDS[other].unit,
        `the same ${all.milliequivalents.toFixed(0)} meq; equal protons, not equal pH`,
        'exact',
        HANDBOOK,
      ),
    },
  };
}

function goodsInBath({ recipe, bases }: Formulation): GoodsInBath[] {
  return recipe.goods.map((line) => ({
    grams: line.count * line.gramsEach,
    fibers: named(bases, line.baseId, 'recipe.goods', 'yarn base').fibers,
  }));
}

function planGoods(
  formulation: Formulation,
  bases: readonly Base[],
  passes: readonly PlannedPass[],
): PlannedGoods[] {
  const drawn = passes
    .flatMap((pass) => pass.pours)
    .map((pour) => {
      const dye = named(formulation.dyes, pour.dyeId, 'dyeId', 'dye');
      return { swatchHex: dye.swatchHex, swatchDosPercent: dye.swatchDosPercent, dosPercent: pour.dos.value };
    });
  return formulation.recipe.goods.map((line, i) => {
    const base = bases[i];
    const ground = base?.hex ?? '#efe9dc';
    return {
      lineId: line.id,
      baseName: base?.name ?? '',
      count: line.count,
      grams: figure(line.count * line.gramsEach, 'g', `${line.count} × ${exactly(line.gramsEach)} g`),
      undyedHex: ground,
      dyedHex: drawnColor(ground, drawn),
    };
  });
}

function totals(passes: readonly PlannedPass[], steps: readonly Step[]): Plan['totals'] {
  const pours = passes.flatMap((pass) => pass.pours);
  const dye = pours.reduce((sum, pour) => sum + pour.grams.value, 0);
  const water = passes.reduce((sum, pass) => sum + pass.water.value, 0);
  const acid = passes[0]?.acid?.amount ?? null;
  const heated = steps.filter((step) => step.onHeat).reduce((sum, step) => sum + (step.wait?.value ?? 0), 0);
  const hands = steps.reduce((sum, step) => sum + step.handsOnMinutes, 0);
  const waits = steps.reduce((sum, step) => sum + (step.wait?.value ?? 0), 0);
  const priced = pours.flatMap((pour) => (pour.cost ? [pour.cost.value] : []));
  return {
    dye: figure(dye, 'g', `${pours.map((pour) => exactly(pour.grams.value)).join(' + ') || '0'} g`),
    water: figure(water, 'mL', passes.map((pass) => formatAmount(pass.water.value, 'mL')).join(' + ')),
    acid,
    onHeat: figure(heated, 'min', 'rise and hold of every step on heat', 'estimate', PRACTICE),
    handsOn: figure(hands, 'min', `usual hands-on minutes of ${steps.length} steps`, 'estimate', PRACTICE),
    elapsed: figure(
      waits + hands,
      'min',
      `${waits.toFixed(0)} min of waits + ${hands.toFixed(0)} min of hands`,
      'estimate',
      PRACTICE,
    ),
    cost:
      priced.length === pours.length && pours.length > 0
        ? figure(
            priced.reduce((sum, cents) => sum + cents, 0),
            'cents',
            'dye powder of every line, at the price of its jar',
          )
        : null,
  };
}
