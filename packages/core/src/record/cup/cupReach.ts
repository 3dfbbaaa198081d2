import type { Shelf } from '../../recipe/materials';
import type { Studio } from '../../shelf/studio';
import { additionChoices, type AdditionChoice } from '../additionChoices';
import type { Cup } from './cup';

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
