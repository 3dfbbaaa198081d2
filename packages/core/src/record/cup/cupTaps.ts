import { parseQuantity } from '../../units/parseQuantity';
import { SPOONS, type Spoon } from '../../units/inSpoons';
import { spoonMl } from '../../units/conversions';
import { quantityFor } from '../../recipe/quantityFor';
import { readingOf, type Powders } from '../../recipe/readingOf';
import type { AdditionChoice } from '../additionChoices';
import { additionChoices } from '../additionChoices';
import type { Shelf } from '../../recipe/materials';
import type { Studio } from '../../shelf/studio';
import { dyeGramsOf } from '../additions';
import type { Cup } from './cup';
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

/** Things that stand as keys at a cup, at most, besides water. */
const IN_REACH = 6;

/**
 * What stands in reach at a cup: the jars of the dyes the studio mixes from, then the others on the shelf that hold
 * anything; behind them what else is in the cup, and water. Nothing changes its place while the cup is mixed. Acid goes
 * into the pot.
 */
export function cupReach(
  cup: Cup,
  shelf: Shelf & { stockLeft: Readonly<Record<string, number>>; studio: Pick<Studio, 'habits'> },
): { keys: AdditionChoice[]; others: AdditionChoice[] } {
  const all = additionChoices(shelf, { stocks: [] });
  const isIn = ({ material, unit }: AdditionChoice): boolean =>
    cup.additions.some(
      (one) => one.unit === unit && JSON.stringify(one.material) === JSON.stringify(material),
    );
  const first = new Set(
    Object.values(shelf.studio.habits.primaries).map((dyeId) => usualJar(shelf.stocks, dyeId)),
  );
  const rank = ({ material }: AdditionChoice): number => {
    if (material.kind !== 'dye' || material.stockId === null) return 2;
    if (first.has(material.stockId)) return 0;
    return (shelf.stockLeft[material.stockId] ?? 1) > 0 ? 1 : 2;
  };
  const dyes = all
    .filter(({ material }) => material.kind === 'dye')
    .toSorted((one, other) => rank(one) - rank(other));
  const inReach = dyes.filter((choice) => rank(choice) < 2).slice(0, IN_REACH);
  const near = [...inReach, ...dyes.filter((choice) => !inReach.includes(choice) && isIn(choice))];
  const water = all.filter(({ material }) => material.kind === 'water');
  return { keys: [...near, ...water], others: dyes.filter((choice) => !near.includes(choice)) };
}

/** The jar that a dye is mixed from: of several the one nearest to 1 %; null where there is none. */
function usualJar(stocks: Shelf['stocks'], dyeId: string | null): string | null {
  const off = ({ strengthPercent }: Shelf['stocks'][number]): number => Math.abs(Math.log(strengthPercent));
  const jars = stocks.filter((jar) => jar.dyeId === dyeId && !jar.retired);
  return jars.toSorted((one, other) => off(one) - off(other))[0]?.id ?? null;
}

/** A pour that is asked for with a held tap, on a wet glass: so much stock or powder in one go (common practice, no source). */
const LARGE = { mL: 50, g: 5 } as const;

/** Whether something is large enough that a slip of a wet finger would cost a pot. */
export const isLargePour = ({ unit, amount, material }: CupTap): boolean =>
  material.kind === 'dye' && amount !== null && amount >= LARGE[unit];

/** The powder of a cup, g. */
export const cupGrams = ({ parts }: Pick<Cup, 'parts'>): number =>
  parts.reduce((sum, part) => sum + dyeGramsOf(part), 0);
