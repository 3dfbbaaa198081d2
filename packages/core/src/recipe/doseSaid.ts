import { ACIDS } from '../materials/acids';
import { parseQuantity, type ParseContext } from '../units/parseQuantity';
import type { QuantityKindName } from '../units/quantityKinds';
import type { AcidBasis } from '../acid/acidDose';
import { quantityFor } from './quantityFor';
import type { AcidDose } from './recipe';

/** What kind of amount a dose of acid is. */
export function doseKind({ basis, material }: Pick<AcidDose, 'basis' | 'material'>): QuantityKindName {
  if (basis === 'gPerL') return 'acidPerLiter';
  if (basis === 'percentOfGoods') return 'acidPercent';
  return quantityFor({ kind: 'acid' }, ACIDS[material].unit);
}

const BASES: readonly AcidBasis[] = ['amount', 'gPerL', 'percentOfGoods'];

/**
 * A dose whose measure says itself what it is counted by: `2 tbsp` is an amount in all, `1.5 g/L` goes by the liter, `3 %` by
 * the goods. A bare number says nothing of the kind.
 * @returns the dose as it was said; null where it is no dose on any other basis than the one it has
 */
export function doseSaid(text: string, dose: AcidDose, reading: ParseContext): AcidDose | null {
  if (!/[a-z%]/i.test(text)) return null;
  for (const basis of BASES) {
    if (basis === dose.basis) continue;
    const read = parseQuantity(text, doseKind({ ...dose, basis }), reading);
    if (read.ok) return { ...dose, basis, value: read.value };
  }
  return null;
}
