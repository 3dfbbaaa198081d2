import { threeFigures } from '../units/threeFigures';
import { cardOf } from '../record/cardOf';
import { noticeWords } from './noticeWords';
import type { Plan } from '../plan/planTypes';
import type { Told } from '../plan/tell';
import type { Formulation } from '../recipe/recipe';
import { formatAmount } from '../units/formatQuantity';
import { CAUTIONS } from './cautions';
import { lineWords, type LineWords, type Reading } from './lineWords';

/** One line of a run sheet: a box to tick, what to do, how much, and with what. */
export interface SheetLine {
  what: string;
  amount: string;
  with: string;
}

/** A part of the sheet, in the order of the work. */
export interface SheetPart {
  title: string;
  lines: SheetLine[];
}

/** Everything a run sheet says, ready to be set on paper. */
export interface RunSheet {
  name: string;
  summary: string;
  goods: SheetLine[];
  /** Stock that must be at hand, by jar. */
  stock: SheetLine[];
  parts: SheetPart[];
  checks: string[];
  notices: string[];
  cautions: string[];
}

/** What the lines of a plan are read against. */
export const planReading = (formulation: Formulation, plan: Plan, studio?: Reading['studio']): Reading => ({
  batch: { formulation, card: cardOf(formulation, plan) },
  dyes: formulation.dyes,
  studio,
});

/** The bench's run sheet of a plan: goods, wetting, stock to have, pours per pass, acid, heat, checks. */
export function runSheet(formulation: Formulation, plan: Plan, studio?: Reading['studio']): RunSheet {
  const reading = planReading(formulation, plan, studio);
  const lines = plan.lines.filter(({ quiet }) => !quiet);
  const sheetOf = (pass: string | null): SheetLine[] =>
    lines.filter(({ act }) => act.pass === pass).map((line) => sheetLine(line, reading));
  return {
    name: plan.name,
    summary: [
      `${formatAmount(plan.wog.value, 'g')} of goods`,
      `${formatAmount(plan.totals.dos.value, '%')} in all`,
      `${formatAmount(plan.totals.water.value, 'mL')} water`,
      `about ${formatAmount(plan.totals.onHeat.value, 'min')} on heat`,
      `about ${formatAmount(plan.totals.elapsed.value, 'min')} to the rail`,
    ].join(' · '),
    goods: plan.goods.map((line) => ({
      what: `${line.count} × ${line.baseName}, ${line.form}${line.catchUp ? ' (catch-up, goes in last)' : ''}`,
      amount: formatAmount(line.grams.value, 'g'),
      with: 'weighed dry: ________ g',
    })),
    stock: stockLines(plan),
    parts: [
      ...plan.passes.map((pass, i) => ({
        title: `Pass ${i + 1}: ${pass.title} · ${formatAmount(pass.dos.value, '%')}${
          pass.bathAcid ? ` · expected ${formatAmount(pass.bathAcid.pH.value, 'pH')}` : ''
        }`,
        lines: sheetOf(pass.id),
      })),
      { title: 'Set and finish', lines: sheetOf(null) },
    ],
    checks: [
      'Bath: colored ____ tinted ____ clear ____ (time)',
      'pH measured: ______ at ______',
      'Goods: bare spots, folds, underside',
      'Bleed test: without soap ______ with soap ______',
      'Dry, beside the target: hue ______ depth ______ level ______',
    ],
    notices: plan.notices.map(noticeWords),
    cautions: plan.cautions.map((name) => CAUTIONS[name]),
  };
}

function sheetLine(line: Told, reading: Reading): SheetLine {
  const { title, detail, measure, wait } = lineWords(line, reading);
  return {
    what: [title, detail].filter(Boolean).join('. '),
    amount: measure
      ? amountWords(measure)
      : wait
        ? `${wait.sureness === 'estimate' ? 'about ' : ''}${formatAmount(wait.value, 'min')}`
        : '',
    with: measure?.tool ?? '',
  };
}

/** An amount as the sheet has it: as it was said first, metric behind it. */
function amountWords({ amount, unit, bySpoon }: NonNullable<LineWords['measure']>): string {
  const metric = formatAmount(amount.value, unit);
  return bySpoon?.first ? `${bySpoon.words} = ${metric}` : metric;
}

/** What each jar must give over the whole recipe. */
function stockLines(plan: Plan): SheetLine[] {
  const jars = new Map<string, { what: string; ml: number }>();
  for (const pour of plan.passes.flatMap((pass) => pass.pours)) {
    if (pour.stockId === null || !pour.volume) continue;
    const known = jars.get(pour.stockId) ?? {
      what: `${pour.dyeName} ${threeFigures(pour.strengthPercent ?? 0)} % ${pour.stockCode}`.trim(),
      ml: 0,
    };
    known.ml += pour.dilution ? pour.dilution.take.value : pour.volume.value;
    jars.set(pour.stockId, known);
  }
  return [...jars.values()].map(({ what, ml }) => ({
    what,
    amount: formatAmount(ml, 'mL'),
    with: 'shake first',
  }));
}
