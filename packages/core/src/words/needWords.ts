import { isShort, type Need } from '../plan/needs';
import { dyeName } from '../record/dyeTotals';
import type { Dye } from '../shelf/dye';
import type { Stock } from '../shelf/stock';
import { formatAmount } from '../units/formatQuantity';

/** What is needed, by its name. */
export function needName(need: Need, dyes: readonly Dye[]): string {
  switch (need.what) {
    case 'jar':
      return dyeName(need.dyeId, dyes);
    case 'powder':
      return `${dyeName(need.dyeId, dyes)} powder`;
    case 'acid':
      return need.label;
    default:
      return need.what;
  }
}

/** How much of a dye is needed, in a few words: `2.9 L Vault Blue 1 %`; null for what is no dye. */
export function needTotal(need: Need, dyes: readonly Dye[], stocks: readonly Stock[]): string | null {
  if (need.what === 'powder') return `${formatAmount(need.needs, 'g')} ${needName(need, dyes)}`;
  if (need.what !== 'jar') return null;
  return `${formatAmount(need.needs, 'mL')} ${jarName(need, dyes, stocks)}`;
}

/** A dye with the strength of its jar. */
function jarName(
  need: Extract<Need, { what: 'jar' }>,
  dyes: readonly Dye[],
  stocks: readonly Stock[],
): string {
  const jar = stocks.find(({ id }) => id === need.stockId);
  const name = needName(need, dyes);
  return jar ? `${name} ${formatAmount(jar.strengthPercent, '%')}` : name;
}

/** What is needed as a line of a list; a jar that holds too little says so. */
export function needWords(need: Need, dyes: readonly Dye[], stocks: readonly Stock[]): string {
  const name = needName(need, dyes);
  switch (need.what) {
    case 'jar': {
      const of = jarName(need, dyes, stocks);
      return isShort(need)
        ? `! ${of}: ${formatAmount(need.needs, 'mL')} are due, the jar holds ${formatAmount(Math.max(0, need.holds), 'mL')}.`
        : `${of}: ${formatAmount(need.needs, 'mL')}, the jar holds ${formatAmount(need.holds, 'mL')}`;
    }
    case 'powder':
    case 'ice':
      return `${name}: ${formatAmount(need.needs, 'g')}`;
    case 'acid':
      return `${name}: ${formatAmount(need.needs, need.unit)}`;
    case 'water':
      return `water: ${formatAmount(need.needs, 'mL')}`;
  }
}
