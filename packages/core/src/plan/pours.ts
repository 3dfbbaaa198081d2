import { chooseTool, MOST_ERROR_PERCENT } from '../amounts/chooseTool';
import { dilutionPlan } from '../amounts/dilutionPlan';
import { depthOfShade } from '../amounts/dyeMass';
import { gramsInStock, stockMl } from '../amounts/stock';
import { figure, measuredOut, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import type { Dye } from '../shelf/dye';
import type { Stock } from '../shelf/stock';
import type { Tool } from '../shelf/tool';
import { formatAmount } from '../units/formatQuantity';
import { saidBySpoon } from '../units/saidBy';
import { readEntry } from '../recipe/dyeEntry';
import { dyeText, measureOf } from '../recipe/measureOf';
import { entryContext, sectionOfLine } from '../recipe/entryContext';
import { named } from '../recipe/materials';
import { methodFacts } from '../method';
import { areEqual } from '../method/shares';
import type { LaterDose, Measured, PlannedDilution, PourLine } from './planTypes';
import type { DyeLine, Formulation, Pass } from '../recipe/recipe';

/** Dry goods of a pass: everything, and the part of it that takes dye. */
export interface PassGoods {
  wogGrams: number;
  dyeableGrams: number;
}

/** What to pour or weigh for one line of a pass, in one or several equal doses, with the tool to measure it. */
export function planPour(
  pass: Pass,
  line: DyeLine,
  field: string,
  formulation: Formulation,
  goods: PassGoods,
  reached: number,
): PourLine {
  const context = entryContext(pass, line, goods.wogGrams, reached, formulation, field);
  const { dye, stock, wogGrams } = context;
  const read = readEntry(line.entry, context, field);
  const dyeable = (goods.dyeableGrams * wogGrams) / goods.wogGrams;
  const way = methodFacts(pass.method.kind);
  const shares = way.shares(pass.method, line.id);
  const doses = shares.length;
  const first = shares[0] ?? 1;
  const said = dyeText(line.id, pass, formulation.asWritten ?? {}, stock !== null);
  const measureAs = measureOf(
    {
      kind: 'dye',
      dyeId: dye.id,
      stockId: stock?.id ?? null,
      lotStrength: dye.lotStrength,
      strengthPercent: stock?.strengthPercent ?? null,
    },
    said,
    formulation,
  );
  const weighed = figure(read.grams, 'g', read.because, read.sureness);
  const grams = stock ? weighed : measuredOut(weighed, measureAs);
  const volumeMl = stock ? stockMl(read.grams, stock.strengthPercent) : 0;
  const volume = stock
    ? measuredOut(
        figure(
          volumeMl,
          'mL',
          () =>
            `100 × ${plainNumber(read.grams)} g ÷ ${plainNumber(stock.strengthPercent)} % w/v = ${plainNumber(volumeMl)} mL`,
          read.sureness,
        ),
        measureAs,
      )
    : null;
  const whole = volume ?? grams;
  const each =
    doses === 1
      ? whole
      : measuredOut(
          figure(
            whole.value * first,
            whole.unit,
            () =>
              areEqual(shares)
                ? `${formatAmount(whole.value, whole.unit)} ÷ ${doses} doses`
                : `${plainNumber(100 * first)} % of ${formatAmount(whole.value, whole.unit)}`,
            whole.sureness,
          ),
          measureAs,
        );
  const dosOf = (mass: number): number => depthOfShade(mass, wogGrams, dye.lotStrength);
  // What is said by the spoon is measured by the spoon: no tool reads it.
  const tools = said !== null && saidBySpoon(said) ? [] : formulation.tools;
  const measured = measure(each.value, stock, 1 / first, tools, dosOf);
  const dilution = stock ? dilute(each.value, stock, 1 / first, measured, tools, dosOf) : null;
  const citric = way.cut(pass.method);
  const perGram =
    dye.jarPriceCents !== null && dye.jarGrams !== null ? dye.jarPriceCents / dye.jarGrams : null;
  return {
    lineId: line.id,
    dyeId: dye.id,
    dyeName: dye.name,
    sectionId: sectionOfLine(pass, line),
    school: line.entry.school,
    stockId: stock?.id ?? null,
    stockCode: stock?.code ?? '',
    strengthPercent: stock?.strengthPercent ?? null,
    lotStrength: dye.lotStrength,
    grams,
    volume,
    doses,
    each,
    cut:
      citric > 0
        ? figure(
            read.grams * citric,
            'g',
            () => `${plainNumber(read.grams)} g × ${plainNumber(citric)} g citric per gram of dye`,
            read.sureness,
          )
        : null,
    dos: figure(
      read.dosPercent,
      '%',
      () =>
        line.entry.school === 'depth'
          ? 'as decided, on the goods it is for'
          : `100 × ${plainNumber(read.grams)} g${dye.lotStrength === 1 ? '' : ` × ${plainNumber(dye.lotStrength)}`} ÷ ${plainNumber(wogGrams)} g of goods`,
      read.sureness,
    ),
    dosOnDyeable:
      dyeable > 0 && dyeable < wogGrams - 1e-9
        ? figure(
            depthOfShade(read.grams, dyeable, dye.lotStrength),
            '%',
            () => `100 × ${plainNumber(read.grams)} g ÷ ${plainNumber(dyeable)} g that takes dye`,
            read.sureness,
          )
        : null,
    measured,
    dilution,
    later: areEqual(shares)
      ? []
      : shares
          .slice(1)
          .map((share) => laterDose(share / first, dilution?.pour ?? measured?.reading ?? each, tools)),
    cost:
      perGram === null
        ? null
        : figure(
            perGram * read.grams,
            'cents',
            () => `${plainNumber(read.grams)} g × ${formatAmount(perGram, 'cents')} per gram`,
            read.sureness,
          ),
  };
}

/** A dose so many times the first, read on the tool that suits it. */
function laterDose(times: number, first: Figure, tools: readonly Tool[]): LaterDose {
  const asked = first.value * times;
  const unit = first.unit === 'mL' ? 'mL' : 'g';
  const chosen = chooseTool(asked, unit, tools);
  return {
    times,
    amount: figure(
      chosen?.reading ?? asked,
      unit,
      () =>
        `${plainNumber(times)} × ${formatAmount(first.value, unit)}${chosen ? `, read on the ${chosen.tool.name}` : ''}`,
      first.sureness,
    ),
    tool: chosen && { name: chosen.tool.name, fills: chosen.fills },
  };
}

const PRACTICE =
  'reading error is half a graduation, in quadrature over the fills: common practice, no source';

function measure(
  amount: number,
  stock: Stock | null,
  doses: number,
  tools: readonly Tool[],
  dosOf: (grams: number) => number,
): Measured | null {
  const unit = stock ? 'mL' : 'g';
  const chosen = chooseTool(amount, unit, tools);
  if (!chosen) return null;
  const { tool, fills, reading, errorPercent } = chosen;
  const grams = doses * (stock ? gramsInStock(reading, stock.strengthPercent) : reading);
  return {
    toolId: tool.id,
    toolName: tool.name,
    fills,
    reading: figure(
      reading,
      unit,
      () =>
        `${plainNumber(amount)} ${unit} read to ${plainNumber(tool.kind === 'spoon' ? tool.capacity : tool.graduation)} ${unit} on the ${tool.name}`,
    ),
    error: figure(
      Number(errorPercent.toPrecision(2)),
      '%',
      () =>
        `100 × ${plainNumber(tool.graduation)} ÷ 2${fills > 1 ? ` × √${fills}` : ''} ÷ ${plainNumber(amount)} ${unit}`,
      'estimate',
      PRACTICE,
    ),
    realDos: figure(
      dosOf(grams),
      '%',
      () => `what ${doses > 1 ? `${plainNumber(doses)} × ` : ''}${plainNumber(reading)} ${unit} gives`,
    ),
  };
}

function dilute(
  amount: number,
  stock: Stock,
  doses: number,
  measured: Measured | null,
  tools: readonly Tool[],
  dosOf: (grams: number) => number,
): PlannedDilution | null {
  if (tools.length === 0 || (measured && measured.error.value <= MOST_ERROR_PERCENT)) return null;
  const plan = dilutionPlan(amount, stock.strengthPercent, tools, doses);
  if (!plan) return null;
  const { take, makeUp, pour, ratio, strengthPercent } = plan;
  const grams = doses * gramsInStock(pour.reading, strengthPercent);
  return {
    ratio,
    take: figure(take.reading, 'mL', () => `${plainNumber(makeUp.reading)} mL ÷ ${ratio}`),
    takeWith: { name: take.tool.name, fills: take.fills },
    makeUp: figure(
      makeUp.reading,
      'mL',
      () =>
        `the smallest usual volume that holds ${plainNumber(amount)} mL × ${ratio}${doses > 1 ? ` × ${plainNumber(doses)} doses` : ''}`,
    ),
    makeUpWith: makeUp.tool.name,
    strengthPercent,
    pour: figure(
      pour.reading,
      'mL',
      () =>
        `${plainNumber(amount)} mL × ${plainNumber(stock.strengthPercent)} % ÷ ${plainNumber(strengthPercent)} %, read on the ${pour.tool.name}`,
    ),
    pourWith: { name: pour.tool.name, fills: pour.fills },
    error: figure(
      Number(plan.errorPercent.toPrecision(2)),
      '%',
      'taking, making up and pouring, in quadrature, and the rounding of the pour',
      'estimate',
      PRACTICE,
    ),
    realDos: figure(dosOf(grams), '%', () => `what ${plainNumber(pour.reading)} mL of the dilution gives`),
  };
}

/** Every dye of a pass, by its class. */
export const dyesOfPass = (pass: Pass, dyes: readonly Dye[]): Dye[] =>
  pass.dyes.map((line) => named(dyes, line.dyeId, 'dyeId', 'dye'));

/** What some lines bring into the pot as liquid, mL. */
export const stockPouredMl = (pours: readonly PourLine[]): number =>
  pours.reduce((sum, pour) => sum + pouredMl(pour), 0);

/** What a line brings into the pot as liquid, mL. */
export const pouredMl = (pour: PourLine): number => (pour.volume ? measuredOutInAll(pour) : 0);

/** What is measured out for a line over all its doses: mL of stock or of its dilution, or g of powder. */
export function measuredOutInAll({ dilution, measured, each, later, doses }: PourLine): number {
  const first = (dilution?.pour ?? measured?.reading ?? each).value;
  return later.length > 0 ? later.reduce((sum, { amount }) => sum + amount.value, first) : first * doses;
}
