import { spoonMl } from '../units/conversions';
import { formatAmount } from '../units/formatQuantity';
import { saidBySpoon } from '../units/saidBy';
import { parseQuantity, type ParseContext } from '../units/parseQuantity';
import { entryIn, SCHOOLS } from './dyeEntry';
import type { DyeEntry, School } from './dyeEntrySchema';
import type { DyeLine } from './recipe';

/** The schools that a text can be of, by its own measure. */
function schoolsOf(text: string, hasJar: boolean): School[] {
  if (saidBySpoon(text)) return [hasJar ? 'stock spoons' : 'powder spoons'];
  // A percentage is a depth: a share of parts says that it is one.
  return [
    'depth',
    ...(hasJar ? (['stock'] as const) : []),
    'grams',
    ...(/part/i.test(text) ? (['parts'] as const) : []),
  ];
}

/**
 * How much of a dye, where the measure says itself which school counts it: `7 tbsp` from a jar are spoons of stock, without
 * one of powder; `180 mL` is stock, `2 g` dye, `0.6 %` a depth. A bare number says nothing of the kind.
 * @returns the entry as it was said; null where it is no amount in any other school than the one the line has
 */
export function dyeSaid(
  text: string,
  { entry, stockId }: Pick<DyeLine, 'entry' | 'stockId'>,
  reading: ParseContext,
): DyeEntry | null {
  if (!/[a-z%]/i.test(text)) return null;
  for (const school of schoolsOf(text, stockId !== null)) {
    if (school === entry.school) continue;
    // What has another measure than spoons is never a powder by its spoon.
    const read = parseQuantity(text, SCHOOLS[school].kind, { spoons: reading.spoons });
    if (read.ok) return entryIn(school, read.value);
  }
  return null;
}

/** Spoons as what they hold, stock in mL and powder in g; null for a school whose own unit says it. */
export function spoonsHold(
  { school, ...amount }: DyeEntry,
  { spoons = 'US', gramsPerTeaspoon }: ParseContext,
): string | null {
  if (!('teaspoons' in amount)) return null;
  if (school === 'stock spoons') return formatAmount(amount.teaspoons * spoonMl('tsp', spoons), 'mL');
  return gramsPerTeaspoon === undefined ? null : formatAmount(amount.teaspoons * gramsPerTeaspoon, 'g');
}
