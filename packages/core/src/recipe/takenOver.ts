import { methodFacts } from '../method';
import type { Pass } from './recipe';

/** Less than this of a bath is nothing, mL. */
const LEAST_OVER_ML = 1;

/** What of the bath before goes on into a pass, mL; 0 for one that cannot take any over. */
export const takenOverMl = (pass: Pick<Pass, 'method' | 'water' | 'takesOverMl'>): number =>
  pass.takesOverMl >= LEAST_OVER_ML && canTakeOver(pass) ? pass.takesOverMl : 0;

/** Whether a pass can go on in some of the bath of the one before: goods without a bath around them have none. */
export const canTakeOver = ({ method, water }: Pick<Pass, 'method' | 'water'>): boolean => {
  const { liquid, onGoods } = methodFacts(method.kind);
  return liquid === 'pan' || (liquid === 'water' && water.basis !== 'kept' && !onGoods(method));
};
