import type { MoreOfThis } from '../record/moreOfThis';
import { formatAmount } from '../units/formatQuantity';
import { materialName } from './eventWords';
import { measureWords, type Reading } from './lineWords';

/** What would go in once more, in the measure it went in by: `7 tbsp of Bell Red`. */
export function moreWords({ what, line, written }: MoreOfThis, reading: Reading): string {
  const spoken = measureWords(line, reading)?.bySpoon;
  const amount =
    written !== '' ? written : spoken?.first ? spoken.words : formatAmount(what.amount, what.unit);
  return `${amount} of ${materialName(what.material, reading.dyes)}`;
}
