import { liesWords } from '../method/arranged';
import type { Arrangement, Formulation } from '../recipe/recipe';
import type { YarnLook } from '../skein/yarnLook';
import { depthsIn } from './goods';
import { lookAfter } from './looks';
import type { Plan } from './planTypes';

/** A way of laying the goods, with how they would come out. */
export interface LyingOtherwise {
  arrangement: Arrangement;
  /** `knotted 3×`. */
  name: string;
  look: YarnLook;
}

/** Eight that can be told apart at a glance. */
const EIGHT: readonly Arrangement[] = [
  { kind: 'open', count: 1 },
  { kind: 'laid flat', count: 1 },
  { kind: 'twisted', count: 2 },
  { kind: 'twisted', count: 5 },
  { kind: 'twisted tight', count: 3 },
  { kind: 'knotted', count: 2 },
  { kind: 'knotted', count: 5 },
  { kind: 'tied sections', count: 4 },
];

/** One pass with the goods laid in eight ways, everything else as planned. Estimates, for drawing. @param index of the pass, from 0 */
export function lyingOtherwise(
  { goods, passes }: Plan,
  { recipe, dyes }: Formulation,
  index: number,
): LyingOtherwise[] {
  const [pass, planned, before] = [recipe.passes[index], passes[index], goods[0]?.looks[index]];
  if (!pass || !planned || !before) return [];
  return EIGHT.map((arrangement) => ({
    arrangement,
    name: liesWords(arrangement) ?? 'open',
    look: lookAfter(before, { ...pass, arrangement }, depthsIn(planned), dyes),
  }));
}
