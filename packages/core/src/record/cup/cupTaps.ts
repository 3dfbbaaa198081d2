import { parseQuantity } from '../../units/parseQuantity';
import { SPOONS, type Spoon } from '../../units/inSpoons';
import { spoonMl } from '../../units/conversions';
import { quantityFor } from '../../recipe/quantityFor';
import { readingOf, type Powders } from '../../recipe/readingOf';
import type { AdditionChoice } from '../additionChoices';
import type { Studio } from '../../shelf/studio';
import type { CupTap } from './fillCup';

/** A spoon as a key: what one tap puts in. */
export interface SpoonTap {
  spoon: Spoon;
  /** `1 tbsp`. */
  label: string;
  tap: CupTap;
}

/**
 * The spoons of a studio as keys for one thing, the largest first; cups only for water. A spoon of powder weighs what that
 * powder’s spoon does.
 */
export function spoonTaps(
  { material, unit }: Pick<AdditionChoice, 'material' | 'unit'>,
  powders: Powders & { studio: Pick<Studio, 'habits'> },
): SpoonTap[] {
  const { habits, spoons } = powders.studio;
  const size = (spoon: Spoon): number => SPOONS[spoon].size * spoonMl(SPOONS[spoon].of, spoons);
  return habits.spoons
    .filter((spoon) => SPOONS[spoon].of !== 'cup' || material.kind === 'water')
    .toSorted((one, other) => size(other) - size(one))
    .flatMap((spoon) => {
      const label = /^\d/.test(spoon) ? spoon : `1 ${spoon}`;
      const read = parseQuantity(label, quantityFor(material, unit), readingOf(material, powders));
      return read.ok ? [{ spoon, label, tap: { material, unit, amount: read.value, written: label } }] : [];
    });
}
