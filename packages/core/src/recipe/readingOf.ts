import { acidSpoon, dyeSpoon, type SpoonWeight } from '../materials/spoonWeight';
import type { AcidMaterial } from '../materials/acids';
import type { MeasuredOut } from '../process/amountOf';
import type { Dye } from '../shelf/dye';
import type { Studio } from '../shelf/studio';
import type { ParseContext } from '../units/parseQuantity';

/** What is known of the powders of a studio. */
export interface Powders {
  studio: Pick<Studio, 'spoons' | 'citricGramsPerTeaspoon'> & Partial<Pick<Studio, 'habits'>>;
  dyes: readonly Pick<Dye, 'id' | 'gramsPerTeaspoon'>[];
}

/** As much of a material as says whether it has a spoon of its own. */
type Spooned =
  | { kind: 'dye'; dyeId: string; strengthPercent: number | null }
  | { kind: 'acid'; acid: AcidMaterial }
  | { kind: Exclude<MeasuredOut['material']['kind'], 'dye' | 'acid'> };

/**
 * How an amount of some material is read in a studio: by whose spoons, and by the weight of its own spoon where it is a
 * powder. The one place that plan, card, Pour and notes ask, so that what one of them takes all of them take.
 */
export function readingOf(material: Spooned, powders: Powders): ParseContext {
  const { spoons, habits } = powders.studio;
  const own = habits ? { own: habits.own } : {};
  const spoon = spoonOf(material, powders);
  return spoon
    ? { spoons, ...own, gramsPerTeaspoon: spoon.grams, unweighed: !spoon.weighed }
    : { spoons, ...own };
}

function spoonOf(material: Spooned, { studio, dyes }: Powders): SpoonWeight | null {
  if (material.kind === 'acid') return acidSpoon(material.acid, studio);
  if (material.kind !== 'dye' || material.strengthPercent !== null) return null;
  return dyeSpoon(dyes.find(({ id }) => id === material.dyeId) ?? { gramsPerTeaspoon: null });
}
