import { figure, measuredOut, type Figure } from '../../figure/figure';
import { formatAmount } from '../../units/formatQuantity';
import type { Plan, PourLine } from '../../plan/planTypes';

/** One dye of a plan, over every pass. */
export interface PlannedDye {
  dyeId: string;
  dyeName: string;
  /** To be poured or weighed. */
  amount: Figure;
  /** On all the goods, %. */
  dos: Figure;
}

/** What a plan takes of each dye, over every pass, to stand beside what earlier attempts took. */
export function plannedDyes({ passes, wog }: Pick<Plan, 'passes' | 'wog'>): PlannedDye[] {
  const pours = passes.flatMap((pass) => pass.pours);
  return [...new Set(pours.map(({ dyeId }) => dyeId))].map((dyeId) => {
    const mine = pours.filter((pour) => pour.dyeId === dyeId);
    const standard = mine.reduce((sum, { grams, lotStrength }) => sum + grams.value * lotStrength, 0);
    return {
      dyeId,
      dyeName: mine[0]?.dyeName ?? '',
      amount: amountOf(mine),
      dos: figure(
        (100 * standard) / wog.value,
        '%',
        () =>
          `100 × ${formatAmount(standard, 'g')} of standard strength ÷ ${formatAmount(wog.value, 'g')} of goods`,
      ),
    };
  });
}

/** What is measured out of a dye: stock where all of it is poured, powder otherwise. */
function amountOf(pours: readonly PourLine[]): Figure {
  const poured = pours.flatMap(({ volume }) => volume ?? []);
  const parts = poured.length === pours.length ? poured : pours.map(({ grams }) => grams);
  const [only] = parts;
  if (only && parts.length === 1) return only;
  const sum = parts.reduce((all, { value }) => all + value, 0);
  return measuredOut(
    figure(sum, only?.unit ?? 'g', () =>
      parts.map(({ value, unit }) => formatAmount(value, unit)).join(' + '),
    ),
    only?.measure ?? null,
  );
}
